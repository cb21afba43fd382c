package plainlantern.studio;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpSession;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.function.Predicate;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.security.web.csrf.DefaultCsrfToken;
import org.springframework.security.web.csrf.HttpSessionCsrfTokenRepository;
import org.springframework.test.web.servlet.request.RequestPostProcessor;
import plainlantern.picture.Encoder;
import plainlantern.studio.account.AccountStore;
import plainlantern.studio.account.Member;
import plainlantern.studio.account.SignedIn;
import plainlantern.studio.sheets.Sheets;
import plainlantern.studio.shelf.Pictures;

/** The whole application on a real PostgreSQL, with a fresh account for each test. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT, properties = {
        "lantern.throttle.sign-ups=1000000", "lantern.password-strength=4"})
public abstract class StudioTest {
    @Autowired
    protected AccountStore accounts;
    @Autowired
    protected Sheets sheets;
    @Autowired
    protected Pictures pictures;
    protected Member member;

    @BeforeEach
    protected void account() throws Exception {
        member = newMember();
    }

    protected Member newMember() {
        String name = "Keeper " + UUID.randomUUID().toString().substring(0, 8);
        return accounts.add(name, name, "no password");
    }

    /** Makes a request come from a member. */
    protected static RequestPostProcessor signedIn(Member member) {
        return authentication(new SignedIn(member));
    }

    /**
     * Gives a request the token of our pages, a stranger's in a cookie, a member's in the session. The test library's own way would put a
     * repository of its own into the application, also for requests that come over the line.
     */
    protected static RequestPostProcessor csrf() {
        byte[] token = "token".getBytes(StandardCharsets.US_ASCII);
        byte[] masked = Arrays.copyOf(new byte[token.length], 2 * token.length);
        System.arraycopy(token, 0, masked, token.length, token.length);
        return request -> {
            HttpSession session = request.getSession(false);
            if (session == null) request.setCookies(new Cookie("lantern-door", "token"));
            else session.setAttribute(HttpSessionCsrfTokenRepository.class.getName() + ".CSRF_TOKEN",
                    new DefaultCsrfToken("X-CSRF-TOKEN", "_csrf", "token"));
            request.addHeader("X-CSRF-TOKEN", Base64.getUrlEncoder().encodeToString(masked));
            return request;
        };
    }

    /** Asks again and again until the answer is as wanted, for a minute at most. */
    protected static <T> T until(Callable<T> asked, Predicate<T> wanted) throws Exception {
        return until(asked, wanted, 60);
    }

    protected static <T> T until(Callable<T> asked, Predicate<T> wanted, int seconds) throws Exception {
        for (int tries = 0; tries < 10 * seconds; tries++) {
            T answer = asked.call();
            if (wanted.test(answer)) return answer;
            Thread.sleep(100);
        }
        throw new AssertionError("never as wanted; last it was " + asked.call());
    }

    /** A JPEG of two slanting colours; another {@code hue} gives another picture. */
    protected static byte[] jpeg(int width, int height, int hue) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_3BYTE_BGR);
        Graphics2D g = image.createGraphics();
        g.setPaint(new GradientPaint(0, 0, Color.getHSBColor(hue / 360f, 0.7f, 0.9f), width, height,
                Color.getHSBColor(hue / 360f + 0.4f, 0.8f, 0.3f)));
        g.fillRect(0, 0, width, height);
        g.setColor(Color.WHITE);
        // Two alike, so that no focal point is proposed.
        g.fillOval(width * 3 / 16, height / 2 - width / 16, width / 8, width / 8);
        g.fillOval(width * 11 / 16, height / 2 - width / 16, width / 8, width / 8);
        g.dispose();
        return Encoder.jpeg(image, 0.95f, 300);
    }
}
