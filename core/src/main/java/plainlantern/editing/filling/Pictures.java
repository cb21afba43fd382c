package plainlantern.editing.filling;

import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import plainlantern.asking.BadInput;
import plainlantern.fitting.Refit;
import plainlantern.fitting.Shown;
import plainlantern.fitting.Sitting;
import plainlantern.fitting.Vistas;
import plainlantern.geometry.Point;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Flat;
import plainlantern.sheet.Holder;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Pose;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Source;
import plainlantern.sheet.Vista;

/** What the edits of pictures inside panels share. */
public final class Pictures {
    private Pictures() {}

    /**
     * Changes what each panel shows: its own picture, or its slice, which is nudged against its vista. With {@code whole}, slices stay
     * as they are and their vistas change, each seen as one picture in front of all its panels, in the sheet's frame. Refuses when none
     * of the panels shows a picture.
     *
     * @param layer which picture of each panel, see {@link Panel#acting}
     */
    public static Sheet changing(Sheet before, List<String> panels, boolean whole, int layer, BiFunction<Shown, Sitting, Flat> change) {
        boolean any = before.holders(panels).stream().anyMatch(p -> p.acting(layer) >= 0);
        BadInput.unless(any, "panels", "There is no picture in there yet.");
        Sheet after = before.holding(panels, p -> changed(before, p, whole, layer, change));
        if (!whole) return after;
        for (String id : vistas(before, panels, layer)) {
            Vista vista = before.vista(id);
            Shown seen = Vistas.shown(before, vista);
            after = after.with(Vistas.placed(vista, seen.picture(), change.apply(seen, Vistas.sitting(before, vista))));
        }
        return after;
    }

    private static Holder changed(Sheet before, Holder panel, boolean whole, int layer, BiFunction<Shown, Sitting, Flat> change) {
        int at = panel.acting(layer);
        if (at < 0) return panel;
        PictureLayer picture = panel.picture(at).orElseThrow();
        Shown shown = Vistas.shown(before, panel, picture);
        if (picture.own().isPresent()) {
            Flat flat = change.apply(shown, Sitting.of(panel, shown));
            return panel.changingLayer(at, c -> picture.lying(flat));
        }
        return whole ? panel : Vistas.nudged(before, panel, change.apply(shown, Vistas.sitting(before, panel)).pose());
    }

    /** The vista whose slice edits of the panel's picture mean. */
    public static Optional<Vista> vista(Sheet sheet, Holder panel, int layer) {
        return panel.picture(layer).flatMap(PictureLayer::slice).map(Source.Slice::vista).map(sheet::vista);
    }

    /** Where the middle of what is seen lies: from the panel's middle, or of a whole vista from the middle of all its panels. */
    public static Point centre(Sheet sheet, Holder panel, boolean whole, int layer) {
        return vista(sheet, panel, layer).filter(vista -> whole).map(vista -> vista.centre().minus(Vistas.sitting(sheet, vista).middle()))
                .orElseGet(() -> {
            Shown shown = Vistas.shown(sheet, panel, layer).orElseThrow();
            return shown.pose().centre().minus(Sitting.of(panel, shown).pivot(false));
        });
    }

    /** Whether the picture, or the whole vista, stays covered. */
    public static boolean held(Sheet sheet, Holder panel, int layer) {
        return Vistas.shown(sheet, panel, layer).orElseThrow().held();
    }

    private static List<String> vistas(Sheet sheet, List<String> panels, int layer) {
        return sheet.holders(panels).stream().flatMap(p -> vista(sheet, p, layer).stream()).map(Vista::id).distinct().toList();
    }

    /** Places by hand: the fit becomes free, and a held picture stays covered. */
    public static Sheet placing(Sheet before, List<String> panels, boolean whole, int layer, BiFunction<Pose, Sitting, Pose> change) {
        return changing(before, panels, whole, layer, (shown, sitting) ->
                shown.flat().settled(Fit.FREE, Refit.hold(shown.flat(), sitting, change.apply(shown.pose(), sitting))));
    }
}
