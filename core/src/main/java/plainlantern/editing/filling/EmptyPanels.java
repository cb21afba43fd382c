package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.editing.Titles;
import plainlantern.sheet.Sheet;

/** Takes what panels show out of them; pictures stay on the shelf. */
@JsonTypeName("empty")
public record EmptyPanels(List<String> panels) implements FillingEdit {
    @Override
    public Sheet apply(Sheet before) {
        return before.holding(before.takers(panels), p -> p.withContent(List.of()));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Empty", before, panels);
    }
}
