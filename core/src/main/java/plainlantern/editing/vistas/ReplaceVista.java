package plainlantern.editing.vistas;

import com.fasterxml.jackson.annotation.JsonTypeName;
import plainlantern.sheet.Sheet;

/** Puts another picture into a vista's frame; whatever its size in pixels, it lands in register. */
@JsonTypeName("replace-vista")
public record ReplaceVista(String vista, String picture) implements VistaEdit {
    @Override
    public Sheet apply(Sheet before) {
        return before.with(before.vista(vista).showing(before.picture(picture)));
    }

    @Override
    public String title(Sheet before) {
        return "Vista shows " + before.picture(picture).name();
    }
}
