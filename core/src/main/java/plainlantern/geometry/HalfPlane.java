package plainlantern.geometry;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import plainlantern.geometry.Path.Segment;

/**
 * All points p with {@code normal}·p ≤ {@code limit}.
 *
 * @param normal of length 1
 */
public record HalfPlane(Point normal, double limit) {
    /** Nearer to the border than this (mm) a point counts as on it: a corner that a cut meets stays one corner. */
    private static final double TOLERANCE = 1e-9;

    /** The points on the right of the way from {@code a} to {@code b} (y points down), less {@code inset} mm along the line. */
    public static HalfPlane rightOf(Point a, Point b, double inset) {
        double length = a.distance(b);
        Point normal = new Point((b.y() - a.y()) / length, (a.x() - b.x()) / length);
        return new HalfPlane(normal, a.dot(normal) - inset);
    }

    private double beyond(Point p) {
        return p.dot(normal) - limit;
    }

    /**
     * The part of the path in here; empty where there is none. Curves are divided exactly, so they stay curves (Sutherland and
     * Hodgman 1974, with cubics divided by de Casteljau where their distance from the border is zero). Filled even-odd, also a form that
     * the border divides into several parts comes out right.
     */
    public Optional<Path> clip(Path path) {
        List<Segment> out = new ArrayList<>();
        List<Segment> contour = new ArrayList<>();
        Point start = Point.ORIGIN;
        Point at = Point.ORIGIN;
        for (Segment segment : path.segments()) {
            if (segment instanceof Segment.Move m) {
                start = m.to();
            } else if (segment instanceof Segment.Close) {
                if (at.distance(start) > 0) clip(contour, at, new Segment.Line(start));
                finish(out, contour);
                contour = new ArrayList<>();
            } else {
                clip(contour, at, segment);
            }
            at = segment instanceof Segment.Close ? start : segment.to();
        }
        return out.isEmpty() ? Optional.empty() : Optional.of(new Path(out));
    }

    private static void finish(List<Segment> out, List<Segment> contour) {
        if (contour.isEmpty()) return;
        Point first = contour.get(0).to();
        // A last line back to the start is what closing means.
        int last = contour.size() - 1;
        if (contour.get(last) instanceof Segment.Line && contour.get(last).to().distance(first) < TOLERANCE) contour.remove(last);
        // Two straight steps enclose nothing; one curve and the way back along the border do.
        if (contour.size() < 3 && !(contour.size() == 2 && contour.get(1) instanceof Segment.Cubic)) return;
        out.addAll(contour);
        out.add(new Segment.Close());
    }

    /** Adds the parts of one step that are in here; the way between them along the border is a line. */
    private void clip(List<Segment> contour, Point from, Segment segment) {
        Segment.Cubic cubic = segment instanceof Segment.Cubic c ? c : Path.straight(from, segment.to());
        boolean line = segment instanceof Segment.Line;
        double[] ends = crossings(from, cubic);
        double t0 = 0;
        for (double t1 : ends) {
            Segment.Cubic part = Path.part(from, cubic, t0, t1);
            Point start = t0 == 0 ? from : Path.onCurve(from, cubic, t0);
            Point middle = Path.onCurve(from, cubic, (t0 + t1) / 2);
            if (beyond(middle) <= TOLERANCE) {
                if (contour.isEmpty()) contour.add(new Segment.Move(start));
                else if (contour.get(contour.size() - 1).to().distance(start) > TOLERANCE) contour.add(new Segment.Line(start));
                Point end = t1 == 1 ? segment.to() : part.to();
                contour.add(line ? new Segment.Line(end) : new Segment.Cubic(part.control1(), part.control2(), end));
            }
            t0 = t1;
        }
    }

    /** Where the step crosses the border, rising, with 1 as the last. */
    private double[] crossings(Point from, Segment.Cubic c) {
        double[] d = {beyond(from), beyond(c.control1()), beyond(c.control2()), beyond(c.to())};
        double qa = -d[0] + 3 * d[1] - 3 * d[2] + d[3];
        double qb = 2 * (d[0] - 2 * d[1] + d[2]);
        double qc = d[1] - d[0];
        List<Double> turns = new ArrayList<>(List.of(0.0));
        if (Math.abs(qa) < 1e-12) {
            if (Math.abs(qb) > 1e-12) turns.add(-qc / qb);
        } else if (qb * qb >= 4 * qa * qc) {
            double root = Math.sqrt(qb * qb - 4 * qa * qc);
            turns.add((-qb - root) / (2 * qa));
            turns.add((-qb + root) / (2 * qa));
        }
        turns.add(1.0);
        double[] bounds = turns.stream().mapToDouble(t -> t).filter(t -> t >= 0 && t <= 1).sorted().toArray();
        double[] found = new double[bounds.length];
        int count = 0;
        for (int i = 0; i + 1 < bounds.length; i++) {
            double low = bounds[i];
            double high = bounds[i + 1];
            double atLow = value(d, low);
            double atHigh = value(d, high);
            if (Math.abs(atLow) <= TOLERANCE || Math.abs(atHigh) <= TOLERANCE || atLow < 0 == atHigh < 0) continue;
            for (int step = 0; step < 60; step++) {
                double middle = (low + high) / 2;
                if (value(d, middle) < 0 == atLow < 0) low = middle;
                else high = middle;
            }
            found[count++] = (low + high) / 2;
        }
        double[] ends = Arrays.copyOf(found, count + 1);
        ends[count] = 1;
        return ends;
    }

    private static double value(double[] d, double t) {
        double u = 1 - t;
        return u * u * u * d[0] + 3 * u * u * t * d[1] + 3 * u * t * t * d[2] + t * t * t * d[3];
    }
}
