package plainlantern.studio;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.KeyboardModifier;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** What presses, drags, keys and switches mean: each as a person makes them. */
class HandsBrowserTest extends Browsed {
    private final FilePayload ridges = new FilePayload("Ridges.jpg", "image/jpeg", jpeg(1500, 1000, 90));

    /** So many panels side by side on a sheet of 120 by 80 mm, filled with one picture each, or together. */
    private void filled(int columns, boolean vista) {
        newSheet("120", "80", "mm", "127");
        grid(1, columns);
        bring(ridges);
        page.locator("#well").focus();
        page.keyboard().press("Control+a");
        if (vista) page.locator("[name=goes]").selectOption("vista");
        page.locator(".shelf-picture").click();
        undoSays((vista ? "Vista of" : "Fill with") + " Ridges: " + (columns == 1 ? "Panel 1" : columns + " panels"));
        page.keyboard().press("Escape");
    }

    private void shiftClick(Locator what) {
        page.keyboard().down("Shift");
        click(what);
        page.keyboard().up("Shift");
    }

    /** Where a picture's box is on the screen. */
    private BoundingBox image(int panel) {
        return page.locator("#panels .panel").nth(panel).locator("image").first().boundingBox();
    }

    private int pixel(double x, double y) throws Exception {
        sharp();
        byte[] shot = page.screenshot(new Page.ScreenshotOptions().setClip(x, y, 1, 1));
        return ImageIO.read(new ByteArrayInputStream(shot)).getRGB(0, 0) & 0xFFFFFF;
    }

    /** A press that is held at the end of a drag. */
    private void dragAndHold(double[] from, double dx, double dy) {
        page.mouse().move(from[0], from[1]);
        page.mouse().down();
        page.mouse().move(from[0] + dx / 2, from[1] + dy / 2);
        page.mouse().move(from[0] + dx, from[1] + dy);
        page.evaluate("() => new Promise(requestAnimationFrame)");
    }

    /** Words take spaces and line breaks as they are typed; a summary opens with Space. */
    @Test
    void spacesAreTypedIntoWords() {
        newSheet("120", "80", "mm", "127");
        page.keyboard().press("5");
        exact("A caption").click();
        page.locator("textarea[name=text]").click();
        page.keyboard().press("Control+a");
        page.keyboard().type("High water at two");
        page.locator("#well").focus();
        settled();
        assertThat(page.locator("textarea[name=text]")).hasValue("High water at two");
        page.locator("details[data-part=palette] > summary").focus();
        page.keyboard().press("Space");
        assertThat(page.locator("details[data-part=palette]")).hasAttribute("open", "");
    }

    /** Where panels lie over each other, what they show is as bright as elsewhere, lit whole and in a pattern's preview. */
    @Test
    void overlapsAreNoHoles() throws Exception {
        filled(2, true);
        page.keyboard().press("1");
        click(panel(0));
        drag(middle(panel(0)), 180, 0);
        page.keyboard().press("3");
        double[] over = middle(panel(1));
        double x = page.locator("#panels .panel .form").nth(1).boundingBox().x + 40;
        int before = pixel(x, over[1] + 60);
        click(panel(1));
        assertThat(page.locator("#marks mask#around path")).hasCount(3);
        assertThat(pixel(x, over[1] + 60)).as("where two lie over each other").isEqualTo(before);
        page.keyboard().press("1");
        page.keyboard().press("Escape");
        page.locator("[data-pattern=scatter]").click();
        number("count", 12);
        assertThat(page.locator("#hints .cell")).hasCount(12);
    }

    /**
     * The first is the one that was clicked first: its finish is given, its nudge is given, to those that are selected and to no others.
     */
    @Test
    void theFirstIsTheOneClickedFirst() {
        filled(3, true);
        page.keyboard().press("5");
        click(panel(2));
        type(field("width"), "2 mm");
        click(panel(2));
        shiftClick(panel(0));
        exact("To the selected").click();
        undoSays("Copy finish of Panel 3");
        assertThat(page.locator("#panels .panel[data-id=p1] .rim")).hasCount(1);
        assertThat(page.locator("#panels .panel[data-id=p2] .rim")).hasCount(0);
        page.keyboard().press("3");
        page.keyboard().press("Escape");
        click(panel(2));
        exact("This panel").click();
        page.locator("#well").focus();
        page.keyboard().press("Shift+ArrowRight");
        undoSays("Move picture: Panel 3");
        assertThat(exact("Nudge the others alike")).hasCount(0);
        List<Double> lefts = imageLefts();
        shiftClick(panel(0));
        exact("Nudge the others alike").click();
        undoSays("Nudge as Panel 3: Panel 1");
        assertThat(imageLefts().get(0)).isCloseTo(lefts.get(0) + 10, within(0.1));
        assertThat(imageLefts().get(1)).isCloseTo(lefts.get(1), within(1e-6));
    }

