package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.OptionalDouble;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Point;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Sheet;

/**
 * Zooms the picture inside panels.
 *
 * @param zoom percent of the size that just covers
 * @param atX  mm in the panel's frame: the spot that stays put; absent means the panel's centre
 * @param atY  likewise
 */
@JsonTypeName("zoom-picture")
public record ZoomPicture(List<String> panels, @Typed.Number double zoom, OptionalDouble atX, OptionalDouble atY) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        BadInput.unless(zoom >= 5 && zoom <= 5000, "zoom", "Zoom goes from 5 % to 5000 % of just covering.");
        Point anchor = new Point(atX.orElse(0), atY.orElse(0));
        return Pictures.placing(before, panels, (placement, sitting) -> sitting.zoomed(placement, zoom / 100, anchor));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Zoom picture", before, panels);
    }
}
