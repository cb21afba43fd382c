package plainlantern.editing.placing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.fitting.Refit;
import plainlantern.geometry.Point;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/**
 * Moves panels with what they show, by mm on the sheet.
 *
 * @param still whether pictures stay where they are on the sheet, and only the forms move over them
 */
@JsonTypeName("move-panels")
public record MovePanels(List<String> panels, double dx, double dy, @Typed.Switch boolean still) implements PlacingEdit {
    /** With what they show. */
    public static MovePanels along(List<String> panels, double dx, double dy) {
        return new MovePanels(panels, dx, dy, false);
    }

    @Override
    public Sheet apply(Sheet before) {
        Point by = new Point(dx, dy);
        return before.moving(panels, p -> {
            Seat moved = p.seat().at(p.seat().centre().plus(by));
            return still ? p.seated(moved, (was, is) -> Refit.inPlace(before, was, is)) : p.withSeat(moved);
        });
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(still ? "Move over the picture" : "Move", before, panels);
    }
}
