package plainlantern.studio;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import org.junit.jupiter.api.Test;

class ProofBrowserTest extends Browsed {
    private static void put(Page phone, double x, double y, String says) {
        BoundingBox paper = phone.locator(".proof-paper").boundingBox();
        phone.touchscreen().tap(paper.x + x * paper.width, paper.y + y * paper.height);
        phone.locator("#note [name=says]").fill(says);
        phone.locator("#note [name=author]").fill("Ines <b>");
        phone.locator("#note .btn-primary").click();
        assertThat(phone.locator("#note")).isHidden();
    }

    /**
     * On a phone somebody without an account looks at a sheet, zooms into it and puts three notes on it; they stand on the board where they
     * were put, are answered and ticked off; the link is withdrawn and answers 404.
     */
    @Test
    void somebodyWithoutAnAccountAnswers() {
        newSheet("120", "80", "mm", "127");
        grid(1, 1);
        bring(new FilePayload("Ridges.jpg", "image/jpeg", jpeg(1500, 1000, 90)));
        click(panel(0));
        page.locator(".shelf-picture").click();
        undoSays("Fill with Ridges: Panel 1");
        page.locator("#proofs-open").click();
        page.locator(".desk-new [name=days]").fill("some");
        page.locator(".desk-new button").click();
        assertThat(page.locator(".desk-new [data-problem=days]")).containsText("not a number of days");
        page.locator(".desk-new [name=days]").fill("14");
        page.locator(".desk-new button").click();
        String link = page.locator("[data-address]").inputValue();

        try (BrowserContext visitor = browser.newContext(new Browser.NewContextOptions().setViewportSize(390, 780).setDeviceScaleFactor(2)
                .setIsMobile(true).setHasTouch(true))) {
            Page phone = visitor.newPage();
            phone.onPageError(complaints::add);
            phone.navigate(link);
            assertThat(phone.locator(".proof-paper img")).hasJSProperty("complete", true);
            phone.waitForFunction("() => document.querySelector('.proof-paper img').currentSrc.endsWith('side=960')");
            put(phone, 0.25, 0.3, "Could this be darker?");
            put(phone, 0.75, 0.3, "<img src=x onerror=document.title=1> is what it says");
            put(phone, 0.5, 0.8, "The date is the 16th.");
            assertThat(phone.locator(".pin")).hasCount(3);
            assertThat(phone.locator(".proof-notes img")).hasCount(0);
            assertThat(phone.locator(".proof-notes")).containsText("<img src=x");
            double before = phone.locator(".proof-paper").boundingBox().width;
            phone.locator("#larger").tap();
            phone.locator("#larger").tap();
            assertThat(phone.locator(".proof-paper").boundingBox().width).isGreaterThan(2 * before);
            phone.waitForFunction("() => document.querySelector('.proof-paper img').currentSrc.endsWith('side=2560')");

            page.reload();
            ready();
            assertThat(page.locator("#proofs-open b")).hasText("3");
            page.locator("#proofs-open").click();
            assertThat(page.locator("#pins .pin")).hasCount(3);
            BoundingBox paper = page.locator("#paper").boundingBox();
            double[] pin = middle(page.locator("#pins .pin").nth(1));
            assertThat((pin[0] - paper.x) / paper.width).isCloseTo(0.75, org.assertj.core.api.Assertions.within(0.02));
            assertThat((pin[1] - paper.y) / paper.height).isCloseTo(0.3, org.assertj.core.api.Assertions.within(0.02));
            page.locator("[data-note] textarea").nth(2).fill("It is now.");
            page.locator("[data-note] textarea").nth(2).blur();
            page.locator("[data-note] [name=done]").nth(2).check();
            assertThat(page.locator("#proofs-open b")).hasText("2");
            phone.reload();
            assertThat(phone.locator(".proof-answer")).hasText("It is now.");
            assertThat(phone.locator(".pin.done")).hasCount(1);

            page.locator("[data-deed=withdraw]").click();
            assertThat(page.locator(".desk-link")).hasCount(0);
            assertThat(phone.navigate(link).status()).isEqualTo(404);
        }
    }
}
