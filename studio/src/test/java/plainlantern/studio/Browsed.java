package plainlantern.studio;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static com.microsoft.playwright.assertions.PlaywrightAssertions.setDefaultAssertionTimeout;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.Cookie;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.boot.test.web.server.LocalServerPort;
import plainlantern.picture.Resample;

/**
 * The real interface in headless Chromium, used as people use it. Each test has an account and a window of its own; what the pages are made
 * of stays in the browser's cache, as at a second visit.
 */
abstract class Browsed extends StudioTest {
    static Playwright playwright;
    /** Milliseconds that anything is waited for: a busy machine is slow, not wrong. */
    private static final double PATIENCE = 60_000;
    static Browser browser;
    static BrowserContext context;

    @LocalServerPort
    int port;
    Visitor visitor;
    Page page;
    final List<String> complaints = new ArrayList<>();

    @BeforeAll
    static void launch() {
        setDefaultAssertionTimeout(PATIENCE);
        playwright = Playwright.create(new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        browser = playwright.chromium().launch(new BrowserType.LaunchOptions().setExecutablePath(chromium()).setArgs(List.of("--no-sandbox",
                "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking", "--disable-component-update",
                "--disable-sync", "--force-color-profile=srgb", "--font-render-hinting=none")));
        context = browser.newContext(new Browser.NewContextOptions().setViewportSize(1280, 800));
        context.setDefaultTimeout(PATIENCE);
    }

    /** Debian has one without windows, which starts and paints faster; the whole one does as well. */
    static Path chromium() {
        return Stream.of("chromium-headless-shell", "chromium")
                .flatMap(name -> Stream.of(System.getenv("PATH").split(":")).map(folder -> Path.of(folder, name)))
                .filter(Files::isExecutable).findFirst().orElseThrow(() -> new IllegalStateException("no chromium on the PATH"));
    }

    @AfterAll
    static void close() {
        playwright.close();
    }

    @Override
    @BeforeEach
    protected void account() throws Exception {
        visitor = new Visitor(port);
        member = accounts.find(visitor.signUp("Warden " + System.nanoTime(), "reeds and water")).orElseThrow();
        context.addCookies(visitor.cookies().stream().map(c -> new Cookie(c.getName(), c.getValue()).setUrl(address("/"))).toList());
        page = context.newPage();
        page.onPageError(complaints::add);
        page.onConsoleMessage(m -> {
            if (m.type().equals("error") && !m.text().contains("status of 4")) complaints.add(m.text());
        });
    }

    @AfterEach
    void nothingWasComplainedOf() {
        if (page.url().startsWith(address("/"))) page.evaluate("() => localStorage.clear()");
        List.copyOf(context.pages()).forEach(Page::close);
        context.clearCookies();
        context.setOffline(false);
        assertThat(complaints).isEmpty();
    }

    /** A new account, made in the browser. */
    void signUp() {
        context.clearCookies();
        page.navigate(address("/sign-up"));
        page.getByLabel("Name").fill("Warden " + System.nanoTime());
        page.getByLabel("Password").fill("reeds and water");
        page.getByText("Make the account").click();
        ready();
    }

    String address(String path) {
        return "http://127.0.0.1:" + port + path;
    }

    /** A new sheet and its page; {@link #askForSheet} is how people come to it. */
    void newSheet(String width, String height, String unit, String ppi) {
        try {
            page.navigate(address(visitor.post("/sheets", "name", "Open day", "width", width, "height", height, "unit", unit, "ppi", ppi)
                    .headers().firstValue("Location").map(URI::create).orElseThrow().getPath()));
        } catch (Exception broken) {
            throw new IllegalStateException(broken);
        }
        ready();
    }

    void askForSheet(String width, String height, String unit, String ppi) {
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

    /** My sheets, where people come from. */
    void mySheets() {
        page.navigate(address("/sheets"));
        ready();
    }

    void home() {
        page.locator("a.brand").click();
        page.waitForURL("**/sheets");
        ready();
    }

    void ready() {
        page.waitForSelector("html[data-ready]");
    }

    void grid(int rows, int columns) {
        page.locator("[data-pattern=even-grid]").click();
        number("rows", rows);
        number("columns", columns);
        assertThat(page.locator("#pattern-says")).containsText(rows * columns == 1 ? "One panel" : rows * columns + " panels");
        page.locator("#pattern-form .btn-primary").click();
        assertThat(page.locator("#panels .panel")).hasCount(rows * columns);
    }

    Locator exact(String text) {
        return page.getByText(text, new Page.GetByTextOptions().setExact(true));
    }

    /** Types into one of the open pattern's fields. */
    void number(String name, Object value) {
        page.locator("#pattern-form [data-number=" + name + "]").fill(String.valueOf(value));
    }

    Locator panel(int at) {
        return page.locator("#panels .panel .form").nth(at);
    }

    /** Where to point; what is being drawn anew at this moment has no place, so it is looked at again. */
    double[] middle(Locator what) {
        BoundingBox box = what.boundingBox();
        for (int tries = 0; box == null && tries < 1000; tries++) {
            page.waitForTimeout(20);
            box = what.boundingBox();
        }
        return new double[] {box.x + box.width / 2, box.y + box.height / 2};
    }

    void click(Locator what) {
        double[] at = middle(what);
        page.mouse().click(at[0], at[1]);
        settled();
    }

    void drag(double[] from, double dx, double dy) {
        page.mouse().move(from[0], from[1]);
        page.mouse().down();
        page.mouse().move(from[0] + dx / 2, from[1] + dy / 2);
        page.mouse().move(from[0] + dx, from[1] + dy);
        page.evaluate("() => new Promise(requestAnimationFrame)");
        page.mouse().up();
        settled();
    }

    void type(Locator field, String text) {
        field.fill(text);
        field.press("Enter");
    }

    /** Opens a colour field and types into it. */
    void tint(Locator field, String colour) {
        field.locator(".tint-chip").click();
        type(page.locator("#tint-text"), colour);
        assertThat(page.locator("#tints")).isHidden();
    }

    /** The bench's field for an edit. */
    Locator field(String name) {
        settled();
        return page.locator("[data-field=" + name + "]");
    }

    double number(String name) {
        return Double.parseDouble(field(name).inputValue().replace('\u2212', '-').replaceAll("[^0-9.-]", ""));
    }

    void bring(FilePayload... files) {
        page.keyboard().press("2");
        page.locator("#bring").setInputFiles(files);
        assertThat(page.locator(".queue li:has(progress)")).hasCount(0);
    }

    /** Takes a picture from the shelf and lets it go on the board, once that shows where it would go. */
    void carry(Locator picture, double[] to) {
        settled();
        picture.hover();
        page.mouse().down();
        page.mouse().move(to[0] - 3, to[1] - 3);
        page.mouse().move(to[0], to[1]);
        assertThat(page.locator("path.target").first()).isAttached();
        // One panel shows what it would look like: what the pointer was over is not there any more when the picture is let go.
        if (page.locator("path.target").count() == 1) assertThat(page.locator("#panels [data-preview]")).hasCount(1);
        page.mouse().up();
        settled();
    }

    void dragTo(double[] from, double[] to) {
        drag(from, to[0] - from[0], to[1] - from[1]);
    }

    /** Looks closer at a picture of the shelf. */
    void closer(Locator card) {
        card.hover();
        card.locator("[data-closer]").click();
        assertThat(page.locator("#closer")).isVisible();
    }

    /** What was done has reached the server and the page; the bench is that of the selection. */
    void settled() {
        assertThat(page.locator("[aria-busy=true]")).hasCount(0);
    }

    /** Waits by a timer of the page: what its other timers were to do by then is done, however slow it is. */
    void rest(int milliseconds) {
        page.evaluate("ms => new Promise((done) => setTimeout(done, ms))", milliseconds);
    }

    private void frames() {
        page.evaluate("() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)))");
    }

    /** Pictures are as sharp as the board shows them: more pixels are asked for up to 120 ms after a change. */
    void sharp() {
        settled();
        frames();
        rest(200);
        assertThat(page.locator("image[data-waits]")).hasCount(0);
        frames();
    }

    void undoSays(String title) {
        settled();
        assertThat(page.locator("#undo")).hasAttribute("title", "Undo " + title);
    }

    /** Where each panel's picture has its upper left corner, mm on the sheet. */
    List<Double> imageLefts() {
        rest(300);
        settled();
        return numbers("() => [...document.querySelectorAll('#panels image')].map(i => i.transform.baseVal.consolidate().matrix.e)", null);
    }

    /** What the board shows is what is delivered; ends in Deliver, with the page as large as before. */
    void boardAsDelivered() throws Exception {
        page.keyboard().press("7");
        Download download = page.waitForDownload(() -> page.locator("#deliver .btn-primary").click());
        assertThat(boardDifference(ImageIO.read(Files.newInputStream(download.path())))).isLessThan(2);
        page.setViewportSize(1280, 800);
    }

    /** Mean difference, of 255, between the sheet on the board as Chromium shows it and a delivery of the same size. */
    double boardDifference(BufferedImage delivered) throws Exception {
        page.setViewportSize(1800, 1200);
        sharp();
        BoundingBox box = page.locator("#paper").boundingBox();
        byte[] shot = page.screenshot(new Page.ScreenshotOptions().setClip(box.x, box.y, box.width, box.height));
        BufferedImage board = ImageIO.read(new ByteArrayInputStream(shot));
        BufferedImage same = Resample.toSize(bytes(delivered), board.getWidth(), board.getHeight());
        long sum = 0;
        for (int y = 2; y < board.getHeight() - 2; y++) {
            for (int x = 2; x < board.getWidth() - 2; x++) {
                for (int shift = 0; shift < 24; shift += 8)
                    sum += Math.abs((board.getRGB(x, y) >> shift & 255) - (same.getRGB(x, y) >> shift & 255));
            }
        }
        return sum / 3.0 / (board.getWidth() - 4) / (board.getHeight() - 4);
    }

    static BufferedImage bytes(BufferedImage image) {
        BufferedImage out = new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_3BYTE_BGR);
        out.createGraphics().drawImage(image, 0, 0, null);
        return out;
    }

    @SuppressWarnings("unchecked")
    List<Double> numbers(String script, Object argument) {
        return ((List<Number>) page.evaluate(script, argument)).stream().map(Number::doubleValue).toList();
    }
}
