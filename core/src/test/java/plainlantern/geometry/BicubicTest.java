package plainlantern.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.UnaryOperator;
import plainlantern.Chance;
import plainlantern.Tried;

class BicubicTest {
    private static Bicubic grid(int columns, int rows, UnaryOperator<Point> moved) {
        List<Double> all = new ArrayList<>();
        for (int i = 0; i < columns * rows; i++) {
            Point by = moved.apply(new Point(i % columns / (columns - 1.0), i / columns / (rows - 1.0)));
            all.add(by.x());
            all.add(by.y());
        }
        return Bicubic.of(columns, rows, all);
    }

    /**
     * Keys (1981): with his condition at the ends cubic convolution gives every quadratic as it is; of two handles in a row, every line.
     */
    @Tried(40)
    void quadraticsAreMet(Chance chance) {
        double[] k = chance.list(8, 8, c -> c.between(-0.2, 0.2)).stream().mapToDouble(Double::doubleValue).toArray();
        int columns = chance.whole(2, 8);
        int rows = chance.whole(2, 8);
        double u2 = columns == 2 ? 0 : k[0];
        double v2 = rows == 2 ? 0 : k[1];
        UnaryOperator<Point> quadratic = p -> new Point(u2 * p.x() * p.x() + k[2] * p.x() * p.y() + k[3] * p.y() + k[4],
                v2 * p.y() * p.y() + k[5] * p.x() * p.y() + k[6] * p.x() + k[7]);
        Bicubic surface = grid(columns, rows, quadratic);
        for (int i = 0; i < 20; i++) {
            Point p = new Point(chance.between(0, 1), chance.between(0, 1));
            assertThat(surface.apply(p).distance(p.plus(quadratic.apply(p)))).isLessThan(1e-12);
        }
    }

    /**
     * Handles lie where they were moved to, the drawn lines run through them; what does not fold leads back from everywhere to where it
     * came from, beyond the square, too, and nothing is farther off than is said; what lies over itself is seen.
     */
    @Tried(value = 300, also = -6505194412133386757L)
    void whatDoesNotFoldLeadsBack(Chance chance) {
        int columns = chance.whole(2, 8);
        int rows = chance.whole(2, 8);
        double far = chance.between(0, 0.7) / (Math.max(columns, rows) - 1);
        List<Double> moved = chance.list(2 * columns * rows, 2 * columns * rows, c -> c.between(-far, far));
        Bicubic surface = Bicubic.of(columns, rows, moved);
        List<Point> handles = surface.handles();
        for (int i = 0; i < handles.size(); i++) {
            Point home = new Point(i % columns / (columns - 1.0), i / columns / (rows - 1.0));
            assertThat(surface.apply(home).distance(handles.get(i))).isLessThan(1e-12);
            assertThat(handles.get(i).distance(home.plus(new Point(moved.get(2 * i), moved.get(2 * i + 1))))).isLessThan(1e-12);
        }
        List<List<Point>> lines = surface.lines().flattened(4);
        assertThat(lines).hasSize(columns + rows);
        for (int i = 0; i <= 4 * (columns - 1); i++)
            assertThat(lines.get(0).get(i).distance(surface.apply(new Point(i / (4 * (columns - 1.0)), 0)))).isLessThan(1e-12);
        if (surface.folds()) return;
        double reach = surface.reach(3, 2);
        for (int i = 0; i < 40; i++) {
            Point p = new Point(chance.between(-0.5, 1.5), chance.between(-0.5, 1.5));
            Point from = surface.inverse(p);
            assertThat(surface.apply(from).distance(p)).as("%s", p).isLessThan(1e-6);
            assertThat(Math.hypot((p.x() - from.x()) * 3, (p.y() - from.y()) * 2)).isLessThanOrEqualTo(reach);
        }
    }

    @Tried(40)
    void whatLiesOverItselfIsSeen(Chance chance) {
        int columns = chance.whole(2, 8);
        int rows = chance.whole(2, 8);
        int handle = chance.whole(0, columns * rows - 2);
        if (handle % columns == columns - 1) return;
        List<Double> moved = new ArrayList<>(Collections.nCopies(2 * columns * rows, 0.0));
        double step = 1 / (columns - 1.0);
        moved.set(2 * handle, step * chance.between(1.05, 2));
        assertThat(Bicubic.of(columns, rows, moved).folds()).isTrue();
        moved.set(2 * handle, step * chance.between(-0.3, 0.3));
        assertThat(Bicubic.of(columns, rows, moved).folds()).isFalse();
        assertThat(Bicubic.of(columns, rows, moved).resampled(columns, rows).get(2 * handle)).isCloseTo(moved.get(2 * handle),
                within(1e-12));
    }
}
