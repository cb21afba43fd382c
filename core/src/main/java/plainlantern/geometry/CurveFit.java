package plainlantern.geometry;

import java.util.ArrayList;
import java.util.List;

/**
 * Curves through points that follow one: Schneider's algorithm (An Algorithm for Automatically Fitting Digitized Curves, Graphics Gems
 * 1990).
 */
public final class CurveFit {
    private static final int TURNS = 8;
    private static final double CORNER = Math.cos(Math.toRadians(20));
    /** Cosine of the angle between two steps beyond which a stroke turns back on itself. */
    private static final double REVERSAL = Math.cos(Math.toRadians(150));

    private CurveFit() {}

    /**
     * An open stroke as cubic curves.
     *
     * @param points    two or more, each elsewhere than the one before
     * @param tolerance how far a point may be from its curve, in the unit of the points
     */
    public static List<Curve> stroke(List<Point> points, double tolerance) {
        int last = points.size() - 1;
        if (last < 1) return List.of();
        List<Curve> curves = new ArrayList<>();
        fit(points, 0, last, unit(points.get(1).minus(points.get(0))), unit(points.get(last - 1).minus(points.get(last))), tolerance,
                curves);
        return curves;
    }

    /**
     * A closed ring of corners as straight sides and curves: it is parted at its corners, and at the ends of its long straight sides; what
     * is between follows curves.
     */
    static List<Curve> ring(List<Point> ring, double tolerance) {
        int count = ring.size();
        List<Integer> breaks = new ArrayList<>();
        for (int i = 0; i < count; i++) if (straight(ring, i - 1) || straight(ring, i) || corner(ring, i)) breaks.add(i);
        if (breaks.isEmpty()) breaks.add(0);
        List<Curve> curves = new ArrayList<>();
        for (int b = 0; b < breaks.size(); b++) {
            int from = breaks.get(b);
            int to = b + 1 < breaks.size() ? breaks.get(b + 1) : breaks.get(0) + count;
            if (to - from == 1) {
                curves.add(Curve.straight(at(ring, from), at(ring, to)));
                continue;
            }
            List<Point> part = new ArrayList<>();
            for (int i = from; i <= to; i++) part.add(at(ring, i));
            fit(part, 0, part.size() - 1, tangent(ring, from, 1), tangent(ring, to, -1), tolerance, curves);
        }
        return curves;
    }

    /** The direction in which a piece leaves a place: that of the ring there where it goes on smoothly. */
    private static Point tangent(List<Point> ring, int i, int way) {
        Point side = unit(at(ring, i + way).minus(at(ring, i)));
        if (corner(ring, Math.floorMod(i, ring.size()))) return side;
        // At the end of a straight side its direction; elsewhere the middle of both.
        if (straight(ring, way > 0 ? i - 1 : i)) return unit(at(ring, i).minus(at(ring, i - way)));
        return unit(at(ring, i + way).minus(at(ring, i - way)));
    }

    private static Point at(List<Point> ring, int i) {
        return ring.get(Math.floorMod(i, ring.size()));
    }

    private static boolean corner(List<Point> ring, int i) {
        Point in = unit(at(ring, i).minus(at(ring, i - 1)));
        Point out = unit(at(ring, i + 1).minus(at(ring, i)));
        return in.dot(out) < CORNER;
    }

    /** Whether the side from a place to the next is far longer than one of its neighbours, or stands between corners. */
    private static boolean straight(List<Point> ring, int i) {
        double length = at(ring, i).distance(at(ring, i + 1));
        boolean between = corner(ring, i) && corner(ring, i + 1);
        return between || length > 5 * Math.min(at(ring, i - 1).distance(at(ring, i)), at(ring, i + 1).distance(at(ring, i + 2)));
    }

