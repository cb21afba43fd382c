package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.Optional;

/**
 * A picture that hangs in a plane seen at an angle.
 *
 * @param seen the plane, in the panel's own frame
 * @param hung how the picture lies in the plane
 */
@JsonTypeName("mounted")
public record Mounted(Plane seen, Flat hung) implements Placement {
    @Override
    public Optional<Flat> flat() {
        return Optional.of(hung);
    }

    @Override
    public Optional<Plane> plane() {
        return Optional.of(seen);
    }
}
