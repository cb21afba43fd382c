package plainlantern.studio;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import org.junit.jupiter.api.Test;

/** The account, and My sheets as a whole, by a person's hands. */
class AccountBrowserTest extends Browsed {
    private void signIn(String name, String password) {
        page.getByLabel("Sign-in name").fill(name);
        page.getByLabel("Password").fill(password);
        page.locator("form button.btn-primary").click();
    }

    /** From the welcome to the sign-in under the own name, another password, and the end of the account. */
    @Test
    void anAccountFromBeginningToEnd() {
        signUp();
        String name = page.locator(".welcome strong").textContent();
        assertThat(name).matches("warden-[0-9]+-[0-9]{4}");
        page.getByText("Sign out").click();
        signIn(name, "reeds and sand");
        assertThat(page.getByText("Name or password is wrong.")).isVisible();
        signIn(name, "reeds and water");
        page.locator("[title=Account]").click();
        assertThat(page.locator(".holdings tr").first()).containsText("0 kB of 20.0 GB");
        page.getByLabel("Present password").first().fill("reeds and water");
        page.getByLabel("New password").fill("password123");
        page.getByText("Change the password").click();
        assertThat(page.locator(".problem").first()).containsText("tried first");
        page.getByLabel("Present password").first().fill("reeds and water");
        page.getByLabel("New password").fill("low water and mud");
        page.getByText("Change the password").click();
        assertThat(page.getByText("The password is changed.")).isVisible();
        page.getByText("Sign out everywhere").click();
        signIn(name, "low water and mud");
        page.locator("[title=Account]").click();
        page.getByLabel("Present password").last().fill("low water and mud");
        page.getByText("Erase my account").click();
        assertThat(page.getByText("Your account is erased.")).isVisible();
        signIn(name, "low water and mud");
        assertThat(page.getByText("Name or password is wrong.")).isVisible();
    }

    /** A sheet's card is drawn after a moment; deleted it is found among the deleted ones, restored, and at last deleted for good. */
    @Test
    void sheetsGoAndComeBack() {
        newSheet("100", "60", "mm", "96");
        home();
        assertThat(page.locator(".sheet-picture img")).hasCount(1);
        page.locator("[title=Delete]").click();
        // Whoever leaves at once may be faster than what was asked for.
        assertThat(page.locator("[title=Delete]")).hasCount(0);
        page.getByText("Deleted sheets").click();
        assertThat(page.locator(".sheet-card.away")).containsText("Open day");
        ready();
        page.locator(".away .btn-plain").click();
        assertThat(page.locator(".sheet-name input")).hasValue("Open day");
        page.locator("[title=Delete]").click();
        assertThat(page.locator("[title=Delete]")).hasCount(0);
        page.navigate(address("/sheets?deleted"));
        ready();
        page.onDialog(question -> {
            assertThat(question.message()).contains("Delete “Open day” for good?");
            question.accept();
        });
        page.getByText("Delete for good").click();
        assertThat(page.locator(".sheet-card")).hasCount(0);
    }

    /** With many sheets a name is looked for while it is typed, and Back goes back to all of them. */
    @Test
    void aSheetIsFoundByItsName() {
        newSheet("100", "60", "mm", "96");
        home();
        for (int i = 0; i < 2; i++) {
            page.locator("[title=Duplicate]").first().click();
            ready();
        }
        // The last of these as often as its button would.
        page.locator("form:has([title=Duplicate])").first().evaluate("async (form) => { for (let i = 0; i < 22; i++) "
                + "await fetch(form.action, { method: 'POST', body: new URLSearchParams(new FormData(form)) }); }");
        page.reload();
        ready();
        assertThat(page.locator(".sheet-card")).hasCount(24);
        assertThat(page.locator(".pages")).containsText("Page 1 of 2, 25 sheets");
        Locator find = page.getByLabel("Search by name");
        find.pressSequentially("copy copy copy");
        assertThat(page.locator(".pages")).hasCount(0);
        assertThat(page.locator(".sheet-card")).hasCount(22);
        page.goBack();
        assertThat(page.locator(".pages")).containsText("Page 1 of 2, 25 sheets");
    }

    /** A bundle is saved and opened again with its progress; a damaged one says so and leaves the page as it was. */
    @Test
    void aBundleIsOpened() throws Exception {
        newSheet("100", "60", "mm", "96");
        grid(1, 1);
        bring(new FilePayload("Low water.jpg", "image/jpeg", jpeg(900, 600, 200)));
        // The bundle is to have the picture in it: without it, it is so small that nothing is cut off below.
        assertThat(page.locator(".shelf-picture")).hasCount(1);
        String sheet = page.url().replaceFirst("[?#].*", "");
        Path saved = page.waitForDownload(() -> page.evaluate("address => { location = address; }", sheet.replaceFirst("https?://[^/]+", "")
                + "/bundle")).path();
        home();
        Locator chooser = page.locator("input[type=file]");
        chooser.setInputFiles(new FilePayload("cut.lantern.zip", "application/zip",
                Arrays.copyOf(Files.readAllBytes(saved), 3000)));
        assertThat(page.locator("[role=alert]:visible")).containsText("damaged");
        chooser.setInputFiles(new FilePayload("day.lantern.zip", "application/zip", Files.readAllBytes(saved)));
        page.waitForURL(url -> url.matches(".*/sheets/[0-9a-f-]{36}") && !url.equals(sheet));
        ready();
        page.keyboard().press("2");
        assertThat(page.locator(".shelf-picture")).hasCount(1);
    }
}
