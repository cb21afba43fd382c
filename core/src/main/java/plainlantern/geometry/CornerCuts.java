package plainlantern.geometry;

import java.util.ArrayList;
import java.util.List;

/** Corners of a path rounded by arcs that run into both sides smoothly, or bevelled by a straight line; sides may be curves. */
public final class CornerCuts {
    private static final double SMOOTH = Math.toRadians(1);
    private static final int NEWTON = 30;
    private static final int HALVINGS = 40;

    private final boolean round;
    private int smaller;
    private int made;

    private CornerCuts(boolean round) {
        this.round = round;
    }

    /**
     * A path with its corners cut.
     *
     * @param made    how many corners were cut
     * @param smaller how many of those had room for less than was wanted
     */
    public record Cut(Path path, int made, int smaller) {}

    /** What is taken off one corner: the sides end and begin there. */
    private record Off(double end, double begin, List<Curve> between) {}

    /**
     * @param size  mm: the radius of arcs, or how much of each side a bevel takes
     * @param which the corner to cut, counted over all contours from 0; −1 for all
     */
    public static Cut of(Path path, double size, boolean round, int which) {
        CornerCuts cuts = new CornerCuts(round);
        List<List<Curve>> contours = new ArrayList<>();
        int first = 0;
        for (List<Curve> contour : path.contours()) {
            boolean selected = which >= first && which < first + contour.size();
            contours.add(which < 0 ? cuts.contour(contour, size, -1) : selected ? cuts.contour(contour, size, which - first) : contour);
            first += contour.size();
        }
        return new Cut(Path.of(contours, path.rule()), cuts.made, cuts.smaller);
    }

    private List<Curve> contour(List<Curve> sides, double size, int which) {
        int count = sides.size();
        Off[] offs = new Off[count];
        for (int i = 0; i < count; i++) {
            // The corner at which a side begins.
            if (which >= 0 && which != i || !corner(sides, i)) continue;
            Curve in = sides.get((i + count - 1) % count);
            Curve out = sides.get(i);
            double before = which < 0 && corner(sides, i - 1) ? 0.5 : 0.001;
            double after = which < 0 && corner(sides, i + 1) ? 0.5 : 0.999;
            offs[i] = fitting(in, out, size, before, after);
        }
        List<Curve> cut = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            Off begin = offs[i];
            Off end = offs[(i + 1) % count];
            if (begin != null) cut.addAll(begin.between);
            double from = begin == null ? 0 : begin.begin;
            double to = end == null ? 1 : end.end;
            if (to - from > 1e-9) cut.add(sides.get(i).part(from, to));
        }
        return cut;
    }

    private static boolean corner(List<Curve> sides, int i) {
        int count = sides.size();
        Point in = sides.get(Math.floorMod(i - 1, count)).leaving();
        Point out = sides.get(Math.floorMod(i, count)).entering();
        return Math.abs(turn(in, out)) > SMOOTH;
    }

    /** From one direction to another, radians, −π to π. */
    private static double turn(Point in, Point out) {
        return Math.atan2(in.x() * out.y() - in.y() * out.x(), in.dot(out));
    }

    /** The cut that was wanted, or the largest smaller one that leaves both sides something. */
    private Off fitting(Curve in, Curve out, double size, double before, double after) {
        made++;
        Off wanted = off(in, out, size);
        if (fits(wanted, before, after)) return wanted;
        smaller++;
        double low = 0;
        double high = size;
        Off best = null;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            Off tried = off(in, out, middle);
            if (fits(tried, before, after)) {
                best = tried;
                low = middle;
            } else {
                high = middle;
            }
        }
        return best;
    }

    private static boolean fits(Off off, double before, double after) {
        return off != null && off.end >= before - 1e-9 && off.begin <= after + 1e-9 && off.end < 1 && off.begin > 0;
    }

    private Off off(Curve in, Curve out, double size) {
        if (!round) {
            double end = 1 - in.reversed().after(size);
            double begin = out.after(size);
            return new Off(end, begin, List.of(Curve.straight(in.at(end), out.at(begin))));
        }
        double turn = turn(in.leaving(), out.entering());
        double side = Math.signum(turn);
        double along = size * Math.tan(Math.min(Math.abs(turn), Math.PI - 1e-3) / 2);
        double t = 1 - in.reversed().after(along);
        double s = out.after(along);
        for (int i = 0; i < NEWTON; i++) {
            Point off = centre(in, t, size * side).minus(centre(out, s, size * side));
            if (off.length() < 1e-10) return arc(in, out, t, s, size, side);
            // The centre moves along the normal's own curve: its derivative, by differences.
            double h = 1e-6;
            Point a = centre(in, t + h, size * side).minus(centre(in, t - h, size * side)).times(0.5 / h);
            Point b = centre(out, s + h, size * side).minus(centre(out, s - h, size * side)).times(-0.5 / h);
            double determinant = a.x() * b.y() - a.y() * b.x();
            if (Math.abs(determinant) < 1e-12) return null;
            t -= (off.x() * b.y() - off.y() * b.x()) / determinant;
            s -= (a.x() * off.y() - a.y() * off.x()) / determinant;
            if (!(t > -1 && t < 2 && s > -1 && s < 2)) return null;
        }
        return null;
    }

    private static Point centre(Curve curve, double t, double radius) {
        Point way = curve.way(t);
        double length = way.length();
        return curve.at(t).plus(new Point(-way.y(), way.x()).times(radius / length));
    }

    private static Off arc(Curve in, Curve out, double t, double s, double radius, double side) {
        Point from = in.at(t);
        Point to = out.at(s);
        Point middle = centre(in, t, radius * side);
        double whole = turn(in.way(t), out.way(s));
        if (Math.signum(whole) != side) return null;
        int parts = (int) Math.ceil(Math.abs(whole) / (Math.PI / 2) - 1e-9);
        double each = whole / parts;
        double reach = 4.0 / 3 * Math.tan(each / 4);
        List<Curve> curves = new ArrayList<>();
        Point spoke = from.minus(middle);
        for (int i = 0; i < parts; i++) {
            Point next = spoke.turned(Math.toDegrees(each));
            Point a = spoke.plus(new Point(-spoke.y(), spoke.x()).times(reach));
            Point b = next.minus(new Point(-next.y(), next.x()).times(reach));
            curves.add(Curve.cubic(i == 0 ? from : middle.plus(spoke), middle.plus(a), middle.plus(b), i + 1 == parts ? to
                    : middle.plus(next)));
            spoke = next;
        }
        return new Off(t, s, curves);
    }
}
