package plainlantern.checking;

import java.util.ArrayList;
import java.util.List;
import plainlantern.editing.words.FitCaption;
import plainlantern.fitting.Typesetting;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Words;

/** Words that are cut off where their box ends; what merely uses its padding is no fault. */
final class Overflow implements Check {
    /** Less, mm, is about half a pixel at 300 ppi. */
    private static final double LEAST = 0.05;

    @Override
    public String title() {
        return "Words beyond their box";
    }

    @Override
    public List<Fault> find(Checked checked) {
        List<Fault> faults = new ArrayList<>();
        for (Checked.Lettered lettered : checked.words()) {
            double over = beyond(lettered.panel(), lettered.words());
            if (over > LEAST) faults.add(checked.fault(Weight.FAULT, lettered.panel(), lettered.panel().name() + ": "
                    + checked.length(over) + " of its words are cut off.", new FitCaption(List.of(lettered.panel().id()))));
        }
        return faults;
    }

    /** How far letters reach beyond a box that they were fitted to, mm. */
    private static double beyond(Holder panel, Words words) {
        if (words.boxed().isEmpty()) return 0;
        Path letters = Typesetting.placed(panel, words).outlines();
        if (letters.empty()) return 0;
        Box ink = letters.bounds();
        Box box = panel.ownPath().bounds();
        return Math.max(Math.max(box.x() - ink.x(), ink.right() - box.right()), Math.max(box.y() - ink.y(), ink.bottom() - box.bottom()));
    }
}
