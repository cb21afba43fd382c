package plainlantern.pattern;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import plainlantern.asking.Asked;
import plainlantern.asking.BadInput;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.outline.Rectangle;

/**
 * Rows in which every picture of the shelf, in order, has its own proportions and the height of its row, all rows equally wide. Rows
 * are as wide as the area where their heights fit into it, else as wide as makes them fit.
 *
 * @param pictures whether the pictures are put into the panels that are empty
 */
@JsonTypeName("justified-rows")
public record JustifiedRows(@Typed.Whole @Asked(value = "Rows", first = "3", least = 1, most = 100) int rows,
                            @Typed.Length @Asked(value = "Gap", first = "0.02") double gap,
                            @Typed.Switch @Asked(value = "Put the pictures in", first = "true") boolean pictures) implements Pattern {
    public JustifiedRows {
        Questions.check(JustifiedRows.class, rows, gap, pictures);
    }

    @Override
    public List<Piece> pieces(Box area, List<Double> aspects) {
        BadInput.unless(!aspects.isEmpty(), "rows", "The shelf is empty: bring pictures in Fill first, whose proportions make the rows.");
        Pattern.few(aspects.size(), "rows");
        BadInput.unless(rows <= aspects.size(), "rows", aspects.size() + " pictures make at most " + aspects.size() + " rows.");
        int[] ends = broken(aspects);
        double inverse = 0;
        double gaps = 0;
        double[] sums = new double[rows];
        for (int row = 0; row < rows; row++) {
            int start = row == 0 ? 0 : ends[row - 1];
            for (int i = start; i < ends[row]; i++) sums[row] += aspects.get(i);
            inverse += 1 / sums[row];
            gaps += (ends[row] - start - 1) * gap / sums[row];
        }
        // Heights of rows of width w: (w − gaps) / sum of aspects. Their sum with the gaps between is at most the area's height.
        double width = Math.min(area.width(), (area.height() - (rows - 1) * gap + gaps) / inverse);
        double whole = width * inverse - gaps + (rows - 1) * gap;
        double top = area.centre().y() - whole / 2;
        List<Piece> pieces = new ArrayList<>();
        for (int row = 0, i = 0; row < rows; row++) {
            int count = ends[row] - i;
            double height = (width - (count - 1) * gap) / sums[row];
            Pattern.room(height >= THINNEST, "gap", rows + " rows", area.height() / Math.max(1, rows - 1));
            double left = area.centre().x() - width / 2;
            for (; i < ends[row]; i++) {
                double wide = height * aspects.get(i);
                Pattern.room(wide >= THINNEST, "gap", "the narrowest picture", 0);
                pieces.add(new Piece(Rectangle.SHARP, new Point(left + wide / 2, top + height / 2), wide, height, 0, pictures ? i : -1));
                left += wide + gap;
            }
            top += height + gap;
        }
        return pieces;
    }

    /** Where each row ends: the sums of aspects of the rows as alike as can be (least squares, by dynamic programming). */
    private int[] broken(List<Double> aspects) {
        int n = aspects.size();
        double[] before = new double[n + 1];
        for (int i = 0; i < n; i++) before[i + 1] = before[i] + aspects.get(i);
        double wanted = before[n] / rows;
        double[][] cost = new double[rows + 1][n + 1];
        int[][] from = new int[rows + 1][n + 1];
        for (double[] line : cost) Arrays.fill(line, Double.POSITIVE_INFINITY);
        cost[0][0] = 0;
        for (int row = 1; row <= rows; row++) {
            for (int end = row; end <= n - (rows - row); end++) {
                for (int start = row - 1; start < end; start++) {
                    double off = before[end] - before[start] - wanted;
                    double sum = cost[row - 1][start] + off * off;
                    if (sum < cost[row][end]) {
                        cost[row][end] = sum;
                        from[row][end] = start;
                    }
                }
            }
        }
        int[] ends = new int[rows];
        for (int row = rows, end = n; row >= 1; row--) {
            ends[row - 1] = end;
            end = from[row][end];
        }
        return ends;
    }

    @Override
    public String label() {
        return "Justified rows";
    }
}
