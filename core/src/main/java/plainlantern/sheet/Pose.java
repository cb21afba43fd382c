package plainlantern.sheet;

import plainlantern.asking.BadInput;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Point;

/**
 * How a picture lies in a panel: where its middle is (mm in the panel's frame), how large a pixel is (mm, along the
 * picture's own axes), its turn (degrees, clockwise) and whether it is mirrored left to right.
 */
public record Pose(Point centre, double scaleX, double scaleY, double turn, boolean mirrored) {
    public Pose {
        boolean finite = Double.isFinite(scaleX) && Double.isFinite(scaleY) && Double.isFinite(turn);
        BadInput.unless(scaleX > 0 && scaleY > 0 && finite && Double.isFinite(centre.x()) && Double.isFinite(centre.y()), "zoom",
                "A picture needs a size above zero.");
    }

    /** The map from the picture's pixels ({@code width} by {@code height}, upright) to the panel's frame. */
    public Affine toPanel(int width, int height) {
        return Affine.move(centre).after(Affine.turn(turn))
                .after(Affine.scale(mirrored ? -scaleX : scaleX, scaleY))
                .after(Affine.move(-width / 2.0, -height / 2.0));
    }

    public Pose at(Point newCentre) {
        return new Pose(newCentre, scaleX, scaleY, turn, mirrored);
    }

    /** The same with both scales times {@code factor}, the centre staying where it is. */
    public Pose scaled(double factor) {
        return new Pose(centre, scaleX * factor, scaleY * factor, turn, mirrored);
    }
}
