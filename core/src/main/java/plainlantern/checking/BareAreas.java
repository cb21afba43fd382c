package plainlantern.checking;

import java.util.Comparator;
import java.util.List;
import plainlantern.editing.CoverAgain;
import plainlantern.fitting.Coverage;
import plainlantern.fitting.PanelState;
import plainlantern.geometry.Unit;
import plainlantern.sheet.Panel;

/** Panels that their pictures do not fill. */
final class BareAreas implements Check {
    @Override
    public String title() {
        return "Bare areas";
    }

    @Override
    public List<Fault> find(Checked checked) {
        return checked.panels().stream().filter(p -> PanelState.of(checked.sheet(), p) == PanelState.BARE).map(p -> fault(checked, p)).toList();
    }

    private static Fault fault(Checked checked, Panel panel) {
        Checked.Shown least = checked.shown(panel).stream().min(Comparator.comparingDouble(s -> s.coverage().bareShare())).orElseThrow();
        Coverage coverage = least.coverage();
        String says = panel.name() + ": " + Unit.percent(coverage.bareShare()) + " is bare, up to " + checked.length(coverage.missing()) + " at the " + coverage.worst() + " of the picture.";
        return checked.fault(Weight.FAULT, panel, says, new CoverAgain(List.of(panel.id()), false, least.layer()));
    }
}
