package plainlantern.studio;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.SameSiteAttribute;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** From an empty sheet to a delivered picture: the page, Arrange, Deliver. */
class BrowserTest extends Browsed {
    /** From an empty sheet to a delivered picture, and every step back. */
    @Test
    void fromNothingToADeliveredPicture() throws Exception {
        signUp();
        askForSheet("120", "80", "mm", "127");
        grid(1, 2);
        bring(new FilePayload("Dawn ridge.jpg", "image/jpeg", jpeg(1200, 800, 20)),
                new FilePayload("notes.jpg", "image/jpeg", "no picture".getBytes()),
                new FilePayload("Noon.jpg", "image/jpeg", jpeg(800, 1200, 200)));
        assertThat(page.locator(".shelf-picture")).hasCount(2);
        assertThat(page.locator(".queue .problem")).containsText("notes.jpg is not a picture");
        click(panel(0));
        page.locator(".shelf-picture").first().click();
        assertThat(page.locator("#panels .panel.covered")).hasCount(1);
        // A preview may be drawn between the last move and the drop: what was under the pointer is gone then, the drop is not.
        page.evaluate("() => ['dragenter', 'dragover'].forEach((type) => window.addEventListener(type, () => { const panel = "
                + "document.querySelector('#panels [data-id=p2]'); panel.replaceWith(panel.cloneNode(true)); }))");
        carry(page.locator(".shelf-picture").nth(1), middle(panel(1)));
        assertThat(page.locator("#panels .panel.empty")).hasCount(0);
        assertThat(page.locator("#states")).hasText("all covered");

        page.keyboard().press("3");
        double[] centre = middle(panel(0));
        page.mouse().click(centre[0], centre[1]);
        assertThat(field("across")).hasValue("0.00 mm");
        drag(centre, 15, 400);
        page.waitForFunction("() => document.querySelector('[data-field=across]')?.value !== '0.00 mm'");
        assertThat(page.locator(".verdict")).containsText("Covers the panel");
        double across = number("across");
        page.mouse().move(centre[0], centre[1]);
        page.mouse().wheel(0, -300);
        page.waitForFunction("() => !/^100 %/.test(document.querySelector('#zoom-number').value)");
        assertThat(number("zoom")).isCloseTo(100 * Math.exp(0.48), within(1.0));

        page.keyboard().press("Control+z");
        assertThat(page.locator("#zoom-number")).hasValue("100 %");
        page.keyboard().press("Control+z");
        assertThat(field("across")).hasValue("0.00 mm");
        page.reload();
        ready();
        page.keyboard().press("Control+Shift+z");
        assertThat(page.locator("#undo")).hasAttribute("title", "Undo Move picture: Panel 1");
        click(panel(0));
        assertThat(field("across")).hasValue(String.format("%.2f mm", across).replace('-', '\u2212'));

        page.keyboard().press("7");
        Download download = page.waitForDownload(() -> page.locator("#deliver .btn-primary").click());
        BufferedImage delivered = ImageIO.read(Files.newInputStream(download.path()));
        assertThat(download.suggestedFilename()).isEqualTo("Open day.png");
        assertThat(delivered.getWidth()).isEqualTo(600);
        assertThat(delivered.getHeight()).isEqualTo(400);
        assertThat(page.locator("#delivery-list a")).hasText("Open day.png");
        assertThat(boardDifference(delivered)).isLessThan(2);
    }

