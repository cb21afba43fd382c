package plainlantern.treating;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import plainlantern.sheet.Balance;
import plainlantern.sheet.Blend;
import plainlantern.sheet.ByBrightness;
import plainlantern.sheet.Colouring;
import plainlantern.sheet.HueRange;
import plainlantern.sheet.Levels;
import plainlantern.sheet.Stop;
import plainlantern.sheet.Tone;

/**
 * What a tone does to one pixel by itself, from stored sRGB to stored sRGB, 0 to 1. Colours that sRGB cannot show stay beyond that, see
 * {@link Curve}; whoever stores them cuts them off, channel by channel.
 */
final class Colouration {
    /** 18 % grey on OKLab's lightness. */
    static final float MID = (float) Math.cbrt(0.18);
    /** Chroma from where on a colour counts whole as one of its hue, and as not muted. */
    private static final float FULL = 0.1f;
    private static final float VIVID = 0.25f;
    private static final float LIGHTER = 0.25f;
    /** With darkening or lightening colours keep their saturation, to so much more chroma. */
    private static final float MOST = 1.6f;

    private static final float[] LUMINANCE = {0.2126f, 0.7152f, 0.0722f};

    private Colouration() {}

    /** Steps one and two, but for what looks at surroundings: changes a colour in place. */
    static Consumer<float[]> before(Balance balance, Levels levels) {
        float[] light = light(balance);
        boolean curved = levels.curved();
        if (balance.neutral() && !curved) return c -> { };
        return c -> {
            float r = Curve.light(c[0]);
            float g = Curve.light(c[1]);
            float b = Curve.light(c[2]);
            for (int i = 0; i < 3; i++) c[i] = light[i * 3] * r + light[i * 3 + 1] * g + light[i * 3 + 2] * b;
            if (curved) {
                OkLab.of(c);
                lightness(c, levelled(levels, c[0]));
                OkLab.linear(c);
            }
            for (int i = 0; i < 3; i++) c[i] = Curve.stored(c[i]);
        };
    }

    /** White balance and exposure as one matrix, row by row. */
    private static float[] light(Balance balance) {
        double[] white = WhiteBalance.matrix(balance);
        float[] light = new float[9];
        for (int i = 0; i < 9; i++) light[i] = (float) (white[i] * Math.pow(2, balance.exposure()));
        return light;
    }

    /** Black and white point, and contrast: at mid grey the slope is 2 to its power, black and white stay. */
    static float levelled(Levels levels, float lightness) {
        float l = (float) ((lightness - levels.black()) / (1 - levels.white() - levels.black()));
        l = Math.max(0, Math.min(1, l));
        if (levels.contrast() == 0) return l;
        double slope = Math.pow(2, levels.contrast());
        return (float) (l < MID ? MID * Math.pow(l / MID, slope) : 1 - (1 - MID) * Math.pow((1 - l) / (1 - MID), slope));
    }

    /** Another lightness for a colour in OKLab. */
    private static void lightness(float[] lab, float wanted) {
        float share = lab[0] <= 0 ? 1 : Math.min(MOST, wanted / lab[0]);
        lab[0] = wanted;
        lab[1] *= share;
        lab[2] *= share;
    }

    /** Steps three to six, likewise. */
    static Consumer<float[]> after(Tone tone, Optional<ColourMap> table) {
        Consumer<float[]> steps = c -> { };
        if (!tone.colouring().neutral()) steps = steps.andThen(c -> {
            for (int i = 0; i < 3; i++) c[i] = Curve.light(c[i]);
            OkLab.of(c);
            coloured(tone.colouring(), c);
            OkLab.linear(c);
            for (int i = 0; i < 3; i++) c[i] = Curve.stored(c[i]);
        });
        if (tone.table().isPresent() && table.isPresent()) {
            float strength = (float) tone.table().get().strength();
            ColourMap map = table.get();
            steps = steps.andThen(c -> {
                float[] looked = map.at(c[0], c[1], c[2]);
                for (int i = 0; i < 3; i++) c[i] += (looked[i] - c[i]) * strength;
            });
        }
        return tone.brightness().isEmpty() ? steps : steps.andThen(c -> byBrightness(tone.brightness().get(), c));
    }

