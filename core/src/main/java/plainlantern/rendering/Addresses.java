package plainlantern.rendering;

import java.util.Optional;
import plainlantern.scene.Scene.PaintedPicture;

/** Where what SVG shows as images is: files, addresses or data URIs. */
@FunctionalInterface
public interface Addresses {
    /** Of a picture's pixels, treated as it says. */
    String picture(PaintedPicture layer);

    /**
     * Of a mask of what a picture's veil leaves, over all of the picture, white where that is everything; empty where the picture's own
     * pixels have their veil on.
     */
    default Optional<String> veil(String element, PaintedPicture layer) {
        return Optional.empty();
    }
}