    @Test
    void panelsAreSelectedMovedSizedAndTyped() {
        newSheet("200", "100", "mm", "100");
        grid(1, 3);
        click(panel(0));
        double left = number("left");
        drag(middle(panel(0)), 60, 0);
        page.waitForFunction("v => parseFloat(document.querySelector('[data-field=left]').value) > v + 1", left);
        field("width").fill("210/3 - 2mm");
        field("width").press("Enter");
        assertThat(field("width")).hasValue("68.00 mm");
        field("height").fill("tall");
        field("height").press("Enter");
        assertThat(page.locator(".problem").filter(new Locator.FilterOptions().setHasText("tall"))).isVisible();
        double right = number("left") + number("width");
        drag(middle(page.locator("#marks .handle.w")), -30, 0);
        page.waitForFunction("() => parseFloat(document.querySelector('[data-field=width]').value) > 69");
        assertThat(number("left") + number("width")).isCloseTo(right, within(0.011));
        page.locator("#well").focus();
        page.keyboard().press("Control+a");
        assertThat(page.locator("#tag")).containsText("3 panels");
        page.keyboard().press("d");
        assertThat(page.locator("#panels .panel")).hasCount(6);
        page.keyboard().press("Delete");
        assertThat(page.locator("#panels .panel")).hasCount(3);
        BoundingBox well = page.locator("#well").boundingBox();
        drag(new double[] {well.x + 30, well.y + 30}, well.width - 60, well.height - 60);
        assertThat(page.locator(".card-panel.chosen")).hasCount(3);
        page.getByLabel("Ellipse", new Page.GetByLabelOptions().setExact(true)).click();
        assertThat(page.locator("#undo")).hasAttribute("title", "Undo Make ellipse: 3 panels");
    }

    @Test
    void aGridThatMakesNoSenseIsExplainedAndChangesNothing() {
        newSheet("100", "100", "mm", "100");
        page.locator("[data-pattern=even-grid]").click();
        for (String[] bad : new String[][] {{"rows", "0", "1 to 100"}, {"gapAcross", "-1", "negative"}, {"gapAcross", "90", "At most"},
                {"columns", "many", "not a number"}}) {
            Locator field = page.locator("#pattern-form [data-number=" + bad[0] + "]");
            String was = field.inputValue();
            field.fill(bad[1]);
            assertThat(page.locator("#pattern-form .problem").filter(new Locator.FilterOptions().setHasText(bad[2])).first()).isVisible();
            page.locator("#pattern-form .btn-primary").click();
            assertThat(field).hasValue(bad[1]);
            field.fill(was);
        }
        assertThat(page.locator("#panels .panel")).hasCount(0);
    }

    @Test
    void anotherWindowsChangesAreSeenAndNeverOverwritten() {
        newSheet("100", "100", "mm", "100");
        grid(1, 2);
        Page other = context.newPage();
        other.navigate(page.url());
        other.waitForSelector("html[data-ready]");
        click(panel(0));
        page.keyboard().press("Delete");
        assertThat(page.locator("#panels .panel")).hasCount(1);
        // The other window still shows both; its edit of the removed one is refused, and it is brought up to date.
        other.evaluate("() => import(document.querySelector('script[type=module]').src.replace('workbench', 'server'))"
                + ".then(s => s.edit({kind: 'move-panels', panels: ['p1'], dx: 5, dy: 5}))");
        assertThat(other.locator(".say.fault")).containsText("no longer on the sheet");
        assertThat(other.locator("#panels .panel")).hasCount(1);
    }

    @Test
    void sheetsAreRenamedDuplicatedDeletedAndBroughtBack() {
        newSheet("148", "105", "mm", "300");
        home();
        page.getByLabel("Name of the sheet").fill("Season card");
        page.getByLabel("Name of the sheet").press("Enter");
        assertThat(page.locator(".sheet-picture")).hasAttribute("aria-label", "Open Season card");
        page.getByLabel("Duplicate").click();
        assertThat(page.locator(".sheet-card")).hasCount(2);
        ready();
        page.getByLabel("Delete").first().click();
        assertThat(page.locator(".sheet-card.gone")).containsText("was deleted");
        page.getByText("Undo").click();
        assertThat(page.locator(".sheet-picture")).hasCount(2);
    }

