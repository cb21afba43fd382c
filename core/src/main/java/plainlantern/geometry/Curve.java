package plainlantern.geometry;

import java.util.stream.IntStream;
import plainlantern.geometry.Path.Segment;

/**
 * One step of a contour with the place it starts from: a straight one, or a cubic Bézier curve. A straight one's controls are its thirds.
 */
public record Curve(Point from, Point control1, Point control2, Point to, boolean straight) {
    private static final int SAMPLES = 32;
    private static final int STEPS = 40;

    public static Curve straight(Point from, Point to) {
        return new Curve(from, from.times(2).plus(to).times(1.0 / 3), to.times(2).plus(from).times(1.0 / 3), to, true);
    }

    public static Curve cubic(Point from, Point control1, Point control2, Point to) {
        return new Curve(from, control1, control2, to, false);
    }

    /** The other way round. */
    public Curve reversed() {
        return new Curve(to, control2, control1, from, straight);
    }

    Point at(double t) {
        if (t == 0) return from;
        if (t == 1) return to;
        double u = 1 - t;
        return from.times(u * u * u).plus(control1.times(3 * u * u * t)).plus(control2.times(3 * u * t * t)).plus(to.times(t * t * t));
    }

    /** The derivative. */
    Point way(double t) {
        double u = 1 - t;
        return control1.minus(from).times(3 * u * u).plus(control2.minus(control1).times(6 * u * t))
                .plus(to.minus(control2).times(3 * t * t));
    }

    /** The direction in which it begins; of a curve whose first control lies on its start, that of the next one that does not. */
    Point entering() {
        for (Point next : new Point[] {control1, control2, to}) if (next.distance(from) > 1e-9) return next.minus(from);
        return new Point(0, 0);
    }

    /** The direction in which it ends. */
    Point leaving() {
        return reversed().entering().times(-1);
    }

    /** The parameter where it has gone so many mm from its start; beyond 1 where it is shorter. */
    double after(double length) {
        if (straight) return length / from.distance(to);
        double gone = 0;
        int steps = 256;
        Point last = from;
        for (int i = 1; i <= steps; i++) {
            Point here = at((double) i / steps);
            double step = here.distance(last);
            if (gone + step >= length) return (i - 1 + (length - gone) / step) / steps;
            gone += step;
            last = here;
        }
        return 1 + (length - gone) / Math.max(1e-9, gone);
    }

    /** The parameter of its place nearest to another place: the nearest of even samples, refined by ternary search. */
    double nearest(Point to) {
        if (straight) {
            Point way = this.to.minus(from);
            double square = way.dot(way);
            return square == 0 ? 0 : Math.max(0, Math.min(1, to.minus(from).dot(way) / square));
        }
        int near = IntStream.rangeClosed(0, SAMPLES).boxed()
                .min((a, b) -> Double.compare(at((double) a / SAMPLES).distance(to), at((double) b / SAMPLES).distance(to))).orElseThrow();
        double low = Math.max(0, (near - 1.0) / SAMPLES);
        double high = Math.min(1, (near + 1.0) / SAMPLES);
        for (int i = 0; i < STEPS; i++) {
            double a = low + (high - low) / 3;
            double b = high - (high - low) / 3;
            if (at(a).distance(to) < at(b).distance(to)) high = b;
            else low = a;
        }
        return (low + high) / 2;
    }

    /** How far a place is from it, mm. */
    double offset(Point place) {
        return at(nearest(place)).distance(place);
    }

    /** The second derivative. */
    Point bend(double t) {
        return from.minus(control1.times(2)).plus(control2).times(6 * (1 - t)).plus(control1.minus(control2.times(2)).plus(to)
                .times(6 * t));
    }

    /** The part from parameter {@code t0} to {@code t1} (blossoming); backwards where {@code t1} is the smaller. */
    Curve part(double t0, double t1) {
        if (t0 == 0 && t1 == 1) return this;
        if (straight) return straight(at(t0), at(t1));
        return new Curve(at(t0), blossom(t0, t0, t1), blossom(t0, t1, t1), at(t1), false);
    }

    private Point blossom(double r, double s, double t) {
        Point a = mix(mix(from, control1, r), mix(control1, control2, r), s);
        Point b = mix(mix(control1, control2, r), mix(control2, to, r), s);
        return mix(a, b, t);
    }

    private static Point mix(Point a, Point b, double t) {
        return a.times(1 - t).plus(b.times(t));
    }

    /** The same from and to other places close by. */
    Curve between(Point newFrom, Point newTo) {
        return straight ? straight(newFrom, newTo) : new Curve(newFrom, control1, control2, newTo, false);
    }

    /**
     * How far it strays at most from {@code chords} chords of even parameter: a sixth of its largest second difference over their square.
     */
    double sagitta(int chords) {
        if (straight) return 0;
        double bend = Math.max(from.plus(control2).minus(control1.times(2)).length(), control1.plus(to).minus(control2.times(2)).length());
        return 6 * bend / (8 * chords * chords);
    }

    /** So many chords, at most {@code most}, stray no farther from it than that. */
    int chords(double tolerance, int most) {
        if (straight) return 1;
        return (int) Math.max(2, Math.min(most, Math.ceil(Math.sqrt(sagitta(1) / tolerance))));
    }

    /** A box that it does not leave: that of its controls. */
    Box around() {
        return Box.between(Math.min(Math.min(from.x(), to.x()), Math.min(control1.x(), control2.x())),
                Math.min(Math.min(from.y(), to.y()), Math.min(control1.y(), control2.y())),
                Math.max(Math.max(from.x(), to.x()), Math.max(control1.x(), control2.x())),
                Math.max(Math.max(from.y(), to.y()), Math.max(control1.y(), control2.y())));
    }

    /** It as a step of a path. */
    public Segment step() {
        return straight ? new Segment.Line(to) : new Segment.Cubic(control1, control2, to);
    }
}
