package plainlantern.editing.placing;

import com.fasterxml.jackson.annotation.JsonAnyGetter;
import com.fasterxml.jackson.annotation.JsonAnySetter;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Changes;
import plainlantern.editing.Titles;
import plainlantern.editing.Turns;
import plainlantern.fitting.Refit;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.sheet.Element;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/**
 * Seats elements by exact numbers. Left and top place the common upright box of their forms; width, height and turn hold for each.
 *
 * @param anchorX what stays put of each where its size changes: −1 the left side, 0 the middle, 1 the right side; absent means −1
 * @param anchorY likewise: −1 the top, 0 the middle, 1 the bottom
 * @param alike   whether a width alone changes the height with it, and a height the width, so that proportions stay
 * @param still   whether pictures stay where they are on the sheet instead of fitting themselves to the new size
 * @param set     of {@link Place}, see {@link Changes}
 */
@JsonTypeName("seat-panels")
public record SeatPanels(List<String> panels, @Typed.OptionalNumber OptionalDouble anchorX, @Typed.OptionalNumber OptionalDouble anchorY,
        @Typed.Switch boolean alike, @Typed.Switch boolean still, @JsonAnySetter @JsonAnyGetter Map<String, Object> set)
                implements PlacingEdit {
    /** Where something is: mm, and degrees clockwise. */
    record Place(@Typed.Length double left, @Typed.Length double top, @Typed.Length double width, @Typed.Length double height,
            @Typed.Turn double turn) {}

    public SeatPanels {
        for (OptionalDouble at : List.of(anchorX, anchorY))
            BadInput.unless(Math.abs(at.orElse(0)) <= 1, "anchorX", "The point that stays is on the panel's box.");
        set = Changes.only(set, List.of("left", "top", "width", "height", "turn"));
    }

    /** Into that box on the sheet. */
    public static SeatPanels into(String panel, Box box) {
        return new SeatPanels(List.of(panel), OptionalDouble.empty(), OptionalDouble.empty(), false, false,
                Map.of("left", box.x(), "top", box.y(), "width", box.width(), "height", box.height()));
    }

    @Override
    public Sheet apply(Sheet before) {
        Sheet sized = before.moving(panels, p -> p.seated(sized(p.seat(), before), (was, is) ->
                still ? Refit.inPlace(before, was, is) : Refit.resized(before, was, is)));
        Box box = Box.union(sized.free(panels).stream().map(Element::boundsOnSheet).toList());
        Place to = Changes.onto(new Place(box.x(), box.y(), box.width(), box.height(), 0), set, before);
        return new MovePanels(panels, to.left() - box.x(), to.top() - box.y(), still).apply(sized);
    }

    private Seat sized(Seat seat, Sheet sheet) {
        Place to = Changes.onto(new Place(0, 0, seat.width(), seat.height(), seat.turn()), set, sheet);
        boolean wider = to.width() != seat.width();
        boolean higher = to.height() != seat.height();
        double across = alike && higher && !wider ? seat.width() * to.height() / seat.height() : to.width();
        double down = alike && wider && !higher ? seat.height() * to.width() / seat.width() : to.height();
        Point shift = new Point(anchorX.orElse(-1) * (seat.width() - across) / 2, anchorY.orElse(-1) * (seat.height() - down) / 2);
        double turn = to.turn() == seat.turn() ? seat.turn() : Turns.normal(to.turn());
        return new Seat(seat.centre().plus(Affine.turn(seat.turn()).apply(shift)), across, down, turn, seat.mirrored());
    }

    @Override
    public String title(Sheet before) {
        String what = set.containsKey("turn") ? "Turn" : Changes.any(set, List.of("width", "height")) ? "Resize" : "Move";
        return Titles.of(what, before, panels);
    }
}