    @Test
    void aBundleIsSavedAndOpenedAgain() throws Exception {
        newSheet("100", "50", "mm", "100");
        grid(1, 2);
        bring(new FilePayload("Tide.jpg", "image/jpeg", jpeg(500, 400, 130)));
        page.locator("#well").focus();
        page.keyboard().press("Control+a");
        page.locator(".shelf-picture").click();
        assertThat(page.locator("#panels .panel.empty")).hasCount(0);
        page.keyboard().press("7");
        Download download = page.waitForDownload(() -> page.getByText("Save bundle").click());
        home();
        page.locator("input[type=file]").setInputFiles(new FilePayload("Open day.lantern.zip", "application/zip",
                Files.readAllBytes(download.path())));
        ready();
        assertThat(page.locator("#panels image")).hasCount(2);
        home();
        page.locator("input[type=file]").setInputFiles(new FilePayload("x.zip", "application/zip", "nothing".getBytes()));
        assertThat(page.locator(".note.fault")).containsText("no zip archive");
    }

    /** Depth by dragging a card, contents swapped by dragging, stages by digits, Back, and a used picture that stays. */
    @Test
    void theLineUpTheStagesAndTheShelf() {
        newSheet("120", "80", "mm", "100");
        grid(1, 3);
        bring(new FilePayload("One.jpg", "image/jpeg", jpeg(600, 600, 10)), new FilePayload("Two.jpg", "image/jpeg", jpeg(600, 600, 170)));
        assertThat(page.locator(".shelf-picture").nth(0)).containsText("One");
        click(panel(0));
        page.locator(".shelf-picture").nth(0).click();
        assertThat(page.locator("#panels .panel.empty")).hasCount(2);
        drag(middle(panel(0)), middle(panel(2))[0] - middle(panel(0))[0], 5);
        assertThat(page.locator("#panels .panel[data-id=p3] image")).hasCount(1);
        assertThat(page.locator("#panels .panel[data-id=p1] image")).hasCount(0);
        page.locator(".shelf li").nth(0).hover();
        page.locator("[data-unshelve]").nth(0).click();
        assertThat(page.locator(".say.fault")).containsText("One stays on the shelf: it is used in Panel 3.");
        page.locator(".shelf li").nth(1).hover();
        page.locator("[data-unshelve]").nth(1).click();
        assertThat(page.locator(".shelf-picture")).hasCount(1);
        settled();
        page.locator(".card-panel[data-id=p1]").dragTo(page.locator(".card-panel[data-id=p3]"), new Locator.DragToOptions()
                .setTargetPosition(80, 40));
        assertThat(page.locator("#cards .card-panel").last()).hasAttribute("data-id", "p1");
        assertThat(page.locator("#panels .panel").last()).hasAttribute("data-id", "p1");
        page.keyboard().press("7");
        assertThat(page.locator("#deliver")).isVisible();
        page.locator("#sheet-name").fill("Evening tide");
        page.locator("#sheet-name").press("Enter");
        assertThat(page).hasTitle("Evening tide · Plain Lantern");
    }

    /** Escape in the middle of a drag puts everything back, and no step is left behind. */
    @Test
    void escapeGivesADragUp() {
        newSheet("120", "80", "mm", "100");
        grid(1, 2);
        click(panel(0));
        String width = field("width").inputValue();
        String before = page.locator("#undo").getAttribute("title");
        double[] handle = middle(page.locator("#marks .handle.se"));
        page.mouse().move(handle[0], handle[1]);
        page.mouse().down();
        page.mouse().move(handle[0] + 50, handle[1] + 20);
        page.waitForFunction("w => !document.querySelector('#tag').textContent.includes(w)", width.replace(" mm", ""));
        page.keyboard().press("Escape");
        page.mouse().up();
        assertThat(page.locator("#tag")).containsText(width.replace(" mm", ""));
        double[] centre = middle(panel(1));
        page.mouse().move(centre[0], centre[1]);
        page.mouse().down();
        page.mouse().move(centre[0] + 80, centre[1] + 10);
        page.evaluate("() => new Promise(requestAnimationFrame)");
        page.keyboard().press("Escape");
        page.mouse().up();
        assertThat(middle(panel(1))[0]).isCloseTo(centre[0], within(0.5));
        assertThat(page.locator("#undo")).hasAttribute("title", before);
    }

