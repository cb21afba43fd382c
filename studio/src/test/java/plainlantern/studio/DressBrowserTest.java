package plainlantern.studio;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** Dress in a real browser: what surrounds panels, what stands before them, and what lies behind. */
class DressBrowserTest extends Browsed {
    /** Two panels, filled with one picture, in Dress with nothing selected. */
    private void dressed() throws Exception {
        newSheet("120", "80", "mm", "127");
        grid(1, 2);
        bring(new FilePayload("Ridges.jpg", "image/jpeg", jpeg(1500, 1000, 90)));
        page.locator("#well").focus();
        page.keyboard().press("Control+a");
        page.locator(".shelf-picture").click();
        undoSays("Fill with Ridges: 2 panels");
        page.keyboard().press("5");
        page.keyboard().press("Escape");
        assertThat(page.locator("[data-part=nothing]")).containsText("Click something on the board");
    }

    private void open(String part) {
        page.locator("details[data-part=" + part + "] > summary").click();
    }

    /** A rim by length, place and line, a blend, copied to all; on the board as in the delivery; taken off by one key. */
    @Test
    void panelsAreDressed() throws Exception {
        dressed();
        click(panel(0));
        type(field("width"), "6 pt");
        undoSays("Rim: Panel 1");
        assertThat(field("width")).hasValue("2.12 mm");
        exact("Outside").click();
        assertThat(page.locator("#panels .rim")).hasAttribute("clip-path", "url(#rim-p1)");
        exact("Dashed").click();
        assertThat(page.locator("#panels .rim[stroke-dasharray]")).hasCount(1);
        tint(page.locator("[data-part=rim] .tint"), "rgb(179, 38, 30)");
        assertThat(page.locator("#panels .rim")).hasAttribute("stroke", "#B3261E");
        tint(page.locator("[data-part=rim] .tint"), "mud");
        assertThat(page.locator("[data-part=rim] .problem")).containsText("is not a colour. Write it like");
        page.locator("select[data-field=blend]").selectOption("multiply");
        undoSays("Blend: Multiply · multiply: Panel 1");
        type(field("width"), "-3");
        assertThat(page.locator("[data-part=rim] .problem").first()).containsText("0 takes it away");
        page.locator("[data-copy-finish=all]").click();
        undoSays("Copy finish of Panel 1");
        assertThat(page.locator("#panels .rim")).hasCount(2);
        boardAsDelivered();
        page.keyboard().press("5");
        page.keyboard().press("Control+a");
        page.keyboard().press("Delete");
        undoSays("No finish: 2 panels");
        assertThat(page.locator("#panels .rim")).hasCount(0);
    }

    /**
     * A shadow is dragged by its handle, exactly as far as it falls then; it and an inner one and a soft edge look as delivered; a finish
     * with a name is followed.
     */
    @Test
    void shadowsAreDragged() throws Exception {
        dressed();
        click(panel(0));
        open("shadow-behind");
        page.locator("[data-part=shadow-behind] [data-field=on]").check();
        undoSays("Shadow: Panel 1");
        page.keyboard().press("0");
        double[] middle = middle(panel(0));
        double[] knob = middle(page.locator(".marked .cast.shadow"));
        double scale = page.locator("#paper").boundingBox().width / 120;
        page.mouse().move(knob[0], knob[1]);
        page.mouse().down();
        page.mouse().move(middle[0] - 20, middle[1] + 3);
        page.mouse().move(middle[0] - 34 - 5 * scale, middle[1]);
        page.evaluate("() => new Promise(requestAnimationFrame)");
        assertThat(page.locator("#tag")).containsText(Pattern.compile("(4\\.9|5\\.0). mm, 270°"));
        page.mouse().up();
        Locator part = page.locator("[data-part=shadow-behind]");
        assertThat(part.locator("[data-field=distance]")).hasValue(Pattern.compile("(4\\.9|5\\.0). mm"));
        assertThat(part.locator("[data-field=direction]")).hasValue("270.0°");
        type(part.locator("[data-field=blur]"), "-1");
        assertThat(part.locator(".problem")).containsText("0 is a hard edge");
        open("shadow-inside");
        page.locator("[data-part=shadow-inside] [data-field=on]").check();
        undoSays("Inner shadow: Panel 1");
        double[] light = middle(page.locator(".marked .cast.inner"));
        page.keyboard().down("Shift");
        drag(light, middle[0] - light[0], middle[1] + 50 - light[1]);
        page.keyboard().up("Shift");
        assertThat(page.locator("[data-part=shadow-inside] [data-field=direction]")).hasValue("180.0°");
        assertThat(part.locator("[data-field=direction]")).hasValue("270.0°");
        type(page.locator("#keep-finish [name=name]"), "Hall");
        undoSays("Name finish: Hall");
        click(panel(1));
        page.locator("[data-follow]").selectOption("f1");
        undoSays("Finish Hall: Panel 2");
        type(field("feather"), "3 mm");
        undoSays("Soft edge: Panel 2");
        assertThat(page.locator("#panels mask")).hasCount(2);
        boardAsDelivered();
        page.keyboard().press("5");
    }

