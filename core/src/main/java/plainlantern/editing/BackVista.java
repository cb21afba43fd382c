package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import plainlantern.geometry.Point;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Blend;
import plainlantern.sheet.Content.VistaSlice;
import plainlantern.sheet.Element;
import plainlantern.sheet.Look;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Vista;

/**
 * Lets a vista be seen behind the whole sheet too, in register: a locked panel as large as the sheet with its bleed, behind all others, so faint
 * that the panels stand out.
 */
@JsonTypeName("back-vista")
public record BackVista(String vista) implements Edit {
    private static final Look FAINT = new Look(0.35, Blend.NORMAL);

    @Override
    public Sheet apply(Sheet before) {
        Vista shown = before.vista(vista);
        int number = before.lastId() + 1;
        Seat seat = Seat.upright(new Point(before.width() / 2, before.height() / 2), before.width() + 2 * before.bleed(), before.height() + 2 * before.bleed());
        Panel ground = Panel.empty("p" + number, "Background", Rectangle.SHARP, seat).withContent(List.of(VistaSlice.of(shown.id()).looking(FAINT))).lockedTo(true);
        List<Element> next = new ArrayList<>(List.of(ground));
        next.addAll(before.elements());
        return before.with(next, number);
    }

    @Override
    public String title(Sheet before) {
        return "Vista behind the sheet";
    }
}
