package plainlantern.arranging;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.sheet.Element;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/** What is placed as one: a panel on its own, or the panels of a group together. */
public final class Groups {
    private Groups() {}

    /** A unit's panels and the upright box around their forms on the sheet. */
    public record One(List<Element> panels, Box box) {}

    /** The units among panels that are not locked, in depth order of their first panel. */
    public static List<One> of(Sheet sheet, Collection<String> ids) {
        Map<String, List<Element>> byUnit = new LinkedHashMap<>();
        for (Element panel : sheet.free(ids)) {
            byUnit.computeIfAbsent(panel.group().isEmpty() ? panel.id() : panel.group(), unit -> new ArrayList<>()).add(panel);
        }
        return byUnit.values().stream().map(panels -> new One(panels, box(panels))).toList();
    }

    /** The upright box around the forms of panels; there must be one at least. */
    public static Box box(Collection<? extends Element> panels) {
        return Box.union(panels.stream().map(Element::boundsOnSheet).toList());
    }

    /** The sheet after units were moved by mm, each by its own vector. */
    public static Sheet moved(Sheet sheet, Map<One, Point> moves) {
        Map<String, Point> byPanel = new LinkedHashMap<>();
        moves.forEach((unit, by) -> unit.panels().forEach(panel -> byPanel.put(panel.id(), by)));
        return sheet.changing(byPanel.keySet(), panel -> {
            Seat seat = panel.seat();
            return panel.withSeat(seat.at(seat.centre().plus(byPanel.get(panel.id()))));
        });
    }
}
