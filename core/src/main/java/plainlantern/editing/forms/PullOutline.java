package plainlantern.editing.forms;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.fitting.Refit;
import plainlantern.geometry.Point;
import plainlantern.sheet.Sheet;

/**
 * Pulls a handle of a panel's form to a place in the panel's own frame, mm.
 *
 * @param alone whether only the number of that very handle changes, where several share one
 */
@JsonTypeName("pull-outline")
public record PullOutline(String panel, String grip, double x, double y, @Typed.Switch boolean alone) implements FormEdit {
    @Override
    public Sheet apply(Sheet before) {
        before.free(List.of(panel));
        return before.holding(List.of(panel), p -> {
            double width = p.seat().width();
            double height = p.seat().height();
            boolean there = p.outline().grips(width, height).stream().anyMatch(g -> g.name().equals(grip));
            BadInput.unless(there, "outline", "This form has no such handle.");
            return Refit.reformed(before, p.withOutline(p.outline().pulled(grip, new Point(x, y), alone, width, height)));
        });
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Change form", before, List.of(panel));
    }
}
