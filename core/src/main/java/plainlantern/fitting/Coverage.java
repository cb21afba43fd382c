package plainlantern.fitting;

import java.util.List;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.geometry.Path;
import plainlantern.geometry.Polygons;
import plainlantern.geometry.Unit;
import plainlantern.sheet.Placement;

/**
 * What a placement shows and leaves.
 *
 * @param covered   whether no part of the outline is bare (tolerance 1e-6 mm)
 * @param left      mm that the picture can still move to the right before its left edge shows; negative: bare by so much
 * @param top       likewise at the top, and so on; all along the picture's own axes
 * @param bareShare bare area / area of the outline, 0 to 1
 * @param zoom      scale / scale that just covers, 1 just covers
 * @param ppi       effective pixels an inch, the lower of both axes
 * @param stretch   scale across / scale down, 1 is true
 */
public record Coverage(boolean covered, double left, double top, double right, double bottom, double bareShare,
                       double zoom, double ppi, double stretch) {
    private static final double TOLERANCE = 1e-6;

    /** Whether there are fewer effective pixels an inch than {@code wanted}, with half a pixel of tolerance. */
    public boolean softer(double wanted) {
        return ppi < wanted - 0.5;
    }

    public static Coverage of(Sitting sitting, Placement placement) {
        Box reach = sitting.reach(placement.turn());
        Box lie = sitting.lie(placement);
        double left = reach.x() - lie.x();
        double top = reach.y() - lie.y();
        double right = lie.right() - reach.right();
        double bottom = lie.bottom() - reach.bottom();
        boolean covered = Math.min(Math.min(left, right), Math.min(top, bottom)) >= -TOLERANCE;
        double bare = covered ? 0 : bareShare(sitting, placement, lie);
        double ppi = Unit.MM_PER_INCH / Math.max(placement.scaleX(), placement.scaleY());
        return new Coverage(covered, left, top, right, bottom, bare, sitting.zoom(placement), ppi,
                placement.scaleX() / placement.scaleY());
    }

    private static double bareShare(Sitting sitting, Placement placement, Box lie) {
        Path picture = Path.polygon(List.of(new Point(lie.x(), lie.y()), new Point(lie.right(), lie.y()),
                new Point(lie.right(), lie.bottom()), new Point(lie.x(), lie.bottom())));
        Path outline = sitting.outline().mapped(Affine.turn(-placement.turn()));
        return Math.max(0, 1 - Polygons.sharedArea(outline, picture) / Polygons.area(outline));
    }
}
