package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.fitting.Sitting;
import plainlantern.sheet.Content;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;

/** Puts a picture of the shelf into panels, just covering them; it takes the place of the picture they had. */
@JsonTypeName("fill")
public record FillPanels(List<String> panels, String picture) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        Picture chosen = before.picture(picture);
        return before.changing(panels, p -> filled(before, p, chosen));
    }

    static Panel filled(Sheet sheet, Panel panel, Picture picture) {
        var placement = Sitting.of(panel, picture).fitted(Fit.COVER, 0, false, sheet.ppi());
        return panel.withContent(List.of(new Content.OwnPicture(picture.id(), Fit.COVER, placement, true)));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Fill with " + before.picture(picture).name(), before, panels);
    }
}
