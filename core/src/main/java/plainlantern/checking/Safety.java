package plainlantern.checking;

import java.util.ArrayList;
import java.util.List;
import plainlantern.sheet.Holder;

/** What stands so close to the trim that a cut may touch it. */
final class Safety implements Check {
    @Override
    public String title() {
        return "Close to the trim";
    }

    @Override
    public List<Fault> find(Checked checked) {
        double safety = checked.limits().safety();
        List<Fault> faults = new ArrayList<>();
        for (Holder panel : checked.holders()) {
            if (!checked.box(panel).meets(checked.sheet().bounds())) continue;
            boolean words = panel.caption().isPresent();
            List<String> sides = Edges.of(checked, panel).where(by -> by > -safety + 1e-6
                    && by < (words ? Double.MAX_VALUE : -Edges.TOUCHING));
            if (sides.isEmpty()) continue;
            String says = panel.name() + " is less than " + checked.length(safety) + " from the trim at the " + Edges.named(sides) + ".";
            faults.add(checked.fault(words ? Weight.WARNING : Weight.NOTE, panel, says));
        }
        return faults;
    }
}
