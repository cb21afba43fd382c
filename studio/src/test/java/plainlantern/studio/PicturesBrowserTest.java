package plainlantern.studio;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.KeyboardModifier;
import com.microsoft.playwright.options.WaitUntilState;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import plainlantern.fitting.Sitting;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.outline.Ellipse;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Pose;
import plainlantern.sheet.Seat;

/** Fill and Settle: pictures on the shelf, in panels, in vistas. */
class PicturesBrowserTest extends Browsed {
    /**
     * Hundreds of panels: their cards are drawn as they come into sight, their pictures come once the page is there, that of a panel at
     * once where something is done with it, and all of them can be selected, moved and put to the front as few can.
     */
    @Test
    void hundredsOfPanelsArriveOneAfterTheOther() {
        newSheet("300", "200", "mm", "150");
        grid(20, 20);
        bring(new FilePayload("Reeds.jpg", "image/jpeg", jpeg(1500, 900, 80)));
        page.locator("#well").focus();
        page.keyboard().press("Control+a");
        page.locator(".shelf-picture").click();
        assertThat(page.locator("#panels .panel.covered")).hasCount(400);
        page.keyboard().press("1");
        click(panel(309));
        type(field("name"), "</script><!--");
        undoSays("Rename: Panel 310");
        List<Route> held = new ArrayList<>();
        page.route("**/mark.svg", held::add);
        page.reload(new Page.ReloadOptions().setWaitUntil(WaitUntilState.COMMIT));
        ready();
        assertThat(page.locator("#panels .panel.covered .form")).hasCount(400);
        // Those whose cards are in sight are there.
        int there = page.locator("#panels image").count();
        assertThat(there).isBetween(1, 100);
        page.keyboard().press("3");
        click(panel(309));
        assertThat(page.locator("#tag")).containsText("</script><!--");
        assertThat(page.locator("#panels image")).hasCount(there + 1);
        drag(middle(panel(309)), 0, 12);
        undoSays("Move picture: </script><!--");
        assertThat(page.locator("#panels image")).hasCount(there + 1);
        assertThat(field("down")).not().hasValue("0.00 mm");
        page.keyboard().press("Control+z");
        undoSays("Rename: Panel 310");
        held.forEach(Route::resume);
        page.unroute("**/mark.svg");
        Locator cards = page.locator("#cards .card-panel");
        assertThat(cards).hasCount(400);
        assertThat(cards.first().locator("svg image")).hasAttribute("href", Pattern.compile("^/pictures/[0-9a-f]{64}/small$"));
        assertThat(cards.last().locator("svg")).hasCount(0);
        assertThat(page.locator("#panels image[data-waits]")).hasCount(0);
        assertThat(page.locator("#panels image[href]")).hasCount(400);
        cards.last().scrollIntoViewIfNeeded();
        assertThat(cards.last().locator("svg image")).hasCount(1);
        cards.last().click();
        assertThat(page.locator("#tag")).containsText("Panel 400");
        page.locator("#well").focus();
        page.keyboard().press("1");
        page.keyboard().press("Control+a");
        page.keyboard().press("ArrowRight");
        undoSays("Move: 400 panels");
        assertThat(cards.last().locator("svg")).hasCount(1);
        page.keyboard().press("Control+z");
        undoSays("Rename: Panel 310");
        assertThat(page.locator("#panels .panel.covered")).hasCount(400);
    }

