package plainlantern.lettering;

import java.util.Optional;
import java.util.stream.Stream;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;

/**
 * Which face letters are set in: of a typeface that comes with the application, or of one that a member brought.
 *
 * @param family what the typeface is called
 * @param weight of one that comes with the application: one of its weights, another becomes the nearest, 0 its usual one
 * @param own    the id of one that a member brought; empty for one that comes with the application
 */
public record FaceName(String family, @Typed.WholeOrZero int weight, String own) {
    public static final int LONGEST = 120;

    public FaceName {
        own = own == null ? "" : own;
        BadInput.unless(family != null && !family.isBlank() && family.length() <= LONGEST, "family", "Choose a typeface.");
        BadInput.unless(own.length() <= 64 && own.chars().allMatch(c -> c < 128 && Character.isLetterOrDigit(c)), "own",
                "That is no typeface of yours.");
        BadInput.unless(weight >= 0 && weight <= 1000, "weight", "A weight goes from 1 to 1000.");
        Optional<Typeface> shipped = own.isEmpty() ? shipped(family) : Optional.empty();
        weight = shipped.isPresent() ? shipped.get().nearest(weight) : weight;
    }

    public static FaceName of(Typeface typeface, int weight) {
        return new FaceName(typeface.label(), weight, "");
    }

    /** The typeface that comes with the application; empty where it is another. */
    public Optional<Typeface> shipped() {
        return own.isEmpty() ? shipped(family) : Optional.empty();
    }

    private static Optional<Typeface> shipped(String family) {
        return Stream.of(Typeface.values()).filter(t -> t.label().equals(family)).findFirst();
    }

    /**
     * The face itself.
     *
     * @param brought what a member brought under {@link #own}
     * @throws BadInput where it is neither with the application nor among those brought
     */
    public Face face(Optional<Face> brought) {
        return shipped().map(typeface -> typeface.face(weight)).or(() -> own.isEmpty() ? Optional.empty() : brought)
                .orElseThrow(() -> new BadInput("family", "“" + family
                        + "” is not among your typefaces. Bring its file, or choose another."));
    }
}
