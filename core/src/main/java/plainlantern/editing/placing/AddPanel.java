package plainlantern.editing.placing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.OptionalDouble;
import plainlantern.asking.BadInput;
import plainlantern.editing.Added;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.outline.Outline;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/**
 * Adds one empty panel in front of all others.
 *
 * @param x      its middle on the sheet, mm; absent means the sheet's middle
 * @param y      likewise
 * @param width  mm; absent, like {@code height}, means the usual size: a third of the sheet's shorter side, in the form's own proportions
 * @param height likewise
 */
@JsonTypeName("add-panel")
public record AddPanel(Outline outline, OptionalDouble x, OptionalDouble y, OptionalDouble width, OptionalDouble height)
        implements PlacingEdit {
    public AddPanel {
        BadInput.unless(outline != null, "outline", "Choose a form first.");
    }

    /** Into that box on the sheet. */
    public static AddPanel into(Outline outline, Box box) {
        return new AddPanel(outline, OptionalDouble.of(box.centre().x()), OptionalDouble.of(box.centre().y()),
                OptionalDouble.of(box.width()), OptionalDouble.of(box.height()));
    }

    @Override
    public Sheet apply(Sheet before) {
        double side = Math.max(Seat.THINNEST, before.even(Math.min(before.width(), before.height()) / 3));
        double aspect = outline.aspect();
        double across = width.orElse(aspect > 1 ? side : side * aspect);
        double down = height.orElse(aspect > 1 ? side / aspect : side);
        int number = before.lastId() + 1;
        Point middle = new Point(x.orElse(before.width() / 2), y.orElse(before.height() / 2));
        return before.adding(Panel.empty("p" + number, "Panel " + number, outline, Seat.upright(middle, across, down)));
    }

    @Override
    public List<String> selected(Sheet before, Sheet after, List<String> selected) {
        return Added.to(before, after);
    }

    @Override
    public String title(Sheet before) {
        return "Add " + outline.label();
    }
}
