package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.OptionalDouble;
import plainlantern.fitting.Refit;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/**
 * Seats panels by exact numbers; what is absent stays. Left and top place the common upright box of their forms; width,
 * height and turn hold for each panel.
 */
@JsonTypeName("seat-panels")
public record SeatPanels(List<String> panels, @Typed.OptionalLength OptionalDouble left, @Typed.OptionalLength OptionalDouble top,
                         @Typed.OptionalLength OptionalDouble width, @Typed.OptionalLength OptionalDouble height,
                         @Typed.OptionalNumber OptionalDouble turn) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        Sheet sized = before.moving(panels, p -> Refit.resized(before, p, p.withSeat(sized(p.seat()))));
        Box box = Box.union(sized.free(panels).stream().map(Panel::boundsOnSheet).toList());
        Box was = Box.union(before.free(panels).stream().map(Panel::boundsOnSheet).toList());
        boolean turning = turn.isPresent();
        double dx = left.isPresent() ? left.getAsDouble() - box.x() : turning ? 0 : was.x() - box.x();
        double dy = top.isPresent() ? top.getAsDouble() - box.y() : turning ? 0 : was.y() - box.y();
        return new MovePanels(panels, dx, dy).apply(sized);
    }

    private Seat sized(Seat seat) {
        return new Seat(new Point(seat.centre().x(), seat.centre().y()), width.orElse(seat.width()), height.orElse(seat.height()),
                turn.isPresent() ? Turns.normal(turn.getAsDouble()) : seat.turn(), seat.mirrored());
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(turn.isPresent() ? "Turn" : width.isPresent() || height.isPresent() ? "Resize" : "Move", before, panels);
    }
}
