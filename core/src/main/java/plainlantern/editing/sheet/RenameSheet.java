package plainlantern.editing.sheet;

import com.fasterxml.jackson.annotation.JsonTypeName;
import plainlantern.sheet.Sheet;

/** Gives the sheet another name. */
@JsonTypeName("rename-sheet")
public record RenameSheet(String name) implements SheetEdit {
    @Override
    public Sheet apply(Sheet before) {
        return before.named(name);
    }

    @Override
    public String title(Sheet before) {
        return "Rename sheet";
    }
}
