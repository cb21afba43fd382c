package plainlantern.editing.glazing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.BadInput;
import plainlantern.editing.Titles;
import plainlantern.sheet.Element;
import plainlantern.sheet.Glaze;
import plainlantern.sheet.Sheet;

/** Makes glazes of empty panels, in their forms. */
@JsonTypeName("make-glaze")
public record MakeGlaze(List<String> panels) implements GlazingEdit {
    @Override
    public Sheet apply(Sheet before) {
        List<Element> chosen = before.elements(panels);
        BadInput.unless(chosen.stream().allMatch(e -> e.panel().isPresent()), "panels", "Only panels become glazes.");
        BadInput.unless(chosen.stream().allMatch(e -> e.holder().orElseThrow().content().isEmpty()), "panels",
                "A glaze holds nothing itself. Empty the panel first.");
        return before.holding(panels, holder -> Glaze.of(holder.basics(), holder.outline()));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Glaze", before, panels);
    }
}
