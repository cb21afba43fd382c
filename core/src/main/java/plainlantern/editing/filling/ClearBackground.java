package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonAnyGetter;
import com.fasterxml.jackson.annotation.JsonAnySetter;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import plainlantern.editing.Changes;
import plainlantern.editing.Outside;
import plainlantern.sheet.Cleared;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Foot;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Treatment;

/**
 * Takes a plain background out of a picture on this sheet, wherever it is used; its file stays as it is.
 *
 * @param foot where the picture stands then, as its pixels tell
 * @param set  of {@link Cleared}, see {@link Changes}; without a colour the picture is whole again
 */
@JsonTypeName("clear-background")
public record ClearBackground(String picture, Optional<Foot> foot, @JsonAnySetter @JsonAnyGetter Map<String, Object> set)
        implements FillingEdit {
    /** Near enough to a plain backdrop in a photograph. */
    public static final Cleared FIRST = new Cleared(Colour.WHITE, 0.1, 0.08);

    public ClearBackground {
        set = Changes.only(set, List.of("colour", "tolerance", "softness"));
    }

    /** What is taken out, absent where nothing is. */
    private Optional<Cleared> cleared(Sheet sheet) {
        return set.containsKey("colour") ? Optional.of(Changes.onto(FIRST, set, sheet)) : Optional.empty();
    }

    @Override
    public ClearBackground completed(Outside outside, Sheet before) {
        return new ClearBackground(picture, outside.foot(before.picture(picture).id(), cleared(before)), set);
    }

    @Override
    public Sheet apply(Sheet before) {
        before.picture(picture);
        Optional<Cleared> cleared = cleared(before);
        UnaryOperator<Treatment> change = was -> was.clearing(cleared);
        List<Picture> shelf = before.shelf().stream().map(p -> p.id().equals(picture) ? p.treated(change.apply(p.treatment()), foot) : p)
                .toList();
        return Treatments.changing(before.withShelf(shelf), picture, change);
    }

    @Override
    public String title(Sheet before) {
        return (set.containsKey("colour") ? "Clear background: " : "Whole again: ") + before.picture(picture).name();
    }
}
