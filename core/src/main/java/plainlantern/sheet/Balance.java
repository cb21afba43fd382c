package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonInclude;
import plainlantern.asking.Asked;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;

/**
 * The first step of a tone, in linear light: white balance and exposure.
 *
 * @param temperature by how many mired a white of D65 gets warmer (above 0) or cooler, along the Planckian locus
 * @param tint        across it: to magenta (above 0) or green
 * @param exposure    stops: 1 is twice the light
 */
@JsonInclude(JsonInclude.Include.NON_DEFAULT)
public record Balance(@Asked(value = "Temperature", least = -100, most = 150) @Typed.NumberOrZero double temperature,
        @Asked(value = "Tint", least = -1, most = 1) @Typed.ShareOrZero double tint,
        @Asked(value = "Exposure", least = -5, most = 5) @Typed.NumberOrZero double exposure) implements Neutral {
    public static final Balance NEUTRAL = new Balance(0, 0, 0);

    public Balance {
        Questions.check(Balance.class, temperature, tint, exposure);
    }

    @Override
    public boolean neutral() {
        return equals(NEUTRAL);
    }
}
