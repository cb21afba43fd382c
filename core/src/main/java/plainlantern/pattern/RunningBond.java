package plainlantern.pattern;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import plainlantern.asking.Asked;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;
import plainlantern.geometry.Box;

/**
 * Rows of equal pieces, each row shifted against the one above by a share of a piece with its gap; pieces end at the area's sides.
 *
 * @param columns whole pieces in the first row
 * @param offset  the shift from row to row, 0 to 1
 */
@JsonTypeName("running-bond")
public record RunningBond(@Typed.Whole @Asked(value = "Rows", first = "5", least = 1, most = 100) int rows,
                          @Typed.Whole @Asked(value = "Pieces in a row", first = "3", least = 1, most = 100) int columns,
                          @Typed.Length @Asked(value = "Gap across", first = "0.02") double gapAcross,
                          @Typed.Length @Asked(value = "Gap down", first = "0.02") double gapDown,
                          @Typed.Share @Asked(value = "Offset of rows", first = "0.5", most = 1) double offset) implements Pattern {
    public RunningBond {
        Questions.check(RunningBond.class, rows, columns, gapAcross, gapDown, offset);
        Pattern.few((long) rows * (columns + 1), "rows");
    }

    @Override
    public List<Piece> pieces(Box area, List<Double> aspects) {
        List<double[]> down = new Spans(area.y(), area.height(), rows, gapDown, List.of()).all("gapDown", "rows", "rows");
        List<double[]> first = new Spans(area.x(), area.width(), columns, gapAcross, List.of()).all("gapAcross", "pieces", "columns");
        double size = first.get(0)[1] - first.get(0)[0];
        double pitch = size + gapAcross;
        List<Piece> pieces = new ArrayList<>();
        for (int row = 0; row < rows; row++) {
            double shift = (row * offset) % 1 * pitch;
            List<double[]> spans = row(area, shift, size, pitch);
            for (double[] span : spans) pieces.add(Piece.of(Box.between(span[0], down.get(row)[0], span[1], down.get(row)[1])));
        }
        return pieces;
    }

    /** One row; where a cut piece would be too thin to be a panel, its neighbour reaches to the side instead. */
    private List<double[]> row(Box area, double shift, double size, double pitch) {
        List<double[]> spans = new ArrayList<>();
        for (int i = -1; i <= columns; i++) {
            double start = Math.max(area.x(), area.x() + shift + i * pitch);
            double end = Math.min(area.right(), area.x() + shift + i * pitch + size);
            if (end - start >= THINNEST) spans.add(new double[] {start, end});
        }
        spans.get(0)[0] = area.x();
        spans.get(spans.size() - 1)[1] = area.right();
        return spans;
    }

    @Override
    public String label() {
        return "Running bond";
    }
}
