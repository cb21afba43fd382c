package plainlantern.editing.dressing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import plainlantern.asking.BadInput;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Styles;
import plainlantern.sheet.Swatch;

/** Puts colours on the sheet's palette; one that is there already is not put there twice. */
@JsonTypeName("add-swatches")
public record AddSwatches(List<Colour> colours) implements DressingEdit {
    @Override
    public Sheet apply(Sheet before) {
        Styles styles = before.styles();
        List<Swatch> swatches = new ArrayList<>(styles.swatches());
        int lastId = styles.lastId();
        for (Colour colour : colours) {
            if (swatches.stream().anyMatch(s -> s.colour().rgb() == colour.rgb())) continue;
            lastId++;
            swatches.add(new Swatch("s" + lastId, "Colour " + lastId, colour));
        }
        BadInput.unless(swatches.size() > styles.swatches().size(), "colour", "The palette has this colour.");
        return before.withStyles(styles.withSwatches(swatches, lastId));
    }

    @Override
    public String title(Sheet before) {
        return colours.size() == 1 ? "Colour to the palette" : colours.size() + " colours to the palette";
    }
}
