package plainlantern.bundle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.File;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import plainlantern.Painted;
import plainlantern.Sheets;
import plainlantern.asking.Unit;
import plainlantern.series.Shipped;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.StandIn;

/** The command as a process of its own: what it says, and with what it ends. */
class RenderCommandTest {
    @TempDir
    Path folder;
    private Path bundle;

    @BeforeEach
    void write() throws IOException {
        bundle = folder.resolve("card.zip");
        try (var out = Files.newOutputStream(bundle)) {
            BundleWriter.write(Sheet.empty("Card", Unit.MM, 50, 25, 127), id -> InputStream.nullInputStream(), id -> Optional.empty(), out);
        }
    }

    private record Ended(int code, String said) {}

    private Ended run(String... args) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1", "-cp", System.getProperty("java.class.path"), RenderCommand.class.getName()));
        command.addAll(List.of(args));
        Process process = new ProcessBuilder(command).directory(folder.toFile()).redirectErrorStream(true).start();
        String said = new String(process.getInputStream().readAllBytes());
        return new Ended(process.waitFor(), said);
    }

    @Test
    void itPaintsAndSaysWhatItWrote() throws Exception {
        Ended good = run("card.zip", "--format", "jpeg", "--out", "card.jpg");
        assertThat(good.code()).isZero();
        assertThat(good.said()).startsWith("card.jpg, ");
        assertThat(ImageIO.read(new File(folder.toFile(), "card.jpg")).getWidth()).isEqualTo(250);
    }

    /** Two bundles are two pages; their sizes are 50 x 25 mm at twice the scale. */
    @Test
    void severalBundlesAreOneDocument() throws Exception {
        Files.copy(bundle, folder.resolve("other.zip"));
        Ended good = run("card.zip", "other.zip", "--out", "both.pdf", "--scale", "200");
        assertThat(good.code()).as(good.said()).isZero();
        try (PDDocument read = Loader.loadPDF(new File(folder.toFile(), "both.pdf"))) {
            assertThat(read.getNumberOfPages()).isEqualTo(2);
            assertThat((double) read.getPage(1).getTrimBox().getWidth()).isCloseTo(100 / 25.4 * 72, within(1e-3));
        }
    }

    @Test
    void itRefusesInWordsAndLeavesNoFile() throws Exception {
        assertThat(run().said()).startsWith("Usage: render BUNDLE");
        assertThat(run("none.zip", "--out", "a.png").said()).contains("There is no file none.zip");
        assertThat(run("card.zip", "--format", "oil", "--out", "a.png").said()).contains("cannot be made");
        assertThat(run("card.zip", "--ppi", "0", "--out", "a.png").said()).contains("from 1 to 4800");
        Ended unknown = run("card.zip", "--out", "a.png", "--colour");
        assertThat(unknown.code()).isEqualTo(2);
        assertThat(unknown.said()).startsWith("--colour is not known here.").contains("Usage");
        assertThat(run("card.zip", "--out", "a.png", "--extent", "half").said()).contains("sheet, selection, forms, turned, boxes");
        assertThat(run("card.zip", "--out", "a.png", "--extent", "forms").said()).contains("no panel here");
        Ended nowhere = run("card.zip", "--out", "no/such/folder/a.png");
        assertThat(nowhere.code()).isEqualTo(2);
        assertThat(nowhere.said()).contains("cannot be read or written").doesNotContain("Exception");
        assertThat(run("card.zip", "--out", "a.jpg", "--ppi", "4800", "--scale", "9000").said()).contains("pixels")
                .doesNotContain("Exception");
        assertThat(folder.resolve("a.png")).doesNotExist();
    }

    /** Eleven pictures for three places: four sheets, called as the table says, the tenth picture after the ninth. */
    @Test
    void aSeriesIsAFileForEachLine() throws Exception {
        Sheet template = Sheets.after(Shipped.find("press").orElseThrow().sheet(), "{'kind':'set-words','panels':['p4'],'layer':1,'text':"
                + "'{title}'}", "{'kind':'set-up-sheet','ppi':'40'}");
        try (var out = Files.newOutputStream(folder.resolve("press.zip"))) {
            BundleWriter.write(template, id -> new ByteArrayInputStream(StandIn.find(id).orElseThrow().bytes()),
                    id -> Optional.empty(), out);
        }
        Files.createDirectory(folder.resolve("shots"));
        for (int i = 1; i <= 11; i++) {
            BufferedImage flat = new BufferedImage(80, 60, BufferedImage.TYPE_3BYTE_BGR);
            for (int y = 0; y < 60; y++) for (int x = 0; x < 80; x++) flat.setRGB(x, y, i * 0x140A06);
            Files.write(folder.resolve("shots/shot " + i + ".png"), Painted.encoded(flat, "png"));
        }
        Files.writeString(folder.resolve("cards.csv"), "title;place\nEbb;Bay\n\"Flood; noon\";Mill\nSlack;Hide\nDusk;Bay\n");
        Ended good = run("press.zip", "--series", "shots", "--data", "cards.csv", "--order", "in-turn", "--sheets", "{n} {title}",
                "--format",
                "png", "--out", "cards");
        assertThat(good.code()).as(good.said()).isZero();
        assertThat(good.said()).contains("The column “place” is not used.", "1 place got no picture.");
        assertThat(folder.resolve("cards").toFile().list()).containsExactlyInAnyOrder("1 Ebb.png", "2 Flood; noon.png", "3 Slack.png",
                "4 Dusk.png");
        // The fourth sheet begins with the tenth picture: its first circle stands about 31 mm from the left.
        int shown = ImageIO.read(folder.resolve("cards/4 Dusk.png").toFile()).getRGB(31 * 40 / 25, 26 * 40 / 25) & 0xFFFFFF;
        assertThat(shown).isEqualTo(10 * 0x140A06);
        assertThat(run("press.zip", "--series", "shots", "--data", "cards.csv", "--out", "cards.pdf").code()).isZero();
        try (PDDocument read = Loader.loadPDF(folder.resolve("cards.pdf").toFile())) {
            assertThat(read.getNumberOfPages()).isEqualTo(4);
        }
        Files.writeString(folder.resolve("cards.csv"), "title,picture 1\nEbb,shot 12\n");
        Ended bad = run("press.zip", "--series", "shots", "--data", "cards.csv", "--out", "more");
        assertThat(bad.code()).isEqualTo(2);
        assertThat(bad.said().strip()).isEqualTo("Line 2: no picture is called “shot 12”.");
        assertThat(folder.resolve("more")).doesNotExist();
    }

    /** Numbers in names count as numbers, however many digits they have. */
    @Test
    void ninthComesBeforeTenth() {
        assertThat(Stream.of("shot 10", "shot 9", "Shot 1", "a2b10", "a2b9", "a10b1", "shot 100000000000000000000").sorted(
                java.util.Comparator.comparing(Folder::counted))).containsExactly("a2b9", "a2b10", "a10b1", "Shot 1", "shot 9", "shot 10",
                "shot 100000000000000000000");
    }
}
