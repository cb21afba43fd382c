package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonInclude;
import plainlantern.asking.Asked;
import plainlantern.asking.BadInput;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;

/**
 * The second step of a tone, on OKLab's lightness: from where on all is black or white, contrast about mid grey, and what looks at the
 * surroundings of each pixel.
 *
 * @param black      the lightness that becomes black; below 0 black gets lighter
 * @param white      how far below white the lightness is that becomes white; below 0 white gets darker
 * @param contrast   slope 2 to the power of this at mid grey
 * @param shadows    1 gives the darkest areas twice the lightness, which is three stops
 * @param highlights -1 doubles how far the lightest areas are from white
 * @param fine       how much more of the differences within about 1 % of the picture's longer side
 * @param broad      likewise within about 4 %
 */
@JsonInclude(JsonInclude.Include.NON_DEFAULT)
public record Levels(@Asked(value = "Black point", least = -0.5, most = 0.5) @Typed.ShareOrZero double black,
        @Asked(value = "White point", least = -0.5, most = 0.5) @Typed.ShareOrZero double white,
        @Asked(value = "Contrast", least = -1, most = 1) @Typed.ShareOrZero double contrast,
        @Asked(value = "Shadows", least = -1, most = 1) @Typed.ShareOrZero double shadows,
        @Asked(value = "Highlights", least = -1, most = 1) @Typed.ShareOrZero double highlights,
        @Asked(value = "Fine contrast", least = -1, most = 1) @Typed.ShareOrZero double fine,
        @Asked(value = "Broad contrast", least = -1, most = 1) @Typed.ShareOrZero double broad) implements Neutral {
    public static final Levels NEUTRAL = new Levels(0, 0, 0, 0, 0, 0, 0);

    private static final double MOST = 0.9;

    public Levels {
        Questions.check(Levels.class, black, white, contrast, shadows, highlights, fine, broad);
        BadInput.unless(black + white <= MOST, "white", "Between the black and the white point 10 % has to stay.");
    }

    @Override
    public boolean neutral() {
        return equals(NEUTRAL);
    }

    /** Whether a pixel's surroundings matter. */
    public boolean local() {
        return shadows != 0 || highlights != 0 || fine != 0 || broad != 0;
    }

    /** Whether anything is done to each pixel by itself. */
    public boolean curved() {
        return black != 0 || white != 0 || contrast != 0;
    }

    /** Without what looks at the surroundings. */
    public Levels pointwise() {
        return new Levels(black, white, contrast, 0, 0, 0, 0);
    }
}
