package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import plainlantern.asking.Typed;
import plainlantern.editing.Remark;
import plainlantern.editing.Titles;
import plainlantern.geometry.Point;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;

/**
 * Puts the middle of the picture at exact mm from the middle of its panel; what is absent stays.
 *
 * @param whole whether slices move their whole vista, in the sheet's frame, instead of being nudged against it
 */
@JsonTypeName("centre-picture")
public record CentrePicture(List<String> panels, @Typed.OptionalLength OptionalDouble across,
                            @Typed.OptionalLength OptionalDouble down, @Typed.Switch boolean whole, @Typed.Layer int layer)
                                    implements FillingEdit {
    @Override
    public Sheet apply(Sheet before) {
        return Pictures.placing(before, panels, whole, layer, (placement, sitting) -> {
            Point middle = sitting.pivot(whole);
            return placement.at(new Point(across.isPresent() ? middle.x() + across.getAsDouble() : placement.centre().x(),
                    down.isPresent() ? middle.y() + down.getAsDouble() : placement.centre().y()));
        });
    }

    @Override
    public Optional<Remark> remark(Sheet before, Sheet after) {
        Holder panel = before.holders(panels).stream().filter(p -> p.acting(layer) >= 0).findFirst().orElseThrow();
        Point middle = Pictures.centre(after, after.holder(panel.id()), whole, layer);
        double off = Math.max(Math.abs(across.orElse(middle.x()) - middle.x()), Math.abs(down.orElse(middle.y()) - middle.y()));
        if (off < 0.005) return Optional.empty();
        return Optional.of(Remark.of("It stops at " + before.length(middle.x()) + " across, " + before.length(middle.y())
                + " down: farther, an edge would show. Untick “Stay covered” to go on."));
    }

    @Override
    public String title(Sheet before) {
        return Titles.ofPicture("Move", whole, before, panels);
    }
}
