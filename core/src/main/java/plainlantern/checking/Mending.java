package plainlantern.checking;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import plainlantern.editing.Edit;
import plainlantern.editing.Several;
import plainlantern.geometry.BadInput;
import plainlantern.sheet.Sheet;

/** Tells the mends that make a sheet better from those that would only exchange one fault for another. */
final class Mending {
    private final Sheet sheet;
    private final Map<String, Legibility> read;
    private final Map<Check, List<Fault>> found;

    Mending(Sheet sheet, Map<String, Legibility> read, Map<Check, List<Fault>> found) {
        this.sheet = sheet;
        this.read = read;
        this.found = found;
    }

    /** Whether its mend can be made, and makes no other fault of its weight or a heavier one; a fault without a mend is none. */
    boolean sound(Fault fault) {
        return fault.mend().isEmpty() || mended(sheet, found, fault).isPresent();
    }

    /** The mends of these faults as one step, each sound after those before it; empty where there are not two of them. */
    Optional<Edit> all(String title, List<Fault> faults) {
        Sheet now = sheet;
        Map<Check, List<Fault>> left = found;
        List<Edit> mends = new ArrayList<>();
        for (Fault fault : faults) {
            if (fault.mend().isEmpty() || mends.contains(fault.mend().get())) continue;
            Optional<Sheet> next = mended(now, left, fault);
            if (next.isEmpty()) continue;
            now = next.get();
            left = Report.all(now, read);
            mends.add(fault.mend().get());
        }
        return mends.size() < 2 ? Optional.empty() : Optional.of(new Several(title, mends));
    }

    private Optional<Sheet> mended(Sheet before, Map<Check, List<Fault>> known, Fault fault) {
        Sheet after;
        try {
            after = fault.mend().orElseThrow().on(before);
        } catch (BadInput refused) {
            return Optional.empty();
        }
        Map<String, Integer> was = weighed(known, fault.weight());
        for (Map.Entry<String, Integer> is : weighed(Report.all(after, read), fault.weight()).entrySet()) {
            if (is.getValue() > was.getOrDefault(is.getKey(), 0)) return Optional.empty();
        }
        return Optional.of(after);
    }

    /** How many faults of that weight or a heavier one there are of each kind, at each element. */
    private static Map<String, Integer> weighed(Map<Check, List<Fault>> found, Weight least) {
        Map<String, Integer> weighed = new HashMap<>();
        found.forEach((check, faults) -> {
            for (Fault fault : faults) if (fault.weight().compareTo(least) <= 0) weighed.merge(check.title() + " " + fault.weight() + " " + fault.panels(), 1, Integer::sum);
        });
        return weighed;
    }
}
