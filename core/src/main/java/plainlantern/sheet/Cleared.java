package plainlantern.sheet;

import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;

/**
 * A plain background that is taken out of a picture, whose file stays as it is. How far a colour is from the background is their
 * distance in CIE Lab (CIE 15, ΔE*ab 1976), as a share of 100, which is about that of white from black.
 *
 * @param tolerance colours so near are clear
 * @param softness  over so much more the picture comes back
 */
public record Cleared(Colour colour, @Typed.Share double tolerance, @Typed.Share double softness) {
    public Cleared {
        BadInput.unless(tolerance >= 0 && tolerance <= 1, "tolerance", "A tolerance goes from 0 to 100 %.");
        BadInput.unless(softness >= 0 && softness <= 1, "softness", "A soft edge goes from 0 to 100 %.");
    }

    public Cleared coloured(Colour newColour) {
        return new Cleared(newColour, tolerance, softness);
    }
}
