package plainlantern.picture;

import java.awt.image.BufferedImage;

/**
 * An image from top to bottom, its rows made when they are asked for, each of them once: however large it is, few of them are in
 * memory.
 */
public interface Rows extends AutoCloseable {
    /** Pixels across. */
    int width();

    /** Pixels down. */
    int height();

    /** Whether no pixel can be seen through. */
    boolean opaque();

    /**
     * The next rows, whole ones: pixels 0xAARRGGBB, alpha not multiplied in. As many as come to hand, one at least; not asked for after the
     * last.
     */
    int[] next();

    /** Frees what the rows hold, whether or not all of them were asked for; afterwards nothing works on them any more. */
    @Override
    default void close() {}

    /** Those of an image that is in memory. */
    static Rows of(BufferedImage image) {
        int most = Math.max(1, (1 << 18) / image.getWidth());
        return new Rows() {
            private int told;

            @Override
            public int width() {
                return image.getWidth();
            }

            @Override
            public int height() {
                return image.getHeight();
            }

            @Override
            public boolean opaque() {
                return !image.getColorModel().hasAlpha();
            }

            @Override
            public int[] next() {
                int rows = Math.min(most, image.getHeight() - told);
                int[] pixels = image.getRGB(0, told, image.getWidth(), rows, null, 0, image.getWidth());
                told += rows;
                return pixels;
            }
        };
    }
}
