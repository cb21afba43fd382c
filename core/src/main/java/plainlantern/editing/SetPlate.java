package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Typed;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Content;
import plainlantern.sheet.Content.Wash;
import plainlantern.sheet.Look;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Role;
import plainlantern.sheet.Sheet;

/**
 * Sets the plate behind captions; what is absent stays.
 *
 * @param on     whether there is one; absent means yes
 * @param radius of its corners, mm
 */
@JsonTypeName("set-plate")
public record SetPlate(List<String> panels, Optional<Boolean> on, Optional<Colour> colour, @Typed.OptionalShare Optional<Double> opacity,
                       @Typed.OptionalLength OptionalDouble radius) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        BadInput.unless(before.panels(panels).stream().allMatch(p -> p.role() == Role.CAPTION), "panels", "Only captions have a plate.");
        return before.changing(panels, this::plated);
    }

    private Panel plated(Panel caption) {
        List<Content> layers = new ArrayList<>(caption.content());
        Wash was = Wash.plain(Colour.WHITE);
        if (!layers.isEmpty() && layers.get(0) instanceof Wash plate) {
            was = plate;
            layers.remove(0);
        }
        if (on.orElse(true)) {
            Wash plate = colour.map(Wash::plain).orElse(was);
            layers.add(0, plate.looking(new Look(opacity.orElse(was.look().opacity()), was.look().blend())));
        }
        Panel next = caption.withContent(layers);
        if (radius.isEmpty()) return next;
        double r = radius.getAsDouble();
        return next.withOutline(new Rectangle(r, r, r, r));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(on.orElse(true) ? "Plate" : "No plate", before, panels);
    }
}
