package plainlantern.checking;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import plainlantern.editing.Edit;
import plainlantern.editing.Several;
import plainlantern.sheet.Sheet;

/** All faults of a sheet, by kind, the heaviest kinds first. */
public record Report(List<Kind> kinds) {
    private static final List<Check> KINDS = List.of(new EmptyPanels(), new BareAreas(), new SoftPictures(), new Stretched(), new FocalAtEdge(), new FocalCovered(), new BesideTheSheet(),
            new BleedTrap(), new StopsAtTrim(), new Safety(), new NearlyAligned(), new UnequalGaps(), new Slivers(), new HairOverlaps(), new ThinLines(), new RulesOffSeams(),
            new OutOfRegister(), new SameNeighbours(), new FaintWords(), new Overflow(), new MissingSigns(), new Unseen(), new Unused());

    /** @param faults heaviest first */
    public record Kind(String title, List<Fault> faults) {
        /** The weight of the heaviest. */
        public Weight weight() {
            return faults.get(0).weight();
        }

        /** All mends of this kind as one step, where there are two or more. */
        public Optional<Edit> mendAll() {
            List<Edit> mends = faults.stream().flatMap(f -> f.mend().stream()).distinct().toList();
            return mends.size() < 2 ? Optional.empty() : Optional.of(new Several("Mend: " + title.toLowerCase(Locale.ROOT), mends));
        }
    }

    /** @param read how well the words of captions can be read, by element */
    public static Report of(Sheet sheet, Map<String, Legibility> read) {
        Checked checked = new Checked(sheet, read);
        List<Kind> kinds = new ArrayList<>();
        for (Check check : KINDS) {
            List<Fault> faults = check.find(checked).stream().sorted(Comparator.comparing(Fault::weight)).toList();
            if (!faults.isEmpty()) kinds.add(new Kind(check.title(), faults));
        }
        kinds.sort(Comparator.comparing(Kind::weight));
        return new Report(kinds);
    }

    /** How many there are of that weight. */
    public long count(Weight weight) {
        return kinds.stream().flatMap(k -> k.faults().stream()).filter(f -> f.weight() == weight).count();
    }
}
