package plainlantern.geometry;

import java.awt.geom.PathIterator;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Closed contours of straight lines and cubic Bézier curves.
 *
 * @param rule which places are inside
 */
public record Path(List<Segment> segments, FillRule rule) {
    /** Nothing. */
    public static final Path EMPTY = new Path(List.of());
    private static final int PLACES = 8;
    private static final int MANY_SIDES = 40;

    public Path {
        segments = List.copyOf(segments);
    }

    /** Filled even-odd. */
    public Path(List<Segment> segments) {
        this(segments, FillRule.EVEN_ODD);
    }

    /** What draws a path, step by step. */
    public interface Pen<E extends Exception> {
        void move(Point to) throws E;

        void line(Point to) throws E;

        void cubic(Point control1, Point control2, Point to) throws E;

        void close() throws E;
    }

    /** One step of a contour; it starts where the step before it ended. */
    public sealed interface Segment {
        Segment mapped(Affine map);

        <E extends Exception> void draw(Pen<E> pen) throws E;

        record Move(Point to) implements Segment {
            @Override
            public Move mapped(Affine map) {
                return new Move(map.apply(to));
            }

            @Override
            public <E extends Exception> void draw(Pen<E> pen) throws E {
                pen.move(to);
            }
        }

        record Line(Point to) implements Segment {
            @Override
            public Line mapped(Affine map) {
                return new Line(map.apply(to));
            }

            @Override
            public <E extends Exception> void draw(Pen<E> pen) throws E {
                pen.line(to);
            }
        }

        record Cubic(Point control1, Point control2, Point to) implements Segment {
            @Override
            public Cubic mapped(Affine map) {
                return new Cubic(map.apply(control1), map.apply(control2), map.apply(to));
            }

            @Override
            public <E extends Exception> void draw(Pen<E> pen) throws E {
                pen.cubic(control1, control2, to);
            }
        }

        record Close() implements Segment {
            @Override
            public Close mapped(Affine map) {
                return this;
            }

            @Override
            public <E extends Exception> void draw(Pen<E> pen) throws E {
                pen.close();
            }
        }
    }

    /** Draws it. */
    public <E extends Exception> void draw(Pen<E> pen) throws E {
        for (Segment segment : segments) segment.draw(pen);
    }

    /** The four sides of a box. */
    public static Path box(Box box) {
        return polygon(List.of(new Point(box.x(), box.y()), new Point(box.right(), box.y()), new Point(box.right(), box.bottom()),
                new Point(box.x(), box.bottom())));
    }

    public static Path polygon(List<Point> corners) {
        List<Segment> steps = new ArrayList<>();
        for (Point corner : corners) steps.add(steps.isEmpty() ? new Segment.Move(corner) : new Segment.Line(corner));
        steps.add(new Segment.Close());
        return new Path(steps);
    }

    public boolean empty() {
        return segments.isEmpty();
    }

    public Path mapped(Affine map) {
        Segment[] mapped = new Segment[segments.size()];
        for (int i = 0; i < mapped.length; i++) mapped[i] = segments.get(i).mapped(map);
        return new Path(List.of(mapped), rule);
    }

    /** Its contours as closed rings of curves; a step back to the start is added where a contour does not end there. */
    List<List<Curve>> contours() {
        Contours contours = new Contours();
        draw(contours);
        contours.close();
        return contours.all;
    }

    private static final class Contours implements Pen<RuntimeException> {
        final List<List<Curve>> all = new ArrayList<>();
        private List<Curve> ring = new ArrayList<>();
        private Point start = Point.ORIGIN;
        private Point at = Point.ORIGIN;

        @Override
        public void move(Point to) {
            close();
            start = to;
            at = to;
        }

        @Override
        public void line(Point to) {
            if (!to.equals(at)) ring.add(Curve.straight(at, to));
            at = to;
        }

        @Override
        public void cubic(Point control1, Point control2, Point to) {
            ring.add(new Curve(at, control1, control2, to, false));
            at = to;
        }

        @Override
        public void close() {
            line(start);
            if (!ring.isEmpty()) all.add(ring);
            ring = new ArrayList<>();
        }
    }

    /**
     * The exact bounds: curves count by the extremes of their polynomials, not by their control points. Throws when
     * the path is empty.
     */
    public Box bounds() {
        return bounds(Affine.IDENTITY);
    }

    /** As {@link #bounds()}, of the path mapped. */
    public Box bounds(Affine map) {
        Extent extent = new Extent(map);
        draw(extent);
        if (extent.x.low > extent.x.high) throw new IllegalStateException("bounds of an empty path");
        return Box.between(extent.x.low, extent.y.low, extent.x.high, extent.y.high);
    }

    private static final class Extent implements Pen<RuntimeException> {
        final Range x;
        final Range y;

        Extent(Affine map) {
            x = new Range(map.a(), map.c(), map.e());
            y = new Range(map.b(), map.d(), map.f());
        }

        @Override
        public void move(Point to) {
            line(to);
        }

        @Override
        public void line(Point to) {
            x.line(to);
            y.line(to);
        }

        @Override
        public void cubic(Point control1, Point control2, Point to) {
            x.cubic(control1, control2, to);
            y.cubic(control1, control2, to);
        }

        @Override
        public void close() {}
    }

    /** Contours as closed rings of corners; a curve becomes {@code steps} chords. */
    public List<List<Point>> flattened(int steps) {
        return contours().stream().map(ring -> corners(ring, 0, steps)).toList();
    }

    /** As {@link #flattened(int)}, with no more chords for each curve than keep within that many mm of it. */
    List<List<Point>> flattened(double tolerance, int most) {
        return contours().stream().map(ring -> corners(ring, tolerance, most)).toList();
    }

