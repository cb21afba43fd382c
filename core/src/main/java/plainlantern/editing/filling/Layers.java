package plainlantern.editing.filling;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import plainlantern.asking.BadInput;
import plainlantern.sheet.Content;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;

/** What the edits of layers share. */
public final class Layers {
    private Layers() {}

    /**
     * Changes the layer at that place in each of the panels that has one of that kind there; refuses where none has.
     *
     * @param kind what a layer is as one of that kind, such as {@link Content#wash}
     */
    public static <T extends Content> Sheet changing(Sheet before, List<String> panels, int layer, Function<Content, Optional<T>> kind,
            UnaryOperator<T> change) {
        List<String> meant = before.holders(panels).stream().filter(p -> at(p, layer).flatMap(kind).isPresent()).map(Holder::id).toList();
        BadInput.unless(!meant.isEmpty(), "panels", "That layer is no longer in the panel.");
        return before.holding(meant, p -> p.changingLayer(layer, content -> change.apply(kind.apply(content).orElseThrow())));
    }

    /** The layer at that place. */
    public static Optional<Content> at(Holder panel, int layer) {
        return layer >= 0 && layer < panel.content().size() ? Optional.of(panel.content().get(layer)) : Optional.empty();
    }
}
