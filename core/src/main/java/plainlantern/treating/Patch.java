package plainlantern.treating;

import java.awt.image.BufferedImage;
import java.util.Optional;
import plainlantern.geometry.Affine;

/**
 * Pixels on their way from a picture to an output.
 *
 * @param argb      row by row, 0xAARRGGBB, alpha multiplied in; treated in place
 * @param finer     of pixels with sixteen bits a channel the lower eight, packed likewise: {@code argb} has the upper ones
 * @param toPicture from its pixels, measured from its top left edge, to shares of the picture's width and height
 */
public record Patch(int[] argb, Optional<int[]> finer, int width, int height, Affine toPicture) {
    /** What a level of 255 is in sixteen bits. */
    private static final int LEVEL = 257;

    /** Of eight bits a channel. */
    public Patch(int[] argb, int width, int height, Affine toPicture) {
        this(argb, Optional.empty(), width, height, toPicture);
    }

    /** All of a picture, of interleaved samples of eight or sixteen bits. */
    public static Patch of(BufferedImage whole) {
        return Pixels.of(whole);
    }

    /** The colour of a pixel, 0 to 1, alpha taken out. */
    void colour(int i, float[] c) {
        if (finer.isEmpty()) {
            Toning.stored(argb[i], c);
            return;
        }
        float alpha = deep(i, 24);
        for (int k = 0; k < 3; k++) c[k] = alpha == 0 ? 0 : Math.min(1, deep(i, 16 - 8 * k) / alpha);
    }

    /** Gives a pixel another colour; what is beyond black and white is cut off. */
    void recolour(int i, float[] c) {
        if (finer.isEmpty()) {
            argb[i] = Toning.pixel(argb[i] >>> 24, c);
            return;
        }
        int alpha = deep(i, 24);
        for (int k = 0; k < 3; k++) put(i, 16 - 8 * k, Math.max(0, Math.min(1, c[k])) * alpha, alpha);
    }

    /** Adds as much to each colour, of 255. */
    void add(int i, float more) {
        int alpha = finer.isEmpty() ? argb[i] >>> 24 : deep(i, 24);
        for (int shift = 0; shift < 24; shift += 8) {
            if (finer.isPresent()) put(i, shift, deep(i, shift) + more * LEVEL, alpha);
            else argb[i] = argb[i] & ~(0xFF << shift) | rounded((argb[i] >> shift & 0xFF) + more, alpha) << shift;
        }
    }

    /** The brightness of a pixel as stored, of 255, alpha multiplied in. */
    float luma(int i) {
        int p = argb[i];
        float luma = 0.2126f * (p >> 16 & 0xFF) + 0.7152f * (p >> 8 & 0xFF) + 0.0722f * (p & 0xFF);
        return finer.isEmpty() ? luma : (0.2126f * deep(i, 16) + 0.7152f * deep(i, 8) + 0.0722f * deep(i, 0)) / LEVEL;
    }

    /** Ends with the nearest values of eight bits. */
    void settle() {
        if (finer.isEmpty()) return;
        for (int i = 0; i < argb.length; i++) {
            int out = 0;
            for (int shift = 0; shift < 32; shift += 8) out |= (deep(i, shift) + LEVEL / 2) / LEVEL << shift;
            argb[i] = out;
        }
    }

    private int deep(int i, int shift) {
        return (argb[i] >>> shift & 0xFF) << 8 | finer.orElseThrow()[i] >>> shift & 0xFF;
    }

    private void put(int i, int shift, float value, int most) {
        deepen(i, shift, rounded(value, most));
    }

    /** Sets a channel of sixteen bits; alpha is at {@code shift} 24, red at 16. */
    void deepen(int i, int shift, int value) {
        int[] lower = finer.orElseThrow();
        argb[i] = argb[i] & ~(0xFF << shift) | value >> 8 << shift;
        lower[i] = lower[i] & ~(0xFF << shift) | (value & 0xFF) << shift;
    }

    private static int rounded(float value, int most) {
        int rounded = (int) (value + 0.5f);
        return rounded < 0 ? 0 : Math.min(rounded, most);
    }
}
