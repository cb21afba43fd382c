package plainlantern.editing.vistas;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.BadInput;
import plainlantern.editing.Titles;
import plainlantern.fitting.Vistas;
import plainlantern.sheet.Sheet;

/** Makes slices pictures of their panels' own that look exactly the same. */
@JsonTypeName("leave-vista")
public record LeaveVista(List<String> panels) implements VistaEdit {
    @Override
    public Sheet apply(Sheet before) {
        BadInput.unless(before.holders(panels).stream().anyMatch(p -> p.slice().isPresent()), "panels",
                "None of these panels shows a vista.");
        return before.holding(panels, p -> Vistas.left(before, p));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Leave vista", before, panels);
    }
}
