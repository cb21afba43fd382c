package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.sheet.Pose;
import plainlantern.sheet.Sheet;

/**
 * Mirrors the picture inside panels left to right about its own middle; its fit stays.
 *
 * @param whole whether slices move their whole vista, in the sheet's frame, instead of being nudged against it
 */
@JsonTypeName("mirror-picture")
public record MirrorPicture(List<String> panels, @Typed.Switch boolean whole, @Typed.Layer int layer) implements FillingEdit {
    @Override
    public Sheet apply(Sheet before) {
        return Pictures.changing(before, panels, whole, layer, (shown, sitting) -> {
            Pose p = shown.pose();
            return shown.flat().settled(shown.flat().fit(), new Pose(p.centre(), p.scaleX(), p.scaleY(), p.turn(), !p.mirrored()));
        });
    }

    @Override
    public String title(Sheet before) {
        return Titles.ofPicture("Mirror", whole, before, panels);
    }
}