    /** A window that only looks on follows by itself. */
    @Test
    void aWindowThatLooksOnFollows() {
        newSheet("120", "80", "mm", "100");
        Page other = context.newPage();
        other.navigate(page.url());
        other.waitForSelector("html[data-ready]");
        page.bringToFront();
        grid(2, 2);
        other.bringToFront();
        assertThat(other.locator("#panels .panel")).hasCount(4);
        assertThat(other.locator(".say")).containsText("Another window changed this sheet");
    }

    @Test
    void theBoardZoomsAtThePointerPansAndFits() {
        newSheet("120", "80", "mm", "100");
        grid(1, 2);
        String fitted = page.locator("#zoom-fit").textContent();
        double[] at = middle(panel(1));
        page.mouse().move(at[0], at[1]);
        page.mouse().wheel(0, -400);
        assertThat(page.locator("#zoom-fit")).not().hasText(fitted);
        assertThat(middle(panel(1))[0]).isCloseTo(at[0], within(1.0));
        page.keyboard().down(" ");
        drag(at, 37, -21);
        page.keyboard().up(" ");
        assertThat(middle(panel(1))[0]).isCloseTo(at[0] + 37, within(1.0));
        assertThat(middle(panel(1))[1]).isCloseTo(at[1] - 21, within(1.0));
        page.keyboard().press("0");
        assertThat(page.locator("#zoom-fit")).hasText(fitted);
    }

    /** One radius for all corners, or one each. */
    @Test
    void corners() {
        newSheet("100", "60", "mm", "100");
        grid(1, 2);
        click(panel(0));
        page.locator("[data-radius=topRight]").fill("1/4 in");
        page.locator("[data-radius=topRight]").press("Enter");
        assertThat(page.locator("[data-radius=bottomLeft]")).hasValue("6.35");
        page.locator("[data-same-radii]").uncheck();
        page.locator("[data-radius=topLeft]").fill("0");
        page.locator("[data-radius=topLeft]").press("Enter");
        assertThat(page.locator("[data-radius=topLeft]")).hasValue("0.00");
        assertThat(page.locator("[data-radius=bottomLeft]")).hasValue("6.35");
        page.locator("[data-radius=topLeft]").fill("-2");
        page.locator("[data-radius=topLeft]").press("Enter");
        assertThat(page.locator("[data-problem=radius]")).containsText("cannot be negative");
    }

    /** The bench of a new selection arrives while somebody types: the words stay in their field, and are for the new selection. */
    @Test
    void whatIsBeingTypedStaysInItsField() {
        newSheet("120", "80", "mm", "100");
        grid(1, 3);
        page.locator("#well").focus();
        page.keyboard().press("Control+a");
        assertThat(field("left")).isVisible();
        List<Route> late = new ArrayList<>();
        page.route("**/bench", late::add);
        double[] at = middle(panel(1));
        page.mouse().click(at[0], at[1]);
        page.locator("[data-field=left]").fill("1");
        page.waitForCondition(() -> !late.isEmpty());
        late.forEach(Route::resume);
        assertThat(page.locator("[data-field=name]")).hasValue("Panel 2");
        assertThat(page.locator("[data-field=left]")).isFocused();
        page.keyboard().press("Enter");
        undoSays("Move: Panel 2");
        assertThat(number("left")).isEqualTo(1);
        // What is there already is written as the bench writes it; undo in a field that nothing was typed in is the sheet's.
        field("left").fill("1");
        page.keyboard().press("Tab");
        assertThat(field("left")).hasValue("1.00 mm");
        undoSays("Move: Panel 2");
        page.keyboard().press("Control+z");
        assertThat(page.locator("#redo")).hasAttribute("title", "Redo Move: Panel 2");
        page.keyboard().type("7");
        page.keyboard().press("Control+z");
        assertThat(field("top")).isFocused();
        assertThat(page.locator("#redo")).hasAttribute("title", "Redo Move: Panel 2");
    }

