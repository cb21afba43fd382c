package plainlantern.editing.vistas;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import plainlantern.geometry.Box;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Blend;
import plainlantern.sheet.Content;
import plainlantern.sheet.Element;
import plainlantern.sheet.Look;
import plainlantern.sheet.Panel;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Vista;

/**
 * Lets a vista be seen behind the whole sheet too, in register: a locked panel as large as the sheet with its bleed, behind all
 * others, so faint that the panels stand out.
 */
@JsonTypeName("back-vista")
public record BackVista(String vista) implements VistaEdit {
    private static final Look FAINT = new Look(0.35, Blend.NORMAL);

    @Override
    public Sheet apply(Sheet before) {
        Vista shown = before.vista(vista);
        int number = before.lastId() + 1;
        Box all = before.bounds().grown(before.bleed());
        Seat seat = Seat.upright(all.centre(), all.width(), all.height());
        List<Content> faint = List.of(PictureLayer.slice(shown.id()).looking(FAINT));
        Element ground = Panel.empty("p" + number, "Background", Rectangle.SHARP, seat).withContent(faint).lockedTo(true);
        List<Element> next = new ArrayList<>(List.of(ground));
        next.addAll(before.elements());
        return before.with(next, number);
    }

    @Override
    public String title(Sheet before) {
        return "Vista behind the sheet";
    }
}
