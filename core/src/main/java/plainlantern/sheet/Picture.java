package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonCreator;
import java.util.Optional;
import plainlantern.geometry.BadInput;

/**
 * A picture on the shelf.
 *
 * @param id     SHA-256 of the original file, 64 lower-case hex digits
 * @param name   what people call it, at first the file's name
 * @param width  pixels across, upright
 * @param height pixels down, upright
 * @param focal  the spot that must be seen, where a person has set one
 */
public record Picture(String id, String name, int width, int height, Optional<Focal> focal) {
    /** A picture whose focal point nobody has set. */
    public Picture(String id, String name, int width, int height) {
        this(id, name, width, height, Optional.empty());
    }

    @JsonCreator
    public Picture {
        focal = focal == null ? Optional.empty() : focal;
        BadInput.unless(id.matches("[0-9a-f]{64}"), "picture", "A picture's id is a SHA-256 in hex.");
        BadInput.unless(width > 0 && height > 0, "picture", "A picture has one pixel at least.");
    }
}
