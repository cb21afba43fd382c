package plainlantern.treating;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import plainlantern.sheet.Balance;
import plainlantern.sheet.Cleared;
import plainlantern.sheet.Levels;
import plainlantern.sheet.Through;
import plainlantern.sheet.Tone;
import plainlantern.sheet.Toned;
import plainlantern.sheet.Treated;

/**
 * The lightness about each place of a picture, near or farther, after a tone's white balance, points and contrast, and what a tone does
 * with it. How near is a share of the picture, so every size of it gets the same.
 */
final class Surroundings {
    private static final int SIDE = 256;
    private static final double NEAR = 0.01;
    private static final double FAR = 0.04;
    /** Differences of lightness well above their roots are edges. */
    private static final float NEAR_EDGE = 0.0025f;
    private static final float FAR_EDGE = 0.01f;
    /** Up to where lightness counts as shadow, and from where on as highlight. */
    private static final float SHADOWS = 0.6f;
    private static final float LIGHTS = 0.5f;
    private static final float DARKEST = 1e-6f;
    private static final float HALF_LN_2 = (float) (Math.log(2) / 2);
    private static final Recent<Seen, Patch> SMALL = new Recent<>(8);
    private static final Recent<About, Guided> RECENT = new Recent<>(12);

    private final Optional<Guided> near;
    private final Optional<Guided> far;
    private final float fine;
    private final float broad;
    /** To the power of 2, fading out smoothly from black, or white, on. */
    private final float shadows;
    private final float highlights;

    /** All that a picture, or what a glaze shows, depends on before a tone. */
    private record Seen(String picture, Optional<Cleared> cleared, Optional<Through> through, List<Toned> earlier, int side) {}

    private record About(Seen seen, Balance balance, Levels levels, boolean near) {}

    private Surroundings(Levels levels, Optional<Guided> near, Optional<Guided> far) {
        this.near = near;
        this.far = far;
        fine = (float) levels.fine();
        broad = (float) levels.broad();
        shadows = (float) levels.shadows();
        highlights = (float) -levels.highlights();
    }

    /** Of the tone that is done as the one with that number. */
    static Surroundings of(Treated what, int number, Whole whole) {
        Tone tone = what.tones().get(number).tone();
        List<Toned> earlier = what.tones().subList(0, number).stream().map(Toned::anywhere).toList();
        Seen seen = new Seen(what.picture(), what.cleared(), what.through(), earlier, Math.min(SIDE, whole.longer()));
        Levels levels = tone.levels();
        boolean far = levels.shadows() != 0 || levels.highlights() != 0 || levels.broad() != 0;
        return new Surroundings(levels, levels.fine() == 0 ? Optional.empty() : Optional.of(about(seen, tone, true, whole)),
                far ? Optional.of(about(seen, tone, false, whole)) : Optional.empty());
    }

    private static Guided about(Seen seen, Tone tone, boolean near, Whole whole) {
        return RECENT.get(new About(seen, tone.balance(), tone.levels().pointwise(), near), () -> {
            Patch small = SMALL.get(seen, () -> {
                Patch patch = whole.small(seen.side());
                Treating.treat(new Treated(seen.picture(), seen.cleared(), seen.earlier(), Optional.empty()), patch, whole);
                return patch;
            });
            int radius = (int) Math.max(1, Math.round((near ? NEAR : FAR) * Math.max(small.width(), small.height())));
            return Guided.of(lightness(small, Toning.lit(tone)), small.width(), small.height(), radius, near ? NEAR_EDGE : FAR_EDGE);
        });
    }

    private static float[] lightness(Patch patch, Lattice lit) {
        float[] out = new float[patch.argb().length];
        IntStream.range(0, patch.height()).parallel().forEach(y -> {
            float[] c = new float[4];
            for (int i = y * patch.width(); i < (y + 1) * patch.width(); i++) {
                Toning.look(lit, patch, i, c);
                out[i] = c[3];
            }
        });
        return out;
    }

    /**
     * Changes a row of a patch, by loops that do many pixels at once.
     *
     * @param lights of each pixel: their light is changed
     */
    void change(Patch patch, int y, Toning.Lights lights) {
        float[] was = lights.lightness();
        float[] out = was.clone();
        float[] about = new float[out.length];
        if (far.isPresent()) {
            far.get().along(patch, y, was, about);
            lighten(was, about, out);
        }
        if (near.isPresent()) {
            near.get().along(patch, y, was, about);
            for (int x = 0; x < out.length; x++) out[x] += fine * (was[x] - about[x]);
        }
        float[] red = lights.red();
        float[] green = lights.green();
        float[] blue = lights.blue();
        for (int x = 0; x < out.length; x++) {
            // What has no lightness has no light either.
            float by = Math.max(0, Math.min(1, out[x])) / Math.max(DARKEST, was[x]);
            float gain = by * by * by;
            red[x] *= gain;
            green[x] *= gain;
            blue[x] *= gain;
        }
    }

    /** What becomes of lightness that has that about it: in short loops, as long ones are not done many at once. */
    private void lighten(float[] was, float[] about, float[] out) {
        float[] power = new float[out.length];
        if (shadows != 0) {
            float strength = shadows;
            for (int x = 0; x < power.length; x++) {
                float dark = Math.max(0, Math.min(1, 1 - about[x] / SHADOWS));
                power[x] = strength * dark * dark;
            }
            power(power);
            for (int x = 0; x < out.length; x++) out[x] *= power[x];
        }
        if (highlights != 0) {
            float strength = highlights;
            for (int x = 0; x < power.length; x++) {
                float light = Math.max(0, Math.min(1, (about[x] - LIGHTS) / (1 - LIGHTS)));
                power[x] = strength * light * light;
            }
            power(power);
            for (int x = 0; x < out.length; x++) out[x] = 1 - (1 - out[x]) * power[x];
        }
        float strength = broad;
        for (int x = 0; x < out.length; x++) out[x] += strength * (was[x] - about[x]);
    }

    /** 2 to the power of each, which is -1 to 1, to a millionth: the square of the series of half of it. */
    private static void power(float[] of) {
        for (int x = 0; x < of.length; x++) {
            float half = of[x] * HALF_LN_2;
            float root = 1 + half * (1 + half * (1 / 2f + half * (1 / 6f + half * (1 / 24f + half * (1 / 120f + half * (1 / 720f))))));
            of[x] = root * root;
        }
    }
}
