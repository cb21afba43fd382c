package plainlantern.sheet;

import plainlantern.asking.Asked;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;

/**
 * The last step of a tone: grain, and sharpening for the size at which it is seen.
 *
 * @param grain  how strong, 0 to 1
 * @param size   of a grain, mm on the sheet
 * @param seed   which grain
 * @param sharp  how much of the difference from the surroundings is added
 * @param radius the standard deviation of the Gaussian curve that tells the surroundings, mm on the sheet
 */
public record Texture(@Asked(value = "Grain", most = 1) @Typed.Share double grain,
        @Asked(value = "Grain size", first = "0.25", least = 0.02, most = 10) @Typed.Length double size,
        @Asked(value = "Seed", first = "1", most = 999999) @Typed.Whole int seed,
        @Asked(value = "Sharpening", most = 3) @Typed.Share double sharp,
        @Asked(value = "Radius", first = "0.2", least = 0.02, most = 2) @Typed.Length double radius) {
    public static final Texture FIRST = new Texture(0, 0.25, 1, 0, 0.2);

    public Texture {
        Questions.check(Texture.class, grain, size, seed, sharp, radius);
    }

    /** The same on a sheet that is so many times as large. */
    public Texture scaled(double factor) {
        return new Texture(grain, Math.max(0.02, Math.min(10, size * factor)), seed, sharp, Math.max(0.02, Math.min(2, radius * factor)));
    }
}
