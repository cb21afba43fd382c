package plainlantern.checking;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
        for (int i = 0; i < panels.size(); i++) {
            Optional<Holder> holder = panels.get(i).holder();
            if (holder.isEmpty()) continue;
            for (Checked.Seen shown : checked.shown(holder.get())) front(checked, i, shown).ifPresent(front -> faults.add(checked.fault(
                    Weight.WARNING, shown.panel(), shown.panel().name() + ": " + front.name() + " lies over the focal point.")));
        }
        return faults;
    }

    /** What covers the focal point of a picture in the element of that number. */
    private static Optional<Element> front(Checked checked, int number, Checked.Seen shown) {
        Holder panel = shown.panel();
        return shown.focal().filter(at -> Polygons.contains(panel.ownPath(), at)).map(panel.seat().toSheet()::apply)
                .flatMap(spot -> checked.places().nearAfter(number, Box.around(spot, 0.01, 0.01)).mapToObj(checked.elements()::get)
                        .filter(front -> covers(checked, front, spot)).findFirst());
    }

    private static boolean covers(Checked checked, Element front, Point spot) {
        boolean opaque = front.panel().map(p -> !p.content().isEmpty()).orElse(front.caption().isPresent());
        return opaque && checked.box(front).meets(Box.around(spot, 0.01, 0.01)) && Polygons.contains(checked.form(front), spot);
    }
}
