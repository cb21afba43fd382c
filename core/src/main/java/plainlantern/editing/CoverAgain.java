package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.fitting.Coverage;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Sheet;

/**
 * Makes pictures cover their panels: where something is bare, by the smallest enlargement and move that will do; where
 * nothing is, back to just covering, in the middle. The turn stays.
 *
 * @param whole whether slices move their whole vista, in the sheet's frame, instead of being nudged against it
 */
@JsonTypeName("cover-again")
public record CoverAgain(List<String> panels, @Typed.Switch boolean whole, @Typed.Layer int layer) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        return Pictures.changing(before, panels, whole, layer, (own, sitting) -> {
            var now = own.placement();
            if (!Coverage.of(sitting, now).covered()) return own.settled(Fit.FREE, sitting.covering(now));
            return own.settled(Fit.COVER, sitting.fitted(Fit.COVER, now.turn(), now.mirrored(), before.ppi()));
        });
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Cover again", before, panels);
    }
}
