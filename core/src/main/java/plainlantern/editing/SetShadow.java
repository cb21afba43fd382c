package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Shadow;
import plainlantern.sheet.Sheet;

/**
 * Sets the shadow of panels; what is absent stays, and one that is not there yet begins as {@link Shadow#FIRST}.
 *
 * @param inside whether it is the one that falls into the panel
 * @param on     whether there is one; absent means yes
 */
@JsonTypeName("set-shadow")
public record SetShadow(List<String> panels, @Typed.Switch boolean inside, Optional<Boolean> on, @Typed.OptionalLength OptionalDouble distance,
                        @Typed.OptionalNumber OptionalDouble direction, @Typed.OptionalLength OptionalDouble blur, @Typed.OptionalLength OptionalDouble spread,
                        Optional<Colour> colour, @Typed.OptionalShare Optional<Double> opacity) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        return Finishes.changing(before, panels, inside ? f -> f.shadowedInside(changed(f.inner(), Shadow.FIRST_INNER.on(before)))
                : f -> f.shadowed(changed(f.shadow(), Shadow.FIRST.on(before))));
    }

    private Optional<Shadow> changed(Optional<Shadow> now, Shadow first) {
        if (!on.orElse(true)) return Optional.empty();
        Shadow was = now.orElse(first);
        double turn = direction.isPresent() ? Turns.normal(direction.getAsDouble()) : was.direction();
        return Optional.of(new Shadow(distance.orElse(was.distance()), (turn + 360) % 360, blur.orElse(was.blur()), spread.orElse(was.spread()), colour.orElse(was.colour()), opacity.orElse(was.opacity())));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(on.orElse(true) ? inside ? "Inner shadow" : "Shadow" : inside ? "No inner shadow" : "No shadow", before, panels);
    }
}
