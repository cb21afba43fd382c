package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonAnyGetter;
import com.fasterxml.jackson.annotation.JsonAnySetter;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import plainlantern.asking.Typed;
import plainlantern.editing.Changes;
import plainlantern.editing.Looks;
import plainlantern.editing.Titles;
import plainlantern.sheet.Look;
import plainlantern.sheet.Sheet;

/**
 * Sets how a layer of panels meets what lies behind it.
 *
 * @param set of {@link Look}, see {@link Changes}
 */
@JsonTypeName("set-look")
public record SetLook(List<String> panels, @Typed.Layer int layer, @JsonAnySetter @JsonAnyGetter Map<String, Object> set)
        implements FillingEdit {
    public SetLook {
        set = Changes.only(set, List.of("opacity", "blend", "off"));
    }

    @Override
    public Sheet apply(Sheet before) {
        return Layers.changing(before, panels, layer, Optional::of, content -> content.looking(Changes.onto(content.look(), set, before)));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(Looks.title(Look.PLAIN, set, before), before, panels);
    }
}