    /** A sheet made so small that filled panels have no room asks twice: what becomes of the panels, and whether those may go. */
    @Test
    void aSmallerSheetAsksAndIsAgreedTo() {
        newSheet("200", "100", "mm", "127");
        page.locator("[data-pattern=step-and-repeat]").click();
        for (String side : List.of("width", "height")) number(side, 40);
        assertThat(page.locator("#pattern-says")).containsText("8 fit");
        page.locator("#pattern-form .btn-primary").click();
        bring(ridges);
        page.locator("#well").focus();
        page.keyboard().press("Control+a");
        page.locator(".shelf-picture").click();
        undoSays("Fill with Ridges: 8 panels");
        page.keyboard().press("1");
        page.keyboard().press("Escape");
        page.locator("details[data-part=sheet] > summary").click();
        for (boolean sure : new boolean[] {false, true}) {
            type(page.locator("[data-size=width]"), "100");
            page.locator("#ask button[value=again]").click();
            assertThat(page.locator("#ask p")).containsText("would go");
            page.locator(sure ? "#ask .answers button" : "#ask .dialog-end button").click();
            settled();
            assertThat(page.locator("#panels .panel")).hasCount(sure ? 4 : 8);
        }
        undoSays("Set up sheet");
    }

    /** A panel that looks through slides over its picture while it is dragged, and the tag says what will be; with p any panel does. */
    @Test
    void whatStaysStaysWhileItIsDragged() {
        filled(2, true);
        page.keyboard().press("1");
        click(panel(1));
        assertThat(page.locator("#tag")).containsText("covered");
        BoundingBox was = image(1);
        dragAndHold(middle(panel(1)), 330, 0);
        assertThat(image(1).x).isCloseTo(was.x, within(0.6));
        assertThat(page.locator("#tag")).containsText("bare");
        assertThat(field("left")).not().hasValue("60.50 mm");
        page.mouse().up();
        settled();
        assertThat(image(1).x).isCloseTo(was.x, within(0.6));
        assertThat(page.locator("#panels .panel.bare")).hasCount(1);
        page.keyboard().press("Control+z");
        page.keyboard().press("2");
        click(panel(0));
        page.locator("[name=goes]").selectOption("each");
        page.locator(".shelf-picture").click();
        undoSays("Fill with Ridges: Panel 1");
        page.keyboard().press("1");
        page.locator("#well").focus();
        BoundingBox own = image(0);
        page.keyboard().down("p");
        dragAndHold(middle(panel(0)), 20, 10);
        assertThat(image(0).x).isCloseTo(own.x, within(0.6));
        page.mouse().up();
        page.keyboard().up("p");
        undoSays("Move over the picture: Panel 1");
        page.locator("#still").check();
        type(field("width"), "30");
        undoSays("Resize: Panel 1");
        assertThat(page.locator("#still")).isChecked();
    }

    /**
     * A tool has the board for itself: a cut that begins at a handle cuts. A drag with Ctrl moves what was pressed. Shift on bare paper
     * lets go of nothing.
     */
    @Test
    void toolsAndModifiers() {
        mySheets();
        filled(2, false);
        page.keyboard().press("1");
        click(panel(0));
        double[] corner = middle(page.locator("[data-handle=nw]"));
        page.keyboard().press("k");
        BoundingBox box = panel(0).boundingBox();
        drag(corner, box.width, box.height);
        undoSays("Cut");
        page.keyboard().press("k");
        page.keyboard().press("Control+z");
        undoSays("Fill with Ridges: 2 panels");
        page.keyboard().press("Escape");
        page.keyboard().down("Control");
        drag(middle(panel(1)), 30, 12);
        page.keyboard().up("Control");
        undoSays("Move: Panel 2");
        BoundingBox sheet = page.locator("#paper").boundingBox();
        for (String stage : List.of("1", "2", "3", "4", "5", "6")) {
            page.keyboard().press(stage);
            click(panel(0));
            page.keyboard().down("Shift");
            page.mouse().click(sheet.x + 4, sheet.y + 4);
            page.keyboard().up("Shift");
            settled();
            assertThat(page.locator(".card-panel.chosen")).hasCount(1);
            page.mouse().click(sheet.x + 4, sheet.y + 4);
            assertThat(page.locator(".card-panel.chosen")).hasCount(0);
        }
        page.keyboard().press("Control+z");
        assertThat(page.locator("#redo")).isEnabled();
        page.keyboard().press("Control+y");
        undoSays("Move: Panel 2");
        page.keyboard().press("2");
        page.locator("#shelf-order").focus();
        page.keyboard().press("6");
        assertThat(page.locator("#faults")).isVisible();
        page.goBack();
        page.waitForURL("**/sheets");
    }

