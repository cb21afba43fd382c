package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import plainlantern.geometry.Point;
import plainlantern.outline.Outline;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/** Adds one empty panel in the middle of the sheet, a third of its shorter side large, in front of all others. */
@JsonTypeName("add-panel")
public record AddPanel(Outline outline) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        double side = Math.max(Seat.THINNEST, Math.min(before.width(), before.height()) / 3);
        double aspect = outline.aspect();
        Seat seat = Seat.upright(new Point(before.width() / 2, before.height() / 2), aspect > 1 ? side : side * aspect, aspect > 1 ? side / aspect : side);
        int number = before.lastId() + 1;
        return before.adding(Panel.empty("p" + number, "Panel " + number, outline, seat));
    }

    @Override
    public String title(Sheet before) {
        return "Add " + outline.label();
    }
}
