package plainlantern.studio;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Tone in a real browser: sliders and exact numbers, before and after, names, matching, tables of colours. */
class ToneBrowserTest extends Browsed {
    /** Two panels, each with another picture, in Tone with the first one chosen. */
    private void toned() throws Exception {
        newSheet("120", "80", "mm", "127");
        grid(1, 2);
        bring(new FilePayload("Ridges.jpg", "image/jpeg", jpeg(1500, 1000, 90)), new FilePayload("Reeds.jpg", "image/jpeg", jpeg(1200,
                900, 40)));
        for (int i = 0; i < 2; i++) {
            page.keyboard().press("Escape");
            click(panel(i));
            page.locator(".shelf-picture").nth(i).click();
            undoSays(Pattern.compile("Fill with .*: Panel " + (i + 1)));
        }
        page.keyboard().press("4");
        page.keyboard().press("Escape");
        assertThat(page.locator("[data-part=nothing]")).containsText("Click a picture");
        click(panel(0));
    }

    private void undoSays(Pattern title) {
        assertThat(page.locator("#undo")).hasAttribute("title", Pattern.compile("Undo " + title.pattern()));
    }

    private Locator value(String name) {
        return page.locator("#bench [data-tone=" + name + "]:visible [data-field]");
    }

    private String shown(int at) {
        return panel(at).locator("xpath=..").locator("image").getAttribute("href");
    }

    /**
     * A drag of a slider paints the picture as it goes and is one step; a double click is neutral again; nonsense is refused at its
     * field.
     */
    @Test
    void aSliderIsOneStepHoweverLongItMoved() throws Exception {
        toned();
        String before = shown(0);
        Locator slider = page.locator("[data-tone=exposure] [type=range]");
        // Under a pointer that rests it does not move any more.
        slider.hover();
        BoundingBox range = slider.boundingBox();
        page.mouse().move(range.x + range.width / 2, range.y + range.height / 2);
        page.mouse().down();
        page.mouse().move(range.x + range.width * 0.6, range.y + range.height / 2);
        assertThat(page.locator("#panels image").first()).hasAttribute("href", Pattern.compile("/live$"));
        page.mouse().move(range.x + range.width / 2, range.y + range.height / 2);
        assertThat(page.locator("#panels image").first()).hasAttribute("href", before);
        page.mouse().move(range.x + range.width * 0.6, range.y + range.height / 2);
        assertThat(page.locator("#panels image").first()).hasAttribute("href", Pattern.compile("/live$"));
        page.mouse().move(range.x + range.width / 2, range.y + range.height / 2);
        page.mouse().up();
        assertThat(page.locator("#panels image").first()).hasAttribute("href", before);
        assertThat(page.locator("#undo")).hasAttribute("title", Pattern.compile("Undo Fill with .*"));
        page.mouse().down();
        page.mouse().move(range.x + range.width * 0.7, range.y + range.height / 2);
        page.mouse().up();
        undoSays("Exposure: Panel 1");
        assertThat(value("exposure")).hasValue(Pattern.compile("[12](\\.\\d+)? stops?"));
        assertThat(page.locator("#histogram p")).containsText("Cut off");
        page.locator("[data-tone=exposure] label").dblclick();
        assertThat(value("exposure")).hasValue("0 stops");
        undoSays("Exposure: Panel 1");
        assertThat(page.locator("#panels image").first()).hasAttribute("href", Pattern.compile("^" + before.replaceFirst("[^/]+$",
                "") + "\\w+$"));
        page.keyboard().press("Control+z");
        page.keyboard().press("Control+z");
        assertThat(page.locator("#undo")).hasAttribute("title", Pattern.compile("Undo Fill with .*"));
        type(value("contrast"), "lots");
        assertThat(page.locator("[data-part=tone-levels] .problem")).containsText("lots");
        type(value("contrast"), "240 %");
        assertThat(page.locator("[data-part=tone-levels] .problem")).containsText("from -100 to 100 %");
        assertThat(page.locator("#undo")).hasAttribute("title", Pattern.compile("Undo Fill with .*"));
    }

