package plainlantern.checking;

import java.util.ArrayList;
import java.util.List;
import plainlantern.geometry.Polygons;
import plainlantern.sheet.Holder;

/** Panels thinner than can be seen or cut well. */
final class Slivers implements Check {
    @Override
    public String title() {
        return "Slivers";
    }

    @Override
    public List<Fault> find(Checked checked) {
        List<Fault> faults = new ArrayList<>();
        for (Holder panel : checked.holders()) {
            double thin = Polygons.thickness(panel.ownPath());
            if (thin < checked.limits().sliver())
                faults.add(checked.fault(Weight.WARNING, panel, panel.name() + " is only " + checked.length(thin) + " thick."));
        }
        return faults;
    }
}
