package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.Optional;
import java.util.OptionalDouble;
import plainlantern.sheet.Focal;
import plainlantern.sheet.Sheet;

/** Sets the focal point of a picture on the shelf, as shares of its width and height; without them it is taken away. */
@JsonTypeName("set-focal")
public record SetFocal(String picture, OptionalDouble x, OptionalDouble y) implements FillingEdit {
    @Override
    public Sheet apply(Sheet before) {
        before.picture(picture);
        Optional<Focal> focal = x.isPresent() && y.isPresent() ? Optional.of(new Focal(x.getAsDouble(), y.getAsDouble()))
                : Optional.empty();
        return before.withShelf(before.shelf().stream().map(p -> p.id().equals(picture) ? p.focused(focal) : p).toList());
    }

    @Override
    public String title(Sheet before) {
        return (x.isPresent() ? "Focal point: " : "No focal point: ") + before.picture(picture).name();
    }
}