    /** Every part at once, by keys and numbers: the board is the delivery; b shows it as it was, a line shows both. */
    @Test
    void theBoardIsTheDelivery() throws Exception {
        toned();
        type(value("temperature"), "30");
        undoSays("Temperature: Panel 1");
        type(value("shadows"), "40 %");
        undoSays("Shadows: Panel 1");
        page.locator("[data-hue=blue]").click();
        type(value("hue"), "25°");
        undoSays("Blue colours: Panel 1");
        page.locator("[data-part=tone-vignette] summary").click();
        type(value("edge"), "-60");
        undoSays("Corners: Panel 1");
        page.locator("[data-part=tone-brightness] summary").click();
        page.locator("[data-recolour='']").click();
        undoSays("Recolour: Panel 1");
        type(page.locator(".tone-stops [name=at]").nth(1), "40 %");
        undoSays("Colours by brightness: Panel 1");
        type(value("strength"), "60");
        undoSays("Colours by brightness: Panel 1");
        click(panel(1));
        page.locator("#tone-mono").check();
        undoSays("Black and white: Panel 2");
        assertThat(page.locator("#panels image").nth(1)).hasAttribute("href", Pattern.compile("/pictures/[0-9a-f]{64}/[\\w-]{20,}/\\w+"));
        String after = shown(1);
        page.locator("#well").focus();
        page.keyboard().down("b");
        assertThat(page.locator("#panels image").nth(1)).hasAttribute("href", Pattern.compile("/pictures/[0-9a-f]{64}/\\w+"));
        page.keyboard().up("b");
        assertThat(page.locator("#panels image").nth(1)).hasAttribute("href", after);
        page.locator("#tone-split").click();
        assertThat(page.locator("#before image[href*='/medium']").first()).isAttached();
        assertThat(page.locator("#compare")).isVisible();
        page.locator("#tone-split").click();
        assertThat(page.locator("#compare")).isHidden();
        boardAsDelivered();
    }

    /** A name is followed, one picture comes near another, points are found, and a tone goes to all and away. */
    @Test
    void tonesArePassedOn() throws Exception {
        toned();
        type(value("exposure"), "0.5");
        undoSays("Exposure: Panel 1");
        type(page.locator("#keep-tone [name=name]"), "Dusk");
        undoSays("Name tone: Dusk");
        click(panel(1));
        page.locator("[data-follow-tone]").selectOption(page.locator("[data-follow-tone] option").nth(1).getAttribute("value"));
        undoSays("Tone Dusk: Panel 2");
        type(value("exposure"), "-1");
        undoSays("Exposure: Panel 2");
        click(panel(0));
        assertThat(value("exposure")).hasValue("\u22121 stop");
        page.locator("[data-even]").click();
        undoSays("Even: Panel 1");
        page.locator("[data-clear-tone='']").click();
        undoSays("No tone: Panel 1");
        page.keyboard().down("Shift");
        click(panel(1));
        page.keyboard().up("Shift");
        page.locator("#tone-match button").click();
        undoSays("Match: Panel 1");
        page.locator("#tone-all").click();
        assertThat(page.locator("[data-part=whose] h3")).containsText("2 pictures");
        page.locator("#well").focus();
        page.keyboard().press("Delete");
        undoSays("No tone: 2 panels");
        assertThat(page.locator("#panels image[data-before]")).hasCount(0);
    }

    /** A table is brought, used, and refused in words where it is damaged. */
    @Test
    void aColourTableIsBrought() throws Exception {
        toned();
        page.locator("[data-part=tone-table] summary").click();
        page.waitForFileChooser(() -> page.locator("#tone-bring").click())
                .setFiles(new FilePayload("half.cube", "text/plain", "LUT_3D_SIZE 2\n0 0 0\n".getBytes(StandardCharsets.UTF_8)));
        assertThat(page.locator("[data-part=tone-table] .problem")).containsText("half.cube is cut off");
        page.waitForFileChooser(() -> page.locator("#tone-bring").click())
                .setFiles(new FilePayload("Negative.cube", "text/plain", "LUT_1D_SIZE 2\n1 1 1\n0 0 0\n".getBytes(StandardCharsets.UTF_8)));
        undoSays("Colour table: Panel 1");
        assertThat(page.locator("#tone-tables option:checked")).hasText("Negative");
        type(value("strength"), "50 %");
        undoSays("Colour table: Panel 1");
        page.locator("#tone-unlist button").click();
        assertThat(page.locator("#tone-unlist")).isHidden();
        assertThat(page.locator("#tone-tables option:checked")).hasText("Negative");
        page.locator("#tone-tables").selectOption("");
        undoSays("No colour table: Panel 1");
        assertThat(page.locator("#panels image[data-before]")).hasCount(0);
        assertThat(page.locator("#tone-tables option")).hasCount(1);
    }

