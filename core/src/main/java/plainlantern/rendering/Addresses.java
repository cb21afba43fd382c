package plainlantern.rendering;

import java.util.Optional;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.scene.Scene;

/** Where what SVG shows as images is: files, addresses or data URIs. */
@FunctionalInterface
public interface Addresses {
    /** Of a picture's pixels, treated as it says. */
    String picture(PaintedPicture layer);

    /**
     * Of a mask of what a layer's veil leaves, over all that its {@link Scene.Mask} is told for, white where that is everything; empty
     * where a picture's own pixels have their veil on.
     */
    default Optional<String> veil(String element, Scene.Layer layer) {
        return Optional.empty();
    }
}
