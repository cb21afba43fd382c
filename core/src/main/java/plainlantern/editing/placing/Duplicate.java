package plainlantern.editing.placing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.OptionalDouble;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Added;
import plainlantern.editing.Titles;
import plainlantern.geometry.Point;
import plainlantern.sheet.Sheet;

/**
 * Puts copies of panels in front of all others, each set moved by mm against the one before. Copies of a group are a group.
 *
 * @param copies 1 to 500; absent means one
 */
@JsonTypeName("duplicate")
public record Duplicate(List<String> panels, @Typed.Length double dx, @Typed.Length double dy, @Typed.OptionalNumber OptionalDouble copies)
        implements PlacingEdit {
    @Override
    public Sheet apply(Sheet before) {
        double count = copies.orElse(1);
        BadInput.unless(count == Math.rint(count) && count >= 1 && count <= 500, "copies", "1 to 500 copies can be made at once.");
        return Copies.of(before, panels, (int) count, (seat, copy) -> seat.at(seat.centre().plus(new Point(dx * copy, dy * copy))));
    }

    @Override
    public List<String> selected(Sheet before, Sheet after, List<String> selected) {
        return Added.to(before, after);
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Duplicate", before, panels);
    }
}
