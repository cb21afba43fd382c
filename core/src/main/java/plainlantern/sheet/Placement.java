package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.Optional;

/** Where a layer's picture lies: flat in its panel, mounted in a plane seen at an angle, or nudged against its vista. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({@JsonSubTypes.Type(Flat.class), @JsonSubTypes.Type(Mounted.class),
        @JsonSubTypes.Type(Nudge.class)})
public sealed interface Placement permits Flat, Mounted, Nudge {
    /** How it lies in its panel, or in the plane that it is mounted in. */
    default Optional<Flat> flat() {
        return Optional.empty();
    }

    default Optional<Plane> plane() {
        return Optional.empty();
    }

    default Optional<Nudge> nudge() {
        return Optional.empty();
    }
}
