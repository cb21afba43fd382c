package plainlantern.checking;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import plainlantern.editing.Edit;
import plainlantern.geometry.Box;
import plainlantern.geometry.Polygons;
import plainlantern.sheet.Element;

/** Panels that lie over each other by a hair, where they were meant to touch. */
final class HairOverlaps implements Check {
    @Override
    public String title() {
        return "Overlaps by a hair";
    }

    private static final double TOUCHING = 0.005;

    @Override
    public List<Fault> find(Checked checked) {
        List<Element> all = checked.elements();
        List<Fault> faults = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            Element behind = all.get(i);
            if (behind.panel().isEmpty()) continue;
            Box a = checked.box(behind);
            for (int j : checked.places().nearAfter(i, a).toArray()) {
                Element front = all.get(j);
                if (front.panel().isEmpty()) continue;
                Box b = checked.box(front);
                double x = Math.min(a.right(), b.right()) - Math.max(a.x(), b.x());
                double y = Math.min(a.bottom(), b.bottom()) - Math.max(a.y(), b.y());
                double by = Math.min(x, y);
                if (by <= TOUCHING || by >= checked.limits().aligned()
                        || Polygons.sharedArea(checked.form(behind), checked.form(front)) < TOUCHING * by) continue;
                String says = front.name() + " lies over " + behind.name() + " by " + checked.length(by) + ".";
                Optional<Edit> apart = x < y ? Checked.moved(front, b.x() > a.x() ? x : -x, 0)
                        : Checked.moved(front, 0, b.y() > a.y() ? y : -y);
                faults.add(checked.fault(Weight.WARNING, front, says, apart));
            }
        }
        return faults;
    }
}