    /**
     * Words in a box on the sheet: what they are read against, what makes them legible, what the typeface lacks, what is too much and is
     * not lost.
     */
    @Test
    void captionsCanBeRead() throws Exception {
        dressed();
        exact("A caption").click();
        undoSays("Caption");
        Locator words = page.locator("[data-part=caption] textarea");
        words.fill("High water at 14:20, and the wheel turns until six");
        words.blur();
        undoSays("Words: Caption 3");
        page.locator("[data-part=caption] [data-field=on]").uncheck();
        undoSays("No plate: Caption 3");
        assertThat(page.locator("#contrast")).containsText("at its worst spot; text needs 4.5. A plate of");
        page.getByText("Make it legible").click();
        undoSays("Plate: Caption 3");
        assertThat(page.locator("#contrast")).containsText("It can be read well everywhere.");
        words.fill("Tide \uD83C\uDF0A");
        words.blur();
        assertThat(page.locator("[data-part=caption] .warns")).containsText("Not in this typeface, drawn as boxes: \uD83C\uDF0A");
        String much = "tide ".repeat(2000);
        words.fill(much);
        words.blur();
        assertThat(page.locator("[data-part=caption] [data-problem=text]")).containsText("These are 10000 letters");
        assertThat(words).hasValue(much);
        words.fill("The mill turns with the tide, twice a day, as it has for four hundred years");
        words.blur();
        assertThat(page.locator("[data-part=caption] .warns")).containsText("more than the box has");
        page.getByText("Fit the box").click();
        undoSays("Fit the box to the words: Caption 3");
        assertThat(page.locator("[data-part=caption] .warns")).hasCount(0);
        double[] at = middle(panel(2));
        drag(at, 30, 20);
        undoSays("Move: Caption 3");
        assertThat(middle(panel(2))[0]).isCloseTo(at[0] + 30, within(7.0));
        boardAsDelivered();
        page.keyboard().press("5");
    }

    /** Rules by hand from corner to corner, and along gaps, where they stay when the seam is dragged. */
    @Test
    void rulesFollowTheGaps() throws Exception {
        dressed();
        page.getByText("Draw a rule").click();
        BoundingBox paper = page.locator("#paper").boundingBox();
        dragTo(new double[] {paper.x + 4, paper.y + 3}, new double[] {paper.x + paper.width - 4, paper.y + paper.height - 5});
        undoSays("Rule");
        BoundingBox rule = page.locator("#panels .panel.rule .rim").boundingBox();
        assertThat(rule.width).isCloseTo(paper.width, within(3.0));
        assertThat(page.locator("#draw-rule")).hasAttribute("aria-pressed", "false");
        page.keyboard().press("Delete");
        undoSays("Delete: Rule 3");
        // Away from corners, sides and guides catch: four pixels aside it still stands upright on the side.
        BoundingBox side = panel(0).boundingBox();
        page.getByText("Draw a rule").click();
        page.mouse().move(side.x + 4, side.y + side.height * 0.3);
        page.waitForResponse("**/snaps", page.mouse()::down);
        page.mouse().move(side.x + 30, side.y + side.height * 0.6);
        page.mouse().move(side.x - 3, side.y + side.height * 0.7);
        page.mouse().up();
        undoSays("Rule");
        assertThat(middle(page.locator("#panels .panel.rule .rim"))[0]).isCloseTo(side.x, within(0.6));
        page.keyboard().press("Delete");
        undoSays("Delete: Rule 4");
        page.getByText("Rules along gaps").click();
        undoSays("Rules along the gaps");
        double before = middle(page.locator("#panels .panel.rule .rim"))[0];
        page.keyboard().press("1");
        page.keyboard().press("Escape");
        double[] seam = {paper.x + paper.width / 2, paper.y + paper.height / 2};
        // Seams are asked for when things have been quiet for a while.
        page.waitForCondition(() -> {
            page.mouse().move(seam[0] + 2, seam[1]);
            page.mouse().move(seam[0] + 1, seam[1]);
            return page.locator("#well[class*=on-seam]").count() == 1;
        });
        drag(seam, 40, 0);
        undoSays("Move seam");
        assertThat(middle(page.locator("#panels .panel.rule .rim"))[0]).isCloseTo(before + 40, within(6.0));
    }

