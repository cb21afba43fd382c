package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Colour;
import plainlantern.sheet.GroundShadow;
import plainlantern.sheet.Sheet;

/**
 * Sets the ground shadow of floats and panels with a picture; what is absent stays, and one that is not there yet begins as {@link GroundShadow#FIRST}.
 *
 * @param on whether there is one; absent means yes
 */
@JsonTypeName("set-ground")
public record SetGround(List<String> panels, Optional<Boolean> on, @Typed.OptionalShare Optional<Double> width, @Typed.OptionalShare Optional<Double> flatness,
                        @Typed.OptionalShare Optional<Double> softness, @Typed.OptionalShare Optional<Double> opacity, @Typed.OptionalShare Optional<Double> down,
                        Optional<Colour> colour) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        BadInput.unless(before.panels(panels).stream().allMatch(p -> p.acting(-1) >= 0), "panels", "There is no picture in there that could stand on the ground.");
        return Finishes.changing(before, panels, f -> f.grounded(changed(f.ground())));
    }

    private Optional<GroundShadow> changed(Optional<GroundShadow> now) {
        if (!on.orElse(true)) return Optional.empty();
        GroundShadow was = now.orElse(GroundShadow.FIRST);
        return Optional.of(new GroundShadow(width.orElse(was.width()), flatness.orElse(was.flatness()), softness.orElse(was.softness()), opacity.orElse(was.opacity()),
                down.orElse(was.down()), colour.orElse(was.colour())));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(on.orElse(true) ? "Ground shadow" : "No ground shadow", before, panels);
    }
}
