package plainlantern.sheet;

import plainlantern.geometry.BadInput;

/** The spot of a picture that must be seen, as shares of its width and height from the upper left, 0 to 1. */
public record Focal(double x, double y) {
    public Focal {
        BadInput.unless(x >= 0 && x <= 1 && y >= 0 && y <= 1, "focal", "The focal point lies within the picture.");
    }
}
