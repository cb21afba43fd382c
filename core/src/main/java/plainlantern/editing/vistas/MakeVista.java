package plainlantern.editing.vistas;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import plainlantern.asking.BadInput;
import plainlantern.editing.Titles;
import plainlantern.fitting.Vistas;
import plainlantern.sheet.Element;
import plainlantern.sheet.Picture;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Vista;

/** Puts one picture behind several panels, just covering them all; each shows its slice in place of what it showed. */
@JsonTypeName("make-vista")
public record MakeVista(List<String> panels, String picture) implements VistaEdit {
    @Override
    public Sheet apply(Sheet before) {
        Picture chosen = before.picture(picture);
        List<String> into = before.takers(panels);
        BadInput.unless(into.size() > 1, "panels", "Select two panels or more to see one picture through them.");
        int number = before.lastId() + 1;
        Vista vista = Vistas.over("v" + number, chosen, before.holders(into));
        List<Vista> vistas = new ArrayList<>(before.vistas());
        vistas.add(vista);
        PictureLayer slice = PictureLayer.slice(vista.id());
        List<Element> next = before.elements().stream().map(e -> into.contains(e.id()) ? e.holding(p -> Vistas.joined(p, slice)) : e)
                .toList();
        return before.with(next, number, vistas);
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Vista of " + before.picture(picture).name(), before, panels);
    }
}
