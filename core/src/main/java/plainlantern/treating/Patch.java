package plainlantern.treating;

import java.awt.image.BufferedImage;
import plainlantern.geometry.Affine;

/**
 * Pixels on their way from a picture to an output.
 *
 * @param argb      row by row, 0xAARRGGBB, alpha multiplied in; treated in place
 * @param toPicture from its pixels, measured from its top left edge, to shares of the picture's width and height
 */
public record Patch(int[] argb, int width, int height, Affine toPicture) {
    /** All of a picture, of interleaved bytes. */
    public static Patch of(BufferedImage whole) {
        return new Patch(Pixels.of(whole), whole.getWidth(), whole.getHeight(),
                Affine.scale(1.0 / whole.getWidth(), 1.0 / whole.getHeight()));
    }
}
