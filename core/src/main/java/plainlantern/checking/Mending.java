package plainlantern.checking;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import plainlantern.asking.BadInput;
import plainlantern.editing.Edit;
import plainlantern.editing.reading.Several;
import plainlantern.geometry.Box;
import plainlantern.sheet.Element;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Vista;

/**
 * Tells the mends that make a sheet better from those that would only exchange one fault for another. A mend answers for what it touches
 * and for what comes near: only this much of the sheet is looked at again.
 */
final class Mending {
    /** What lies within so many mm of what a mend touches is near it. */
    private static final double NEAR = 6;
    /** Two edges that differ by less, mm, are on one line. */
    private static final double LINE = 0.02;
    /** So many elements are looked at again for one report; mends that would need more are not tried. */
    private static final int MOST = 8_000;
    /** Finding out what a mend has to do with costs as much as looking at a part of the sheet again, one of so many elements. */
    private static final int FINDING = 10;

    private final Sheet sheet;
    private final Told told;
    private int left = MOST;

    Mending(Sheet sheet, Told told) {
        this.sheet = sheet;
        this.told = told;
    }

    /**
     * Whether its mend can be made, and, as far as it can be tried, makes no other fault of its weight or a heavier one; a fault without a
     * mend is none.
     */
    boolean sound(Fault fault) {
        return fault.mend().isEmpty() || left <= 0 || mended(sheet, fault.mend().get(), fault.weight()).isPresent();
    }

    /**
     * The mends of these faults as one step: all of them, or, where together they would make another fault, each that is sound after those
     * before it. Empty where there are not two of them.
     */
    Optional<Edit> all(String title, List<Fault> faults) {
        List<Edit> mends = faults.stream().flatMap(f -> f.mend().stream()).distinct().limit(Several.MOST).toList();
        if (mends.size() < 2) return Optional.empty();
        Edit together = new Several(title, mends);
        if (left <= 0 || mended(sheet, together, faults.get(0).weight()).isPresent()) return Optional.of(together);
        Sheet now = sheet;
        List<Edit> sound = new ArrayList<>();
        for (Fault fault : faults) {
            if (left <= 0 || fault.mend().isEmpty() || sound.contains(fault.mend().get())) continue;
            Optional<Sheet> next = mended(now, fault.mend().get(), fault.weight());
            if (next.isEmpty()) continue;
            now = next.get();
            sound.add(fault.mend().get());
        }
        return sound.size() < 2 ? Optional.empty() : Optional.of(new Several(title, sound));
    }

    private Optional<Sheet> mended(Sheet before, Edit mend, Weight weight) {
        Sheet after;
        try {
            after = mend.on(before);
        } catch (BadInput refused) {
            return Optional.empty();
        }
        left -= before.elements().size() / FINDING;
        Set<String> touched = touched(before, after);
        List<Box> places = places(after, touched);
        Set<String> about = about(before, after, touched);
        if (2 * about.size() > left) return Optional.of(after);
        left -= 2 * about.size();
        Map<String, Integer> was = weighed(before, about, weight, touched, List.of());
        for (Map.Entry<String, Integer> is : weighed(after, about, weight, touched, places).entrySet()) {
            if (is.getValue() > was.getOrDefault(is.getKey(), 0)) return Optional.empty();
        }
        return Optional.of(after);
    }

    /** The elements that are other than before, or show something else. */
    private static Set<String> touched(Sheet before, Sheet after) {
        Map<String, Element> was = before.elements().stream().collect(Collectors.toMap(Element::id, e -> e));
        Set<String> touched = new HashSet<>();
        for (Element element : after.elements()) if (!element.equals(was.remove(element.id()))) touched.add(element.id());
        touched.addAll(was.keySet());
        Set<Vista> lay = new HashSet<>(before.vistas());
        for (Vista vista : after.vistas()) if (!lay.contains(vista)) after.members(vista.id()).forEach(p -> touched.add(p.id()));
        return touched;
    }

    private static List<Box> places(Sheet sheet, Set<String> ids) {
        return sheet.elements().stream().filter(p -> ids.contains(p.id())).map(p -> p.boundsOnSheet().grown(NEAR)).toList();
    }

    /**
     * What is looked at again: what is touched, what is near it before or after, what stands in a row or column with it, and vistas whole.
     */
    private static Set<String> about(Sheet before, Sheet after, Set<String> touched) {
        Set<String> about = new HashSet<>(touched);
        for (Sheet each : List.of(before, after)) {
            List<Box> places = places(each, touched);
            for (Element panel : each.elements()) {
                Box box = panel.boundsOnSheet();
                if (places.stream().anyMatch(place -> place.meets(box) || inLine(place, box))) about.add(panel.id());
            }
            Set<String> vistas = each.holders().stream().filter(p -> about.contains(p.id())).flatMap(p -> p.slice().stream())
                    .map(s -> s.vista()).collect(Collectors.toSet());
            for (Holder panel : each.holders()) if (panel.slice().map(s -> vistas.contains(s.vista())).orElse(false)) about.add(panel.id());
        }
        return about;
    }

    private static boolean inLine(Box grown, Box box) {
        Box own = grown.grown(-NEAR);
        boolean row = Math.abs(own.y() - box.y()) < LINE && Math.abs(own.height() - box.height()) < LINE;
        return row || Math.abs(own.x() - box.x()) < LINE && Math.abs(own.width() - box.width()) < LINE;
    }

    /**
     * How many faults of that weight or a heavier one there are of each kind at each of the elements {@code about}, as far as what was
     * touched, or lies at {@code places}, has to do with them.
     */
    private Map<String, Integer> weighed(Sheet whole, Set<String> about, Weight least, Set<String> touched, List<Box> places) {
        Sheet part = whole.with(whole.elements().stream().filter(e -> about.contains(e.id())).toList());
        Map<String, Integer> weighed = new HashMap<>();
        Report.faults(part, told).forEach((check, faults) -> {
            for (Fault fault : faults) {
                boolean answers = places.isEmpty() || fault.panels().stream().anyMatch(touched::contains)
                        || places.stream().anyMatch(place -> place.meets(fault.place()));
                if (answers && fault.weight().compareTo(least) <= 0)
                    weighed.merge(check.title() + " " + fault.weight() + " " + fault.panels(), 1, Integer::sum);
            }
        });
        return weighed;
    }
}
