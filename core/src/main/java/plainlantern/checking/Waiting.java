package plainlantern.checking;

import java.util.List;
import plainlantern.sheet.StandIn;

/** Stand-ins that no picture took the place of yet. */
final class Waiting implements Check {
    @Override
    public String title() {
        return "Stand-ins still there";
    }

    @Override
    public boolean unfinished() {
        return true;
    }

    @Override
    public List<Fault> find(Checked checked) {
        return checked.pictures().stream().filter(seen -> StandIn.is(seen.shown().picture().id()))
                .map(seen -> checked.fault(Weight.WARNING, seen.panel(), seen.panel().name() + " waits for its picture.")).toList();
    }
}
