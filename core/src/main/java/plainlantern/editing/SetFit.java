package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Content.VistaSlice;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Sheet;

/** Places pictures by a rule, turn and mirror kept. Rules that may leave parts bare release "stay covered". */
@JsonTypeName("set-fit")
public record SetFit(List<String> panels, Fit fit, @Typed.Layer int layer) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        BadInput.unless(fit != Fit.FREE, "fit", "Free is what a picture becomes when it is moved by hand.");
        BadInput.unless(fit != Fit.STRETCH || before.panels(panels).stream().noneMatch(p -> p.acting(layer) >= 0
                && p.content().get(p.acting(layer)) instanceof VistaSlice), "fit",
                "A slice keeps the proportions of its vista. Let the panel leave the vista first.");
        boolean held = fit == Fit.COVER || fit == Fit.STRETCH;
        return Pictures.changing(before, panels, false, layer, (own, sitting) -> own.settled(fit,
                sitting.fitted(fit, own.placement().turn(), own.placement().mirrored(), before.ppi()), held));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Fit: " + fit.label(), before, panels);
    }
}
