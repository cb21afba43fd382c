package plainlantern.editing.sheet;

import com.fasterxml.jackson.annotation.JsonTypeName;
import plainlantern.sheet.Limits;
import plainlantern.sheet.Sheet;

/** Sets from where on something counts as a fault. */
@JsonTypeName("set-limits")
public record SetLimits(Limits limits) implements SheetEdit {
    @Override
    public Sheet apply(Sheet before) {
        return before.withLimits(limits);
    }

    @Override
    public String title(Sheet before) {
        return "Limits";
    }
}
