package plainlantern.treating;

/** Alpha multiplied into eight bits of a colour and taken out of them again, each to the nearest. */
public final class Alpha {
    private Alpha() {}

    /** A value of which so much counts, 0 to 255. */
    public static int times(int value, int alpha) {
        return (value * alpha + 127) / 255;
    }

    /** The value that alpha was multiplied into; where nothing is seen, what is there. */
    public static int without(int value, int alpha) {
        return alpha == 255 || alpha == 0 ? value : Math.min(255, (value * 255 + alpha / 2) / alpha);
    }

    /** A pixel, alpha multiplied into its colours, of which only a share is seen. */
    public static int thinned(int pixel, double share) {
        if (share >= 1) return pixel;
        int out = 0;
        for (int shift = 0; shift < 32; shift += 8) out |= (int) ((pixel >>> shift & 0xFF) * share + 0.5) << shift;
        return out;
    }

    /** A pixel whose alpha is to be multiplied into its colours. */
    public static int multiplied(int pixel) {
        int alpha = pixel >>> 24;
        return alpha == 255 ? pixel : alpha << 24 | times(pixel >> 16 & 0xFF, alpha) << 16 | times(pixel >> 8 & 0xFF, alpha) << 8
                | times(pixel & 0xFF, alpha);
    }

    /** A pixel whose alpha is multiplied into its colours, without. */
    public static int straight(int pixel) {
        int alpha = pixel >>> 24;
        return alpha == 255 || alpha == 0 ? pixel : alpha << 24 | without(pixel >> 16 & 0xFF, alpha) << 16
                | without(pixel >> 8 & 0xFF, alpha) << 8 | without(pixel & 0xFF, alpha);
    }
}
