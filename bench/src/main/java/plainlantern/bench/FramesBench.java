package plainlantern.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import plainlantern.picture.Encoder;

/** Frames a second of gestures on the board in headless Chromium, painted by the processor alone. Arguments: address, chromium. */
public final class FramesBench {
    private static final String COUNT = "() => { window.frames_ = []; const f = t => { frames_.push(t); window.counting = "
            + "requestAnimationFrame(f); }; window.counting = requestAnimationFrame(f); }";
    private static final String COUNTED =
            "() => { cancelAnimationFrame(window.counting); return frames_.slice(1).map((t, i) => t - frames_[i]).sort((a, b) => a - b); }";
    private static final String FILL =
            "async (n) => { const s = await import('/js/server.js'); const { ids } = await import('/js/sheet.js');"
            + "await s.edit({kind: 'lay-out', where: 'replace', pattern: {kind: 'even-grid', rows: 10, columns: n / 10, gapAcross: 1, "
            + "gapDown: 1}, margins: {top: 10, right: 10, bottom: 10, left: 10}});"
            + "const shelf = [...document.querySelectorAll('.shelf-picture')].map(b => b.dataset.picture);"
            + "for (let i = 0; i < shelf.length; i++) await s.edit({kind: 'fill', panels: ids().filter((_, k) => k % shelf.length === "
            + "i), picture: shelf[i]}); }";

    private static final String SHADOWS =
            "async (how) => { const { edit } = await import('/js/server.js'); const { ids } = await import('/js/sheet.js');"
            + "await edit({ kind: 'set-shadow', panels: ids(), ...how }); }";

    private final Page page;

    private FramesBench(Page page) {
        this.page = page;
    }

    public static void main(String[] args) {
        try (Playwright playwright = Playwright.create(new Playwright.CreateOptions()
                .setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")))) {
            Browser browser = playwright.chromium().launch(new BrowserType.LaunchOptions().setExecutablePath(Path.of(args[1]))
                    .setArgs(List.of("--no-sandbox", "--disable-gpu", "--no-first-run", "--disable-background-networking",
                            "--disable-sync")));
            Page page = browser.newPage(new Browser.NewPageOptions().setViewportSize(1280, 800));
            page.navigate(args[0] + "/sign-up");
            page.getByLabel("Name").fill("Frames " + UUID.randomUUID());
            page.getByLabel("Password").fill("only for timing");
            page.getByText("Make the account").click();
            for (int panels : new int[] {200, 300}) new FramesBench(page).measure(args[0], panels);
            new FramesBench(page).vista();
        }
    }

    private void measure(String address, int panels) {
        page.navigate(address + "/sheets");
        page.waitForSelector("html[data-ready]");
        page.getByText("New sheet").first().click();
        page.locator("dialog [name=width]").fill("420");
        page.locator("dialog [name=height]").fill("297");
        page.getByText("Make the sheet").click();
        page.waitForSelector("html[data-ready]");
        page.keyboard().press("2");
        FilePayload[] files = new FilePayload[9];
        for (int i = 0; i < files.length; i++)
            files[i] = new FilePayload("p" + i + ".jpg", "image/jpeg", Encoder.jpeg(Pixels.photo(1500, 1000, i), 0.9f, 300));
        page.locator("#bring").setInputFiles(files);
        page.waitForFunction("() => document.querySelectorAll('.shelf-picture').length === 9");
        page.evaluate(FILL, panels);
        page.waitForTimeout(2000);
        page.keyboard().press("1");
        Locator one = page.locator("#panels .panel .form").nth(5);
        row("drag one of " + panels, one);
        if (panels == 200) {
            page.evaluate(SHADOWS, Map.of("distance", 1, "direction", 135, "blur", 3));
            page.waitForTimeout(1500);
            row("drag one of 200 that cast shadows", one);
            page.evaluate(SHADOWS, Map.of("on", false));
            page.waitForTimeout(1500);
        }
        page.keyboard().press("Control+a");
        row("drag all " + panels, one);
        page.keyboard().press("Escape");
        page.keyboard().press("3");
        Locator middle = page.locator("#panels .panel .form").nth(panels / 2);
        BoundingBox box = middle.boundingBox();
        page.mouse().click(box.x + box.width / 2, box.y + box.height / 2);
        page.waitForTimeout(500);
        row("move a picture in one of " + panels, middle);
        page.keyboard().press("1");
    }

    /** A vista over 60 panels, moved whole, on the sheet that is open. */
    private void vista() {
        page.evaluate("async () => { const s = await import('/js/server.js'); const { ids } = await import('/js/sheet.js');"
                + "await s.edit({kind: 'lay-out', where: 'replace', agreed: true, pattern: {kind: 'even-grid', rows: 6, columns: 10, "
                + "gapAcross: 1, gapDown: 1}, margins: {top: 10, right: 10, bottom: 10, left: 10}});"
                + "const { edit } = s; const picture = document.querySelector('#panels image').dataset.picture;"
                + "await edit({kind: 'make-vista', panels: ids(), picture}); await edit({kind: 'zoom-picture', panels: [ids()[0]], "
                + "zoom: 160, whole: true}); }");
        page.waitForTimeout(1500);
        page.keyboard().press("3");
        Locator middle = page.locator("#panels .panel .form").nth(34);
        BoundingBox box = middle.boundingBox();
        page.mouse().click(box.x + box.width / 2, box.y + box.height / 2);
        page.waitForTimeout(800);
        row("move a vista over 60 panels", middle);
    }

    private void row(String what, Locator where) {
        BoundingBox box = where.boundingBox();
        double x = box.x + box.width / 2;
        double y = box.y + box.height / 2;
        page.evaluate(COUNT);
        page.mouse().move(x, y);
        page.mouse().down();
        long end = System.nanoTime() + 2_000_000_000L;
        for (int i = 0; System.nanoTime() < end; i++) page.mouse().move(x + 40 * Math.sin(i / 10.0), y + 30 * Math.sin(i / 10.0));
        page.mouse().up();
        @SuppressWarnings("unchecked")
        List<Double> times = ((List<Number>) page.evaluate(COUNTED)).stream().map(Number::doubleValue).toList();
        double mean = times.stream().mapToDouble(t -> t).average().orElseThrow();
        System.out.printf(Locale.ROOT, "| %s | %.0f | %.1f | %.1f |%n", what, 1000 / mean, times.get(times.size() / 2),
                times.get(times.size() * 95 / 100));
        page.waitForTimeout(600);
    }
}
