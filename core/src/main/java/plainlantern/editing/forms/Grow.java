package plainlantern.editing.forms;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.fitting.Refit;
import plainlantern.geometry.Polygons;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/**
 * Grows panels by a length on all sides, or shrinks them where it is negative; what they show stays where it is. Curves come out as
 * curves within a hundredth of a millimetre.
 *
 * @param by    mm
 * @param round whether corners that point outwards are rounded; else they stay corners
 */
@JsonTypeName("grow")
public record Grow(List<String> panels, @Typed.Length double by, @Typed.Switch boolean round) implements FormEdit {
    private static final double TOLERANCE = 0.01;
    private static final double MOST = 1000;

    public Grow {
        BadInput.unless(by != 0 && Math.abs(by) <= MOST, "by", "Type a length, such as 3 mm to grow or \u22123 mm to shrink.");
    }

    @Override
    public Sheet apply(Sheet before) {
        List<String> free = before.free(panels).stream().flatMap(e -> e.holder().stream()).map(Holder::id).toList();
        BadInput.unless(!free.isEmpty(), "panels", "A rule is a line: it does not grow.");
        return before.holding(free, panel -> {
            Seat seat = panel.seat();
            boolean plain = panel.outline().equals(Rectangle.SHARP) && !(round && by > 0);
            boolean left = Math.min(seat.width(), seat.height()) + 2 * by >= Seat.THINNEST;
            if (plain && left) return Refit.inPlace(before, panel, panel.withSeat(seat.sized(seat.width() + 2 * by, seat.height()
                    + 2 * by)));
            return Refit.shaped(before, panel, Polygons.offset(panel.ownPath(), by, round, TOLERANCE)
                    .filter(path -> path.bounds().shorter() >= Seat.THINNEST)
                    .orElseThrow(() -> new BadInput("by", "Nothing would be left of " + panel.name() + ".")));
        });
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(by > 0 ? "Grow" : "Shrink", before, panels);
    }
}
