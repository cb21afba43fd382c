package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.Optional;

/** Where a layer's pixels come from. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({@JsonSubTypes.Type(Source.Own.class), @JsonSubTypes.Type(Source.Slice.class)})
public sealed interface Source {
    /** It as a picture of the panel's own, where it is one. */
    default Optional<Own> own() {
        return Optional.empty();
    }

    /** It as a slice of a vista, where it is one. */
    default Optional<Slice> slice() {
        return Optional.empty();
    }

    /**
     * A picture of the panel's own.
     *
     * @param picture the picture's id, see {@link Picture}
     */
    @JsonTypeName("own")
    record Own(String picture) implements Source {
        public Own {
            Ids.picture(picture);
        }

        @Override
        public Optional<Own> own() {
            return Optional.of(this);
        }
    }

    /**
     * What a panel shows of a vista.
     *
     * @param vista the vista's id
     * @param home  where the panel was when it began to carry its slice along; absent while the panel looks through
     */
    @JsonTypeName("slice")
    record Slice(String vista, Optional<Seat> home) implements Source {
        public Slice {
            Ids.checked(vista);
            home = home == null ? Optional.empty() : home;
        }

        @Override
        public Optional<Slice> slice() {
            return Optional.of(this);
        }

        public boolean carried() {
            return home.isPresent();
        }
    }
}
