package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.OptionalDouble;
import plainlantern.arranging.Axis;
import plainlantern.arranging.Spacing;
import plainlantern.arranging.Units;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Choice;
import plainlantern.geometry.Box;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Sheet;

/**
 * Spaces panels evenly. Groups move as one.
 *
 * @param gap mm; absent shares out what there is (a pack then keeps no gap)
 */
@JsonTypeName("space")
public record Space(List<String> panels, How how, @Typed.OptionalLength OptionalDouble gap) implements Edit {
    /** What becomes even. */
    public enum How implements Choice {
        MIDDLES_ACROSS, MIDDLES_DOWN,
        GAPS_ACROSS, GAPS_DOWN, PACK
    }

    @Override
    public Sheet apply(Sheet before) {
        List<Units.One> units = Units.of(before, panels);
        boolean between = how != How.PACK && gap.isEmpty();
        BadInput.unless(units.size() >= (between ? 3 : 2), "gap", between ? "Select three panels or more; the outer two stay." : "Select two panels or more.");
        BadInput.unless(gap.isEmpty() || Math.abs(gap.getAsDouble()) <= 5000, "gap", "A gap is at most 5 m.");
        return Units.moved(before, switch (how) {
            case MIDDLES_ACROSS -> Spacing.middles(units, Axis.ACROSS);
            case MIDDLES_DOWN -> Spacing.middles(units, Axis.DOWN);
            case GAPS_ACROSS -> Spacing.gaps(units, Axis.ACROSS, gap);
            case GAPS_DOWN -> Spacing.gaps(units, Axis.DOWN, gap);
            case PACK -> Spacing.packed(units, Box.union(units.stream().map(Units.One::box).toList()), gap.orElse(0));
        });
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(how == How.PACK ? "Pack" : "Space evenly", before, panels);
    }
}
