package plainlantern.sheet;

import plainlantern.geometry.Affine;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Point;

/**
 * How a picture lies in a panel: where its middle is (mm in the panel's frame), how large a pixel is (mm, along the
 * picture's own axes), its turn (degrees, clockwise) and whether it is mirrored left to right.
 */
public record Placement(Point centre, double scaleX, double scaleY, double turn, boolean mirrored) {
    public Placement {
        BadInput.unless(scaleX > 0 && scaleY > 0 && Double.isFinite(scaleX) && Double.isFinite(scaleY), "zoom",
                "A picture needs a size above zero.");
    }

    /** The map from the picture's pixels ({@code width} by {@code height}, upright) to the panel's frame. */
    public Affine toPanel(int width, int height) {
        return Affine.move(centre).after(Affine.turn(turn))
                .after(Affine.scale(mirrored ? -scaleX : scaleX, scaleY))
                .after(Affine.move(-width / 2.0, -height / 2.0));
    }

    public Placement at(Point newCentre) {
        return new Placement(newCentre, scaleX, scaleY, turn, mirrored);
    }

    /** The same with both scales times {@code factor}, the centre staying where it is. */
    public Placement scaled(double factor) {
        return new Placement(centre, scaleX * factor, scaleY * factor, turn, mirrored);
    }
}
