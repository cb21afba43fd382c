package plainlantern.sheet;

import plainlantern.asking.Asked;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;

/**
 * Darker or lighter towards the corners of the form's box.
 *
 * @param edge   light in the corners: -1 is three stops less, 1 three more
 * @param begins how far from the middle (0) to a corner (1) it begins
 */
public record Vignette(@Asked(value = "Corners", least = -1, most = 1) @Typed.Share double edge,
        @Asked(value = "Begins", most = 0.95) @Typed.Share double begins) {
    public static final Vignette FIRST = new Vignette(0, 0.4);

    public Vignette {
        Questions.check(Vignette.class, edge, begins);
    }
}
