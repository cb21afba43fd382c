package plainlantern.editing.placing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Added;
import plainlantern.editing.Titles;
import plainlantern.editing.Turns;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Point;
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
        Seat.near("x", x);
        Seat.near("y", y);
    }

    @Override
    public Sheet apply(Sheet before) {
        Point about = new Point(x, y);
        return Copies.of(before, panels, count - 1, (seat, copy) -> {
            double turn = 360.0 * copy / count;
            Point centre = about.plus(Affine.turn(turn).apply(seat.centre().minus(about)));
            return seat.at(centre).turned(Turns.normal(seat.turn() + turn));
        });
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
