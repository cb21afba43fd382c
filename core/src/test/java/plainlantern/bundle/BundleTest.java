package plainlantern.bundle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.net.URISyntaxException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import plainlantern.Chance;
import plainlantern.Painted;
import plainlantern.Sheets;
import plainlantern.Tried;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.FillPanels;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.editing.placing.LayOut;
import plainlantern.editing.toning.Aim;
import plainlantern.editing.toning.SetTable;
import plainlantern.pattern.EvenGrid;
import plainlantern.geometry.Box;
import plainlantern.picture.DecodedPictures;
import plainlantern.picture.Sha256;
import plainlantern.rendering.Delivery;
import plainlantern.rendering.Format;
import plainlantern.rendering.RasterPainter;
import plainlantern.scene.Page;
import plainlantern.scene.Scene;
import plainlantern.sheet.Element;
import plainlantern.sheet.Margins;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Rule;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import plainlantern.sheet.Treatment;

class BundleTest {
    private static final byte[] JPEG = Painted.encoded(Painted.scene(120, 80, BufferedImage.TYPE_3BYTE_BGR), "jpeg");
    private static final byte[] CUBE = "LUT_1D_SIZE 2\n1 1 1\n0 0 0\n".getBytes();
    private static final Picture PICTURE = new Picture(Sha256.of(JPEG), "Low water", 120, 80);

    @TempDir
    Path folder;
    private Path file;
    private Sheet sheet;

    @BeforeEach
    void write() throws IOException {
        sheet = new ShelvePictures(List.of(PICTURE)).apply(Sheet.empty("Tide “card”", Unit.MM, 100, 60, 127));
        sheet = LayOut.replacing(new EvenGrid(1, 2, 4, 4), new Margins(5, 5, 5, 5)).apply(sheet);
        sheet = new FillPanels(List.of("p1", "p2"), PICTURE.id()).apply(sheet);
        sheet = new SetTable(new Aim(List.of("p2"), -1, false, false), Optional.of(Sha256.of(CUBE)), Optional.of("Negative")).apply(sheet);
        file = folder.resolve("card.lantern.zip");
        try (OutputStream out = Files.newOutputStream(file)) {
            BundleWriter.write(sheet, id -> new ByteArrayInputStream(JPEG), id -> Optional.of(CUBE), out);
        }
    }

    @Test
    void whatIsReadBackIsWhatWasWritten() throws IOException {
        try (Bundle bundle = Bundle.open(file)) {
            assertThat(bundle.table(Sha256.of(CUBE))).isEqualTo(CUBE);
            assertThatThrownBy(() -> bundle.table(PICTURE.id())).hasMessageContaining("lacks a colour table");
            assertThat(bundle.sheet()).isEqualTo(sheet);
            assertThat(bundle.original(PICTURE.id())).isEqualTo(JPEG);
            Path extracted = folder.resolve("extracted.jpg");
            bundle.extract(PICTURE, extracted);
            assertThat(Files.readAllBytes(extracted)).isEqualTo(JPEG);
        }
    }

    /**
     * Bundles that the programs of versions 1, 2 and 4 wrote, and one of version 3 as its format was described, are read: what is
     * in them by kind; and what the last one shows is what its own program painted of it, but for its words.
     */
    @Test
    void bundlesOfEachVersionAreRead() throws Exception {
        Map<Integer, List<String>> kinds = Map.of(1, List.of("panel", "panel"), 2, List.of("panel", "panel", "panel"),
                3, List.of("panel", "panel", "panel", "float"), 4, List.of("panel", "panel", "panel", "rule", "rule", "caption", "float"));
        for (int version = 1; version <= 4; version++) {
            try (Bundle bundle = Bundle.open(kept("version-" + version + ".zip"))) {
                Sheet read = bundle.sheet();
                assertThat(read.elements()).as("version %d", version).extracting(Element::kind).isEqualTo(kinds.get(version));
                assertThat(SheetJson.read(SheetJson.write(read))).isEqualTo(read);
                assertThat(read.users(read.shelf().get(0).id())).isNotEmpty();
                assertThat(read.vistas()).hasSize(version == 1 ? 0 : 1);
            }
        }
        try (Bundle bundle = Bundle.open(kept("version-4.zip"))) {
            Sheet read = bundle.sheet();
            Treatment cleared = read.shelf().get(0).treatment();
            assertThat(cleared.cleared()).isPresent();
            assertThat(List.of(read.vistas().get(0).treatment(), read.paper().pictured().orElseThrow().treatment(),
                    read.holder("p3").pictures().get(0).treatment())).containsOnly(cleared);
            assertThat(read.elements().stream().flatMap(e -> e.rule().stream())).allMatch(Rule::follows);
            BufferedImage theirs = ImageIO.read(kept("version-4.png").toFile());
            BufferedImage ours = RasterPainter.paint(Scene.of(read), 50, true, new DecodedPictures(bundle::original));
            // Words are kerned since version 6.
            for (Scene.Item item : Scene.of(read).items()) for (Scene.Layer layer : item.layers()) layer.letters().ifPresent(letters -> {
                Box box = letters.outlines().bounds().grown(1);
                for (BufferedImage image : List.of(ours, theirs)) image.createGraphics().fillRect((int) (box.x() / 25.4 * 50),
                        (int) (box.y() / 25.4 * 50), (int) (box.width() / 25.4 * 50) + 2, (int) (box.height() / 25.4 * 50) + 2);
            });
            assertThat(Painted.worst(ours, theirs)).isLessThanOrEqualTo(1);
        }
    }

    private static Path kept(String name) throws URISyntaxException {
        return Path.of(BundleTest.class.getResource(name).toURI());
    }

