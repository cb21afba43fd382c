package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonCreator;
import java.time.LocalDateTime;
import java.util.Optional;
import plainlantern.geometry.BadInput;

/**
 * A picture on the shelf.
 *
 * @param id     SHA-256 of the original file, 64 lower-case hex digits
 * @param name   what people call it, at first the file's name
 * @param width  pixels across, upright
 * @param height pixels down, upright
 * @param focal  the spot that must be seen, where a person has set one or the program proposes one
 * @param taken  when it was taken, by the camera's clock, where its file says so
 * @param foot   where it stands, for one that can be seen through in places; absent for one that covers its whole box
 * @param clear  the plain background that is taken out of it
 */
public record Picture(String id, String name, int width, int height, Optional<Focal> focal, Optional<LocalDateTime> taken, Optional<Foot> foot, Optional<Cleared> clear) {
    /** A picture of which no more is known. */
    public Picture(String id, String name, int width, int height) {
        this(id, name, width, height, Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());
    }

    @JsonCreator
    public Picture {
        focal = focal == null ? Optional.empty() : focal;
        taken = taken == null ? Optional.empty() : taken;
        foot = foot == null ? Optional.empty() : foot;
        clear = clear == null ? Optional.empty() : clear;
        BadInput.unless(id.matches("[0-9a-f]{64}"), "picture", "A picture's id is a SHA-256 in hex.");
        BadInput.unless(width > 0 && height > 0, "picture", "A picture has one pixel at least.");
    }

    /** The same with another focal point, or none. */
    public Picture focused(Optional<Focal> newFocal) {
        return new Picture(id, name, width, height, newFocal, taken, foot, clear);
    }

    /** The same with that background taken out, and where it stands then. */
    public Picture cleared(Optional<Cleared> newClear, Optional<Foot> newFoot) {
        return new Picture(id, name, width, height, focal, taken, newFoot, newClear);
    }
}
