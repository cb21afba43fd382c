package plainlantern.arranging;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.sheet.Seat;

/** Moving single sides and corners of panels. */
public final class Sides {
    private Sides() {}

    /**
     * The corners after some sides were moved square to themselves: neighbouring sides keep their direction and become longer or shorter.
     *
     * @param corners in any frame
     * @param sides   indices of the first corners of the sides to move
     * @param by      a vector in that frame; each side takes the part of it that is square to the side
     * @throws BadInput where a side would turn around or a neighbour is parallel
     */
    public static List<Point> moved(List<Point> corners, Collection<Integer> sides, Point by, String panel) {
        int n = corners.size();
        List<Point> next = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            Line before = line(corners, (i + n - 1) % n, sides, by);
            Line after = line(corners, i, sides, by);
            Optional<Point> meeting = before.meets(after);
            boolean touched = sides.contains((i + n - 1) % n) || sides.contains(i);
            BadInput.unless(!touched || meeting.isPresent(), "seam",
                    panel + " has two sides on one line there; this seam cannot be moved.");
            next.add(touched ? meeting.get() : corners.get(i));
        }
        for (int i = 0; i < n; i++) {
            Point was = corners.get((i + 1) % n).minus(corners.get(i));
            Point is = next.get((i + 1) % n).minus(next.get(i));
            BadInput.unless(was.dot(is) > 0, "seam", "That is too far: " + panel + " would vanish.");
        }
        return next;
    }

    private record Line(Point at, Point way) {
        Optional<Point> meets(Line other) {
            double det = way.x() * other.way.y() - way.y() * other.way.x();
            if (Math.abs(det) < 1e-9 * Math.hypot(way.x(), way.y()) * Math.hypot(other.way.x(), other.way.y())) return Optional.empty();
            Point d = other.at.minus(at);
            return Optional.of(at.plus(way.times((d.x() * other.way.y() - d.y() * other.way.x()) / det)));
        }
    }

    private static Line line(List<Point> corners, int side, Collection<Integer> sides, Point by) {
        Point a = corners.get(side);
        Point way = corners.get((side + 1) % corners.size()).minus(a);
        if (!sides.contains(side)) return new Line(a, way);
        double length = Math.hypot(way.x(), way.y());
        Point square = new Point(-way.y() / length, way.x() / length);
        return new Line(a.plus(square.times(by.dot(square))), way);
    }

    /** Refuses a polygon, in a panel's own frame, that is too thin, turned inside out or crosses itself. */
    public static Path sound(List<Point> corners, List<Point> before, String panel) {
        Path path = Path.polygon(corners);
        BadInput.unless(path.bounds().shorter() >= Seat.THINNEST && Shapes.turning(corners) * Shapes.turning(before) > 0
                && !crosses(corners),
                "corner", "That is too far: " + panel + " would fold over itself.");
        return path;
    }

    private static boolean crosses(List<Point> c) {
        int n = c.size();
        for (int i = 0; i < n; i++) {
            for (int j = i + 2; j < n; j++) {
                if (i == 0 && j == n - 1) continue;
                if (apart(c.get(i), c.get(i + 1), c.get(j), c.get((j + 1) % n))
                        && apart(c.get(j), c.get((j + 1) % n), c.get(i), c.get(i + 1))) return true;
            }
        }
        return false;
    }

    /** Whether p and q lie on different sides of the line through a and b. */
    private static boolean apart(Point a, Point b, Point p, Point q) {
        return side(a, b, p) * side(a, b, q) < 0;
    }

    private static double side(Point a, Point b, Point p) {
        return (b.x() - a.x()) * (p.y() - a.y()) - (b.y() - a.y()) * (p.x() - a.x());
    }
}
