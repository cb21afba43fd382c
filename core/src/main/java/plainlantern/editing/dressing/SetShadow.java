package plainlantern.editing.dressing;

import com.fasterxml.jackson.annotation.JsonAnyGetter;
import com.fasterxml.jackson.annotation.JsonAnySetter;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import plainlantern.asking.Typed;
import plainlantern.editing.Changes;
import plainlantern.editing.Titles;
import plainlantern.editing.Turns;
import plainlantern.sheet.Shadow;
import plainlantern.sheet.Sheet;

/**
 * Sets the shadow of panels; one that is not there yet begins as {@link Shadow#FIRST}.
 *
 * @param inside whether it is the one that falls into the panel
 * @param on     whether there is one; absent means yes
 * @param set    of {@link Shadow}, see {@link Changes}
 */
@JsonTypeName("set-shadow")
public record SetShadow(List<String> panels, @Typed.Switch boolean inside, Optional<Boolean> on,
        @JsonAnySetter @JsonAnyGetter Map<String, Object> set) implements DressingEdit {
    public SetShadow {
        set = Changes.only(set, List.of("distance", "direction", "blur", "spread", "colour", "opacity"));
    }

    @Override
    public Sheet apply(Sheet before) {
        return Finishes.changing(before, panels, inside ? f -> f.shadowedInside(changed(f.inner(), Shadow.FIRST_INNER, before))
                : f -> f.shadowed(changed(f.shadow(), Shadow.FIRST, before)));
    }

    private Optional<Shadow> changed(Optional<Shadow> now, Shadow first, Sheet sheet) {
        if (!on.orElse(true)) return Optional.empty();
        Shadow next = Changes.onto(now.orElse(first.on(sheet)), set, sheet);
        return Optional.of(next.towards((Turns.normal(next.direction()) + 360) % 360));
    }

    @Override
    public String title(Sheet before) {
        String what = inside ? "inner shadow" : "shadow";
        return Titles.of(on.orElse(true) ? what.substring(0, 1).toUpperCase(Locale.ROOT) + what.substring(1)
                : "No " + what, before, panels);
    }
}
