package plainlantern.editing.mounting;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.sheet.Sheet;

/**
 * Mounts pictures by four corners, at first those of what they are seen through.
 *
 * @param whole whether of a slice its whole vista is meant
 * @param layer which picture of each panel, see {@link plainlantern.sheet.Holder#acting}
 */
@JsonTypeName("mount")
public record MountPicture(List<String> panels, @Typed.Switch boolean whole, @Typed.Layer int layer) implements MountingEdit {
    @Override
    public Sheet apply(Sheet before) {
        return Planes.changing(before, panels, whole, layer, hung -> hung.plane()
                .or(() -> Optional.of(hung.told(Quads.around(hung.form()), before))));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(whole ? "Mount vista" : "Mount", before, panels);
    }
}
