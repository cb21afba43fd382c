package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.fitting.FocalPlace;
import plainlantern.fitting.Sitting;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Content;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Placement;
import plainlantern.sheet.Sheet;

/**
 * Puts a picture of the shelf into panels, just covering them, its focal point as near to the middle as that allows; it takes the place
 * of the picture they had.
 */
@JsonTypeName("fill")
public record FillPanels(List<String> panels, String picture) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        Picture chosen = before.picture(picture);
        return before.changing(before.takers(panels), p -> filled(before, p, chosen));
    }

    static Panel filled(Sheet sheet, Panel panel, Picture picture) {
        return panel.showing(Typed.FRONTMOST, covering(sheet, panel, picture));
    }

    /** The picture just covering the panel, its focal point as near to the middle as that allows. */
    static Content.OwnPicture covering(Sheet sheet, Panel panel, Picture picture) {
        Sitting sitting = Sitting.of(panel, picture);
        Placement centred = sitting.fitted(Fit.COVER, 0, false, sheet.ppi());
        Placement placement = picture.focal().map(focal -> sitting.covering(FocalPlace.CENTRE.brought(sitting, centred, focal))).orElse(centred);
        Fit fit = placement.equals(centred) ? Fit.COVER : Fit.FREE;
        return new Content.OwnPicture(picture.id(), fit, placement, true);
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Fill with " + before.picture(picture).name(), before, panels);
    }
}
