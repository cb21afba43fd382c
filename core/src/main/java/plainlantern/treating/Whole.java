package plainlantern.treating;

import java.util.Optional;

/** What a treatment may have to know beyond the pixels at hand. */
public interface Whole {
    /** Pixels along the longer side of the picture as it is at hand. */
    int longer();

    /** All of the picture before any treatment, as a patch that may be changed, so many pixels along its longer side. */
    Patch small(int longer);

    /** The picture's own pixels, upright. */
    int width();

    int height();

    /** The table of colours with that id, where it is at hand. */
    Optional<ColourMap> table(String id);
}