    /**
     * Between the slices of a lit vista the paper moves it; a small panel keeps its middle for dragging; h shows the sheet alone; the tag
     * stands off.
     */
    @Test
    void thePaperBetweenSlicesAndTheMarks() {
        filled(2, true);
        page.keyboard().press("3");
        click(panel(0));
        BoundingBox left = panel(0).boundingBox();
        BoundingBox right = panel(1).boundingBox();
        drag(new double[] {(left.x + left.width + right.x) / 2, left.y + left.height / 2}, 25, 0);
        undoSays("Move vista: Panel 1");
        assertThat(page.locator(".card-panel.chosen")).hasCount(1);
        BoundingBox tag = page.locator("#tag").boundingBox();
        for (Locator measure : page.locator("#marks .slack").all()) {
            BoundingBox m = measure.boundingBox();
            assertThat(tag.x + tag.width < m.x || m.x + m.width < tag.x || tag.y + tag.height < m.y || m.y + m.height < tag.y).isTrue();
        }
        assertThat(tag.y >= left.y + left.height || tag.y + tag.height <= left.y || tag.x >= left.x + left.width)
                .as("off what is judged").isTrue();
        page.keyboard().press("1");
        page.locator("#well").focus();
        page.keyboard().down("h");
        assertThat(page.locator("#marks")).isHidden();
        assertThat(page.locator("#tag")).isHidden();
        page.keyboard().up("h");
        assertThat(page.locator("#tag")).isVisible();
        type(field("width"), "5");
        type(field("height"), "4");
        settled();
        BoundingBox small = panel(0).boundingBox();
        for (String handle : List.of("n", "s", "e", "w")) {
            double[] at = middle(page.locator("[data-handle=" + handle + "]"));
            assertThat(Math.abs(at[0] - small.x - small.width / 2) > small.width / 2 + 8
                    || Math.abs(at[1] - small.y - small.height / 2) > small.height / 2 + 8).as(handle).isTrue();
        }
        drag(middle(panel(0)), 40, 30);
        undoSays("Move: Panel 1");
    }

    /** One panel is drawn, with Shift regular, or set by a click; typed sizes have a point that stays, and may keep proportions. */
    @Test
    void onePanelIsDrawn() {
        newSheet("200", "100", "mm", "100");
        BoundingBox sheet = page.locator("#paper").boundingBox();
        page.getByLabel("Draw an ellipse").click();
        assertThat(page.getByLabel("Draw an ellipse")).hasAttribute("aria-pressed", "true");
        page.keyboard().down("Shift");
        drag(new double[] {sheet.x + 100, sheet.y + 60}, 120, 40);
        page.keyboard().up("Shift");
        undoSays("Add ellipse");
        assertThat(number("width")).isCloseTo(number("height"), within(0.02));
        assertThat(number("width")).isGreaterThan(20);
        page.locator("[name=anchor]").nth(5).check();
        page.locator("#alike-sides").check();
        double edge = number("left") + number("width");
        type(field("width"), "10");
        settled();
        assertThat(number("height")).isCloseTo(10, within(0.02));
        assertThat(number("left") + number("width")).isCloseTo(edge, within(0.02));
        page.keyboard().press("Escape");
        page.getByLabel("Draw a star").click();
        page.mouse().click(sheet.x + sheet.width - 120, sheet.y + 120);
        undoSays("Add star");
        assertThat(page.locator("#panels .panel")).hasCount(2);
        page.getByLabel("Draw a heart").focus();
        page.keyboard().press("Enter");
        page.keyboard().press("Enter");
        undoSays("Add heart");
        page.locator("[data-edit=set-outline][data-form=polygon]").click();
        page.locator("[data-part=sheet]");
        assertThat(page.locator("#tag")).containsText("Panel 3");
    }

