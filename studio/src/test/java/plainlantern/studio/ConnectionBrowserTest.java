package plainlantern.studio;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What becomes of edits when the connection, the server or another window comes in between. */
class ConnectionBrowserTest extends Browsed {
    private void one() {
        newSheet("120", "80", "mm", "100");
        grid(1, 1);
        click(panel(0));
    }

    /** While the connection is away what was done waits, leaving warns, and once it is back all of it is made in its order. */
    @Test
    void aLostConnectionKeepsWhatWasDone() {
        one();
        context.setOffline(true);
        page.locator("#well").focus();
        page.keyboard().press("ArrowRight");
        page.keyboard().press("d");
        assertThat(page.locator("#away")).containsText("The connection is lost");
        assertThat(page.locator("#away")).containsText("2 changes are kept here");
        List<String> warned = new ArrayList<>();
        page.onceDialog(dialog -> {
            warned.add(dialog.type());
            dialog.dismiss();
        });
        page.locator("a.brand").click();
        page.waitForCondition(() -> !warned.isEmpty());
        assertThat(warned).containsExactly("beforeunload");
        context.setOffline(false);
        assertThat(page.locator(".say").filter(new com.microsoft.playwright.Locator.FilterOptions()
                .setHasText("Connected again. Nothing was lost."))).isVisible();
        assertThat(page.locator("#panels .panel")).hasCount(2);
        undoSays("Duplicate: Panel 1");
        page.keyboard().press("Control+z");
        undoSays("Move: Panel 1");
        complaints.removeIf(c -> c.contains("net::"));
    }

    /** An edit whose answer was lost after it was made is sent again and not made again. */
    @Test
    void anEditIsMadeOnceHoweverOftenItIsSent() {
        one();
        int[] sent = {0};
        page.route("**/edits", route -> {
            if (sent[0]++ > 0) {
                route.resume();
                return;
            }
            APIResponse made = route.fetch();
            assertThat(made.status()).isEqualTo(200);
            route.abort();
        });
        page.locator("#well").focus();
        page.keyboard().press("d");
        assertThat(page.locator("#panels .panel")).hasCount(2);
        settled();
        assertThat(sent[0]).isEqualTo(2);
        page.keyboard().press("Control+z");
        assertThat(page.locator("#panels .panel")).hasCount(1);
        complaints.removeIf(c -> c.contains("net::"));
    }

    /** Undo takes back what the window shows: what another one did is shown first. */
    @Test
    void undoShowsWhatItDidNotSeeFirst() {
        one();
        // This window does not ask by itself meanwhile.
        page.route("**/changes", route -> {
            if (route.request().postData().contains("version=-1")) route.resume();
            else route.fulfill(new Route.FulfillOptions().setStatus(204));
        });
        Page other = context.newPage();
        other.navigate(page.url());
        other.waitForSelector("html[data-ready]");
        other.locator("#panels .panel .form").click();
        other.keyboard().press("d");
        assertThat(other.locator("#panels .panel")).hasCount(2);
        page.bringToFront();
        page.locator("#well").focus();
        page.keyboard().press("Control+z");
        assertThat(page.locator(".say").last()).containsText("Another window changed this sheet");
        assertThat(page.locator("#panels .panel")).hasCount(2);
        page.keyboard().press("Control+z");
        assertThat(page.locator("#panels .panel")).hasCount(1);
        other.close();
    }

    /** A gesture on what another window took away brings nothing back. */
    @Test
    void aFailedGestureLeavesNoGhost() {
        one();
        page.route("**/changes", route -> {
            if (route.request().postData().contains("version=-1")) route.resume();
            else route.fulfill(new Route.FulfillOptions().setStatus(204));
        });
        double[] handle = middle(page.locator("[data-handle=se]"));
        page.mouse().move(handle[0], handle[1]);
        page.mouse().down();
        page.waitForResponse("**/preview", () -> page.mouse().move(handle[0] - 40, handle[1] - 30));
        Page other = context.newPage();
        other.navigate(page.url());
        other.waitForSelector("html[data-ready]");
        other.locator("#panels .panel .form").click();
        other.keyboard().press("Delete");
        assertThat(other.locator("#panels .panel")).hasCount(0);
        other.close();
        page.mouse().up();
        assertThat(page.locator(".say.fault")).containsText("no longer on the sheet");
        assertThat(page.locator("#panels .panel")).hasCount(0);
        settled();
        assertThat(page.locator("#panels .panel")).hasCount(0);
    }

    /** A request that takes longer than a moment is seen to be under way, and no longer once it is answered: nothing moves unseen. */
    @Test
    void aSlowRequestShowsThatItIsBusy() {
        one();
        String still = "() => document.getAnimations().length === 0";
        page.waitForFunction(still);
        List<Route> held = new ArrayList<>();
        page.route("**/edits", held::add);
        page.locator("#well").focus();
        page.keyboard().press("ArrowDown");
        page.waitForFunction("() => document.getAnimations().some(one => one.animationName === 'busy')");
        page.waitForSelector("#busy", new Page.WaitForSelectorOptions().setState(WaitForSelectorState.VISIBLE));
        double shown = ((Number) page.evaluate(
                "() => parseFloat(getComputedStyle(document.getElementById('busy')).transitionDelay) * 1000")).doubleValue();
        assertThat(shown).as("milliseconds until it is seen").isBetween(100.0, 400.0);
        page.waitForCondition(() -> !held.isEmpty());
        held.get(0).resume();
        page.waitForSelector("#busy", new Page.WaitForSelectorOptions().setState(WaitForSelectorState.HIDDEN));
        page.waitForFunction(still);
        undoSays("Move: Panel 1");
    }

    /** A line-up of very many begins with some of its cards; the others come, though the first answer is lost, in their order. */
    @Test
    void aLongLineUpComesInTwoParts() {
        newSheet("1200", "800", "mm", "100");
        grid(20, 20);
        Locator cards = page.locator("#cards .card-panel");
        List<Route> asked = new ArrayList<>();
        page.route("**/cards", asked::add);
        page.reload();
        page.waitForCondition(() -> asked.size() == 1);
        assertThat(cards).hasCount(300);
        page.locator("#well").focus();
        page.keyboard().press("Control+a");
        page.keyboard().press("ArrowRight");
        undoSays("Move: 400 panels");
        assertThat(cards).hasCount(400);
        asked.get(0).resume();
        page.reload();
        page.waitForCondition(() -> asked.size() == 2);
        asked.get(1).abort();
        page.waitForCondition(() -> asked.size() == 3);
        asked.get(2).resume();
        assertThat(cards).hasCount(400);
        assertThat(cards.nth(300)).hasAttribute("title", "Panel 301, empty");
        assertThat(cards.last()).hasAttribute("data-id", "p400");
        complaints.removeIf(c -> c.contains("net::"));
    }

    /** However many panels are selected, the bench, a drag and an edit know all of them. */
    @Test
    void aSelectionMayBeLarge() {
        newSheet("1200", "800", "mm", "100");
        grid(34, 35);
        page.locator("#well").focus();
        page.keyboard().press("Control+a");
        assertThat(page.locator("[data-part=selection] h3")).hasText("1190 panels");
        page.keyboard().press("ArrowRight");
        undoSays("Move: 1190 panels");
    }
}
