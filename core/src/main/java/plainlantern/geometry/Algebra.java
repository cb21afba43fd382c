package plainlantern.geometry;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;

/**
 * Union, intersection and difference of paths; curves stay curves. JTS finds how the outlines part and join, on chords; then each
 * stretch of chords is told as the part of the curve that it was cut from, and where two stretches meet, the very place where their
 * curves cross is found by Newton's method. Contours of the results are filled even-odd, and each encloses one area or one hole.
 */
public final class Algebra {
    private static final int NEWTON = 12;
    /** How near chords keep to curves where only crossings are looked for, as a share of the whole. */
    private static final double FINE = 1e-4;

    private Algebra() {}

    /** What the one or the other covers; empty where neither has an area. */
    public static Optional<Path> union(Path one, Path other) {
        return of(one, other, OverlayNG.UNION);
    }

    /** What both cover; empty where they share no area. */
    public static Optional<Path> intersection(Path one, Path other) {
        return of(one, other, OverlayNG.INTERSECTION);
    }

    /** What the one covers and the other does not; empty where that has no area. */
    public static Optional<Path> difference(Path one, Path other) {
        return of(one, other, OverlayNG.DIFFERENCE);
    }

    /** The same area, told by contours of which each encloses one area or one hole: lines drawn along them run around the area. */
    public static Path evenOdd(Path path) {
        return path.rule() == FillRule.EVEN_ODD ? path : separated(path);
    }

    /** The same area as contours that neither touch nor cross, each of which encloses one area or one hole. */
    static Path separated(Path path) {
        List<Path.Segment> steps = new ArrayList<>();
        for (Path cluster : path.clusters()) {
            Box box = cluster.bounds();
            boolean plain = Rings.plain(cluster.flattened(FINE * Math.max(box.width(), box.height()), Chords.EACH));
            steps.addAll((plain ? cluster : alone(cluster)).segments());
        }
        return new Path(steps);
    }

    /**
     * The part of a path to the right of the line from {@code a} to {@code b} (y points down), less {@code inset} mm along the line.
     *
     * @throws IllegalArgumentException if both points coincide, which defines no line
     */
    public static Optional<Path> rightOf(Path path, Point a, Point b, double inset) {
        if (!(a.distance(b) > 0)) throw new IllegalArgumentException("no line from " + a + " to " + b);
        if (path.empty()) return Optional.empty();
        Box box = path.bounds();
        Point way = b.minus(a).times(1 / b.minus(a).length());
        Point right = new Point(-way.y(), way.x());
        // Far enough around the form, and not farther: chords of like size keep like precision.
        double reach = box.width() + box.height() + box.centre().minus(a).length() + 1;
        Point from = a.plus(right.times(inset)).minus(way.times(reach));
        Point to = a.plus(right.times(inset)).plus(way.times(reach));
        return intersection(path, Path.polygon(List.of(from, to, to.plus(right.times(2 * reach)), from.plus(right.times(2 * reach)))));
    }

    /** Cluster by cluster: what lies apart from all of the other path stays as it is, or goes. */
    private static Optional<Path> of(Path one, Path other, int operation) {
        List<Owned> contours = new ArrayList<>();
        for (List<Curve> contour : one.contours()) contours.add(new Owned(contour, true));
        for (List<Curve> contour : other.contours()) contours.add(new Owned(contour, false));
        List<Path.Segment> steps = new ArrayList<>();
        for (List<Owned> cluster : Clusters.of(contours, owned -> Path.around(owned.contour()))) {
            Path mine = Owned.path(cluster, true, one.rule());
            Path theirs = Owned.path(cluster, false, other.rule());
            boolean alone = mine.empty() || theirs.empty();
            boolean goes = alone && (operation == OverlayNG.INTERSECTION || operation == OverlayNG.DIFFERENCE && mine.empty());
            if (!goes) steps.addAll((alone ? evenOdd(mine.empty() ? theirs : mine) : together(mine, theirs, operation)).segments());
        }
        return steps.isEmpty() ? Optional.empty() : Optional.of(new Path(steps));
    }

    private record Owned(List<Curve> contour, boolean mine) {
        static Path path(List<Owned> cluster, boolean mine, FillRule rule) {
            return Path.of(cluster.stream().filter(owned -> owned.mine == mine).map(Owned::contour).toList(), rule);
        }
    }

    private static Path together(Path one, Path other, int operation) {
        Chords chords = new Chords(List.of(one, other));
        return told(chords, OverlayNGRobust.overlay(chords.area(0), chords.area(1), operation));
    }

    private static Path alone(Path path) {
        Chords chords = new Chords(List.of(path));
        return told(chords, chords.area(0));
    }

