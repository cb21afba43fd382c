package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.Optional;

/** One layer of what a panel shows. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
public sealed interface Content {
    /**
     * A picture of the panel's own.
     *
     * @param picture the picture's id, see {@link Picture}
     * @param held    whether moves and zooms stop before an edge of the picture shows
     */
    @JsonTypeName("picture")
    record OwnPicture(String picture, Fit fit, Placement placement, boolean held) implements Content {
        public OwnPicture settled(Fit newFit, Placement newPlacement) {
            return new OwnPicture(picture, newFit, newPlacement, held);
        }
    }

    /**
     * What a panel shows of a vista.
     *
     * @param vista the vista's id
     * @param home  where the panel was when it began to carry its slice along; absent while the panel looks through
     * @param nudge the slice's own small shift against the vista
     */
    @JsonTypeName("slice")
    record VistaSlice(String vista, Optional<Seat> home, Nudge nudge) implements Content {
        public boolean carried() {
            return home.isPresent();
        }

        public VistaSlice nudged(Nudge newNudge) {
            return new VistaSlice(vista, home, newNudge);
        }
    }
}
