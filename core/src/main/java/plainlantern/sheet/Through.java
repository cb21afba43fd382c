package plainlantern.sheet;

import plainlantern.asking.Asked;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;

/**
 * How a glaze shows what lies beneath it, before its tone.
 *
 * @param blur the standard deviation of the Gaussian curve by which it is blurred, mm on the sheet
 * @param dx   so far to the right it shows what lies elsewhere, mm on the sheet
 * @param dy   so far down
 */
public record Through(@Asked(value = "Blur", most = 100) @Typed.OrZero double blur,
        @Asked(value = "Shift across", least = -5000, most = 5000) @Typed.OrZero double dx,
        @Asked(value = "Shift down", least = -5000, most = 5000) @Typed.OrZero double dy) {
    public static final Through CLEAR = new Through(0, 0, 0);
    private static final double MOST_BLUR = 100;
    private static final double MOST_SHIFT = 5000;

    public Through {
        Questions.check(Through.class, blur, dx, dy);
    }

    /** The same on a sheet that is so many times as large. */
    public Through scaled(double factor) {
        return new Through(Math.min(MOST_BLUR, blur * factor), limited(dx * factor), limited(dy * factor));
    }

    private static double limited(double shift) {
        return Math.max(-MOST_SHIFT, Math.min(MOST_SHIFT, shift));
    }
}
