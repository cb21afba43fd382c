package plainlantern.sheet;

import plainlantern.asking.BadInput;
import plainlantern.geometry.Projective;

/**
 * How a picture is drawn in perspective: into an upright box, as a picture of its own.
 *
 * @param toPicture from shares of the box to shares of the picture's width and height
 * @param open      whether edges of the picture may be seen in the box; else what lies beyond them goes on
 * @param width     the picture's own pixels across, upright
 * @param height    likewise
 * @param across    the box's pixels, so many that none of the picture's are lost where it is seen smallest, within limits
 * @param down      likewise
 */
public record Warp(Projective toPicture, boolean open, int width, int height, int across, int down) {
    public Warp {
        BadInput.unless(Math.min(Math.min(width, height), Math.min(across, down)) > 0, "warp", "A picture has one pixel at least.");
        toPicture = toPicture.normal().brief();
        double det = toPicture.determinant();
        BadInput.unless(Double.isFinite(det) && det != 0, "warp", "A picture can't be drawn like that.");
    }
}
