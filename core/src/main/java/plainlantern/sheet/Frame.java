package plainlantern.sheet;

import plainlantern.asking.BadInput;
import plainlantern.geometry.Point;

/**
 * A box that a picture covers, anywhere on a sheet.
 *
 * @param centre   on the sheet, mm
 * @param width    along its own axes, mm
 * @param height   likewise
 * @param turn     degrees, clockwise
 * @param mirrored left to right
 */
public record Frame(Point centre, double width, double height, double turn, boolean mirrored) {
    public Frame {
        boolean sized = width > 0 && height > 0 && Double.isFinite(width) && Double.isFinite(height);
        BadInput.unless(sized, "zoom", "A vista needs a size above zero.");
        BadInput.unless(Double.isFinite(turn), "turn", "This has to be a number of degrees.");
        BadInput.unless(Math.max(Math.abs(centre.x()), Math.abs(centre.y())) <= 100 * Seat.LARGEST, "across",
                "That is too far away from the sheet.");
    }

    /** The same on a sheet that is so much wider and higher. */
    public Frame scaled(double across, double down) {
        return new Frame(new Point(centre.x() * across, centre.y() * down), width * across, height * down, turn, mirrored);
    }
}
