package plainlantern.checking;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import plainlantern.asking.Unit;
import plainlantern.geometry.Box;
import plainlantern.sheet.Holder;
import plainlantern.sheet.StandIn;

/** Pictures with fewer pixels than the sheet is meant for; on pixel sheets, pictures that are enlarged. One fault for each picture. */
final class SoftPictures implements Check {
    @Override
    public String title() {
        return "Soft pictures";
    }

    @Override
    public List<Fault> find(Checked checked) {
        double wanted = checked.sheet().ppi();
        boolean screen = checked.sheet().unit() == Unit.PX;
        Map<String, List<Checked.Seen>> soft = new LinkedHashMap<>();
        for (Checked.Seen shown : checked.pictures()) {
            String picture = shown.shown().picture().id();
            if (shown.coverage().softer(wanted) && !StandIn.is(picture)) soft.computeIfAbsent(picture, p -> new ArrayList<>()).add(shown);
        }
        List<Fault> faults = new ArrayList<>();
        for (List<Checked.Seen> seen : soft.values()) {
            double least = seen.stream().mapToDouble(s -> s.coverage().ppi()).min().orElseThrow();
            double most = seen.stream().mapToDouble(s -> s.coverage().ppi()).max().orElseThrow();
            String how = screen ? "enlarged to " + range(wanted / most * 100, wanted / least * 100) + " %"
                    : String.format(Locale.ROOT, "%s of %.0f ppi", range(least, most), wanted);
            List<Holder> panels = seen.stream().map(Checked.Seen::panel).distinct().toList();
            String where = panels.size() == 1 ? panels.get(0).name() : panels.size() + " panels";
            faults.add(new Fault(least < wanted / 2 ? Weight.FAULT : Weight.WARNING, panels.stream().map(Holder::id).toList(),
                    seen.get(0).shown().picture().name() + ": " + how + " in " + where + ".", Box.union(panels.stream().map(checked::box)
                            .toList()), Optional.empty()));
        }
        return faults;
    }

    private static String range(double least, double most) {
        String from = String.format(Locale.ROOT, "%.0f", least);
        String to = String.format(Locale.ROOT, "%.0f", most);
        return from.equals(to) ? from : from + " to " + to;
    }
}
