package plainlantern.fitting;

import java.util.Arrays;

/**
 * The rectangular assignment of least cost: every row gets a column of its own. Shortest augmenting paths with potentials (Kuhn 1955,
 * Munkres 1957, in the form of Jonker and Volgenant 1987): for n rows and m columns n²·m steps, and memory for the costs alone.
 */
final class Assignment {
    private Assignment() {}

    /** For each row its column; there must be at least as many columns as rows, and finite costs. */
    static int[] least(double[][] cost) {
        int rows = cost.length;
        int columns = rows == 0 ? 0 : cost[0].length;
        if (columns < rows) throw new IllegalArgumentException(rows + " rows and only " + columns + " columns");
        double[] ofRow = new double[rows + 1];
        double[] ofColumn = new double[columns + 1];
        // Counted from 1; 0 is nobody.
        int[] rowOf = new int[columns + 1];
        int[] before = new int[columns + 1];
        for (int row = 1; row <= rows; row++) {
            double[] least = new double[columns + 1];
            boolean[] seen = new boolean[columns + 1];
            Arrays.fill(least, Double.POSITIVE_INFINITY);
            rowOf[0] = row;
            int at = 0;
            while (rowOf[at] != 0) {
                seen[at] = true;
                int from = rowOf[at];
                int next = 0;
                double step = Double.POSITIVE_INFINITY;
                for (int j = 1; j <= columns; j++) {
                    if (seen[j]) continue;
                    double reduced = cost[from - 1][j - 1] - ofRow[from] - ofColumn[j];
                    if (reduced < least[j]) {
                        least[j] = reduced;
                        before[j] = at;
                    }
                    if (least[j] < step) {
                        step = least[j];
                        next = j;
                    }
                }
                for (int j = 0; j <= columns; j++) {
                    if (seen[j]) {
                        ofRow[rowOf[j]] += step;
                        ofColumn[j] -= step;
                    } else {
                        least[j] -= step;
                    }
                }
                at = next;
            }
            while (at != 0) {
                rowOf[at] = rowOf[before[at]];
                at = before[at];
            }
        }
        int[] chosen = new int[rows];
        for (int j = 1; j <= columns; j++) if (rowOf[j] > 0) chosen[rowOf[j] - 1] = j - 1;
        return chosen;
    }
}
