package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.fitting.FocalPlace;
import plainlantern.fitting.Sitting;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Picture;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Plane;
import plainlantern.sheet.Pose;
import plainlantern.sheet.Sheet;

/**
 * Puts a picture of the shelf into panels, just covering them, its focal point as near to the middle as that allows; it takes the place
 * of the picture they had.
 */
@JsonTypeName("fill")
public record FillPanels(List<String> panels, String picture) implements FillingEdit {
    @Override
    public Sheet apply(Sheet before) {
        Picture chosen = before.picture(picture);
        return before.holding(before.takers(panels), p -> filled(before, p, chosen));
    }

    public static Holder filled(Sheet sheet, Holder panel, Picture picture) {
        return panel.showing(Typed.FRONTMOST, covering(sheet, panel, picture));
    }

    /**
     * The picture just covering the panel, mounted as the one that it takes the place of, its focal point as near to the middle as
     * that allows.
     */
    public static PictureLayer covering(Sheet sheet, Holder panel, Picture picture) {
        return covering(sheet, panel, picture, panel.picture(Typed.FRONTMOST).flatMap(PictureLayer::plane));
    }

    /** As above, mounted in a plane or in none. */
    public static PictureLayer covering(Sheet sheet, Holder panel, Picture picture, Optional<Plane> plane) {
        Sitting sitting = Sitting.of(panel, picture, plane);
        Pose centred = sitting.fitted(Fit.COVER, 0, false, sheet.ppi());
        Pose placement = picture.focal().map(focal -> sitting.covering(FocalPlace.CENTRE.brought(sitting, centred, focal))).orElse(centred);
        Fit fit = placement.equals(centred) ? Fit.COVER : Fit.FREE;
        return PictureLayer.own(picture, fit, placement, true).mounted(plane);
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Fill with " + before.picture(picture).name(), before, panels);
    }
}
