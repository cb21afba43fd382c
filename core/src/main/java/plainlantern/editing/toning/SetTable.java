package plainlantern.editing.toning;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.editing.Outside;
import plainlantern.sheet.ColourTable;
import plainlantern.sheet.Gone;
import plainlantern.sheet.Sheet;

/**
 * Gives pictures a table of colours, or takes it away.
 *
 * @param table its id; absent for none
 * @param name  what it is called, told by whoever has it
 */
@JsonTypeName("set-table")
public record SetTable(Aim of, Optional<String> table, Optional<String> name) implements ToningEdit {
    @Override
    public SetTable completed(Outside outside, Sheet before) {
        Optional<String> known = table.map(id -> outside.table(id).orElseThrow(() -> new Gone("That colour table is not there.")));
        return new SetTable(of, table, known);
    }

    @Override
    public Sheet apply(Sheet before) {
        BadInput.unless(table.isEmpty() || name.isPresent(), "table", "A colour table needs a name.");
        return of.changing(before, tone -> tone.tabled(table.map(id -> new ColourTable(id, name.get(),
                tone.table().map(ColourTable::strength).orElse(1.0)))));
    }

    @Override
    public String title(Sheet before) {
        return of.title(table.isPresent() ? "Colour table" : "No colour table", before);
    }
}
