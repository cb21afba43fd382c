package plainlantern.arranging;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import plainlantern.Chance;
import plainlantern.Tried;
import plainlantern.asking.Unit;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Element;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/** Even spacing, whatever stands where. */
class SpacingTest {
    private static List<Box> boxes(Chance chance) {
        return chance.list(3, 9, c -> new Box(c.between(-100, 400), c.between(-100, 400), c.between(5, 80), c.between(5, 80)));
    }

    private static Sheet sheet(List<Box> boxes) {
        List<Element> panels = new ArrayList<>();
        for (Box box : boxes) {
            panels.add(Panel.empty("p" + panels.size(), "Panel " + panels.size(), Rectangle.SHARP,
                    Seat.upright(box.centre(), box.width(), box.height())));
        }
        return Sheet.empty("s", Unit.MM, 300, 200, 300).with(panels, panels.size());
    }

    private static List<Box> after(Sheet sheet, Map<Groups.One, Point> moves, Axis axis) {
        return Groups.moved(sheet, moves).panels().stream().map(Element::boundsOnSheet).sorted(Comparator.comparingDouble(axis::middle))
                .toList();
    }

    private static List<Groups.One> units(Sheet sheet) {
        return Groups.of(sheet, sheet.panels().stream().map(Element::id).toList());
    }

    @Tried(100)
    void middlesBecomeEvenAndTheOuterTwoStay(Chance chance) {
        List<Box> boxes = boxes(chance);
        Axis axis = chance.of(Axis.values());
        Sheet sheet = sheet(boxes);
        List<Double> before = boxes.stream().map(axis::middle).sorted().toList();
        List<Box> row = after(sheet, Spacing.middles(units(sheet), axis), axis);
        double step = (before.get(before.size() - 1) - before.get(0)) / (before.size() - 1);
        for (int i = 0; i < row.size(); i++) assertThat(axis.middle(row.get(i))).isCloseTo(before.get(0) + i * step, within(1e-9));
    }

    @Tried(100)
    void gapsBecomeTheOneThatWasTyped(Chance chance) {
        List<Box> boxes = boxes(chance);
        Axis axis = chance.of(Axis.values());
        double gap = chance.between(0, 40);
        Sheet sheet = sheet(boxes);
        Map<Groups.One, Point> moves = Spacing.gaps(units(sheet), axis, OptionalDouble.of(gap));
        List<Box> row = new ArrayList<>();
        moves.forEach((unit, by) -> row.add(new Box(unit.box().x() + by.x(), unit.box().y() + by.y(), unit.box().width(),
                unit.box().height())));
        for (int i = 1; i < row.size(); i++) assertThat(axis.start(row.get(i)) - axis.end(row.get(i - 1))).isCloseTo(gap, within(1e-9));
        assertThat(moves.values().iterator().next()).isEqualTo(Point.ORIGIN);
    }

    /** Shared out, the row is as long as before and all gaps are the same, be they negative. */
    @Tried(100)
    void gapsAreSharedOut(Chance chance) {
        List<Box> boxes = boxes(chance);
        Axis axis = chance.of(Axis.values());
        Sheet sheet = sheet(boxes);
        List<Box> row = new ArrayList<>();
        Spacing.gaps(units(sheet), axis, OptionalDouble.empty()).forEach((unit, by) ->
                row.add(new Box(unit.box().x() + by.x(), unit.box().y() + by.y(), unit.box().width(), unit.box().height())));
        double first = axis.start(row.get(1)) - axis.end(row.get(0));
        for (int i = 1; i < row.size(); i++) assertThat(axis.start(row.get(i)) - axis.end(row.get(i - 1))).isCloseTo(first, within(1e-9));
        double end = boxes.stream().mapToDouble(axis::end).max().orElseThrow();
        assertThat(axis.end(row.get(row.size() - 1))).isCloseTo(end, within(1e-9));
    }

    /** Packed pieces do not overlap, stay in the area's width where they can, and are the gap apart in a row. */
    @Tried(100)
    void packedPanelsStandInRows(Chance chance) {
        List<Box> boxes = boxes(chance);
        double gap = chance.between(0, 9);
        Sheet sheet = sheet(boxes);
        Box area = new Box(10, 20, 180, 10);
        List<Box> row = Groups.moved(sheet, Spacing.packed(units(sheet), area, gap)).panels().stream().map(Element::boundsOnSheet).toList();
        for (Box a : row) {
            assertThat(a.right()).isLessThanOrEqualTo(area.right() + 1e-6);
            for (Box b : row) if (a != b) assertThat(a.grown(-1e-6).meets(b.grown(-1e-6))).isFalse();
        }
        assertThat(row.stream().mapToDouble(Box::x).min().orElseThrow()).isCloseTo(area.x(), within(1e-9));
        assertThat(row.stream().mapToDouble(Box::y).min().orElseThrow()).isCloseTo(area.y(), within(1e-9));
    }
}
