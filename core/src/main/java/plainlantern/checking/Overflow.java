package plainlantern.checking;

import java.util.ArrayList;
import java.util.List;
import plainlantern.editing.words.FitCaption;
import plainlantern.fitting.Typesetting;

/** Words that need more room than their box has. */
final class Overflow implements Check {
    @Override
    public String title() {
        return "Words beyond their box";
    }

    @Override
    public List<Fault> find(Checked checked) {
        List<Fault> faults = new ArrayList<>();
        for (Checked.Lettered lettered : checked.words()) {
            double over = Typesetting.overflow(lettered.panel(), lettered.words());
            if (over > 0.005) faults.add(checked.fault(Weight.FAULT, lettered.panel(), lettered.panel().name() + ": its words need "
                    + checked.length(over) + " more than their box has.", new FitCaption(List.of(lettered.panel().id()))));
        }
        return faults;
    }
}
