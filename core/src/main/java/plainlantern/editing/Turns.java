package plainlantern.editing;

import plainlantern.geometry.Affine;
import plainlantern.geometry.BadInput;

/** Turns as people type them. */
final class Turns {
    private Turns() {}

    /** The same turn above −180 and up to 180 degrees. */
    static double normal(double degrees) {
        BadInput.unless(Math.abs(degrees) <= 36_000, "turn", "Type a turn in degrees, such as 12.5.");
        return Affine.normalTurn(degrees);
    }
}
