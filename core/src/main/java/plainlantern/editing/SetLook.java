package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Blend;
import plainlantern.sheet.Content;
import plainlantern.sheet.Sheet;

/** Sets how a layer of panels meets what lies behind it; what is absent stays. */
@JsonTypeName("set-look")
public record SetLook(List<String> panels, @Typed.Layer int layer, @Typed.OptionalShare Optional<Double> opacity, Optional<Blend> blend,
        Optional<Boolean> off) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        return Layers.changing(before, panels, layer, Content.class,
                content -> content.looking(content.look().with(opacity, blend).switchedOff(off.orElse(content.look().off()))));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(off.isPresent() ? off.get() ? "Layer off" : "Layer on" : blend.isPresent() ? "Blend: " + blend.get().title()
                : "Opacity", before, panels);
    }
}
