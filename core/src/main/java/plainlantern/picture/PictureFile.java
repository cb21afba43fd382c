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
 * @param pixelBytes that a pixel takes as its decoder gives it
 * @param deep       whether it has more than eight bits a channel
 */
public record PictureFile(FileKind kind, int width, int height, Orientation orientation, boolean srgb,
        Optional<LocalDateTime> taken, int pixelBytes, boolean deep) {
    private static final int RGB = 3;
    private static final int OURS = 4;

    /** Whether it can be decoded to a half, a quarter or an eighth from the start. */
    public boolean shrinks() {
        return kind == FileKind.JPEG && pixelBytes <= RGB && FastJpeg.available();
    }

    /**
     * Bytes of the heap that decoding takes at most: the decoder's pixels, ours where they are others, and once more where they are turned
     * upright.
     */
    public long reading(int shrink) {
        long turned = orientation == Orientation.TOP_LEFT ? 0 : OURS;
        return pixels(shrink) * (srgb && (shrinks() || plain()) ? RGB + turned : pixelBytes + OURS + turned);
    }

    /** Whether it is decoded into our own form at once. */
    boolean plain() {
        return kind == FileKind.PNG && pixelBytes == RGB;
    }

    private long pixels(int shrink) {
        int by = shrinks() ? shrink : 1;
        return (long) ((width + by - 1) / by) * ((height + by - 1) / by);
    }
}
