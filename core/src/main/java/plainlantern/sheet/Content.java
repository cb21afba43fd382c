package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.JsonTypeName;

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
}
