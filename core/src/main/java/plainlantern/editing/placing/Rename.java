package plainlantern.editing.placing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.BadInput;
import plainlantern.sheet.Sheet;

/** Gives a panel another name of 1 to 60 characters. */
@JsonTypeName("rename")
public record Rename(String panel, String name) implements PlacingEdit {
    @Override
    public Sheet apply(Sheet before) {
        String wanted = name.strip();
        BadInput.unless(!wanted.isEmpty() && wanted.length() <= 60, "name", "A panel's name has 1 to 60 characters.");
        return before.changing(List.of(panel), p -> p.named(wanted));
    }

    @Override
    public String title(Sheet before) {
        return "Rename: " + before.element(panel).name();
    }
}
