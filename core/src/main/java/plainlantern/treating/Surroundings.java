package plainlantern.treating;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import plainlantern.sheet.Balance;
import plainlantern.sheet.Cleared;
import plainlantern.sheet.Levels;
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
    private static final double SHADOWS = 0.6;
    private static final double LIGHTS = 0.5;
    private static final int STEPS = 1024;
    private static final Recent<Seen, Patch> SMALL = new Recent<>(8);
    private static final Recent<About, Guided> RECENT = new Recent<>(12);

    private final Optional<Guided> near;
    private final Optional<Guided> far;
    private final float fine;
    private final float broad;
    private final float[] shadows = new float[STEPS + 2];
    private final float[] highlights = new float[STEPS + 2];

    /** What a picture is before a tone. */
    private record Seen(String picture, Optional<Cleared> cleared, List<Toned> earlier, int side) {}

    private record About(Seen seen, Balance balance, Levels levels, boolean near) {}

    private Surroundings(Levels levels, Optional<Guided> near, Optional<Guided> far) {
        this.near = near;
        this.far = far;
        fine = (float) levels.fine();
        broad = (float) levels.broad();
        for (int i = 0; i < shadows.length; i++) {
            double about = i / (double) STEPS;
            shadows[i] = power(levels.shadows(), 1 - about / SHADOWS);
            highlights[i] = power(-levels.highlights(), (about - LIGHTS) / (1 - LIGHTS));
        }
    }

    /** 2 to the power of a strength, which fades out smoothly where {@code share} of 1 goes down to 0. */
    private static float power(double strength, double share) {
        double s = Math.max(0, Math.min(1, share));
        return (float) Math.pow(2, strength * s * s);
    }

    /** Of the tone that is done as the one with that number. */
    static Surroundings of(Treated what, int number, Whole whole) {
        Tone tone = what.tones().get(number).tone();
        List<Toned> earlier = what.tones().subList(0, number).stream().map(Toned::anywhere).toList();
        Seen seen = new Seen(what.picture(), what.cleared(), earlier, Math.min(SIDE, whole.longer()));
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
     * Changes a row of a patch.
     *
     * @param lights linear red, green and blue, and lightness, of each pixel: their light is changed
     */
    void change(Patch patch, int y, float[] lights) {
        int width = patch.width();
        float[] about = new float[width];
        far.ifPresent(f -> f.along(patch, y, lights, about));
        float[] nearby = new float[width];
        near.ifPresent(n -> n.along(patch, y, lights, nearby));
        for (int x = 0, at = 0; x < width; x++, at += 4) {
            float was = lights[at + 3];
            if (was <= 0) continue;
            float by = changed(was, about[x], nearby[x]) / was;
            float gain = by * by * by;
            lights[at] *= gain;
            lights[at + 1] *= gain;
            lights[at + 2] *= gain;
        }
    }

    /** What becomes of a lightness that has those about it. */
    private float changed(float lightness, float about, float nearby) {
        float out = lightness;
        if (far.isPresent()) {
            float at = (about < 0 ? 0 : about > 1 ? 1 : about) * STEPS;
            int i = (int) at;
            float on = at - i;
            out *= shadows[i] + (shadows[i + 1] - shadows[i]) * on;
            out = 1 - (1 - out) * (highlights[i] + (highlights[i + 1] - highlights[i]) * on);
            out += broad * (lightness - about);
        }
        if (near.isPresent()) out += fine * (lightness - nearby);
        return out < 0 ? 0 : out > 1 ? 1 : out;
    }
}
