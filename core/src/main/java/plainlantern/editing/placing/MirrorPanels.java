package plainlantern.editing.placing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.arranging.Axis;
import plainlantern.arranging.Groups;
import plainlantern.editing.Titles;
import plainlantern.editing.Turns;
import plainlantern.geometry.Point;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/** Mirrors panels with what they show about the middle of their common box: left to right, or top to bottom. */
@JsonTypeName("mirror-panels")
public record MirrorPanels(List<String> panels, Axis axis) implements PlacingEdit {
    @Override
    public Sheet apply(Sheet before) {
        Point middle = Groups.box(before.free(panels)).centre();
        return before.moving(panels, p -> p.withSeat(mirrored(p.seat(), middle)));
    }

    private Seat mirrored(Seat seat, Point middle) {
        Point c = seat.centre();
        boolean across = axis == Axis.ACROSS;
        Point to = across ? new Point(2 * middle.x() - c.x(), c.y()) : new Point(c.x(), 2 * middle.y() - c.y());
        return new Seat(to, seat.width(), seat.height(), Turns.normal(across ? -seat.turn() : 180 - seat.turn()), !seat.mirrored());
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Mirror", before, panels);
    }
}
