package plainlantern.outline;

import java.util.ArrayList;
import java.util.List;
import plainlantern.geometry.Path.Segment;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;

/** Polygons with rounded corners. */
final class Corners {
    private Corners() {}

    /**
     * The closed polygon with each corner replaced by an arc of {@code radius} mm that touches both its sides; where a side is too
     * short, the arc takes half of it and its radius is smaller. A cubic stands for each arc (control length 4/3·tan(φ/4)·r).
     */
    static Path rounded(List<Point> corners, double radius) {
        if (radius <= 0) return Path.polygon(corners);
        List<Segment> steps = new ArrayList<>();
        int n = corners.size();
        for (int i = 0; i < n; i++) {
            Point tip = corners.get(i);
            Point back = corners.get((i + n - 1) % n).minus(tip);
            Point on = corners.get((i + 1) % n).minus(tip);
            double before = Math.hypot(back.x(), back.y());
            double after = Math.hypot(on.x(), on.y());
            double cos = (back.x() * on.x() + back.y() * on.y()) / before / after;
            double angle = Math.acos(Math.max(-1, Math.min(1, cos)));
            double tangent = Math.min(radius / Math.tan(angle / 2), Math.min(before, after) / 2);
            double r = tangent * Math.tan(angle / 2);
            double control = 4.0 / 3 * Math.tan((Math.PI - angle) / 4) * r;
            Point start = tip.plus(back.times(tangent / before));
            Point end = tip.plus(on.times(tangent / after));
            steps.add(steps.isEmpty() ? new Segment.Move(start) : new Segment.Line(start));
            steps.add(new Segment.Cubic(start.minus(back.times(control / before)), end.minus(on.times(control / after)), end));
        }
        steps.add(new Segment.Close());
        return new Path(steps);
    }

    /**
     * Points evenly on the unit circle from the top, clockwise, every {@code k}th pulled to {@code radii[k % radii.length]}; {@code shift}
     * in steps.
     */
    static List<Point> around(int count, double shift, double... radii) {
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double angle = 2 * Math.PI * (i + shift) / count;
            double radius = radii[i % radii.length];
            points.add(new Point(radius * Math.sin(angle), -radius * Math.cos(angle)));
        }
        return points;
    }

    /** The points stretched so that their bounds are {@code width} by {@code height} around the origin. */
    static List<Point> stretched(List<Point> points, double width, double height) {
        var box = Path.polygon(points).bounds();
        return points.stream().map(p -> new Point((p.x() - box.centre().x()) / box.width() * width,
                (p.y() - box.centre().y()) / box.height() * height)).toList();
    }
}
