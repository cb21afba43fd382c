package plainlantern.geometry;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;

/**
 * A projective map of the plane, as a plane is seen in perspective: a place goes to ({@code across} / {@code depth}, {@code down} /
 * {@code depth}). Places without depth lie on the horizon, those with less behind it; neither is seen.
 */
public record Projective(Row across, Row down, Row depth) {
    /** What is nearer to the horizon than this share of the greatest depth of a form is cut off. */
    private static final double NEAR_HORIZON = 1e-3;
    private static final double FINE = 2e-5;
    private static final int CHORDS = 64;
    private static final int DECIMALS = 10;

    /** An affine number of a place. */
    public record Row(double x, double y, double one) {
        public double at(double px, double py) {
            return x * px + y * py + one;
        }

        private Row through(Projective first) {
            return new Row(x * first.across.x + y * first.down.x + one * first.depth.x,
                    x * first.across.y + y * first.down.y + one * first.depth.y,
                    x * first.across.one + y * first.down.one + one * first.depth.one);
        }

        private double dot(Row other) {
            return x * other.x + y * other.y + one * other.one;
        }

        private Row brief() {
            return new Row(rounded(x), rounded(y), rounded(one));
        }

        private static double rounded(double value) {
            return Double.isFinite(value) ? new BigDecimal(value).setScale(DECIMALS, RoundingMode.HALF_EVEN).doubleValue() : value;
        }

        private Row times(double factor) {
            return new Row(x * factor, y * factor, one * factor);
        }

        private Row cross(Row o) {
            return new Row(y * o.one - one * o.y, one * o.x - x * o.one, x * o.y - y * o.x);
        }
    }

    public static Projective of(Affine map) {
        return new Projective(new Row(map.a(), map.c(), map.e()), new Row(map.b(), map.d(), map.f()), new Row(0, 0, 1));
    }

    /**
     * The map that brings the unit square's corners (0, 0), (1, 0), (1, 1), (0, 1) to those four (Heckbert, Fundamentals of Texture
     * Mapping and Image Warping, 1989, section 2.2.3), which must be convex.
     */
    public static Projective onto(List<Point> corners) {
        Point p0 = corners.get(0);
        Point p1 = corners.get(1);
        Point p2 = corners.get(2);
        Point p3 = corners.get(3);
        Point sum = p0.minus(p1).plus(p2).minus(p3);
        Point one = p1.minus(p2);
        Point two = p3.minus(p2);
        double det = one.x() * two.y() - two.x() * one.y();
        double g = (sum.x() * two.y() - two.x() * sum.y()) / det;
        double h = (one.x() * sum.y() - sum.x() * one.y()) / det;
        return new Projective(new Row(p1.x() - p0.x() + g * p1.x(), p3.x() - p0.x() + h * p3.x(), p0.x()),
                new Row(p1.y() - p0.y() + g * p1.y(), p3.y() - p0.y() + h * p3.y(), p0.y()), new Row(g, h, 1));
    }

    /** The map that applies {@code first} and then this one. */
    public Projective after(Projective first) {
        return new Projective(across.through(first), down.through(first), depth.through(first));
    }

    public Projective after(Affine first) {
        return after(of(first));
    }

    /** This map and then {@code next}. */
    public Projective then(Affine next) {
        return of(next).after(this);
    }

    public Point apply(Point p) {
        double w = depth.at(p.x(), p.y());
        return new Point(across.at(p.x(), p.y()) / w, down.at(p.x(), p.y()) / w);
    }

    /** Above zero for what lies before the horizon; how much says nothing but in comparison. */
    public double depth(Point p) {
        return depth.at(p.x(), p.y());
    }

    /** The way back; what is seen before the horizon here is so there. */
    public Projective inverse() {
        Row ab = down.cross(depth);
        Row bc = depth.cross(across);
        Row ca = across.cross(down);
        double det = determinant();
        if (!(Math.abs(det) > 1e-300)) throw new ArithmeticException("no inverse of " + this);
        return new Projective(new Row(ab.x, bc.x, ca.x).times(1 / det), new Row(ab.y, bc.y, ca.y).times(1 / det),
                new Row(ab.one, bc.one, ca.one).times(1 / det));
    }

    /** Zero where the map flattens the plane. */
    public double determinant() {
        return across.dot(down.cross(depth));
    }

    /** The same map with numbers about 1. */
    public Projective normal() {
        double long2 = across.dot(across) + down.dot(down) + depth.dot(depth);
        double factor = 1 / Math.sqrt(long2);
        return new Projective(across.times(factor), down.times(factor), depth.times(factor));
    }

    /** The same in few words: exact to a thousandth of a pixel across the widest picture. */
    public Projective brief() {
        return new Projective(across.brief(), down.brief(), depth.brief());
    }

    /** The affine map that is nearest to this one at a place. */
    public Affine local(Point p) {
        double w = depth.at(p.x(), p.y());
        Point to = apply(p);
        double a = (across.x - to.x() * depth.x) / w;
        double b = (down.x - to.y() * depth.x) / w;
        double c = (across.y - to.x() * depth.y) / w;
        double d = (down.y - to.y() * depth.y) / w;
        return new Affine(a, b, c, d, to.x() - a * p.x() - c * p.y(), to.y() - b * p.x() - d * p.y());
    }

    /** Whether all of a path lies before the horizon, and not all but on it. */
    public boolean sees(Path path) {
        double limit = limit(path.flattened(CHORDS));
        return path.flattened(CHORDS).stream().flatMap(List::stream).allMatch(p -> depth(p) >= limit);
    }

    private double limit(List<List<Point>> rings) {
        return Math.max(1e-300, NEAR_HORIZON * rings.stream().flatMap(List::stream).mapToDouble(this::depth).max().orElse(0));
    }

    /** A path as it is seen through the map, its curves as many short chords; what is not before the horizon is cut off. */
    public Path mapped(Path path) {
        if (path.empty()) return path;
        Box box = path.bounds();
        List<List<Point>> rings = path.flattened(FINE * Math.max(box.width(), box.height()), CHORDS);
        double limit = limit(rings);
        Point normal = new Point(-depth.x, -depth.y);
        List<Path.Segment> seen = new ArrayList<>();
        for (List<Point> ring : rings) {
            List<Point> before = Convex.clipped(ring, normal, depth.one - limit);
            if (before.size() > 2) seen.addAll(Path.polygon(before.stream().map(this::apply).toList()).segments());
        }
        return new Path(seen, path.rule());
    }
}
