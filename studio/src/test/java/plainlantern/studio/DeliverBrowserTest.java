package plainlantern.studio;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.FilePayload;
import java.nio.file.Files;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** Deliver in a real browser: parts of a sheet, sizes before, settings under names, and what a reload keeps. */
class DeliverBrowserTest extends Browsed {
    private Locator ofForm(String name) {
        return page.locator("#deliver [name=" + name + "]");
    }

    /** 120 x 80 mm at 127 ppi are 600 x 400 px; one of three panels between margins of 4 mm and gaps of 1 mm is 36.7 mm, 183 px wide. */
    @Test
    void partsAreChosenAndDelivered() throws Exception {
        newSheet("120", "80", "mm", "127");
        grid(1, 3);
        bring(new FilePayload("Ridges.jpg", "image/jpeg", jpeg(1500, 1000, 90)));
        page.locator("#well").focus();
        page.keyboard().press("Control+a");
        page.locator(".shelf-picture").click();
        undoSays("Fill with Ridges: 3 panels");
        page.keyboard().press("Escape");
        page.keyboard().press("7");
        assertThat(page.locator("#delivered")).hasText("600 × 400 px, 120.0 × 80.0 mm");
        assertThat(page.locator("#estimated")).containsText(" to ");
        assertThat(page.locator("#make")).isInViewport();
        page.locator("label:has([value=selection])").click();
        assertThat(page.locator("#deliver [data-problem=extent]")).containsText("Nothing is selected");
        page.locator("label:has([value=boxes])").click();
        assertThat(page.locator("#delivered")).containsText("3 files, the first");
        assertThat(ofForm("paper")).isHidden();
        click(panel(1));
        assertThat(page.locator("#delivered")).containsText("183 ×");
        type(ofForm("names"), "{n} {panel}");
        Download download = page.waitForDownload(() -> page.locator("#deliver .btn-primary").click());
        assertThat(download.suggestedFilename()).as("one alone is a file").isEqualTo("01 Panel 2.png");
        assertThat(ImageIO.read(Files.newInputStream(download.path())).getWidth()).isEqualTo(183);
        page.locator("label:has([value=selection])").click();
        assertThat(ofForm("paper")).not().isChecked();
        page.locator("label:has([name=extent][value=sheet])").click();
        assertThat(ofForm("paper")).isChecked();
        page.locator("label:has([value=boxes])").click();
        page.locator("#well").focus();
        page.keyboard().press("Control+a");
        assertThat(page.locator("#delivered")).containsText("3 files, the first");
        Download archive = page.waitForDownload(() -> page.locator("#deliver .btn-primary").click());
        try (ZipInputStream zip = new ZipInputStream(Files.newInputStream(archive.path()))) {
            assertThat(zip.getNextEntry().getName()).isEqualTo("01 Panel 1.png");
        }
        page.reload();
        ready();
        page.keyboard().press("7");
        assertThat(ofForm("names")).hasValue("{n} {panel}");
        assertThat(page.locator("#delivery-list li")).hasCount(2);
        // A list that does not come is told of once and asked for again.
        page.route("**/deliveries", route -> route.fulfill(new Route.FulfillOptions().setStatus(409)), new Page.RouteOptions().setTimes(1));
        page.locator("#delivery-list [data-deed=forget]").first().click();
        assertThat(page.locator(".say.fault")).containsText("can't be refreshed right now");
        assertThat(page.locator("#delivery-list li")).hasCount(1);
    }

    /** A name sets the form; the form's settings are kept, delivered together with others, and forgotten. */
    @Test
    void settingsAreKeptAndUsed() {
        newSheet("60", "40", "mm", "127");
        page.keyboard().press("7");
        page.locator("details[data-part=sets] summary").click();
        page.locator("[data-set=press] .set-name").click();
        assertThat(ofForm("marks")).isChecked();
        assertThat(ofForm("ppi")).hasValue("300");
        assertThat(page.locator("#delivered")).hasText("66.0 × 46.0 mm");
        page.locator("label:has([value=jpeg])").click();
        type(ofForm("atMost"), "lots");
        assertThat(page.locator("#deliver [data-problem=atMost]")).containsText("not a number");
        type(ofForm("atMost"), "40");
        assertThat(page.locator("#estimated")).containsText("kB");
        type(page.locator("#keep-set [name=name]"), "Press");
        assertThat(page.locator("#keep-set .problem")).containsText("comes with the application");
        type(page.locator("#keep-set [name=name]"), "Small card");
        assertThat(page.locator(".set-name", new Page.LocatorOptions().setHasText("Small card")))
                .containsText("JPEG, 300 ppi, quality 92, bleed");
        page.locator("#run-sets .btn-plain").click();
        assertThat(page.locator("#run-sets .problem")).containsText("at least one");
        page.locator("#run-sets [name=sets]").nth(1).check();
        page.locator("#run-sets [name=sets]").nth(3).check();
        page.locator("#run-sets .btn-plain").click();
        assertThat(page.locator("#delivery-list a")).hasCount(2);
        page.locator(".set [data-deed=forget]").click();
        page.locator("#ask button:has-text('Delete them')").click();
        assertThat(page.locator(".set")).hasCount(3);
    }
}
