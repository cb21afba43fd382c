package plainlantern.editing.dressing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.editing.Titles;
import plainlantern.sheet.Finish;
import plainlantern.sheet.Sheet;

/** Takes rims and looks away from panels. */
@JsonTypeName("clear-finish")
public record ClearFinish(List<String> panels) implements DressingEdit {
    @Override
    public Sheet apply(Sheet before) {
        return before.changing(panels, p -> p.finished(Finish.NONE));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("No finish", before, panels);
    }
}
