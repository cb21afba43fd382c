package plainlantern.lettering;

import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;

/**
 * How words are set.
 *
 * @param weight   one of the typeface's; another becomes the nearest, 0 its usual one
 * @param size     mm, from ascender to descender of the font's own square
 * @param side     which edges of the lines stand one below the other
 * @param leading  from one baseline to the next, as a share of the size
 * @param tracking room added after each letter, thousandths of the size
 */
public record LetterStyle(Typeface typeface, @Typed.WholeOrZero int weight, @Typed.Length double size, Setting.Side side,
        @Typed.Share double leading, @Typed.Number double tracking) {
    /** From one baseline to the next, as a share of the size (common practice). */
    public static final double LEADING = 1.2;

    public LetterStyle {
        BadInput.unless(weight >= 0 && weight <= 1000, "weight", "A weight goes from 1 to 1000.");
        BadInput.unless(size >= 0.1 && size <= 2000, "size", "Letters are between 0.1 mm and 2 m high.");
        BadInput.unless(leading >= 0.1 && leading <= 10, "leading", "Lines are between 10 % and 1000 % of the letters' size apart.");
        BadInput.unless(tracking >= -500 && tracking <= 5000, "tracking", "Tracking goes from -500 to 5000 thousandths of the size.");
        weight = typeface.nearest(weight);
    }

    /** In the typeface's usual weight. */
    public LetterStyle(Typeface typeface, double size, Setting.Side side, double leading, double tracking) {
        this(typeface, 0, size, side, leading, tracking);
    }

    /** Set solid, no room added. */
    public static LetterStyle of(Typeface typeface, double size, Setting.Side side) {
        return new LetterStyle(typeface, size, side, LEADING, 0);
    }

    public Setting setting() {
        return new Setting(typeface.face(weight), size, side, leading, tracking / 1000);
    }

    /** The same so many times as large. */
    public LetterStyle scaled(double factor) {
        return new LetterStyle(typeface, weight, size * factor, side, leading, tracking);
    }
}
