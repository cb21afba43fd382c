package plainlantern.editing.dressing;

import com.fasterxml.jackson.annotation.JsonAnyGetter;
import com.fasterxml.jackson.annotation.JsonAnySetter;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Changes;
import plainlantern.editing.Titles;
import plainlantern.sheet.GroundShadow;
import plainlantern.sheet.Sheet;

/**
 * Sets the ground shadow of floats and panels with a picture; one that is not there yet begins as {@link GroundShadow#FIRST}.
 *
 * @param on  whether there is one; absent means yes
 * @param set of {@link GroundShadow}, see {@link Changes}
 */
@JsonTypeName("set-ground")
public record SetGroundShadow(List<String> panels, Optional<Boolean> on, @JsonAnySetter @JsonAnyGetter Map<String, Object> set)
        implements DressingEdit {
    public SetGroundShadow {
        set = Changes.only(set, List.of("width", "flatness", "softness", "opacity", "down", "colour"));
    }

    @Override
    public Sheet apply(Sheet before) {
        boolean all = before.elements(panels).stream().allMatch(e -> e.holder().map(h -> h.acting(Typed.FRONTMOST) >= 0).orElse(false));
        BadInput.unless(all, "panels", "There is no picture in there that could stand on the ground.");
        return Finishes.changing(before, panels, f -> f.grounded(on.orElse(true)
                ? Optional.of(Changes.onto(f.ground().orElse(GroundShadow.FIRST), set, before)) : Optional.empty()));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(on.orElse(true) ? "Ground shadow" : "No ground shadow", before, panels);
    }
}
