package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.OptionalDouble;
import plainlantern.geometry.Point;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Sheet;

/** Puts the middle of the picture at exact mm from the middle of its panel; what is absent stays. */
@JsonTypeName("centre-picture")
public record CentrePicture(List<String> panels, @Typed.OptionalLength OptionalDouble across,
                            @Typed.OptionalLength OptionalDouble down) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        return Pictures.placing(before, panels, (placement, sitting) -> placement.at(new Point(
                across.orElse(placement.centre().x()), down.orElse(placement.centre().y()))));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Move picture", before, panels);
    }
}