    /** An area of chords as the curves that they were cut from; the same area is always told in the same order. */
    static Path told(Chords chords, Geometry found) {
        Geometry area = found.norm();
        List<Path.Segment> steps = new ArrayList<>();
        for (int i = 0; i < area.getNumGeometries(); i++) {
            if (!(area.getGeometryN(i) instanceof Polygon polygon) || chords.thin(polygon.getExteriorRing())) continue;
            contour(steps, chords, polygon.getExteriorRing());
            for (int hole = 0; hole < polygon.getNumInteriorRing(); hole++) {
                if (!chords.thin(polygon.getInteriorRingN(hole))) contour(steps, chords, polygon.getInteriorRingN(hole));
            }
        }
        return new Path(steps);
    }

    private static void contour(List<Path.Segment> steps, Chords chords, LineString ring) {
        List<Curve> curves = straightened(joined(chords.runs(ring.getCoordinates())), chords.tolerance());
        if (curves.size() < 2) return;
        steps.add(new Path.Segment.Move(curves.get(0).from()));
        int last = curves.size() - 1;
        // A last straight step back to the start is what closing means.
        for (int i = 0; i <= last; i++) if (i < last || !curves.get(i).straight()) steps.add(curves.get(i).step());
        steps.add(new Path.Segment.Close());
    }

    /** The runs as curves, each beginning where the one before it ends. */
    private static List<Curve> joined(List<Chords.Run> runs) {
        int count = runs.size();
        double[] from = new double[count];
        double[] to = new double[count];
        Point[] ends = new Point[count];
        for (int i = 0; i < count; i++) {
            from[i] = runs.get(i).from();
            to[i] = runs.get(i).to();
        }
        for (int i = 0; i < count; i++) {
            int next = (i + 1) % count;
            Curve a = runs.get(i).curve();
            Curve b = runs.get(next).curve();
            double[] met = crossing(a, to[i], b, from[next], runs.get(i).step(), runs.get(next).step());
            to[i] = met[0];
            from[next] = met[1];
            ends[i] = met[0] == 0 || met[0] == 1 ? a.at(met[0]) : met[1] == 0 || met[1] == 1 ? b.at(met[1])
                    : a.at(met[0]).plus(b.at(met[1])).times(0.5);
        }
        List<Curve> curves = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            Curve part = runs.get(i).curve().part(from[i], to[i]);
            curves.add(part.between(ends[(i + count - 1) % count], ends[i]));
        }
        return curves;
    }

    /** The parameters where two curves cross near {@code t} and {@code s}; those themselves where they do not, or only touch. */
    private static double[] crossing(Curve a, double t, Curve b, double s, double stepA, double stepB) {
        double u = t;
        double v = s;
        for (int i = 0; i < NEWTON; i++) {
            Point off = b.at(v).minus(a.at(u));
            Point p = a.way(u);
            Point q = b.way(v);
            double turn = p.x() * q.y() - p.y() * q.x();
            if (Math.abs(turn) <= 1e-6 * p.length() * q.length()) return new double[] {t, s};
            u += (off.x() * q.y() - off.y() * q.x()) / turn;
            v += (off.x() * p.y() - off.y() * p.x()) / turn;
            if (Math.abs(u - t) > 2 * stepA || Math.abs(v - s) > 2 * stepB) return new double[] {t, s};
        }
        return new double[] {within(u), within(v)};
    }

    /** A parameter on its curve; one that is an end but for rounding is that end. */
    private static double within(double t) {
        return t < 1e-9 ? 0 : t > 1 - 1e-9 ? 1 : t;
    }

    /** Without steps of no length, and with each straight way as one step. */
    static List<Curve> straightened(List<Curve> curves, double tolerance) {
        List<Curve> out = new ArrayList<>();
        for (Curve curve : curves) add(out, curve, tolerance);
        int last = out.size() - 1;
        if (last > 1 && inLine(out.get(last), out.get(0))) {
            Collections.rotate(out, 1);
            return straightened(out, tolerance);
        }
        if (last >= 0) out.set(0, out.get(0).between(out.get(last).to(), out.get(0).to()));
        return out;
    }

    /**
     * Goes on by a curve. One straight on, or straight back, makes the step before it longer or shorter: where two outlines part beside a
     * line that they share, JTS leaves a sliver along it that is as wide as rounding errors are.
     */
    private static void add(List<Curve> out, Curve curve, double tolerance) {
        int last = out.size() - 1;
        boolean nothing = curve.from().distance(curve.to()) <= tolerance
                && (curve.straight() || curve.from().distance(curve.control1()) <= tolerance);
        if (nothing && last >= 0) out.set(last, out.get(last).between(out.get(last).from(), curve.to()));
        else if (nothing) return;
        else if (last >= 0 && inLine(out.get(last), curve)) add(out, Curve.straight(out.remove(last).from(), curve.to()), tolerance);
        else out.add(curve);
    }

    /** Whether two straight steps are along one line. */
    private static boolean inLine(Curve a, Curve b) {
        if (!a.straight() || !b.straight()) return false;
        Point p = a.to().minus(a.from());
        Point q = b.to().minus(b.from());
        return Math.abs(p.x() * q.y() - p.y() * q.x()) <= 1e-9 * p.length() * q.length();
    }
}
