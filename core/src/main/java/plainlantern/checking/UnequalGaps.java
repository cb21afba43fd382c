package plainlantern.checking;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import plainlantern.arranging.Axis;
import plainlantern.editing.placing.Space;
import plainlantern.geometry.Box;
import plainlantern.sheet.Holder;

/** A gap that differs from the others of its row or column, which are equal. */
final class UnequalGaps implements Check {
    @Override
    public String title() {
        return "Unequal gaps";
    }

    private static final double SAME = 0.01;

    @Override
    public List<Fault> find(Checked checked) {
        List<Holder> panels = checked.takers().stream().filter(Checked::upright).toList();
        List<Fault> faults = new ArrayList<>(along(checked, panels, Axis.ACROSS));
        faults.addAll(along(checked, panels, Axis.DOWN));
        return faults;
    }

    private static List<Fault> along(Checked checked, List<Holder> panels, Axis axis) {
        List<Fault> faults = new ArrayList<>();
        Map<List<Long>, List<Holder>> rows = panels.stream().collect(Collectors.groupingBy(p -> {
            Box box = checked.box(p);
            return List.of(Math.round(axis.other().start(box) / SAME), Math.round(axis.other().size(box) / SAME));
        }, LinkedHashMap::new, Collectors.toList()));
        for (List<Holder> row : rows.values()) {
            List<Holder> order = row.stream().sorted(Comparator.comparingDouble(p -> axis.start(checked.box(p)))).toList();
            if (order.size() < 4) continue;
            double[] gaps = new double[order.size() - 1];
            for (int i = 0; i < gaps.length; i++) gaps[i] = axis.start(checked.box(order.get(i + 1))) - axis.end(checked.box(order.get(i)));
            double usual = Arrays.stream(gaps).sorted().toArray()[gaps.length / 2];
            long equal = Arrays.stream(gaps).filter(g -> Math.abs(g - usual) <= SAME).count();
            if (equal == gaps.length || equal < 2 || equal * 2 < gaps.length) continue;
            for (int i = 0; i < gaps.length; i++) {
                if (Math.abs(gaps[i] - usual) <= SAME) continue;
                Holder panel = order.get(i + 1);
                Space even = new Space(order.stream().map(Holder::id).toList(), axis == Axis.ACROSS ? Space.How.GAPS_ACROSS
                        : Space.How.GAPS_DOWN, OptionalDouble.of(usual));
                faults.add(checked.fault(Weight.WARNING, panel, "Before " + panel.name() + " the gap is " + checked.length(gaps[i])
                        + ", the others of its row are " + checked.length(usual) + ".", even));
            }
        }
        return faults;
    }
}
