package plainlantern.sheet;

import java.util.function.IntPredicate;
import plainlantern.asking.BadInput;

/** Names by which parts of a document find each other: short words, which need no escape wherever they are written. */
final class Ids {
    private Ids() {}

    /** {@code id} as it is: 1 to 40 ASCII letters, digits, dashes and underscores; else throws {@link BadInput}. */
    static String checked(String id) {
        boolean word = id != null && !id.isEmpty() && id.length() <= 40
                && all(id, c -> c < 128 && Character.isLetterOrDigit(c) || c == '-' || c == '_');
        BadInput.unless(word, "id", "An id is a short word of letters and digits.");
        return id;
    }

    /** A picture's id as it is. */
    static String picture(String id) {
        boolean sha = id != null && id.length() == 64 && all(id, c -> c >= '0' && c <= '9' || c >= 'a' && c <= 'f');
        BadInput.unless(sha, "picture", "A picture's id is a SHA-256 in hex.");
        return id;
    }

    private static boolean all(String id, IntPredicate fits) {
        for (int i = 0; i < id.length(); i++) if (!fits.test(id.charAt(i))) return false;
        return true;
    }
}
