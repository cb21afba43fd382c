package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.fitting.Coverage;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Pose;
import plainlantern.sheet.Sheet;

/**
 * Makes pictures cover their panels: where something is bare, by the smallest enlargement and move that will do; where
 * nothing is, back to just covering, in the middle. The turn stays.
 *
 * @param whole whether slices move their whole vista, in the sheet's frame, instead of being nudged against it
 */
@JsonTypeName("cover-again")
public record CoverAgain(List<String> panels, @Typed.Switch boolean whole, @Typed.Layer int layer) implements FillingEdit {
    @Override
    public Sheet apply(Sheet before) {
        return Pictures.changing(before, panels, whole, layer, (shown, sitting) -> {
            Pose now = shown.pose();
            if (!Coverage.covers(sitting, now)) return shown.flat().settled(Fit.FREE, sitting.covering(now));
            return shown.flat().settled(Fit.COVER, sitting.fitted(Fit.COVER, now.turn(), now.mirrored(), before.ppi()));
        });
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Cover again", before, panels);
    }
}
