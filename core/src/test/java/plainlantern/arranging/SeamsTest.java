package plainlantern.arranging;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import plainlantern.Chance;
import plainlantern.Tried;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.forms.MoveSeam;
import plainlantern.editing.placing.LayOut;
import plainlantern.geometry.Box;
import plainlantern.geometry.Convex;
import plainlantern.geometry.Point;
import plainlantern.geometry.Polygons;
import plainlantern.pattern.EvenGrid;
import plainlantern.pattern.Honeycomb;
import plainlantern.pattern.Interlock;
import plainlantern.pattern.Pattern;
import plainlantern.pattern.Polyptych;
import plainlantern.pattern.RunningBond;
import plainlantern.pattern.Shards;
import plainlantern.sheet.Margins;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Sheet;

/** Seams of layouts: what is found, and what moving one does to the rest. */
class SeamsTest {
    private static final Sheet EMPTY = Sheet.empty("s", Unit.MM, 400, 300, 300);

    private static Sheet laid(Pattern pattern) {
        return LayOut.replacing(pattern, Margins.all(10)).apply(EMPTY);
    }

    private static double area(Sheet sheet) {
        return sheet.panels().stream().mapToDouble(p -> Polygons.area(p.pathOnSheet())).sum();
    }

    private static MoveSeam moved(Seams.Seam seam, double by) {
        Point way = seam.to().minus(seam.from());
        double length = Math.hypot(way.x(), way.y());
        return new MoveSeam(seam.sides(), -way.y() / length * by, way.x() / length * by);
    }

    private static final List<Pattern> WHOLE = List.of(new EvenGrid(3, 4, 5, 8), new EvenGrid(2, 3, 0, 0),
            new Polyptych(List.of(1.0, 2.0, 1.0), 6, 9, true), new Polyptych(List.of(1.0, 1.0, 1.0, 1.0), 3, -5, false),
                new EvenGrid(2, 3, 6, 6, List.of(1.0, 2.0, 1.0), List.of(), List.of(new EvenGrid.Block(0, 0, 2, 1))));

    /** What one bank gains the other loses: the covered area stays, no panel comes over another, and back again is as before. */
    @Tried(120)
    void aSeamTakesFromOneBankAndGivesToTheOther(Chance chance) {
        Pattern pattern = chance.of(WHOLE);
        int which = chance.whole(0, 9);
        double by = chance.between(-14, 14);
        Sheet before = laid(pattern);
        List<Seams.Seam> seams = Seams.of(before);
        Seams.Seam seam = seams.get(which % seams.size());
        Sheet after = moved(seam, by).apply(before);
        boolean through = seam.sides().size() == 2 * (pattern instanceof EvenGrid g ? seam.from().x() == seam.to().x() ? g.rows()
                : g.columns() : 1);
        if (through) assertThat(area(after)).isCloseTo(area(before), within(1e-6 * area(before)));
        for (Panel a : after.panels()) {
            for (Panel b : after.panels()) {
                if (a != b && a.boundsOnSheet().meets(b.boundsOnSheet()))
                    assertThat(Polygons.sharedArea(a.pathOnSheet(), b.pathOnSheet())).isLessThan(1e-3);
            }
        }
        Sheet back = new MoveSeam(seam.sides(), -moved(seam, by).dx(), -moved(seam, by).dy()).apply(after);
        for (Panel panel : before.panels()) {
            assertThat(back.holder(panel.id()).seat().centre().distance(panel.seat().centre())).isLessThan(1e-9);
            assertThat(back.holder(panel.id()).seat().width()).isCloseTo(panel.seat().width(), within(1e-9));
        }
    }

    /** A grid of r rows and c columns has r − 1 level and c − 1 upright seams; bricks end in their rows, so only the level ones go. */
    @Test
    void seamsAreFoundWhereBanksFaceEachOther() {
        assertThat(Seams.of(laid(new EvenGrid(3, 4, 5, 8)))).hasSize(2 + 3).allSatisfy(s -> assertThat(s.gap()).isIn(5.0, 8.0, s.gap()));
        assertThat(Seams.of(laid(new EvenGrid(3, 4, 5, 8))).stream().filter(s -> Math.abs(s.gap() - 8) < 1e-9)).hasSize(2);
        assertThat(Seams.of(laid(new RunningBond(3, 3, 4, 4, 0.5))).stream().filter(s -> Math.abs(s.from().y() - s.to().y()) < 1e-9))
                .hasSize(2);
        // Curved or regular forms have no sides that could move alone.
        assertThat(Seams.of(laid(new Interlock(2, 2, 0.2, 1)))).isEmpty();
        assertThat(Seams.of(laid(new Honeycomb(2, 2, 4, false)))).isEmpty();
        // Far apart is no gap.
        assertThat(Seams.of(laid(new EvenGrid(1, 2, 200, 0)))).isEmpty();
    }

    /** Voronoi cells of n sites share at most 3n − 6 edges (Euler's formula). */
    @Tried(20)
    void shardsHaveSeamsOfTheirGap(Chance chance) {
        int count = chance.whole(4, 30);
        int seed = chance.whole(0, 999);
        List<Seams.Seam> seams = Seams.of(laid(new Shards(count, 3, 3, seed)));
        assertThat(seams.size()).isBetween(1, 3 * count - 6);
        assertThat(seams).filteredOn(s -> s.sides().size() == 2).allSatisfy(s -> assertThat(s.gap()).isCloseTo(3, within(1e-6)));
    }

    @Test
    void sidesMoveSquareToThemselvesAndNeverTurnAround() {
        List<Point> square = Convex.of(new Box(0, 0, 10, 10));
        assertThat(Sides.moved(square, List.of(1), new Point(4, 99), "Centre")).containsExactly(new Point(0, 0), new Point(14, 0),
                new Point(14, 10), new Point(0, 10));
        assertThatThrownBy(() -> Sides.moved(square, List.of(1), new Point(-11, 0), "Centre")).isInstanceOf(BadInput.class)
                .hasMessageContaining("Centre would vanish");
        List<Point> triangle = List.of(new Point(0, 0), new Point(10, 0), new Point(0, 10));
        List<Point> grown = Sides.moved(triangle, List.of(1), new Point(1, 1), "Left");
        assertThat(grown.get(1).x()).isCloseTo(12, within(1e-9));
        assertThat(grown.get(2).y()).isCloseTo(12, within(1e-9));
        assertThatThrownBy(() -> Sides.sound(List.of(new Point(0, 0), new Point(10, 10), new Point(10, 0), new Point(0, 10)), square,
                "Left")).hasMessageContaining("fold over");
    }
}
