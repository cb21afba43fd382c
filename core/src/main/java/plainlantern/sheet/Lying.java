package plainlantern.sheet;

import java.math.BigDecimal;
import java.math.MathContext;
import plainlantern.geometry.Affine;

/**
 * Where a treated picture lies, for what depends on that: as exact as its pixels need, and no more, so that it can be told in few words.
 *
 * @param toSheet from its pixels, upright, to mm on the sheet
 * @param toBox   from its pixels to the form's box, whose sides are at -1 and 1
 */
public record Lying(Affine toSheet, Affine toBox) {
    private static final int DIGITS = 6;

    public Lying {
        toSheet = brief(toSheet);
        toBox = brief(toBox);
    }

    private static Affine brief(Affine map) {
        return new Affine(rounded(map.a()), rounded(map.b()), rounded(map.c()), rounded(map.d()), rounded(map.e()), rounded(map.f()));
    }

    private static double rounded(double value) {
        return Double.isFinite(value) ? new BigDecimal(value).round(new MathContext(DIGITS)).doubleValue() : value;
    }
}
