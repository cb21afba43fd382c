package plainlantern.editing.forms;

import java.util.List;
import java.util.function.UnaryOperator;
import plainlantern.asking.BadInput;
import plainlantern.geometry.Box;
import plainlantern.geometry.Nodes;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/** Forms as drawn ones: their points on the sheet. */
final class Drawn {
    private static final String NONE = "There is no such point on this form.";

    private Drawn() {}

    /** The panel whose points are meant; locked ones and rules are refused. */
    static Holder panel(Sheet sheet, String id) {
        return sheet.free(List.of(id)).get(0).holder().orElseThrow(() -> new BadInput("point", "A rule has no form."));
    }

    static Nodes nodes(Holder panel) {
        return Nodes.of(panel.pathOnSheet());
    }

    static Nodes.Node node(Nodes nodes, int point) {
        BadInput.unless(point >= 0 && point < nodes.count(), "point", NONE);
        return nodes.get(point);
    }

    /** The sheet with a panel's points changed; what it shows stays in place. */
    static Sheet changed(Sheet sheet, Holder panel, UnaryOperator<Nodes> change) {
        Nodes next = change.apply(nodes(panel));
        BadInput.unless(next.count() > 0, "point", "Nothing would be left of " + panel.name() + ".");
        return sheet.holding(List.of(panel.id()), p -> Overlapping.formed(sheet, p, sound(next.path(), "point")));
    }

    /** A path that can be a panel's form: within reach, and not flat. */
    static Path sound(Path path, String field) {
        BadInput.unless(!path.empty(), field, "Draw at least three points.");
        Box box = path.bounds();
        Seat.near(field, box.x(), box.right(), box.y(), box.bottom());
        BadInput.unless(box.shorter() >= Seat.THINNEST, field, "These points lie in one line: they enclose nothing.");
        return path;
    }

    static Point far(Point point, String field) {
        Seat.near(field, point.x(), point.y());
        return point;
    }
}
