package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.OptionalDouble;
import plainlantern.fitting.Refit;
import plainlantern.geometry.Affine;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/**
 * Seats panels by exact numbers; what is absent stays. Left and top place the common upright box of their forms; width,
 * height and turn hold for each panel.
 *
 * @param anchorX what stays put of each panel where its size changes: −1 the left side, 0 the middle, 1 the right side
 * @param anchorY likewise: −1 the top, 0 the middle, 1 the bottom
 * @param alike   whether a width alone changes the height with it, and a height the width, so that proportions stay
 * @param still   whether pictures stay where they are on the sheet instead of fitting themselves to the new size
 */
@JsonTypeName("seat-panels")
public record SeatPanels(List<String> panels, @Typed.OptionalLength OptionalDouble left, @Typed.OptionalLength OptionalDouble top,
                         @Typed.OptionalLength OptionalDouble width, @Typed.OptionalLength OptionalDouble height,
                         @Typed.OptionalNumber OptionalDouble turn, @Typed.OptionalNumber OptionalDouble anchorX,
                                 @Typed.OptionalNumber OptionalDouble anchorY,
                         @Typed.Switch boolean alike, @Typed.Switch boolean still) implements Edit {
    public SeatPanels {
        for (OptionalDouble at : List.of(anchorX, anchorY))
            BadInput.unless(Math.abs(at.orElse(0)) <= 1, "anchorX", "The point that stays is on the panel's box.");
    }

    /** Into that box on the sheet. */
    public static SeatPanels into(String panel, Box box) {
        return new SeatPanels(List.of(panel), OptionalDouble.of(box.x()), OptionalDouble.of(box.y()), OptionalDouble.of(box.width()),
                OptionalDouble.of(box.height()),
                OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty(), false, false);
    }

    @Override
    public Sheet apply(Sheet before) {
        Sheet sized = before.moving(panels, p -> {
            Panel is = p.withSeat(sized(p.seat()));
            return still ? Refit.inPlace(before, p, is) : Refit.resized(before, p, is);
        });
        Box box = Box.union(sized.free(panels).stream().map(Panel::boundsOnSheet).toList());
        double dx = left.isPresent() ? left.getAsDouble() - box.x() : 0;
        double dy = top.isPresent() ? top.getAsDouble() - box.y() : 0;
        return new MovePanels(panels, dx, dy, still).apply(sized);
    }

    private Seat sized(Seat seat) {
        double across = width.orElse(alike && height.isPresent() ? seat.width() * height.getAsDouble() / seat.height() : seat.width());
        double down = height.orElse(alike && width.isPresent() ? seat.height() * width.getAsDouble() / seat.width() : seat.height());
        Point shift = new Point(anchorX.orElse(-1) * (seat.width() - across) / 2, anchorY.orElse(-1) * (seat.height() - down) / 2);
        return new Seat(seat.centre().plus(Affine.turn(seat.turn()).apply(shift)), across, down, turn.isPresent()
                ? Turns.normal(turn.getAsDouble()) : seat.turn(), seat.mirrored());
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(turn.isPresent() ? "Turn" : width.isPresent() || height.isPresent() ? "Resize" : "Move", before, panels);
    }
}
