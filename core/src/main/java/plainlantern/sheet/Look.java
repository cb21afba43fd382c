package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonCreator;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;

/**
 * How strongly and in which way a layer meets what lies behind it in its panel.
 *
 * @param opacity 0 (not seen) to 1
 * @param off     whether it is not painted at all; only layers are switched off
 */
public record Look(@Typed.Share double opacity, Blend blend, @Typed.Switch boolean off) {
    public static final Look PLAIN = new Look(1, Blend.NORMAL);

    public Look(double opacity, Blend blend) {
        this(opacity, blend, false);
    }

    @JsonCreator
    public Look {
        BadInput.unless(opacity >= 0 && opacity <= 1, "opacity", "Opacity goes from 0 to 100 %.");
    }
}
