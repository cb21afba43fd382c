package plainlantern.editing.sheet;

import com.fasterxml.jackson.annotation.JsonTypeName;
import plainlantern.sheet.Sheet;

/** Goes back to a kept version of the sheet, name and all that was numbered since apart. */
@JsonTypeName("return-to")
public record ReturnTo(String name, Sheet kept) implements SheetEdit {
    @Override
    public Sheet apply(Sheet before) {
        return kept.with(kept.elements(), Math.max(before.lastId(), kept.lastId())).named(before.name());
    }

    @Override
    public String title(Sheet before) {
        return "Return to: " + name;
    }
}
