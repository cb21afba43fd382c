package plainlantern.studio;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.FileChooser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import plainlantern.lettering.Typeface;

/** Letters, drawn and combined forms, and drawings made elsewhere, with the hands of a person. */
class FormsBrowserTest extends Browsed {
    @BeforeEach
    void sheet() {
        newSheet("120", "80", "mm", "127");
    }

    /** A place on the sheet, in mm, on the screen. */
    private double[] at(double x, double y) {
        BoundingBox paper = page.locator("#paper").boundingBox();
        return new double[] {paper.x + x * paper.width / 120, paper.y + y * paper.width / 120};
    }

    private void click(double x, double y) {
        page.mouse().click(at(x, y)[0], at(x, y)[1]);
    }

    private void drag(double x, double y, double toX, double toY) {
        dragTo(at(x, y), at(toX, toY));
    }

    private void panels(int count) {
        assertThat(page.locator("#panels > .panel")).hasCount(count);
    }

    private Locator openLetters() {
        page.locator("details[data-part=new-letters] > summary").click();
        return page.locator("form[data-letters=new]");
    }

    /** Typed, changed, set in a typeface of one's own that is then deleted, and parted into a panel a letter. */
    @Test
    void lettersBecomePanels() {
        Locator form = openLetters();
        form.locator("textarea").fill("EBB");
        form.locator("button:has-text('Add letters')").click();
        undoSays("Add letters: EBB");
        Locator set = page.locator("form[data-letters=set]");
        set.locator("textarea").fill("FLOW");
        set.locator("textarea").press("Tab");
        undoSays("Letters: EBB");
        FileChooser chooser = page.waitForFileChooser(() -> set.locator("[name=family]").selectOption("bring"));
        chooser.setFiles(new FilePayload("wharf.ttf", "font/ttf", "no font at all".getBytes(StandardCharsets.UTF_8)));
        assertThat(set.locator("[data-problem~=family]")).containsText("no TTF or OTF");
        FileChooser again = page.waitForFileChooser(() -> set.locator("[name=family]").selectOption("bring"));
        again.setFiles(new FilePayload("wharf.ttf", "font/ttf", Typeface.OSWALD.face(700).file()));
        assertThat(page.locator("#notes")).containsText("is among your typefaces");
        assertThat(set.locator(".own-face")).containsText("May be embedded");
        settled();
        set.locator(".own-face button").click();
        assertThat(set.locator(".own-face")).containsText("not among your typefaces");
        set.locator("[name=tracking]").fill("50");
        set.locator("[name=tracking]").press("Enter");
        assertThat(page.locator("#bench .problem:not(:empty), #notes .fault").first()).containsText("not among your typefaces");
        set.locator("[name=family]").selectOption("Oswald");
        settled();
        page.locator("[data-part-letters]").click();
        undoSays("One panel a letter: EBB");
        panels(4);
    }

    /** Two triangles that share a side, point by point: the second catches the first one's corners; a shared corner moves both. */
    @Test
    void trianglesShareCorners() {
        page.locator("#well").focus();
        page.keyboard().press("n");
        assertThat(page.locator("#draw-form")).hasAttribute("aria-pressed", "true");
        click(20, 20);
        click(60, 20);
        click(40, 60);
        page.keyboard().press("Enter");
        undoSays("Draw a form");
        settled();
        page.waitForResponse("**/catches", () -> page.keyboard().press("n"));
        click(60.4, 20.3);
        click(40.4, 60.3);
        click(80, 60);
        click(60.3, 20.2);
        panels(2);
        settled();
        page.waitForResponse("**/points", () -> page.keyboard().press("e"));
        assertThat(page.locator("#marks .node")).hasCount(3);
        page.locator("details[data-part=shape] > summary").click();
        double[] corner = middle(page.locator("#marks .node").first());
        page.waitForResponse("**/points", () -> dragTo(corner, new double[] {corner[0] + 12, corner[1] - 10}));
        undoSays("Move point: Panel 2");
        assertThat(page.locator("#point-form")).isVisible();
        String first = page.locator("#panels .panel").nth(0).locator(".form").first().getAttribute("d");
        page.locator("#point-form [name=across]").fill("61 mm");
        page.locator("#point-form [name=across]").press("Enter");
        undoSays("Place point: Panel 2");
        settled();
        org.assertj.core.api.Assertions.assertThat(page.locator("#panels .panel").nth(0).locator(".form").first().getAttribute("d"))
                .isNotEqualTo(first);
        page.mouse().dblclick(at(58, 57)[0], at(58, 57)[1]);
        undoSays("Add point: Panel 2");
        assertThat(page.locator("#marks .node")).hasCount(4);
        page.keyboard().press("Escape");
    }

