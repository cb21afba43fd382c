package plainlantern.checking;

import java.util.ArrayList;
import java.util.List;
import java.util.NavigableMap;
import java.util.TreeMap;
import java.util.stream.IntStream;
import plainlantern.geometry.Box;
import plainlantern.sheet.Holder;

/** Edges that miss the edge of another panel by very little. */
final class NearlyAligned implements Check {
    @Override
    public String title() {
        return "Nearly aligned";
    }

    private static final double ALIGNED = 0.005;

    @Override
    public List<Fault> find(Checked checked) {
        List<Holder> upright = checked.takers().stream().filter(Checked::upright).toList();
        List<Box> boxes = upright.stream().map(checked::box).toList();
        double limit = checked.limits().aligned();
        Lines lefts = new Lines(limit, boxes.stream().mapToDouble(Box::x).toArray());
        Lines rights = new Lines(limit, boxes.stream().mapToDouble(Box::right).toArray());
        Lines tops = new Lines(limit, boxes.stream().mapToDouble(Box::y).toArray());
        Lines bottoms = new Lines(limit, boxes.stream().mapToDouble(Box::bottom).toArray());
        List<Fault> faults = new ArrayList<>();
        for (int i = 0; i < upright.size(); i++) {
            double dx = nearer(lefts.step(i), rights.step(i));
            double dy = nearer(tops.step(i), bottoms.step(i));
            if (dx == 0 && dy == 0) continue;
            Holder panel = upright.get(i);
            String says = panel.name() + " is " + checked.length(Math.max(Math.abs(dx), Math.abs(dy))) + " off the edge of another panel.";
            faults.add(checked.fault(Weight.WARNING, panel, says, Checked.moved(panel, dx, dy)));
        }
        return faults;
    }

    /** The smaller of two steps, which are NaN where no line is near; 0 where one edge is on its line, or none is near one. */
    private static double nearer(double one, double other) {
        if (one == 0 || other == 0 || Double.isNaN(one) && Double.isNaN(other)) return 0;
        return Double.isNaN(other) || Math.abs(one) < Math.abs(other) ? one : other;
    }

    /**
     * Lines on which edges of one side lie. The more of them lie on one, the more it is the line; where as many do, the one that comes
     * first.
     */
    private static final class Lines {
        private final double limit;
        private final double[] edges;
        private final int[] line;
        private final int[] count;
        /** The first of each line, by where it is. */
        private final NavigableMap<Double, Integer> firsts = new TreeMap<>();

        Lines(double limit, double[] edges) {
            this.limit = limit;
            this.edges = edges;
            line = new int[edges.length];
            count = new int[edges.length];
            for (int i = 0; i < edges.length; i++) {
                line[i] = near(edges[i], ALIGNED).min().orElse(i);
                if (line[i] == i) firsts.put(edges[i], i);
                count[line[i]]++;
            }
        }

        /** The step that brings an edge to a better line near it; 0 where it shares its own, NaN where there is neither. */
        double step(int at) {
            int own = line[at];
            int best = own;
            for (int j : near(edges[at], limit).toArray()) {
                if (count[j] > count[best] || count[j] == count[best] && j < best) best = j;
            }
            return best != own ? edges[best] - edges[at] : count[own] > 1 ? 0 : Double.NaN;
        }

        private IntStream near(double edge, double within) {
            return firsts.subMap(edge - within, true, edge + within, true).values().stream().mapToInt(Integer::intValue);
        }
    }
}
