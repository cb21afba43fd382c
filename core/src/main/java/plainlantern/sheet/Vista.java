package plainlantern.sheet;

import java.util.Optional;
import plainlantern.geometry.Point;

/**
 * One picture seen through several panels. It keeps its frame, not the size of the picture in pixels: whatever picture it gets covers
 * the frame, centred, so that a replacement lands in register.
 *
 * @param picture   the picture's id
 * @param held      whether moves and zooms stop before an edge shows in any of its panels
 * @param treatment what is done to its pixels
 * @param plane     on the sheet: the plane seen at an angle that it is mounted in; the frame lies in that
 */
public record Vista(String id, String picture, Frame frame, boolean held, Treatment treatment, Optional<Plane> plane) {
    public Vista {
        Ids.checked(id);
        Ids.picture(picture);
        treatment = treatment == null ? Treatment.NONE : treatment;
        plane = plane == null ? Optional.empty() : plane;
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
        return new Vista(id, newPicture.id(), frame, held, newPicture.treatment().inPlaceOf(treatment), plane);
    }

    public Vista framed(Frame newFrame, boolean newHeld) {
        return new Vista(id, picture, newFrame, newHeld, treatment, plane);
    }

    /** The same mounted in a plane, or in none, with a frame in that. */
    public Vista mounted(Optional<Plane> newPlane, Frame newFrame) {
        return new Vista(id, picture, newFrame, held, treatment, newPlane);
    }

    public Vista treated(Treatment newTreatment) {
        return new Vista(id, picture, frame, held, newTreatment, plane);
    }
}
