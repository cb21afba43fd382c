package plainlantern.checking;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import plainlantern.editing.Edit;
import plainlantern.sheet.Sheet;

/** All faults of a sheet, by kind, the heaviest kinds first. */
public record Report(List<Kind> kinds) {
    private static final List<Check> KINDS = List.of(new NothingShown(), new Waiting(), new BareAreas(), new SoftPictures(),
            new Stretched(),
            new FocalAtEdge(), new FocalCovered(), new BesideTheSheet(),
            new BleedTrap(), new StopsAtTrim(), new Safety(), new NearlyAligned(), new UnequalGaps(), new Slivers(), new HairOverlaps(),
                    new ThinLines(), new ThinLetters(), new RulesOffSeams(),
            new OutOfRegister(), new SameNeighbours(), new FaintWords(), new LostInTone(), new Overflow(), new MissingSigns(),
            new UnfilledFields(), new Unseen(), new IdleGlazes(), new HidingVeils(), new Unused());

    /**
     * @param faults     heaviest first
     * @param mendAll    all mends of this kind as one step, where there are two or more
     * @param unfinished see {@link Check#unfinished}
     */
    public record Kind(String title, List<Fault> faults, Optional<Edit> mendAll, boolean unfinished) {
        /** The weight of the heaviest. */
        public Weight weight() {
            return faults.get(0).weight();
        }
    }

    /**
     * What is wrong, with mends that were not looked at: enough to count.
     *
     * @param told what pixels tell of it
     */
    public static Report found(Sheet sheet, Told told) {
        List<Kind> kinds = new ArrayList<>();
        faults(sheet, told).forEach((check, faults) -> kinds.add(new Kind(check.title(), faults, Optional.empty(), check.unfinished())));
        kinds.sort(Comparator.comparing(Kind::weight));
        return new Report(kinds);
    }

    /** As {@link #found}, with those mends alone that make no other fault of the same weight or a heavier one. */
    public static Report of(Sheet sheet, Told told) {
        Map<Check, List<Fault>> found = faults(sheet, told);
        Mending mending = new Mending(sheet, told);
        List<Kind> kinds = new ArrayList<>();
        found.forEach((check, faults) -> kinds.add(new Kind(check.title(), faults.stream().map(fault -> mending.sound(fault) ? fault
                : fault.withoutMend()).toList(),
                mending.all("Mend: " + check.title().toLowerCase(Locale.ROOT), faults), check.unfinished())));
        kinds.sort(Comparator.comparing(Kind::weight));
        return new Report(kinds);
    }

    /** The faults of each kind that has any, heaviest first. */
    static Map<Check, List<Fault>> faults(Sheet sheet, Told told) {
        Checked checked = new Checked(sheet, told);
        Map<Check, List<Fault>> found = new LinkedHashMap<>();
        for (Check check : KINDS) {
            List<Fault> faults = check.find(checked).stream().sorted(Comparator.comparing(Fault::weight)).toList();
            if (!faults.isEmpty()) found.put(check, faults);
        }
        return found;
    }

    /** One sentence on what would spoil a file, as "2 faults would be in the file: bare areas, thin lines."; empty where nothing would. */
    public String warning() {
        List<Kind> spoiling = kinds.stream().filter(kind -> kind.weight() == Weight.FAULT || kind.unfinished()).toList();
        long count = spoiling.stream().flatMap(kind -> kind.faults().stream().filter(fault -> fault.weight() == kind.weight())).count();
        if (count == 0) return "";
        String what = spoiling.stream().map(kind -> kind.title().toLowerCase(Locale.ROOT)).collect(Collectors.joining(", "));
        return (count == 1 ? "1 fault" : count + " faults") + " would be in the file: " + what + ".";
    }

    /** How many there are of that weight. */
    public long count(Weight weight) {
        return kinds.stream().flatMap(k -> k.faults().stream()).filter(f -> f.weight() == weight).count();
    }
}