    /** A glaze over all is toned and blurred, lets clicks through, and sees what changes; the board is the delivery. */
    @Test
    void aGlazeShowsWhatLiesBeneath() throws Exception {
        toned();
        page.locator("text=Over the whole sheet").click();
        undoSays("Glaze over the sheet");
        String clear = shown(2);
        type(value("blur"), "2 mm");
        undoSays("Blur: Glaze 3");
        page.locator("[data-tone=exposure] [type=range]").hover();
        BoundingBox range = page.locator("[data-tone=exposure] [type=range]").boundingBox();
        page.mouse().move(range.x + range.width / 2, range.y + range.height / 2);
        page.mouse().down();
        page.mouse().move(range.x + range.width * 0.6, range.y + range.height / 2);
        assertThat(glaze()).hasAttribute("href", Pattern.compile("/live$"));
        page.mouse().up();
        undoSays("Exposure: Glaze 3");
        type(value("opacity"), "80");
        undoSays(Pattern.compile(".*Glaze 3"));
        assertThat(glaze()).hasAttribute("href", Pattern.compile("/glazes/p3-[0-9a-f]+/[\\w-]{20,}/\\d+$"));
        assertThat(glaze()).not().hasAttribute("href", clear);
        // What lies beneath is still there for a click, and what becomes of it is seen through the glaze.
        String before = settled(glaze());
        click(panel(0));
        assertThat(page.locator("[data-part=whose] h3")).containsText("Panel 1");
        type(value("exposure"), "-1");
        undoSays("Exposure: Panel 1");
        assertThat(glaze()).not().hasAttribute("href", before);
        // Its card follows once the board has it.
        String now = settled(glaze()).replaceFirst("\\d+$", "");
        assertThat(page.locator("#cards [data-id=p3] image")).hasAttribute("href", Pattern.compile(now + "\\d+$"));
        page.locator("#well").focus();
        page.keyboard().down("b");
        assertThat(glaze()).isHidden();
        page.keyboard().up("b");
        assertThat(glaze()).isVisible();
        page.locator("text=Frosted, under the selection").click();
        undoSays("Glaze under: Panel 1");
        page.keyboard().press("Delete");
        undoSays("Delete: Glaze 4");
        page.locator("[data-select=p3]").click();
        assertThat(page.locator("[data-part=whose] h3")).containsText("Glaze 3");
        type(value("blur"), "fog");
        assertThat(page.locator("[data-part=glaze] .problem")).containsText("fog");
        String straight = settled(glaze());
        page.locator("[data-bend]:has-text(\"Wave\")").click();
        undoSays("Wave: Glaze 3");
        page.locator("#bend-form [name=shape]").selectOption("square");
        assertThat(page.locator("#bend-form [name=shape]")).hasValue("square");
        assertThat(glaze()).not().hasAttribute("href", straight);
        type(page.locator("#bend-form [name=length]"), "nothing");
        assertThat(page.locator("#bend-form .problem")).containsText("nothing");
        boardAsDelivered();
    }

    private Locator glaze() {
        return page.locator("#panels .glaze image");
    }

    /** Its address once nothing else is waited for. */
    private static String settled(Locator image) {
        assertThat(image).not().hasAttribute("data-waits", Pattern.compile(".*"));
        return image.getAttribute("href");
    }

