package plainlantern.editing;

import java.util.List;
import java.util.function.BiFunction;
import plainlantern.fitting.Refit;
import plainlantern.fitting.Sitting;
import plainlantern.fitting.Vistas;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Point;
import plainlantern.sheet.Content.OwnPicture;
import plainlantern.sheet.Content.VistaSlice;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Placement;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Vista;

/** What the edits of pictures inside panels share. */
final class Pictures {
    private Pictures() {}

    /**
     * Changes what each panel shows: its own picture, or its slice, which is nudged against its vista. With {@code whole}, slices stay
     * as they are and their vistas change, each seen as one picture in front of all its panels, in the sheet's frame. Refuses when none
     * of the panels shows a picture.
     *
     * @param layer which picture of each panel, see {@link Panel#acting}
     */
    static Sheet changing(Sheet before, List<String> panels, boolean whole, int layer, BiFunction<OwnPicture, Sitting, OwnPicture> change) {
        boolean any = before.panels(panels).stream().anyMatch(p -> p.acting(layer) >= 0);
        BadInput.unless(any, "panels", "There is no picture in there yet.");
        Sheet after = before.changing(panels, p -> {
            int at = p.acting(layer);
            if (at < 0) return p;
            if (p.content().get(at) instanceof OwnPicture own) return p.changingLayer(at, c -> change.apply(own, Sitting.of(p, before.picture(own.picture()))));
            return whole ? p : Vistas.nudged(before, p, change.apply(Vistas.shown(before, p, at).orElseThrow(), Vistas.sitting(before, p)).placement());
        });
        if (!whole) return after;
        for (String id : vistas(before, panels, layer)) {
            Vista vista = before.vista(id);
            Picture picture = before.picture(vista.picture());
            OwnPicture seen = new OwnPicture(picture.id(), Fit.FREE, Vistas.placement(vista, picture), vista.held());
            OwnPicture next = change.apply(seen, Vistas.sitting(before, vista));
            after = after.with(Vistas.placed(vista, picture, next.placement(), next.held()));
        }
        return after;
    }

    /** Where the middle of what is seen lies: from the panel's middle, or of a whole vista from the middle of all its panels. */
    static Point centre(Sheet sheet, String id, boolean whole, int layer) {
        Panel panel = sheet.panel(id);
        OwnPicture shown = Vistas.shown(sheet, panel, layer).orElseThrow();
        if (!whole || !(panel.content().get(panel.acting(layer)) instanceof VistaSlice slice)) return shown.placement().centre();
        Vista vista = sheet.vista(slice.vista());
        return vista.centre().minus(Vistas.sitting(sheet, vista).middle());
    }

    /** Whether the picture, or the whole vista, stays covered. */
    static boolean held(Sheet sheet, Panel panel, int layer) {
        return Vistas.shown(sheet, panel, layer).orElseThrow().held();
    }

    private static List<String> vistas(Sheet sheet, List<String> panels, int layer) {
        return sheet.panels(panels).stream().filter(p -> p.acting(layer) >= 0 && p.content().get(p.acting(layer)) instanceof VistaSlice)
                .map(p -> p.slice().orElseThrow().vista()).distinct().toList();
    }

    /** Places by hand: the fit becomes free, and a held picture stays covered. */
    static Sheet placing(Sheet before, List<String> panels, boolean whole, int layer, BiFunction<Placement, Sitting, Placement> change) {
        return changing(before, panels, whole, layer, (own, sitting) ->
                own.settled(Fit.FREE, Refit.hold(own, sitting, change.apply(own.placement(), sitting))));
    }
}
