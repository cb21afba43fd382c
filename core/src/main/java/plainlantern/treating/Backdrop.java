package plainlantern.treating;

import plainlantern.sheet.Cleared;

/** Takes a plain background out of pixels: see {@link Cleared}. */
public final class Backdrop {
    private Backdrop() {}

    /**
     * What is near the background's colour becomes clear. At the soft edge the background's share is taken out of the colour, too,
     * so that no fringe of it stays. Pixels that change have eight bits from then on.
     */
    public static void remove(Cleared clear, Patch patch) {
        int[] argb = patch.argb();
        double[] key = Lab.of(clear.colour().rgb());
        int last = 0;
        int made = 0;
        for (int i = 0; i < argb.length; i++) {
            if (argb[i] != last) {
                last = argb[i];
                made = cleared(last, key, clear);
            }
            if (made != argb[i] && patch.finer().isPresent()) patch.finer().get()[i] = made;
            argb[i] = made;
        }
    }

    private static int cleared(int pixel, double[] key, Cleared clear) {
        int alpha = pixel >>> 24;
        if (alpha == 0) return 0;
        int own = Alpha.straight(pixel) & 0xFFFFFF;
        double far = Lab.distance(Lab.of(own), key) / 100 - clear.tolerance();
        double share = far <= 0 ? 0 : far >= clear.softness() ? 1 : far / clear.softness();
        if (share == 1) return pixel;
        if (share == 0) return 0;
        int out = (int) (alpha * share + 0.5) << 24;
        for (int c = 0; c < 3; c++) {
            double left = ((own >> 16 - 8 * c & 0xFF) - (1 - share) * (clear.colour().rgb() >> 16 - 8 * c & 0xFF)) * alpha / 255;
            out |= (int) Math.max(0, Math.min(alpha * share, left) + 0.5) << 16 - 8 * c;
        }
        return out;
    }
}
