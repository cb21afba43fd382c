package plainlantern.sheet;

import java.util.Optional;
import plainlantern.geometry.BadInput;

/**
 * How strongly and in which way a layer meets what lies behind it in its panel.
 *
 * @param opacity 0 (not seen) to 1
 */
public record Look(double opacity, Blend blend) {
    public static final Look PLAIN = new Look(1, Blend.NORMAL);

    public Look {
        BadInput.unless(opacity >= 0 && opacity <= 1, "opacity", "Opacity goes from 0 to 100 %.");
    }

    /** The same with what is given of another one. */
    public Look with(Optional<Double> newOpacity, Optional<Blend> newBlend) {
        return new Look(newOpacity.orElse(opacity), newBlend.orElse(blend));
    }
}
