package plainlantern.editing.placing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.arranging.Groups;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.editing.Turns;
import plainlantern.geometry.Point;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/** Turns panels with what they show by degrees, clockwise: one about its own middle, several about the middle of their common box. */
@JsonTypeName("turn-panels")
public record TurnPanels(List<String> panels, @Typed.Turn double by) implements PlacingEdit {
    @Override
    public Sheet apply(Sheet before) {
        Turns.normal(by);
        var free = before.free(panels);
        Point middle = free.size() == 1 ? free.get(0).seat().centre() : Groups.box(free).centre();
        return before.moving(panels, p -> {
            Seat seat = p.seat();
            return p.withSeat(seat.at(middle.plus(seat.centre().minus(middle).turned(by))).turned(Turns.normal(seat.turn() + by)));
        });
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Turn", before, panels);
    }
}
