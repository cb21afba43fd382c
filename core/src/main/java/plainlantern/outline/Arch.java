package plainlantern.outline;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.geometry.Path.Segment;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;

/** A round-headed window: a half circle over a rectangle; in a box lower than half its width, half an ellipse. */
@JsonTypeName("arch")
public record Arch() implements Outline {
    @Override
    public Path path(double width, double height) {
        double x = width / 2;
        double y = height / 2;
        double rise = Math.min(x, height);
        double spring = -y + rise;
        double kx = x * Ellipse.QUARTER;
        double ky = rise * (1 - Ellipse.QUARTER);
        return new Path(List.of(
                new Segment.Move(new Point(-x, spring)),
                new Segment.Cubic(new Point(-x, -y + ky), new Point(-kx, -y), new Point(0, -y)),
                new Segment.Cubic(new Point(kx, -y), new Point(x, -y + ky), new Point(x, spring)),
                new Segment.Line(new Point(x, y)),
                new Segment.Line(new Point(-x, y)),
                new Segment.Close()));
    }

    @Override
    public double aspect() {
        return 0.7;
    }

    @Override
    public String label() {
        return "arch";
    }
}
