package plainlantern.sheet;

import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;

/** The empty border that patterns keep, in mm from each edge of the sheet. */
public record Margins(@Typed.Length double top, @Typed.Length double right, @Typed.Length double bottom, @Typed.Length double left) {
    public Margins {
        BadInput.unless(top >= 0, "top", "A margin cannot be negative.");
        BadInput.unless(right >= 0, "right", "A margin cannot be negative.");
        BadInput.unless(bottom >= 0, "bottom", "A margin cannot be negative.");
        BadInput.unless(left >= 0, "left", "A margin cannot be negative.");
        BadInput.unless(top + right + bottom + left <= 4 * Seat.LARGEST, "top", "A margin is at most 10 m wide.");
    }

    public static Margins all(double mm) {
        return new Margins(mm, mm, mm, mm);
    }
}
