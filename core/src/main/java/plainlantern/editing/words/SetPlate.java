package plainlantern.editing.words;

import com.fasterxml.jackson.annotation.JsonAnyGetter;
import com.fasterxml.jackson.annotation.JsonAnySetter;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Changes;
import plainlantern.editing.Titles;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Caption;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Content;
import plainlantern.sheet.Element;
import plainlantern.sheet.Look;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Wash;

/**
 * Sets the plate behind captions; what is absent stays.
 *
 * @param on     whether there is one; absent means yes
 * @param radius of its corners, mm
 * @param set    the opacity of its {@link Look}, see {@link Changes}
 */
@JsonTypeName("set-plate")
public record SetPlate(List<String> panels, Optional<Boolean> on, Optional<Colour> colour, @Typed.OptionalLength OptionalDouble radius,
        @JsonAnySetter @JsonAnyGetter Map<String, Object> set) implements WordsEdit {
    public SetPlate {
        set = Changes.only(set, List.of("opacity"));
    }

    @Override
    public Sheet apply(Sheet before) {
        boolean captions = before.elements(panels).stream().allMatch(e -> e.caption().isPresent());
        BadInput.unless(captions, "panels", "Only captions have a plate.");
        return before.changing(panels, e -> e.caption().<Element>map(caption -> plated(caption, before)).orElse(e));
    }

    private Caption plated(Caption caption, Sheet sheet) {
        List<Content> layers = new ArrayList<>(caption.content());
        Wash was = caption.plate().orElse(Wash.plain(Colour.WHITE));
        if (caption.plate().isPresent()) layers.remove(0);
        if (on.orElse(true)) layers.add(0, colour.map(c -> Wash.plain(c).veiled(was.veil())).orElse(was)
                .looking(Changes.onto(was.look(), set, sheet)));
        Caption next = caption.withContent(layers);
        return radius.isEmpty() ? next : next.withOutline(Rectangle.rounded(radius.getAsDouble()));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(on.orElse(true) ? "Plate" : "No plate", before, panels);
    }
}
