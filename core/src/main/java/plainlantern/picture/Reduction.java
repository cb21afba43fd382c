package plainlantern.picture;

import java.awt.image.BufferedImage;
import plainlantern.treating.Curve;

/**
 * A picture made smaller while its rows come in, a band after the other: each of its pixels is the mean of the area it covers, in light,
 * alpha multiplied in.
 */
final class Reduction {
    /** White in sixteen bits. */
    private static final int DEEP = 0xFFFF;

    private final int height;
    private final int shrink;
    private final int[] column;
    private final float[] share;
    private BufferedImage out;
    private float[] sum;
    private int y;

    /** To sides divided by {@code shrink}, rounded up. */
    Reduction(int width, int height, int shrink) {
        this.height = height;
        this.shrink = shrink;
        int across = smaller(width, shrink);
        column = new int[width];
        share = new float[width];
        for (int x = 0; x < width; x++) {
            double from = (double) x * across / width;
            column[x] = Math.min(across - 1, (int) (from + 1e-9));
            share[x] = (float) Math.min(1, (column[x] + 1 - from) * width / across);
        }
    }

    /** Pixels along a side that is divided by {@code shrink}. */
    static int smaller(int side, int shrink) {
        return (side + shrink - 1) / shrink;
    }

    /** The rows below those so far: interleaved bytes or samples of sixteen bits, as {@link PictureReader} has them. */
    void add(BufferedImage band) {
        int bands = band.getRaster().getNumBands();
        int down = smaller(height, shrink);
        if (out == null) {
            out = Srgb.like(band, smaller(column.length, shrink), down);
            sum = new float[out.getWidth() * bands];
        }
        for (int row = 0; row < band.getHeight(); row++, y++) {
            float[] line = across(Resample.line(band, row), bands);
            double from = (double) y * down / height;
            int at = Math.min(down - 1, (int) (from + 1e-9));
            float mine = (float) Math.min(1, (at + 1 - from) * height / down);
            for (int i = 0; i < sum.length; i++) sum[i] += line[i] * mine;
            boolean last = y == height - 1;
            if (!last && (double) (y + 1) * down / height < at + 1 - 1e-9) continue;
            finish(at, bands);
            for (int i = 0; i < sum.length; i++) sum[i] = line[i] * (1 - mine);
        }
    }

    private float[] across(float[] line, int bands) {
        float[] across = new float[sum.length];
        for (int x = 0; x < column.length; x++) {
            int at = column[x] * bands;
            float mine = share[x];
            for (int i = 0; i < bands; i++) across[at + i] += line[x * bands + i] * mine;
            if (mine < 1 && at + bands < across.length)
                for (int i = 0; i < bands; i++) across[at + bands + i] += line[x * bands + i] * (1 - mine);
        }
        return across;
    }

    private void finish(int row, int bands) {
        float area = (float) ((double) column.length / out.getWidth() * height / out.getHeight());
        Object samples = Srgb.samples(out.getRaster());
        int at = row * sum.length;
        for (int i = 0; i < sum.length; i += bands) {
            float alpha = bands == 3 ? 255 * area : sum[i + 3];
            if (bands == 4) store(samples, at++, alpha / area / 255);
            for (int k = 0; k < 3; k++) store(samples, at++, alpha == 0 ? 0 : Curve.stored(sum[i + k] / alpha));
        }
    }

    private static void store(Object samples, int at, float value) {
        if (samples instanceof short[] deep) deep[at] = (short) Math.min(DEEP, (int) (value * DEEP + 0.5f));
        else ((byte[]) samples)[at] = (byte) Math.min(255, (int) (value * 255 + 0.5f));
    }

    /** All rows were given. */
    BufferedImage image() {
        return out;
    }
}
