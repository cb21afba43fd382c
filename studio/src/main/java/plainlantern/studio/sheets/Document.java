package plainlantern.studio.sheets;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import tools.jackson.core.JacksonException;

/**
 * A sheet as it is stored.
 *
 * @param bytes of its text in UTF-8
 */
record Document(Sheet sheet, String json, int bytes) {
    /** Writes a sheet and reads it back: what could not be opened again is never stored. */
    static Document of(Sheet sheet) {
        try {
            String json = SheetJson.write(sheet);
            SheetJson.read(json);
            return new Document(sheet, json, json.getBytes(StandardCharsets.UTF_8).length);
        } catch (JacksonException | IllegalArgumentException e) {
            throw new BadInput("", "That would make a sheet that can’t be opened again, so it was not done.");
        }
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
