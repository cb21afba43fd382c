package plainlantern.checking;

import java.util.List;

/** Panels that show nothing. */
final class NothingShown implements Check {
    @Override
    public String title() {
        return "Empty panels";
    }

    @Override
    public List<Fault> find(Checked checked) {
        return checked.takers().stream().filter(p -> p.content().isEmpty())
                .map(p -> checked.fault(Weight.WARNING, p, p.name() + " is empty.")).toList();
    }
}
