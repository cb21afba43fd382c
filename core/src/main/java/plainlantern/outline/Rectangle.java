package plainlantern.outline;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Path;
import plainlantern.geometry.Path.Segment;
import plainlantern.geometry.Point;
import plainlantern.geometry.Typed;

/**
 * A rectangle with a radius (mm) per corner. Where radii would overlap on a side, all shrink by one common factor, as
 * CSS Backgrounds and Borders 3, section 4.5 ("Overlapping Curves") says.
 */
@JsonTypeName("rectangle")
public record Rectangle(@Typed.Length double topLeft, @Typed.Length double topRight,
                        @Typed.Length double bottomRight, @Typed.Length double bottomLeft) implements Outline {
    public static final Rectangle SHARP = new Rectangle(0, 0, 0, 0);

    public Rectangle {
        for (double radius : new double[] {topLeft, topRight, bottomRight, bottomLeft}) {
            BadInput.unless(radius >= 0, "radius", "A corner radius cannot be negative.");
        }
    }

    @Override
    public Path path(double width, double height) {
        double shrink = shrink(width, height);
        double x = width / 2;
        double y = height / 2;
        List<Segment> steps = new ArrayList<>();
        corner(steps, new Point(-x, -y), new Point(0, 1), new Point(1, 0), topLeft * shrink);
        corner(steps, new Point(x, -y), new Point(-1, 0), new Point(0, 1), topRight * shrink);
        corner(steps, new Point(x, y), new Point(0, -1), new Point(-1, 0), bottomRight * shrink);
        corner(steps, new Point(-x, y), new Point(1, 0), new Point(0, -1), bottomLeft * shrink);
        steps.add(new Segment.Close());
        return new Path(steps);
    }

    private double shrink(double width, double height) {
        double factor = 1;
        factor = Math.min(factor, width / (topLeft + topRight));
        factor = Math.min(factor, width / (bottomLeft + bottomRight));
        factor = Math.min(factor, height / (topLeft + bottomLeft));
        return Math.min(factor, height / (topRight + bottomRight));
    }

    /** Adds the corner at {@code tip}, coming along {@code back} reversed and leaving along {@code on}. */
    private static void corner(List<Segment> steps, Point tip, Point back, Point on, double radius) {
        Point start = tip.plus(back.times(radius));
        steps.add(steps.isEmpty() ? new Segment.Move(start) : new Segment.Line(start));
        if (radius == 0) return;
        double free = radius * (1 - Ellipse.QUARTER);
        steps.add(new Segment.Cubic(tip.plus(back.times(free)), tip.plus(on.times(free)), tip.plus(on.times(radius))));
    }

    @Override
    public String label() {
        return "rectangle";
    }
}
