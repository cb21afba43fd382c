package plainlantern.outline;

import java.lang.ref.WeakReference;
import java.util.Collections;
import java.util.Map;
import java.util.WeakHashMap;
import plainlantern.asking.BadInput;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.FillRule;
import plainlantern.geometry.Path;

/**
 * The outlines of letters, equal where they are written alike. They are thousands of curves: those that are in use anywhere are read
 * once, whatever document holds them, and a form of the size that was last asked for is kept.
 */
public final class Inked {
    static final int MOST_STEPS = 60_000;
    private static final double EM = 100_000;
    private static final Map<String, WeakReference<Inked>> IN_USE = Collections.synchronizedMap(new WeakHashMap<>());

    private final String d;
    /** In the unit square around the origin. */
    private final Path unit;
    /** In em, from where the first baseline begins. */
    private final Box box;
    private volatile Sized last = new Sized(0, 0, Path.EMPTY);

    private record Sized(double width, double height, Path path) {}

    private Inked(String d, Path unit, Box box) {
        this.d = d;
        this.unit = unit;
        this.box = box;
    }

    /** @param drawn in em; rounded to what is written */
    static Inked of(Path drawn) {
        return read(PathData.brief(drawn.mapped(Affine.scale(EM, EM)), 0));
    }

    /** @param d path data in hundred-thousandths of an em, filled by the non-zero rule */
    static Inked read(String d) {
        WeakReference<Inked> known = IN_USE.get(d);
        Inked same = known == null ? null : known.get();
        if (same != null) return same;
        Path drawn = PathData.read(d, FillRule.NON_ZERO);
        BadInput.unless(drawn.segments().size() <= MOST_STEPS, "outline", "These letters have too many points.");
        Box box = drawn.bounds();
        BadInput.unless(box.width() > 0 && box.height() > 0, "outline", "Nothing is to be seen of these letters.");
        Inked read = new Inked(d, drawn.mapped(FreeForm.toUnit(box)), new Box(box.x() / EM, box.y() / EM, box.width() / EM,
                box.height() / EM));
        // The key is what the value itself holds: with the last who uses it both go.
        IN_USE.put(d, new WeakReference<>(read));
        return read;
    }

    String d() {
        return d;
    }

    Box box() {
        return box;
    }

    Path path(double width, double height) {
        Sized sized = last;
        if (sized.width != width || sized.height != height)
            last = sized = new Sized(width, height, unit.mapped(Affine.scale(width, height)));
        return sized.path;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Inked inked && inked.d.equals(d);
    }

    @Override
    public int hashCode() {
        return d.hashCode();
    }
}
