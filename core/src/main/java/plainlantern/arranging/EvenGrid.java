package plainlantern.arranging;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/**
 * Equal cells in rows and columns; sizes and gaps together are the whole.
 *
 * @param gapAcross mm between columns
 * @param gapDown   mm between rows
 */
public record EvenGrid(int rows, int columns, double gapAcross, double gapDown) {
    public EvenGrid {
        BadInput.unless(rows >= 1 && rows <= 100, "rows", "Rows go from 1 to 100.");
        BadInput.unless(columns >= 1 && columns <= 100, "columns", "Columns go from 1 to 100.");
        BadInput.unless((long) rows * columns <= Sheet.MOST_ELEMENTS, "rows",
                rows + " by " + columns + " makes " + rows * columns + " panels; a sheet holds " + Sheet.MOST_ELEMENTS + ".");
        BadInput.unless(gapAcross >= 0, "gapAcross", "A gap cannot be negative.");
        BadInput.unless(gapDown >= 0, "gapDown", "A gap cannot be negative.");
    }

    /** The cells row by row; throws {@link BadInput} where the gaps leave no room for them. */
    public List<Seat> seats(Box area) {
        double width = cell(area.width(), columns, gapAcross, "gapAcross", "columns");
        double height = cell(area.height(), rows, gapDown, "gapDown", "rows");
        List<Seat> seats = new ArrayList<>();
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                Point centre = new Point(area.x() + column * (width + gapAcross) + width / 2,
                        area.y() + row * (height + gapDown) + height / 2);
                seats.add(Seat.upright(centre, width, height));
            }
        }
        return seats;
    }

    private static double cell(double whole, int count, double gap, String field, String what) {
        double size = (whole - (count - 1) * gap) / count;
        double widest = count > 1 ? (whole - count * Seat.THINNEST) / (count - 1) : whole;
        BadInput.unless(size >= Seat.THINNEST, field, String.format(Locale.ROOT,
                "These gaps leave no room for %d %s. At most %.2f mm fits.", count, what, Math.max(0, widest)));
        return size;
    }
}
