package plainlantern.checking;

import java.util.ArrayList;
import java.util.List;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;

/** Elements that end between the trim and the edge of the bleed: a cut that is a little off shows the paper. */
final class BleedTrap implements Check {
    @Override
    public String title() {
        return "Ends within the bleed";
    }

    @Override
    public List<Fault> find(Checked checked) {
        Sheet sheet = checked.sheet();
        List<Fault> faults = new ArrayList<>();
        for (Holder panel : checked.holders()) {
            if (panel.content().isEmpty() || !checked.box(panel).meets(sheet.bounds())) continue;
            List<String> sides = Edges.of(checked, panel).where(by -> by > Edges.TOUCHING && by < sheet.bleed() - Edges.TOUCHING);
            if (sides.isEmpty()) continue;
            faults.add(checked.fault(Weight.WARNING, panel, panel.name() + " ends within the bleed at the " + Edges.named(sides) + ".",
                    Edges.bled(checked, panel, sides)));
        }
        return faults;
    }
}
