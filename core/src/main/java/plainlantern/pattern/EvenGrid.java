package plainlantern.pattern;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import plainlantern.asking.Asked;
import plainlantern.asking.BadInput;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;
import plainlantern.geometry.Box;

/**
 * Cells in rows and columns; sizes and gaps together are the whole.
 *
 * @param gapAcross     mm between columns
 * @param gapDown       mm between rows
 * @param columnWeights widths against each other; empty means alike
 * @param rowWeights    heights against each other; empty means alike
 * @param merged        blocks of cells that are one panel
 */
@JsonTypeName("even-grid")
public record EvenGrid(@Typed.Whole @Asked(value = "Rows", first = "3", least = 1, most = 100) int rows,
                       @Typed.Whole @Asked(value = "Columns", first = "3", least = 1, most = 100) int columns,
                       @Typed.Length @Asked(value = "Gap across", first = "0.02") double gapAcross,
                       @Typed.Length @Asked(value = "Gap down", first = "0.02") double gapDown,
                       @Typed.Weights @Asked(value = "Column weights", first = "") List<Double> columnWeights,
                       @Typed.Weights @Asked(value = "Row weights", first = "") List<Double> rowWeights,
                       List<Block> merged) implements Pattern {
    /** A block of cells, rows and columns counted from 0. */
    public record Block(int row, int column, int rows, int columns) {
        boolean holds(int otherRow, int otherColumn) {
            return otherRow >= row && otherRow < row + rows && otherColumn >= column && otherColumn < column + columns;
        }
    }

    public EvenGrid {
        columnWeights = columnWeights == null ? List.of() : List.copyOf(columnWeights);
        rowWeights = rowWeights == null ? List.of() : List.copyOf(rowWeights);
        merged = merged == null ? List.of() : List.copyOf(merged);
        Questions.check(EvenGrid.class, rows, columns, gapAcross, gapDown, columnWeights, rowWeights, merged);
        Pattern.few((long) rows * columns, "rows");
    }

    /** An even grid with no weights and no merged cells. */
    public EvenGrid(int rows, int columns, double gapAcross, double gapDown) {
        this(rows, columns, gapAcross, gapDown, List.of(), List.of(), List.of());
    }

    /** Start and end of each column. */
    @Override
    public List<double[]> across(Box area) {
        return new Spans(area.x(), area.width(), columns, gapAcross, columnWeights).all("gapAcross", "columns", "columnWeights");
    }

    /** Start and end of each row. */
    @Override
    public List<double[]> down(Box area) {
        return new Spans(area.y(), area.height(), rows, gapDown, rowWeights).all("gapDown", "rows", "rowWeights");
    }

    /** The cells row by row; a block stands where its first cell would. */
    @Override
    public List<Piece> pieces(Box area, List<Double> aspects) {
        List<double[]> across = across(area);
        List<double[]> down = down(area);
        List<Piece> pieces = new ArrayList<>();
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                Block block = block(row, column);
                if (block.row() != row || block.column() != column) continue;
                pieces.add(Piece.of(Box.between(across.get(column)[0], down.get(row)[0],
                        across.get(column + block.columns() - 1)[1], down.get(row + block.rows() - 1)[1])));
            }
        }
        return pieces;
    }

    private Block block(int row, int column) {
        Block found = null;
        for (Block block : merged) {
            BadInput.unless(block.row() >= 0 && block.column() >= 0 && block.rows() >= 1 && block.columns() >= 1
                    && block.row() + block.rows() <= rows
                    && block.column() + block.columns() <= columns, "merged", "A merged block reaches beyond the grid.");
            if (!block.holds(row, column)) continue;
            BadInput.unless(found == null, "merged", "Two merged blocks overlap.");
            found = block;
        }
        return found == null ? new Block(row, column, 1, 1) : found;
    }

    @Override
    public String label() {
        return "Even grid";
    }
}
