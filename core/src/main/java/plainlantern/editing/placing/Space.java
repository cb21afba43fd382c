package plainlantern.editing.placing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import plainlantern.arranging.Axis;
import plainlantern.arranging.Groups;
import plainlantern.arranging.Spacing;
import plainlantern.asking.BadInput;
import plainlantern.asking.Choice;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.sheet.Sheet;

/**
 * Spaces panels evenly, each row or column of them by itself; those that stand in neither, all together. Groups move as one.
 *
 * @param gap mm; absent shares out what there is (a pack then keeps no gap)
 */
@JsonTypeName("space")
public record Space(List<String> panels, How how, @Typed.OptionalLength OptionalDouble gap) implements PlacingEdit {
    /** What becomes even. */
    public enum How implements Choice {
        MIDDLES_ACROSS, MIDDLES_DOWN,
        GAPS_ACROSS, GAPS_DOWN, PACK
    }

    @Override
    public Sheet apply(Sheet before) {
        List<Groups.One> units = Groups.of(before, panels);
        boolean between = how != How.PACK && gap.isEmpty();
        Axis axis = how == How.MIDDLES_ACROSS || how == How.GAPS_ACROSS ? Axis.ACROSS : Axis.DOWN;
        List<List<Groups.One>> rows = how == How.PACK ? List.of(units) : Spacing.rows(units, axis);
        if (rows.stream().allMatch(row -> row.size() == 1) && Spacing.rows(units, axis.other()).stream().allMatch(row -> row.size() == 1))
            rows = List.of(units);
        int longest = rows.stream().mapToInt(List::size).max().orElse(0);
        BadInput.unless(longest >= (between ? 3 : 2), "gap", between ? "Select three panels or more in a " + line(axis)
                + "; the outer two stay." : "Select two panels or more in a " + line(axis) + ".");
        BadInput.unless(gap.isEmpty() || Math.abs(gap.getAsDouble()) <= 5000, "gap", "A gap is at most 5 m.");
        Map<Groups.One, Point> moves = new LinkedHashMap<>();
        for (List<Groups.One> row : rows) {
            if (row.size() < (between ? 3 : 2)) continue;
            moves.putAll(switch (how) {
                case MIDDLES_ACROSS, MIDDLES_DOWN -> Spacing.middles(row, axis);
                case GAPS_ACROSS, GAPS_DOWN -> Spacing.gaps(row, axis, gap);
                case PACK -> Spacing.packed(row, Box.union(row.stream().map(Groups.One::box).toList()), gap.orElse(0));
            });
        }
        return Groups.moved(before, moves);
    }

    private static String line(Axis axis) {
        return axis == Axis.ACROSS ? "row" : "column";
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(how == How.PACK ? "Pack" : "Space evenly", before, panels);
    }
}
