package plainlantern.checking;

import java.util.ArrayList;
import java.util.List;
import plainlantern.editing.PlaceFocal;
import plainlantern.fitting.FocalPlace;
import plainlantern.geometry.Polygons;
import plainlantern.sheet.Panel;

/** Focal points outside their panel, or close to its edge. */
final class FocalAtEdge implements Check {
    @Override
    public String title() {
        return "Focal points at the edge";
    }

    @Override
    public List<Fault> find(Checked checked) {
        List<Fault> faults = new ArrayList<>();
        for (Checked.Shown shown : checked.pictures()) {
            Panel panel = shown.panel();
            shown.focal().ifPresent(at -> {
                boolean inside = Polygons.contains(panel.ownPath(), at);
                double off = Polygons.fromEdge(panel.ownPath(), at);
                if (inside && off >= checked.limits().focal() * Math.min(panel.seat().width(), panel.seat().height())) return;
                String says = panel.name() + ": the focal point is " + (inside ? "only " + checked.length(off) + " from the edge." : checked.length(off) + " outside.");
                faults.add(checked.fault(inside ? Weight.WARNING : Weight.FAULT, panel, says, new PlaceFocal(List.of(panel.id()), FocalPlace.CENTRE, false, shown.layer())));
            });
        }
        return faults;
    }
}
