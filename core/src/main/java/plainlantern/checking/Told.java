package plainlantern.checking;

import java.util.Map;
import java.util.Set;
import plainlantern.sheet.Treated;

/**
 * What only pixels tell of a sheet.
 *
 * @param words how well the words of captions can be read, by element
 * @param lost  what tones cut off, by the toned picture as {@link Treated#anywhere} has it
 * @param hidden what veils hide altogether
 */
public record Told(Map<String, Legibility> words, Map<Treated, Lost> lost, Set<Hidden> hidden) {
    /** No pixel was looked at. */
    public static final Told NOTHING = new Told(Map.of(), Map.of(), Set.of());

    /**
     * How many pixels a tone cuts off that were not before it, as shares of all.
     *
     * @param dark  of which a channel is black
     * @param light of which a channel is white
     */
    public record Lost(double dark, double light) {}

    /** A picture of an element, by its place among the layers. */
    public record Hidden(String element, int layer) {}
}