    /**
     * A picture is blurred and bent. A brush paints in the mask at once and the server's painting follows; gradients, colours and forms;
     * the board is the delivery.
     */
    @Test
    void partsAreHiddenByHand() throws Exception {
        toned();
        page.locator("[data-part=bend] summary").click();
        String sharp = shown(0);
        type(page.locator("[data-part=bend] [data-tone=blur] [data-field]"), "0.6 mm");
        undoSays("Blur: Panel 1");
        page.locator("[data-part=bend] [data-bend]:has-text(\"Bulge\")").click();
        undoSays("Bulge: Panel 1");
        assertThat(page.locator("#panels image").first()).not().hasAttribute("href", sharp);
        page.locator("[data-veil-way=stroke]").click();
        type(page.locator("[data-part=veil] [name=size]"), "8 mm");
        page.locator("#well").focus();
        page.keyboard().press("]");
        assertThat(page.locator("[data-part=veil] [name=size]")).hasValue("9.60 mm");
        double[] at = middle(panel(0));
        page.mouse().move(at[0] - 60, at[1]);
        assertThat(page.locator("circle.brush")).isVisible();
        page.mouse().down();
        page.mouse().move(at[0] + 50, at[1] + 20, new Mouse.MoveOptions().setSteps(6));
        // Nothing was asked of the server yet.
        assertThat(page.locator("#panels mask line").first()).isAttached();
        assertThat(page.locator("#undo")).hasAttribute("title", "Undo Bulge: Panel 1");
        page.mouse().up();
        undoSays("Brush: Panel 1");
        assertThat(mask()).hasAttribute("href", Pattern.compile("/veils/p1-0-[0-9a-f]+/\\d+$"));
        assertThat(page.locator("#panels mask line")).hasCount(0);
        page.locator("[data-veil-way=gradient]").click();
        drag(new double[] {at[0], at[1] + 70}, 0, -50);
        undoSays("Straight gradient: Panel 1");
        page.locator("[data-veil-way=colours]").click();
        click(panel(0));
        undoSays("Colours: Panel 1");
        assertThat(page.locator(".veil-part")).hasCount(3);
        movesWhatItHides();
        page.locator("[data-veil-way=form]").click();
        page.locator("[data-part=veil] [name=panel]").selectOption("p2");
        undoSays("Form of a panel: Panel 1");
        page.locator(".veil-part").first().locator("[data-edit=unveil]").click();
        undoSays("Remove from the veil: Panel 1");
        type(page.locator(".veil-part [data-field=strength]").first(), "40");
        undoSays("Veil: Panel 1");
        type(page.locator(".veil-part [data-field=strength]").first(), "most");
        assertThat(page.locator("[data-part=veil] .problem")).containsText("most");
        page.locator("text=On the panel").click();
        undoSays("Veil on the panel: Panel 1");
        page.locator("text=Switch off").click();
        undoSays("Veil off: Panel 1");
        assertThat(mask()).hasCount(0);
        page.locator("text=Switch on").click();
        undoSays("Veil on: Panel 1");
        page.reload();
        ready();
        settled(mask());
        boardAsDelivered();
    }

    /** A stroke and a gradient are moved on the board. */
    private void movesWhatItHides() {
        page.keyboard().press("Escape");
        page.locator("[data-veil-part]:has-text(\"gradient\")").click();
        assertThat(grabs()).hasCount(3);
        double[] end = middle(grabs().nth(1));
        double[] middle = middle(grabs().nth(2));
        // What the drag would leave is seen while it goes on, and gone with Escape.
        String still = settled(mask());
        page.mouse().move(end[0], end[1]);
        page.mouse().down();
        page.mouse().move(end[0] + 40, end[1] - 30, new Mouse.MoveOptions().setSteps(4));
        assertThat(mask()).hasAttribute("href", Pattern.compile("/veils/p1-0-[0-9a-f]+/[\\w-]{20,}/\\d+$"));
        page.keyboard().press("Escape");
        page.mouse().up();
        assertThat(mask()).hasAttribute("href", still);
        assertThat(middle(grabs().nth(1))[0]).isCloseTo(end[0], within(0.1));
        drag(end, 30, -10);
        undoSays("Move in the veil: Panel 1");
        assertThat(grabs().nth(1)).hasClass("grab taken");
        assertThat(middle(grabs().nth(1))[0]).isCloseTo(end[0] + 30, within(0.7));
        assertThat(middle(grabs().nth(2))[0]).isCloseTo(middle[0] + 15, within(0.7));
        page.locator("[data-veil-part]:has-text(\"Brush\")").click();
        assertThat(grabs()).hasCount(1);
        double[] begun = middle(grabs().first());
        String was = settled(mask());
        click(grabs().first());
        page.keyboard().press("ArrowDown");
        // Undo has said the same since the drag.
        page.waitForCondition(() -> middle(grabs().first())[1] > begun[1] + 1);
        assertThat(mask()).not().hasAttribute("href", was);
        page.keyboard().press("Escape");
        page.keyboard().press("Escape");
        // Those of the bulge.
        assertThat(grabs()).hasCount(2);
    }

    private Locator grabs() {
        return page.locator("#marks .grab");
    }

