package plainlantern.studio;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.KeyboardModifier;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.Test;

class SeriesBrowserTest extends Browsed {
    private void table(String text) {
        page.locator("[name=data]").setInputFiles(new FilePayload("cards.csv", "text/csv", text.getBytes(StandardCharsets.UTF_8)));
    }

    /** A template of nine panels and a caption, as the page makes it. */
    private void template() {
        newSheet("120", "100", "mm", "72");
        grid(3, 3);
        page.keyboard().press("5");
        page.locator("button:text-is('A caption')").click();
        Locator words = page.locator("[data-part=caption] textarea");
        words.fill("{title}");
        words.blur();
        undoSays("Words: Caption 10");
        page.keyboard().press("7");
        page.locator("#bench a:text-is('Keep as a template')").click();
        page.locator("[name=name]").fill("Wall of nine");
        page.locator("button:text-is('Keep as a template')").click();
        page.waitForURL("**/sheets");
    }

    private FilePayload[] shots(int count) {
        FilePayload[] shots = new FilePayload[count];
        for (int i = 0; i < count; i++) shots[i] = new FilePayload("shot " + (i + 1) + ".jpg", "image/jpeg", jpeg(90 + i, 60, 7 * i));
        return shots;
    }

    /**
     * Twenty pictures and a table on nine places: three sheets with their faults; what the table lacks is told with its line; the template
     * changes, the series follows, what was put right by hand stays; one document and one archive come of it.
     */
    @Test
    void aSeriesFromAFolderAndATable() throws Exception {
        template();
        page.locator(".template-card a:text-is('Series')").click();
        ready();
        assertThat(page.locator(".says").first()).containsText("takes 9 pictures a sheet; its captions have the fields {title}");
        page.locator("[data-bring]").first().setInputFiles(shots(20));
        assertThat(page.locator(".bring-row [role=status]")).hasText("20 pictures");
        page.locator("[name=naming]").fill("{n} {title}");
        page.locator("button:text-is('Make the series')").click();
        assertThat(page.locator("[data-problem=naming]")).containsText("Without a table the names can only have");
        table("titel,picture 1\nEbb,shot 20\nFlood,shot 77\nSlack,\n");
        page.locator("button:text-is('Make the series')").click();
        assertThat(page.locator("[data-problem=data]")).containsText("Line 3: no picture is called “shot 77”.");
        assertThat(page.locator("[data-problem=data]")).containsText("Line 1: a caption asks for {title}");
        table("title,picture 1\nEbb,shot 20\nFlood,shot 3.jpg\nSlack,\n");
        page.locator("button:text-is('Make the series')").click();
        page.waitForURL("**/series/*-*");
        assertThat(page.locator(".mini-name")).hasText(new String[] {"1 Ebb", "2 Flood", "3 Slack"});
        assertThat(page.locator(".mini img")).hasCount(3);
        assertThat(page.locator(".mini-found").first()).hasText(Pattern.compile("\\d+ warnings"));
        assertThat(page.locator(".note.lines")).containsText("6 places got no picture.");
        String series = page.url();

        page.locator(".mini-name").nth(1).click();
        ready();
        assertThat(page.locator(".around")).containsText("2 of 3");
        page.keyboard().press("3");
        click(panel(1));
        type(field("zoom"), "170");
        undoSays("Zoom picture: Panel 2");
        page.keyboard().press("1");
        page.keyboard().press("Escape");

        page.navigate(series);
        page.locator("text=Open the template").click();
        ready();
        page.keyboard().press("5");
        page.keyboard().press("Escape");
        click(panel(0));
        page.locator("#well").focus();
        page.keyboard().press("Control+a");
        type(field("width"), "2 mm");
        settled();
        page.navigate(series);
        page.locator("text=Bring the sheets up to date").click();
        assertThat(page.locator(".note.changed")).hasCount(0);
        assertThat(page.locator(".progress-note")).hasCount(0);
        page.locator(".mini-name").nth(1).click();
        ready();
        undoSays("Follow the template");
        assertThat(page.locator("#panels .panel[data-id=p2] .rim")).hasCount(1);
        page.keyboard().press("3");
        click(panel(1));
        assertThat(number("zoom")).isEqualTo(170);

        page.navigate(series);
        page.locator("label:has([value=press])").click();
        page.locator("text=Make the file").click();
        Locator first = page.locator("#series-files li").first();
        assertThat(first).hasAttribute("data-state", "done");
        Download pdf = page.waitForDownload(() -> first.locator("a").click());
        assertThat(pdf.suggestedFilename()).isEqualTo("Wall of nine series.pdf");
        try (PDDocument read = Loader.loadPDF(Files.readAllBytes(pdf.path()))) {
            assertThat(read.getNumberOfPages()).isEqualTo(3);
        }
        page.locator("label:has([value=screen])").click();
        page.locator("text=Make the file").click();
        assertThat(page.locator("#series-files li")).hasCount(2);
        assertThat(first).hasAttribute("data-state", "done");
        Download archive = page.waitForDownload(() -> first.locator("a").click());
        List<String> files = new ArrayList<>();
        try (ZipInputStream zip = new ZipInputStream(Files.newInputStream(archive.path()))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) files.add(entry.getName());
        }
        assertThat(files).containsExactly("1 Ebb.jpg", "2 Flood.jpg", "3 Slack.jpg");

        page.onDialog(dialog -> dialog.accept());
        page.locator("button:text-is('Delete')").click();
        page.waitForURL("**/sheets");
        assertThat(page.locator(".stack")).hasCount(0);
        page.navigate(address("/sheets?deleted"));
        assertThat(page.locator(".sheet-card.away")).hasCount(3);
    }

    /** A new sheet begins with one that comes with the application, and looks finished at once. */
    @Test
    void aSheetBeginsWithATemplateThatComesAlong() {
        mySheets();
        page.getByText("New sheet").first().click();
        assertThat(page.locator("dialog .template")).hasCount(10);
        page.locator("dialog .template", new Page.LocatorOptions().setHasText("Season postcard")).click();
        ready();
        assertThat(page.locator("#sheet-name")).hasValue("Season postcard");
        assertThat(page.locator("#panels .panel image")).hasCount(4);
        page.keyboard().press("6");
        assertThat(page.locator("#bench")).containsText("Wide view waits for its picture.");
    }

    /** From the shelf: the marked pictures on this very sheet, which has no stand-ins: all its pictures give way. */
    @Test
    void markedPicturesMakeASeriesOfThisSheet() {
        newSheet("90", "60", "mm", "72");
        grid(1, 2);
        bring(shots(5));
        page.locator("#well").focus();
        page.keyboard().press("Control+a");
        page.locator(".shelf-picture").first().click();
        undoSays("Fill with shot 1: 2 panels");
        Locator cards = page.locator(".shelf-picture");
        for (int at = 1; at < 5; at++) cards.nth(at).click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.CONTROL)));
        page.locator("#marked-row [data-series]").click();
        ready();
        assertThat(page.locator(".tray-picture")).hasCount(4);
        page.locator("button:text-is('Make the series')").click();
        page.waitForURL("**/series/*-*");
        assertThat(page.locator(".mini-name")).hasText(new String[] {"Open day 1", "Open day 2"});
    }
}
