package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.geometry.Point;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Sheet;

/** Turns the picture inside panels about each panel's centre, to so many degrees clockwise. */
@JsonTypeName("turn-picture")
public record TurnPicture(List<String> panels, @Typed.Number double turn) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        double to = Turns.normal(turn);
        return Pictures.placing(before, panels, (placement, sitting) -> sitting.turned(placement, to, Point.ORIGIN));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Turn picture", before, panels);
    }
}
