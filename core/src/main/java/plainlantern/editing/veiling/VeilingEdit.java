package plainlantern.editing.veiling;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import plainlantern.asking.BadInput;
import plainlantern.editing.Edit;
import plainlantern.fitting.Veils;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Veil;

/** Veils. Edits tell places and lengths on the sheet; a veil keeps them in the frame that it rests in. */
public sealed interface VeilingEdit extends Edit permits AddToVeil, CopyVeil, MoveVeil, SetVeil, Unveil {
    /** Whether a veil could be of an element: of a glaze, or of a layer of it. */
    private static boolean veiled(Holder holder, int layer) {
        return holder.glaze().isPresent() || Veils.acting(holder, layer) >= 0;
    }

    /** The sheet with the veils of some elements changed; see {@link Veils#first} of new ones. Refuses where nothing can be hidden. */
    static Sheet veiling(Sheet before, Collection<String> panels, int layer, BiFunction<Holder, Veil, Veil> change) {
        List<Holder> holders = panels.isEmpty() ? List.of() : before.holders(panels);
        BadInput.unless(holders.stream().anyMatch(holder -> veiled(holder, layer)), "panels",
                "Select a picture, a wash, words or a glaze first.");
        return before.holding(panels, holder -> {
            if (!veiled(holder, layer)) return holder;
            Veil was = Veils.of(holder, layer).orElse(Veil.resting(Veils.first(holder, layer)));
            return with(holder, layer, change.apply(holder, was));
        });
    }

    private static Holder with(Holder holder, int layer, Veil veil) {
        if (holder.glaze().isPresent()) return holder.glaze().get().veiled(veil.kept());
        return holder.changingLayer(Veils.acting(holder, layer), c -> c.veiled(Optional.of(veil)));
    }
}
