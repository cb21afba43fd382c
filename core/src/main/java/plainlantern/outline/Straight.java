package plainlantern.outline;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.geometry.Path;
import plainlantern.geometry.Path.Segment;
import plainlantern.geometry.Point;
import plainlantern.geometry.Typed;

/**
 * A straight line from the middle of one side of its box to the other: the form of a rule.
 *
 * @param banks    facing sides of panels whose gap it follows, one of each bank; none where it was drawn by hand
 * @param covering whether it is as wide as the gap
 */
@JsonTypeName("straight")
public record Straight(List<Bank> banks, @Typed.Switch boolean covering) implements Outline {
    public static final Straight FREE = new Straight(List.of(), false);

    public Straight {
        banks = banks == null ? List.of() : List.copyOf(banks);
    }

    /** One side of a panel, by the index of its first corner among the panel's sides. */
    public record Bank(String panel, int side) {}

    @Override
    public Path path(double width, double height) {
        return new Path(List.of(new Segment.Move(new Point(-width / 2, 0)), new Segment.Line(new Point(width / 2, 0))));
    }

    @Override
    public String label() {
        return "rule";
    }
}
