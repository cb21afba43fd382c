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
 * The lightness about each place of a picture, near and farther, after a tone's white balance, points and contrast. It is a share of the
 * picture, so every size of it gets the same.
 */
record Surroundings(Guided near, Guided far) {
    private static final int SIDE = 512;
    private static final double NEAR = 0.01;
    private static final double FAR = 0.04;
    /** Differences of lightness well above their roots are edges. */
    private static final float NEAR_EDGE = 0.0025f;
    private static final float FAR_EDGE = 0.01f;
    private static final Recent<Key, Surroundings> RECENT = new Recent<>(8);

    private record Key(String picture, Optional<Cleared> cleared, List<Toned> earlier, Balance balance, Levels levels, int side) {}

    /** Of the tone that is done as the one with that number. */
    static Surroundings of(Treated what, int number, Whole whole) {
        Tone tone = what.tones().get(number).tone();
        int side = Math.min(SIDE, whole.longer());
        List<Toned> earlier = what.tones().subList(0, number).stream().map(Toned::anywhere).toList();
        Key key = new Key(what.picture(), what.cleared(), earlier, tone.balance(), tone.levels().pointwise(), side);
        return RECENT.get(key, () -> {
            Patch small = whole.small(side);
            Treating.treat(new Treated(what.picture(), what.cleared(), earlier), small, whole);
            return of(lightness(small, Toning.first(tone)), small.width(), small.height());
        });
    }

    static Surroundings of(float[] lightness, int width, int height) {
        int longer = Math.max(width, height);
        return new Surroundings(Guided.of(lightness, width, height, (int) Math.max(1, Math.round(NEAR * longer)), NEAR_EDGE),
                Guided.of(lightness, width, height, (int) Math.max(1, Math.round(FAR * longer)), FAR_EDGE));
    }

    private static float[] lightness(Patch patch, Optional<Lattice> first) {
        float[] out = new float[patch.argb().length];
        IntStream.range(0, patch.height()).parallel().forEach(y -> {
            float[] c = new float[3];
            for (int i = y * patch.width(); i < (y + 1) * patch.width(); i++) {
                Toning.stored(patch.argb()[i], first, c);
                out[i] = OkLab.lightness(Curve.light(c[0]), Curve.light(c[1]), Curve.light(c[2]));
            }
        });
        return out;
    }

    /**
     * What becomes of a lightness at a place.
     *
     * @param across share of the picture's width, likewise {@code down}
     */
    float changed(Levels levels, float across, float down, float lightness) {
        float about = far.at(across, down, lightness);
        float out = lightness;
        if (levels.shadows() != 0) out *= power(levels.shadows(), 1 - about / SHADOWS);
        if (levels.highlights() != 0) out = 1 - (1 - out) * power(-levels.highlights(), (about - LIGHTS) / (1 - LIGHTS));
        if (levels.broad() != 0) out += levels.broad() * (lightness - about);
        if (levels.fine() != 0) out += levels.fine() * (lightness - near.at(across, down, lightness));
        return Math.max(0, Math.min(1, out));
    }

    /** Up to where lightness counts as shadow, and from where on as highlight. */
    private static final float SHADOWS = 0.6f;
    private static final float LIGHTS = 0.5f;

    /** 2 to the power of a strength, which fades out smoothly where {@code share} of 1 goes down to 0. */
    private static float power(double strength, float share) {
        if (share <= 0) return 1;
        float s = Math.min(1, share);
        return (float) Math.pow(2, strength * s * s);
    }
}
