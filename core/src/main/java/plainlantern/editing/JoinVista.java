package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.fitting.Vistas;
import plainlantern.sheet.Content.VistaSlice;
import plainlantern.sheet.Sheet;

/** Lets panels look through at a vista that is there, in register, in place of what they showed. */
@JsonTypeName("join-vista")
public record JoinVista(List<String> panels, String vista) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        VistaSlice slice = VistaSlice.of(before.vista(vista).id());
        return before.changing(before.takers(panels), p -> Vistas.joined(p, slice));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Join vista", before, panels);
    }
}
