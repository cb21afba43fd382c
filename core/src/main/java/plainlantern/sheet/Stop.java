package plainlantern.sheet;

import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;

/**
 * A colour on the way of a wash.
 *
 * @param at      where, from 0 (begin) to 1 (end)
 * @param opacity 0 to 1
 */
public record Stop(@Typed.Share double at, Colour colour, @Typed.Share double opacity) {
    public Stop {
        BadInput.unless(at >= 0 && at <= 1, "at", "A colour stands between 0 and 100 % of the way.");
        BadInput.unless(opacity >= 0 && opacity <= 1, "opacity", "Opacity goes from 0 to 100 %.");
    }
}
