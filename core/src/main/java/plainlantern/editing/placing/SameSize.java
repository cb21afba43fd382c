package plainlantern.editing.placing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.fitting.Refit;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/** Gives panels the width, the height or both of one of them, each about its own middle. */
@JsonTypeName("same-size")
public record SameSize(List<String> panels, String key, @Typed.Switch boolean width, @Typed.Switch boolean height) implements PlacingEdit {
    @Override
    public Sheet apply(Sheet before) {
        Seat like = before.element(key).seat();
        return before.moving(panels, p -> {
            Seat seat = p.seat().sized(width ? like.width() : p.seat().width(), height ? like.height() : p.seat().height());
            return p.seated(seat, (was, is) -> Refit.resized(before, was, is));
        });
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Same size", before, panels);
    }
}
