package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.OptionalDouble;
import plainlantern.geometry.Point;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Sheet;

/**
 * Puts the middle of the picture at exact mm from the middle of its panel; what is absent stays.
 *
 * @param whole whether slices move their whole vista, in the sheet's frame, instead of being nudged against it
 */
@JsonTypeName("centre-picture")
public record CentrePicture(List<String> panels, @Typed.OptionalLength OptionalDouble across,
                            @Typed.OptionalLength OptionalDouble down, @Typed.Switch boolean whole, @Typed.Layer int layer) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        return Pictures.placing(before, panels, whole, layer, (placement, sitting) -> {
            Point middle = whole ? sitting.middle() : Point.ORIGIN;
            return placement.at(new Point(across.isPresent() ? middle.x() + across.getAsDouble() : placement.centre().x(),
                    down.isPresent() ? middle.y() + down.getAsDouble() : placement.centre().y()));
        });
    }

    @Override
    public String title(Sheet before) {
        return Titles.ofPicture("Move", whole, before, panels);
    }
}
