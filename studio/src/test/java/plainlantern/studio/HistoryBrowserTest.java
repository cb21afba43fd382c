package plainlantern.studio;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import org.junit.jupiter.api.Test;

class HistoryBrowserTest extends Browsed {
    private Locator step(String title) {
        return page.locator("#history [data-step]", new Page.LocatorOptions().setHasText(title)).first();
    }

    private Locator rims() {
        return page.locator("#panels .panel .rim");
    }

    /**
     * Six steps back and forth; rim and shadow of one panel done again on five others, as one step; kept under a name and used on another
     * sheet, where what cannot be done is said.
     */
    @Test
    void stepsAreGoneToDoneAgainAndKept() {
        newSheet("120", "80", "mm", "72");
        grid(2, 3);
        bring(new FilePayload("Ridges.jpg", "image/jpeg", jpeg(600, 400, 90)));
        click(panel(0));
        page.locator(".shelf-picture").click();
        undoSays("Fill with Ridges: Panel 1");
        page.keyboard().press("5");
        type(field("width"), "1 mm");
        page.locator("[data-part=shadow-behind] summary").click();
        page.locator("[data-part=shadow-behind] [data-field=on]").check();
        undoSays("Shadow: Panel 1");
        page.keyboard().press("Escape");
        page.locator("#well").focus();
        page.keyboard().press("t");
        assertThat(page.locator("#history .steps li")).hasCount(6);
        assertThat(step("Import")).containsText("Import");
        assertThat(step("Import").locator("input")).isDisabled();

        step("New sheet").locator(".step-go").click();
        assertThat(page.locator("#panels .panel")).hasCount(0);
        assertThat(page.locator("#history .taken-back")).hasCount(5);
        step("Shadow").locator(".step-go").click();
        assertThat(page.locator("#panels .panel")).hasCount(6);
        assertThat(page.locator("#history .taken-back")).hasCount(0);

        step("Shadow").locator("input").check();
        step("Rim").locator("input").check();
        click(panel(1));
        page.keyboard().down("Shift");
        for (int at = 2; at < 6; at++) click(panel(at));
        page.keyboard().up("Shift");
        page.locator("text=Do these 2 steps on the 5 selected").click();
        undoSays("Again: Rim, Shadow");
        assertThat(rims()).hasCount(6);
        page.keyboard().press("Control+z");
        assertThat(rims()).hasCount(1);

        step("Fill").locator("input").check();
        step("Shadow").locator("input").check();
        step("Rim").locator("input").check();
        Locator keep = page.locator("#history-keep");
        keep.locator("button").click();
        assertThat(keep.locator(".problem")).containsText("need a name");
        type(keep.locator("[name=name]"), "Postcard look");
        assertThat(page.locator("#history .kept-steps")).containsText("Postcard look");

        home();
        newSheet("90", "50", "mm", "72");
        grid(1, 2);
        page.keyboard().press("t");
        page.locator("#well").focus();
        page.keyboard().press("Control+a");
        page.locator("#history .kept-steps [data-deed=do]").click();
        undoSays("Postcard look");
        assertThat(rims()).hasCount(2);
        assertThat(page.locator(".say")).containsText("Left out: Fill with Ridges: Panel 1: ");
        page.locator("#history .kept-steps [data-deed=forget]").click();
        assertThat(page.locator("#history .kept-steps")).hasCount(0);
    }
}
