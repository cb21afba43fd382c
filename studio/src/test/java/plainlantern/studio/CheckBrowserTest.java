package plainlantern.studio;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Check in a real browser: faults are counted while one works, shown, and mended. */
class CheckBrowserTest extends Browsed {
    private Locator fault(String says) {
        return page.locator(".fault-row", new Page.LocatorOptions().setHasText(says));
    }

    /** A version is kept, looked at beside the sheet as it is, and returned to. */
    @Test
    void versionsAreKept() {
        newSheet("120", "80", "mm", "127");
        grid(1, 3);
        page.locator("#kept").click();
        assertThat(page.locator("#keep-list")).containsText("No version is saved yet");
        type(page.locator("#keep-now [name=name]"), "Three");
        assertThat(page.locator("#keep-list [data-keep]")).hasCount(1);
        page.locator("#keep-now .btn").click();
        assertThat(page.locator("#keep-now .problem")).containsText("needs a name");
        page.keyboard().press("Escape");
        page.keyboard().press("Control+a");
        page.keyboard().press("Delete");
        assertThat(page.locator("#panels .panel")).hasCount(0);
        page.locator("#kept").click();
        page.locator("[data-deed=compare]").click();
        page.waitForFunction("() => [...document.querySelectorAll('.keep-pair img')].every((i) => i.naturalWidth === 1000)");
        page.locator("[data-deed=return]").click();
        assertThat(page.locator("#keeps")).isHidden();
        assertThat(page.locator("#panels .panel")).hasCount(3);
        undoSays("Return to: Three");
    }

    @Test
    void faultsAreCountedShownAndMended() throws Exception {
        newSheet("120", "80", "mm", "127");
        grid(1, 3);
        assertThat(page.locator("[data-count]")).hasText("3");
        bring(new FilePayload("Ridges.jpg", "image/jpeg", jpeg(1500, 1000, 90)));
        page.locator("#well").focus();
        page.keyboard().press("Control+a");
        page.locator(".shelf-picture").click();
        undoSays("Fill with Ridges: 3 panels");
        page.keyboard().press("1");
        click(panel(1));
        type(field("left"), "0");
        undoSays("Move: Panel 2");
        assertThat(page.locator("[data-count]")).hasClass(Pattern.compile("grave"));
        page.keyboard().press("7");
        assertThat(page.locator("#warned")).containsText("1 fault would be in the file: stops at the trim.");
        assertThat(page.locator("#make")).isEnabled();
        page.locator("#show-faults").click();
        fault("Panel 2 stops at the trim").click();
        assertThat(page.locator(".fault-place")).hasCount(1);
        assertThat(page.locator("#cards .chosen")).hasAttribute("data-id", "p2");
        fault("Panel 2 stops at the trim").locator("xpath=../button[2]").click();
        assertThat(fault("stops at the trim")).hasCount(0);
        assertThat(page.locator("#faults")).not().containsText("Stops at the trim");
        page.keyboard().press("Control+z");
        assertThat(fault("Panel 2 stops at the trim")).hasCount(1);
        page.locator("details[data-part=limits] summary").click();
        type(page.locator("#limits [name=contrast]"), "40");
        assertThat(page.locator("#limits .problem")).containsText("A contrast goes from 1 to 21");
        page.locator("#look-closely").click();
        BoundingBox paper = page.locator("#paper").boundingBox();
        page.mouse().click(paper.x + paper.width / 2, paper.y + paper.height / 2);
        assertThat(page.locator("#pixels")).isVisible();
        page.waitForFunction("() => document.querySelector('#pixels img').naturalWidth > 400");
        page.locator("#pixels").getByText("400 %").click();
        page.waitForFunction("() => { const i = document.querySelector('#pixels img'); return i.complete && i.naturalWidth < 400 && "
                + "i.width > 3.9 * i.naturalWidth; }");
        page.locator("#pixels").getByText("Last saved version").click();
        assertThat(page.locator("#pixels .says")).hasText("No version is saved yet.");
        page.keyboard().press("Escape");
        assertThat(page.locator("#pixels")).isHidden();
        page.locator("#kept").click();
        type(page.locator("#keep-now [name=name]"), "Before");
        assertThat(page.locator("#keep-list [data-keep]")).hasCount(1);
        page.keyboard().press("Escape");
        assertThat(page.locator("#keeps")).isHidden();
        page.locator("#look-closely").click();
        page.mouse().click(paper.x + paper.width / 2, paper.y + paper.height / 2);
        assertThat(page.locator("#pixels .says")).hasText("The last saved version");
    }
}
