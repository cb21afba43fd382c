package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.fitting.Refit;
import plainlantern.sheet.Content;
import plainlantern.sheet.Sheet;

/**
 * Puts a layer of panels at another depth, or takes it out.
 *
 * @param to its place afterwards, 0 hindmost, the front one at most; absent takes it out
 */
@JsonTypeName("move-layer")
public record MoveLayer(List<String> panels, @Typed.Layer int layer, OptionalInt to) implements FillingEdit {
    @Override
    public Sheet apply(Sheet before) {
        Layers.changing(before, panels, layer, Optional::of, content -> content);
        return before.holding(panels, p -> {
            if (Layers.at(p, layer).isEmpty()) return p;
            List<Content> layers = new ArrayList<>(p.content());
            Content moved = layers.remove(layer);
            if (to.isPresent()) layers.add(Math.max(0, Math.min(layers.size(), to.getAsInt())), moved);
            // What stood behind a layer that is gone is seen now: held pictures cover.
            return to.isPresent() ? p.withContent(layers) : Refit.reformed(before, p.withContent(layers));
        });
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(to.isPresent() ? "Depth of a layer" : "Remove a layer", before, panels);
    }
}