    private static void fit(List<Point> d, int first, int last, Point start, Point end, double tolerance, List<Curve> out) {
        if (last - first == 1) {
            double third = d.get(first).distance(d.get(last)) / 3;
            out.add(Curve.cubic(d.get(first), d.get(first).plus(start.times(third)), d.get(last).plus(end.times(third)), d.get(last)));
            return;
        }
        double[] u = byLength(d, first, last);
        Curve curve = curve(d, first, last, u, start, end);
        int worst = worst(d, first, last, curve, u);
        double error = error(d, first, curve, u, worst);
        for (int i = 0; i < TURNS && error > tolerance && error < 5 * tolerance; i++) {
            u = nearer(d, first, curve, u);
            curve = curve(d, first, last, u, start, end);
            worst = worst(d, first, last, curve, u);
            error = error(d, first, curve, u, worst);
        }
        if (error <= tolerance) {
            out.add(curve);
            return;
        }
        int split = first + worst;
        Point back = unit(d.get(split - 1).minus(d.get(split)));
        Point on = unit(d.get(split + 1).minus(d.get(split)));
        // Where a stroke turns back on itself the chord between the neighbours has no usable direction: both curves end in a cusp.
        boolean cusp = -back.dot(on) < REVERSAL;
        Point middle = cusp ? back : unit(d.get(split - 1).minus(d.get(split + 1)));
        fit(d, first, split, start, middle, tolerance, out);
        fit(d, split, last, cusp ? on : middle.times(-1), end, tolerance, out);
    }

    /** The parameters of points by the length of the chords between them. */
    private static double[] byLength(List<Point> d, int first, int last) {
        double[] u = new double[last - first + 1];
        for (int i = 1; i < u.length; i++) u[i] = u[i - 1] + d.get(first + i).distance(d.get(first + i - 1));
        for (int i = 1; i < u.length; i++) u[i] /= u[u.length - 1];
        return u;
    }

    /** The curve with those ends and directions whose points at {@code u} are nearest by least squares. */
    private static Curve curve(List<Point> d, int first, int last, double[] u, Point start, Point end) {
        Point from = d.get(first);
        Point to = d.get(last);
        double c00 = 0;
        double c01 = 0;
        double c11 = 0;
        double x0 = 0;
        double x1 = 0;
        for (int i = 0; i < u.length; i++) {
            double t = u[i];
            double s = 1 - t;
            Point a = start.times(3 * t * s * s);
            Point b = end.times(3 * t * t * s);
            Point off = d.get(first + i).minus(from.times(s * s * s + 3 * t * s * s)).minus(to.times(t * t * t + 3 * t * t * s));
            c00 += a.dot(a);
            c01 += a.dot(b);
            c11 += b.dot(b);
            x0 += a.dot(off);
            x1 += b.dot(off);
        }
        double determinant = c00 * c11 - c01 * c01;
        double length = from.distance(to);
        double alpha = determinant == 0 ? 0 : (x0 * c11 - x1 * c01) / determinant;
        double beta = determinant == 0 ? 0 : (c00 * x1 - c01 * x0) / determinant;
        // Where that turns a handle round, the Wu and Barsky heuristic: a third of the way each.
        if (alpha < 1e-6 * length || beta < 1e-6 * length) alpha = beta = length / 3;
        return Curve.cubic(from, from.plus(start.times(alpha)), to.plus(end.times(beta)), to);
    }

    /** Newton's method brings each parameter nearer to the place on the curve that is nearest to its point. */
    private static double[] nearer(List<Point> d, int first, Curve curve, double[] u) {
        double[] out = new double[u.length];
        for (int i = 0; i < u.length; i++) {
            Point off = curve.at(u[i]).minus(d.get(first + i));
            Point way = curve.way(u[i]);
            Point bend = curve.bend(u[i]);
            double slope = way.dot(way) + off.dot(bend);
            out[i] = slope == 0 ? u[i] : Math.max(0, Math.min(1, u[i] - off.dot(way) / slope));
        }
        return out;
    }

    private static int worst(List<Point> d, int first, int last, Curve curve, double[] u) {
        int worst = (last - first) / 2;
        double most = 0;
        for (int i = 1; i < u.length - 1; i++) {
            double off = error(d, first, curve, u, i);
            if (off <= most) continue;
            most = off;
            worst = i;
        }
        return worst;
    }

    private static double error(List<Point> d, int first, Curve curve, double[] u, int i) {
        return curve.at(u[i]).distance(d.get(first + i));
    }

    private static Point unit(Point way) {
        double length = way.length();
        return length == 0 ? new Point(1, 0) : way.times(1 / length);
    }
}
