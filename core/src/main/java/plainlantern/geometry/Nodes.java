package plainlantern.geometry;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A path by its points and their handles, contour by contour; points are counted over all contours from 0.
 *
 * @param rule which places are inside
 */
public record Nodes(List<List<Node>> contours, FillRule rule) {
    /** Fewer mm are no way at all. */
    private static final double NOTHING = 1e-9;

    /**
     * A point with its handles.
     *
     * @param at  where it is
     * @param in  the handle of the side that ends here; the point itself where it has none
     * @param out the handle of the side that begins here; likewise
     */
    public record Node(Point at, Point in, Point out) {
        public static Node corner(Point at) {
            return new Node(at, at, at);
        }

        public boolean hasIn() {
            return in.distance(at) > NOTHING;
        }

        public boolean hasOut() {
            return out.distance(at) > NOTHING;
        }

        /** Whether both handles lie in line. */
        public boolean smooth() {
            if (!hasIn() || !hasOut()) return false;
            Point a = at.minus(in);
            Point b = out.minus(at);
            return a.dot(b) > 0 && Math.abs(a.x() * b.y() - a.y() * b.x()) <= 1e-4 * a.length() * b.length();
        }

        public Node moved(Point by) {
            return new Node(at.plus(by), in.plus(by), out.plus(by));
        }

        /** The same with a handle elsewhere; the other one turns along, as long as it was, where both lay in line and stay so. */
        public Node handled(boolean leaving, Point to, boolean alone) {
            boolean along = smooth() && !alone && to.distance(at) > NOTHING;
            Point other = leaving ? in : out;
            Point turned = along ? at.plus(at.minus(to).times(other.distance(at) / to.distance(at))) : other;
            return leaving ? new Node(at, turned, to) : new Node(at, to, turned);
        }
    }

    public Nodes {
        contours = contours.stream().map(List::copyOf).toList();
    }

    public static Nodes of(Path path) {
        List<List<Node>> contours = new ArrayList<>();
        for (List<Curve> ring : path.contours()) {
            List<Node> nodes = new ArrayList<>();
            for (int i = 0; i < ring.size(); i++) {
                Curve before = ring.get((i + ring.size() - 1) % ring.size());
                Curve after = ring.get(i);
                nodes.add(new Node(after.from(), before.straight() ? after.from() : before.control2(), after.straight() ? after.from()
                        : after.control1()));
            }
            contours.add(nodes);
        }
        return new Nodes(contours, path.rule());
    }

    public Path path() {
        List<List<Curve>> rings = new ArrayList<>();
        for (List<Node> nodes : contours) {
            List<Curve> ring = new ArrayList<>();
            for (int i = 0; i < nodes.size(); i++) ring.add(side(nodes.get(i), nodes.get((i + 1) % nodes.size())));
            rings.add(ring);
        }
        return Path.of(rings, rule);
    }

    private static Curve side(Node from, Node to) {
        return from.hasOut() || to.hasIn() ? Curve.cubic(from.at, from.out, to.in, to.at) : Curve.straight(from.at, to.at);
    }

    public int count() {
        return contours.stream().mapToInt(List::size).sum();
    }

    public Node get(int point) {
        return contours.stream().flatMap(List::stream).skip(point).findFirst().orElseThrow();
    }

    /** Where a point's contour begins, and which point of it it is. */
    private int[] place(int point) {
        int left = point;
        for (int c = 0; c < contours.size(); c++) {
            if (left < contours.get(c).size()) return new int[] {c, left};
            left -= contours.get(c).size();
        }
        throw new IndexOutOfBoundsException(point);
    }

    private Nodes with(int contour, List<Node> nodes) {
        List<List<Node>> next = new ArrayList<>(contours);
        if (nodes.isEmpty()) next.remove(contour);
        else next.set(contour, nodes);
        return new Nodes(next, rule);
    }

    /** The same with a point in place of another. */
    public Nodes with(int point, Node node) {
        int[] place = place(point);
        List<Node> nodes = new ArrayList<>(contours.get(place[0]));
        nodes.set(place[1], node);
        return with(place[0], nodes);
    }

    /** Without a point: what was left of it and right of it becomes one side. A contour of too few points to enclose anything goes. */
    public Nodes without(int point) {
        int[] place = place(point);
        List<Node> nodes = new ArrayList<>(contours.get(place[0]));
        nodes.remove(place[1]);
        boolean curved = nodes.stream().anyMatch(node -> node.hasIn() || node.hasOut());
        return with(place[0], nodes.size() < (curved ? 2 : 3) ? List.of() : nodes);
    }

    /** A point as a smooth one: its handles lie in the direction from its neighbour to the next, each a third of the way long. */
    public Nodes smoothed(int point) {
        int[] place = place(point);
        List<Node> nodes = contours.get(place[0]);
        Point at = nodes.get(place[1]).at;
        Point before = nodes.get((place[1] + nodes.size() - 1) % nodes.size()).at;
        Point after = nodes.get((place[1] + 1) % nodes.size()).at;
        Point way = after.minus(before);
        if (way.length() < NOTHING) return this;
        Point unit = way.times(1 / way.length());
        return with(point, new Node(at, at.minus(unit.times(at.distance(before) / 3)), at.plus(unit.times(after.distance(at) / 3))));
    }

    /**
     * A place on a side.
     *
     * @param side the point at which the side begins
     * @param t    how far along it is, 0 to 1
     */
    public record On(int side, double t, Point at) {}

    /** The place on the outline that is nearest to another. */
    public Optional<On> nearest(Point to) {
        Optional<On> best = Optional.empty();
        double least = Double.POSITIVE_INFINITY;
        int point = 0;
        for (List<Node> nodes : contours) {
            for (int i = 0; i < nodes.size(); i++, point++) {
                Curve side = side(nodes.get(i), nodes.get((i + 1) % nodes.size()));
                double t = side.nearest(to);
                double off = side.at(t).distance(to);
                if (off >= least) continue;
                least = off;
                best = Optional.of(new On(point, t, side.at(t)));
            }
        }
        return best;
    }

    /** With one point more on a side; the outline stays as it is. */
    public Nodes parted(On on) {
        int[] place = place(on.side);
        List<Node> nodes = new ArrayList<>(contours.get(place[0]));
        int next = (place[1] + 1) % nodes.size();
        Node from = nodes.get(place[1]);
        Node to = nodes.get(next);
        Curve side = side(from, to);
        if (side.straight()) {
            nodes.add(place[1] + 1, Node.corner(side.at(on.t)));
            return with(place[0], nodes);
        }
        Curve first = side.part(0, on.t);
        Curve second = side.part(on.t, 1);
        nodes.set(place[1], new Node(from.at, from.in, first.control1()));
        nodes.set(next, new Node(to.at, second.control2(), next == place[1] ? first.control1() : to.out));
        nodes.add(place[1] + 1, new Node(first.to(), first.control2(), second.control1()));
        return with(place[0], nodes);
    }
}
