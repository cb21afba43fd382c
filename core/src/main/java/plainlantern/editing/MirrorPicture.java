package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Placement;
import plainlantern.sheet.Sheet;

/**
 * Mirrors the picture inside panels left to right about its own middle; its fit stays.
 *
 * @param whole whether slices move their whole vista, in the sheet's frame, instead of being nudged against it
 */
@JsonTypeName("mirror-picture")
public record MirrorPicture(List<String> panels, @Typed.Switch boolean whole, @Typed.Layer int layer) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        return Pictures.changing(before, panels, whole, layer, (own, sitting) -> {
            Placement p = own.placement();
            return own.settled(own.fit(), new Placement(p.centre(), p.scaleX(), p.scaleY(), p.turn(), !p.mirrored()));
        });
    }

    @Override
    public String title(Sheet before) {
        return Titles.ofPicture("Mirror", whole, before, panels);
    }
}
