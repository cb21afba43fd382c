package plainlantern.picture;

import java.time.LocalDateTime;
import java.util.Optional;

/**
 * What is known of a picture's file before its pixels are read.
 *
 * @param width      pixels across, upright
 * @param height     pixels down, upright
 * @param srgb       whether its colours are known to be sRGB as they stand
 * @param taken      when it was taken, by the camera's clock: EXIF 2.32 tag 0x9003
 */
public record PictureFile(FileKind kind, int width, int height, Orientation orientation, boolean srgb,
        Optional<LocalDateTime> taken, Stored stored) {
    private static final int RGB = 3;
    private static final int OURS = 4;

    /**
     * How its pixels come out of its decoder.
     *
     * @param bytes that a pixel takes
     * @param deep  whether it has more than eight bits a channel
     * @param rows  that can be read without those below them, 0 where it can only be read whole
     */
    public record Stored(int bytes, boolean deep, int rows) {
        private static final int AT_ONCE = 64;

        /** Rows that are read at once where the picture is wanted smaller, 0 where it is read whole. */
        public int band() {
            return rows == 0 ? 0 : (AT_ONCE + rows - 1) / rows * rows;
        }
    }

    /** Whether it can be decoded to a half, a quarter or an eighth from the start. */
    public boolean shrinks() {
        return kind == FileKind.JPEG && stored.bytes <= RGB && FastJpeg.available() || kind == FileKind.WEBP && FastWebp.available();
    }

    /** Whether it can be read in bands of rows, each made smaller as soon as it is there. */
    public boolean banded() {
        return stored.rows > 0;
    }

    /**
     * Bytes of the heap that decoding takes at most: the decoder's pixels, ours where they are others, and once more where they are turned
     * upright.
     */
    public long reading(int shrink) {
        long turned = orientation == Orientation.TOP_LEFT ? 0 : OURS;
        if (banded() && !shrinks() && shrink > 1) return pixels(shrink) * (OURS + turned) * (stored.deep ? 2 : 1)
                + (long) stored.band() * Math.max(width, height) * (stored.bytes + 2 * OURS);
        boolean atOnce = srgb && (shrinks() || plain());
        return pixels(shrinks() ? shrink : 1) * (atOnce ? Math.max(RGB, stored.bytes) + turned : stored.bytes + OURS + turned);
    }

    /** Whether it is decoded into our own form at once. */
    boolean plain() {
        return kind == FileKind.PNG && stored.bytes == RGB;
    }

    private long pixels(int by) {
        return (long) Reduction.smaller(width, by) * Reduction.smaller(height, by);
    }
}
