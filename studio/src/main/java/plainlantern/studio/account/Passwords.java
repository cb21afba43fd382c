package plainlantern.studio.account;

import com.nulabinc.zxcvbn.Zxcvbn;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import plainlantern.asking.BadInput;

/** Which passwords are good enough, and whether one is right. */
@Component
class Passwords {
    private static final int LEAST = 10;
    /** What bcrypt looks at. */
    private static final int MOST_BYTES = 72;
    /** Guesses, as a power of ten, that somebody needs who tries common words, names and patterns first. */
    private static final double GUESSES = 8;

    private final PasswordEncoder encoder;
    private final Zxcvbn meter = new Zxcvbn();
    /** Takes the time of a real one where there is no account. */
    private final String nobody;

    Passwords(PasswordEncoder encoder) {
        this.encoder = encoder;
        nobody = encoder.encode("nobody has this password");
    }

    /** The hash of a new password; throws {@link BadInput} for one that is short, or among those that are tried first. */
    String hashed(String password, String... around) {
        BadInput.unless(password.codePointCount(0, password.length()) >= LEAST, "password", "A password has " + LEAST
                + " characters at least.");
        BadInput.unless(password.getBytes(StandardCharsets.UTF_8).length <= MOST_BYTES, "password", "A password has at most "
                + MOST_BYTES + " bytes.");
        BadInput.unless(meter.measure(password, List.of(around)).getGuessesLog10() >= GUESSES, "password",
                "This password is one of those that are tried first. Take several words that have nothing to do with each other.");
        return encoder.encode(password);
    }

    /** @param hash null where there is no account */
    boolean right(String password, String hash) {
        boolean possible = password.getBytes(StandardCharsets.UTF_8).length <= MOST_BYTES;
        return encoder.matches(possible ? password : "", hash == null ? nobody : hash) & possible & hash != null;
    }
}
