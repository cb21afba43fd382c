package plainlantern.editing.vistas;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.editing.Titles;
import plainlantern.fitting.Vistas;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Sheet;

/** Lets panels look through at a vista that is there, in register, in place of what they showed. */
@JsonTypeName("join-vista")
public record JoinVista(List<String> panels, String vista) implements VistaEdit {
    @Override
    public Sheet apply(Sheet before) {
        PictureLayer slice = PictureLayer.slice(before.vista(vista).id());
        return before.holding(before.takers(panels), p -> Vistas.joined(p, slice));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Join vista", before, panels);
    }
}
