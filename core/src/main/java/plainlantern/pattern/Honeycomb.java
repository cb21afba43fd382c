package plainlantern.pattern;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import plainlantern.asking.Asked;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.outline.RegularPolygon;

/**
 * Regular hexagons, as large as fits, in the middle of the area. With side a and gap g between parallel edges, the centres of
 * neighbours are √3·a + g apart.
 *
 * @param flat whether the hexagons have a side on top; then their columns are staggered, else their rows
 */
@JsonTypeName("honeycomb")
public record Honeycomb(@Typed.Whole @Asked(value = "Rows", first = "3", least = 1, most = 60) int rows,
                        @Typed.Whole @Asked(value = "Columns", first = "4", least = 1, most = 60) int columns,
                        @Typed.Length @Asked(value = "Gap", first = "0.02") double gap,
                        @Typed.Switch @Asked(value = "Side on top", first = "false") boolean flat) implements Pattern {
    private static final double ROOT3 = Math.sqrt(3);

    public Honeycomb {
        Questions.check(Honeycomb.class, rows, columns, gap, flat);
        Pattern.few((long) rows * columns, "rows");
    }

    @Override
    public List<Piece> pieces(Box area, List<Double> aspects) {
        // Along: the direction in which neighbours share upright (or level) edges. Lines are staggered by half a pitch.
        int along = flat ? rows : columns;
        int lines = flat ? columns : rows;
        double length = flat ? area.height() : area.width();
        double breadth = flat ? area.width() : area.height();
        double half = lines > 1 ? 0.5 : 0;
        double fitsAlong = (length - gap * (along - 1 + half)) / (ROOT3 * (along + half));
        double fitsAcross = (breadth - gap * ROOT3 / 2 * (lines - 1)) / (2 + 1.5 * (lines - 1));
        double side = Math.min(fitsAlong, fitsAcross);
        double most = Math.min(along - 1 + half > 0 ? length / (along - 1 + half) : length, lines > 1
                ? breadth / (lines - 1) / (ROOT3 / 2) : breadth);
        Pattern.room(side >= THINNEST, "gap", rows + " by " + columns + " hexagons", most);
        double pitch = ROOT3 * side + gap;
        double startAlong = -(ROOT3 * side + (along - 1 + half) * pitch) / 2 + ROOT3 * side / 2;
        double startAcross = -(lines - 1) * pitch * ROOT3 / 4;
        RegularPolygon hexagon = new RegularPolygon(6, 0, flat);
        List<Piece> pieces = new ArrayList<>();
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                int line = flat ? column : row;
                double a = startAlong + (flat ? row : column) * pitch + line % 2 * pitch / 2;
                double b = startAcross + line * pitch * ROOT3 / 2;
                Point centre = area.centre().plus(flat ? new Point(b, a) : new Point(a, b));
                pieces.add(new Piece(hexagon, centre, flat ? 2 * side : ROOT3 * side, flat ? ROOT3 * side : 2 * side, 0, -1));
            }
        }
        return pieces;
    }

    @Override
    public String label() {
        return "Honeycomb";
    }
}
