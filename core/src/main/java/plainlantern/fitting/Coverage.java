package plainlantern.fitting;

import plainlantern.asking.Unit;
import plainlantern.geometry.Box;
import plainlantern.geometry.Polygons;
import plainlantern.sheet.Pose;

/**
 * What a placement shows and leaves.
 *
 * @param covered   whether no part of the outline is bare (tolerance 1e-6 mm)
 * @param slack     how far the picture can move on each side before an edge shows
 * @param bareShare bare area / area of the outline, 0 to 1
 * @param zoom      scale / scale that just covers, 1 just covers
 * @param ppi       effective pixels an inch, the lower of both axes
 * @param stretch   scale across / scale down, 1 is true
 */
public record Coverage(boolean covered, Slack slack, double bareShare, double zoom, double ppi, double stretch) {
    private static final double TOLERANCE = 1e-6;

    /**
     * All along the picture's own axes, mm.
     *
     * @param left that it can still move to the right before its left edge shows; negative: bare by so much; and so on
     */
    public record Slack(double left, double top, double right, double bottom) {}

    public double left() {
        return slack.left();
    }

    public double top() {
        return slack.top();
    }

    public double right() {
        return slack.right();
    }

    public double bottom() {
        return slack.bottom();
    }

    /** Whether there are fewer effective pixels an inch than {@code wanted}, with half a pixel of tolerance. */
    public boolean softer(double wanted) {
        return ppi < wanted - 0.5;
    }

    /** mm of the outline's farthest bare part, at the side that {@link #worst} names; less than zero where all of it is covered. */
    public double missing() {
        return -Math.min(Math.min(left(), right()), Math.min(top(), bottom()));
    }

    /** The side of the picture at which most is missing, or least to spare. */
    public String worst() {
        double least = -missing();
        return least == left() ? "left" : least == right() ? "right" : least == top() ? "top" : "bottom";
    }

    public static Coverage of(Sitting sitting, Pose placement) {
        Box reach = sitting.reach(placement.turn());
        Box lie = sitting.lie(placement);
        double left = reach.x() - lie.x();
        double top = reach.y() - lie.y();
        double right = lie.right() - reach.right();
        double bottom = lie.bottom() - reach.bottom();
        boolean covered = Math.min(Math.min(left, right), Math.min(top, bottom)) >= -TOLERANCE;
        double bare = covered ? 0 : bareShare(sitting, placement);
        double ppi = Unit.MM_PER_INCH / Math.max(placement.scaleX(), placement.scaleY());
        return new Coverage(covered, new Slack(left, top, right, bottom), bare, Sitting.zoom(reach, lie), ppi,
                placement.scaleX() / placement.scaleY());
    }

    private static double bareShare(Sitting sitting, Pose placement) {
        return Math.max(0, 1 - Polygons.sharedArea(sitting.outline(), sitting.frame(placement)) / Polygons.area(sitting.outline()));
    }
}
