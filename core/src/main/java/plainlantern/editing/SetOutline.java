package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.fitting.Refit;
import plainlantern.outline.Outline;
import plainlantern.sheet.Sheet;

/** Gives panels another form; seat, name and content stay. */
@JsonTypeName("set-outline")
public record SetOutline(List<String> panels, Outline outline) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        return before.changing(panels, p -> Refit.reformed(before, p.withOutline(outline)));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Make " + outline.label(), before, panels);
    }
}
