package plainlantern.picture;

import java.awt.image.BufferedImage;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import java.util.Optional;
import plainlantern.sheet.Focal;
import plainlantern.treating.Lab;

/**
 * Proposes a focal point. How much each pixel stands out is the squared distance in CIE Lab between the picture's mean colour and
 * the pixel, slightly blurred; what stands out twice as much as the average is a part of something (Achanta, Hemami, Estrada,
 * Süsstrunk: Frequency-tuned Salient Region Detection, CVPR 2009). Of the connected regions that touch not more than one edge of
 * the picture the one that stands out most in all, counted more towards the middle (common practice), is the subject, and its
 * centre of mass the proposal. In a picture with much transparency it is the centre of what can be seen.
 */
public final class Subject {
    private static final int SIDE = 200;
    /** A region smaller than this share of the picture is a speck, one larger than that is the scenery. */
    private static final double SPECK = 0.002;
    private static final double SCENERY = 0.35;
    /** The subject stands out so much more than the next region, or there is no clear one. */
    private static final double CLEARLY = 1.25;

    private Subject() {}

    /** The proposal for an upright picture; empty where nothing stands out clearly. */
    public static Optional<Focal> of(BufferedImage picture) {
        double share = Math.min(1, (double) SIDE / Math.max(picture.getWidth(), picture.getHeight()));
        int width = Math.max(1, (int) Math.round(picture.getWidth() * share));
        int height = Math.max(1, (int) Math.round(picture.getHeight() * share));
        if (width < 8 || height < 8) return Optional.empty();
        BufferedImage small = share < 1 ? Resample.toSize(picture, width, height) : picture;
        int[] pixels = small.getRGB(0, 0, width, height, null, 0, width);
        long clear = Arrays.stream(pixels).filter(p -> p >>> 24 < 128).count();
        if (clear > pixels.length / 5) {
            double[] seen = Arrays.stream(pixels).mapToDouble(p -> p >>> 24).toArray();
            return centre(seen, width, height);
        }
        return region(standingOut(pixels, width, height), width, height);
    }

    private static Optional<Focal> centre(double[] weights, int width, int height) {
        double sum = 0;
        double across = 0;
        double down = 0;
        for (int i = 0; i < weights.length; i++) {
            sum += weights[i];
            across += weights[i] * (i % width + 0.5);
            down += weights[i] * (i / width + 0.5);
        }
        return sum == 0 ? Optional.empty() : Optional.of(new Focal(across / sum / width, down / sum / height, true));
    }

    private static double[] standingOut(int[] pixels, int width, int height) {
        double[][] lab = new double[3][pixels.length];
        double[] mean = new double[3];
        for (int i = 0; i < pixels.length; i++) {
            double[] colour = Lab.of(pixels[i]);
            for (int c = 0; c < 3; c++) {
                lab[c][i] = colour[c];
                mean[c] += colour[c] / pixels.length;
            }
        }
        double[] out = new double[pixels.length];
        for (int c = 0; c < 3; c++) {
            double[] soft = blurred(blurred(lab[c], width, height, 1), width, height, width);
            for (int i = 0; i < out.length; i++) out[i] += (soft[i] - mean[c]) * (soft[i] - mean[c]);
        }
        return out;
    }

    /** The binomial filter 1 4 6 4 1 along one axis, edge values repeated. */
    private static double[] blurred(double[] values, int width, int height, int step) {
        double[] out = new double[values.length];
        int length = step == 1 ? width : height;
        for (int i = 0; i < values.length; i++) {
            int at = step == 1 ? i % width : i / width;
            double sum = 0;
            for (int k = -2; k <= 2; k++) {
                int to = Math.max(0, Math.min(length - 1, at + k));
                sum += new int[] {1, 4, 6, 4, 1}[k + 2] * values[i + (to - at) * step];
            }
            out[i] = sum / 16;
        }
        return out;
    }

    private static Optional<Focal> region(double[] out, int width, int height) {
        double threshold = 2 * Arrays.stream(out).average().orElse(0);
        boolean[] seen = new boolean[out.length];
        double best = 0;
        double next = 0;
        double[] subject = null;
        for (int start = 0; start < out.length; start++) {
            if (seen[start] || out[start] <= threshold || out[start] < 25) continue;
            double[] region = new double[out.length];
            double weight = grown(start, out, threshold, width, height, seen, region);
            if (weight > best) {
                next = best;
                best = weight;
                subject = region;
            } else {
                next = Math.max(next, weight);
            }
        }
        return subject == null || best < CLEARLY * next ? Optional.empty() : centre(subject, width, height);
    }

    /** Fills {@code region} with all that hangs together with {@code start}; its weight is zero where it is a speck or scenery. */
    private static double grown(int start, double[] out, double threshold, int width, int height, boolean[] seen, double[] region) {
        Deque<Integer> open = new ArrayDeque<>();
        open.add(start);
        seen[start] = true;
        int count = 0;
        double weight = 0;
        boolean[] edges = new boolean[4];
        while (!open.isEmpty()) {
            int i = open.remove();
            int x = i % width;
            int y = i / width;
            count++;
            region[i] = out[i];
            double off = Math.hypot((x + 0.5) / width - 0.5, (y + 0.5) / height - 0.5);
            weight += out[i] * Math.exp(-off * off / 0.18);
            int[] around = {x > 0 ? i - 1 : -1, x < width - 1 ? i + 1 : -1, y > 0 ? i - width : -1, y < height - 1 ? i + width : -1};
            for (int k = 0; k < 4; k++) {
                if (around[k] < 0) edges[k] = true;
                else if (!seen[around[k]] && out[around[k]] > threshold) {
                    seen[around[k]] = true;
                    open.add(around[k]);
                }
            }
        }
        int touched = (edges[0] ? 1 : 0) + (edges[1] ? 1 : 0) + (edges[2] ? 1 : 0) + (edges[3] ? 1 : 0);
        return count < SPECK * out.length || count > SCENERY * out.length || touched > 1 ? 0 : weight;
    }
}
