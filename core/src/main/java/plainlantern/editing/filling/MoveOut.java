package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Added;
import plainlantern.editing.Titles;
import plainlantern.fitting.Refit;
import plainlantern.fitting.Shown;
import plainlantern.fitting.Vistas;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Point;
import plainlantern.sheet.Basics;
import plainlantern.sheet.Content;
import plainlantern.sheet.Element;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Flat;
import plainlantern.sheet.Float;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Picture;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Pose;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Veil;

/**
 * Takes a picture out of panels onto the sheet: a float in front of all others, at the same place and of the same size, whole; a
 * mounted one lies flat then.
 *
 * @param layer which picture of each panel, see {@link Panel#acting}
 */
@JsonTypeName("move-out")
public record MoveOut(List<String> panels, @Typed.Layer int layer) implements FillingEdit {
    @Override
    public Sheet apply(Sheet before) {
        List<Element> next = new ArrayList<>(before.elements());
        int lastId = before.lastId();
        for (Holder panel : before.holders(panels)) {
            int at = panel.acting(layer);
            if (at < 0) continue;
            List<Content> left = new ArrayList<>(panel.content());
            left.remove(at);
            // What stood behind it is seen now: held pictures cover.
            next.set(next.indexOf(panel), Refit.reformed(before, panel.withContent(left)));
            next.add(afloat(before, panel, panel.picture(at).orElseThrow(), "p" + ++lastId));
        }
        BadInput.unless(lastId > before.lastId(), "panels", "There is no picture in there yet.");
        return before.with(next, lastId);
    }

    private static Float afloat(Sheet sheet, Holder panel, PictureLayer layer, String id) {
        Shown shown = Vistas.shown(sheet, panel, layer);
        Picture picture = shown.picture();
        Pose p = shown.pose();
        Seat seat = panel.seat();
        Seat box = new Seat(seat.toSheet().apply(shown.toPanel().apply(new Point(picture.width() / 2.0, picture.height() / 2.0))),
                picture.width() * p.scaleX(), picture.height() * p.scaleY(),
                Affine.normalTurn(seat.turn() + (seat.mirrored() ? -p.turn() : p.turn())), seat.mirrored());
        Flat whole = new Flat(Fit.STRETCH, new Pose(Point.ORIGIN, p.scaleX(), p.scaleY(), 0, p.mirrored()), true);
        return new Float(Basics.of(id, picture.name(), box), List.of(Vistas.owned(sheet, panel, layer, shown, whole)
                .mounted(Optional.empty())
                .veiled(shown.veil().filter(veil -> veil.rests() == Veil.Rests.PICTURE))));
    }

    @Override
    public List<String> selected(Sheet before, Sheet after, List<String> selected) {
        return Added.to(before, after);
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Lift out of the panel", before, panels);
    }
}
