package plainlantern.editing.mounting;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import plainlantern.geometry.Box;
import plainlantern.geometry.Convex;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.geometry.Polygons;

/** Four corners, from the upper left one on, clockwise. */
final class Quads {
    /** Four corners stand for a form where they leave no more of it. */
    private static final double ENOUGH = 0.94;
    private static final int MANY = 36;

    private Quads() {}

    /** Any four places in that order. */
    static List<Point> ordered(List<Point> places) {
        Point middle = middle(places);
        List<Point> turning = new ArrayList<>(places);
        turning.sort(Comparator.comparingDouble(p -> Math.atan2(p.y() - middle.y(), p.x() - middle.x())));
        int first = 0;
        for (int i = 1; i < 4; i++) {
            if (turning.get(i).x() + turning.get(i).y() < turning.get(first).x() + turning.get(first).y()) first = i;
        }
        List<Point> out = new ArrayList<>();
        for (int i = 0; i < 4; i++) out.add(turning.get((first + i) % 4));
        return out;
    }

    static Point middle(List<Point> corners) {
        return corners.get(0).plus(corners.get(1)).plus(corners.get(2)).plus(corners.get(3)).times(0.25);
    }

    /** The frame that a form most likely is: its own four corners, or the four that hold nearly all of it, else its box. */
    static List<Point> around(Path form) {
        List<Point> hull = Polygons.hull(form);
        Box box = form.bounds();
        List<Point> best = Convex.of(box);
        if (hull.size() < 4 || hull.size() > MANY) return best;
        double most = ENOUGH * area(hull);
        int n = hull.size();
        for (int a = 0; a < n; a++) for (int b = a + 1; b < n; b++) for (int c = b + 1; c < n; c++) for (int d = c + 1; d < n; d++) {
            List<Point> quad = List.of(hull.get(a), hull.get(b), hull.get(c), hull.get(d));
            double area = area(quad);
            if (area > most) {
                most = area;
                best = quad;
            }
        }
        return ordered(best);
    }

    private static double area(List<Point> corners) {
        double twice = 0;
        for (int i = 0; i < corners.size(); i++) {
            Point a = corners.get(i);
            Point b = corners.get((i + 1) % corners.size());
            twice += a.x() * b.y() - b.x() * a.y();
        }
        return Math.abs(twice) / 2;
    }
}
