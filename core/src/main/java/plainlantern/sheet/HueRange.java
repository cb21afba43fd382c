package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonInclude;
import plainlantern.asking.Asked;
import plainlantern.asking.Choice;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;

/**
 * What a tone does to the colours about one hue.
 *
 * @param hue       degrees that they turn, in OKLCh
 * @param chroma    how much more colour they get
 * @param lightness how much lighter they get, a quarter of all lightness at most
 * @param grey      how much lighter they are in black and white
 */
@JsonInclude(JsonInclude.Include.NON_DEFAULT)
public record HueRange(@Asked(value = "Hue", least = -60, most = 60) @Typed.NumberOrZero double hue,
        @Asked(value = "Saturation", least = -1, most = 1) @Typed.ShareOrZero double chroma,
        @Asked(value = "Lightness", least = -1, most = 1) @Typed.ShareOrZero double lightness,
        @Asked(value = "Lightness", least = -1, most = 1) @Typed.ShareOrZero double grey) {
    public static final HueRange NEUTRAL = new HueRange(0, 0, 0, 0);

    public HueRange {
        Questions.check(HueRange.class, hue, chroma, lightness, grey);
    }

    /** The eight ranges, each about its hue in OKLCh, degrees. */
    public enum Name implements Choice {
        RED(29), ORANGE(65), YELLOW(108), GREEN(145), CYAN(195), BLUE(258), VIOLET(302), PINK(350);

        private final double centre;

        Name(double centre) {
            this.centre = centre;
        }

        public double centre() {
            return centre;
        }
    }
}
