package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.sheet.Finish;
import plainlantern.sheet.Sheet;

/** Takes rims and looks away from panels. */
@JsonTypeName("clear-finish")
public record ClearFinish(List<String> panels) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        return before.changing(panels, p -> p.finished(Finish.NONE));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("No finish", before, panels);
    }
}
