package plainlantern.checking;

import java.util.List;
import plainlantern.editing.dressing.SetFinish;

/** Rims and rules too thin to be printed safely. */
final class ThinLines implements Check {
    @Override
    public String title() {
        return "Thin lines";
    }

    @Override
    public List<Fault> find(Checked checked) {
        double least = checked.limits().rim();
        return checked.elements().stream().filter(p -> p.finish().rim().map(rim -> rim.width() < least - 1e-9).orElse(false)).map(p -> {
            String what = p.rule().isPresent() ? "line" : "rim";
            String says = p.name() + ": its " + what + " is " + checked.length(p.finish().rim().orElseThrow().width()) + " wide, under "
                    + checked.length(least) + ".";
            return checked.fault(Weight.WARNING, p, says, SetFinish.wide(List.of(p.id()), least));
        }).toList();
    }
}
