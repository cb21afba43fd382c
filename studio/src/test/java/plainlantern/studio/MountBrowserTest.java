package plainlantern.studio;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.KeyboardModifier;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import plainlantern.picture.Encoder;

/** Mount in a real browser: four clicks, corners, edges, and what hangs there moved in its plane. */
class MountBrowserTest extends Browsed {
    /** The corners of the dark frame in the photograph, pixels of 1500 by 1000. */
    private static final int[][] FRAME = {{420, 260}, {1080, 330}, {1070, 700}, {430, 790}};

    private static byte[] wall() {
        BufferedImage image = new BufferedImage(1500, 1000, BufferedImage.TYPE_3BYTE_BGR);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setColor(new Color(0xD8CFC0));
        g.fillRect(0, 0, 1500, 1000);
        g.setColor(new Color(0x3A2A20));
        g.fillPolygon(new int[] {FRAME[0][0], FRAME[1][0], FRAME[2][0], FRAME[3][0]},
                new int[] {FRAME[0][1], FRAME[1][1], FRAME[2][1], FRAME[3][1]}, 4);
        return Encoder.jpeg(image, 0.95f, 300);
    }

    private BoundingBox photograph;

    /** A photograph of a wall in a panel, and a picture marked on the shelf. */
    @BeforeEach
    void hangTheWall() throws Exception {
        newSheet("120", "80", "mm", "127");
        grid(1, 1);
        bring(new FilePayload("Wall.jpg", "image/jpeg", wall()), new FilePayload("Ridges.jpg", "image/jpeg", jpeg(1500, 1000, 90)));
        page.keyboard().press("Escape");
        click(panel(0));
        page.locator(".shelf-picture").first().click();
        undoSays("Fill with Wall: Panel 1");
        page.keyboard().press("Escape");
        photograph = page.locator("#panels image").boundingBox();
        page.locator(".shelf-picture").nth(1).click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.CONTROL)));
    }

    /** Where a pixel of the photograph is on the screen. */
    private double[] seen(int[] pixel) {
        return new double[] {photograph.x + photograph.width * pixel[0] / 1500, photograph.y + photograph.height * pixel[1] / 1000};
    }

    private Locator corner(int at) {
        return page.locator("#marks [data-mount='" + at + "']");
    }

    private double told(int at, String field) {
        settled();
        return Double.parseDouble(page.locator(".mount-corners [data-field=" + field + "]").nth(at).inputValue().replace('\u2212', '-'));
    }

    private void mounted() {
        page.locator("[data-mount-here]").click();
        assertThat(page.locator("#mount-note")).containsText("Click the first corner");
        for (int i = 0; i < 4; i++) {
            double[] at = seen(FRAME[i]);
            page.mouse().move(at[0] + 3, at[1] - 2);
            assertThat(page.locator("#loupe")).isVisible();
            page.mouse().click(at[0] + 3, at[1] - 2);
        }
        undoSays("Mount here: Ridges");
        assertThat(page.locator("#loupe")).isHidden();
        assertThat(page.locator(".mount-corners input")).hasCount(8);
    }

    /** Four clicks about the frame make a panel of it in one step; its edges are found; a corner is dragged and nudged. */
    @Test
    void aFrameIsFoundAndItsCornersMove() {
        mounted();
        assertThat(page.locator("#panels .panel")).hasCount(2);
        page.locator("[data-edit=find-edges]").click();
        undoSays("Find the edges: Panel 2");
        for (int i = 0; i < 4; i++) {
            double[] at = middle(corner(i));
            double[] is = seen(FRAME[i]);
            assertThat(Math.hypot(at[0] - is[0], at[1] - is[1])).as("corner %d, pixels on the screen", i).isLessThan(2);
        }
        double across = told(1, "across");
        double[] from = middle(corner(1));
        page.keyboard().down("Control");
        page.mouse().move(from[0], from[1]);
        page.mouse().down();
        page.mouse().move(from[0] + 20, from[1] - 10);
        page.mouse().move(from[0] + 40, from[1] - 20);
        assertThat(page.locator("#loupe")).isVisible();
        page.mouse().up();
        page.keyboard().up("Control");
        undoSays("Move a corner: Panel 2");
        assertThat(page.locator("#loupe")).isHidden();
        double dragged = told(1, "across");
        assertThat(dragged).isGreaterThan(across + 2);
        click(corner(1));
        page.keyboard().press("ArrowLeft");
        undoSays("Move a corner: Panel 2");
        assertThat(told(1, "across")).isCloseTo(dragged - 1, within(0.011));
        page.keyboard().press("Control+z");
        page.keyboard().press("Control+z");
        assertThat(told(1, "across")).isCloseTo(across, within(0.011));
        type(page.locator(".mount-corners input").first(), "far");
        assertThat(page.locator(".mount-corners .problem").first()).containsText("far");
        type(page.locator(".mount-corners input").first(), "118 mm");
        assertThat(page.locator("[data-part=mount] [data-problem=corners]")).containsText("corners");
        undoSays("Find the edges: Panel 2");
        type(page.locator("[data-field=proportions]"), "3 : 2");
        undoSays("Proportions 3 : 2: Panel 2");
    }

    /** The place under the pointer goes along with it in the plane; the wheel zooms there; flat again it covers. */
    @Test
    void whatHangsThereMovesInItsPlane() {
        mounted();
        Locator image = page.locator("#panels .panel").nth(1).locator("image");
        String hung = image.getAttribute("href");
        double[] at = middle(panel(1));
        page.mouse().move(at[0], at[1]);
        page.mouse().wheel(0, -400);
        undoSays("Zoom picture: Panel 2");
        double zoomed = number("zoom");
        assertThat(zoomed).isGreaterThan(120);
        drag(at, 30, 12);
        undoSays("Move picture: Panel 2");
        assertThat(number("zoom")).isEqualTo(zoomed);
        assertThat(image).hasAttribute("href", Pattern.compile("^(?!" + Pattern.quote(hung) + ").*/pictures/.*"));
        page.keyboard().press("ArrowUp");
        undoSays("Move picture: Panel 2");
        page.locator("[data-edit=lay-flat]").click();
        undoSays("Lay flat: Panel 2");
        assertThat(page.locator("[data-edit=mount]")).isVisible();
        assertThat(page.locator("[data-part=picture] .verdict")).containsText("Covers the panel");
        // A tool that is held is given up by Escape, and needs a picture.
        page.keyboard().press("m");
        assertThat(page.locator(".say")).containsText("Mark the picture first");
    }
}
