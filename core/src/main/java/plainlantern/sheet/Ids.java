package plainlantern.sheet;

import plainlantern.geometry.BadInput;

/** Names by which parts of a document find each other: short words, which need no escape wherever they are written. */
final class Ids {
    private Ids() {}

    /** {@code id} as it is: 1 to 40 ASCII letters, digits, dashes and underscores; else throws {@link BadInput}. */
    static String checked(String id) {
        boolean word = id != null && !id.isEmpty() && id.length() <= 40
                && id.chars().allMatch(c -> c < 128 && Character.isLetterOrDigit(c) || c == '-' || c == '_');
        BadInput.unless(word, "id", "An id is a short word of letters and digits.");
        return id;
    }
}
