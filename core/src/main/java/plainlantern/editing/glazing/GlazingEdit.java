package plainlantern.editing.glazing;

import java.util.List;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import plainlantern.asking.BadInput;
import plainlantern.editing.Edit;
import plainlantern.sheet.Holder;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Through;

/**
 * Glazes, and how they and pictures are bent and blurred. Tones of glazes are set as those of pictures are, their rims and looks as those
 * of panels.
 */
public sealed interface GlazingEdit extends Edit permits AddGlaze, BendSeen, BlurSeen, CopySeen, MakeGlaze,
        MoveBend, SetGlaze, SwitchSeen {
    /** The sheet with glazes and pictures seen otherwise; refuses where there is none among the elements. */
    static Sheet seeing(Sheet before, List<String> panels, int layer, UnaryOperator<Through> change) {
        return seeing(before, panels, layer, (holder, was) -> change.apply(was));
    }

    /** The same where it matters which they are. */
    static Sheet seeing(Sheet before, List<String> panels, int layer, BiFunction<Holder, Through, Through> change) {
        List<Holder> holders = panels.isEmpty() ? List.of() : before.holders(panels);
        BadInput.unless(holders.stream().anyMatch(h -> h.glaze().isPresent() || h.acting(layer) >= 0), "panels",
                "Select a picture or a glaze first.");
        return before.holding(panels, holder -> {
            if (holder.glaze().isPresent()) return holder.glaze().get().seeing(change.apply(holder, holder.glaze().get().through()));
            int at = holder.acting(layer);
            return at < 0 ? holder : holder.changingLayer(at, c -> {
                PictureLayer picture = c.picture().orElseThrow();
                return picture.seen(change.apply(holder, picture.through().orElse(Through.CLEAR)));
            });
        });
    }
}
