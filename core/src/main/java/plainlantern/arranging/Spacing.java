package plainlantern.arranging;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;

/** Where units go so that they stand evenly. */
public final class Spacing {
    private Spacing() {}

    /**
     * The rows along an axis, each from its first unit on: a unit stands in another's row that shares more than half of the smaller one's
     * extent across the axis with it.
     */
    public static List<List<Groups.One>> rows(List<Groups.One> units, Axis axis) {
        Axis down = axis.other();
        List<Groups.One> left = new ArrayList<>(units.stream().sorted(Comparator.comparingDouble(u -> down.start(u.box()))).toList());
        List<List<Groups.One>> rows = new ArrayList<>();
        while (!left.isEmpty()) {
            Box first = left.get(0).box();
            List<Groups.One> row = left.stream().filter(u -> u.box() == first
                    || 2 * shared(first, u.box(), down) > Math.min(down.size(first), down.size(u.box()))).toList();
            rows.add(sorted(row, axis));
            left.removeAll(row);
        }
        return rows;
    }

    private static double shared(Box one, Box other, Axis axis) {
        return Math.min(axis.end(one), axis.end(other)) - Math.max(axis.start(one), axis.start(other));
    }

    /** Moves the inner units so that the middles of all are equally far apart; the outermost two stay. */
    public static Map<Groups.One, Point> middles(List<Groups.One> units, Axis axis) {
        List<Groups.One> row = sorted(units, axis);
        double from = axis.middle(row.get(0).box());
        double step = (axis.middle(row.get(row.size() - 1).box()) - from) / (row.size() - 1);
        Map<Groups.One, Point> moves = new LinkedHashMap<>();
        for (int i = 0; i < row.size(); i++) moves.put(row.get(i), axis.step(from + i * step - axis.middle(row.get(i).box())));
        return moves;
    }

    /**
     * Moves the units so that the gaps between them are equal: to {@code gap} mm, from the first on; without one, the outermost two stay
     * and what is between them is shared out.
     */
    public static Map<Groups.One, Point> gaps(List<Groups.One> units, Axis axis, OptionalDouble gap) {
        List<Groups.One> row = sorted(units, axis);
        double sizes = row.stream().mapToDouble(u -> axis.size(u.box())).sum();
        double reach = row.stream().mapToDouble(u -> axis.end(u.box())).max().orElseThrow() - axis.start(row.get(0).box());
        double each = gap.orElse((reach - sizes) / (row.size() - 1));
        Map<Groups.One, Point> moves = new LinkedHashMap<>();
        double at = axis.start(row.get(0).box());
        for (Groups.One unit : row) {
            moves.put(unit, axis.step(at - axis.start(unit.box())));
            at += axis.size(unit.box()) + each;
        }
        return moves;
    }

    /** Puts the units into rows from the upper left of {@code area}, in reading order, with one gap; a full row starts the next. */
    public static Map<Groups.One, Point> packed(List<Groups.One> units, Box area, double gap) {
        Map<Groups.One, Point> moves = new LinkedHashMap<>();
        double x = area.x();
        double y = area.y();
        double height = 0;
        for (Groups.One unit : reading(units)) {
            Box box = unit.box();
            if (x > area.x() && x + box.width() > area.right() + 1e-6) {
                x = area.x();
                y += height + gap;
                height = 0;
            }
            moves.put(unit, new Point(x - box.x(), y - box.y()));
            x += box.width() + gap;
            height = Math.max(height, box.height());
        }
        return moves;
    }

    private static List<Groups.One> sorted(List<Groups.One> units, Axis axis) {
        return units.stream().sorted(Comparator.comparingDouble(u -> axis.middle(u.box()))).toList();
    }

    /** Row by row, each from the left. */
    private static List<Groups.One> reading(List<Groups.One> units) {
        return rows(units, Axis.ACROSS).stream().flatMap(row -> row.stream().sorted(Comparator.comparingDouble(u -> u.box().x()))).toList();
    }
}
