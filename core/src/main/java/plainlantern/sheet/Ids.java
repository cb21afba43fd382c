package plainlantern.sheet;

import java.util.regex.Pattern;
import plainlantern.asking.BadInput;

/** Names by which parts of a document find each other: short words, which need no escape wherever they are written. */
final class Ids {
    private static final Pattern SHA = Pattern.compile("[0-9a-f]{64}");

    private Ids() {}

    /** {@code id} as it is: 1 to 40 ASCII letters, digits, dashes and underscores; else throws {@link BadInput}. */
    static String checked(String id) {
        boolean word = id != null && !id.isEmpty() && id.length() <= 40
                && id.chars().allMatch(c -> c < 128 && Character.isLetterOrDigit(c) || c == '-' || c == '_');
        BadInput.unless(word, "id", "An id is a short word of letters and digits.");
        return id;
    }

    /** A picture's id as it is. */
    static String picture(String id) {
        BadInput.unless(id != null && SHA.matcher(id).matches(), "picture", "A picture's id is a SHA-256 in hex.");
        return id;
    }
}
