package plainlantern.editing;

import plainlantern.asking.BadInput;
import plainlantern.geometry.Affine;

/** Turns as people type them. */
public final class Turns {
    private Turns() {}

    /** The same turn above −180 and up to 180 degrees. */
    public static double normal(double degrees) {
        BadInput.unless(Math.abs(degrees) <= 36_000, "turn", "Type a turn in degrees, such as 12.5.");
        return Affine.normalTurn(degrees);
    }
}
