package plainlantern.outline;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.geometry.Path.Segment;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;

/**
 * A rectangle with a radius (mm) per corner. Where radii would overlap on a side, all shrink by one common factor, as
 * CSS Backgrounds and Borders 3, section 4.5 ("Overlapping Curves") says.
 */
@JsonTypeName("rectangle")
public record Rectangle(@Typed.Length double topLeft, @Typed.Length double topRight,
                        @Typed.Length double bottomRight, @Typed.Length double bottomLeft) implements Outline {
    private static final List<String> CORNERS = List.of("top-left", "top-right", "bottom-right", "bottom-left");
    public static final Rectangle SHARP = new Rectangle(0, 0, 0, 0);

    public Rectangle {
        for (double radius : new double[] {topLeft, topRight, bottomRight, bottomLeft}) {
            BadInput.unless(radius >= 0, "radius", "A corner radius cannot be negative.");
        }
    }

    /** With one radius at all corners, mm. */
    public static Rectangle rounded(double radius) {
        return new Rectangle(radius, radius, radius, radius);
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

    /** One handle a corner, on the diagonal, as far from both sides as the radius is. */
    @Override
    public List<Grip> grips(double width, double height) {
        double shrink = shrink(width, height);
        double x = width / 2;
        double y = height / 2;
        return List.of(Grip.ofLength(CORNERS.get(0), new Point(topLeft * shrink - x, topLeft * shrink - y), topLeft * shrink),
                Grip.ofLength(CORNERS.get(1), new Point(x - topRight * shrink, topRight * shrink - y), topRight * shrink),
                Grip.ofLength(CORNERS.get(2), new Point(x - bottomRight * shrink, y - bottomRight * shrink), bottomRight * shrink),
                Grip.ofLength(CORNERS.get(3), new Point(bottomLeft * shrink - x, y - bottomLeft * shrink), bottomLeft * shrink));
    }

    @Override
    public Outline pulled(String grip, Point to, boolean alone, double width, double height) {
        int corner = CORNERS.indexOf(grip);
        BadInput.unless(corner >= 0, "radius", "A rectangle has no handle " + grip + ".");
        double across = width / 2 + (corner == 0 || corner == 3 ? to.x() : -to.x());
        double down = height / 2 + (corner < 2 ? to.y() : -to.y());
        double radius = Math.max(0, Math.min((across + down) / 2, Math.min(width, height) / 2));
        double[] radii = alone ? new double[] {topLeft, topRight, bottomRight, bottomLeft} : new double[] {radius, radius, radius, radius};
        radii[corner] = radius;
        return new Rectangle(radii[0], radii[1], radii[2], radii[3]);
    }

    @Override
    public String label() {
        return "rectangle";
    }

    @Override
    public Optional<List<Point>> corners(double width, double height) {
        return equals(SHARP) ? path(width, height).corners() : Optional.empty();
    }

    @Override
    public boolean stretches() {
        return true;
    }

    @Override
    public List<Double> radii() {
        return List.of(topLeft, topRight, bottomRight, bottomLeft);
    }
}
