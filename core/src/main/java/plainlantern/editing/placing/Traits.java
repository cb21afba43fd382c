package plainlantern.editing.placing;

import com.fasterxml.jackson.annotation.JsonAnyGetter;
import com.fasterxml.jackson.annotation.JsonAnySetter;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Map;
import plainlantern.editing.Changes;
import plainlantern.editing.Titles;
import plainlantern.sheet.Sheet;

/**
 * Locks, unlocks, hides or shows elements.
 *
 * @param set of {@link Basics}, see {@link Changes}
 */
@JsonTypeName("traits")
public record Traits(List<String> panels, @JsonAnySetter @JsonAnyGetter Map<String, Object> set) implements PlacingEdit {
    public Traits {
        set = Changes.only(set, List.of("locked", "hidden"));
    }

    @Override
    public Sheet apply(Sheet before) {
        return before.changing(panels, p -> p.with(Changes.onto(p.basics(), set, before)));
    }

    @Override
    public String title(Sheet before) {
        boolean on = Boolean.parseBoolean(String.valueOf(set.getOrDefault("locked", set.get("hidden"))));
        return Titles.of(set.containsKey("locked") ? on ? "Lock" : "Unlock" : on ? "Hide" : "Show", before, panels);
    }
}
