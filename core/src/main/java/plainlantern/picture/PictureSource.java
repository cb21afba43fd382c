package plainlantern.picture;

import java.awt.image.BufferedImage;
import java.util.Optional;

/** Where a rendering gets its pixels from. */
@FunctionalInterface
public interface PictureSource {
    /**
     * The picture with that id, upright, in interleaved bytes (see {@link PictureReader#decode}).
     *
     * @param share how large a pixel of the picture will be in the output, in output pixels; the image returned may be
     *              a smaller copy as long as it still has that many pixels, any proportional size is understood
     */
    BufferedImage image(String id, double share);

    /** The file that the picture was imported as, where it is at hand. */
    default Optional<byte[]> original(String id) {
        return Optional.empty();
    }
}
