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
            // The strokes of letters are a matter of their own.
            if (panel.outline().letters().isPresent()) continue;
            double thin = Polygons.thickness(panel.ownPath(), checked.limits().sliver());
            if (thin < checked.limits().sliver())
                faults.add(checked.fault(Weight.WARNING, panel, panel.name() + " is only " + checked.length(thin) + " thick."));
        }
        return faults;
    }
}
