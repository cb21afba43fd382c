package plainlantern.editing.words;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.editing.Titles;
import plainlantern.fitting.Typesetting;
import plainlantern.sheet.Element;
import plainlantern.sheet.Sheet;

/** Makes boxes just as high as the words in them need. */
@JsonTypeName("fit-caption")
public record FitCaption(List<String> panels) implements WordsEdit {
    @Override
    public Sheet apply(Sheet before) {
        return before.holding(before.free(panels).stream().map(Element::id).toList(), Typesetting::fitted);
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Fit the box to the words", before, panels);
    }
}