    private static void coloured(Colouring how, float[] lab) {
        float chroma = (float) Math.sqrt(lab[1] * lab[1] + lab[2] * lab[2]);
        float quiet = 1 - Math.min(1, chroma / VIVID);
        float more = (float) ((1 + how.saturation()) * (1 + how.muted() * quiet * quiet));
        float whole = Math.min(1, chroma / FULL);
        float grey = 0;
        double turn = 0;
        if (!how.hues().isEmpty()) {
            double[] weights = weights(Math.toDegrees(Math.atan2(lab[2], lab[1])));
            double byHue = 0;
            for (int i = 0; i < weights.length; i++) {
                if (weights[i] == 0) continue;
                HueRange range = how.hues().get(i);
                turn += weights[i] * range.hue();
                byHue += weights[i] * range.chroma();
                lab[0] += weights[i] * range.lightness() * LIGHTER * whole;
                grey += weights[i] * range.grey() * LIGHTER * whole;
            }
            more *= 1 + byHue;
        }
        if (how.mono()) {
            lab[0] += grey;
            more = 0;
        }
        float cos = more;
        float sin = 0;
        if (turn != 0) {
            cos *= Math.cos(Math.toRadians(turn));
            sin = more * (float) Math.sin(Math.toRadians(turn));
        }
        float a = lab[1];
        lab[1] = a * cos - lab[2] * sin;
        lab[2] = a * sin + lab[2] * cos;
    }

    /** How much a hue, degrees, belongs to each of the eight ranges: half a cosine from one's middle to the next one's; they sum to one. */
    static double[] weights(double hue) {
        HueRange.Name[] names = HueRange.Name.values();
        double[] weights = new double[names.length];
        for (int i = 0; i < names.length; i++) {
            int next = (i + 1) % names.length;
            double span = (names[next].centre() - names[i].centre() + 360) % 360;
            double on = ((hue - names[i].centre()) % 360 + 360) % 360;
            if (on >= span) continue;
            weights[next] = (1 - Math.cos(Math.PI * on / span)) / 2;
            weights[i] = 1 - weights[next];
            return weights;
        }
        return weights;
    }

    private static void byBrightness(ByBrightness how, float[] c) {
        float y = 0;
        double[] was = new double[3];
        for (int i = 0; i < 3; i++) {
            was[i] = Math.max(0, Math.min(1, c[i]));
            y += LUMINANCE[i] * Curve.light((float) was[i]);
        }
        double[] stood = at(how.stops(), Curve.stored(y));
        double[] mixed = how.blend() == Blend.NORMAL ? stood : Mixing.blended(how.blend(), was, stood);
        for (int i = 0; i < 3; i++) c[i] = (float) (was[i] + (mixed[i] - was[i]) * how.strength());
    }

    /** The colour at a share of the way, between two in stored values. */
    private static double[] at(List<Stop> stops, double t) {
        int next = 0;
        while (next < stops.size() && stops.get(next).at() <= t) next++;
        Stop b = stops.get(Math.min(next, stops.size() - 1));
        Stop a = stops.get(Math.max(0, next - 1));
        double span = b.at() - a.at();
        double share = span > 0 ? Math.max(0, Math.min(1, (t - a.at()) / span)) : 0;
        double[] out = new double[3];
        for (int i = 0; i < 3; i++) {
            int low = a.colour().rgb() >> 16 - 8 * i & 0xFF;
            int high = b.colour().rgb() >> 16 - 8 * i & 0xFF;
            out[i] = (low + (high - low) * share) / 255;
        }
        return out;
    }
}
