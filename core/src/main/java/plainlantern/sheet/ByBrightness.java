package plainlantern.sheet;

import java.util.Comparator;
import java.util.List;
import java.util.function.UnaryOperator;
import plainlantern.asking.Asked;
import plainlantern.asking.BadInput;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;

/**
 * The sixth step of a tone: each pixel takes the colour that stands at its brightness, its relative luminance as sRGB stores it.
 *
 * @param stops    from black (0) to white (1), two at least
 * @param strength 0 to 1
 * @param blend    how the colour meets what was there
 */
public record ByBrightness(List<Stop> stops, @Asked(value = "Strength", most = 1) @Typed.Share double strength, Blend blend) {
    /** From black to white, which is no more than black and white. */
    public static final ByBrightness GREY = new ByBrightness(List.of(new Stop(0, Colour.BLACK, 1), new Stop(1, Colour.WHITE, 1)), 1,
            Blend.NORMAL);

    public ByBrightness {
        stops = stops.stream().sorted(Comparator.comparingDouble(Stop::at)).toList();
        BadInput.unless(stops.size() >= 2 && stops.size() <= 12, "stops", "Colours by brightness are two to twelve.");
        BadInput.unless(blend != null, "blend", "Choose how the colours are blended.");
        Questions.check(ByBrightness.class, stops, strength, blend);
    }

    /** From black over a colour, where its own brightness is, to white. */
    public static ByBrightness about(Colour colour) {
        double at = Math.max(0.05, Math.min(0.95, colour.brightness()));
        return new ByBrightness(List.of(new Stop(0, Colour.BLACK, 1), new Stop(at, colour, 1), new Stop(1, Colour.WHITE, 1)), 1,
                Blend.NORMAL);
    }

    public ByBrightness recoloured(UnaryOperator<Colour> change) {
        return new ByBrightness(stops.stream().map(s -> new Stop(s.at(), change.apply(s.colour()), s.opacity())).toList(), strength, blend);
    }
}
