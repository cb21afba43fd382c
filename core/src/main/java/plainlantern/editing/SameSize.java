package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.fitting.Refit;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/** Gives panels the width, the height or both of one of them, each about its own middle. */
@JsonTypeName("same-size")
public record SameSize(List<String> panels, String key, @Typed.Switch boolean width, @Typed.Switch boolean height) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        Seat like = before.panel(key).seat();
        return before.moving(panels, p -> Refit.resized(before, p, p.withSeat(p.seat().sized(width ? like.width() : p.seat().width(),
                height ? like.height() : p.seat().height()))));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Same size", before, panels);
    }
}