    /**
     * A double click on the shelf fills once; looking closer has a button and a key. How new pictures go in is seen at the board, and
     * belongs to its sheet.
     */
    @Test
    void theShelf() {
        filled(2, false);
        bring(new FilePayload("Reeds.jpg", "image/jpeg", jpeg(900, 600, 200)));
        click(panel(0));
        page.locator(".shelf-picture").nth(1).dblclick();
        undoSays("Fill with Reeds: Panel 1");
        assertThat(page.locator("#closer")).isHidden();
        page.locator(".shelf-picture").first().hover();
        page.keyboard().press("l");
        assertThat(page.locator("#closer h2")).hasText("Ridges");
        page.locator(".closer-more summary").filter(new Locator.FilterOptions().setHasText("Make a panel of it")).click();
        page.locator("#over-locked").check();
        exact("Over the whole sheet").click();
        undoSays("Over the sheet: Ridges");
        assertThat(page.locator("#panels .panel.locked")).hasCount(1);
        page.keyboard().press("Control+z");
        undoSays("Fill with Reeds: Panel 1");
        click(panel(0));
        page.locator("[name=goes]").selectOption("top");
        assertThat(page.locator("#goes-note")).containsText("add on top");
        page.locator(".shelf-picture").first().click();
        undoSays("Lay picture on top: Panel 1");
        page.locator("details[data-part=layers] > summary").click();
        assertThat(page.locator(".layers li").first()).hasClass("on");
        page.getByText("Add words").click();
        assertThat(page.locator("textarea[name=text]")).isVisible();
        page.locator(".layers li [data-switch-layer]").nth(1).click();
        undoSays("Layer off: Panel 1");
        assertThat(page.locator("#panels .panel[data-id=p1] image")).hasCount(1);
        page.locator(".layers li [data-switch-layer]").nth(1).click();
        assertThat(page.locator("#panels .panel[data-id=p1] image")).hasCount(2);
        home();
        newSheet("90", "60", "mm", "100");
        page.keyboard().press("2");
        assertThat(page.locator("[name=goes]")).hasValue("each");
        assertThat(page.locator("#goes-note")).isHidden();
    }

