package plainlantern.editing.veiling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.sheet.Sheet;

/**
 * Takes veils away, or one part of them.
 *
 * @param at which part, from 0; absent for all
 */
@JsonTypeName("unveil")
public record Unveil(List<String> panels, @Typed.Layer int layer, OptionalInt at) implements VeilingEdit {
    public Unveil {
        panels = panels == null ? List.of() : List.copyOf(panels);
        at = at == null ? OptionalInt.empty() : at;
    }

    @Override
    public Sheet apply(Sheet before) {
        return VeilingEdit.veiling(before, panels, layer, (holder, veil) -> at.isEmpty() ? veil.with(List.of())
                : veil.changing(at.getAsInt(), part -> Optional.empty()));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(at.isEmpty() ? "Remove the veil" : "Remove from the veil", before, panels);
    }
}
