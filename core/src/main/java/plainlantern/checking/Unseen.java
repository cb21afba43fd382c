package plainlantern.checking;

import java.util.ArrayList;
import java.util.List;
import plainlantern.geometry.Box;
import plainlantern.geometry.Polygons;
import plainlantern.sheet.Content.Wash;
import plainlantern.sheet.Look;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Role;

/** Elements that are hidden, and such that an opaque one in front covers wholly. */
final class Unseen implements Check {
    @Override
    public String title() {
        return "Never seen";
    }

    @Override
    public List<Fault> find(Checked checked) {
        List<Fault> faults = new ArrayList<>();
        for (Panel panel : checked.sheet().panels())
            if (panel.hidden()) faults.add(checked.fault(Weight.NOTE, panel, panel.name() + " is hidden and in no file."));
        List<Panel> panels = checked.panels();
        for (int i = 0; i < panels.size(); i++) {
            Panel panel = panels.get(i);
            panels.subList(i + 1, panels.size()).stream().filter(front -> covers(checked, front, panel) && solid(checked, front)).findFirst()
                    .ifPresent(front -> faults.add(checked.fault(Weight.WARNING, panel, panel.name() + " is wholly covered by " + front.name() + ".")));
        }
        return faults;
    }

    private static boolean covers(Checked checked, Panel front, Panel panel) {
        Box inner = checked.box(panel);
        Box outer = checked.box(front).grown(1e-6);
        boolean within = inner.x() >= outer.x() && inner.y() >= outer.y() && inner.right() <= outer.right() && inner.bottom() <= outer.bottom();
        return within && (panel.role() == Role.RULE || Polygons.holds(checked.form(front), checked.form(panel)));
    }

    private static boolean solid(Checked checked, Panel front) {
        if (front.role() != Role.PANEL || !front.finish().look().equals(Look.PLAIN) || front.finish().feather() > 0) return false;
        return front.content().stream().anyMatch(c -> c instanceof Wash wash && wash.opaque())
                || checked.shown(front).stream().anyMatch(s -> s.coverage().covered() && s.own().look().equals(Look.PLAIN) && s.picture().foot().isEmpty() && s.picture().clear().isEmpty());
    }
}