    private double[] onSheet(double x, double y, double width) {
        BoundingBox paper = page.locator("#paper").boundingBox();
        return new double[] {paper.x + x * paper.width / width, paper.y + y * paper.width / width};
    }

    /** A grid with merged cells, laid; opened again with another gap; and with fewer cells than are filled, which asks first. */
    @Test
    void aPatternIsMergedLaidAndOpenedAgain() {
        newSheet("200", "100", "mm", "100");
        page.locator("[data-pattern=even-grid]").click();
        number("rows", 2);
        number("columns", 3);
        assertThat(page.locator("#pattern-says")).containsText("6 panels");
        dragTo(onSheet(30, 30, 200), onSheet(100, 70, 200));
        assertThat(page.locator("#pattern-says")).containsText("3 panels");
        page.locator("#pattern-form .btn-primary").click();
        assertThat(page.locator("#panels .panel")).hasCount(3);
        bring(new FilePayload("Reeds.jpg", "image/jpeg", jpeg(900, 600, 80)));
        page.locator("#well").focus();
        page.keyboard().press("Control+a");
        page.locator(".shelf-picture").click();
        assertThat(page.locator("#panels .panel.empty")).hasCount(0);
        page.keyboard().press("1");
        click(panel(1));
        page.locator("[data-pattern=again]").click();
        number("gapAcross", "1 cm");
        page.locator("#pattern-form .btn-primary").click();
        undoSays("Change pattern: Even grid");
        click(panel(1));
        assertThat(field("name")).hasValue("Panel 2");
        double second = number("left");
        click(panel(0));
        assertThat(field("name")).hasValue("Panel 1");
        assertThat(second - number("left") - number("width")).isCloseTo(10, within(0.011));
        page.locator("[data-pattern=again]").click();
        number("rows", 1);
        number("columns", 1);
        assertThat(page.locator("#pattern-says")).containsText("2 filled panels have no place");
        page.locator("#pattern-form .btn-primary").click();
        page.getByText("Keep everything as it is").click();
        assertThat(page.locator("#panels .panel")).hasCount(3);
        page.locator("#pattern-form .btn-primary").click();
        page.getByText("Go on").click();
        assertThat(page.locator("#panels .panel")).hasCount(1);
    }

    /** The knife divides what its line crosses, from corner to corner; a seam moves both its banks; a corner takes its neighbours along. */
    @Test
    void aKnifeASeamAndACorner() {
        newSheet("200", "100", "mm", "100");
        grid(1, 2);
        double[] gap = middle(panel(0));
        gap[0] = (gap[0] + middle(panel(1))[0]) / 2;
        page.mouse().move(gap[0], gap[1]);
        page.waitForCondition(() -> {
            page.mouse().move(gap[0] + Math.random(), gap[1]);
            return page.locator("#hints .seam").count() == 1;
        });
        double right = panel(1).boundingBox().x;
        drag(gap, -60, 0);
        undoSays("Move seam");
        assertThat(panel(1).boundingBox().x).isCloseTo(right - 60, within(7.0));
        page.keyboard().press("k");
        page.locator("#cut-gap").fill("0");
        dragTo(onSheet(1, 99, 200), onSheet(199, 1, 200));
        assertThat(page.locator("#panels .panel")).hasCount(4);
        page.keyboard().press("Escape");
        click(panel(0));
        assertThat(page.locator("#marks .corner")).not().hasCount(0);
        int corners = page.locator("#marks .corner").count();
        drag(middle(page.locator("#marks .corner").nth(0)), 17, 13);
        undoSays("Move corner: Panel 1");
        assertThat(page.locator("#marks .corner")).hasCount(corners);
        page.keyboard().press("k");
        page.locator("#cut-gap").fill("wide");
        dragTo(onSheet(1, 50, 200), onSheet(199, 55, 200));
        assertThat(page.locator("[data-part=cut] .problem")).containsText("not a number");
    }

