package plainlantern.treating;

import java.util.Optional;
import java.util.function.Consumer;
import plainlantern.sheet.Balance;
import plainlantern.sheet.Colouring;
import plainlantern.sheet.Levels;
import plainlantern.sheet.Tone;

/**
 * Brings the tone of one picture near another picture: Reinhard, Ashikhmin, Gooch and Shirley, Color Transfer between Images, 2001. As they
 * do, means and deviations are compared in the decorrelated space of Ruderman and others; but what is changed are exposure, white balance,
 * contrast and saturation, whose values a person can go on with.
 */
public final class Matching {
    private static final int SAMPLES = 4000;
    private static final int ROUNDS = 24;
    private static final double DARKEST = 1e-3;
    private static final double STOP = Math.sqrt(3) * Math.log10(2);
    private static final double STEP = 8;

    private Matching() {}

    /**
     * Means of the three axes, the deviation of the first, and that of the other two together.
     *
     * @param mean l, alpha, beta
     */
    record Spread(double[] mean, double lightness, double colour) {
        static Spread of(Patch patch, Consumer<float[]> tone) {
            double[] sums = new double[6];
            int count = 0;
            float[] c = new float[3];
            int every = Math.max(1, patch.argb().length / SAMPLES);
            for (int i = every / 2; i < patch.argb().length; i += every) {
                if (patch.argb()[i] >>> 24 < 128) continue;
                patch.colour(i, c);
                tone.accept(c);
                double r = light(c[0]);
                double g = light(c[1]);
                double b = light(c[2]);
                double l = Math.log10(0.3811 * r + 0.5783 * g + 0.0402 * b);
                double m = Math.log10(0.1967 * r + 0.7244 * g + 0.0782 * b);
                double s = Math.log10(0.0241 * r + 0.1288 * g + 0.8444 * b);
                double[] axes = {(l + m + s) / Math.sqrt(3), (l + m - 2 * s) / Math.sqrt(6), (l - m) / Math.sqrt(2)};
                for (int k = 0; k < 3; k++) {
                    sums[k] += axes[k];
                    sums[k + 3] += axes[k] * axes[k];
                }
                count++;
            }
            if (count == 0) return new Spread(new double[3], 0, 0);
            double[] mean = {sums[0] / count, sums[1] / count, sums[2] / count};
            double[] variance = new double[3];
            for (int k = 0; k < 3; k++) variance[k] = Math.max(0, sums[k + 3] / count - mean[k] * mean[k]);
            return new Spread(mean, Math.sqrt(variance[0]), Math.sqrt(variance[1] + variance[2]));
        }

        private static double light(float stored) {
            return Math.max(DARKEST, Curve.light(Math.max(0, Math.min(1, stored))));
        }
    }

    /**
     * The taker's tone with other values for exposure, white balance, contrast and saturation.
     *
     * @param giver    a picture as it is seen
     * @param taker    the other one before its own tone
     * @param strength how near it gets, 0 to 1
     */
    public static Tone matched(Patch giver, Patch taker, Tone tone, double strength) {
        Spread aim = Spread.of(giver, c -> { });
        Tone now = tone;
        for (int round = 0; round < ROUNDS; round++) now = nearer(aim, taker, now);
        return between(tone, now, strength);
    }

    private static Tone nearer(Spread aim, Patch taker, Tone tone) {
        Balance b = tone.balance();
        Spread is = spread(taker, tone);
        // What a little more of either does to the two axes of colour.
        double[] warmer = moved(spread(taker, tone.balanced(within(b.temperature() + (b.temperature() > 0 ? -STEP : STEP), b.tint(),
                b.exposure()))), is, b.temperature() > 0 ? -STEP : STEP);
        double tint = b.tint() > 0 ? -0.1 : 0.1;
        double[] redder = moved(spread(taker, tone.balanced(within(b.temperature(), b.tint() + tint, b.exposure()))), is, tint);
        double alpha = aim.mean()[1] - is.mean()[1];
        double beta = aim.mean()[2] - is.mean()[2];
        double det = warmer[0] * redder[1] - warmer[1] * redder[0];
        double byTemperature = Math.abs(det) < 1e-12 ? 0 : (alpha * redder[1] - beta * redder[0]) / det;
        double byTint = Math.abs(det) < 1e-12 ? 0 : (warmer[0] * beta - warmer[1] * alpha) / det;
        Balance balance = within(b.temperature() + byTemperature / 2, b.tint() + byTint / 2,
                b.exposure() + (aim.mean()[0] - is.mean()[0]) / STOP / 2);
        return contrasted(tone.balanced(balance), by(aim.lightness(), is.lightness()), by(aim.colour(), is.colour()));
    }

    private static double[] moved(Spread to, Spread from, double by) {
        return new double[] {(to.mean()[1] - from.mean()[1]) / by, (to.mean()[2] - from.mean()[2]) / by};
    }

    /** Half the way from one deviation to another, as a factor. */
    private static double by(double aim, double is) {
        return aim < 1e-6 || is < 1e-6 ? 1 : Math.sqrt(Math.max(0.25, Math.min(4, aim / is)));
    }

    private static Balance within(double temperature, double tint, double exposure) {
        return new Balance(bounded(temperature, -100, 150), bounded(tint, -1, 1), bounded(exposure, -5, 5));
    }

    private static Tone contrasted(Tone tone, double contrast, double colour) {
        Levels l = tone.levels();
        Colouring c = tone.colouring();
        return tone.levelled(new Levels(l.black(), l.white(), bounded(l.contrast() + Math.log(contrast) / Math.log(2), -1, 1), l.shadows(),
                l.highlights(), l.fine(), l.broad()))
                .coloured(new Colouring(bounded((1 + c.saturation()) * colour - 1, -1, 1), c.muted(), c.mono(), c.hues()));
    }

    private static Tone between(Tone from, Tone to, double share) {
        Levels l = from.levels();
        Colouring c = from.colouring();
        return from.balanced(new Balance(on(from.balance().temperature(), to.balance().temperature(), share, 1),
                on(from.balance().tint(), to.balance().tint(), share, 100), on(from.balance().exposure(), to.balance().exposure(),
                share, 100)))
                .levelled(new Levels(l.black(), l.white(), on(l.contrast(), to.levels().contrast(), share, 100), l.shadows(),
                l.highlights(),
                        l.fine(), l.broad()))
                .coloured(new Colouring(on(c.saturation(), to.colouring().saturation(), share, 100), c.muted(), c.mono(), c.hues()));
    }

    /** A share of the way, as a plain number of so many parts of one. */
    private static double on(double from, double to, double share, double parts) {
        return Math.rint((from + (to - from) * share) * parts) / parts;
    }

    private static double bounded(double value, double least, double most) {
        return Math.max(least, Math.min(most, value));
    }

    private static Spread spread(Patch patch, Tone tone) {
        return Spread.of(patch, Colouration.before(tone.balance(), tone.levels()).andThen(Colouration.after(tone, Optional.empty())));
    }
}
