package plainlantern.bundle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.File;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import plainlantern.asking.Unit;
import plainlantern.sheet.Sheet;

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
                "-cp", System.getProperty("java.class.path"), RenderCommand.class.getName()));
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
}
