package plainlantern.arranging;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/** What is placed as one: a panel on its own, or the panels of a group together. */
public final class Units {
    private Units() {}

    /** A unit's panels and the upright box around their forms on the sheet. */
    public record One(List<Panel> panels, Box box) {}

    /** The units among panels that are not locked, in depth order of their first panel. */
    public static List<One> of(Sheet sheet, Collection<String> ids) {
        Map<String, List<Panel>> byUnit = new LinkedHashMap<>();
        for (Panel panel : sheet.free(ids)) {
            byUnit.computeIfAbsent(panel.group().isEmpty() ? panel.id() : panel.group(), unit -> new ArrayList<>()).add(panel);
        }
        return byUnit.values().stream().map(panels -> new One(panels, box(panels))).toList();
    }

    /** The upright box around the forms of panels; there must be one at least. */
    public static Box box(Collection<Panel> panels) {
        return Box.union(panels.stream().map(Panel::boundsOnSheet).toList());
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
