package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.geometry.Point;
import plainlantern.sheet.Sheet;

/**
 * Moves the picture inside panels by mm along each panel's own axes, a mounted one in its plane; a held picture stops before an edge shows.
 *
 * @param whole whether slices move their whole vista, in the sheet's frame, instead of being nudged against it
 */
@JsonTypeName("move-picture")
public record MovePicture(List<String> panels, double dx, double dy, @Typed.Switch boolean whole, @Typed.Layer int layer)
        implements FillingEdit {
    @Override
    public Sheet apply(Sheet before) {
        Point by = new Point(dx, dy);
        return Pictures.placing(before, panels, whole, layer, (placement, sitting) -> placement.at(placement.centre().plus(by)));
    }

    @Override
    public String title(Sheet before) {
        return Titles.ofPicture("Move", whole, before, panels);
    }
}
