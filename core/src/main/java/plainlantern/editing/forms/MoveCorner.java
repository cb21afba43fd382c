package plainlantern.editing.forms;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import plainlantern.arranging.Shapes;
import plainlantern.arranging.Sides;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.fitting.Refit;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Point;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/**
 * Moves a corner of a panel by mm on the sheet, and with it all corners of other panels that coincide with it (within 0.01 mm), unless
 * they are to part. What the panels show stays in place.
 */
@JsonTypeName("move-corner")
public record MoveCorner(String panel, int corner, double dx, double dy, @Typed.Switch boolean apart) implements FormEdit {
    private static final double COINCIDENT = 0.01;
    private static final String NONE = "This form has no corner there that can be moved.";

    @Override
    public Sheet apply(Sheet before) {
        BadInput.unless(Math.max(Math.abs(dx), Math.abs(dy)) <= Seat.LARGEST, "corner", "A corner stays within 10 m of the sheet.");
        Holder moved = before.free(List.of(panel)).get(0).holder().orElseThrow(() -> new BadInput("corner", NONE));
        Optional<List<Point>> corners = Shapes.corners(moved);
        BadInput.unless(corners.isPresent() && corner >= 0 && corner < corners.get().size(), "corner", NONE);
        Point at = moved.seat().toSheet().apply(corners.get().get(corner));
        Map<String, List<Point>> forms = new LinkedHashMap<>();
        for (Holder p : apart ? List.of(moved) : before.holders()) {
            if (p.locked()) continue;
            Affine toSheet = p.seat().toSheet();
            Shapes.corners(p).ifPresent(own -> {
                List<Point> next = new ArrayList<>();
                boolean touched = false;
                for (Point point : own) {
                    Point there = toSheet.apply(point);
                    boolean goes = there.distance(at) <= COINCIDENT;
                    touched |= goes;
                    next.add(goes ? toSheet.inverse().apply(there.plus(new Point(dx, dy))) : point);
                }
                if (touched) forms.put(p.id(), next);
            });
        }
        return before.holding(forms.keySet(), p ->
                Refit.shaped(before, p, Sides.sound(forms.get(p.id()), Shapes.corners(p).orElseThrow(), p.name())));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Move corner", before, List.of(panel));
    }
}
