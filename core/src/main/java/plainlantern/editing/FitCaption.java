package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.fitting.Lettering;
import plainlantern.sheet.Sheet;

/** Makes boxes just as high as the words in them need. */
@JsonTypeName("fit-caption")
public record FitCaption(List<String> panels) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        return before.moving(panels, Lettering::fitted);
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Fit the box to the words", before, panels);
    }
}
