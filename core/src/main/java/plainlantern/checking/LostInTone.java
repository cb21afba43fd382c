package plainlantern.checking;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import plainlantern.sheet.Treated;

/** Pictures whose tone cuts off shadows or highlights. */
final class LostInTone implements Check {
    @Override
    public String title() {
        return "Shadows or highlights cut off";
    }

    @Override
    public List<Fault> find(Checked checked) {
        double most = checked.limits().clipped();
        List<Fault> faults = new ArrayList<>();
        if (most == 0) return faults;
        for (Checked.Seen seen : checked.pictures()) {
            Told.Lost lost = checked.told().lost().get(Treated.anywhere(seen.shown().picture().id(), seen.shown().treatment()));
            if (lost == null || Math.max(lost.dark(), lost.light()) <= most) continue;
            boolean light = lost.light() >= lost.dark();
            String says = String.format(Locale.ROOT, "%s: its tone cuts off %.0f %% of the picture in %s, over %.0f %%.",
                    seen.panel().name(),
                    (light ? lost.light() : lost.dark()) * 100, light ? "white" : "black", most * 100);
            faults.add(checked.fault(Weight.WARNING, seen.panel(), says));
        }
        return faults;
    }
}
