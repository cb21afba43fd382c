package plainlantern.editing.forms;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import plainlantern.arranging.Shapes;
import plainlantern.asking.BadInput;
import plainlantern.asking.Choice;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.geometry.Nodes;
import plainlantern.geometry.Point;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;

/**
 * Moves a point of a form by mm on the sheet, with its handles, and with it the points of other drawn forms and polygons that coincide
 * with it (within 0.01 mm); or one of its handles, with which the other turns where both lie in line.
 *
 * @param point by its number along the outline, from 0
 * @param apart whether others that coincide, or the other handle, stay
 */
@JsonTypeName("move-point")
public record MovePoint(String panel, int point, Part part, double dx, double dy, @Typed.Switch boolean apart) implements FormEdit {
    private static final double COINCIDENT = 0.01;

    /** What is moved. */
    public enum Part implements Choice { POINT, IN, OUT }

    public MovePoint {
        BadInput.unless(part != null, "part", "Say what is to be moved.");
        Drawn.far(new Point(dx, dy), "point");
    }

    @Override
    public Sheet apply(Sheet before) {
        Holder moved = Drawn.panel(before, panel);
        Nodes.Node node = Drawn.node(Drawn.nodes(moved), point);
        Point by = new Point(dx, dy);
        if (part != Part.POINT) {
            Point to = (part == Part.OUT ? node.out() : node.in()).plus(by);
            return Drawn.changed(before, moved, nodes -> nodes.with(point, node.handled(part == Part.OUT, to, apart)));
        }
        Sheet now = Drawn.changed(before, moved, nodes -> nodes.with(point, node.moved(by)));
        if (apart) return now;
        for (Holder other : before.holders()) {
            if (other.locked() || other.id().equals(panel) || !other.outline().drawn() && Shapes.corners(other).isEmpty()) continue;
            List<Integer> along = coincident(Drawn.nodes(other), node.at());
            if (!along.isEmpty()) now = Drawn.changed(now, now.holder(other.id()), nodes -> moved(nodes, along, by));
        }
        return now;
    }

    private static List<Integer> coincident(Nodes nodes, Point at) {
        List<Integer> found = new ArrayList<>();
        for (int i = 0; i < nodes.count(); i++) if (nodes.get(i).at().distance(at) <= COINCIDENT) found.add(i);
        return found;
    }

    private static Nodes moved(Nodes nodes, List<Integer> points, Point by) {
        Nodes now = nodes;
        for (int each : points) now = now.with(each, now.get(each).moved(by));
        return now;
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Move point", before, List.of(panel));
    }
}