    @Test
    void hostileAndDamagedBundlesAreRefusedWithAWord() throws IOException {
        refused(Map.of("sheet.json", "{"), "damaged");
        refused(Map.of("sheet.json", "{\"format\":\"plain-lantern-bundle\",\"version\":1}"), "damaged");
        refused(Map.of("sheet.json", document().replace("\"id\" : \"p1\"", "\"id\" : \"p1' hx-get='/x\"")), "damaged");
        refused(Map.of("sheet.json", document().replaceFirst("\"topLeft\" : [0-9.]+", "\"topLeft\" : 1e999")), "damaged");
        refused(Map.of("readme.txt", "hello"), "has no sheet.json");
        refused(Map.of("sheet.json", document().replaceFirst("\"version\" : [0-9]+", "\"version\" : 1000")), "newer program");
        refused(Map.of("sheet.json", document(), "../../etc/" + PICTURE.id() + ".jpg", "x"), "lacks the picture Low water");
        refused(Map.of("sheet.json", document().replace(PICTURE.id() + "\",\n", "f".repeat(64) + "\",\n")), "damaged");
        Path text = Files.writeString(folder.resolve("text.zip"), "no archive at all");
        assertThatThrownBy(() -> Bundle.open(text)).isInstanceOf(BadInput.class).hasMessageContaining("no zip archive");
    }

    @Test
    void aPictureThatIsNotTheOneNamedIsRefused() throws IOException {
        Path swapped = zip(Map.of("sheet.json", document(), "pictures/" + PICTURE.id() + ".jpg", "another picture"));
        try (Bundle bundle = Bundle.open(swapped)) {
            assertThatThrownBy(() -> bundle.original(PICTURE.id())).isInstanceOf(BadInput.class)
                    .hasMessageContaining("was changed: Low water");
            assertThatThrownBy(() -> bundle.extract(PICTURE, folder.resolve("none"))).isInstanceOf(BadInput.class)
                    .hasMessageContaining("was changed: Low water");
            // Painted, too, the refusal reaches the person as it was said.
            Delivery delivery = Delivery.of(Format.PNG, 127);
            assertThatThrownBy(() -> delivery.file(Page.of(Scene.of(bundle.sheet())), new DecodedPictures(bundle::original)))
                    .isInstanceOf(BadInput.class).hasMessageContaining("was changed: Low water");
        }
    }

    /**
     * Thirty megabytes of nothing take a few kilobytes in a zip: no picture is packed so tightly. A list of contents of any length is not
     * read.
     */
    @Test
    void whatIsFarLargerLaidOpenIsRefused() throws IOException {
        Path bomb = zip(Map.of("sheet.json", document(), "pictures/" + PICTURE.id() + ".jpg", "\0".repeat(30_000_000)));
        try (Bundle bundle = Bundle.open(bomb)) {
            assertThatThrownBy(() -> bundle.extract(PICTURE, folder.resolve("none"))).isInstanceOf(BadInput.class)
                    .hasMessageContaining("packed far more tightly");
        }
        byte[] damaged = Files.readAllBytes(file);
        Arrays.fill(damaged, 60, 400, (byte) 0xFF);
        assertThatThrownBy(() -> Bundle.open(Files.write(folder.resolve("damaged.zip"), damaged))).isInstanceOf(BadInput.class)
                .hasMessageContaining("damaged");
        byte[] bytes = Files.readAllBytes(bomb);
        bytes[bytes.length - 22 + 15] = 1;
        assertThatThrownBy(() -> Bundle.open(Files.write(folder.resolve("long.zip"), bytes))).isInstanceOf(BadInput.class)
                .hasMessageContaining("too many files");
    }

    /** The command, as ./lantern render calls it: 100 × 60 mm at 127 ppi are 500 × 300 pixels. */
    @Test
    void theCommandPaintsABundleWithoutAServer() throws IOException {
        Path out = folder.resolve("card.png");
        RenderCommand.main(new String[] {file.toString(), "--format", "png", "--ppi", "127", "--out", out.toString()});
        BufferedImage image = ImageIO.read(out.toFile());
        assertThat(image.getWidth()).isEqualTo(500);
        assertThat(image.getHeight()).isEqualTo(300);
        assertThat(image.getRGB(5, 5)).isEqualTo(0xFFFFFFFF);
        assertThat(image.getRGB(120, 150)).isNotEqualTo(0xFFFFFFFF);
    }

    /** Any sheet at all comes back as it was. */
    @Tried(40)
    void anySheetComesBack(Chance chance) throws IOException {
        Sheet any = Sheets.any(chance);
        Path written = Files.createTempFile("any", ".zip");
        try (OutputStream out = Files.newOutputStream(written)) {
            BundleWriter.write(any, id -> new ByteArrayInputStream(JPEG), id -> Optional.of(CUBE), out);
        }
        try (Bundle bundle = Bundle.open(written)) {
            assertThat(bundle.sheet()).isEqualTo(any);
        } finally {
            Files.delete(written);
        }
    }

    private String document() throws IOException {
        try (ZipFile zip = new ZipFile(file.toFile())) {
            return new String(zip.getInputStream(zip.getEntry("sheet.json")).readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    private void refused(Map<String, String> entries, String why) throws IOException {
        Path path = zip(entries);
        assertThatThrownBy(() -> Bundle.open(path).close()).isInstanceOf(BadInput.class).hasMessageContaining(why);
    }

    private Path zip(Map<String, String> entries) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            for (var entry : new LinkedHashMap<>(entries).entrySet()) {
                zip.putNextEntry(new ZipEntry(entry.getKey()));
                zip.write(entry.getValue().getBytes(StandardCharsets.UTF_8));
            }
        }
        return Files.write(folder.resolve("made" + entries.hashCode() + ".zip"), bytes.toByteArray());
    }
}
