package plainlantern.arranging;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Point;
import plainlantern.outline.FreeForm;
import plainlantern.outline.Outline;
import plainlantern.outline.Rectangle;
import plainlantern.outline.RegularPolygon;
import plainlantern.outline.Slanted;
import plainlantern.sheet.Panel;

/** The straight sides of panels. */
public final class Shapes {
    private Shapes() {}

    /**
     * The corners whose sides can be moved one by one, in the panel's own frame: those of a polygon drawn free or slanted, or of the box of any other
     * form that is stretched to its box. Empty where moving a side makes no sense.
     */
    public static Optional<List<Point>> sides(Panel panel) {
        if (!panel.role().takesPictures()) return Optional.empty();
        Outline outline = panel.outline();
        if (outline instanceof FreeForm || outline instanceof Slanted) return FreeForm.corners(panel.ownPath());
        if (outline instanceof RegularPolygon) return Optional.empty();
        Point half = panel.seat().half();
        return Optional.of(List.of(new Point(-half.x(), -half.y()), new Point(half.x(), -half.y()), half, new Point(-half.x(), half.y())));
    }

    /** The corners, in the panel's own frame, that can be moved one by one: of free polygons, slanted forms and plain rectangles. */
    public static Optional<List<Point>> corners(Panel panel) {
        Outline outline = panel.outline();
        return outline instanceof FreeForm || outline instanceof Slanted || outline.equals(Rectangle.SHARP) ? FreeForm.corners(panel.ownPath()) : Optional.empty();
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