    /**
     * Colours taken from a picture and from the board, followed when they change; paper of one colour, of several, of a picture and none.
     */
    @Test
    void coloursAndPaper() throws Exception {
        dressed();
        open("palette");
        page.getByText("Add its colours").click();
        undoSays("6 colours to the palette");
        click(panel(0));
        type(field("width"), "2 mm");
        page.locator("[data-part=rim] .tint-chip").click();
        page.locator(".tint-swatches button").nth(2).click();
        undoSays("Rim: Panel 1");
        assertThat(page.locator("[data-part=rim] .tint-chip i")).hasCount(1);
        tint(page.locator("[data-swatch=s3] .tint"), "#1F7F74");
        undoSays("Change Colour 3");
        assertThat(page.locator("#panels .rim")).hasAttribute("stroke", "#1F7F74");
        open("paper");
        tint(page.locator("#paper-plain .tint"), "#F4EBDD");
        undoSays("Paper");
        page.locator("[data-part=rim] .tint-chip").click();
        page.getByText("From the board").click();
        BoundingBox sheet = page.locator("#paper").boundingBox();
        page.mouse().click(sheet.x + 3, sheet.y + 3);
        assertThat(page.locator("#panels .rim")).hasAttribute("stroke", "#F4EBDD");
        page.locator("[data-paper=washed]").click();
        assertThat(page.locator("#ground linearGradient")).hasCount(1);
        page.locator("[data-paper=pictured]").click();
        assertThat(page.locator("#ground image")).hasCount(1);
        type(page.locator("#paper-pictured [name=blur]"), "4 mm");
        assertThat(page.locator("#ground feGaussianBlur")).hasAttribute("stdDeviation", "2");
        boardAsDelivered();
        page.keyboard().press("5");
        page.locator("[data-paper=none]").click();
        assertThat(page.locator("#ground image")).hasCount(0);
    }

    /** A plain background is taken out of a picture; cut out like that it stands on the ground before the panels. */
    @Test
    void aCutoutStandsOnTheGround() throws Exception {
        dressed();
        BufferedImage mill = new BufferedImage(300, 400, BufferedImage.TYPE_3BYTE_BGR);
        var g = mill.createGraphics();
        g.setColor(new Color(0x00B140));
        g.fillRect(0, 0, 300, 400);
        g.setColor(new Color(0x8A3A1C));
        g.fillOval(60, 40, 180, 200);
        g.fillRect(130, 200, 40, 160);
        g.dispose();
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(mill, "png", png);
        bring(new FilePayload("Mill.png", "image/png", png.toByteArray()));
        closer(page.locator(".shelf li:has([title*=Mill])"));
        page.getByText("Remove a plain background").click();
        page.locator("#clear .btn").first().click();
        undoSays("Clear background: Mill");
        assertThat(page.locator(".closer-picture image")).hasAttribute("href", Pattern.compile("/[0-9a-f]{64}/[\\w-]+/medium"));
        String treated = page.locator(".closer-picture image").getAttribute("href").split("/")[3];
        assertThat(new String(Base64.getUrlDecoder().decode(treated), StandardCharsets.UTF_8))
                .matches("\\{\"cleared\":\\{\"colour\":\"#00B1[34].\",\"tolerance\":0.1,\"softness\":0.08}}");
        page.locator(".closer-more summary", new Page.LocatorOptions().setHasText("Make a panel of it")).click();
        page.locator("[data-float]").click();
        undoSays("Float: Mill");
        page.keyboard().press("5");
        open("ground");
        page.locator("[data-part=ground] [data-field=on]").check();
        undoSays("Ground shadow: Mill");
        boardAsDelivered();
        page.keyboard().press("5");
    }
}
