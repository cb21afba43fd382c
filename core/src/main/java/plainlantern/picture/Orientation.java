package plainlantern.picture;

import java.awt.image.BufferedImage;

/**
 * How stored pixels have to be turned to stand upright: EXIF 2.32, tag 0x0112. The names say which side of the upright
 * picture the stored first row and first column are.
 */
public enum Orientation {
    TOP_LEFT, TOP_RIGHT, BOTTOM_RIGHT, BOTTOM_LEFT, LEFT_TOP, RIGHT_TOP, RIGHT_BOTTOM, LEFT_BOTTOM;

    /** The orientation with that EXIF value, 1 to 8; any other value counts as upright, as readers commonly do. */
    public static Orientation of(int exif) {
        return exif >= 1 && exif <= 8 ? values()[exif - 1] : TOP_LEFT;
    }

    /** Whether width and height change places. */
    public boolean swapsSides() {
        return ordinal() >= LEFT_TOP.ordinal();
    }

    /** The upright picture; the same object when nothing has to be done. Takes images with interleaved samples. */
    public BufferedImage upright(BufferedImage stored) {
        if (this == TOP_LEFT) return stored;
        int width = swapsSides() ? stored.getHeight() : stored.getWidth();
        int height = swapsSides() ? stored.getWidth() : stored.getHeight();
        BufferedImage out = Srgb.like(stored, width, height);
        Object from = Srgb.samples(stored.getRaster());
        Object to = Srgb.samples(out.getRaster());
        int bands = stored.getRaster().getNumBands();
        int right = width - 1;
        int bottom = height - 1;
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                int column = switch (this) {
                    case TOP_LEFT, BOTTOM_LEFT -> x;
                    case TOP_RIGHT, BOTTOM_RIGHT -> right - x;
                    case LEFT_TOP, RIGHT_TOP -> y;
                    case RIGHT_BOTTOM, LEFT_BOTTOM -> bottom - y;
                };
                int row = switch (this) {
                    case TOP_LEFT, TOP_RIGHT -> y;
                    case BOTTOM_RIGHT, BOTTOM_LEFT -> bottom - y;
                    case LEFT_TOP, LEFT_BOTTOM -> x;
                    case RIGHT_TOP, RIGHT_BOTTOM -> right - x;
                };
                System.arraycopy(from, (row * stored.getWidth() + column) * bands, to, (y * width + x) * bands, bands);
            }
        }
        return out;
    }
}
