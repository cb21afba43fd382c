package plainlantern.geometry;

import java.util.ArrayList;
import java.util.List;

/** Convex polygons, given by their corners. */
public final class Convex {
    private Convex() {}

    public static List<Point> of(Box box) {
        return List.of(new Point(box.x(), box.y()), new Point(box.right(), box.y()), new Point(box.right(), box.bottom()),
                new Point(box.x(), box.bottom()));
    }

    /**
     * The part where {@code normal}·p ≤ {@code limit} (Sutherland and Hodgman 1974, one edge); empty where there is none.
     */
    public static List<Point> clipped(List<Point> corners, Point normal, double limit) {
        List<Point> kept = new ArrayList<>();
        for (int i = 0; i < corners.size(); i++) {
            Point a = corners.get(i);
            Point b = corners.get((i + 1) % corners.size());
            double da = a.dot(normal) - limit;
            double db = b.dot(normal) - limit;
            if (da <= 0) kept.add(a);
            if (da < 0 && db > 0 || da > 0 && db < 0) kept.add(a.plus(b.minus(a).times(da / (da - db))));
        }
        return kept;
    }

    /** The centroid of the area (shoelace formula). */
    public static Point centroid(List<Point> corners) {
        double sum = 0;
        double x = 0;
        double y = 0;
        for (int i = 0; i < corners.size(); i++) {
            Point a = corners.get(i);
            Point b = corners.get((i + 1) % corners.size());
            double cross = a.x() * b.y() - b.x() * a.y();
            sum += cross;
            x += (a.x() + b.x()) * cross;
            y += (a.y() + b.y()) * cross;
        }
        return new Point(x / 3 / sum, y / 3 / sum);
    }
}
