package plainlantern.treating;

import java.util.Optional;
import java.util.stream.IntStream;
import plainlantern.geometry.Affine;
import plainlantern.sheet.Balance;
import plainlantern.sheet.ByBrightness;
import plainlantern.sheet.ColourTable;
import plainlantern.sheet.Colouring;
import plainlantern.sheet.Levels;
import plainlantern.sheet.Tone;
import plainlantern.sheet.Treated;

/**
 * Tones on pixels. What each pixel gets by itself is looked up in a table that is baked from {@link Colouration}; the same table serves
 * the board and a delivery. What looks at the surroundings stands between two such tables.
 */
final class Toning {
    /** Steps along each side of a baked table: see ToningTest for how far it is off. */
    static final int SIZE = 33;
    private static final Recent<Key, Lattice> BAKED = new Recent<>(16);
    private static final float[] STEP = new float[256];

    static {
        for (int i = 0; i < 256; i++) STEP[i] = i * (SIZE - 1) / 255f;
    }

    private Toning() {}

    /** What a table is baked from. */
    private record Key(Balance balance, Levels levels, Colouring colouring, Optional<ColourTable> table,
            Optional<ByBrightness> brightness) {}

    /** Does one of a picture's tones. */
    static void tone(Treated what, int number, Patch patch, Whole whole) {
        Tone tone = what.tones().get(number).tone();
        if (tone.levels().local()) {
            surrounded(tone, Surroundings.of(what, number, whole), patch, last(tone, whole));
        } else {
            all(tone, whole).ifPresent(lattice -> looked(lattice, patch));
        }
        what.tones().get(number).lying().ifPresent(lying -> {
            Affine own = Affine.scale(whole.width(), whole.height()).after(patch.toPicture());
            tone.vignette().ifPresent(vignette -> Ending.vignette(vignette, patch, lying.toBox().after(own)));
            tone.texture().ifPresent(texture -> Ending.texture(texture, patch, lying.toSheet().after(own)));
        });
    }

    /** The steps before what looks at surroundings; empty where they do nothing. */
    static Optional<Lattice> first(Tone tone) {
        Levels levels = tone.levels().pointwise();
        if (tone.balance().neutral() && levels.neutral()) return Optional.empty();
        return Optional.of(BAKED.get(new Key(tone.balance(), levels, Colouring.NEUTRAL, Optional.empty(), Optional.empty()),
                () -> Lattice.baked(SIZE, Colouration.before(tone.balance(), levels))));
    }

    /** The steps after it. */
    private static Optional<Lattice> last(Tone tone, Whole whole) {
        if (tone.colouring().neutral() && tone.table().isEmpty() && tone.brightness().isEmpty()) return Optional.empty();
        Optional<ColourMap> table = tone.table().flatMap(t -> whole.table(t.id()));
        return Optional.of(BAKED.get(new Key(Balance.NEUTRAL, Levels.NEUTRAL, tone.colouring(), tone.table(), tone.brightness()),
                () -> Lattice.baked(SIZE, Colouration.after(tone, table))));
    }

    private static Optional<Lattice> all(Tone tone, Whole whole) {
        if (first(tone).isEmpty()) return last(tone, whole);
        if (tone.colouring().neutral() && tone.table().isEmpty() && tone.brightness().isEmpty()) return first(tone);
        Optional<ColourMap> table = tone.table().flatMap(t -> whole.table(t.id()));
        return Optional.of(BAKED.get(new Key(tone.balance(), tone.levels(), tone.colouring(), tone.table(), tone.brightness()),
                () -> Lattice.baked(SIZE, Colouration.before(tone.balance(), tone.levels()).andThen(Colouration.after(tone, table)))));
    }

    private static void looked(Lattice lattice, Patch patch) {
        IntStream.range(0, patch.height()).parallel().forEach(y -> {
            float[] c = new float[3];
            int[] argb = patch.argb();
            for (int i = y * patch.width(); i < (y + 1) * patch.width(); i++) {
                int pixel = argb[i];
                int alpha = pixel >>> 24;
                if (alpha == 0) continue;
                if (alpha == 255) lattice.look(STEP[pixel >> 16 & 0xFF], STEP[pixel >> 8 & 0xFF], STEP[pixel & 0xFF], c);
                else lattice.look(step(pixel >> 16, alpha), step(pixel >> 8, alpha), step(pixel, alpha), c);
                argb[i] = pixel(alpha, c);
            }
        });
    }

    private static float step(int value, int alpha) {
        return Math.min(1f, (value & 0xFF) / (float) alpha) * (SIZE - 1);
    }

    private static void surrounded(Tone tone, Surroundings around, Patch patch, Optional<Lattice> last) {
        Optional<Lattice> first = first(tone);
        Affine to = patch.toPicture();
        IntStream.range(0, patch.height()).parallel().forEach(y -> {
            float[] c = new float[3];
            int[] argb = patch.argb();
            for (int x = 0; x < patch.width(); x++) {
                int i = y * patch.width() + x;
                int alpha = argb[i] >>> 24;
                if (alpha == 0) continue;
                stored(argb[i], first, c);
                float across = (float) (to.a() * (x + 0.5) + to.c() * (y + 0.5) + to.e());
                float down = (float) (to.b() * (x + 0.5) + to.d() * (y + 0.5) + to.f());
                lightened(tone.levels(), around, across, down, c);
                if (last.isPresent()) within(last.get(), c);
                argb[i] = pixel(alpha, c);
            }
        });
    }

    /** Another lightness by the surroundings, in OKLab; saturation stays as {@link Colouration} keeps it. */
    private static void lightened(Levels levels, Surroundings around, float across, float down, float[] c) {
        float r = Curve.light(c[0]);
        float g = Curve.light(c[1]);
        float b = Curve.light(c[2]);
        float was = OkLab.lightness(r, g, b);
        float is = around.changed(levels, across, down, was);
        if (was <= 0) return;
        // A share of L with the same share of a and b is the share's cube of light.
        float by = is / was;
        float gain = by * by * by;
        c[0] = Math.min(1, Curve.stored(r * gain));
        c[1] = Math.min(1, Curve.stored(g * gain));
        c[2] = Math.min(1, Curve.stored(b * gain));
    }

    /** The colour of a pixel, 0 to 1, after a table. */
    static void stored(int pixel, Optional<Lattice> table, float[] c) {
        int alpha = pixel >>> 24;
        if (alpha == 0) {
            c[0] = c[1] = c[2] = 0;
            return;
        }
        c[0] = Math.min(1f, (pixel >> 16 & 0xFF) / (float) alpha);
        c[1] = Math.min(1f, (pixel >> 8 & 0xFF) / (float) alpha);
        c[2] = Math.min(1f, (pixel & 0xFF) / (float) alpha);
        if (table.isPresent()) within(table.get(), c);
    }

    /** Looks a colour up; what is beyond black and white is cut off. */
    private static void within(Lattice table, float[] c) {
        table.look(c[0] * (SIZE - 1), c[1] * (SIZE - 1), c[2] * (SIZE - 1), c);
        for (int i = 0; i < 3; i++) c[i] = Math.max(0, Math.min(1, c[i]));
    }

    /** A pixel of a colour; what is beyond black and white is cut off. */
    static int pixel(int alpha, float[] c) {
        return alpha << 24 | level(c[0], alpha) << 16 | level(c[1], alpha) << 8 | level(c[2], alpha);
    }

    private static int level(float value, int alpha) {
        return (int) (Math.max(0, Math.min(1, value)) * alpha + 0.5f);
    }
}
