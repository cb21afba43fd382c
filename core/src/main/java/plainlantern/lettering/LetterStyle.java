package plainlantern.lettering;

import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;

/**
 * How words are set.
 *
 * @param size     mm, from ascender to descender of the font's own square
 * @param side     which edges of the lines stand one below the other
 * @param leading  from one baseline to the next, as a share of the size
 * @param tracking room added after each letter, thousandths of the size
 */
public record LetterStyle(Typeface typeface, @Typed.Length double size, Setting.Side side, @Typed.Share double leading,
        @Typed.Number double tracking) {
    /** From one baseline to the next, as a share of the size (common practice). */
    public static final double LEADING = 1.2;

    public LetterStyle {
        BadInput.unless(size >= 0.1 && size <= 2000, "size", "Letters are between 0.1 mm and 2 m high.");
        BadInput.unless(leading >= 0.1 && leading <= 10, "leading", "Lines are between 10 % and 1000 % of the letters' size apart.");
        BadInput.unless(tracking >= -500 && tracking <= 5000, "tracking", "Tracking goes from -500 to 5000 thousandths of the size.");
    }

    /** Set solid, no room added. */
    public static LetterStyle of(Typeface typeface, double size, Setting.Side side) {
        return new LetterStyle(typeface, size, side, LEADING, 0);
    }

    /** How wide a line is, mm: the sum of its letters' advance widths, with the room between them. */
    double width(String line) {
        return Setting.width(typeface, line) * size + Math.max(0, line.codePointCount(0, line.length()) - 1) * tracking / 1000 * size;
    }

    /** The same so many times as large. */
    public LetterStyle scaled(double factor) {
        return new LetterStyle(typeface, size * factor, side, leading, tracking);
    }
}
