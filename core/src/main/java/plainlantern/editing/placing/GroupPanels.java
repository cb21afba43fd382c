package plainlantern.editing.placing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.sheet.Sheet;

/** Makes panels one group, which is selected and placed as one, or dissolves the groups they are in. */
@JsonTypeName("group")
public record GroupPanels(List<String> panels, @Typed.Switch boolean together) implements PlacingEdit {
    @Override
    public Sheet apply(Sheet before) {
        BadInput.unless(!together || before.elements(panels).size() > 1, "panels", "Select two panels or more to group.");
        if (!together) return before.changing(panels, p -> p.grouped(""));
        int number = before.lastId() + 1;
        Sheet grouped = before.changing(panels, p -> p.grouped("g" + number));
        return grouped.with(grouped.elements(), number);
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(together ? "Group" : "Ungroup", before, panels);
    }
}