    static List<Point> corners(List<Curve> ring, double tolerance, int most) {
        List<Point> corners = new ArrayList<>();
        for (Curve curve : ring) {
            int chords = curve.straight() ? 1 : tolerance == 0 ? most : curve.chords(tolerance, most);
            for (int i = 0; i < chords; i++) corners.add(curve.at((double) i / chords));
        }
        return corners;
    }

    /** Places along its sides, close together where these are few; a curve counts as {@code steps} of them. */
    public List<Point> along(int steps) {
        List<Point> places = new ArrayList<>();
        for (List<Point> ring : flattened(steps)) {
            int each = ring.size() > MANY_SIDES ? 1 : PLACES;
            for (int i = 0; i < ring.size(); i++) {
                Point step = ring.get((i + 1) % ring.size()).minus(ring.get(i));
                for (int k = 0; k < each; k++) places.add(ring.get(i).plus(step.times((double) k / each)));
            }
        }
        return places;
    }

    /** Each contour as a path of its own. */
    public List<Path> parts() {
        return contours().stream().map(ring -> of(List.of(ring), rule)).toList();
    }

    /** The contours in clusters, each a path of the same rule: what it is and what becomes of it depends on no other. */
    List<Path> clusters() {
        List<List<Curve>> contours = contours();
        if (contours.size() < 2) return contours.isEmpty() ? List.of() : List.of(this);
        return Clusters.of(contours, Path::around).stream().map(cluster -> of(cluster, rule)).toList();
    }

    /** A box around a contour. */
    static Box around(List<Curve> contour) {
        return Box.union(contour.stream().map(Curve::around).toList());
    }

    /** What Java 2D draws, filled as that says; quadratic curves as the cubic ones that they are. */
    public static Path of(PathIterator drawn) {
        List<Segment> steps = new ArrayList<>();
        double[] c = new double[6];
        Point at = Point.ORIGIN;
        for (; !drawn.isDone(); drawn.next()) {
            switch (drawn.currentSegment(c)) {
                case PathIterator.SEG_MOVETO -> steps.add(new Segment.Move(at = new Point(c[0], c[1])));
                case PathIterator.SEG_LINETO -> steps.add(new Segment.Line(at = new Point(c[0], c[1])));
                case PathIterator.SEG_QUADTO -> steps.add(raised(at, new Point(c[0], c[1]), at = new Point(c[2], c[3])));
                case PathIterator.SEG_CUBICTO -> steps.add(new Segment.Cubic(new Point(c[0], c[1]), new Point(c[2], c[3]),
                        at = new Point(c[4], c[5])));
                default -> steps.add(new Segment.Close());
            }
        }
        return new Path(steps, drawn.getWindingRule() == PathIterator.WIND_EVEN_ODD ? FillRule.EVEN_ODD : FillRule.NON_ZERO);
    }

    /** A quadratic curve as the cubic one that it is. */
    public static Segment.Cubic raised(Point from, Point control, Point to) {
        return new Segment.Cubic(from.plus(control.minus(from).times(2.0 / 3)), to.plus(control.minus(to).times(2.0 / 3)), to);
    }

    /** One contour of curves, each beginning where the one before it ends, closed straight. */
    public static Path closed(List<Curve> curves, FillRule rule) {
        return curves.isEmpty() ? EMPTY : of(List.of(curves), rule);
    }

    /** Closed contours as a path. */
    static Path of(List<List<Curve>> contours, FillRule rule) {
        List<Segment> steps = new ArrayList<>();
        for (List<Curve> contour : contours) {
            steps.add(new Segment.Move(contour.get(0).from()));
            for (Curve curve : contour) steps.add(curve.step());
            steps.add(new Segment.Close());
        }
        return new Path(steps, rule);
    }

    /** Its corners, where it is one contour of straight sides. */
    public Optional<List<Point>> corners() {
        List<List<Curve>> contours = contours();
        boolean polygon = contours.size() == 1 && contours.get(0).stream().allMatch(Curve::straight);
        return polygon ? Optional.of(contours.get(0).stream().map(Curve::from).toList()) : Optional.empty();
    }

    /** The least and the greatest of one linear measure of places. */
    private static final class Range {
        final double across;
        final double down;
        final double more;
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        private double at;

        Range(double across, double down, double more) {
            this.across = across;
            this.down = down;
            this.more = more;
        }

        private double of(Point point) {
            return across * point.x() + down * point.y() + more;
        }

        void line(Point to) {
            at = of(to);
            add(at);
        }

        void cubic(Point control1, Point control2, Point to) {
            double from = at;
            line(to);
            double first = of(control1);
            double second = of(control2);
            // A curve stays between its ends and its controls.
            if (Math.min(first, second) < low || Math.max(first, second) > high) curve(from, first, second, at);
        }

        private void add(double value) {
            low = Math.min(low, value);
            high = Math.max(high, value);
        }

        /** Adds the values where the derivative of the cubic with these four ordinates is zero inside (0, 1). */
        private void curve(double p0, double p1, double p2, double p3) {
            double a = p3 - p0 - 3 * (p2 - p1);
            double b = 2 * (p0 - 2 * p1 + p2);
            double c = p1 - p0;
            // The form of the quadratic formula that never subtracts nearly equal numbers (Press and others, Numerical Recipes, 5.6).
            double q = -(b + Math.copySign(Math.sqrt(b * b - 4 * a * c), b)) / 2;
            at(q / a, p0, p1, p2, p3);
            at(c / q, p0, p1, p2, p3);
        }

        private void at(double t, double p0, double p1, double p2, double p3) {
            if (!(t > 0 && t < 1)) return;
            double u = 1 - t;
            add(u * u * u * p0 + 3 * u * u * t * p1 + 3 * u * t * t * p2 + t * t * t * p3);
        }
    }
}
