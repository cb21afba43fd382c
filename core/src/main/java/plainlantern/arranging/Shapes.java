package plainlantern.arranging;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Point;
import plainlantern.sheet.Holder;

/** The straight sides of panels. */
public final class Shapes {
    private Shapes() {}

    /**
     * The corners whose sides can be moved one by one, in the panel's own frame, see {@link plainlantern.outline.Outline#sides}.
     * Empty where moving a side makes no sense, as of a caption.
     */
    public static Optional<List<Point>> sides(Holder panel) {
        return panel.takesPictures() ? panel.outline().sides(panel.seat().width(), panel.seat().height()) : Optional.empty();
    }

    /** The corners, in the panel's own frame, that can be moved one by one: of free polygons, slanted forms and plain rectangles. */
    public static Optional<List<Point>> corners(Holder panel) {
        return panel.outline().corners(panel.seat().width(), panel.seat().height());
    }

    public static List<Point> mapped(List<Point> points, Affine map) {
        List<Point> out = new ArrayList<>();
        for (Point point : points) out.add(map.apply(point));
        return out;
    }

    /** Twice the signed area: above zero where the corners go clockwise as seen (y down). */
    public static double turning(List<Point> corners) {
        double sum = 0;
        for (int i = 0; i < corners.size(); i++) {
            Point a = corners.get(i);
            Point b = corners.get((i + 1) % corners.size());
            sum += a.x() * b.y() - b.x() * a.y();
        }
        return sum;
    }
}
