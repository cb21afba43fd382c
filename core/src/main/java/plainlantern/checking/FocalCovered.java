package plainlantern.checking;

import java.util.ArrayList;
import java.util.List;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.geometry.Polygons;
import plainlantern.sheet.Element;
import plainlantern.sheet.Holder;

/** Focal points that another element in front covers. */
final class FocalCovered implements Check {
    @Override
    public String title() {
        return "Covered focal points";
    }

    @Override
    public List<Fault> find(Checked checked) {
        List<Fault> faults = new ArrayList<>();
        List<Element> panels = checked.elements();
        for (Checked.Seen shown : checked.pictures()) {
            Holder panel = shown.panel();
            shown.focal().filter(at -> Polygons.contains(panel.ownPath(), at)).map(panel.seat().toSheet()::apply)
                    .flatMap(spot -> panels.subList(panels.indexOf(panel) + 1, panels.size()).stream()
                            .filter(front -> covers(checked, front, spot)).findFirst())
                    .ifPresent(front -> faults.add(checked.fault(Weight.WARNING, panel, panel.name() + ": " + front.name()
                            + " lies over the focal point.")));
        }
        return faults;
    }

    private static boolean covers(Checked checked, Element front, Point spot) {
        boolean opaque = front.panel().map(p -> !p.content().isEmpty()).orElse(front.caption().isPresent());
        return opaque && checked.box(front).meets(Box.around(spot, 0.01, 0.01)) && Polygons.contains(checked.form(front), spot);
    }
}
