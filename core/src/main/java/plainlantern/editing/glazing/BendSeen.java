package plainlantern.editing.glazing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.sheet.Bend;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Through;

/**
 * Bends pictures, and what glazes show.
 *
 * @param layer which picture of each panel, see {@link plainlantern.sheet.Holder#acting}
 * @param bend  absent where it lies straight again; a mesh none of whose handles is moved gives what is a mesh already other handles
 */
@JsonTypeName("bend")
public record BendSeen(List<String> panels, @Typed.Layer int layer, Optional<Bend> bend) implements GlazingEdit {
    public BendSeen {
        panels = panels == null ? List.of() : List.copyOf(panels);
        bend = bend == null ? Optional.empty() : bend;
    }

    @Override
    public Sheet apply(Sheet before) {
        return GlazingEdit.seeing(before, panels, layer, through -> through.bent(bend.map(next -> meshed(through, next))));
    }

    private static Bend meshed(Through was, Bend next) {
        return next instanceof Bend.Mesh mesh && mesh.moved().isEmpty() && was.bend().orElse(null) instanceof Bend.Mesh before
                ? before.gridded(mesh) : next;
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(bend.map(Bend::label).orElse("No bend"), before, panels);
    }
}
