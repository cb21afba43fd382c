package plainlantern.studio.board;

import java.util.UUID;
import org.springframework.stereotype.Component;
import plainlantern.editing.Edit;
import plainlantern.editing.reading.EditReader;
import plainlantern.sheet.Sheet;
import plainlantern.studio.shelf.Pictures;
import plainlantern.studio.typefaces.Typefaces;

/** Reads edits as pages send them, with what the account has of pictures and typefaces. */
@Component
class Reading {
    private final Pictures pictures;
    private final Typefaces typefaces;

    Reading(Pictures pictures, Typefaces typefaces) {
        this.pictures = pictures;
        this.typefaces = typefaces;
    }

    /**
     * @param json see {@link EditReader}
     * @param sheet that it is to meet
     */
    Edit edit(UUID account, String json, Sheet sheet) {
        return EditReader.read(json, sheet).completed(pictures.of(account, own -> typefaces.face(account, own)), sheet);
    }
}
