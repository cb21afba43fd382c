package plainlantern.geometry;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.locationtech.jts.algorithm.Orientation;
import org.locationtech.jts.algorithm.PointLocation;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.index.kdtree.KdTree;

/**
 * Adjacent forms, and the edges they share. Edges are split at each other's end points, so that it does not matter where
 * the two outlines have their points; two that then run along the same curve in opposite directions are shared. A union of forms is
 * their edges without the shared ones: its curves are those of the forms, moved by 0.02 mm at most.
 */
public final class Adjoining {
    /** Points and edges this close to each other, mm, are the same. */
    private static final double NEAR = 0.02;
    private static final int NONE = -1;
    private static final double[] PROBES = {0.25, 0.5, 0.75};

    private final List<Edge> edges = new ArrayList<>();
    /** For each edge the one that runs back along it. */
    private final int[] twins;
    private final int forms;

    /** A part of the outline of a form between two of the points; the form is to its right (y points down). */
    private record Edge(int form, Curve curve, int from, int to) {
        boolean runsBack(Edge other) {
            if (other.from != to || other.to != from) return false;
            if (curve.straight() && other.curve.straight()) return true;
            return Arrays.stream(PROBES).allMatch(t -> other.curve.offset(curve.at(t)) <= NEAR)
                    && Arrays.stream(PROBES).allMatch(t -> curve.offset(other.curve.at(t)) <= NEAR);
        }

        boolean nothing() {
            Box box = curve.around();
            return from == to && Math.max(box.width(), box.height()) <= 2 * NEAR;
        }
    }

    /** @param forms on the sheet, mm */
    public Adjoining(List<Path> forms) {
        this.forms = forms.size();
        Points points = new Points();
        List<Edge> whole = new ArrayList<>();
        for (int form = 0; form < forms.size(); form++) {
            for (List<Curve> contour : oriented(forms.get(form))) {
                for (Curve curve : contour) whole.add(new Edge(form, curve, points.number(curve.from()), points.number(curve.to())));
            }
        }
        Boxes near = new Boxes(points.all.stream().map(p -> Box.around(p, 0, 0)).toList());
        for (Edge edge : whole) split(edge, points.all, near);
        twins = twins();
    }

    /** The outlines of a form as contours that have its area to their right. */
    private static List<List<Curve>> oriented(Path form) {
        List<List<Curve>> contours = Algebra.separated(form).contours();
        List<Coordinate[]> rings = contours.stream().map(Adjoining::ring).toList();
        List<Box> boxes = contours.stream().map(Path::around).toList();
        List<List<Curve>> oriented = new ArrayList<>();
        for (int i = 0; i < contours.size(); i++) {
            Point on = contours.get(i).get(0).at(0.5);
            Coordinate place = new Coordinate(on.x(), on.y());
            int self = i;
            long around = IntStream.range(0, contours.size()).filter(k -> k != self && boxes.get(k).meets(boxes.get(self)))
                    .filter(k -> PointLocation.locateInRing(place, rings.get(k)) == Location.INTERIOR).count();
            // JTS has y pointing up.
            boolean clockwise = Orientation.isCCWArea(rings.get(i));
            oriented.add(clockwise == (around % 2 == 0) ? contours.get(i) : reversed(contours.get(i)));
        }
        return oriented;
    }

    private static Coordinate[] ring(List<Curve> contour) {
        List<Point> corners = Path.corners(contour, NEAR, Chords.EACH);
        return IntStream.rangeClosed(0, corners.size()).mapToObj(i -> corners.get(i % corners.size()))
                .map(p -> new Coordinate(p.x(), p.y())).toArray(Coordinate[]::new);
    }

    private static List<Curve> reversed(List<Curve> contour) {
        List<Curve> reversed = new ArrayList<>();
        for (Curve curve : contour) reversed.add(0, curve.reversed());
        return reversed;
    }

