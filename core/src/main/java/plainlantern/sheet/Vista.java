package plainlantern.sheet;

import plainlantern.geometry.Point;

/**
 * One picture seen through several panels. It keeps its frame, not the size of the picture in pixels: whatever picture it gets covers
 * the frame, centred, so that a replacement lands in register.
 *
 * @param picture   the picture's id
 * @param held      whether moves and zooms stop before an edge shows in any of its panels
 * @param treatment what is done to its pixels
 */
public record Vista(String id, String picture, Frame frame, boolean held, Treatment treatment) {
    public Vista {
        Ids.checked(id);
        Ids.picture(picture);
        treatment = treatment == null ? Treatment.NONE : treatment;
    }

    public Point centre() {
        return frame.centre();
    }

    public double width() {
        return frame.width();
    }

    public double height() {
        return frame.height();
    }

    public double turn() {
        return frame.turn();
    }

    public boolean mirrored() {
        return frame.mirrored();
    }

    /** The same with another picture in the same frame. */
    public Vista showing(Picture newPicture) {
        return new Vista(id, newPicture.id(), frame, held, newPicture.treatment().inPlaceOf(treatment));
    }

    public Vista framed(Frame newFrame, boolean newHeld) {
        return new Vista(id, picture, newFrame, newHeld, treatment);
    }

    public Vista treated(Treatment newTreatment) {
        return new Vista(id, picture, frame, held, newTreatment);
    }
}
