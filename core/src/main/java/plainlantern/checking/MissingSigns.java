package plainlantern.checking;

import java.util.ArrayList;
import java.util.List;

/** Signs that the typeface does not have, which are drawn as boxes. */
final class MissingSigns implements Check {
    @Override
    public String title() {
        return "Missing signs";
    }

    @Override
    public List<Fault> find(Checked checked) {
        List<Fault> faults = new ArrayList<>();
        for (Checked.Lettered lettered : checked.words()) {
            String missing = lettered.words().style().setting().face().missing(lettered.words().text());
            if (!missing.isEmpty()) faults.add(checked.fault(Weight.FAULT, lettered.panel(), lettered.panel().name() + ": "
                    + lettered.words().style().typeface().label() + " has no " + missing + "; a box is drawn instead."));
        }
        return faults;
    }
}
