package plainlantern.studio;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static com.microsoft.playwright.assertions.PlaywrightAssertions.setDefaultAssertionTimeout;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.SameSiteAttribute;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;
import plainlantern.fitting.Sitting;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.outline.Ellipse;
import plainlantern.outline.PathData;
import plainlantern.outline.Rectangle;
import plainlantern.picture.Encoder;
import plainlantern.picture.Resample;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Placement;
import plainlantern.sheet.Seat;

/** The real interface in headless Chromium, used as people use it. */
class BrowserTest extends StudioTest {
    private static Playwright playwright;
    private static Browser browser;

    @LocalServerPort
    private int port;
    private BrowserContext context;
    private Page page;
    private final List<String> complaints = new ArrayList<>();

    @BeforeAll
    static void launch() {
        // A busy machine is slow, not wrong.
        setDefaultAssertionTimeout(20_000);
        playwright = Playwright.create(new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        browser = playwright.chromium().launch(new BrowserType.LaunchOptions().setExecutablePath(chromium()).setArgs(List.of("--no-sandbox",
                "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking", "--disable-component-update",
                "--disable-sync", "--force-color-profile=srgb")));
    }

    private static java.nio.file.Path chromium() {
        for (String folder : System.getenv("PATH").split(":")) {
            if (Files.isExecutable(java.nio.file.Path.of(folder, "chromium"))) return java.nio.file.Path.of(folder, "chromium");
        }
        throw new IllegalStateException("no chromium on the PATH");
    }

    @AfterAll
    static void close() {
        playwright.close();
    }

    @BeforeEach
    void signUp() {
        context = browser.newContext(new Browser.NewContextOptions().setViewportSize(1280, 800));
        page = context.newPage();
        page.onPageError(complaints::add);
        page.onConsoleMessage(m -> {
            if (m.type().equals("error") && !m.text().contains("status of 4")) complaints.add(m.text());
        });
        page.navigate(address("/sign-up"));
        page.getByLabel("Name").fill("Warden " + System.nanoTime());
        page.getByLabel("Password").fill("reeds and water");
        page.getByText("Make the account").click();
    }

    @AfterEach
    void nothingWasComplainedOf() {
        context.close();
        assertThat(complaints).isEmpty();
    }

    private String address(String path) {
        return "http://127.0.0.1:" + port + path;
    }

    private void newSheet(String width, String height, String unit, String ppi) {
        ready();
        page.getByText("New sheet").first().click();
        Locator form = page.locator("dialog form");
        form.locator("[name=name]").fill("Open day");
        form.locator("[name=width]").fill(width);
        form.locator("[name=height]").fill(height);
        form.locator("[name=unit]").selectOption(unit);
        form.locator("[name=ppi]").fill(ppi);
        form.getByText("Make the sheet").click();
        ready();
    }

    private void home() {
        page.locator("a.brand").click();
        page.waitForURL("**/sheets");
        ready();
    }

    private void ready() {
        page.waitForSelector("html[data-ready]");
    }

    private void grid(int rows, int columns) {
        page.locator("[data-pattern=even-grid]").click();
        number("rows", rows);
        number("columns", columns);
        assertThat(page.locator("#pattern-says")).containsText(rows * columns + " panels");
        page.locator("#pattern-form .btn-primary").click();
        assertThat(page.locator("#panels .panel")).hasCount(rows * columns);
    }

    /** Types into one of the open pattern's fields. */
    private void number(String name, Object value) {
        page.locator("#pattern-form [data-number=" + name + "]").fill(String.valueOf(value));
    }

    private Locator panel(int at) {
        return page.locator("#panels .panel .form").nth(at);
    }

    /** Where to point; what is being drawn anew at this moment has no place, so it is looked at again. */
    private double[] middle(Locator what) {
        BoundingBox box = what.boundingBox();
        for (int tries = 0; box == null && tries < 100; tries++) {
            page.waitForTimeout(20);
            box = what.boundingBox();
        }
        return new double[] {box.x + box.width / 2, box.y + box.height / 2};
    }

    private void click(Locator what) {
        double[] at = middle(what);
        page.mouse().click(at[0], at[1]);
    }

    private void drag(double[] from, double dx, double dy) {
        page.mouse().move(from[0], from[1]);
        page.mouse().down();
        page.mouse().move(from[0] + dx / 2, from[1] + dy / 2);
        page.mouse().move(from[0] + dx, from[1] + dy);
        page.evaluate("() => new Promise(requestAnimationFrame)");
        page.mouse().up();
    }

    /** The bench's field for an edit. */
    private Locator field(String name) {
        return page.locator("[data-field=" + name + "]");
    }

    private double number(String name) {
        return Double.parseDouble(field(name).inputValue().replace('\u2212', '-').replaceAll("[^0-9.-]", ""));
    }

    private void bring(FilePayload... files) {
        page.keyboard().press("2");
        page.locator("#bring").setInputFiles(files);
        assertThat(page.locator(".queue li:has(progress)")).hasCount(0);
    }

    /** From an empty sheet to a delivered picture, and every step back. */
    @Test
    void fromNothingToADeliveredPicture() throws Exception {
        newSheet("120", "80", "mm", "127");
        grid(1, 2);
        bring(new FilePayload("Dawn ridge.jpg", "image/jpeg", jpeg(1200, 800, 20)), new FilePayload("notes.jpg", "image/jpeg", "no picture".getBytes()),
                new FilePayload("Noon.jpg", "image/jpeg", jpeg(800, 1200, 200)));
        assertThat(page.locator(".shelf-picture")).hasCount(2);
        assertThat(page.locator(".queue .problem")).containsText("notes.jpg is not a picture");
        click(panel(0));
        page.locator(".shelf-picture").first().click();
        assertThat(page.locator("#panels .panel.covered")).hasCount(1);
        page.locator(".shelf-picture").nth(1).dragTo(page.locator("#well"), new Locator.DragToOptions()
                .setTargetPosition(middle(panel(1))[0] - 300, middle(panel(1))[1] - 46));
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

        page.keyboard().press("4");
        Download download = page.waitForDownload(() -> page.locator("#deliver .btn-primary").click());
        BufferedImage delivered = ImageIO.read(Files.newInputStream(download.path()));
        assertThat(download.suggestedFilename()).isEqualTo("Open day.png");
        assertThat(delivered.getWidth()).isEqualTo(600);
        assertThat(delivered.getHeight()).isEqualTo(400);
        assertThat(page.locator("#deliver-says")).containsText("Open day.png");
        assertThat(boardDifference(delivered)).isLessThan(2);
    }

    /** Mean difference, of 255, between the sheet on the board as Chromium shows it and a delivery of the same size. */
    private double boardDifference(BufferedImage delivered) throws Exception {
        page.setViewportSize(1800, 1200);
        page.waitForTimeout(600);
        BoundingBox box = page.locator("#paper").boundingBox();
        byte[] shot = page.screenshot(new Page.ScreenshotOptions().setClip(box.x, box.y, box.width, box.height));
        BufferedImage board = ImageIO.read(new ByteArrayInputStream(shot));
        BufferedImage same = Resample.toSize(bytes(delivered), board.getWidth(), board.getHeight());
        long sum = 0;
        for (int y = 2; y < board.getHeight() - 2; y++) {
            for (int x = 2; x < board.getWidth() - 2; x++) {
                for (int shift = 0; shift < 24; shift += 8) sum += Math.abs((board.getRGB(x, y) >> shift & 255) - (same.getRGB(x, y) >> shift & 255));
            }
        }
        return sum / 3.0 / (board.getWidth() - 4) / (board.getHeight() - 4);
    }

    private static BufferedImage bytes(BufferedImage image) {
        BufferedImage out = new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_3BYTE_BGR);
        out.createGraphics().drawImage(image, 0, 0, null);
        return out;
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
        for (String[] bad : new String[][] {{"rows", "0", "1 to 100"}, {"gapAcross", "-1", "negative"}, {"gapAcross", "90", "At most"}, {"columns", "many", "not a number"}}) {
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
        other.evaluate("() => import('/js/server.js').then(s => s.edit({kind: 'move-panels', panels: ['p1'], dx: 5, dy: 5}))");
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
        page.keyboard().press("4");
        Download download = page.waitForDownload(() -> page.getByText("Save bundle").click());
        home();
        page.locator("input[type=file]").setInputFiles(new FilePayload("Open day.lantern.zip", "application/zip", Files.readAllBytes(download.path())));
        ready();
        assertThat(page.locator("#panels image")).hasCount(2);
        home();
        page.locator("input[type=file]").setInputFiles(new FilePayload("x.zip", "application/zip", "nothing".getBytes()));
        assertThat(page.locator(".note.fault")).containsText("no zip archive");
    }

    /** While a gesture runs the browser stops the picture where the server will: both ways of clamping give the same numbers. */
    @Test
    void theBoardStopsWhereTheCoreStops() {
        Random random = new Random(11);
        for (int i = 0; i < 120; i++) {
            Path outline = random.nextBoolean() ? new Ellipse().path(40 + random.nextInt(90), 30 + random.nextInt(90)) : Rectangle.SHARP.path(40 + random.nextInt(90), 30 + random.nextInt(90));
            Sitting sitting = new Sitting(outline, 300 + random.nextInt(4000), 300 + random.nextInt(4000));
            double turn = random.nextInt(3) == 0 ? 0 : random.nextDouble() * 360 - 180;
            double scale = sitting.coverScale(turn) * (0.5 + 1.5 * random.nextDouble());
            Placement wanted = new Placement(new Point(random.nextGaussian() * 40, random.nextGaussian() * 40), scale, scale, turn, random.nextBoolean());
            Placement expected = sitting.covering(wanted);
            Box reach = sitting.reach(turn);
            Map<String, Object> picture = Map.of("held", true, "width", sitting.width(), "height", sitting.height(),
                    "reach", List.of(reach.x(), reach.y(), reach.right(), reach.bottom()));
            Map<String, Object> placement = Map.of("centre", Map.of("x", wanted.centre().x(), "y", wanted.centre().y()), "scaleX", scale, "scaleY", scale,
                    "turn", turn, "mirrored", wanted.mirrored());
            List<Double> shown = numbers("async ([picture, placement]) => { const g = await import('/js/geometry.js'); const p = g.held(picture, placement);"
                    + "return [p.centre.x, p.centre.y, p.scaleX]; }", List.of(picture, placement));
            assertThat(shown.get(0)).isCloseTo(expected.centre().x(), within(1e-6));
            assertThat(shown.get(1)).isCloseTo(expected.centre().y(), within(1e-6));
            assertThat(shown.get(2)).isCloseTo(expected.scaleX(), within(1e-9));
            List<Double> matrix = numbers("async ([picture, placement]) => { const g = await import('/js/geometry.js');"
                    + "const m = g.pictureMatrix({centre: {x: 7, y: 9}, turn: 33, mirrored: true}, picture, placement); return [m.a, m.b, m.c, m.d, m.e, m.f]; }", List.of(picture, placement));
            Affine own = new Seat(new Point(7, 9), 10, 10, 33, true).toSheet().after(wanted.toPanel(sitting.width(), sitting.height()));
            double[] core = {own.a(), own.b(), own.c(), own.d(), own.e(), own.f()};
            for (int k = 0; k < 6; k++) assertThat(matrix.get(k)).isCloseTo(core[k], within(1e-4));
        }
    }

    @SuppressWarnings("unchecked")
    private List<Double> numbers(String script, Object argument) {
        return ((List<Number>) page.evaluate(script, argument)).stream().map(Number::doubleValue).toList();
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
        assertThat(page.locator(".verdict")).containsText("Covers the panel");
        page.locator("#turn-number").fill("200");
        page.locator("#turn-number").press("Enter");
        assertThat(page.locator("#turn-number")).hasValue("\u2212160.0°");
        page.locator("#held").uncheck();
        assertThat(page.locator("#undo")).hasAttribute("title", "Undo Release cover: Panel 2");
        field("across").fill("3 in");
        field("across").press("Enter");
        assertThat(page.locator(".verdict.bare")).containsText("is bare");
        assertThat(page.locator(".card-panel.bare")).hasCount(1);
        page.locator("[data-edit=cover-again]").click();
        assertThat(page.locator(".verdict")).containsText("Covers the panel");
        page.keyboard().press(",");
        assertThat(page.locator("#tag")).containsText("Panel 1");
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
        page.locator(".card-panel[data-id=p1]").dragTo(page.locator(".card-panel[data-id=p3]"), new Locator.DragToOptions().setTargetPosition(80, 40));
        assertThat(page.locator("#cards .card-panel").last()).hasAttribute("data-id", "p1");
        assertThat(page.locator("#panels .panel").last()).hasAttribute("data-id", "p1");
        page.keyboard().press("4");
        assertThat(page.locator("#deliver")).isVisible();
        page.goBack();
        assertThat(page.locator("#bring")).isAttached();
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

    /** One radius for all corners, or one each; and the paper's colour, or none. */
    @Test
    void cornersAndPaper() {
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
        page.locator("#well").focus();
        page.keyboard().press("Escape");
        page.locator("details[data-part=sheet] summary").click();
        page.locator("#paper-none").check();
        assertThat(page.locator("#paper")).hasAttribute("fill", "none");
        page.locator("#paper-none").uncheck();
        assertThat(page.locator("#paper")).hasAttribute("fill", "#FFFFFF");
    }

    private double[] onSheet(double x, double y, double width) {
        BoundingBox paper = page.locator("#paper").boundingBox();
        return new double[] {paper.x + x * paper.width / width, paper.y + y * paper.width / width};
    }

    private void dragTo(double[] from, double[] to) {
        drag(from, to[0] - from[0], to[1] - from[1]);
    }

    private void undoSays(String title) {
        assertThat(page.locator("#undo")).hasAttribute("title", "Undo " + title);
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
        page.getByText("Leave everything as it is").click();
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

    /** A drag is caught by another panel's side; with Ctrl it is not. Alt leaves a copy; copies travel to another sheet with their pictures. */
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
        page.waitForTimeout(500);
        page.mouse().move(at[0] + 3, at[1] + 40);
        assertThat(page.locator("#hints .catch")).not().hasCount(0);
        page.mouse().up();
        undoSays("Move: Panel 1");
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
        assertThat(page.locator(".say")).containsText("Copied Panel 1 copy");
        home();
        newSheet("90", "60", "mm", "100");
        page.keyboard().press("Control+v");
        assertThat(page.locator("#panels .panel image")).hasCount(1);
        undoSays("Paste: Panel 1 copy");
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
        page.getByText("Show", new Page.GetByTextOptions().setExact(true)).click();
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
        assertThat(page.locator("#sheet-size")).hasText("300.00 × 100.00 mm");
        page.locator("[data-set-up=unit]").selectOption("cm");
        assertThat(page.locator("#sheet-size")).hasText("30.000 × 10.000 cm");
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

    /** Lining up, equal gaps, same size, swapped places, copies in steps: each by its button, with the panel clicked last as the one that stays. */
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
        page.getByText("Last one").click();
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
        String first = page.locator("#hints .cell").getAttribute("d");
        page.getByText("Another seed").click();
        assertThat(page.locator("[data-number=seed]")).hasValue("2");
        assertThat(page.locator("#hints .cell")).not().hasAttribute("d", first);
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
        page.locator("#pattern-form .btn-primary").click();
        assertThat(page.locator("#panels .panel")).not().hasCount(5);
        undoSays("Lay out: Interlock");
        page.locator("[data-pattern=justified-rows]").click();
        assertThat(page.locator("#pattern-form .problem").filter(new Locator.FilterOptions().setHasText("shelf is empty"))).isVisible();
        page.keyboard().press("Escape");
        page.locator("#well").focus();
        bring(new FilePayload("Reeds.jpg", "image/jpeg", jpeg(900, 600, 80)), new FilePayload("Tall.jpg", "image/jpeg", jpeg(600, 900, 30)));
        page.keyboard().press("1");
        page.locator("[data-pattern=justified-rows]").click();
        number("rows", 1);
        page.locator("#pattern-form .btn-primary").click();
        assertThat(page.locator("#panels image")).hasCount(2);
    }

    /** The round handle turns, a yellow dot rounds the corners, the fields of a form change it; each is one step. */
    @Test
    void handlesTurnAndShape() {
        newSheet("200", "100", "mm", "100");
        page.getByLabel("Add rectangle").click();
        assertThat(page.locator("#marks .pull")).hasCount(4);
        double[] dot = middle(page.locator("[data-pull=top-left]"));
        drag(dot, 20, 20);
        undoSays("Change form: Panel 1");
        assertThat(page.locator("[data-radius=bottomRight]")).not().hasValue("0.00");
        double[] knob = middle(page.locator("[data-handle=turn]"));
        page.keyboard().down("Shift");
        drag(knob, 160, 120);
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

    /** One picture behind three panels: dropped into their gap, moved whole, nudged, set back, loosened, replaced, carried, left. */
    @Test
    void aVistaIsMovedWholeAndItsSlicesAlone() {
        newSheet("200", "100", "mm", "100");
        grid(1, 3);
        bring(new FilePayload("Ridges.jpg", "image/jpeg", jpeg(1500, 600, 20)), new FilePayload("Noon.jpg", "image/jpeg", jpeg(900, 900, 170)));
        page.locator("#well").focus();
        page.keyboard().press("Control+a");
        double[] gap = middle(panel(1));
        gap[0] = (panel(0).boundingBox().x + panel(0).boundingBox().width + panel(1).boundingBox().x) / 2;
        BoundingBox well = page.locator("#well").boundingBox();
        page.locator(".shelf-picture").first().dragTo(page.locator("#well"), new Locator.DragToOptions().setTargetPosition(gap[0] - well.x, gap[1] - well.y));
        undoSays("Vista of Ridges: 3 panels");
        assertThat(page.locator("#panels image")).hasCount(3);
        page.keyboard().press("3");
        page.keyboard().press("Escape");
        click(panel(1));
        assertThat(page.locator(".verdict")).containsText("Covers all 3 panels.");
        List<Double> before = imageLefts();
        drag(middle(panel(1)), 12, 0);
        undoSays("Move vista: Panel 2");
        List<Double> after = imageLefts();
        for (int i = 0; i < 3; i++) assertThat(after.get(i) - before.get(i)).isCloseTo(after.get(0) - before.get(0), within(1e-3));
        assertThat(after.get(0)).isGreaterThan(before.get(0) + 0.5);
        page.mouse().move(middle(panel(2))[0], middle(panel(2))[1]);
        page.mouse().wheel(0, -200);
        undoSays("Zoom vista: Panel 3");
        assertThat(page.locator(".verdict")).containsText("Covers all 3 panels.");
        drag(middle(page.locator("[data-grip=turn]")), 60, 5);
        undoSays("Turn vista: Panel 2");

        page.getByText("This panel", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(page.locator(".verdict")).containsText("Covers the panel.");
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
        assertThat(page.locator(".verdict")).containsText("Covers all 3 panels.");
        page.locator("details[data-part=loosen] summary").click();
        page.locator("#loosen [name=offset]").fill("2 mm");
        page.locator("#loosen .btn").first().click();
        undoSays("Loosen: 3 panels");
        page.getByText("Another seed").click();
        assertThat(page.locator("#loosen [name=seed]")).hasValue("2");
        page.locator("#loosen [name=zoom]").fill("500");
        page.locator("#loosen .btn").first().click();
        assertThat(page.locator("#loosen .problem").filter(new Locator.FilterOptions().setHasText("from 0 to 200 %"))).isVisible();

        page.getByText("All its panels").click();
        assertThat(page.locator(".card-panel.chosen")).hasCount(3);
        page.keyboard().press("2");
        page.getByText("Behind them all").click();
        page.locator(".shelf-picture").nth(1).click();
        undoSays("Vista shows Noon");
        page.keyboard().press("Escape");
        click(panel(0));
        page.keyboard().press("3");
        page.getByText("Carry the slice").click();
        undoSays("Carry the slice: Panel 1");
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
        page.getByText("Centre", new Page.GetByTextOptions().setExact(true)).click();
        undoSays("Focal point to the centre: Panel 1");
        BoundingBox mark = page.locator("#marks .focal").boundingBox();
        assertThat(mark.x + mark.width / 2).isCloseTo(box.x + box.width / 2, within(1.0));
        page.getByText("Thirds", new Page.GetByTextOptions().setExact(true)).click();
        undoSays("Focal point to a crossing of thirds: Panel 1");
        page.keyboard().press("2");
        click(panel(1));
        page.locator(".shelf-picture").click();
        assertThat(page.locator("#panels .panel.covered")).hasCount(2);
        page.keyboard().press("3");
        assertThat(field("across")).not().hasValue("0.00 mm");
        assertThat(page.locator(".verdict")).containsText("Covers the panel.");
    }

    /** Where each panel's picture has its upper left corner, mm on the sheet. */
    private List<Double> imageLefts() {
        page.waitForTimeout(300);
        return numbers("() => [...document.querySelectorAll('#panels image')].map(i => i.transform.baseVal.consolidate().matrix.e)", null);
    }

    /** CSS Backgrounds and Borders 3, 4.5: Chromium rounds a box with overlapping radii as our rectangle does. */
    @Test
    void cornersShrinkAsInCss() throws Exception {
        Random random = new Random(8);
        Page blank = context.newPage();
        for (int i = 0; i < 12; i++) {
            int width = 60 + random.nextInt(200);
            int height = 60 + random.nextInt(200);
            int[] r = random.ints(4, 0, 180).toArray();
            String path = PathData.of(new Rectangle(r[0], r[1], r[2], r[3]).path(width, height));
            blank.setContent(String.format("<body style='margin:0;background:#fff'><div style='position:absolute;left:0;top:0;width:%dpx;height:%dpx;background:#000;border-radius:%dpx %dpx %dpx %dpx'></div>"
                    + "<svg style='position:absolute;left:300px;top:0' width='%d' height='%d'><path transform='translate(%s %s)' d='%s'/></svg>", width, height, r[0], r[1], r[2], r[3],
                    width, height, width / 2.0, height / 2.0, path));
            BufferedImage painted = ImageIO.read(new ByteArrayInputStream(blank.screenshot()));
            int wrong = 0;
            for (int y = 0; y < height; y++) for (int x = 0; x < width; x++) if (Math.abs((painted.getRGB(x, y) & 255) - (painted.getRGB(300 + x, y) & 255)) > 120) wrong++;
            assertThat(wrong).as(width + "x" + height + " " + Arrays.toString(r)).isLessThanOrEqualTo(6);
        }
    }

    /** Files dropped on the window and pasted come onto the shelf, whatever stage is open. */
    @Test
    void picturesAreDroppedAndPasted() {
        newSheet("120", "80", "mm", "100");
        String files = "async (kind) => { const canvas = document.createElement('canvas'); canvas.width = kind === 'drop' ? 40 : 60; canvas.height = 30;"
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

    /** HttpOnly and SameSite on the session's cookie; a session outlives the page, and ends with the sign-out. */
    @Test
    void theSessionIsGuarded() {
        var cookie = context.cookies().stream().filter(c -> c.name.equals("lantern")).findFirst().orElseThrow();
        assertThat(cookie.httpOnly).isTrue();
        assertThat(cookie.sameSite).isEqualTo(SameSiteAttribute.LAX);
        page.getByText("Sign out").click();
        assertThat(page.getByRole(AriaRole.STATUS)).containsText("You are signed out");
        page.navigate(address("/sheets"));
        assertThat(page).hasURL(address("/sign-in"));
    }

    /** CSS Images 3, object-fit with object-position 50% 50%: what Chromium paints, and what our placements say it must. */
    @Test
    void fitsAreThoseOfObjectFit() throws Exception {
        Random random = new Random(4);
        Map<String, Fit> rules = new LinkedHashMap<>(Map.of("cover", Fit.COVER, "contain", Fit.CONTAIN, "fill", Fit.STRETCH, "none", Fit.ACTUAL));
        Page blank = context.newPage();
        for (int i = 0; i < 25; i++) {
            int width = 30 + random.nextInt(280);
            int height = 30 + random.nextInt(700);
            BufferedImage checks = checks(40 + random.nextInt(500), 40 + random.nextInt(500));
            String data = Base64.getEncoder().encodeToString(Encoder.png(checks, 72));
            StringBuilder html = new StringBuilder("<body style='margin:0;background:#fff'>");
            int left = 0;
            for (String rule : rules.keySet()) {
                html.append(String.format("<img src='data:image/png;base64,%s' style='position:absolute;top:0;left:%dpx;width:%dpx;height:%dpx;object-fit:%s'>",
                        data, left, width, height, rule));
                left += 320;
            }
            blank.setContent(html.toString());
            BufferedImage painted = ImageIO.read(new ByteArrayInputStream(blank.screenshot()));
            left = 0;
            for (var rule : rules.entrySet()) {
                BufferedImage box = painted.getSubimage(left, 0, width, height);
                // One pixel of the box counts as one millimetre, so that actual size is 25.4 ppi.
                Sitting sitting = new Sitting(Rectangle.SHARP.path(width, height), checks.getWidth(), checks.getHeight());
                Placement placement = sitting.fitted(rule.getValue(), 0, false, 25.4);
                assertThat(mistakes(box, checks, placement)).as(rule.getKey() + " of " + checks.getWidth() + "x" + checks.getHeight() + " in " + width + "x" + height).isZero();
                left += 320;
            }
        }
    }

    /** Eight by eight fields, each with a colour of its own. */
    private static BufferedImage checks(int width, int height) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_3BYTE_BGR);
        for (int y = 0; y < height; y++) for (int x = 0; x < width; x++) image.setRGB(x, y, (x * 8 / width * 30) << 16 | (y * 8 / height * 30) << 8 | 128);
        return image;
    }

    /** How many pixels of the box show another field than the placement puts there; field edges, which blur, do not count. */
    private static int mistakes(BufferedImage box, BufferedImage checks, Placement placement) {
        var back = placement.toPanel(checks.getWidth(), checks.getHeight()).inverse();
        double blur = 3 + 2 * Math.max(placement.scaleX(), placement.scaleY());
        int mistakes = 0;
        for (int y = 0; y < box.getHeight(); y += 3) {
            for (int x = 0; x < box.getWidth(); x += 3) {
                Point middle = new Point(x + 0.5 - box.getWidth() / 2.0, y + 0.5 - box.getHeight() / 2.0);
                int expected = colour(checks, back.apply(middle));
                boolean edge = false;
                for (double[] off : new double[][] {{-blur, 0}, {blur, 0}, {0, -blur}, {0, blur}}) edge |= colour(checks, back.apply(middle.plus(new Point(off[0], off[1])))) != expected;
                if (!edge && (box.getRGB(x, y) & 0xFFFFFF) != expected) mistakes++;
            }
        }
        return mistakes;
    }

    private static int colour(BufferedImage checks, Point at) {
        int x = (int) Math.floor(at.x());
        int y = (int) Math.floor(at.y());
        return x < 0 || y < 0 || x >= checks.getWidth() || y >= checks.getHeight() ? 0xFFFFFF : checks.getRGB(x, y) & 0xFFFFFF;
    }
}
