package plainlantern.editing.veiling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Outside;
import plainlantern.editing.Titles;
import plainlantern.fitting.Shown;
import plainlantern.fitting.Veils;
import plainlantern.fitting.Vistas;
import plainlantern.geometry.Point;
import plainlantern.sheet.Content;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Veil;
import plainlantern.sheet.Veil.Rests;
import plainlantern.sheet.VeilPart;

/**
 * Hides a part of layers and glazes, or shows it again.
 *
 * @param part places and lengths in mm on the sheet
 * @param pick where on the sheet the colour is that is hidden, for {@link VeilPart.Colours}; absent for the one that the part tells
 */
@JsonTypeName("veil")
public record AddToVeil(List<String> panels, @Typed.Layer int layer, VeilPart part, Optional<Point> pick) implements VeilingEdit {
    /** A pointer tells more places than a stroke keeps. */
    private static final int MOST_TOLD = 20_000;
    /** What is left out of a stroke would change its edge by so much of its size. */
    private static final double EXACT = 0.01;

    public AddToVeil {
        panels = panels == null ? List.of() : List.copyOf(panels);
        pick = pick == null ? Optional.empty() : pick;
        if (part instanceof VeilPart.Stroke stroke) {
            BadInput.unless(stroke.dots().size() <= MOST_TOLD, "dots", "That stroke is too long. Paint it in several.");
            part = stroke.through(Thinning.thinned(stroke.dots(), stroke.size() * EXACT, VeilPart.Stroke.MOST));
        }
        BadInput.unless(!(part instanceof VeilPart.Form form) || !panels.contains(form.panel()), "panel",
                "A panel is not hidden where it lies itself. Choose another one.");
    }

    @Override
    public AddToVeil completed(Outside outside, Sheet before) {
        if (pick.isEmpty() || !(part instanceof VeilPart.Colours colours) || panels.isEmpty()) return this;
        Holder first = before.holders(panels).get(0);
        BadInput.unless(first.glaze().isEmpty(), "panels", "A glaze has no colours of its own. Type the colour instead.");
        Optional<Shown> picture = Veils.layer(first, layer).flatMap(Content::picture).map(of -> Vistas.shown(before, first, of));
        // Without one it is refused when it is applied.
        if (picture.isEmpty()) return new AddToVeil(panels, layer, part, Optional.empty());
        Shown shown = picture.get();
        Point at = Veils.toSheet(before, first, layer, Rests.PICTURE).inverse().apply(pick.get());
        Point share = Veils.toShares(shown.picture()).apply(at);
        BadInput.unless(share.x() >= 0 && share.x() <= 1 && share.y() >= 0 && share.y() <= 1, "colour", "Click a place on the picture.");
        return new AddToVeil(panels, layer, colours.coloured(outside.colour(shown.picture().id(), share)), Optional.empty());
    }

    @Override
    public Sheet apply(Sheet before) {
        if (part instanceof VeilPart.Form form) before.element(form.panel());
        return VeilingEdit.veiling(before, panels, layer, (holder, veil) -> added(before, holder, veil));
    }

    private Veil added(Sheet before, Holder holder, Veil veil) {
        return veil.switched(false).adding(part.mapped(Veils.toSheet(before, holder, layer, veil.rests()).inverse()));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(part.label(), before, panels);
    }
}
