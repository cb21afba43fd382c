package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import plainlantern.arranging.EvenGrid;
import plainlantern.fitting.Refit;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Box;
import plainlantern.geometry.Typed;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Element;
import plainlantern.sheet.Margins;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/**
 * Replaces the layout by an even grid inside new margins. Panels that are there already take the cells in their order and
 * keep form, name and content; panels beyond the last cell go, their pictures stay on the shelf.
 */
@JsonTypeName("arrange-grid")
public record ArrangeGrid(@Typed.Number double rows, @Typed.Number double columns,
                          @Typed.Length double gapAcross, @Typed.Length double gapDown,
                          @Typed.Length double top, @Typed.Length double right,
                          @Typed.Length double bottom, @Typed.Length double left) implements Edit {
    /** The cells on that sheet, row by row; throws {@link BadInput} naming the field that makes no sense. */
    public List<Seat> seats(Sheet sheet) {
        Margins margins = new Margins(top, right, bottom, left);
        Box area = sheet.withMargins(margins).area()
                .orElseThrow(() -> new BadInput(left + right >= sheet.width() ? "left" : "top", "These margins leave nothing of the sheet."));
        return new EvenGrid(whole(rows, "rows"), whole(columns, "columns"), gapAcross, gapDown).seats(area);
    }

    @Override
    public Sheet apply(Sheet before) {
        List<Panel> panels = before.panels();
        List<Element> next = new ArrayList<>();
        int lastId = before.lastId();
        for (Seat seat : seats(before)) {
            if (next.size() < panels.size()) {
                Panel panel = panels.get(next.size());
                next.add(Refit.resized(before, panel, panel.withSeat(seat)));
            } else {
                lastId++;
                next.add(new Panel("p" + lastId, "Panel " + (next.size() + 1), Rectangle.SHARP, seat, List.of()));
            }
        }
        return before.withMargins(new Margins(top, right, bottom, left)).with(next, lastId);
    }

    private static int whole(double value, String field) {
        BadInput.unless(value == Math.rint(value) && Math.abs(value) < 1e9, field, "This has to be a whole number.");
        return (int) value;
    }

    @Override
    public String title(Sheet before) {
        return "Even grid " + (int) rows + " \u00d7 " + (int) columns;
    }
}