    /**
     * Handles of a mesh are dragged, typed and brought home; nothing is folded over itself; other handles keep the form; other bends are
     * held by their middle and their edge; the board is the delivery.
     */
    @Test
    void bendsAreHeldOnTheBoard() throws Exception {
        toned();
        page.locator("[data-part=bend] summary").click();
        page.locator("[data-part=bend] [data-bend]:has-text(\"Mesh\")").click();
        undoSays("Mesh: Panel 1");
        assertThat(grabs()).hasCount(16);
        String flat = settled(page.locator("#panels image").first());
        double[] home = middle(grabs().nth(5));
        drag(home, 14, 9);
        undoSays("Bend: Panel 1");
        assertThat(page.locator("#panels image").first()).not().hasAttribute("href", flat);
        assertThat(middle(grabs().nth(5))[0]).isCloseTo(home[0] + 14, within(0.7));
        page.mouse().dblclick(middle(grabs().nth(5))[0], middle(grabs().nth(5))[1]);
        settled();
        assertThat(page.locator("#panels image").first()).hasAttribute("href", flat);
        drag(home, 400, 0);
        assertThat(page.locator(".say")).containsText("fold over itself");
        double[] stopped = middle(grabs().nth(5));
        assertThat(stopped[0]).isBetween(home[0] + 5, middle(grabs().nth(6))[0]);
        type(page.locator("#grab-at [name=across]"), "nowhere");
        assertThat(page.locator("[data-part=bend] .problem").last()).containsText("nowhere");
        type(page.locator("#grab-at [name=down]"), "31.5 mm");
        settled();
        assertThat(page.locator("#grab-at [name=down]")).hasValue("31.50 mm");
        type(page.locator("#bend-form [name=columns]"), "9");
        assertThat(page.locator("#bend-form .problem")).containsText("from 2 to 8");
        type(page.locator("#bend-form [name=columns]"), "5");
        assertThat(grabs()).hasCount(20);
        boardAsDelivered();
        page.keyboard().press("4");
        page.locator("#bend-home").click();
        undoSays("Straighten: Panel 1");
        page.locator("[data-part=bend] [data-bend]:has-text(\"Twirl\")").click();
        assertThat(grabs()).hasCount(2);
        drag(middle(grabs().nth(0)), 12, 0);
        assertThat(page.locator("#bend-form [name=x]")).not().hasValue("50 %");
        drag(middle(grabs().nth(1)), -8, 0);
        assertThat(page.locator("#bend-form [name=radius]")).not().hasValue("100 %");
        String twirled = settled(page.locator("#panels image").first());
        page.locator("text=Switch blur and bend off").click();
        undoSays("Blur and bend off: Panel 1");
        assertThat(grabs()).hasCount(0);
        assertThat(page.locator("#panels image").first()).not().hasAttribute("href", twirled);
        page.locator("text=Switch blur and bend on").click();
        assertThat(page.locator("#panels image").first()).hasAttribute("href", twirled);
        type(value("exposure"), "1");
        page.locator("text=Switch the tone off").click();
        undoSays("Tone off: Panel 1");
        assertThat(page.locator("[data-part=whose] h3")).containsText("tone switched off");
        assertThat(value("exposure")).hasValue("1 stop");
        assertThat(page.locator("#panels image").first()).hasAttribute("href", twirled);
    }

    /** A caption is no picture, yet its words and its plate are hidden in part, each by itself; the board is the delivery. */
    @Test
    void wordsAndTheirPlateAreHiddenByHand() throws Exception {
        newSheet("120", "80", "mm", "127");
        page.keyboard().press("5");
        exact("A caption").click();
        undoSays("Caption");
        page.keyboard().press("4");
        assertThat(page.locator("[data-part=whose] h3")).hasText("Caption 1");
        assertThat(page.locator("[data-veil-way=colours]")).hasCount(0);
        double[] at = middle(page.locator("#panels .panel .form").first());
        page.locator("[data-veil-way=stroke]").click();
        drag(new double[] {at[0] - 40, at[1]}, 50, 0);
        undoSays("Brush: Caption 1");
        assertThat(mask()).hasAttribute("href", Pattern.compile("/veils/p1-1-[0-9a-f]+/\\d+$"));
        page.locator("#veil-layer").selectOption("0");
        assertThat(page.locator(".veil-part")).hasCount(0);
        page.locator("[data-veil-way=gradient]").click();
        page.mouse().move(at[0], at[1]);
        page.mouse().down();
        page.mouse().move(at[0] + 60, at[1], new Mouse.MoveOptions().setSteps(4));
        // What is painted shows at once, before it: nothing was asked of the server yet.
        assertThat(page.locator("#panels mask #veil-fade")).isAttached();
        page.mouse().up();
        undoSays("Straight gradient: Caption 1");
        assertThat(mask()).hasCount(2);
        assertThat(page.locator(".veil-part")).hasCount(1);
        assertThat(page.locator("[name=rests]")).hasCount(0);
        page.reload();
        ready();
        settled(mask().first());
        settled(mask().last());
        boardAsDelivered();
    }

    private Locator mask() {
        return page.locator("#panels mask image[data-veil]");
    }
}
