package plainlantern.checking;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import plainlantern.editing.filling.SetFit;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Holder;

/** Pictures whose pixels are not square any more. */
final class Stretched implements Check {
    @Override
    public String title() {
        return "Stretched pictures";
    }

    private static final double TRUE = 0.005;

    @Override
    public List<Fault> find(Checked checked) {
        List<Fault> faults = new ArrayList<>();
        for (Checked.Seen shown : checked.pictures()) {
            double stretch = shown.coverage().stretch();
            if (Math.abs(stretch - 1) <= TRUE) continue;
            Holder panel = shown.panel();
            String says = String.format(Locale.ROOT, "%s: %.1f %% too %s.", panel.name(),
                    Math.abs((stretch > 1 ? stretch : 1 / stretch) - 1) * 100, stretch > 1 ? "wide" : "tall");
            faults.add(checked.fault(Weight.WARNING, panel, says, new SetFit(List.of(panel.id()), Fit.COVER, shown.layer())));
        }
        return faults;
    }
}
