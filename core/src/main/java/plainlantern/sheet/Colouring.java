package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.Collections;
import java.util.ArrayList;
import java.util.List;
import plainlantern.asking.Asked;
import plainlantern.asking.BadInput;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;

/**
 * The third and fourth step of a tone, in OKLCh: how much colour there is, in all and by hue, or none.
 *
 * @param saturation -1 takes all colour out, 1 doubles it
 * @param muted      the same, the more the less colour there is
 * @param mono       black and white
 * @param hues       eight ranges in the order of {@link HueRange.Name}, or none where all are neutral
 */
@JsonInclude(JsonInclude.Include.NON_DEFAULT)
public record Colouring(@Asked(value = "Saturation", least = -1, most = 1) @Typed.ShareOrZero double saturation,
        @Asked(value = "Muted colours", least = -1, most = 1) @Typed.ShareOrZero double muted, @Typed.Switch boolean mono,
        List<HueRange> hues) implements Neutral {
    public static final Colouring NEUTRAL = new Colouring(0, 0, false, List.of());

    public Colouring {
        Questions.check(Colouring.class, saturation, muted, mono, hues);
        hues = hues == null || hues.stream().allMatch(HueRange.NEUTRAL::equals) ? List.of() : List.copyOf(hues);
        BadInput.unless(hues.isEmpty() || hues.size() == HueRange.Name.values().length, "hues", "There are eight ranges of hue.");
    }

    @Override
    public boolean neutral() {
        return equals(NEUTRAL);
    }

    public HueRange hue(HueRange.Name name) {
        return hues.isEmpty() ? HueRange.NEUTRAL : hues.get(name.ordinal());
    }

    /** The same with one of the ranges replaced. */
    public Colouring with(HueRange.Name name, HueRange range) {
        List<HueRange> all = new ArrayList<>(hues.isEmpty() ? Collections.nCopies(HueRange.Name.values().length, HueRange.NEUTRAL) : hues);
        all.set(name.ordinal(), range);
        return new Colouring(saturation, muted, mono, all);
    }
}
