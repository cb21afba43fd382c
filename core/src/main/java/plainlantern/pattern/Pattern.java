package plainlantern.pattern;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.List;
import java.util.Locale;
import plainlantern.asking.BadInput;
import plainlantern.asking.Scaled;
import plainlantern.geometry.Box;

/**
 * A generator of panels. Records that implement it say with {@link plainlantern.asking.Asked} what a person is asked for; the
 * bench builds its fields from that. The same numbers give the same pieces for ever: chance comes from {@link java.util.Random},
 * whose sequence its documentation fixes, and a seed.
 */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
public sealed interface Pattern permits EvenGrid, Polyptych, RunningBond, Honeycomb, Rosette, Interlock, Shards, Scatter,
        JustifiedRows, StepAndRepeat {
    /** More pieces than this no pattern makes. */
    int MOST = 5000;
    /** Thinner than this (mm) nothing can be grabbed or printed. */
    double THINNEST = 0.1;
    /** One of each kind, in the order of the gallery. */
    List<Class<? extends Pattern>> KINDS = List.of(EvenGrid.class, Polyptych.class, RunningBond.class, Honeycomb.class,
            Rosette.class, Interlock.class,
            Shards.class, Scatter.class, JustifiedRows.class, StepAndRepeat.class);

    /**
     * The pieces, in the pattern's order; throws {@link BadInput} naming the number that leaves no room.
     *
     * @param aspects width / height of each picture on the shelf, for patterns that follow pictures
     */
    List<Piece> pieces(Box area, List<Double> aspects);

    /** The pattern's name as people read it. */
    String label();

    /** One sentence on the pieces just made. */
    default String says(Box area, List<Piece> pieces) {
        return pieces.size() == 1 ? "One panel." : pieces.size() + " panels.";
    }

    /** Refuses more pieces than a sheet holds. */
    static void few(long count, String field) {
        BadInput.unless(count <= MOST, field, "That makes " + count + " panels; a sheet holds " + MOST + ".");
    }

    /** Refuses a size that is too thin to be a panel. */
    static void room(boolean enough, String field, String what, double most) {
        BadInput.unless(enough, field, String.format(Locale.ROOT, "These gaps leave no room for %s. At most %.2f mm fits.", what,
                Math.max(0, most)));
    }

    /** The same on a sheet that is so many times as large: its gaps and other lengths. */
    default Pattern scaled(double factor) {
        return Scaled.of(this, factor);
    }

    /** The start and end of each of its columns, mm, where it is a grid of such; else none. */
    default List<double[]> across(Box area) {
        return List.of();
    }

    /** The start and end of each of its rows, likewise. */
    default List<double[]> down(Box area) {
        return List.of();
    }
}
