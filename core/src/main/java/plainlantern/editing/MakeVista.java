package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import plainlantern.fitting.Vistas;
import plainlantern.geometry.BadInput;
import plainlantern.sheet.Content.VistaSlice;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Vista;

/** Puts one picture behind several panels, just covering them all; each shows its slice in place of what it showed. */
@JsonTypeName("make-vista")
public record MakeVista(List<String> panels, String picture) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        Picture chosen = before.picture(picture);
        List<String> into = before.takers(panels);
        BadInput.unless(into.size() > 1, "panels", "Select two panels or more to see one picture through them.");
        int number = before.lastId() + 1;
        Vista vista = Vistas.over("v" + number, chosen, before.panels(into));
        List<Vista> vistas = new ArrayList<>(before.vistas());
        vistas.add(vista);
        VistaSlice slice = VistaSlice.of(vista.id());
        return before.with(Vistas.replaced(before.elements(), into, p -> Vistas.joined(p, slice)), number, vistas);
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Vista of " + before.picture(picture).name(), before, panels);
    }
}