    /**
     * A drag is caught by another panel's side; with Ctrl it is not. Alt leaves a copy; copies travel to another sheet with their pictures.
     */
    @Test
    void draggingIsCaughtAndCopiesTravel() {
        newSheet("200", "100", "mm", "100");
        grid(1, 2);
        page.locator("#well").focus();
        page.keyboard().press("Escape");
        click(panel(0));
        double left = number("left");
        field("top").fill("30");
        field("top").press("Enter");
        assertThat(field("top")).hasValue("30.00 mm");
        double[] at = middle(panel(0));
        page.mouse().move(at[0], at[1]);
        page.mouse().down();
        page.mouse().move(at[0] + 30, at[1]);
        // What it may be caught by is asked for when the drag begins.
        page.waitForCondition(() -> {
            page.mouse().move(at[0] + 3, at[1] + 40);
            page.mouse().move(at[0] + 1, at[1] + 40);
            return page.locator("#hints .catch").count() > 0;
        });
        page.mouse().up();
        assertThat(field("top")).not().hasValue("30.00 mm");
        assertThat(number("left")).isEqualTo(left);
        page.keyboard().down("Alt");
        drag(middle(panel(0)), 40, 25);
        page.keyboard().up("Alt");
        assertThat(page.locator("#panels .panel")).hasCount(3);
        undoSays("Duplicate: Panel 1");
        bring(new FilePayload("Reeds.jpg", "image/jpeg", jpeg(900, 600, 80)));
        page.locator(".shelf-picture").click();
        assertThat(page.locator("#panels .panel.covered")).hasCount(1);
        page.keyboard().press("1");
        page.locator("#well").focus();
        page.keyboard().press("Control+c");
        assertThat(page.locator(".say")).containsText("Copied Panel 3");
        home();
        newSheet("90", "60", "mm", "100");
        page.keyboard().press("Control+v");
        assertThat(page.locator("#panels .panel image")).hasCount(1);
        undoSays("Paste: Panel 3");
    }

