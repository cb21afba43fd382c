package plainlantern.editing.forms;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.editing.Titles;
import plainlantern.geometry.Nodes;
import plainlantern.geometry.Point;
import plainlantern.sheet.Sheet;

/** Puts a point on a form's outline, at the place nearest to one on the sheet, mm. The form stays as it is. */
@JsonTypeName("add-point")
public record AddPoint(String panel, double x, double y) implements FormEdit {
    @Override
    public Sheet apply(Sheet before) {
        Point to = Drawn.far(new Point(x, y), "point");
        return Drawn.changed(before, Drawn.panel(before, panel), nodes -> {
            Nodes.On on = nodes.nearest(to).orElseThrow();
            return on.t() < 1e-6 || on.t() > 1 - 1e-6 ? nodes : nodes.parted(on);
        });
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Add point", before, List.of(panel));
    }
}
