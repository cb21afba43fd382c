package plainlantern.arranging;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import plainlantern.geometry.Box;
import plainlantern.geometry.Boxes;
import plainlantern.geometry.Point;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;

/** The gaps that neighbouring panels share along parallel sides. */
public final class Seams {
    /** Sides are parallel within so many radians. */
    private static final double PARALLEL = 1e-3;
    /** Sides are on one line within so many mm. */
    private static final double LEVEL = 0.02;
    /** A gap is at most this share of the narrower of its two panels; what is farther apart does not belong together. */
    private static final double WIDEST = 0.34;
    /** Neighbours look at each other along at least so many mm. */
    private static final double SHORTEST = 0.5;

    private Seams() {}

    /** One side of a panel, by the index of its first corner among the panel's sides. */
    public record Side(String panel, int side) {}

    /**
     * A seam: the middle line of a gap on the sheet, and the sides along it.
     *
     * @param from  one end
     * @param to    the other end
     * @param gap   mm, square to the line
     * @param sides all sides along the gap, those of one bank first
     * @param first how many of them are on that bank
     */
    public record Seam(Point from, Point to, double gap, List<Side> sides, int first) {
        /** Both banks. */
        public List<List<Side>> banks() {
            return List.of(sides.subList(0, first), sides.subList(first, sides.size()));
        }
    }

    private record Edge(Side name, Point a, Point b, Point along, Point out, double offset, double depth) {
        double low(Point way) {
            return Math.min(a.dot(way), b.dot(way));
        }

        double high(Point way) {
            return Math.max(a.dot(way), b.dot(way));
        }

        Box box() {
            return Box.between(Math.min(a.x(), b.x()), Math.min(a.y(), b.y()), Math.max(a.x(), b.x()), Math.max(a.y(), b.y()));
        }
    }

    /** All seams of the sheet: one for each pair of facing lines, however many panels lie along it. */
    public static List<Seam> of(Sheet sheet) {
        List<Edge> edges = edges(sheet);
        Boxes places = new Boxes(edges.stream().map(Edge::box).toList());
        Lines lines = new Lines();
        for (int i = 0; i < edges.size(); i++) {
            Edge one = edges.get(i);
            places.nearAfter(i, one.box().grown(WIDEST * one.depth() + LEVEL)).mapToObj(edges::get).filter(other -> face(one, other))
                    .forEach(other -> lines.add(one, other));
        }
        return lines.sides.stream().map(sides -> seam(List.copyOf(sides))).toList();
    }

    private static List<Edge> edges(Sheet sheet) {
        List<Edge> edges = new ArrayList<>();
        for (Holder panel : sheet.holders()) {
            if (panel.locked() || panel.hidden()) continue;
            Optional<List<Point>> own = Shapes.sides(panel);
            if (own.isEmpty()) continue;
            List<Point> corners = Shapes.mapped(own.get(), panel.seat().toSheet());
            double sign = Math.signum(Shapes.turning(corners));
            for (int i = 0; i < corners.size(); i++) {
                Point a = corners.get(i);
                Point b = corners.get((i + 1) % corners.size());
                double length = a.distance(b);
                if (length < SHORTEST) continue;
                Point along = b.minus(a).times(1 / length);
                Point out = new Point(along.y() * sign, -along.x() * sign);
                double deepest = corners.stream().mapToDouble(c -> c.dot(out)).min().orElseThrow();
                edges.add(new Edge(new Side(panel.id(), i), a, b, along, out, a.dot(out), a.dot(out) - deepest));
            }
        }
        return edges;
    }

    private static boolean face(Edge one, Edge other) {
        if (one.out().dot(other.out()) > -1 + PARALLEL * PARALLEL || one.name().panel().equals(other.name().panel())) return false;
        double gap = gap(one, other);
        if (gap < -LEVEL || gap > WIDEST * Math.min(one.depth(), other.depth())) return false;
        return Math.min(one.high(one.along()), other.high(one.along())) - Math.max(one.low(one.along()),
                other.low(one.along())) >= SHORTEST;
    }

    private static double gap(Edge one, Edge other) {
        return other.a().plus(other.b()).times(0.5).dot(one.out()) - one.offset();
    }

    /** Pairs of facing lines, and the sides along each pair. */
    private static final class Lines {
        /** The directions and offsets of both lines of a pair, by the first one's offset; with the pair's number. */
        private final NavigableMap<Double, List<Pair>> pairs = new TreeMap<>();
        private final List<Set<Edge>> sides = new ArrayList<>();

        private record Pair(int number, Point out, double to) {}

        void add(Edge one, Edge other) {
            // One direction for both banks: the one that points right, or straight down.
            boolean forth = one.out().x() > 1e-9 || Math.abs(one.out().x()) <= 1e-9 && one.out().y() > 0;
            Edge first = forth ? one : other;
            Edge second = forth ? other : one;
            Set<Edge> along = sides.get(number(first.out(), first.offset(), -second.offset()));
            along.add(one);
            along.add(other);
        }

        /** The pair's number, the smallest where several are as good; a new one where there is none. */
        private int number(Point out, double from, double to) {
            return pairs.subMap(from - LEVEL, false, from + LEVEL, false).values().stream().flatMap(List::stream).filter(pair ->
                    Math.abs(pair.out().x() - out.x()) + Math.abs(pair.out().y() - out.y()) < PARALLEL && Math.abs(pair.to() - to) < LEVEL)
                    .mapToInt(Pair::number).min().orElseGet(() -> {
                pairs.computeIfAbsent(from, offset -> new ArrayList<>()).add(new Pair(sides.size(), out, to));
                sides.add(new LinkedHashSet<>());
                return sides.size() - 1;
            });
        }
    }

    private static Seam seam(List<Edge> edges) {
        Edge first = edges.get(0);
        Edge facing = edges.stream().filter(e -> e.out().dot(first.out()) < 0).findFirst().orElseThrow();
        double gap = Math.max(0, gap(first, facing));
        double low = edges.stream().mapToDouble(e -> e.low(first.along())).min().orElseThrow();
        double high = edges.stream().mapToDouble(e -> e.high(first.along())).max().orElseThrow();
        Point foot = first.out().times(first.offset() + gap / 2);
        List<Side> sides = new ArrayList<>(edges.stream().filter(e -> e.out().dot(first.out()) > 0).map(Edge::name).toList());
        int near = sides.size();
        edges.stream().filter(e -> e.out().dot(first.out()) < 0).map(Edge::name).forEach(sides::add);
        return new Seam(foot.plus(first.along().times(low)), foot.plus(first.along().times(high)), gap, sides, near);
    }
}
