package plainlantern.sheet;

import plainlantern.asking.BadInput;

/**
 * Where a picture with transparency stands: the ends of its lowest part that can be seen, as shares of its sides, upright.
 *
 * @param left  0 at the picture's left edge, 1 at its right one
 * @param right likewise
 * @param down  0 at its top, 1 at its bottom
 */
public record Foot(double left, double right, double down) {
    public Foot {
        BadInput.unless(left >= 0 && left < right && right <= 1 && down >= 0 && down <= 1, "picture", "A foot lies within its picture.");
    }
}
