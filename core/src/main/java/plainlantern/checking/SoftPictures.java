package plainlantern.checking;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import plainlantern.asking.Unit;
import plainlantern.sheet.StandIn;

/** Pictures with fewer pixels than the sheet is meant for; on pixel sheets, pictures that are enlarged. */
final class SoftPictures implements Check {
    @Override
    public String title() {
        return "Soft pictures";
    }

    @Override
    public List<Fault> find(Checked checked) {
        double wanted = checked.sheet().ppi();
        boolean screen = checked.sheet().unit() == Unit.PX;
        List<Fault> faults = new ArrayList<>();
        for (Checked.Seen shown : checked.pictures()) {
            double ppi = shown.coverage().ppi();
            if (!shown.coverage().softer(wanted) || StandIn.is(shown.shown().picture().id())) continue;
            String name = shown.panel().name();
            String says = screen ? String.format(Locale.ROOT, "%s: enlarged to %.0f %%.", name, wanted / ppi * 100)
                    : String.format(Locale.ROOT, "%s: %.0f of %.0f ppi.", name, ppi, wanted);
            faults.add(checked.fault(ppi < wanted / 2 ? Weight.FAULT : Weight.WARNING, shown.panel(), says));
        }
        return faults;
    }
}
