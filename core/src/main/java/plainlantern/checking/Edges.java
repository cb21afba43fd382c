package plainlantern.checking;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoublePredicate;
import plainlantern.editing.Edit;
import plainlantern.editing.placing.SeatPanels;
import plainlantern.geometry.Box;
import plainlantern.sheet.Element;
import plainlantern.sheet.Sheet;

/** How far each side of an element's box is beyond the trim; less than zero where it is within the sheet. */
record Edges(double left, double top, double right, double bottom) {
    /** What is at most so many mm off a line lies on it. */
    static final double TOUCHING = 0.01;

    static Edges of(Checked checked, Element panel) {
        Sheet sheet = checked.sheet();
        Box box = checked.box(panel);
        return new Edges(-box.x(), -box.y(), box.right() - sheet.width(), box.bottom() - sheet.height());
    }

    /** The names of the sides for which something holds. */
    List<String> where(DoublePredicate holds) {
        List<String> sides = new ArrayList<>();
        if (holds.test(left)) sides.add("left");
        if (holds.test(top)) sides.add("top");
        if (holds.test(right)) sides.add("right");
        if (holds.test(bottom)) sides.add("bottom");
        return sides;
    }

    /** The edit that brings those sides to the edge of the bleed, for elements that stand upright. */
    static Optional<Edit> bled(Checked checked, Element panel, List<String> sides) {
        if (!Checked.upright(panel) || panel.locked() || Math.abs(panel.seat().turn() % 180) > 1e-6) return Optional.empty();
        Sheet sheet = checked.sheet();
        Box box = checked.box(panel);
        double bleed = sheet.bleed();
        double x0 = sides.contains("left") ? -bleed : box.x();
        double y0 = sides.contains("top") ? -bleed : box.y();
        double x1 = sides.contains("right") ? sheet.width() + bleed : box.right();
        double y1 = sides.contains("bottom") ? sheet.height() + bleed : box.bottom();
        return Optional.of(SeatPanels.into(panel.id(), Box.between(x0, y0, x1, y1)));
    }

    /** "left", "left and top", "left, top and right" */
    static String named(List<String> sides) {
        return sides.size() == 1 ? sides.get(0) : String.join(", ", sides.subList(0, sides.size() - 1)) + " and "
                + sides.get(sides.size() - 1);
    }
}
