package plainlantern.editing.dressing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import plainlantern.sheet.Sheet;

/** Takes a colour off the palette; what is painted in it keeps its colour. */
@JsonTypeName("remove-swatch")
public record RemoveSwatch(String swatch) implements DressingEdit {
    @Override
    public Sheet apply(Sheet before) {
        SetSwatch.found(before, swatch);
        Sheet changed = before.withStyles(before.styles()
                .withSwatches(before.styles().swatches().stream().filter(s -> !s.id().equals(swatch)).toList()));
        return Recolour.of(changed, c -> c.swatch().equals(swatch) ? c.linked("") : c);
    }

    @Override
    public String title(Sheet before) {
        return "Remove " + SetSwatch.found(before, swatch).name();
    }
}
