package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.Optional;
import plainlantern.asking.Asked;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;

/**
 * How a glaze shows what lies beneath it, before its tone.
 *
 * @param blur the standard deviation of the Gaussian curve by which it is blurred, mm on the sheet
 * @param dx   so far to the right it shows what lies elsewhere, mm on the sheet
 * @param dy   so far down
 * @param bend how it is bent, before it is blurred
 * @param off  whether all of that is switched off for now
 */
public record Through(@Asked(value = "Blur", most = 100) @Typed.OrZero double blur,
        @Asked(value = "Shift across", least = -5000, most = 5000) @Typed.OrZero double dx,
        @Asked(value = "Shift down", least = -5000, most = 5000) @Typed.OrZero double dy, Optional<Bend> bend,
        @Typed.Switch @JsonInclude(JsonInclude.Include.NON_DEFAULT) boolean off) {
    public static final Through CLEAR = new Through(0, 0, 0, Optional.empty());
    private static final double MOST_BLUR = 100;
    private static final double MOST_SHIFT = 5000;

    public Through {
        bend = bend == null ? Optional.empty() : bend;
        off = off && (blur != 0 || dx != 0 || dy != 0 || bend.isPresent());
        Questions.check(Through.class, blur, dx, dy);
    }

    /** One that is switched on. */
    public Through(double blur, double dx, double dy, Optional<Bend> bend) {
        this(blur, dx, dy, bend, false);
    }

    public Through switched(boolean nowOff) {
        return new Through(blur, dx, dy, bend, nowOff);
    }

    /** As it is seen. */
    public Through seen() {
        return off ? CLEAR : this;
    }

    /** The same bent so, or not; switched on. */
    public Through bent(Optional<Bend> newBend) {
        return new Through(blur, dx, dy, newBend);
    }

    /** The same on a sheet that is so many times as large. */
    public Through scaled(double factor) {
        return new Through(Math.min(MOST_BLUR, blur * factor), limited(dx * factor), limited(dy * factor),
                bend.map(b -> b.scaled(factor)), off);
    }

    private static double limited(double shift) {
        return Math.max(-MOST_SHIFT, Math.min(MOST_SHIFT, shift));
    }
}
