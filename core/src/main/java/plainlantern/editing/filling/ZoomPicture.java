package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Remark;
import plainlantern.editing.Titles;
import plainlantern.fitting.Sitting;
import plainlantern.geometry.Point;
import plainlantern.sheet.Sheet;

/**
 * Zooms the picture inside panels.
 *
 * @param zoom percent of the size that just covers
 * @param atX  mm in the panel's frame, of a mounted picture in its plane: the spot that stays put; absent means the panel's centre
 * @param atY  likewise
 * @param whole whether slices move their whole vista, in the sheet's frame, instead of being nudged against it
 */
@JsonTypeName("zoom-picture")
public record ZoomPicture(List<String> panels, @Typed.Number double zoom, OptionalDouble atX, OptionalDouble atY,
        @Typed.Switch boolean whole, @Typed.Layer int layer) implements FillingEdit {
    @Override
    public Sheet apply(Sheet before) {
        BadInput.unless(zoom >= 5 && zoom <= 5000, "zoom", "Zoom goes from 5 % to 5000 % of just covering.");
        return Pictures.placing(before, panels, whole, layer, (placement, sitting) -> sitting.zoomed(placement, zoom / 100,
                anchor(sitting)));
    }

    private Point anchor(Sitting sitting) {
        Point middle = sitting.pivot(whole);
        return new Point(atX.orElse(middle.x()), atY.orElse(middle.y()));
    }

    @Override
    public Optional<Remark> remark(Sheet before, Sheet after) {
        boolean stopped = zoom < 99.5 && before.holders(panels).stream().filter(p -> p.acting(layer) >= 0)
                .anyMatch(p -> Pictures.held(before, p, layer));
        return stopped ? Optional.of(Remark.of("It stops at 100 %: smaller, an edge would show. Untick “Stay covered” to go on."))
                : Optional.empty();
    }

    @Override
    public String title(Sheet before) {
        return Titles.ofPicture("Zoom", whole, before, panels);
    }
}
