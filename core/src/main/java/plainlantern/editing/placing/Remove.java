package plainlantern.editing.placing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.editing.Titles;
import plainlantern.sheet.Element;
import plainlantern.sheet.Sheet;

/** Takes panels off the sheet; their pictures stay on the shelf. */
@JsonTypeName("remove")
public record Remove(List<String> panels) implements PlacingEdit {
    @Override
    public Sheet apply(Sheet before) {
        List<String> gone = before.free(panels).stream().map(Element::id).toList();
        return before.with(before.elements().stream().filter(e -> !gone.contains(e.id())).toList());
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Delete", before, panels);
    }
}
