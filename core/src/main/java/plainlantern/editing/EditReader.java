package plainlantern.editing;

import plainlantern.geometry.BadInput;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import tools.jackson.core.JacksonException;

/** Reads edits that a browser sends. */
public final class EditReader {
    private EditReader() {}

    /**
     * The edit in {@code json}; what people typed in it is read in the unit and ppi of {@code sheet}.
     *
     * @throws BadInput with the field's name where a value makes no sense, without one where the text is no edit
     */
    public static Edit read(String json, Sheet sheet) {
        try {
            Edit edit = SheetJson.MAPPER.readerFor(Edit.class).withAttribute(Typed.UNIT, sheet.unit()).withAttribute(Typed.PPI, sheet.ppi())
                    .readValue(json);
            if (edit != null) return edit;
            throw new BadInput("That is not an edit: there is nothing in it.");
        } catch (JacksonException e) {
            for (Throwable cause = e; cause != null; cause = cause.getCause()) {
                if (cause instanceof BadInput input) throw input;
            }
            throw new BadInput("That is not an edit: " + e.getOriginalMessage());
        }
    }
}
