package plainlantern.editing.glazing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Through;

/**
 * Blurs pictures, and what glazes show.
 *
 * @param layer which picture of each panel, see {@link plainlantern.sheet.Holder#acting}
 * @param blur  see {@link Through}
 */
@JsonTypeName("blur")
public record BlurSeen(List<String> panels, @Typed.Layer int layer, @Typed.OrZero double blur) implements GlazingEdit {
    public BlurSeen {
        panels = panels == null ? List.of() : List.copyOf(panels);
    }

    @Override
    public Sheet apply(Sheet before) {
        return GlazingEdit.seeing(before, panels, layer, through -> new Through(blur, through.dx(), through.dy(), through.bend()));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Blur", before, panels);
    }
}
