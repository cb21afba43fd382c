package plainlantern.outline;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.geometry.Path.Segment;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;

/** An ellipse that touches all four sides of its box; four cubic curves, at most 0.03 % of the radius off. */
@JsonTypeName("ellipse")
public record Ellipse() implements Outline {
    /** Control length of a quarter circle of radius 1, 4/3·(√2 − 1): textbook value. */
    static final double QUARTER = 4.0 / 3 * (Math.sqrt(2) - 1);

    @Override
    public Path path(double width, double height) {
        double x = width / 2;
        double y = height / 2;
        double kx = x * QUARTER;
        double ky = y * QUARTER;
        return new Path(List.of(
                new Segment.Move(new Point(x, 0)),
                new Segment.Cubic(new Point(x, ky), new Point(kx, y), new Point(0, y)),
                new Segment.Cubic(new Point(-kx, y), new Point(-x, ky), new Point(-x, 0)),
                new Segment.Cubic(new Point(-x, -ky), new Point(-kx, -y), new Point(0, -y)),
                new Segment.Cubic(new Point(kx, -y), new Point(x, -ky), new Point(x, 0)),
                new Segment.Close()));
    }

    @Override
    public String label() {
        return "ellipse";
    }

    @Override
    public boolean stretches() {
        return true;
    }
}
