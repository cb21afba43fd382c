package plainlantern.treating;

import java.util.function.Consumer;
import plainlantern.sheet.Balance;
import plainlantern.sheet.Levels;

/**
 * How many pixels have which value, of red, green and blue as stored, and how many have lost something at either end.
 *
 * @param counts red, green and blue; 64 counts each
 * @param dark   share of the pixels of which a channel is black
 * @param light  share of the pixels of which a channel is white
 */
public record Histogram(int[][] counts, double dark, double light) {
    public static final int STEPS = 64;
    /** So many pixels may be beyond the points that are proposed (common practice). */
    private static final double BEYOND = 0.001;
    private static final int FINE = 1000;

    /** Of the pixels that are more seen than clear. */
    public static Histogram of(Patch patch) {
        int[][] counts = new int[3][STEPS];
        int all = 0;
        int dark = 0;
        int light = 0;
        for (int pixel : patch.argb()) {
            int alpha = pixel >>> 24;
            if (alpha < 128) continue;
            all++;
            boolean black = false;
            boolean white = false;
            for (int i = 0; i < 3; i++) {
                int value = Math.min(255, (pixel >> 16 - 8 * i & 0xFF) * 255 / alpha);
                counts[i][value * STEPS / 256]++;
                black |= value == 0;
                white |= value == 255;
            }
            if (black) dark++;
            if (white) light++;
        }
        return new Histogram(counts, all == 0 ? 0 : (double) dark / all, all == 0 ? 0 : (double) light / all);
    }

    /**
     * The points that make the darkest thousandth of a picture black and the lightest white; neutral if every pixel
     * is more than half transparent.
     *
     * @param patch   before a tone
     * @param balance of that tone, which comes first
     */
    public static Levels evened(Patch patch, Balance balance) {
        int[] counts = new int[FINE + 1];
        int all = 0;
        float[] c = new float[3];
        Consumer<float[]> before = Colouration.before(balance, Levels.NEUTRAL);
        for (int pixel : patch.argb()) {
            if (pixel >>> 24 < 128) continue;
            Toning.stored(pixel, c);
            before.accept(c);
            float l = OkLab.lightness(Curve.light(c[0]), Curve.light(c[1]), Curve.light(c[2]));
            counts[(int) (Math.max(0, Math.min(1, l)) * FINE)]++;
            all++;
        }
        if (all == 0) return Levels.NEUTRAL;
        int black = 0;
        for (int sum = counts[0]; black < FINE / 2 && sum <= BEYOND * all; sum += counts[++black]) continue;
        int white = 0;
        for (int sum = counts[FINE]; white < FINE / 2 && sum <= BEYOND * all; sum += counts[FINE - ++white]) continue;
        return new Levels(Math.min(0.45, hundredth(black)), Math.min(0.45, hundredth(white)), 0, 0, 0, 0, 0);
    }

    private static double hundredth(int thousandths) {
        return Math.floor(thousandths / 10.0) / 100;
    }
}