    /** Settle by keys, slider, turn handle and switch. */
    @Test
    void aPictureIsSettledByEveryMeans() {
        newSheet("120", "80", "mm", "127");
        grid(1, 2);
        bring(new FilePayload("Reeds.jpg", "image/jpeg", jpeg(1500, 900, 80)));
        page.locator("#well").focus();
        page.keyboard().press("Control+a");
        page.locator(".shelf-picture").click();
        assertThat(page.locator("#panels .panel.covered")).hasCount(2);
        page.keyboard().press("3");
        click(panel(1));
        assertThat(page.locator("#tag")).containsText("Panel 2");
        page.locator("#well").focus();
        page.keyboard().press("Shift+ArrowRight");
        assertThat(field("across")).hasValue("10.00 mm");
        page.keyboard().press("Alt+ArrowLeft");
        assertThat(field("across")).hasValue("9.90 mm");
        page.keyboard().press("]");
        assertThat(page.locator("#zoom-number")).hasValue("110 %");
        page.locator("#zoom-slider").focus();
        page.keyboard().press("End");
        assertThat(page.locator("#zoom-number")).hasValue("1600 %");
        assertThat(page.locator(".verdict.soft")).containsText("the sheet is meant for 127 ppi");
        page.locator("#well").focus();
        page.keyboard().press("c");
        assertThat(page.locator("#zoom-number")).hasValue("100 %");
        double[] knob = middle(page.locator("[data-grip=turn]"));
        drag(knob, 120, 60);
        assertThat(page.locator("#turn-number")).not().hasValue("0.0°");
        assertThat(page.locator("[data-part=picture] .verdict")).containsText("Covers the panel");
        page.locator("#turn-number").fill("200");
        page.locator("#turn-number").press("Enter");
        assertThat(page.locator("#turn-number")).hasValue("\u2212160.0°");
        page.locator("#held").uncheck();
        assertThat(page.locator("#undo")).hasAttribute("title", "Undo Release cover: Panel 2");
        field("across").fill("3 in");
        field("across").press("Enter");
        assertThat(page.locator("[data-part=picture] .verdict.bare")).containsText("is bare");
        assertThat(page.locator(".card-panel.bare")).hasCount(1);
        page.locator("[data-edit=cover-again]").click();
        assertThat(page.locator("[data-part=picture] .verdict")).containsText("Covers the panel");
        page.keyboard().press(",");
        assertThat(page.locator("#tag")).containsText("Panel 1");
    }

