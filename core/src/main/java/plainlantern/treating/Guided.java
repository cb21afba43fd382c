package plainlantern.treating;

import java.util.stream.IntStream;
import plainlantern.geometry.Affine;

/**
 * The guided filter of He, Sun and Tang (2010) with a picture as its own guide: an edge-aware mean, {@code slope · value + base} at each
 * pixel. As both change slowly, they are computed on a small copy and serve any size of the picture (He and Sun 2015).
 *
 * @param slope row by row
 * @param base  likewise
 */
record Guided(int width, int height, float[] slope, float[] base) {
    /** So many columns are summed together. */
    private static final int BLOCK = 64;

    /**
     * @param values row by row
     * @param radius of the square window, pixels: it is 2 · radius + 1 wide, less at the edges
     * @param edge   differences whose square is well above this are kept
     */
    static Guided of(float[] values, int width, int height, int radius, float edge) {
        float[] squares = new float[values.length];
        for (int i = 0; i < values.length; i++) squares[i] = values[i] * values[i];
        float[] mean = mean(values, width, height, radius);
        float[] square = mean(squares, width, height, radius);
        float[] slope = new float[values.length];
        float[] base = new float[values.length];
        for (int i = 0; i < values.length; i++) {
            float variance = Math.max(0, square[i] - mean[i] * mean[i]);
            slope[i] = variance / (variance + edge);
            base[i] = mean[i] - slope[i] * mean[i];
        }
        return new Guided(width, height, mean(slope, width, height, radius), mean(base, width, height, radius));
    }

    /** The means of windows, by running sums. */
    private static float[] mean(float[] values, int width, int height, int radius) {
        float[] across = new float[values.length];
        float[] wide = shares(width, radius);
        IntStream.range(0, height).parallel().forEach(y -> {
            double sum = 0;
            int row = y * width;
            for (int x = 0; x < Math.min(radius, width); x++) sum += values[row + x];
            for (int x = 0; x < width; x++) {
                if (x + radius < width) sum += values[row + x + radius];
                if (x > radius) sum -= values[row + x - radius - 1];
                across[row + x] = (float) sum * wide[x];
            }
        });
        float[] out = new float[values.length];
        float[] high = shares(height, radius);
        IntStream.range(0, (width + BLOCK - 1) / BLOCK).parallel().forEach(block ->
                down(across, width, height, radius, high, block * BLOCK, Math.min(width, (block + 1) * BLOCK), out));
        return out;
    }

    /** One by the number of places in the window about each. */
    private static float[] shares(int length, int radius) {
        float[] out = new float[length];
        for (int i = 0; i < length; i++) out[i] = 1f / (Math.min(length - 1, i + radius) - Math.max(0, i - radius) + 1);
        return out;
    }

    /** The means of columns, from one of them to before another. */
    private static void down(float[] across, int width, int height, int radius, float[] high, int from, int to, float[] out) {
        double[] sums = new double[to - from];
        for (int y = 0; y < Math.min(radius, height); y++) for (int x = from; x < to; x++) sums[x - from] += across[y * width + x];
        for (int y = 0; y < height; y++) {
            int in = Math.min(height - 1, y + radius) * width;
            int gone = Math.max(0, y - radius - 1) * width;
            float enters = y + radius < height ? 1 : 0;
            float leaves = y > radius ? 1 : 0;
            for (int x = from; x < to; x++) {
                sums[x - from] += enters * across[in + x] - leaves * across[gone + x];
                out[y * width + x] = (float) sums[x - from] * high[y];
            }
        }
    }

    /** The mean about a value at a place, as shares of the picture's width and height. */
    float at(float across, float down, float value) {
        float x = Math.max(0, Math.min(width - 1, across * width - 0.5f));
        float y = Math.max(0, Math.min(height - 1, down * height - 0.5f));
        int x0 = Math.min((int) x, Math.max(0, width - 2));
        int y0 = Math.min((int) y, Math.max(0, height - 2));
        int right = width > 1 ? 1 : 0;
        int below = height > 1 ? width : 0;
        int at = y0 * width + x0;
        return cornered(slope, at, right, below, x - x0, y - y0) * value + cornered(base, at, right, below, x - x0, y - y0);
    }

    private static float cornered(float[] of, int at, int right, int below, float fx, float fy) {
        float top = of[at] + (of[at + right] - of[at]) * fx;
        float bottom = of[at + below] + (of[at + below + right] - of[at + below]) * fx;
        return top + (bottom - top) * fy;
    }

    /**
     * The means about the lightness of each pixel of a patch's row.
     *
     * @param lightness of each of them
     */
    void along(Patch patch, int y, float[] lightness, float[] out) {
        Affine to = patch.toPicture();
        float down = (float) (to.d() * (y + 0.5) + to.f());
        if (to.b() == 0) level(to.c() * (y + 0.5) + to.e(), to.a(), down, lightness, out);
        else for (int x = 0; x < out.length; x++) out[x] = at((float) (to.a() * (x + 0.5) + to.c() * (y + 0.5) + to.e()),
                (float) (to.b() * (x + 0.5)) + down, lightness[x]);
    }

    /** On a level row its slopes and bases are interpolated once, and counted on between two columns. */
    private void level(double from, double step, float down, float[] lightness, float[] out) {
        float y = Math.max(0, Math.min(height - 1, down * height - 0.5f));
        int y0 = Math.min((int) y, Math.max(0, height - 2));
        int below = height > 1 ? width : 0;
        float on = y - y0;
        // The first and the last go on beyond the edges.
        float[] slopes = new float[width + 2];
        float[] bases = new float[width + 2];
        for (int x = 0, i = y0 * width; x < width; x++, i++) {
            slopes[x + 1] = slope[i] + (slope[i + below] - slope[i]) * on;
            bases[x + 1] = base[i] + (base[i + below] - base[i]) * on;
        }
        slopes[0] = slopes[1];
        bases[0] = bases[1];
        slopes[width + 1] = slopes[width];
        bases[width + 1] = bases[width];
        float[] slopeAt = new float[out.length];
        double first = (from + step * 0.5) * width + 0.5;
        double further = step * width;
        for (int k = 0, end; k < out.length; k = end) {
            double x = first + further * k;
            int i = (int) Math.max(0, Math.min(width, Math.floor(x)));
            double to = further > 0 && i < width ? Math.ceil((i + 1 - first) / further)
                    : further < 0 && i > 0 ? Math.floor((i - first) / further) + 1 : out.length;
            end = (int) Math.max(k + 1, Math.min(out.length, to));
            int next = Math.min(width + 1, i + 1);
            // Beyond the edges both are the same.
            float part = (float) Math.max(0, Math.min(1, x - i));
            between(slopes[i], slopes[next] - slopes[i], part, (float) further, slopeAt, k, end);
            between(bases[i], bases[next] - bases[i], part, (float) further, out, k, end);
        }
        for (int k = 0; k < out.length; k++) out[k] += slopeAt[k] * lightness[k];
    }

    private static void between(float one, float more, float part, float further, float[] out, int from, int to) {
        float value = one + more * part;
        float step = more * further;
        for (int k = from; k < to; k++) {
            out[k] = value;
            value += step;
        }
    }
}
