package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonCreator;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.BadInput;

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
 * @param treatment what is done to it on the shelf, and with what new uses of it begin
 */
public record Picture(String id, String name, int width, int height, Optional<Focal> focal, Optional<LocalDateTime> taken,
        Optional<Foot> foot, Treatment treatment) {
    /** A picture of which no more is known. */
    public Picture(String id, String name, int width, int height) {
        this(id, name, width, height, Optional.empty(), Optional.empty(), Optional.empty(), Treatment.NONE);
    }

    @JsonCreator
    public Picture {
        focal = focal == null ? Optional.empty() : focal;
        taken = taken == null ? Optional.empty() : taken;
        foot = foot == null ? Optional.empty() : foot;
        treatment = treatment == null ? Treatment.NONE : treatment;
        Ids.picture(id);
        BadInput.unless(width > 0 && height > 0, "picture", "A picture has one pixel at least.");
    }

    /** The same with another focal point, or none. */
    public Picture focused(Optional<Focal> newFocal) {
        return new Picture(id, name, width, height, newFocal, taken, foot, treatment);
    }

    /** The same treated so, and where it stands then. */
    public Picture treated(Treatment newTreatment, Optional<Foot> newFoot) {
        return new Picture(id, name, width, height, focal, taken, newFoot, newTreatment);
    }

    /** What is painted of it on the shelf. */
    public Treated shown() {
        return new Treated(id, treatment.cleared(), List.of(), Optional.empty());
    }
}