    /** Adds an edge, split at all points that are on it. */
    private void split(Edge edge, List<Point> points, Boxes near) {
        TreeMap<Double, Integer> on = new TreeMap<>();
        near.near(edge.curve.around().grown(NEAR)).filter(p -> p != edge.from && p != edge.to).forEach(p -> {
            double t = edge.curve.nearest(points.get(p));
            if (t > 0 && t < 1 && edge.curve.at(t).distance(points.get(p)) <= NEAR) on.put(t, p);
        });
        on.put(1.0, edge.to);
        double t = 0;
        int from = edge.from;
        for (Map.Entry<Double, Integer> next : on.entrySet()) {
            Curve part = edge.curve.part(t, next.getKey()).between(points.get(from), points.get(next.getValue()));
            Edge piece = new Edge(edge.form, part, from, next.getValue());
            if (!piece.nothing()) edges.add(piece);
            t = next.getKey();
            from = next.getValue();
        }
    }

    private int[] twins() {
        int[] twin = new int[edges.size()];
        Arrays.fill(twin, NONE);
        Map<Long, List<Integer>> between = new HashMap<>();
        for (int i = 0; i < edges.size(); i++) {
            Edge edge = edges.get(i);
            long ends = (long) Math.min(edge.from, edge.to) << 32 | Math.max(edge.from, edge.to);
            List<Integer> others = between.computeIfAbsent(ends, e -> new ArrayList<>());
            for (int other : others) {
                if (twin[other] != NONE || !edge.runsBack(edges.get(other))) continue;
                twin[i] = other;
                twin[other] = i;
                break;
            }
            others.add(i);
        }
        return twin;
    }

    /** Forms that share edges, directly or through others, by their numbers in ascending order; those that share none are left out. */
    public List<List<Integer>> groups() {
        int[] parent = IntStream.range(0, forms).toArray();
        for (int i = 0; i < twins.length; i++) {
            if (twins[i] == NONE) continue;
            int a = Clusters.root(parent, edges.get(i).form);
            int b = Clusters.root(parent, edges.get(twins[i]).form);
            parent[Math.max(a, b)] = Math.min(a, b);
        }
        Map<Integer, List<Integer>> groups = new LinkedHashMap<>();
        for (int i = 0; i < forms; i++) groups.computeIfAbsent(Clusters.root(parent, i), root -> new ArrayList<>()).add(i);
        return groups.values().stream().filter(group -> group.size() > 1).toList();
    }

    /** Some of the forms as one, without the edges that they share; filled by the non-zero rule. */
    public Path together(List<Integer> members) {
        boolean[] member = new boolean[forms];
        for (int form : members) member[form] = true;
        Map<Integer, Deque<Edge>> from = new LinkedHashMap<>();
        for (int i = 0; i < twins.length; i++) {
            Edge edge = edges.get(i);
            boolean shared = twins[i] != NONE && member[edges.get(twins[i]).form];
            if (member[edge.form] && !shared) from.computeIfAbsent(edge.from, point -> new ArrayDeque<>()).add(edge);
        }
        List<List<Curve>> contours = new ArrayList<>();
        for (int start : from.keySet()) {
            while (!from.get(start).isEmpty()) {
                List<Curve> contour = Algebra.straightened(walk(start, from), NEAR / 10);
                if (contour.size() > 1) contours.add(contour);
            }
        }
        return Path.of(contours, FillRule.NON_ZERO);
    }

    /** From a point along edges until back there: as many edges end at each point as begin there. */
    private static List<Curve> walk(int start, Map<Integer, Deque<Edge>> from) {
        List<Curve> contour = new ArrayList<>();
        int at = start;
        do {
            Edge next = from.get(at).remove();
            contour.add(next.curve);
            at = next.to;
        } while (at != start);
        return contour;
    }

    /** Points, each standing for all that are close to it. */
    private static final class Points {
        final List<Point> all = new ArrayList<>();
        /** A point keeps its number, though others that come later may be close to it, too. */
        private final Map<Point, Integer> numbers = new HashMap<>();
        private final KdTree tree = new KdTree(NEAR);

        int number(Point point) {
            return numbers.computeIfAbsent(point, this::found);
        }

        private int found(Point point) {
            int number = (Integer) tree.insert(new Coordinate(point.x(), point.y()), all.size()).getData();
            if (number == all.size()) all.add(point);
            return number;
        }
    }
}
