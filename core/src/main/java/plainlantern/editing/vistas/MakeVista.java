package plainlantern.editing.vistas;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.BadInput;
import plainlantern.editing.Titles;
import plainlantern.fitting.Vistas;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;

/** Puts one picture behind several panels, just covering them all; each shows its slice in place of what it showed. */
@JsonTypeName("make-vista")
public record MakeVista(List<String> panels, String picture) implements VistaEdit {
    @Override
    public Sheet apply(Sheet before) {
        Picture chosen = before.picture(picture);
        List<String> into = before.takers(panels);
        BadInput.unless(into.size() > 1, "panels", "Select two panels or more to see one picture through them.");
        return Vistas.seen(before, into, Vistas.over("v" + (before.lastId() + 1), chosen, before.holders(into)));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Vista of " + before.picture(picture).name(), before, panels);
    }
}
