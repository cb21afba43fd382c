package plainlantern.checking;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import plainlantern.editing.Edit;
import plainlantern.geometry.Box;
import plainlantern.geometry.Boxes;
import plainlantern.geometry.Polygons;
import plainlantern.sheet.Panel;

/** Panels that lie over each other by a hair, where they were meant to touch. */
final class HairOverlaps implements Check {
    @Override
    public String title() {
        return "Overlaps by a hair";
    }

    private static final double TOUCHING = 0.005;

    @Override
    public List<Fault> find(Checked checked) {
        List<Panel> panels = checked.panels();
        List<Box> boxes = panels.stream().map(checked::box).toList();
        List<Fault> faults = new ArrayList<>();
        Boxes places = new Boxes(boxes);
        for (int i = 0; i < panels.size(); i++) {
            for (int j : places.nearAfter(i, boxes.get(i)).toArray()) {
                Box a = boxes.get(i);
                Box b = boxes.get(j);
                double x = Math.min(a.right(), b.right()) - Math.max(a.x(), b.x());
                double y = Math.min(a.bottom(), b.bottom()) - Math.max(a.y(), b.y());
                double by = Math.min(x, y);
                if (by <= TOUCHING || by >= checked.limits().aligned()
                        || Polygons.sharedArea(checked.form(panels.get(i)), checked.form(panels.get(j))) < TOUCHING * by) continue;
                Panel front = panels.get(j);
                String says = front.name() + " lies over " + panels.get(i).name() + " by " + checked.length(by) + ".";
                Optional<Edit> apart = x < y ? Checked.moved(front, b.x() > a.x() ? x : -x, 0)
                        : Checked.moved(front, 0, b.y() > a.y() ? y : -y);
                faults.add(checked.fault(Weight.WARNING, front, says, apart));
            }
        }
        return faults;
    }
}
