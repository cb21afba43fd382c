package plainlantern.studio.sheets;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import plainlantern.sheet.SheetText;

/**
 * A sheet as it is stored.
 *
 * @param bytes of its text in UTF-8
 */
record Document(Sheet sheet, SheetText text, int bytes) {
    static Document of(Sheet sheet) {
        return of(sheet, SheetText.Elements.NONE);
    }

    /** @param before the texts of elements that may be on it */
    static Document of(Sheet sheet, SheetText.Elements before) {
        SheetText text = SheetText.of(sheet, before);
        return new Document(sheet, text, text.json().getBytes(StandardCharsets.UTF_8).length);
    }

    String json() {
        return text.json();
    }

    /** A stored document; empty where it cannot be read. */
    static Optional<Sheet> read(String json) {
        try {
            return Optional.of(SheetJson.read(json));
        } catch (RuntimeException e) {
            return Optional.empty();
        }
    }

    List<String> pictures() {
        return sheet.shelf().stream().map(Picture::id).toList();
    }
}
