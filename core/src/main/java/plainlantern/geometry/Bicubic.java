package plainlantern.geometry;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * A map of the plane onto itself that moves the handles of an even grid over the unit square, and smoothly all between them: by cubic
 * convolution along each axis, with the boundary condition that goes with it (Keys, "Cubic Convolution Interpolation for Digital Image
 * Processing", 1981), so that what is quadratic is met exactly; two handles in a row are joined evenly. All beyond the square is moved as
 * the place of its edge that is nearest.
 */
public final class Bicubic {
    /**
     * A step on the way back that is shorter leads to within the hundredth part of it, in sides of the square, unless it leads over the
     * square's edge, where all begins to be moved otherwise.
     */
    private static final double NEAR = 3e-5;
    private static final int MOST_STEPS = 40;
    private static final int MOST_HALVES = 8;
    /** So many places of each cell's side are looked at for folds. */
    private static final int LOOKS = 4;
    /** What is smaller by more is nearly folded. */
    private static final double LEAST_AREA = 0.04;
    /** Between the places that are looked at nothing is farther by more. */
    private static final double MARGIN = 1.05;

    private final int columns;
    private final int rows;
    /** By how much each handle is moved across and down; around them those of the boundary condition. */
    private final double[] across;
    private final double[] down;

    private Bicubic(int columns, int rows, double[] across, double[] down) {
        this.columns = columns;
        this.rows = rows;
        this.across = across;
        this.down = down;
    }

    /**
     * @param columns of handles, 2 at least
     * @param moved   across and down of each handle, row by row, in sides of the square
     */
    public static Bicubic of(int columns, int rows, List<Double> moved) {
        double[][] both = new double[2][(columns + 2) * (rows + 2)];
        for (int i = 0; i < columns * rows; i++) {
            for (int axis = 0; axis < 2; axis++)
                both[axis][(i / columns + 1) * (columns + 2) + i % columns + 1] = moved.get(2 * i + axis);
        }
        for (double[] all : both) {
            for (int row = 1; row <= rows; row++) bordered(all, row * (columns + 2), 1, columns);
            for (int column = 0; column < columns + 2; column++) bordered(all, column, columns + 2, rows);
        }
        return new Bicubic(columns, rows, both[0], both[1]);
    }

    /** Keys' condition at both ends of a line of {@code count} values that begins one step after {@code first}. */
    private static void bordered(double[] all, int first, int step, int count) {
        for (int way : new int[] {1, -1}) {
            int end = way > 0 ? first : first + (count + 1) * step;
            int by = way * step;
            all[end] = count == 2 ? 2 * all[end + by] - all[end + 2 * by]
                    : 3 * all[end + by] - 3 * all[end + 2 * by] + all[end + 3 * by];
        }
    }

    /** Where a place comes to. */
    public Point apply(Point p) {
        Lie lie = new Lie();
        lie.look(p.x(), p.y());
        return new Point(p.x() + lie.dx, p.y() + lie.dy);
    }

    /** The place that comes to {@code p}. */
    public Point inverse(Point p) {
        return back().apply(p);
    }

    /** {@link #inverse} for many places, the faster the nearer one is to the next; for one thread. */
    public UnaryOperator<Point> back() {
        return new Back();
    }

    /** Newton's method, never farther off from one step to the next. */
    private final class Back implements UnaryOperator<Point> {
        private final Lie lie = new Lie();
        /** By how much the place that was found last was moved. */
        private double dx = Double.NaN;
        private double dy;

        @Override
        public Point apply(Point p) {
            if (Double.isNaN(dx)) {
                lie.look(p.x(), p.y());
                dx = lie.dx;
                dy = lie.dy;
            }
            double u = p.x() - dx;
            double v = p.y() - dy;
            lie.look(u, v);
            for (int i = 0; i < MOST_STEPS; i++) {
                double ex = u + lie.dx - p.x();
                double ey = v + lie.dy - p.y();
                double area = lie.area();
                double su = (ex * (1 + lie.dyv) - ey * lie.dxv) / area;
                double sv = (ey * (1 + lie.dxu) - ex * lie.dyu) / area;
                double share = 1;
                boolean last = su * su + sv * sv < NEAR * NEAR && side(u) == side(u - su) && side(v) == side(v - sv);
                for (int halves = 0; !last && halves < MOST_HALVES; halves++, share /= 2) {
                    lie.look(u - su * share, v - sv * share);
                    if (off(u - su * share, v - sv * share, p) < ex * ex + ey * ey) break;
                }
                u -= su * share;
                v -= sv * share;
                if (last) break;
            }
            dx = p.x() - u;
            dy = p.y() - v;
            return new Point(u, v);
        }

        /** Before the square, in it or behind it. */
        private static int side(double at) {
            return at < 0 ? -1 : at > 1 ? 1 : 0;
        }

        private double off(double u, double v, Point p) {
            double x = u + lie.dx - p.x();
            double y = v + lie.dy - p.y();
            return x * x + y * y;
        }
    }

    /** Whether anything lies over itself, or nearly so. */
    public boolean folds() {
        Lie lie = new Lie();
        for (double v : looks(rows)) {
            for (double u : looks(columns)) {
                lie.look(u, v);
                if (lie.area() < LEAST_AREA) return true;
            }
        }
        return false;
    }

    /** Places along an axis, with one beyond each end. */
    private static double[] looks(int handles) {
        int all = (handles - 1) * LOOKS + 1;
        double[] looks = new double[all + 2];
        looks[0] = -1;
        for (int i = 0; i < all; i++) looks[i + 1] = (double) i / (all - 1);
        looks[all + 1] = 2;
        return looks;
    }

    /** So far anything is moved at most where the square has these sides. */
    public double reach(double width, double height) {
        Lie lie = new Lie();
        double most = 0;
        for (double v : looks(rows)) {
            for (double u : looks(columns)) {
                lie.look(u, v);
                most = Math.max(most, Math.hypot(lie.dx * width, lie.dy * height));
            }
        }
        return most * MARGIN;
    }

    /** Where the handles are, row by row. */
    public List<Point> handles() {
        List<Point> handles = new ArrayList<>();
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                int at = (row + 1) * (columns + 2) + column + 1;
                handles.add(new Point(column / (columns - 1.0) + across[at], row / (rows - 1.0) + down[at]));
            }
        }
        return handles;
    }

    /** As {@link #of} takes it, with other handles that lie on the same surface. */
    public List<Double> resampled(int newColumns, int newRows) {
        List<Double> moved = new ArrayList<>();
        Lie lie = new Lie();
        for (int i = 0; i < newColumns * newRows; i++) {
            lie.look(i % newColumns / (newColumns - 1.0), i / newColumns / (newRows - 1.0));
            moved.add(lie.dx);
            moved.add(lie.dy);
        }
        return moved;
    }

    /** The lines through its handles, cubic from one to the next: exactly what the map makes of the grid's straight ones. */
    public Path lines() {
        List<Path.Segment> segments = new ArrayList<>();
        for (int row = 0; row < rows; row++) line(segments, columns, row / (rows - 1.0), true);
        for (int column = 0; column < columns; column++) line(segments, rows, column / (columns - 1.0), false);
        return new Path(segments);
    }

    private void line(List<Path.Segment> segments, int handles, double level, boolean row) {
        Lie lie = new Lie();
        Point leaving = Point.ORIGIN;
        for (int i = 0; i < handles; i++) {
            double along = i / (handles - 1.0);
            lie.look(row ? along : level, row ? level : along);
            Point at = new Point((row ? along : level) + lie.dx, (row ? level : along) + lie.dy);
            Point third = (row ? new Point(1 + lie.dxu, lie.dyu) : new Point(lie.dxv, 1 + lie.dyv)).times(1 / (3 * (handles - 1.0)));
            segments.add(i == 0 ? new Path.Segment.Move(at) : new Path.Segment.Cubic(leaving, at.minus(third), at));
            leaving = at.plus(third);
        }
    }

    /** By how much a place is moved, and how that changes across and down from there. */
    private final class Lie {
        private final double[] wide = new double[8];
        private final double[] tall = new double[8];
        double dx;
        double dy;
        double dxu;
        double dxv;
        double dyu;
        double dyv;

        void look(double u, double v) {
            int column = weigh(u, columns, wide);
            int row = weigh(v, rows, tall);
            dx = dy = dxu = dxv = dyu = dyv = 0;
            for (int j = 0; j < 4; j++) {
                int at = (row + j) * (columns + 2) + column;
                double x = 0;
                double y = 0;
                double xu = 0;
                double yu = 0;
                for (int i = 0; i < 4; i++) {
                    x += wide[i] * across[at + i];
                    y += wide[i] * down[at + i];
                    xu += wide[4 + i] * across[at + i];
                    yu += wide[4 + i] * down[at + i];
                }
                dx += tall[j] * x;
                dy += tall[j] * y;
                dxu += tall[j] * xu;
                dyu += tall[j] * yu;
                dxv += tall[4 + j] * x;
                dyv += tall[4 + j] * y;
            }
        }

        /** How much larger a small piece of the square becomes; below 0 where it is turned over. */
        double area() {
            return (1 + dxu) * (1 + dyv) - dxv * dyu;
        }
    }

    /**
     * How much four values in a row count at a place of their axis, and then how that changes.
     *
     * @return the first of them
     */
    private static int weigh(double at, int handles, double[] weights) {
        double within = Math.max(0, Math.min(1, at)) * (handles - 1);
        int cell = Math.min((int) within, handles - 2);
        double t = within - cell;
        weights[0] = ((-0.5 * t + 1) * t - 0.5) * t;
        weights[1] = (1.5 * t - 2.5) * t * t + 1;
        weights[2] = ((-1.5 * t + 2) * t + 0.5) * t;
        weights[3] = (0.5 * t - 0.5) * t * t;
        double each = at < 0 || at > 1 ? 0 : handles - 1;
        weights[4] = each * ((-1.5 * t + 2) * t - 0.5);
        weights[5] = each * (4.5 * t - 5) * t;
        weights[6] = each * ((-4.5 * t + 4) * t + 0.5);
        weights[7] = each * (1.5 * t - 1) * t;
        return cell;
    }
}
