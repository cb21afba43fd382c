package plainlantern.studio;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.FilePayload;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A sheet as a picture in another one, in a real browser: drawn, kept fresh, in no circle. */
class NestedBrowserTest extends Browsed {
    private Locator named(String name) {
        return page.locator("#nested-list [data-nest]", new Page.LocatorOptions().setHasText(Pattern.compile("^" + name + "$")));
    }

    private void rename(String name) {
        page.locator("#sheet-name").fill(name);
        page.locator("#sheet-name").press("Enter");
        settled();
    }

    private void bringSheet() {
        page.keyboard().press("2");
        page.locator("#bring-sheet summary").click();
    }

    private void openSheet(String address) {
        page.navigate(address);
        ready();
    }

    /** A finished sheet hangs in another one; what is changed there is seen here, the tone it has here stays; a circle is refused. */
    @Test
    void aSheetHangsInAnotherOneAndStaysFresh() throws Exception {
        newSheet("60", "40", "mm", "127");
        rename("Postcard");
        grid(1, 1);
        bring(new FilePayload("Ridges.jpg", "image/jpeg", jpeg(600, 400, 90)));
        page.keyboard().press("Escape");
        click(panel(0));
        page.locator(".shelf-picture").first().click();
        undoSays("Fill with Ridges: Panel 1");
        String postcard = page.url();
        home();
        newSheet("120", "80", "mm", "127");
        rename("Wall");
        grid(1, 1);
        bringSheet();
        named("Postcard").click();
        undoSays("Import Postcard");
        page.keyboard().press("Escape");
        click(panel(0));
        page.locator(".shelf-picture").first().click();
        undoSays("Fill with Postcard: Panel 1");
        page.keyboard().press("4");
        page.locator("#tone-mono").check();
        undoSays("Black and white: Panel 1");
        String before = page.locator("#panels image").getAttribute("data-picture");
        String wall = page.url();
        openSheet(postcard);
        page.keyboard().press("3");
        click(panel(0));
        page.keyboard().press("]");
        undoSays("Zoom picture: Panel 1");
        // The other way round it would be a circle.
        bringSheet();
        named("Wall").click();
        assertThat(page.locator("#nested-list .problem")).containsText("circle");
        openSheet(wall);
        // It is noticed at the next look, drawn and read in the background, and seen at the look after.
        assertThat(page.locator("#undo")).hasAttribute("title", "Undo Drawn anew: Postcard",
                new LocatorAssertions.HasAttributeOptions().setTimeout(90_000));
        String after = page.locator("#panels image").getAttribute("data-picture");
        assertThat(after).isNotEqualTo(before);
        assertThat(page.locator("#panels image")).hasAttribute("href", Pattern.compile("/pictures/" + after + "/\\w+/\\w+"));
        page.keyboard().press("2");
        closer(page.locator(".shelf > li").first());
        assertThat(page.locator("#closer")).containsText("Drawn from the sheet Postcard");
        page.locator("#closer [data-settle]").click();
        assertThat(page.locator("#closer [data-settle]")).hasCount(0);
    }
}
