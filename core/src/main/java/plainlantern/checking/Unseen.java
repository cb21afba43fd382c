package plainlantern.checking;

import java.util.ArrayList;
import java.util.List;
import plainlantern.geometry.Box;
import plainlantern.geometry.Polygons;
import plainlantern.sheet.Element;
import plainlantern.sheet.Look;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Veil;
import plainlantern.sheet.Wash;

/** Elements that are hidden, and such that an opaque one in front covers wholly. */
final class Unseen implements Check {
    @Override
    public String title() {
        return "Never seen";
    }

    @Override
    public List<Fault> find(Checked checked) {
        List<Fault> faults = new ArrayList<>();
        for (Element panel : checked.sheet().elements())
            if (panel.hidden()) faults.add(checked.fault(Weight.NOTE, panel, panel.name() + " is hidden and in no file."));
        List<Element> panels = checked.elements();
        for (int i = 0; i < panels.size(); i++) {
            Element panel = panels.get(i);
            checked.places().nearAfter(i, checked.box(panel).grown(1e-6)).mapToObj(panels::get)
                    .filter(front -> covers(checked, front, panel) && solid(checked, front)).findFirst()
                    .ifPresent(front -> faults.add(checked.fault(Weight.WARNING, panel, panel.name() + " is wholly covered by "
                            + front.name() + ".")));
        }
        return faults;
    }

    private static boolean covers(Checked checked, Element front, Element panel) {
        Box inner = checked.box(panel);
        Box outer = checked.box(front).grown(1e-6);
        boolean within = inner.x() >= outer.x() && inner.y() >= outer.y() && inner.right() <= outer.right()
                && inner.bottom() <= outer.bottom();
        return within && (panel.rule().isPresent() || Polygons.holds(checked.form(front), checked.form(panel)));
    }

    private static boolean solid(Checked checked, Element element) {
        if (element.panel().isEmpty()) return false;
        Panel front = element.panel().get();
        if (!front.finish().look().equals(Look.PLAIN) || front.finish().feather() > 0) return false;
        return front.content().stream().flatMap(c -> c.wash().stream()).anyMatch(Wash::opaque)
                || checked.shown(front).stream().anyMatch(s -> s.coverage().covered() && s.shown().look().equals(Look.PLAIN)
                        && s.shown().veil().stream().allMatch(Veil::idle)
                        && s.shown().picture().foot().isEmpty() && !s.shown().treatment().clears());
    }
}
