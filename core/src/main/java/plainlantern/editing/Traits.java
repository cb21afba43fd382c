package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.sheet.Sheet;

/** Locks, unlocks, hides or shows panels; what is absent stays. */
@JsonTypeName("traits")
public record Traits(List<String> panels, Optional<Boolean> locked, Optional<Boolean> hidden) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        return before.changing(panels, p -> p.lockedTo(locked.orElse(p.locked())).hiddenTo(hidden.orElse(p.hidden())));
    }

    @Override
    public String title(Sheet before) {
        String verb = locked.isPresent() ? locked.get() ? "Lock" : "Unlock" : hidden.orElse(false) ? "Hide" : "Show";
        return Titles.of(verb, before, panels);
    }
}
