package plainlantern.geometry;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import org.locationtech.jts.algorithm.Area;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.index.strtree.STRtree;

/** Paths cut into chords, which know the curve that they were cut from. */
final class Chords {
    static final int EACH = 96;
    private static final int LEAST = 8;
    /** Of more curves than so many each has only as many chords as keep so near to it, as a share of the whole. */
    static final int MANY = 200;
    private static final double NEAR = 1e-5;

    private final List<Geometry> areas = new ArrayList<>();
    private final STRtree index = new STRtree();
    private final double tolerance;
    private final double bend;

    /** A stretch of one curve from parameter {@code t0} to {@code t1}. */
    private record Chord(Curve curve, double t0, double t1, Point from, Point to) {
        /** How far a place is from it. */
        double distance(Point at) {
            return at.distance(from.plus(to.minus(from).times(Math.max(0, Math.min(1, share(at))))));
        }

        private double share(Point at) {
            Point way = to.minus(from);
            return at.minus(from).dot(way) / way.dot(way);
        }

        /** The parameter of a place on it. */
        double at(Point place) {
            return place.distance(from) < 1e-12 ? t0 : place.distance(to) < 1e-12 ? t1
                    : t0 + (t1 - t0) * Math.max(0, Math.min(1, share(place)));
        }
    }

    /**
     * A stretch of an outline that is a part of one curve, backwards where {@code to} is the smaller.
     *
     * @param step the parameter's part of one chord
     */
    record Run(Curve curve, double from, double to, double step) {
        private boolean goesOn(Run next) {
            return curve == next.curve && Math.abs(to - next.from) < 1e-6 && Math.signum(to - from) == Math.signum(next.to - next.from);
        }

        private Run with(Run next) {
            return new Run(curve, from, next.to, step);
        }
    }

    Chords(List<Path> paths) {
        double size = 0;
        double most = 0;
        Box whole = Box.union(paths.stream().map(path -> path.empty() ? new Box(0, 0, 0, 0) : path.bounds()).toList());
        boolean many = paths.stream().mapToInt(path -> path.segments().size()).sum() > MANY;
        double near = many ? NEAR * Math.max(whole.width(), whole.height()) : 0;
        for (Path path : paths) {
            List<List<Point>> rings = new ArrayList<>();
            for (List<Curve> contour : path.contours()) {
                List<Point> ring = new ArrayList<>();
                for (Curve curve : contour) {
                    int chords = curve.straight() ? 1 : many ? Math.max(LEAST, curve.chords(near, EACH)) : EACH;
                    most = Math.max(most, curve.sagitta(chords));
                    for (int i = 0; i < chords; i++) {
                        double t0 = (double) i / chords;
                        double t1 = i + 1 == chords ? 1 : (double) (i + 1) / chords;
                        Chord chord = new Chord(curve, t0, t1, curve.at(t0), curve.at(t1));
                        if (chord.from().equals(chord.to())) continue;
                        ring.add(chord.from());
                        index.insert(new Envelope(chord.from().x(), chord.to().x(), chord.from().y(), chord.to().y()), chord);
                        size = Math.max(size, Math.max(Math.abs(chord.from().x()), Math.abs(chord.from().y())));
                    }
                }
                rings.add(ring);
            }
            areas.add(Rings.filled(rings, path.rule()));
        }
        tolerance = 1e-9 * Math.max(1, size);
        bend = Math.max(2 * tolerance, 3 * most);
    }

    Geometry area(int path) {
        return areas.get(path);
    }

    /** What is nearer than this, mm, is at one place. */
    double tolerance() {
        return tolerance;
    }

    /** Whether a ring encloses no more than what lies between a curve and its chords, as where two outlines run along one curve. */
    boolean thin(LineString ring) {
        double area = Math.abs(Area.ofRing(ring.getCoordinates()));
        return 2 * area <= bend * ring.getLength();
    }

    /** A closed ring of corners as runs along the curves. */
    List<Run> runs(Coordinate[] corners) {
        List<Run> runs = new ArrayList<>();
        for (int i = 0; i + 1 < corners.length; i++) {
            Run run = run(point(corners[i]), point(corners[i + 1]), runs.isEmpty() ? null : runs.get(runs.size() - 1).curve());
            add(runs, run);
        }
        if (runs.size() > 1 && runs.get(runs.size() - 1).goesOn(runs.get(0))) runs.set(0, runs.remove(runs.size() - 1).with(runs.get(0)));
        return absorbed(runs);
    }

    private static void add(List<Run> runs, Run run) {
        int last = runs.size() - 1;
        if (last >= 0 && runs.get(last).goesOn(run)) runs.set(last, runs.get(last).with(run));
        else runs.add(run);
    }

    /**
     * Where two outlines run along one curve, their chords cross each other again and again: short stretches of the one between
     * stretches of the other belong to the other.
     */
    private List<Run> absorbed(List<Run> runs) {
        int count = runs.size();
        Run[] ring = runs.toArray(Run[]::new);
        int[] previous = IntStream.range(0, count).map(i -> Math.floorMod(i - 1, count)).toArray();
        int[] next = IntStream.range(0, count).map(i -> (i + 1) % count).toArray();
        int left = count;
        int unchanged = 0;
        for (int i = 0; left > 2 && unchanged < left;) {
            int before = previous[i];
            int after = next[i];
            if (ring[before].curve() != ring[after].curve() || ring[i].curve() == ring[before].curve()
                    || !near(ring[i], ring[before], ring[after])) {
                i = after;
                unchanged++;
                continue;
            }
            ring[before] = ring[before].with(ring[after]);
            ring[i] = null;
            ring[after] = null;
            next[before] = next[after];
            previous[next[after]] = before;
            left -= 2;
            unchanged = 0;
            // The merged run may make its neighbours ones to absorb: they are looked at again.
            i = previous[before];
        }
        return Arrays.stream(ring).filter(Objects::nonNull).toList();
    }

    private boolean near(Run run, Run before, Run after) {
        boolean oneWay = Math.signum(before.to() - before.from()) == Math.signum(after.to() - after.from());
        double middle = (before.to() + after.from()) / 2;
        Point one = run.curve().at((run.from() + run.to()) / 2);
        return oneWay && Math.abs(before.to() - after.from()) <= 4 * before.step() && one.distance(before.curve().at(middle)) <= bend;
    }

    private Run run(Point from, Point to, Curve last) {
        Envelope around = new Envelope(from.x(), to.x(), from.y(), to.y());
        around.expandBy(Math.max(tolerance, 1e-7));
        Chord best = null;
        double nearest = Double.POSITIVE_INFINITY;
        for (Object found : index.query(around)) {
            Chord chord = (Chord) found;
            double off = Math.max(chord.distance(from), chord.distance(to)) - (chord.curve() == last ? tolerance : 0);
            if (off >= nearest) continue;
            nearest = off;
            best = chord;
        }
        if (best == null || nearest > 1e-5) return new Run(Curve.straight(from, to), 0, 1, 1);
        return new Run(best.curve(), best.at(from), best.at(to), best.t1() - best.t0());
    }

    private static Point point(Coordinate c) {
        return new Point(c.x, c.y);
    }
}