    /** Drawn by hand in one stroke; escaped, it is gone. */
    @Test
    void aStrokeBecomesAForm() {
        page.locator("#draw-hand").click();
        page.mouse().move(at(30, 40)[0], at(30, 40)[1]);
        page.mouse().down();
        for (int i = 1; i <= 24; i++) {
            double[] to = at(60 - 30 * Math.cos(i * Math.PI / 12), 40 - 20 * Math.sin(i * Math.PI / 12));
            page.mouse().move(to[0], to[1]);
        }
        page.mouse().up();
        undoSays("Draw by hand");
        panels(1);
        page.locator("#draw-form").click();
        click(20, 20);
        click(60, 20);
        page.keyboard().press("Escape");
        assertThat(page.locator("#marks .pen")).hasCount(0);
        panels(1);
    }

    /** Two overlapping forms: joined and parted again, then region by region, dragging across two of three. */
    @Test
    void formsAreCombined() {
        for (double x : new double[] {20, 40}) {
            page.locator("[data-add=ellipse]").click();
            drag(x, 20, x + 40, 60);
            settled();
        }
        panels(2);
        page.locator("#well").focus();
        page.keyboard().press("Control+a");
        page.locator("[data-combine=together]").click();
        undoSays("Join: 2 panels");
        panels(1);
        page.keyboard().press("Control+z");
        panels(2);
        page.locator("#well").focus();
        page.keyboard().press("Control+a");
        page.waitForResponse("**/regions", () -> page.locator("#regions").click());
        assertThat(page.locator("#marks .region")).hasCount(3);
        drag(28, 40, 50, 40);
        assertThat(page.locator("#regions-count")).hasText("2 panels");
        page.locator("#make-regions").click();
        undoSays("Make regions: 2 panels");
        panels(2);
        page.locator("details[data-part=shape] > summary").click();
        page.locator("#corner-size").fill("2 mm");
        page.locator("[data-corners=round]").click();
        undoSays("Round corners: 2 panels");
    }

    /** An SVG file: its panels come in one step, and what was left out is said; a broken one is told of and nothing is lost. */
    @Test
    void drawingsAreBrought() {
        String svg = "<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='60mm' viewBox='0 0 100 60'><rect id='Wharf' width='40' "
                + "height='20'/><circle cx='70' cy='30' r='20'/><text>gone</text></svg>";
        page.locator("#svg-file").setInputFiles(new FilePayload("day.svg", "image/svg+xml", svg.getBytes(StandardCharsets.UTF_8)));
        undoSays("Bring a drawing: 2 panels");
        assertThat(page.locator("#notes")).containsText("Brought 2 panels. Not taken: 1 text.");
        panels(2);
        page.locator("#svg-file").setInputFiles(new FilePayload("bad.svg", "image/svg+xml", "<svg><g>".getBytes(StandardCharsets.UTF_8)));
        assertThat(page.locator("#notes .fault")).containsText("no SVG file that can be read");
        panels(2);
        page.keyboard().press("Control+z");
        panels(0);
    }
}
