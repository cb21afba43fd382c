package plainlantern.checking;

import java.util.ArrayList;
import java.util.List;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;

/** Panels that reach the trim and stop there, where they should bleed. */
final class StopsAtTrim implements Check {
    @Override
    public String title() {
        return "Stops at the trim";
    }

    @Override
    public List<Fault> find(Checked checked) {
        Sheet sheet = checked.sheet();
        List<Fault> faults = new ArrayList<>();
        if (sheet.bleed() == 0) return faults;
        for (Holder panel : checked.takers()) {
            if (panel.content().isEmpty()) continue;
            List<String> sides = Edges.of(checked, panel).where(by -> Math.abs(by) <= Edges.TOUCHING);
            if (sides.isEmpty()) continue;
            faults.add(checked.fault(Weight.FAULT, panel, panel.name() + " stops at the trim at the " + Edges.named(sides)
                    + " and should reach " + checked.length(sheet.bleed()) + " beyond.",
                    Edges.bled(checked, panel, sides)));
        }
        return faults;
    }
}
