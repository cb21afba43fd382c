package plainlantern.checking;

import java.util.List;

/** Elements of which nothing is on the sheet. */
final class BesideTheSheet implements Check {
    @Override
    public String title() {
        return "Beside the sheet";
    }

    @Override
    public List<Fault> find(Checked checked) {
        return checked.elements().stream().filter(p -> !checked.box(p).grown(1e-6).meets(checked.sheet().bounds()))
                .map(p -> checked.fault(Weight.FAULT, p, p.name() + " lies beside the sheet: nothing of it is seen.")).toList();
    }
}
