package plainlantern.outline;

import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.lettering.Face;
import plainlantern.lettering.FaceName;
import plainlantern.lettering.Setting;

/**
 * What letters say and how they are set, without a size.
 *
 * @param text     1 to 200 letters besides spaces; lines are where it has line breaks
 * @param face     of which typeface
 * @param side     which edges of the lines stand one below the other
 * @param leading  from one baseline to the next, as a share of the letters' size
 * @param tracking room added after each letter, thousandths of the size
 */
public record Spelling(String text, FaceName face, Setting.Side side, @Typed.Share double leading, @Typed.Number double tracking) {
    public static final int MOST_LETTERS = 200;

    public Spelling {
        BadInput.unless(text != null && !text.isBlank(), "text", "Type the letters first.");
        long letters = text.codePoints().filter(c -> !Character.isWhitespace(c)).count();
        BadInput.unless(letters <= MOST_LETTERS, "text", "These are " + letters + " letters; a form takes " + MOST_LETTERS + ".");
        BadInput.unless(text.length() <= 4 * MOST_LETTERS, "text", "There are too many spaces between the letters.");
        BadInput.unless(face != null, "family", "Choose a typeface.");
        side = side == null ? Setting.Side.LEFT : side;
        BadInput.unless(leading >= 0.1 && leading <= 10, "leading", "Lines are between 10 % and 1000 % of the letters' size apart.");
        BadInput.unless(tracking >= -500 && tracking <= 5000, "tracking", "Tracking goes from -500 to 5000 thousandths of the size.");
    }

    public static Spelling of(String text, FaceName face) {
        return new Spelling(text, face, Setting.Side.LEFT, 1, 0);
    }

    public Spelling in(FaceName newFace) {
        return new Spelling(text, newFace, side, leading, tracking);
    }

    /** The same saying something else. */
    public Spelling saying(String newText) {
        return new Spelling(newText, face, side, leading, tracking);
    }

    Setting setting(Face in) {
        return new Setting(in, 1, side, leading, tracking / 1000);
    }
}
