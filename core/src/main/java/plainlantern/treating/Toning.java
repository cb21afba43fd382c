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
    /** Steps along each side of a baked table: see ToneTest for how far it is off. */
    static final int SIZE = 33;
    private static final Recent<Key, Lattice> BAKED = new Recent<>(16);
    /** By stored values of eight bits: the step of a baked table at or before them, how far on they are, and what they are of 1. */
    private static final int[] FLOOR = new int[256];
    private static final float[] REST = new float[256];
    private static final float[] OF_ONE = new float[256];

    static {
        for (int i = 0; i < 256; i++) {
            FLOOR[i] = Math.min(SIZE - 2, i * (SIZE - 1) / 255);
            REST[i] = i * (SIZE - 1) / 255f - FLOOR[i];
            OF_ONE[i] = i / 255f;
        }
    }

    private Toning() {}

    /** What a table is baked from. */
    private record Key(Balance balance, Levels levels, Colouring colouring, Optional<ColourTable> table,
            Optional<ByBrightness> brightness, boolean lit) {}

    private static final Key NOTHING = new Key(Balance.NEUTRAL, Levels.NEUTRAL, Colouring.NEUTRAL, Optional.empty(), Optional.empty(),
            false);

    /** Does one of a picture's tones. */
    static void tone(Treated what, int number, Patch patch, Whole whole) {
        Tone tone = what.tones().get(number).tone();
        if (tone.levels().local()) {
            Tone last = tone.balanced(Balance.NEUTRAL).levelled(Levels.NEUTRAL);
            surrounded(tone, Surroundings.of(what, number, whole), patch, baked(last, whole));
        } else {
            baked(tone, whole).ifPresent(lattice -> looked(lattice, patch));
        }
        what.tones().get(number).lying().ifPresent(lying -> {
            Affine own = Affine.scale(whole.width(), whole.height()).after(patch.toPicture());
            tone.vignette().ifPresent(vignette -> Ending.vignette(vignette, patch, vignette.frame()
                    .map(frame -> frame.after(patch.toPicture())).orElseGet(() -> lying.toBox().after(own))));
            tone.texture().ifPresent(texture -> Ending.texture(texture, patch, lying.toSheet().after(own)));
        });
    }

    /** The steps before what looks at surroundings: linear red, green and blue, and OKLab's lightness, all within what sRGB can show. */
    static Lattice lit(Tone tone) {
        Levels levels = tone.levels().pointwise();
        return BAKED.get(new Key(tone.balance(), levels, Colouring.NEUTRAL, Optional.empty(), Optional.empty(), true),
                () -> Lattice.baked(SIZE, 4, Colouration.before(tone.balance(), levels).andThen(c -> {
            for (int i = 0; i < 3; i++) c[i] = Curve.light(Math.max(0, Math.min(1, c[i])));
            c[3] = OkLab.lightness(c[0], c[1], c[2]);
        })));
    }

    /** All that a tone does to each pixel by itself; empty where that is nothing. */
    private static Optional<Lattice> baked(Tone tone, Whole whole) {
        Key key = new Key(tone.balance(), tone.levels().pointwise(), tone.colouring(), tone.table(), tone.brightness(), false);
        if (key.equals(NOTHING)) return Optional.empty();
        return Optional.of(BAKED.get(key, () -> Lattice.baked(SIZE, Colouration.before(tone.balance(), tone.levels())
                .andThen(Colouration.after(tone, tone.table().flatMap(table -> whole.table(table.id())))))));
    }

    private static void looked(Lattice lattice, Patch patch) {
        IntStream.range(0, patch.height()).parallel().forEach(y -> {
            float[] c = new float[3];
            int[] argb = patch.argb();
            boolean deep = patch.finer().isPresent();
            for (int i = y * patch.width(); i < (y + 1) * patch.width(); i++) {
                if (argb[i] >>> 24 == 0) continue;
                if (deep) {
                    look(lattice, patch, i, c);
                    patch.recolour(i, c);
                } else {
                    look(lattice, argb[i], c);
                    argb[i] = pixel(argb[i] >>> 24, c);
                }
            }
        });
    }

    /** Looks a pixel up in a baked table. */
    static void look(Lattice lattice, Patch patch, int i, float[] c) {
        if (patch.finer().isEmpty()) {
            look(lattice, patch.argb()[i], c);
            return;
        }
        patch.colour(i, c);
        lattice.look(c[0] * (SIZE - 1), c[1] * (SIZE - 1), c[2] * (SIZE - 1), c);
    }

    private static void look(Lattice lattice, int pixel, float[] c) {
        int alpha = pixel >>> 24;
        if (alpha == 255) {
            int r = pixel >> 16 & 0xFF;
            int g = pixel >> 8 & 0xFF;
            int b = pixel & 0xFF;
            lattice.look((FLOOR[b] * SIZE + FLOOR[g]) * SIZE + FLOOR[r], REST[r], REST[g], REST[b], c);
        } else {
            lattice.look(step(pixel >> 16, alpha), step(pixel >> 8, alpha), step(pixel, alpha), c);
        }
    }

    private static float step(int value, int alpha) {
        return alpha == 0 ? 0 : Math.min(1f, (value & 0xFF) / (float) alpha) * (SIZE - 1);
    }

    /**
     * Another lightness by the surroundings, in OKLab, where a share of L with the same share of a and b is the cube of that share of
     * light: saturation stays as {@link Colouration} keeps it.
     */
    private static void surrounded(Tone tone, Surroundings around, Patch patch, Optional<Lattice> last) {
        Lattice lit = lit(tone);
        IntStream.range(0, patch.height()).parallel().forEach(y -> {
            Lights lights = new Lights(patch.width());
            lights(patch, y, lit, lights);
            around.change(patch, y, lights);
            finish(patch, y, lights, last);
        });
    }

    /** Of each pixel of a row, linear red, green and blue, and lightness. */
    record Lights(float[] red, float[] green, float[] blue, float[] lightness) {
        Lights(int width) {
            this(new float[width], new float[width], new float[width], new float[width]);
        }
    }

    private static void lights(Patch patch, int y, Lattice lit, Lights out) {
        float[] c = new float[4];
        int from = y * patch.width();
        for (int x = 0; x < patch.width(); x++) {
            look(lit, patch, from + x, c);
            out.red[x] = c[0];
            out.green[x] = c[1];
            out.blue[x] = c[2];
            out.lightness[x] = c[3];
        }
    }

    private static void finish(Patch patch, int y, Lights lights, Optional<Lattice> last) {
        // Steps of the table, where there is one.
        float white = last.isPresent() ? SIZE - 1 : 1;
        Curve.stored(lights.red, white);
        Curve.stored(lights.green, white);
        Curve.stored(lights.blue, white);
        float[] c = new float[3];
        int from = y * patch.width();
        for (int x = 0; x < patch.width(); x++) {
            if (patch.argb()[from + x] >>> 24 == 0) continue;
            if (last.isPresent()) {
                last.get().look(lights.red[x], lights.green[x], lights.blue[x], c);
            } else {
                c[0] = lights.red[x];
                c[1] = lights.green[x];
                c[2] = lights.blue[x];
            }
            patch.recolour(from + x, c);
        }
    }

    /** The colour of a pixel, 0 to 1. */
    static void stored(int pixel, float[] c) {
        int alpha = pixel >>> 24;
        for (int i = 0; i < 3; i++) {
            int value = pixel >> 16 - 8 * i & 0xFF;
            c[i] = alpha == 255 ? OF_ONE[value] : alpha == 0 ? 0 : Math.min(1f, value / (float) alpha);
        }
    }

    /** A pixel of a colour; what is beyond black and white is cut off. */
    static int pixel(int alpha, float[] c) {
        return alpha << 24 | level(c[0], alpha) << 16 | level(c[1], alpha) << 8 | level(c[2], alpha);
    }

    private static int level(float value, int alpha) {
        return value <= 0 ? 0 : value >= 1 ? alpha : (int) (value * alpha + 0.5f);
    }
}
