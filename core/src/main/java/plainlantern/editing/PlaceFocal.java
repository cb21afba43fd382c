package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.fitting.FocalPlace;
import plainlantern.fitting.Refit;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Sheet;

/**
 * Brings the focal points of pictures to a place in their panels, as near as staying covered allows.
 *
 * @param whole whether slices move their whole vista, in the sheet's frame, instead of being nudged against it
 */
@JsonTypeName("place-focal")
public record PlaceFocal(List<String> panels, FocalPlace to, @Typed.Switch boolean whole, @Typed.Layer int layer) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        boolean[] any = {false};
        Sheet after = Pictures.changing(before, panels, whole, layer, (own, sitting) -> before.picture(own.picture()).focal().map(focal -> {
            any[0] = true;
            return own.settled(Fit.FREE, Refit.hold(own, sitting, to.brought(sitting, own.placement(), focal)));
        }).orElse(own));
        BadInput.unless(any[0], "focal", "None of these pictures has a focal point yet. Point at the spot and press f.");
        return after;
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Focal point to " + to.place(), before, panels);
    }
}
