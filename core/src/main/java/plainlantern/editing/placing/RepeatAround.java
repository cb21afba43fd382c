package plainlantern.editing.placing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Added;
import plainlantern.editing.Titles;
import plainlantern.editing.Turns;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Point;
import plainlantern.sheet.Element;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/**
 * Repeats panels around a point, evenly over a whole turn. Copies of a group are a group.
 *
 * @param x     the point on the sheet, mm
 * @param y     likewise
 * @param count how many there are in all, with the first
 */
@JsonTypeName("repeat-around")
public record RepeatAround(List<String> panels, @Typed.Length double x, @Typed.Length double y, @Typed.Whole int count)
        implements PlacingEdit {
    public RepeatAround {
        BadInput.unless(count >= 2 && count <= 360, "count", "2 to 360 can stand around a point.");
        BadInput.unless(Math.abs(x) <= Seat.LARGEST, "x", "That is more than 10 m away from the sheet.");
        BadInput.unless(Math.abs(y) <= Seat.LARGEST, "y", "That is more than 10 m away from the sheet.");
    }

    @Override
    public Sheet apply(Sheet before) {
        List<Element> next = new ArrayList<>(before.elements());
        Set<String> names = new HashSet<>(before.elements().stream().map(Element::name).toList());
        Point about = new Point(x, y);
        int lastId = before.lastId();
        for (int copy = 1; copy < count; copy++) {
            double turn = 360.0 * copy / count;
            Map<String, String> groups = new HashMap<>();
            for (Element panel : before.elements(panels)) {
                int number = ++lastId;
                String group = panel.group().isEmpty() ? "" : groups.computeIfAbsent(panel.group(), g -> "g" + number);
                String name = Titles.next(names, panel.name());
                names.add(name);
                Seat seat = panel.seat();
                Point centre = about.plus(Affine.turn(turn).apply(seat.centre().minus(about)));
                next.add(panel.copied("p" + number, name).grouped(group).withSeat(seat.at(centre).turned(Turns.normal(seat.turn()
                        + turn))));
            }
        }
        return before.with(next, lastId);
    }

    @Override
    public List<String> selected(Sheet before, Sheet after, List<String> selected) {
        return Added.besides(panels, before, after);
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Repeat around a point", before, panels);
    }
}