    /** One picture behind three panels: dropped into their gap, moved whole, nudged, set back, loosened, replaced, carried, left. */
    @Test
    void aVistaIsMovedWholeAndItsSlicesAlone() {
        newSheet("200", "100", "mm", "100");
        grid(1, 3);
        bring(new FilePayload("Ridges.jpg", "image/jpeg", jpeg(1500, 600, 20)),
                new FilePayload("Noon.jpg", "image/jpeg", jpeg(900, 900, 170)));
        page.locator("#well").focus();
        page.keyboard().press("Control+a");
        double[] gap = middle(panel(1));
        gap[0] = (panel(0).boundingBox().x + panel(0).boundingBox().width + panel(1).boundingBox().x) / 2;
        carry(page.locator(".shelf-picture").first(), gap);
        undoSays("Vista of Ridges: 3 panels");
        assertThat(page.locator("#panels image")).hasCount(3);
        page.keyboard().press("3");
        page.keyboard().press("Escape");
        click(panel(1));
        assertThat(page.locator("[data-part=picture] .verdict")).containsText("Covers all 3 panels.");
        List<Double> before = imageLefts();
        drag(middle(panel(1)), 12, 0);
        undoSays("Move vista: Panel 2");
        List<Double> after = imageLefts();
        for (int i = 0; i < 3; i++) assertThat(after.get(i) - before.get(i)).isCloseTo(after.get(0) - before.get(0), within(1e-3));
        assertThat(after.get(0)).isGreaterThan(before.get(0) + 0.5);
        page.mouse().move(middle(panel(2))[0], middle(panel(2))[1]);
        page.mouse().wheel(0, -200);
        undoSays("Zoom vista: Panel 3");
        assertThat(page.locator("[data-part=picture] .verdict")).containsText("Covers all 3 panels.");
        drag(middle(page.locator("[data-grip=turn]")), 60, 5);
        undoSays("Turn vista: Panel 2");

        page.getByText("This panel", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(page.locator("[data-part=picture] .verdict")).containsText("Covers the panel.");
        after = imageLefts();
        drag(middle(panel(1)), 10, 4);
        undoSays("Move picture: Panel 2");
        assertThat(imageLefts().get(0)).isCloseTo(after.get(0), within(1e-6));
        assertThat(imageLefts().get(1)).isNotCloseTo(after.get(1), within(0.5));
        page.getByText("Back in register").click();
        undoSays("Back in register: Panel 2");
        assertThat(imageLefts().get(1)).isCloseTo(after.get(1), within(1e-3));
        page.locator("[data-edit=mirror-picture]").click();
        assertThat(page.locator(".say.fault")).containsText("Mirror the whole vista");

        page.getByText("Whole vista", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(page.locator("[data-part=picture] .verdict")).containsText("Covers all 3 panels.");
        page.locator("details[data-part=loosen] summary").click();
        page.locator("#loosen [name=offset]").fill("2 mm");
        page.locator("#loosen .btn").first().click();
        undoSays("Loosen: 3 panels");
        page.getByText("Another variant").click();
        assertThat(page.locator("#loosen [name=seed]")).hasValue("2");
        page.locator("#loosen [name=zoom]").fill("500");
        page.locator("#loosen .btn").first().click();
        assertThat(page.locator("#loosen .problem").filter(new Locator.FilterOptions().setHasText("from 0 to 200 %"))).isVisible();

        page.getByText("Light all its panels").click();
        assertThat(page.locator(".card-panel.chosen")).hasCount(3);
        page.keyboard().press("2");
        page.locator("[name=goes]").selectOption("vista");
        page.locator(".shelf-picture").nth(1).click();
        undoSays("Vista shows Noon");
        page.keyboard().press("Escape");
        click(panel(0));
        page.keyboard().press("3");
        page.getByText("Carry the slice").click();
        undoSays("Carry the slice: 3 panels");
        page.getByText("Leave the vista").click();
        undoSays("Leave vista: Panel 1");
        assertThat(page.locator("[name=moves]")).hasCount(0);
        page.keyboard().press("2");
        page.getByText("See through to Noon").click();
        undoSays("Join vista: Panel 1");
    }

    /** The focal point is set under the pointer, shown, and brought to the middle as near as covering allows; filling keeps it in sight. */
    @Test
    void theFocalPointIsSetAndBroughtToThePlace() {
        newSheet("200", "100", "mm", "100");
        grid(1, 2);
        bring(new FilePayload("Wide.jpg", "image/jpeg", jpeg(2400, 600, 20)));
        click(panel(0));
        page.locator(".shelf-picture").click();
        assertThat(page.locator("#panels .panel.covered")).hasCount(1);
        page.keyboard().press("3");
        assertThat(page.locator("[data-part=focal]")).containsText("press f");
        BoundingBox box = panel(0).boundingBox();
        page.mouse().move(box.x + box.width * 0.8, box.y + box.height * 0.5);
        page.keyboard().press("f");
        undoSays("Focal point: Wide");
        assertThat(page.locator("#marks .focal")).hasCount(1);
        assertThat(page.locator("[data-part=focal]")).containsText("right, ");
        page.getByText("The centre", new Page.GetByTextOptions().setExact(true)).click();
        undoSays("Focal point to the centre: Panel 1");
        BoundingBox mark = page.locator("#marks .focal").boundingBox();
        assertThat(mark.x + mark.width / 2).isCloseTo(box.x + box.width / 2, within(1.0));
        page.getByText("A thirds crossing", new Page.GetByTextOptions().setExact(true)).click();
        undoSays("Focal point to a crossing of thirds: Panel 1");
        page.keyboard().press("2");
        click(panel(1));
        page.locator(".shelf-picture").click();
        assertThat(page.locator("#panels .panel.covered")).hasCount(2);
        page.keyboard().press("3");
        assertThat(field("across")).not().hasValue("0.00 mm");
        assertThat(page.locator("[data-part=picture] .verdict")).containsText("Covers the panel.");
    }

    /** Files dropped on the window and pasted come onto the shelf, whatever stage is open. */
    @Test
    void picturesAreDroppedAndPasted() {
        newSheet("120", "80", "mm", "100");
        String files = "async (kind) => { const canvas = document.createElement('canvas'); canvas.width = kind === 'drop' ? 40 : 60; "
                + "canvas.height = 30;"
                + "canvas.getContext('2d').fillRect(0, 0, 20, 20); const blob = await new Promise(done => canvas.toBlob(done));"
                + "const data = new DataTransfer(); data.items.add(new File([blob], kind + '.png', {type: 'image/png'}));"
                + "window.dispatchEvent(kind === 'drop' ? new DragEvent('drop', {dataTransfer: data, bubbles: true, cancelable: true})"
                + ": new ClipboardEvent('paste', {clipboardData: data, bubbles: true, cancelable: true})); }";
        page.evaluate(files, "drop");
        assertThat(page.locator(".shelf-picture")).hasCount(1);
        page.evaluate(files, "paste");
        assertThat(page.locator(".shelf-picture")).hasCount(2);
        assertThat(page.locator("#undo")).hasAttribute("title", "Undo Import paste");
    }

    /** While a gesture runs the browser stops the picture where the server will: both ways of clamping give the same numbers. */
    @Test
    void theBoardStopsWhereTheCoreStops() {
        mySheets();
        Random random = new Random(11);
        for (int i = 0; i < 120; i++) {
            Path outline = random.nextBoolean() ? new Ellipse().path(40 + random.nextInt(90), 30 + random.nextInt(90))
                    : Rectangle.SHARP.path(40 + random.nextInt(90), 30 + random.nextInt(90));
            Sitting sitting = new Sitting(outline, 300 + random.nextInt(4000), 300 + random.nextInt(4000));
            double turn = random.nextInt(3) == 0 ? 0 : random.nextDouble() * 360 - 180;
            double scale = sitting.coverScale(turn) * (0.5 + 1.5 * random.nextDouble());
            Pose wanted = new Pose(new Point(random.nextGaussian() * 40, random.nextGaussian() * 40), scale, scale, turn,
                    random.nextBoolean());
            Pose expected = sitting.covering(wanted);
            Box reach = sitting.reach(turn);
            Map<String, Object> picture = Map.of("held", true, "width", sitting.width(), "height", sitting.height(),
                    "reach", List.of(reach.x(), reach.y(), reach.right(), reach.bottom()));
            Map<String, Object> placement = Map.of("centre", Map.of("x", wanted.centre().x(), "y", wanted.centre().y()), "scaleX",
                    scale, "scaleY", scale,
                    "turn", turn, "mirrored", wanted.mirrored());
            List<Double> shown = numbers("async ([picture, placement]) => { const g = await import('/js/geometry.js'); const p = "
                    + "g.held(picture, placement);"
                    + "return [p.centre.x, p.centre.y, p.scaleX]; }", List.of(picture, placement));
            assertThat(shown.get(0)).isCloseTo(expected.centre().x(), within(1e-6));
            assertThat(shown.get(1)).isCloseTo(expected.centre().y(), within(1e-6));
            assertThat(shown.get(2)).isCloseTo(expected.scaleX(), within(1e-9));
            List<Double> matrix = numbers("async ([picture, placement]) => { const g = await import('/js/geometry.js');"
                    + "const m = g.pictureMatrix({centre: {x: 7, y: 9}, turn: 33, mirrored: true}, picture, placement); return [m.a, "
                    + "m.b, m.c, m.d, m.e, m.f]; }", List.of(picture, placement));
            Affine own = new Seat(new Point(7, 9), 10, 10, 33, true).toSheet().after(wanted.toPanel(sitting.width(), sitting.height()));
            double[] core = {own.a(), own.b(), own.c(), own.d(), own.e(), own.f()};
            for (int k = 0; k < 6; k++) assertThat(matrix.get(k)).isCloseTo(core[k], within(1e-4));
        }
    }

    /** A wash and words over a picture: stacked, blended, written, moved, delivered as they are seen. */
    @Test
    void layersAreStackedWrittenAndMoved() throws Exception {
        newSheet("120", "80", "mm", "127");
        grid(1, 2);
        bring(new FilePayload("Ridges.jpg", "image/jpeg", jpeg(1500, 1000, 90)));
        click(panel(0));
        page.locator(".shelf-picture").click();
        undoSays("Fill with Ridges: Panel 1");
        page.locator("details[data-part=layers] summary").click();
        page.getByText("Add a wash").click();
        undoSays("Lay wash on top: Panel 1");
        page.locator(".layer").first().click();
        tint(page.locator(".wash .tint").first(), "#e09a17");
        undoSays("Wash: Panel 1");
        page.locator("select[data-field=blend]").selectOption("multiply");
        undoSays("Blend: Multiply · multiply: Panel 1");
        page.locator("[data-stop-in]").click();
        assertThat(page.locator(".stop [name=at]")).hasCount(3);
        page.locator(".stop [name=at]").first().fill("130");
        page.keyboard().press("Tab");
        assertThat(page.locator(".wash .problem")).containsText("between 0 and 100 %");
        page.getByText("Add words").click();
        undoSays("Lay words on top: Panel 1");
        page.locator(".layer").first().click();
        page.locator(".words [name=text]").fill("Tide mill\nopen day");
        page.keyboard().press("Tab");
        undoSays("Words: Panel 1");
        page.locator(".words [name=typeface]").selectOption("EB Garamond");
        page.locator(".words [name=size]").fill("24 pt");
        page.keyboard().press("Enter");
        assertThat(page.locator(".words [name=size]")).hasValue("24.0 pt");
        page.keyboard().press("3");
        page.locator(".layer").first().click();
        assertThat(page.locator("#marks .grip")).hasCount(0);
        drag(middle(panel(0)), 40, -30);
        undoSays("Move words: Panel 1");
        assertThat(page.locator(".words [name=across]")).not().hasValue("0.00 mm");
        page.locator(".layer").nth(2).click();
        assertThat(page.locator("#marks .grip")).not().hasCount(0);
        boardAsDelivered();
    }

    /** An answer that arrives while someone is in a field, or has begun to type there, takes nothing away. */
    @Test
    void whatIsTypedWhileAnAnswerIsOnItsWayStays() {
        newSheet("120", "80", "mm", "127");
        grid(1, 2);
        page.keyboard().press("2");
        click(panel(0));
        page.locator("details[data-part=layers] summary").click();
        page.getByText("Add words").click();
        undoSays("Lay words on top: Panel 1");
        page.locator(".layer").first().click();
        settled();
        List<Route> held = new ArrayList<>();
        Locator size = page.locator(".words [name=size]");
        for (List<String> typed : List.of(List.of("Oswald", "", "24 pt"), List.of("Caveat", "3", "2 pt"),
                List.of("Space Mono", "40 pt", ""))) {
            page.route("**/edits", held::add);
            page.locator(".words [name=typeface]").selectOption(typed.get(0));
            size.selectText();
            page.keyboard().insertText(typed.get(1));
            page.waitForCondition(() -> !held.isEmpty());
            page.unroute("**/edits");
            held.remove(0).resume();
            settled();
            page.keyboard().insertText(typed.get(2));
            page.keyboard().press("Enter");
            assertThat(size).hasValue((typed.get(1) + typed.get(2)).replace(" pt", ".0 pt"));
            assertThat(page.locator(".words [name=typeface]")).hasValue(typed.get(0));
        }
    }

    private static final String DROP = "async ([kind, x, y, name, width]) => { const canvas = document.createElement('canvas'); "
            + "canvas.width = width; canvas.height = 300;"
            + "canvas.getContext('2d').fillRect(0, 0, 20, 20); const blob = await new Promise(done => canvas.toBlob(done));"
            + "const data = new DataTransfer(); data.items.add(new File([blob], name + '.png', {type: 'image/png'}));"
            + "window.dispatchEvent(kind === 'drop' ? new DragEvent('drop', {dataTransfer: data, bubbles: true, cancelable: true, "
            + "clientX: x, clientY: y})"
            + ": new ClipboardEvent('paste', {clipboardData: data, bubbles: true, cancelable: true})); }";

    /** Files go straight into panels: dropped onto one, pasted into the selected ones; one that is there already is said. */
    @Test
    void filesGoStraightIntoPanels() {
        newSheet("120", "80", "mm", "100");
        grid(1, 2);
        double[] at = middle(panel(1));
        page.evaluate(DROP, List.of("drop", at[0], at[1], "Wharf", 400));
        undoSays("Fill with Wharf: Panel 2");
        click(panel(0));
        page.evaluate(DROP, List.of("paste", 0, 0, "Quay", 500));
        undoSays("Fill with Quay: Panel 1");
        page.evaluate(DROP, List.of("paste", 0, 0, "Quay again", 500));
        assertThat(page.locator(".say")).containsText("on the shelf already");
        assertThat(page.locator(".shelf-picture")).hasCount(2);
    }

    /** The shelf is found through, ordered and marked; marked pictures are placed one a click; a drag shows what it would look like. */
    @Test
    void theShelfIsOrderedMarkedAndPlacedOneByOne() {
        newSheet("120", "80", "mm", "100");
        grid(1, 3);
        bring(new FilePayload("Boat 10.jpg", "image/jpeg", jpeg(900, 300, 20)),
                new FilePayload("Boat 9.jpg", "image/jpeg", jpeg(300, 900, 80)),
                new FilePayload("Reeds.jpg", "image/jpeg", jpeg(600, 600, 140)));
        Locator shown = page.locator(".shelf > li:visible .shelf-name");
        assertThat(shown).hasText(new String[] {"Boat 10", "Boat 9", "Reeds"});
        page.locator("#shelf-order").selectOption("name");
        assertThat(shown).hasText(new String[] {"Boat 9", "Boat 10", "Reeds"});
        assertThat(page.locator(".shelf-size").first()).hasText("300 \u00d7 900, 1:3");
        page.locator("#shelf-find").fill("boat");
        assertThat(shown).hasText(new String[] {"Boat 9", "Boat 10"});
        page.locator("#shelf-find").fill("quay");
        assertThat(page.locator("#shelf-none")).isVisible();
        page.locator("#shelf-find").fill("");
        page.locator(".shelf-picture").nth(0).click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.CONTROL)));
        page.locator(".shelf-picture").nth(1).click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.SHIFT)));
        assertThat(page.locator("#marked-row")).containsText("2 marked");
        page.locator("[data-load]").click();
        click(panel(2));
        undoSays("Fill with Boat 9: Panel 3");
        click(panel(0));
        undoSays("Fill with Boat 10: Panel 1");
        assertThat(page.locator("#loaded")).isHidden();
        assertThat(page.locator("#panels image")).hasCount(2);
        assertThat(page.locator(".shelf-uses:visible")).hasCount(2);

        // A picture over the third panel is seen in it, and gone again when it moves on.
        BoundingBox picture = page.locator(".shelf-picture").nth(2).boundingBox();
        page.mouse().move(picture.x + 30, picture.y + 30);
        page.mouse().down();
        page.mouse().move(middle(panel(1))[0], middle(panel(1))[1], new Mouse.MoveOptions().setSteps(4));
        assertThat(page.locator("#panels image")).hasCount(3);
        page.mouse().move(middle(panel(1))[0], 90, new Mouse.MoveOptions().setSteps(3));
        assertThat(page.locator("#panels image")).hasCount(2);
        page.mouse().up();
        page.locator("[data-unshelve-unused]").click();
        undoSays("Remove Reeds from the shelf");
    }

    /** A deal is looked at before it is made, and left without a trace. */
    @Test
    void picturesAreDealt() {
        newSheet("120", "80", "mm", "100");
        grid(1, 2);
        bring(new FilePayload("Wide.jpg", "image/jpeg", jpeg(900, 300, 20)), new FilePayload("Tall.jpg", "image/jpeg", jpeg(300, 500, 80)),
                new FilePayload("Taller.jpg", "image/jpeg", jpeg(310, 520, 140)));
        page.locator("details[data-part=deal] summary").click();
        page.locator("[data-deal]").click();
        assertThat(page.locator("#deal-says")).containsText("is cut away on average");
        assertThat(page.locator("#deal-rows li")).hasCount(2);
        assertThat(page.locator("#panels image")).hasCount(2);
        assertThat(page.locator("#deal-rows")).not().containsText("Wide");
        page.locator("[data-deal-off]").click();
        assertThat(page.locator("#panels image")).hasCount(0);
        page.locator("[data-deal]").click();
        assertThat(page.locator("#panels image")).hasCount(2);
        page.locator("[data-deal]").click();
        undoSays("Deal pictures to 2 panels");
        page.locator("[data-deal]").click();
        assertThat(page.locator("#deal .problem")).containsText("No panel is empty");
    }

    /** Looking closer, a click sets the focal point; one that is proposed can be confirmed; it says where the picture is used. */
    @Test
    void aPictureIsLookedAtCloser() {
        newSheet("120", "80", "mm", "100");
        grid(1, 2);
        bring(new FilePayload("Reeds.jpg", "image/jpeg", jpeg(900, 600, 20)));
        click(panel(1));
        page.locator(".shelf-picture").click();
        undoSays("Fill with Reeds: Panel 2");
        closer(page.locator(".shelf li"));
        assertThat(page.locator("#closer")).containsText("900 \u00d7 600, 3:2");
        BoundingBox box = page.locator(".closer-picture image").boundingBox();
        page.mouse().click(box.x + box.width * 0.25, box.y + box.height * 0.5);
        undoSays("Focal point: Reeds");
        assertThat(page.locator("#closer")).containsText("Click elsewhere to move it");
        page.locator("[data-no-focal]").click();
        undoSays("No focal point: Reeds");
        page.locator("#closer [data-user]").click();
        assertThat(page.locator("#closer")).isHidden();
        assertThat(page.locator("#tag")).containsText("Panel 2");
    }

    /** Out of its panel as a float and back in, copied, exchanged in place and everywhere, dropped on the bare sheet. */
    @Test
    void contentGoesOutInAndAcross() {
        newSheet("200", "100", "mm", "100");
        grid(1, 2);
        bring(new FilePayload("Ridges.jpg", "image/jpeg", jpeg(1500, 600, 20)),
                new FilePayload("Noon.jpg", "image/jpeg", jpeg(900, 900, 170)));
        click(panel(0));
        page.locator(".shelf-picture").first().click();
        undoSays("Fill with Ridges: Panel 1");
        List<Double> before = imageLefts();
        page.locator("[data-edit=set-fit]").nth(1).click();
        undoSays("Fit: contain: Panel 1");
        page.locator("[data-edit=set-fit]").first().click();
        undoSays("Fit: cover: Panel 1");
        page.locator("[data-edit=move-out]").click();
        undoSays("Lift out of the panel: Panel 1");
        assertThat(page.locator("#panels .panel")).hasCount(3);
        assertThat(imageLefts().get(0)).isCloseTo(before.get(0), within(1e-3));
        assertThat(page.locator(".card-panel [aria-label=float]")).hasCount(1);
        page.locator(".card-panel").first().click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.SHIFT)));
        page.locator("[data-put-in]").click();
        undoSays("Into the panel: Panel 1");
        assertThat(page.locator("#panels .panel")).hasCount(2);
        assertThat(imageLefts().get(0)).isCloseTo(before.get(0), within(1e-3));

        page.keyboard().press("Escape");
        click(panel(0));
        page.locator("[data-copy]").click();
        click(panel(1));
        page.locator("#well").focus();
        page.keyboard().press("Control+v");
        undoSays("Copy Panel 1: Panel 2");
        page.locator("[name=goes]").selectOption("same");
        page.locator(".shelf-picture").nth(1).click();
        undoSays("In the same place: Noon");
        assertThat(page.locator(".say").filter(new Locator.FilterOptions().setHasText("the same frame is covered"))).hasCount(1);
        closer(page.locator(".shelf li").nth(1));
        page.locator("#replace-by").selectOption("Ridges");
        page.locator("[data-replace]").click();
        undoSays("Replace Noon by Ridges");
        assertThat(page.locator(".say").filter(new Locator.FilterOptions().setHasText("the same frames are covered"))).hasCount(1);
        BoundingBox paper = page.locator("#paper").boundingBox();
        page.evaluate(DROP, List.of("drop", paper.x + 8, paper.y + 8, "Corner", 400));
        undoSays("Panel of Corner");
        assertThat(page.locator("#panels .panel")).hasCount(3);
    }

    /** One picture becomes panels in one step; what that loses is said before. */
    @Test
    void aPictureIsSplit() {
        newSheet("100", "200", "mm", "100");
        bring(new FilePayload("Ridges.jpg", "image/jpeg", jpeg(1500, 600, 20)));
        closer(page.locator(".shelf li"));
        page.locator("#closer summary").first().click();
        assertThat(page.locator("#split-says")).containsText("9 panels. Nothing is cut off at its edges");
        page.getByText("Fill the margins").click();
        assertThat(page.locator("#split-says")).containsText("The whole picture fits better");
        page.locator("#split [data-kind=even-grid] [name=rows]").fill("0");
        assertThat(page.locator("#split .problem")).not().isEmpty();
        page.locator("#split [data-kind=even-grid] [name=rows]").fill("2");
        assertThat(page.locator("#split-says")).containsText("6 panels");
        page.locator("#split .btn-primary").click();
        undoSays("Split Ridges");
        assertThat(page.locator("#closer")).isHidden();
        assertThat(page.locator("#panels image")).hasCount(6);
        assertThat(page.locator(".card-panel.chosen")).hasCount(6);
    }

    /**
     * What is bare is hatched and named, and covered again for all; two fingers zoom; nudges are given on; a vista lies behind the sheet.
     */
    @Test
    void bareAreasFingersAndNudges() {
        newSheet("200", "100", "mm", "100");
        grid(1, 2);
        bring(new FilePayload("Ridges.jpg", "image/jpeg", jpeg(1500, 600, 20)));
        page.locator("#well").focus();
        page.keyboard().press("Control+a");
        page.locator(".shelf-picture").click();
        undoSays("Fill with Ridges: 2 panels");
        page.locator("[data-edit=set-fit]").nth(1).click();
        undoSays("Fit: contain: 2 panels");
        assertThat(page.locator("#panels .bare-area")).hasCount(2);
        page.keyboard().press("3");
        assertThat(page.locator("[data-part=bare]")).containsText("Panel 1, Panel 2 are bare.");
        page.locator("[data-cover-all]").click();
        undoSays("Cover again: 2 panels");
        assertThat(page.locator("#panels .bare-area")).hasCount(0);
        page.keyboard().press("Escape");
        click(panel(0));
        assertThat(page.locator("#marks .slack")).not().hasCount(0);
        double[] at = middle(panel(0));
        page.evaluate("([x, y]) => { const well = document.getElementById('well'); const finger = (type, pointerId, dx) => "
                + "document.elementFromPoint(x + dx, y).dispatchEvent(new PointerEvent(type,"
                + "{pointerId, pointerType: 'touch', clientX: x + dx, clientY: y, bubbles: true, button: 0})); well.setPointerCapture = "
                + "() => {};"
                + "finger('pointerdown', 11, -20); finger('pointerdown', 12, 20); finger('pointermove', 12, 60); finger('pointerup', 12,"
                + " 60); finger('pointerup', 11, -20); }", List.of(at[0], at[1]));
        undoSays("Zoom picture: Panel 1");
        assertThat(page.locator("#zoom-number")).hasValue("200 %");

        page.keyboard().press("Control+a");
        page.keyboard().press("2");
        page.locator("[name=goes]").selectOption("vista");
        page.locator(".shelf-picture").click();
        undoSays("Vista of Ridges: 2 panels");
        page.keyboard().press("3");
        page.locator("[data-edit=back-vista]").click();
        undoSays("Vista behind the sheet");
        assertThat(page.locator("#panels .panel")).hasCount(3);
        page.keyboard().press("Escape");
        click(panel(1));
        page.getByText("This panel", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(page.locator("[data-part=bare]")).containsText("Background is bare.");
        assertThat(page.locator("[data-part=picture] .verdict")).containsText("Covers the panel.");
        page.locator("#zoom-number").fill("140");
        page.keyboard().press("Enter");
        undoSays("Zoom picture: Panel 1");
        assertThat(page.locator("[data-copy-nudge]")).hasCount(0);
        page.keyboard().down("Shift");
        click(panel(2));
        page.keyboard().up("Shift");
        page.locator("[data-copy-nudge]").click();
        undoSays("Nudge as Panel 1: Panel 2");
    }
}
