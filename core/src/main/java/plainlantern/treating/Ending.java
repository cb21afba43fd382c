package plainlantern.treating;

import java.util.stream.IntStream;
import plainlantern.geometry.Affine;
import plainlantern.sheet.Texture;
import plainlantern.sheet.Vignette;

/** The last step of a tone: what depends on where the picture lies. */
final class Ending {
    /** Stops of light in the corners at full strength. */
    private static final double STOPS = 3;
    /** How far grain at full strength goes, of all lightness, in mid grey. */
    private static final float GRAIN = 0.25f;
    /** A pixel is looked at in so many parts each way at most. */
    private static final int FINEST = 4;
    /** Beyond so many standard deviations a Gaussian curve counts as nothing. */
    private static final double REACH = 3;
    /** Of a pixel; a narrower curve sees no other pixel. */
    private static final double NARROW = 0.3;
    /** Pixels: 2 mm at 1270 ppi. */
    private static final double WIDEST = 100;

    private Ending() {}

    /** @param toBox from the patch's pixels to the form's box, whose sides are at -1 and 1 */
    static void vignette(Vignette vignette, Patch patch, Affine toBox) {
        IntStream.range(0, patch.height()).parallel().forEach(y -> {
            float[] c = new float[3];
            for (int x = 0; x < patch.width(); x++) {
                int i = y * patch.width() + x;
                if (patch.argb()[i] >>> 24 == 0) continue;
                double u = toBox.a() * (x + 0.5) + toBox.c() * (y + 0.5) + toBox.e();
                double v = toBox.b() * (x + 0.5) + toBox.d() * (y + 0.5) + toBox.f();
                double t = Math.min(1, (Math.sqrt((u * u + v * v) / 2) - vignette.begins()) / (1 - vignette.begins()));
                if (t <= 0) continue;
                patch.colour(i, c);
                float gain = (float) Math.pow(2, STOPS * vignette.edge() * t * t * (3 - 2 * t));
                for (int k = 0; k < 3; k++) c[k] = Curve.stored(Curve.light(c[k]) * gain);
                patch.recolour(i, c);
            }
        });
    }

    /** @param toSheet from the patch's pixels to mm on the sheet */
    static void texture(Texture texture, Patch patch, Affine toSheet) {
        double pixel = pixel(toSheet);
        if (texture.grain() > 0) grain(texture, patch, toSheet, pixel);
        double deviation = deviation(texture, toSheet);
        if (deviation > 0) sharpen(texture.sharp(), deviation, patch);
    }

    /** How many pixels around those that are wanted sharpening draws on. */
    static int reach(Texture texture, Affine toSheet) {
        return (int) Math.ceil(REACH * deviation(texture, toSheet));
    }

    /** Of the curve that sharpening compares with, in pixels; 0 where it does nothing. */
    private static double deviation(Texture texture, Affine toSheet) {
        double deviation = texture.radius() / pixel(toSheet);
        return texture.sharp() == 0 || deviation <= NARROW ? 0 : Math.min(WIDEST, deviation);
    }

    /** What a pixel measures, mm. */
    private static double pixel(Affine toSheet) {
        return Math.sqrt(Math.abs(toSheet.determinant()));
    }

    /**
     * Smooth noise on the sheet, strongest in the middle tones; a pixel that is larger than half a grain gets the mean of what it
     * covers.
     */
    private static void grain(Texture texture, Patch patch, Affine toSheet, double pixel) {
        double by = 1 / texture.size();
        int parts = (int) Math.max(1, Math.min(FINEST, Math.ceil(2 * pixel * by)));
        float strength = (float) (GRAIN * texture.grain() * Math.min(1, parts / (2 * pixel * by)));
        IntStream.range(0, patch.height()).parallel().forEach(y -> {
            for (int x = 0; x < patch.width(); x++) {
                int i = y * patch.width() + x;
                int alpha = patch.argb()[i] >>> 24;
                if (alpha == 0) continue;
                float noise = 0;
                for (int part = 0; part < parts * parts; part++) {
                    double px = x + (part % parts + 0.5) / parts;
                    double py = y + (part / parts + 0.5) / parts;
                    noise += noise((toSheet.a() * px + toSheet.c() * py + toSheet.e()) * by,
                            (toSheet.b() * px + toSheet.d() * py + toSheet.f()) * by,
                            texture.seed());
                }
                float luma = patch.luma(i) / alpha;
                float more = strength * noise / (parts * parts) * 2 * (float) Math.sqrt(Math.max(0, luma * (1 - luma))) * alpha;
                patch.add(i, more);
            }
        });
    }

