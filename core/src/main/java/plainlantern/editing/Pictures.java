package plainlantern.editing;

import java.util.List;
import java.util.function.BiFunction;
import plainlantern.fitting.Refit;
import plainlantern.fitting.Sitting;
import plainlantern.fitting.Vistas;
import plainlantern.geometry.BadInput;
import plainlantern.sheet.Content.OwnPicture;
import plainlantern.sheet.Fit;
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
     * of the panels shows anything.
     */
    static Sheet changing(Sheet before, List<String> panels, boolean whole, BiFunction<OwnPicture, Sitting, OwnPicture> change) {
        boolean any = before.panels(panels).stream().anyMatch(p -> Vistas.shown(before, p).isPresent());
        BadInput.unless(any, "panels", "There is no picture in there yet.");
        Sheet after = before.changing(panels, p -> {
            if (p.slice().isPresent()) return whole ? p : Vistas.nudged(before, p, change.apply(Vistas.shown(before, p).orElseThrow(), Vistas.sitting(before, p)).placement());
            return p.changingPictures(own -> change.apply(own, Sitting.of(p, before.picture(own.picture()))));
        });
        if (!whole) return after;
        for (String id : before.panels(panels).stream().flatMap(p -> p.slice().stream()).map(s -> s.vista()).distinct().toList()) {
            Vista vista = before.vista(id);
            Picture picture = before.picture(vista.picture());
            OwnPicture seen = new OwnPicture(picture.id(), Fit.FREE, Vistas.placement(vista, picture), vista.held());
            OwnPicture next = change.apply(seen, Vistas.sitting(before, vista));
            after = after.with(Vistas.placed(vista, picture, next.placement(), next.held()));
        }
        return after;
    }

    /** Places by hand: the fit becomes free, and a held picture stays covered. */
    static Sheet placing(Sheet before, List<String> panels, boolean whole, BiFunction<Placement, Sitting, Placement> change) {
        return changing(before, panels, whole, (own, sitting) ->
                own.settled(Fit.FREE, Refit.hold(own, sitting, change.apply(own.placement(), sitting))));
    }
}
