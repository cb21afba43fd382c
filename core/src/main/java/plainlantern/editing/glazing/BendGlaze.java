package plainlantern.editing.glazing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.editing.Titles;
import plainlantern.sheet.Bend;
import plainlantern.sheet.Element;
import plainlantern.sheet.Sheet;

/**
 * Bends what glazes show.
 *
 * @param bend absent where it lies straight again
 */
@JsonTypeName("bend-glaze")
public record BendGlaze(List<String> panels, Optional<Bend> bend) implements GlazingEdit {
    public BendGlaze {
        bend = bend == null ? Optional.empty() : bend;
    }

    @Override
    public Sheet apply(Sheet before) {
        boolean glazes = before.elements(panels).stream().allMatch(e -> e.glaze().isPresent());
        BadInput.unless(glazes && !panels.isEmpty(), "panels", "Select a glaze first.");
        return before.changing(panels, e -> e.glaze().<Element>map(glaze -> glaze.seeing(glaze.through().bent(bend))).orElse(e));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(bend.map(Bend::label).orElse("No bend"), before, panels);
    }
}
