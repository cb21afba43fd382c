package plainlantern.checking;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import plainlantern.editing.Edit;
import plainlantern.editing.words.SetPlate;
import plainlantern.sheet.Element;

/** Captions whose words do not stand out enough from what is behind them. */
final class FaintWords implements Check {
    @Override
    public String title() {
        return "Faint words";
    }

    @Override
    public List<Fault> find(Checked checked) {
        List<Fault> faults = new ArrayList<>();
        for (Element panel : checked.elements()) {
            Legibility read = checked.told().words().get(panel.id());
            if (read == null || read.ratio() >= checked.limits().contrast()) continue;
            String says = String.format(Locale.ROOT, "%s: a contrast of %.1f : 1 at its worst spot, under %.1f.", panel.name(),
                    Math.floor(read.ratio() * 10) / 10, checked.limits().contrast());
            Optional<Edit> plate = read.plate().map(opacity -> new SetPlate(List.of(panel.id()), Optional.empty(),
                    Optional.of(read.colour()), OptionalDouble.empty(), Map.of("opacity", opacity)));
            faults.add(checked.fault(Weight.FAULT, panel, says, plate));
        }
        return faults;
    }
}
