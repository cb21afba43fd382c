package plainlantern.checking;

import java.util.ArrayList;
import java.util.List;
import plainlantern.editing.forms.SetLetters.Measure;
import plainlantern.geometry.Polygons;
import plainlantern.outline.Letters;
import plainlantern.sheet.Holder;

/** Letters that are a form and have strokes too thin to be printed safely. */
final class ThinLetters implements Check {
    /** No typeface has strokes thinner than that share of an em. */
    private static final double THINNEST = 0.005;

    @Override
    public String title() {
        return "Thin letters";
    }

    @Override
    public List<Fault> find(Checked checked) {
        double least = checked.limits().rim();
        List<Fault> faults = new ArrayList<>();
        for (Holder panel : checked.holders()) {
            if (panel.outline().letters().isEmpty()) continue;
            Letters letters = panel.outline().letters().get();
            boolean large = Measure.of(letters, panel.seat()).size() * THINNEST >= least;
            if (!large && Polygons.narrow(panel.ownPath(), least) > 0) faults.add(checked.fault(Weight.WARNING, panel, panel.name()
                    + ": strokes of these letters are thinner than " + checked.length(least)
                            + ". Make them larger, or choose a bolder weight."));
        }
        return faults;
    }
}
