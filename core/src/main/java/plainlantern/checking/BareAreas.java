package plainlantern.checking;

import java.util.Comparator;
import java.util.List;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.CoverAgain;
import plainlantern.fitting.Coverage;
import plainlantern.fitting.PanelState;
import plainlantern.sheet.Holder;

/** Panels that their pictures do not fill. */
final class BareAreas implements Check {
    @Override
    public String title() {
        return "Bare areas";
    }

    @Override
    public List<Fault> find(Checked checked) {
        return checked.holders().stream().filter(p -> PanelState.of(checked.sheet(), p) == PanelState.BARE)
                .map(p -> fault(checked, p)).toList();
    }

    private static Fault fault(Checked checked, Holder panel) {
        Checked.Seen least = checked.shown(panel).stream().min(Comparator.comparingDouble(s -> s.coverage().bareShare())).orElseThrow();
        Coverage coverage = least.coverage();
        if (!coverage.before()) return checked.fault(Weight.FAULT, panel,
                panel.name() + " reaches behind the horizon of its picture\u2019s plane.");
        String says = panel.name() + ": " + Unit.percent(coverage.bareShare()) + " is bare, up to " + checked.length(coverage.missing())
                + " at the " + coverage.worst() + " of the picture.";
        return checked.fault(Weight.FAULT, panel, says, new CoverAgain(List.of(panel.id()), false, least.layer()));
    }
}