    /** Groups are selected as one, locked panels stay where they are, hidden ones are gone from the board, depth changes by keys. */
    @Test
    void groupsLocksAndDepth() {
        newSheet("200", "100", "mm", "100");
        grid(1, 3);
        click(panel(0));
        page.keyboard().down("Shift");
        click(panel(1));
        page.keyboard().up("Shift");
        page.keyboard().press("g");
        undoSays("Group: 2 panels");
        page.keyboard().press("Escape");
        click(panel(1));
        assertThat(page.locator("#tag")).containsText("2 panels");
        page.mouse().dblclick(middle(panel(0))[0], middle(panel(0))[1]);
        assertThat(page.locator("#tag")).containsText("Panel 1");
        click(panel(1));
        assertThat(page.locator("#tag")).containsText("2 panels");
        page.keyboard().press("]");
        undoSays("Bring forward: 2 panels");
        assertThat(page.locator("#cards .card-panel").first()).hasAttribute("data-id", "p3");
        page.getByText("Lock", new Page.GetByTextOptions().setExact(true)).click();
        undoSays("Lock: 2 panels");
        double[] was = middle(panel(1));
        drag(was, 50, 0);
        undoSays("Lock: 2 panels");
        assertThat(middle(panel(1))[0]).isCloseTo(was[0], within(0.5));
        page.getByText("Hide", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(page.locator("#panels .panel.out")).hasCount(2);
        page.locator("button[data-edit=traits]").filter(new Locator.FilterOptions().setHasText("Show")).click();
        assertThat(page.locator("#panels .panel.out")).hasCount(0);
        page.locator("[data-align=left]").click();
        assertThat(page.locator(".say.fault")).containsText("locked");
    }

    /** Another size asks what becomes of the panels; a guide is pulled from the ruler and thrown away again. */
    @Test
    void theSheetIsSetUpAndGuidesArePulled() {
        newSheet("200", "100", "mm", "100");
        grid(1, 2);
        page.locator("details[data-part=sheet] summary").click();
        page.locator("[data-size=width]").fill("300");
        page.locator("[data-size=width]").press("Enter");
        page.getByText("Scale them with the sheet").click();
        assertThat(page.locator("#sheet-size")).hasText("300 × 100 mm");
        page.locator("[data-set-up=unit]").selectOption("cm");
        assertThat(page.locator("#sheet-size")).hasText("30 × 10 cm");
        page.locator("[data-set-up=bleed]").fill("much");
        page.locator("[data-set-up=bleed]").press("Enter");
        assertThat(page.locator("[data-part=sheet] .problem").filter(new Locator.FilterOptions().setHasText("not a number"))).isVisible();
        double[] ruler = middle(page.locator("#ruler-top"));
        dragTo(ruler, onSheet(150, 50, 300));
        assertThat(page.locator("#hints .guide.own")).hasCount(1);
        undoSays("Guides");
        page.keyboard().press("Control+z");
        assertThat(page.locator("#hints .guide.own")).hasCount(0);
    }

    /**
     * Lining up, equal gaps, same size, swapped places, copies in steps: each by its button, with the panel clicked last as the one that
     * stays.
     */
    @Test
    void panelsAreLinedUpAndSpacedByButtons() {
        newSheet("200", "100", "mm", "100");
        grid(1, 3);
        for (String[] seat : new String[][] {{"top", "20"}, {"width", "30"}, {"height", "40"}}) {
            click(panel(0));
            assertThat(field("name")).hasValue("Panel 1");
            field(seat[0]).fill(seat[1]);
            field(seat[0]).press("Enter");
            assertThat(field(seat[0])).hasValue(seat[1] + ".00 mm");
        }
        page.locator("#well").focus();
        page.keyboard().press("Control+a");
        page.keyboard().down("Shift");
        click(panel(0));
        click(panel(0));
        page.keyboard().up("Shift");
        page.getByText("Last clicked").click();
        page.locator("[data-align=top]").click();
        undoSays("Align top: 3 panels");
        assertThat(field("top")).hasValue("20.00 mm");
        page.locator("[data-same=width]").click();
        assertThat(field("width")).hasValue("30.00 mm");
        page.locator("#space-gap").fill("1 cm");
        page.locator("[data-space=gaps-across]").click();
        undoSays("Space evenly: 3 panels");
        assertThat(page.locator("#tag")).containsText("3 panels");
        assertThat(middle(panel(1))[0] - middle(panel(0))[0]).isCloseTo(40 * page.locator("#paper").boundingBox().width / 200, within(1.0));
        page.locator("#space-gap").fill("much");
        page.locator("[data-space=pack]").click();
        assertThat(page.locator("[data-part=align] .problem")).containsText("not a number");
        page.keyboard().press("Escape");
        click(panel(2));
        assertThat(field("name")).hasValue("Panel 3");
        page.locator("details[data-part=copies] summary").click();
        page.locator("#copies [name=copies]").fill("4");
        page.locator("#copies [name=dx]").fill("0");
        page.locator("#copies [name=dy]").fill("5 mm");
        page.getByText("Make copies").click();
        assertThat(page.locator("#panels .panel")).hasCount(7);
        undoSays("Duplicate: Panel 3");
    }

    /** A pattern in an area drawn on the board, another seed, one inside a panel; justified rows bring their pictures. */
    @Test
    void patternsGoWhereTheyAreWanted() {
        newSheet("200", "100", "mm", "100");
        page.locator("[data-pattern=shards]").click();
        number("count", 5);
        page.getByText("Draw its area").click();
        dragTo(onSheet(110, 20, 200), onSheet(180, 80, 200));
        String first = page.locator("#hints .cell").first().getAttribute("d");
        page.getByText("Another variant").click();
        assertThat(page.locator("[data-number=seed]")).hasValue("2");
        assertThat(page.locator("#hints .cell").first()).not().hasAttribute("d", first);
        page.locator("#pattern-form .btn-primary").click();
        assertThat(page.locator("#panels .panel")).hasCount(5);
        double left = page.locator("#panels .panel .form").all().stream().mapToDouble(p -> p.boundingBox().x).min().orElseThrow();
        assertThat(left).isCloseTo(onSheet(110, 20, 200)[0], within(7.0));
        click(panel(0));
        assertThat(field("name")).hasValue("Panel 1");
        page.locator("[data-pattern=interlock]").click();
        number("rows", 2);
        number("columns", 2);
        assertThat(page.locator("#pattern-form [value=inside]")).isChecked();
        assertThat(page.locator("#hints .cell")).not().hasCount(0);
        page.locator("#pattern-form .btn-primary").click();
        assertThat(page.locator("#panels .panel")).not().hasCount(5);
        undoSays("Lay out: Interlock");
        page.locator("[data-pattern=justified-rows]").click();
        assertThat(page.locator("#pattern-form .problem").filter(new Locator.FilterOptions().setHasText("shelf is empty"))).isVisible();
        page.keyboard().press("Escape");
        page.locator("#well").focus();
        bring(new FilePayload("Reeds.jpg", "image/jpeg", jpeg(900, 600, 80)),
                new FilePayload("Tall.jpg", "image/jpeg", jpeg(600, 900, 30)));
        page.keyboard().press("1");
        page.locator("[data-pattern=justified-rows]").click();
        number("rows", 1);
        page.locator("#pattern-form .btn-primary").click();
        assertThat(page.locator("#panels image")).hasCount(2);
    }

    /** The arc turns, a notch rounds the corners, the fields of a form change it; each is one step. */
    @Test
    void handlesTurnAndShape() {
        newSheet("200", "100", "mm", "100");
        page.getByLabel("Draw a rectangle").click();
        click(page.locator("#well"));
        assertThat(page.locator("#marks .pull")).hasCount(4);
        drag(middle(page.locator("[data-pull=top-left]")), 20, 20);
        undoSays("Change form: Panel 1");
        assertThat(page.locator("[data-radius=bottomRight]")).not().hasValue("0.00");
        double[] arc = middle(page.locator("[data-handle=turn]"));
        page.keyboard().down("Shift");
        drag(arc, -20, 160);
        page.keyboard().up("Shift");
        undoSays("Turn: Panel 1");
        assertThat(number("turn") / 15).isCloseTo(Math.rint(number("turn") / 15), within(1e-6));
        page.getByLabel("Star", new Page.GetByLabelOptions().setExact(true)).click();
        page.locator("[data-asked=star] [data-number=points]").fill("2");
        page.locator("[data-asked=star] [data-number=points]").press("Enter");
        assertThat(page.locator("[data-part=form] .problem").first()).containsText("from 3 to 60");
        page.locator("[data-asked=star] [data-number=points]").fill("9");
        page.locator("[data-asked=star] [data-number=points]").press("Enter");
        // The attribute is the server's answer; the value is there as soon as it is typed.
        assertThat(page.locator("[data-asked=star] [data-number=points]")).hasAttribute("value", "9");
        drag(middle(page.locator("[data-pull=inner]")), 6, -3);
        undoSays("Change form: Panel 1");
        page.locator("[data-edit=mirror-panels]").first().click();
        undoSays("Mirror: Panel 1");
    }

    /** HttpOnly and SameSite on the session's cookie; a session outlives the page, and ends with the sign-out. */
    @Test
    void theSessionIsGuarded() {
        signUp();
        var cookie = context.cookies().stream().filter(c -> c.name.equals("lantern")).findFirst().orElseThrow();
        assertThat(cookie.httpOnly).isTrue();
        assertThat(cookie.sameSite).isEqualTo(SameSiteAttribute.LAX);
        page.getByText("Sign out").click();
        assertThat(page.getByRole(AriaRole.STATUS)).containsText("You are signed out");
        page.navigate(address("/sheets"));
        assertThat(page).hasURL(address("/sign-in"));
    }
}
