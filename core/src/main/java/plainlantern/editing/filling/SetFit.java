package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Sheet;

/** Places pictures by a rule, turn and mirror kept. Rules that may leave parts bare release "stay covered". */
@JsonTypeName("set-fit")
public record SetFit(List<String> panels, Fit fit, @Typed.Layer int layer) implements FillingEdit {
    @Override
    public Sheet apply(Sheet before) {
        BadInput.unless(fit != Fit.FREE, "fit", "Free is what a picture becomes when it is moved by hand.");
        BadInput.unless(fit != Fit.STRETCH || before.holders(panels).stream()
                .noneMatch(p -> Pictures.vista(before, p, layer).isPresent()), "fit",
                "A slice keeps the proportions of its vista. Let the panel leave the vista first.");
        boolean held = fit == Fit.COVER || fit == Fit.STRETCH;
        return Pictures.changing(before, panels, false, layer, (shown, sitting) -> shown.flat().settled(fit,
                sitting.fitted(fit, shown.pose().turn(), shown.pose().mirrored(), before.ppi()), held));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Fit: " + fit.label(), before, panels);
    }
}
