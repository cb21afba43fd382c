package plainlantern.editing.glazing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.sheet.Sheet;

/**
 * Switches blur and bend of pictures, and of glazes their shift, too, off, or on again; their values stay. Whatever is set of them
 * switches them on.
 *
 * @param layer which picture of each panel, see {@link plainlantern.sheet.Holder#acting}
 */
@JsonTypeName("switch-bend")
public record SwitchSeen(List<String> panels, @Typed.Layer int layer, @Typed.Switch boolean off) implements GlazingEdit {
    public SwitchSeen {
        panels = panels == null ? List.of() : List.copyOf(panels);
    }

    @Override
    public Sheet apply(Sheet before) {
        return GlazingEdit.seeing(before, panels, layer, through -> through.switched(off));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(off ? "Blur and bend off" : "Blur and bend on", before, panels);
    }
}
