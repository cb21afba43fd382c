package plainlantern.editing.placing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import plainlantern.arranging.Axis;
import plainlantern.arranging.Groups;
import plainlantern.asking.BadInput;
import plainlantern.asking.Choice;
import plainlantern.editing.Titles;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.sheet.Sheet;

/**
 * Lines panels up along one of six lines. Groups move as one.
 *
 * @param to  what they are lined up with
 * @param key the panel that stays, for {@link To#KEY}
 */
@JsonTypeName("align")
public record Align(List<String> panels, Line line, To to, Optional<String> key) implements PlacingEdit {
    /** The line of each box that is lined up. */
    public enum Line implements Choice {
        LEFT(Axis.ACROSS, 0), CENTRE(Axis.ACROSS, 0.5), RIGHT(Axis.ACROSS, 1),
        TOP(Axis.DOWN, 0), MIDDLE(Axis.DOWN, 0.5), BOTTOM(Axis.DOWN, 1);

        private final Axis axis;
        private final double share;

        Line(Axis axis, double share) {
            this.axis = axis;
            this.share = share;
        }

        double of(Box box) {
            return axis.start(box) + share * axis.size(box);
        }
    }

    /** What panels are lined up with. */
    public enum To implements Choice {
        SELECTION, SHEET, MARGINS, KEY
    }

    @Override
    public Sheet apply(Sheet before) {
        List<Groups.One> units = Groups.of(before, panels);
        double wanted = line.of(target(before, units));
        Map<Groups.One, Point> moves = new LinkedHashMap<>();
        for (Groups.One unit : units) {
            boolean stays = to == To.KEY && unit.panels().stream().anyMatch(p -> p.id().equals(key.orElse("")));
            if (!stays) moves.put(unit, line.axis.step(wanted - line.of(unit.box())));
        }
        BadInput.unless(!moves.isEmpty(), "panels", "Select another panel to align with this one.");
        return Groups.moved(before, moves);
    }

    private Box target(Sheet sheet, List<Groups.One> units) {
        return switch (to) {
            case SHEET -> sheet.bounds();
            case MARGINS -> sheet.area().orElseThrow(() -> new BadInput("panels", "The margins leave nothing of the sheet."));
            case KEY -> sheet.element(key.orElseThrow(() -> new BadInput("panels", "Choose the panel that stays."))).boundsOnSheet();
            case SELECTION -> {
                BadInput.unless(units.size() > 1, "panels", "Select two panels or more, or align with the sheet.");
                yield Box.union(units.stream().map(Groups.One::box).toList());
            }
        };
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Align " + line.name().toLowerCase(Locale.ROOT), before, panels);
    }
}
