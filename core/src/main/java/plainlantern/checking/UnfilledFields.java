package plainlantern.checking;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import plainlantern.sheet.Fields;

/** Names in braces that no table filled: they would be in the file as they stand. */
final class UnfilledFields implements Check {
    @Override
    public String title() {
        return "Unfilled fields";
    }

    @Override
    public boolean unfinished() {
        return true;
    }

    @Override
    public List<Fault> find(Checked checked) {
        List<Fault> faults = new ArrayList<>();
        for (Checked.Lettered lettered : checked.words()) {
            Set<String> fields = Fields.in(lettered.words().text());
            if (!fields.isEmpty()) faults.add(checked.fault(Weight.WARNING, lettered.panel(), lettered.panel().name() + " still says "
                    + fields.stream().map(field -> "{" + field + "}").collect(Collectors.joining(", ")) + "."));
        }
        return faults;
    }
}
