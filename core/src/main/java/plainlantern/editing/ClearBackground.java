package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.Optional;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Cleared;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Foot;
import plainlantern.sheet.Sheet;

/**
 * Takes a plain background out of a picture on this sheet, wherever it is used; its file stays as it is.
 *
 * @param colour of the background; without one the picture is whole again
 * @param foot   where the picture stands then, as its pixels tell
 */
@JsonTypeName("clear-background")
public record ClearBackground(String picture, Optional<Colour> colour, @Typed.OptionalShare Optional<Double> tolerance, @Typed.OptionalShare Optional<Double> softness,
                              Optional<Foot> foot) implements Edit {
    /** Near enough to a plain backdrop in a photograph. */
    public static final double TOLERANCE = 0.1;
    public static final double SOFTNESS = 0.08;

    /** What is taken out, absent where nothing is. */
    public Optional<Cleared> cleared() {
        return colour.map(c -> new Cleared(c, tolerance.orElse(TOLERANCE), softness.orElse(SOFTNESS)));
    }

    public ClearBackground standing(Optional<Foot> newFoot) {
        return new ClearBackground(picture, colour, tolerance, softness, newFoot);
    }

    @Override
    public Sheet apply(Sheet before) {
        before.picture(picture);
        return before.withShelf(before.shelf().stream().map(p -> p.id().equals(picture) ? p.cleared(cleared(), foot) : p).toList());
    }

    @Override
    public String title(Sheet before) {
        return (colour.isPresent() ? "Clear background: " : "Whole again: ") + before.picture(picture).name();
    }
}
