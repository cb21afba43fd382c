package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.editing.Turns;
import plainlantern.sheet.Sheet;

/**
 * Turns the picture inside panels about each panel's centre, to so many degrees clockwise.
 *
 * @param whole whether slices move their whole vista, in the sheet's frame, instead of being nudged against it
 */
@JsonTypeName("turn-picture")
public record TurnPicture(List<String> panels, @Typed.Number double turn, @Typed.Switch boolean whole, @Typed.Layer int layer)
        implements FillingEdit {
    @Override
    public Sheet apply(Sheet before) {
        double to = Turns.normal(turn);
        return Pictures.placing(before, panels, whole, layer, (placement, sitting) -> sitting.turned(placement, to,
                sitting.pivot(whole)));
    }

    @Override
    public String title(Sheet before) {
        return Titles.ofPicture("Turn", whole, before, panels);
    }
}
