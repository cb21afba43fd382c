package plainlantern.checking;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import plainlantern.geometry.Box;
import plainlantern.sheet.Panel;

/** Edges that miss the edge of another panel by very little. */
final class NearlyAligned implements Check {
    @Override
    public String title() {
        return "Nearly aligned";
    }

    private static final double ALIGNED = 0.005;

    @Override
    public List<Fault> find(Checked checked) {
        List<Panel> upright = checked.panels().stream().filter(p -> p.role().takesPictures() && Checked.upright(p)).toList();
        Lines across = new Lines(checked.limits().aligned());
        Lines down = new Lines(checked.limits().aligned());
        List<Fault> faults = new ArrayList<>();
        for (Panel panel : upright) {
            Box box = checked.box(panel);
            double dx = across.step(box.x(), box.right());
            double dy = down.step(box.y(), box.bottom());
            if (dx == 0 && dy == 0) continue;
            String says = panel.name() + " is " + checked.length(Math.max(Math.abs(dx), Math.abs(dy))) + " off the edge of another panel.";
            faults.add(checked.fault(Weight.WARNING, panel, says, Checked.moved(panel, dx, dy)));
        }
        return faults;
    }

    /** The lines on which left edges lie, and right ones, or upper and lower ones. What is a little off a line makes no line of its own. */
    private static final class Lines {
        private final double limit;
        private final List<Double> starts = new ArrayList<>();
        private final List<Double> ends = new ArrayList<>();

        Lines(double limit) {
            this.limit = limit;
        }

        /** The step that brings a box to the nearest line; 0 where it is on one, or none is near. */
        double step(double start, double end) {
            double first = nearest(starts, start);
            double second = nearest(ends, end);
            if (Math.abs(first) > limit) starts.add(start);
            if (Math.abs(second) > limit) ends.add(end);
            double best = Math.abs(first) < Math.abs(second) ? first : second;
            return Math.abs(best) <= ALIGNED || Math.abs(best) > limit ? 0 : best;
        }

        private static double nearest(List<Double> lines, double at) {
            return lines.stream().map(line -> line - at).min(Comparator.comparingDouble(Math::abs)).orElse(Double.MAX_VALUE);
        }
    }
}
