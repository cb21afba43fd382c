package plainlantern.editing.toning;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import plainlantern.asking.BadInput;
import plainlantern.asking.Choice;
import plainlantern.asking.Typed;
import plainlantern.sheet.Element;
import plainlantern.sheet.Glaze;
import plainlantern.sheet.Holder;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Tone;

/**
 * Gives the tone of one picture to others.
 *
 * @param from   the element whose picture gives it, of a slice the slice's own
 * @param layer  which picture of it
 * @param panels those that get it, for {@link To#SELECTED}: their frontmost pictures
 * @param parts  which parts; none means all
 */
@JsonTypeName("copy-tone")
public record CopyTone(String from, @Typed.Layer int layer, To to, List<String> panels, Set<TonePart> parts) implements ToningEdit {
    /** Which pictures get it. */
    public enum To implements Choice {
        SELECTED, ALL,
        /** All that show the same picture. */
        ALIKE
    }

    public CopyTone {
        panels = panels == null ? List.of() : List.copyOf(panels);
        parts = parts == null || parts.isEmpty() ? EnumSet.allOf(TonePart.class) : EnumSet.copyOf(parts);
    }

    @Override
    public Sheet apply(Sheet before) {
        Holder giver = before.holders(List.of(from)).get(0);
        Optional<PictureLayer> given = giver.picture(layer);
        BadInput.unless(given.isPresent() || giver.glaze().isPresent(), "panels", "There is no picture in there yet.");
        // A vignette spreads over each picture's own form: where the giver's has another box it is about that picture alone.
        Tone tone = giver.glaze().map(Glaze::tone).orElseGet(() -> given.orElseThrow().treatment().tone()).framed(Optional.empty());
        String picture = given.map(before::pictureOf).orElse("");
        boolean[] any = {false};
        Sheet pictures = before.everywhere(e -> e.holding(h -> h.changingPictures(p -> {
            if (h.id().equals(from) && given.filter(p::equals).isPresent() || !meant(before, h, p, picture)) return p;
            any[0] = true;
            return p.treated(p.treatment().toned(taken(p.treatment().tone(), tone)));
        })));
        // Glazes lie over all: one gets a tone only where it is meant by itself.
        Sheet after = pictures.everywhere(e -> e.glaze().filter(g -> to == To.SELECTED && panels.contains(g.id()) && !g.id().equals(from))
                .<Element>map(g -> {
            any[0] = true;
            return g.toned(taken(g.tone(), tone));
        }).orElse(e));
        BadInput.unless(any[0], "panels", to == To.SELECTED ? "Select the other pictures, too; the first keeps its tone."
                : "There is no other picture to give it to.");
        return after;
    }

    private boolean meant(Sheet sheet, Holder holder, PictureLayer layer, String picture) {
        return switch (to) {
            case SELECTED -> panels.contains(holder.id()) && holder.picture(Typed.FRONTMOST).filter(layer::equals).isPresent();
            case ALL -> true;
            case ALIKE -> sheet.pictureOf(layer).equals(picture);
        };
    }

    private Tone taken(Tone own, Tone given) {
        if (parts.size() == TonePart.values().length) return given;
        // With a part of another tone it is its own: it follows none any more.
        Tone taken = own.following(Optional.empty());
        for (TonePart part : parts) taken = part.taken(taken, given);
        return taken;
    }

    @Override
    public String title(Sheet before) {
        return "Copy tone of " + before.element(from).name();
    }
}
