package plainlantern.geometry;

import java.util.ArrayList;
import java.util.List;

/** Closed contours of straight lines and cubic Bézier curves. */
public record Path(List<Segment> segments) {
    public Path {
        segments = List.copyOf(segments);
    }

    /** One step of a contour; it starts where the step before it ended. */
    public sealed interface Segment {
        /** Where it ends; a close has no end of its own and throws. */
        Point to();

        record Move(Point to) implements Segment {}

        record Line(Point to) implements Segment {}

        record Cubic(Point control1, Point control2, Point to) implements Segment {}

        record Close() implements Segment {
            @Override
            public Point to() {
                throw new UnsupportedOperationException("a close ends where its contour began");
            }
        }
    }

    /** A straight step as a cubic of even speed. */
    static Segment.Cubic straight(Point from, Point to) {
        return new Segment.Cubic(from.times(2).plus(to).times(1.0 / 3), to.times(2).plus(from).times(1.0 / 3), to);
    }

    /** The four sides of a box. */
    public static Path box(Box box) {
        return polygon(List.of(new Point(box.x(), box.y()), new Point(box.right(), box.y()), new Point(box.right(), box.bottom()), new Point(box.x(), box.bottom())));
    }

    /** The part of a cubic from parameter {@code t0} to {@code t1} (blossoming). */
    static Segment.Cubic part(Point from, Segment.Cubic c, double t0, double t1) {
        return new Segment.Cubic(blossom(from, c, t0, t0, t1), blossom(from, c, t0, t1, t1), blossom(from, c, t1, t1, t1));
    }

    private static Point blossom(Point from, Segment.Cubic c, double r, double s, double t) {
        Point a = mix(mix(from, c.control1(), r), mix(c.control1(), c.control2(), r), s);
        Point b = mix(mix(c.control1(), c.control2(), r), mix(c.control2(), c.to(), r), s);
        return mix(a, b, t);
    }

    private static Point mix(Point a, Point b, double t) {
        return a.times(1 - t).plus(b.times(t));
    }

    public static Path polygon(List<Point> corners) {
        List<Segment> steps = new ArrayList<>();
        for (Point corner : corners) steps.add(steps.isEmpty() ? new Segment.Move(corner) : new Segment.Line(corner));
        steps.add(new Segment.Close());
        return new Path(steps);
    }

    public Path mapped(Affine map) {
        return new Path(segments.stream().map(s -> mapped(s, map)).toList());
    }

    private static Segment mapped(Segment segment, Affine map) {
        if (segment instanceof Segment.Move m) return new Segment.Move(map.apply(m.to()));
        if (segment instanceof Segment.Line l) return new Segment.Line(map.apply(l.to()));
        if (segment instanceof Segment.Cubic c) {
            return new Segment.Cubic(map.apply(c.control1()), map.apply(c.control2()), map.apply(c.to()));
        }
        return segment;
    }

    /**
     * The exact bounds: curves count by the extremes of their polynomials, not by their control points. Throws when
     * the path is empty.
     */
    public Box bounds() {
        Extent x = new Extent();
        Extent y = new Extent();
        Point at = Point.ORIGIN;
        for (Segment segment : segments) {
            if (segment instanceof Segment.Cubic c) {
                x.curve(at.x(), c.control1().x(), c.control2().x(), c.to().x());
                y.curve(at.y(), c.control1().y(), c.control2().y(), c.to().y());
            }
            at = end(segment, at);
            if (!(segment instanceof Segment.Close)) {
                x.add(at.x());
                y.add(at.y());
            }
        }
        if (x.low > x.high) throw new IllegalStateException("bounds of an empty path");
        return Box.between(x.low, y.low, x.high, y.high);
    }

    /** Contours as closed rings of corners; a curve becomes {@code steps} chords. */
    public List<List<Point>> flattened(int steps) {
        List<List<Point>> rings = new ArrayList<>();
        List<Point> ring = new ArrayList<>();
        Point at = Point.ORIGIN;
        for (Segment segment : segments) {
            if (segment instanceof Segment.Move) {
                ring = new ArrayList<>();
                rings.add(ring);
            }
            if (segment instanceof Segment.Cubic c) {
                for (int i = 1; i <= steps; i++) ring.add(onCurve(at, c, (double) i / steps));
            } else if (!(segment instanceof Segment.Close)) {
                ring.add(end(segment, at));
            }
            at = end(segment, at);
        }
        return rings;
    }

    private static Point end(Segment segment, Point at) {
        if (segment instanceof Segment.Move m) return m.to();
        if (segment instanceof Segment.Line l) return l.to();
        if (segment instanceof Segment.Cubic c) return c.to();
        return at;
    }

    static Point onCurve(Point from, Segment.Cubic c, double t) {
        double u = 1 - t;
        return from.times(u * u * u).plus(c.control1().times(3 * u * u * t))
                .plus(c.control2().times(3 * u * t * t)).plus(c.to().times(t * t * t));
    }

    private static final class Extent {
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;

        void add(double value) {
            low = Math.min(low, value);
            high = Math.max(high, value);
        }

        /** Adds the values where the derivative of the cubic with these four ordinates is zero inside (0, 1). */
        void curve(double p0, double p1, double p2, double p3) {
            double qa = -p0 + 3 * p1 - 3 * p2 + p3;
            double qb = 2 * (p0 - 2 * p1 + p2);
            double qc = p1 - p0;
            if (Math.abs(qa) < 1e-12) {
                if (Math.abs(qb) > 1e-12) at(-qc / qb, p0, p1, p2, p3);
                return;
            }
            double root = Math.sqrt(qb * qb - 4 * qa * qc);
            at((-qb + root) / (2 * qa), p0, p1, p2, p3);
            at((-qb - root) / (2 * qa), p0, p1, p2, p3);
        }

        private void at(double t, double p0, double p1, double p2, double p3) {
            if (!(t > 0 && t < 1)) return;
            double u = 1 - t;
            add(u * u * u * p0 + 3 * u * u * t * p1 + 3 * u * t * t * p2 + t * t * t * p3);
        }
    }
}
