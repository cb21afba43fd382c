package plainlantern.editing.mounting;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.sheet.Sheet;

/**
 * Lays mounted pictures flat again.
 *
 * @param whole whether of a slice its whole vista is meant
 * @param layer which picture of each panel, see {@link plainlantern.sheet.Holder#acting}
 */
@JsonTypeName("lay-flat")
public record LayFlat(List<String> panels, @Typed.Switch boolean whole, @Typed.Layer int layer) implements MountingEdit {
    @Override
    public Sheet apply(Sheet before) {
        return Planes.changing(before, panels, whole, layer, hung -> Optional.empty());
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Lay flat", before, panels);
    }
}
