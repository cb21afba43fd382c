package plainlantern.editing.vistas;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.fitting.Vistas;
import plainlantern.sheet.Sheet;

/** Lets panels take their slices along when they move, from where they are now, or look through again; the way back is exact. */
@JsonTypeName("carry")
public record Carry(List<String> panels, @Typed.Switch boolean carried) implements VistaEdit {
    @Override
    public Sheet apply(Sheet before) {
        return before.holding(panels, p -> Vistas.carrying(p, carried));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(carried ? "Carry the slice" : "Look through", before, panels);
    }
}
