package plainlantern.editing.dressing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.Optional;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Gone;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Swatch;

/** Changes a colour of the palette, and with it everything that is painted in it; or its name. */
@JsonTypeName("set-swatch")
public record SetSwatch(String swatch, Optional<String> name, Optional<Colour> colour) implements DressingEdit {
    @Override
    public Sheet apply(Sheet before) {
        Swatch was = found(before, swatch);
        Swatch now = new Swatch(swatch, name.orElse(was.name()), colour.orElse(was.colour()));
        Sheet changed = before.withStyles(before.styles()
                .withSwatches(before.styles().swatches().stream().map(s -> s.id().equals(swatch) ? now : s).toList()));
        return colour.isEmpty() ? changed : Recolour.of(changed, c -> c.swatch().equals(swatch) ? now.colour() : c);
    }

    public static Swatch found(Sheet sheet, String id) {
        return sheet.styles().swatch(id).orElseThrow(() -> new Gone("That colour is no longer on the palette."));
    }

    @Override
    public String title(Sheet before) {
        return (colour.isPresent() ? "Change " : "Rename ") + found(before, swatch).name();
    }
}
