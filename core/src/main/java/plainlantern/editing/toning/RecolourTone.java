package plainlantern.editing.toning;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.Optional;
import plainlantern.sheet.ByBrightness;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Sheet;

/** Paints pictures in one colour: from black over it, where its own brightness is, to white. */
@JsonTypeName("recolour-tone")
public record RecolourTone(Aim of, Colour colour) implements ToningEdit {
    @Override
    public Sheet apply(Sheet before) {
        return of.changing(before, tone -> tone.brightened(Optional.of(ByBrightness.about(colour))));
    }

    @Override
    public String title(Sheet before) {
        return of.title("Recolour", before);
    }
}
