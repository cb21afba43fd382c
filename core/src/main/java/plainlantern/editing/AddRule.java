package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.OptionalDouble;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Point;
import plainlantern.geometry.Typed;
import plainlantern.outline.Straight;
import plainlantern.sheet.Rim;
import plainlantern.sheet.Sheet;

/**
 * Draws a rule from one place on the sheet to another, in front of all else.
 *
 * @param width mm; absent for one point
 */
@JsonTypeName("add-rule")
public record AddRule(double x1, double y1, double x2, double y2, @Typed.OptionalLength OptionalDouble width) implements Edit {
    private static final double SHORTEST = 0.5;

    public AddRule {
        BadInput.unless(Math.hypot(x2 - x1, y2 - y1) >= SHORTEST, "rule", "Draw a longer line.");
    }

    @Override
    public Sheet apply(Sheet before) {
        Rim line = Rules.line(width.orElse(Rim.RULE.width()));
        int number = before.lastId() + 1;
        return before.adding(Rules.rule("p" + number, "Rule " + number, new Point(x1, y1), new Point(x2, y2), Straight.FREE, line));
    }

    @Override
    public String title(Sheet before) {
        return "Rule";
    }
}
