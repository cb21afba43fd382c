package plainlantern.sheet;

import plainlantern.geometry.BadInput;
import plainlantern.geometry.Point;

/**
 * One picture seen through several panels. It keeps its frame, not the size of the picture in pixels: whatever picture it gets covers
 * the frame, centred, so that a replacement lands in register.
 *
 * @param picture  the picture's id
 * @param centre   of the frame on the sheet, mm
 * @param width    of the frame along its own axes, mm
 * @param height   likewise
 * @param turn     degrees, clockwise
 * @param mirrored left to right
 * @param held     whether moves and zooms stop before an edge shows in any of its panels
 */
public record Vista(String id, String picture, Point centre, double width, double height, double turn, boolean mirrored, boolean held) {
    public Vista {
        Ids.checked(id);
        BadInput.unless(width > 0 && height > 0 && Double.isFinite(width) && Double.isFinite(height), "zoom", "A vista needs a size above zero.");
        BadInput.unless(Math.max(Math.abs(centre.x()), Math.abs(centre.y())) <= 100 * Seat.LARGEST, "across", "That is too far away from the sheet.");
    }

    /** The same with another picture in the same frame. */
    public Vista showing(String newPicture) {
        return new Vista(id, newPicture, centre, width, height, turn, mirrored, held);
    }
}
