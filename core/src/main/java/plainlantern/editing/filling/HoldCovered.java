package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Pose;
import plainlantern.sheet.Sheet;

/**
 * Turns "stay covered" on or off; turning it on covers what is bare.
 *
 * @param whole whether slices move their whole vista, in the sheet's frame, instead of being nudged against it
 */
@JsonTypeName("hold-covered")
public record HoldCovered(List<String> panels, boolean held, @Typed.Switch boolean whole, @Typed.Layer int layer) implements FillingEdit {
    @Override
    public Sheet apply(Sheet before) {
        return Pictures.changing(before, panels, whole, layer, (shown, sitting) -> {
            Pose placement = held ? sitting.covering(shown.pose()) : shown.pose();
            Fit fit = placement.equals(shown.pose()) ? shown.flat().fit() : Fit.FREE;
            return shown.flat().settled(fit, placement, held);
        });
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(held ? "Stay covered" : "Release cover", before, panels);
    }
}
