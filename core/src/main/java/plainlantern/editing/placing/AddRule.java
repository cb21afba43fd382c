package plainlantern.editing.placing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.OptionalDouble;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Added;
import plainlantern.geometry.Point;
import plainlantern.sheet.Rim;
import plainlantern.sheet.Rule;
import plainlantern.sheet.Sheet;

/**
 * Draws a rule from one place on the sheet to another, in front of all else.
 *
 * @param width mm; absent for one point
 */
@JsonTypeName("add-rule")
public record AddRule(double x1, double y1, double x2, double y2, @Typed.OptionalLength OptionalDouble width) implements PlacingEdit {
    private static final double SHORTEST = 0.5;

    public AddRule {
        BadInput.unless(Math.hypot(x2 - x1, y2 - y1) >= SHORTEST, "rule", "Draw a longer line.");
    }

    @Override
    public Sheet apply(Sheet before) {
        Rim line = Rim.RULE.wide(width.orElse(Rim.RULE.width()));
        int number = before.lastId() + 1;
        return before.adding(Rule.between("p" + number, "Rule " + number, new Point(x1, y1), new Point(x2, y2), line));
    }

    @Override
    public List<String> selected(Sheet before, Sheet after, List<String> selected) {
        return Added.to(before, after);
    }

    @Override
    public String title(Sheet before) {
        return "Rule";
    }
}