    /** Value noise, -1 to 1, one value a unit square, smooth between them. */
    private static float noise(double u, double v, int seed) {
        long u0 = (long) Math.floor(u);
        long v0 = (long) Math.floor(v);
        float fu = (float) (u - u0);
        float fv = (float) (v - v0);
        fu = fu * fu * (3 - 2 * fu);
        fv = fv * fv * (3 - 2 * fv);
        float top = hash(u0, v0, seed) + (hash(u0 + 1, v0, seed) - hash(u0, v0, seed)) * fu;
        float bottom = hash(u0, v0 + 1, seed) + (hash(u0 + 1, v0 + 1, seed) - hash(u0, v0 + 1, seed)) * fu;
        return top + (bottom - top) * fv;
    }

    /** A value from -1 to 1 that is the same wherever it is asked for (the finisher of MurmurHash3). */
    private static float hash(long u, long v, int seed) {
        int h = (int) (u * 0x9E3779B1L) ^ (int) (v * 0x85EBCA77L) ^ seed * 0xC2B2AE3D;
        h ^= h >>> 16;
        h *= 0x85EBCA6B;
        h ^= h >>> 13;
        h *= 0xC2B2AE35;
        h ^= h >>> 16;
        return h / 2147483648f;
    }

    /**
     * Adds to each pixel a share of how its brightness differs from its surroundings. Brightness is multiplied by alpha here: its mean is
     * divided by the mean of alpha, so that what is transparent around a cutout does not count as black.
     */
    private static void sharpen(double share, double deviation, Patch patch) {
        int reach = (int) Math.ceil(REACH * deviation);
        float[] weights = new float[reach + 1];
        float sum = 0;
        for (int k = 0; k <= reach; k++) {
            weights[k] = (float) Math.exp(-k * k / (2 * deviation * deviation));
            sum += k == 0 ? weights[k] : 2 * weights[k];
        }
        for (int k = 0; k <= reach; k++) weights[k] /= sum;
        float[] luma = new float[patch.argb().length];
        boolean opaque = true;
        for (int i = 0; i < luma.length; i++) {
            luma[i] = patch.luma(i);
            opaque &= patch.argb()[i] >>> 24 == 255;
        }
        float[] mean = blurred(luma, weights, patch);
        if (!opaque) {
            float[] alpha = new float[luma.length];
            for (int i = 0; i < alpha.length; i++) alpha[i] = (patch.argb()[i] >>> 24) / 255f;
            float[] near = blurred(alpha, weights, patch);
            for (int i = 0; i < mean.length; i++) mean[i] = near[i] == 0 ? 0 : mean[i] / near[i] * alpha[i];
        }
        IntStream.range(0, patch.height()).parallel().forEach(y -> {
            for (int i = y * patch.width(); i < (y + 1) * patch.width(); i++) patch.add(i, (float) share * (luma[i] - mean[i]));
        });
    }

    /** A convolution along both axes with a symmetric kernel; {@code weights[k]} is for a distance of k pixels. Edges are repeated. */
    private static float[] blurred(float[] values, float[] weights, Patch patch) {
        int width = patch.width();
        int height = patch.height();
        float[] across = new float[values.length];
        IntStream.range(0, height).parallel().forEach(y -> {
            int row = y * width;
            for (int x = 0; x < width; x++) {
                float mean = weights[0] * values[row + x];
                for (int k = 1; k < weights.length; k++)
                    mean += weights[k] * (values[row + Math.max(0, x - k)] + values[row + Math.min(width - 1, x + k)]);
                across[row + x] = mean;
            }
        });
        float[] out = new float[values.length];
        IntStream.range(0, height).parallel().forEach(y -> {
            for (int x = 0; x < width; x++) {
                float mean = weights[0] * across[y * width + x];
                for (int k = 1; k < weights.length; k++)
                    mean += weights[k] * (across[Math.max(0, y - k) * width + x] + across[Math.min(height - 1, y + k) * width + x]);
                out[y * width + x] = mean;
            }
        });
        return out;
    }
}
