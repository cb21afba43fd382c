package plainlantern.editing;

import java.util.List;
import java.util.function.BiFunction;
import plainlantern.fitting.Refit;
import plainlantern.fitting.Sitting;
import plainlantern.geometry.BadInput;
import plainlantern.sheet.Content.OwnPicture;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Placement;
import plainlantern.sheet.Sheet;

/** What the edits of pictures inside panels share. */
final class Pictures {
    private Pictures() {}

    /** Changes the own picture of each panel; refuses when none of the panels shows one. */
    static Sheet changing(Sheet before, List<String> panels, BiFunction<OwnPicture, Sitting, OwnPicture> change) {
        boolean any = before.panels(panels).stream().anyMatch(p -> p.picture().isPresent());
        BadInput.unless(any, "panels", "There is no picture in there yet.");
        return before.changing(panels, p -> p.changingPictures(own ->
                change.apply(own, Sitting.of(p, before.picture(own.picture())))));
    }

    /** Places by hand: the fit becomes free, and a held picture stays covered. */
    static Sheet placing(Sheet before, List<String> panels, BiFunction<Placement, Sitting, Placement> change) {
        return changing(before, panels, (own, sitting) ->
                own.settled(Fit.FREE, Refit.hold(own, sitting, change.apply(own.placement(), sitting))));
    }
}
