package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonCreator;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;

/**
 * The spot of a picture that must be seen, as shares of its width and height from the upper left, 0 to 1.
 *
 * @param proposed whether the program found it and no person has confirmed it yet
 */
public record Focal(double x, double y, @Typed.Switch boolean proposed) {
    /** A spot that a person has set. */
    public Focal(double x, double y) {
        this(x, y, false);
    }

    @JsonCreator
    public Focal {
        BadInput.unless(x >= 0 && x <= 1 && y >= 0 && y <= 1, "focal", "The focal point lies within the picture.");
    }
}
