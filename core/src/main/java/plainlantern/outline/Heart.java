package plainlantern.outline;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path.Segment;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;

/** A heart that touches all four sides of its box: two round shoulders, a notch, a tip. */
@JsonTypeName("heart")
public record Heart() implements Outline {
    private static final Path DRAWN = new Path(List.of(
            new Segment.Move(new Point(0, 24)),
            new Segment.Cubic(new Point(6, 6), new Point(20, 0), new Point(31, 0)),
            new Segment.Cubic(new Point(45, 0), new Point(54, 11), new Point(54, 26)),
            new Segment.Cubic(new Point(54, 52), new Point(24, 72), new Point(0, 96)),
            new Segment.Cubic(new Point(-24, 72), new Point(-54, 52), new Point(-54, 26)),
            new Segment.Cubic(new Point(-54, 11), new Point(-45, 0), new Point(-31, 0)),
            new Segment.Cubic(new Point(-20, 0), new Point(-6, 6), new Point(0, 24)),
            new Segment.Close()));
    private static final Box BOUNDS = DRAWN.bounds();

    @Override
    public Path path(double width, double height) {
        return DRAWN.mapped(Affine.scale(width / BOUNDS.width(), height / BOUNDS.height())
                .after(Affine.move(-BOUNDS.centre().x(), -BOUNDS.centre().y())));
    }

    @Override
    public double aspect() {
        return BOUNDS.width() / BOUNDS.height();
    }

    @Override
    public String label() {
        return "heart";
    }
}
