package plainlantern.pattern;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import plainlantern.asking.Asked;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;
import plainlantern.geometry.Box;
import plainlantern.geometry.Curve;
import plainlantern.geometry.Path.Segment;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;

/**
 * Pieces held together by tabs. Neighbours share one edge curve, so that there is neither gap nor overlap. A tab reaches at most a
 * quarter of the shorter side of a cell into it and stands within 0.24 of that side from the middle of its edge: the tabs of one cell
 * cannot meet, whichever way they point.
 *
 * @param tab how far a tab reaches, as a share of the shorter side of a cell
 */
@JsonTypeName("interlock")
public record Interlock(@Typed.Whole @Asked(value = "Rows", first = "3", least = 1, most = 60) int rows,
                        @Typed.Whole @Asked(value = "Columns", first = "4", least = 1, most = 60) int columns,
                        @Typed.Share @Asked(value = "Tab size", first = "0.2", least = 0.05, most = 0.25) double tab,
                        @Typed.Whole @Asked(value = "Variant", first = "1", most = 999999) int seed) implements Pattern {
    /** How far a tab may stand from the middle of its edge, as a share of the shorter side of a cell. */
    private static final double STRAY = 0.08;

    public Interlock {
        Questions.check(Interlock.class, rows, columns, tab, seed);
        Pattern.few((long) rows * columns, "rows");
    }

    @Override
    public List<Piece> pieces(Box area, List<Double> aspects) {
        double width = area.width() / columns;
        double height = area.height() / rows;
        double shorter = Math.min(width, height);
        Pattern.room(shorter >= THINNEST, "rows", rows + " by " + columns + " pieces", 0);
        Random chance = new Random(seed);
        List<Curve>[][] level = new List[rows + 1][columns];
        List<Curve>[][] upright = new List[rows][columns + 1];
        for (int row = 0; row <= rows; row++) {
            for (int column = 0; column < columns; column++) {
                level[row][column] = edge(corner(area, row, column), corner(area, row, column + 1), shorter, row == 0
                        || row == rows ? null : chance);
            }
        }
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column <= columns; column++) {
                upright[row][column] = edge(corner(area, row, column), corner(area, row + 1, column), shorter, column == 0
                        || column == columns ? null : chance);
            }
        }
        List<Piece> pieces = new ArrayList<>();
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                List<Segment> steps = new ArrayList<>(List.of(new Segment.Move(corner(area, row, column))));
                steps.addAll(steps(level[row][column]));
                steps.addAll(steps(upright[row][column + 1]));
                steps.addAll(back(level[row + 1][column]));
                steps.addAll(back(upright[row][column]));
                steps.add(new Segment.Close());
                pieces.add(Piece.of(new Path(steps)));
            }
        }
        return pieces;
    }

    private Point corner(Box area, int row, int column) {
        return new Point(area.x() + area.width() * column / columns, area.y() + area.height() * row / rows);
    }

    /** From one corner to another; straight without chance, else with a tab to a side that chance chooses. */
    private List<Curve> edge(Point from, Point to, double shorter, Random chance) {
        if (chance == null) return List.of(Curve.straight(from, to));
        double length = Math.hypot(to.x() - from.x(), to.y() - from.y());
        Point along = to.minus(from).times(1 / length);
        double side = chance.nextBoolean() ? 1 : -1;
        Point out = new Point(-along.y() * side, along.x() * side);
        double k = tab * shorter;
        Point foot = from.plus(along.times(length / 2 + (chance.nextDouble() * 2 - 1) * STRAY * shorter));
        Point neck = at(foot, along, out, k, -0.45, 0);
        Point left = at(foot, along, out, k, -0.56, 0.62);
        Point top = at(foot, along, out, k, 0, 1);
        Point right = at(foot, along, out, k, 0.56, 0.62);
        Point end = at(foot, along, out, k, 0.45, 0);
        return List.of(Curve.straight(from, neck),
                Curve.cubic(neck, at(foot, along, out, k, -0.15, 0.02), at(foot, along, out, k, -0.6, 0.35), left),
                Curve.cubic(left, at(foot, along, out, k, -0.52, 0.87), at(foot, along, out, k, -0.27, 1), top),
                Curve.cubic(top, at(foot, along, out, k, 0.27, 1), at(foot, along, out, k, 0.52, 0.87), right),
                Curve.cubic(right, at(foot, along, out, k, 0.6, 0.35), at(foot, along, out, k, 0.15, 0.02), end),
                Curve.straight(end, to));
    }

    private static Point at(Point foot, Point along, Point out, double k, double u, double v) {
        return foot.plus(along.times(u * k)).plus(out.times(v * k));
    }

    private static List<Segment> steps(List<Curve> edge) {
        return edge.stream().map(Curve::step).toList();
    }

    /** The same edge the other way round. */
    private static List<Segment> back(List<Curve> edge) {
        List<Segment> back = new ArrayList<>();
        for (int i = edge.size() - 1; i >= 0; i--) back.add(edge.get(i).reversed().step());
        return back;
    }

    @Override
    public String label() {
        return "Interlock";
    }
}
