package plainlantern.editing;

import java.util.List;
import java.util.function.UnaryOperator;
import plainlantern.geometry.BadInput;
import plainlantern.sheet.Content;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Sheet;

/** What the edits of layers share. */
final class Layers {
    private Layers() {}

    /** Changes the layer at that place in each of the panels that has one of that kind there; refuses where none has. */
    static <T extends Content> Sheet changing(Sheet before, List<String> panels, int layer, Class<T> kind, UnaryOperator<T> change) {
        List<String> meant = before.panels(panels).stream().filter(p -> has(p, layer, kind)).map(Panel::id).toList();
        BadInput.unless(!meant.isEmpty(), "panels", "That layer is no longer in the panel.");
        return before.changing(meant, p -> p.changingLayer(layer, content -> change.apply(kind.cast(content))));
    }

    static boolean has(Panel panel, int layer, Class<? extends Content> kind) {
        return layer >= 0 && layer < panel.content().size() && kind.isInstance(panel.content().get(layer));
    }
}
