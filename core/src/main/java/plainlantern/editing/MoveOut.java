package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import plainlantern.fitting.Refit;
import plainlantern.fitting.Vistas;
import plainlantern.geometry.Affine;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Point;
import plainlantern.geometry.Typed;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Content.OwnPicture;
import plainlantern.sheet.Content;
import plainlantern.sheet.Element;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Placement;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/**
 * Takes a picture out of panels onto the sheet: a float in front of all others, at the same place and of the same size, whole.
 *
 * @param layer which picture of each panel, see {@link Panel#acting}
 */
@JsonTypeName("move-out")
public record MoveOut(List<String> panels, @Typed.Layer int layer) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        List<Element> next = new ArrayList<>(before.elements());
        int lastId = before.lastId();
        for (Panel panel : before.panels(panels)) {
            int at = panel.acting(layer);
            if (at < 0) continue;
            List<Content> left = new ArrayList<>(panel.content());
            left.remove(at);
            // What stood behind it is seen now: held pictures cover.
            next.set(next.indexOf(panel), Refit.reformed(before, panel.withContent(left)));
            next.add(afloat(before, panel, Vistas.shown(before, panel, at).orElseThrow(), "p" + ++lastId));
        }
        BadInput.unless(lastId > before.lastId(), "panels", "There is no picture in there yet.");
        return before.with(next, lastId);
    }

    private static Panel afloat(Sheet sheet, Panel panel, OwnPicture own, String id) {
        Picture picture = sheet.picture(own.picture());
        Placement p = own.placement();
        Seat seat = panel.seat();
        Seat box = new Seat(seat.toSheet().apply(p.centre()), picture.width() * p.scaleX(), picture.height() * p.scaleY(),
                Affine.normalTurn(seat.turn() + (seat.mirrored() ? -p.turn() : p.turn())), seat.mirrored());
        OwnPicture whole = own.settled(Fit.STRETCH, new Placement(Point.ORIGIN, p.scaleX(), p.scaleY(), 0, p.mirrored()), true);
        return Panel.empty(id, picture.name(), Rectangle.SHARP, box).withContent(List.of(whole)).afloat();
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Lift out of the panel", before, panels);
    }
}
