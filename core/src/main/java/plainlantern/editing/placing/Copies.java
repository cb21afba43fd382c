package plainlantern.editing.placing;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiFunction;
import plainlantern.editing.Titles;
import plainlantern.sheet.Element;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/** Copies of panels in front of all others, under names of their own; those of a group are a group. */
final class Copies {
    private Copies() {}

    /** @param seat where the copy with that number, from 1, of a panel with that seat is */
    static Sheet of(Sheet before, List<String> panels, int count, BiFunction<Seat, Integer, Seat> seat) {
        List<Element> next = new ArrayList<>(before.elements());
        Set<String> names = new HashSet<>(before.elements().stream().map(Element::name).toList());
        int lastId = before.lastId();
        for (int copy = 1; copy <= count; copy++) {
            Map<String, String> groups = new HashMap<>();
            for (Element panel : before.elements(panels)) {
                int number = ++lastId;
                String group = panel.group().isEmpty() ? "" : groups.computeIfAbsent(panel.group(), g -> "g" + number);
                String name = Titles.next(names, panel.name());
                names.add(name);
                next.add(panel.copied("p" + number, name).grouped(group).withSeat(seat.apply(panel.seat(), copy)));
            }
        }
        return before.with(next, lastId);
    }
}
