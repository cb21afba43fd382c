package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Placement;
import plainlantern.sheet.Sheet;

/**
 * Turns "stay covered" on or off; turning it on covers what is bare.
 *
 * @param whole whether slices move their whole vista, in the sheet's frame, instead of being nudged against it
 */
@JsonTypeName("hold-covered")
public record HoldCovered(List<String> panels, boolean held, @Typed.Switch boolean whole, @Typed.Layer int layer) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        return Pictures.changing(before, panels, whole, layer, (own, sitting) -> {
            Placement placement = held ? sitting.covering(own.placement()) : own.placement();
            Fit fit = placement.equals(own.placement()) ? own.fit() : Fit.FREE;
            return own.settled(fit, placement, held);
        });
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(held ? "Stay covered" : "Release cover", before, panels);
    }
}
