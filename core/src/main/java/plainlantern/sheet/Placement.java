package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.Optional;

/** Where a layer's picture lies: flat in its panel, or nudged against its vista. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({@JsonSubTypes.Type(Flat.class), @JsonSubTypes.Type(Nudge.class)})
public sealed interface Placement permits Flat, Nudge {
    default Optional<Flat> flat() {
        return Optional.empty();
    }

    default Optional<Nudge> nudge() {
        return Optional.empty();
    }
}