    /**
     * Waiting pictures stand in a strip; the panel under the pointer shows the next one; on the bare sheet it gets a panel of its own
     * shape.
     */
    @Test
    void picturesArePlacedOneByOne() {
        newSheet("120", "80", "mm", "127");
        grid(1, 2);
        bring(ridges, new FilePayload("Reeds.jpg", "image/jpeg", jpeg(600, 900, 200)));
        for (int i = 0; i < 2; i++) page.locator(".shelf-picture").nth(i)
                .click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.CONTROL)));
        page.locator("[data-load]").click();
        assertThat(page.locator("#loaded li")).hasCount(2);
        assertThat(page.locator("#loaded li.next")).hasCount(1);
        double[] first = middle(panel(0));
        page.mouse().move(first[0], first[1], new Mouse.MoveOptions().setSteps(3));
        assertThat(page.locator("#panels image")).hasCount(1);
        page.mouse().move(first[0], 70, new Mouse.MoveOptions().setSteps(3));
        assertThat(page.locator("#panels image")).hasCount(0);
        click(panel(0));
        undoSays("Fill with Ridges: Panel 1");
        BoundingBox sheet = page.locator("#paper").boundingBox();
        page.mouse().click(sheet.x + sheet.width / 2, sheet.y + 5);
        undoSays("Panel of Reeds");
        assertThat(page.locator("#panels .panel")).hasCount(3);
        assertThat(page.locator("#loaded")).isHidden();
    }

    /** Paper has kinds with labels, and each is what it was when one comes back to it; a new sheet's name is ready to be typed over. */
    @Test
    void paperIsRemembered() {
        newSheet("120", "80", "mm", "127");
        page.keyboard().press("5");
        page.reload();
        ready();
        page.locator("details[data-part=paper] > summary").click();
        for (String kind : List.of("Colour", "Colours", "Picture", "None"))
            assertThat(page.locator("[data-paper]").filter(new Locator.FilterOptions().setHasText(kind)).first()).isVisible();
        tint(page.locator("#paper-plain .tint"), "#F4EBDD");
        undoSays("Paper");
        page.locator("[data-paper=none]").click();
        assertThat(page.locator("#ground path, #ground rect")).hasCount(0);
        page.locator("[data-paper=plain]").click();
        assertThat(page.locator("#ground")).containsText("");
        assertThat(page.locator("#paper-plain [name=colour]")).hasValue("#F4EBDD");
        home();
        page.getByText("New sheet").first().click();
        page.keyboard().type("Evening");
        assertThat(page.locator("dialog [name=name]")).hasValue("Evening");
    }

    /**
     * What was typed beyond the room, and a focal point that stops short, are said; enlarging is offered. Lengths that are remembered know
     * their unit.
     */
    @Test
    void whatComesOutOtherwiseIsSaid() {
        filled(1, false);
        page.keyboard().press("3");
        click(panel(0));
        type(field("across"), "80");
        assertThat(page.locator(".say").last()).containsText("It stops at");
        double[] at = middle(panel(0));
        page.mouse().move(at[0] - 150, at[1]);
        page.keyboard().press("c");
        page.locator("#well").focus();
        page.keyboard().press("f");
        undoSays("Focal point: Ridges");
        assertThat(page.locator(".say:has-text('It stops at')").count()).as("what was said of the edit before").isZero();
        exact("The centre").click();
        assertThat(page.locator(".say").last()).containsText("short of the centre");
        page.locator(".say-deed").click();
        assertThat(page.locator("[data-part=focal] .says")).hasText("In the middle.");
        page.keyboard().press("1");
        page.locator("#cut-gap").fill("0.4");
        page.locator("#cut-gap").press("Enter");
        page.keyboard().press("Escape");
        page.locator("details[data-part=sheet] > summary").click();
        page.locator("[data-set-up=unit]").selectOption("cm");
        settled();
        home();
        newSheet("12", "8", "cm", "127");
        assertThat(page.locator("#cut-gap")).hasValue("0.4 mm");
    }

    /** Two rules are called that. */
    @Test
    void thingsAreCalledWhatTheyAre() {
        filled(3, false);
        page.keyboard().press("5");
        exact("Rules along gaps").click();
        assertThat(page.locator("#tag b")).hasText("2 rules");
        assertThat(page.locator("[data-part=named] h3")).containsText("2 rules");
        page.keyboard().press("Delete");
        undoSays("Delete: 2 rules");
    }

    /** Whatever blends with whatever paper: the board shows what the file has. */
    @Test
    void whatBlendsWithThePaperIsAsInTheFile() throws Exception {
        newSheet("160", "120", "mm", "127");
        grid(4, 4);
        bring(ridges);
        page.locator("#well").focus();
        page.keyboard().press("Control+a");
        page.locator(".shelf-picture").click();
        undoSays("Fill with Ridges: 16 panels");
        page.keyboard().press("5");
        page.keyboard().press("Escape");
        Locator blend = page.locator("[data-part=look] select[data-field=blend]");
        for (int i = 1; i < 16; i++) {
            click(panel(i));
            String mode = page.locator("[data-part=look] select[data-field=blend] option").nth(i).getAttribute("value");
            blend.selectOption(mode);
            assertThat(page.locator("#panels .panel").nth(i).locator(".blend-" + mode)).hasCount(1);
        }
        page.keyboard().press("Escape");
        page.locator("details[data-part=paper] > summary").click();
        tint(page.locator("#paper-plain .tint"), "#C8963C");
        for (String paper : List.of("plain", "washed", "pictured", "none")) {
            if (!paper.equals("plain")) page.locator("[data-paper=" + paper + "]").click();
            settled();
            page.keyboard().press("7");
            var download = page.waitForDownload(() -> page.locator("#make").click());
            BufferedImage file = ImageIO.read(java.nio.file.Files.newInputStream(download.path()));
            // What stays clear shows the well.
            BufferedImage onWell = new BufferedImage(file.getWidth(), file.getHeight(), BufferedImage.TYPE_3BYTE_BGR);
            onWell.createGraphics().drawImage(file, 0, 0, new java.awt.Color(0x6B6C6D), null);
            assertThat(boardDifference(onWell)).as(paper).isLessThan(1.2);
            page.setViewportSize(1280, 800);
            page.keyboard().press("5");
        }
    }
}
