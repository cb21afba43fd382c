package plainlantern.editing.forms;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import plainlantern.arranging.Seams;
import plainlantern.arranging.Shapes;
import plainlantern.arranging.Sides;
import plainlantern.asking.BadInput;
import plainlantern.fitting.Refit;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/**
 * Moves the sides of panels along a seam, so that the gap stays as wide as it is.
 *
 * @param sides as {@link Seams} names them
 * @param dx    mm on the sheet; each side takes the part of the step that is square to it
 * @param dy    likewise
 */
@JsonTypeName("move-seam")
public record MoveSeam(List<Seams.Side> sides, double dx, double dy) implements FormEdit {
    @Override
    public Sheet apply(Sheet before) {
        BadInput.unless(sides != null && !sides.isEmpty(), "seam", "There is no seam.");
        Map<String, List<Integer>> byPanel = new LinkedHashMap<>();
        for (Seams.Side side : sides) byPanel.computeIfAbsent(side.panel(), p -> new ArrayList<>()).add(side.side());
        BadInput.unless(before.free(byPanel.keySet()).size() == byPanel.size(), "seam", "A panel along this seam is locked.");
        return before.holding(byPanel.keySet(), panel -> moved(before, panel, byPanel.get(panel.id())));
    }

    private Holder moved(Sheet before, Holder panel, List<Integer> indices) {
        List<Point> corners = Shapes.sides(panel).orElseThrow(() -> new BadInput("seam", panel.name() + " has no side that can be moved."));
        BadInput.unless(indices.stream().allMatch(i -> i >= 0 && i < corners.size()), "seam", panel.name() + " has no such side.");
        Seat seat = panel.seat();
        Affine back = seat.toSheet().inverse();
        Point by = back.apply(new Point(dx, dy)).minus(back.apply(Point.ORIGIN));
        List<Point> next = Sides.moved(corners, indices, by, panel.name());
        if (panel.outline().ownSides()) {
            return Refit.reshaped(before, panel, Sides.sound(next, corners, panel.name()));
        }
        var box = Path.polygon(next).bounds();
        return Refit.resized(before, panel, panel.withSeat(seat.sized(box.width(), box.height()).at(seat.toSheet().apply(box.centre()))));
    }

    @Override
    public String title(Sheet before) {
        return "Move seam";
    }
}
