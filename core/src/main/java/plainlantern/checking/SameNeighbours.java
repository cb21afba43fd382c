package plainlantern.checking;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.Typed;
import plainlantern.fitting.Neighbours;
import plainlantern.sheet.Panel;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Source;
import plainlantern.sheet.StandIn;

/** The same picture in two panels side by side. */
final class SameNeighbours implements Check {
    @Override
    public String title() {
        return "Twins side by side";
    }

    @Override
    public List<Fault> find(Checked checked) {
        List<Panel> panels = checked.panels().stream().filter(p -> own(p).isPresent()).toList();
        List<Fault> faults = new ArrayList<>();
        Neighbours neighbours = new Neighbours(panels.stream().map(checked::box).toList());
        for (int i = 0; i < panels.size(); i++) {
            for (int j : neighbours.after(i)) {
                Panel a = panels.get(i);
                Panel b = panels.get(j);
                if (!own(a).equals(own(b))) continue;
                faults.add(checked.fault(Weight.NOTE, b, a.name() + " and " + b.name() + " show the same picture side by side."));
            }
        }
        return faults;
    }

    /** The frontmost picture, where it is the panel's own. */
    private static Optional<Source.Own> own(Panel panel) {
        return panel.picture(Typed.FRONTMOST).flatMap(PictureLayer::own).filter(own -> !StandIn.is(own.picture()));
    }
}
