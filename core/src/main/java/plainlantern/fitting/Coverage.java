package plainlantern.fitting;

import plainlantern.asking.Unit;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Polygons;
import plainlantern.geometry.Projective;
import plainlantern.sheet.Pose;

/**
 * What a placement shows and leaves.
 *
 * @param covered   whether no part of the outline is bare (tolerance 1e-6 mm)
 * @param slack     how far the picture can move on each side before an edge shows
 * @param bareShare bare area / area of the outline, 0 to 1
 * @param zoom      scale / scale that just covers, 1 just covers
 * @param ppi       effective pixels an inch, the lower of both axes; of a mounted picture where it is lowest
 * @param stretch   scale across / scale down, 1 is true
 * @param before    whether all of the form lies before the horizon of the plane that the picture is mounted in
 */
public record Coverage(boolean covered, Slack slack, double bareShare, double zoom, double ppi, double stretch, boolean before) {
    private static final double TOLERANCE = 1e-6;
    /** This share of the pixels that are wanted does, as nobody sees the difference. */
    private static final double NEAR_ENOUGH = 0.98;

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

    /** Whether there are fewer effective pixels an inch than {@code wanted}, by more than 2 %. */
    public boolean softer(double wanted) {
        return ppi < NEAR_ENOUGH * wanted;
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

    /** Whether all of the form is covered, which is soon found. */
    public static boolean covers(Sitting sitting, Pose placement) {
        return covers(sitting, sitting.reach(placement.turn()), sitting.lie(placement));
    }

    private static boolean covers(Sitting sitting, Box reach, Box lie) {
        return before(sitting) && Math.min(Math.min(reach.x() - lie.x(), lie.right() - reach.right()),
                Math.min(reach.y() - lie.y(), lie.bottom() - reach.bottom())) >= -TOLERANCE;
    }

    private static boolean before(Sitting sitting) {
        return sitting.seen().map(Sitting.Seen::before).orElse(true);
    }

    public static Coverage of(Sitting sitting, Pose placement) {
        Box reach = sitting.reach(placement.turn());
        Box lie = sitting.lie(placement);
        double left = reach.x() - lie.x();
        double top = reach.y() - lie.y();
        double right = lie.right() - reach.right();
        double bottom = lie.bottom() - reach.bottom();
        boolean before = before(sitting);
        boolean covered = covers(sitting, reach, lie);
        double bare = covered ? 0 : bareShare(sitting, placement);
        double ppi = Unit.MM_PER_INCH / (sitting.seen().isPresent() ? coarsest(sitting, placement)
                : Math.max(placement.scaleX(), placement.scaleY()));
        return new Coverage(covered, new Slack(left, top, right, bottom), bare, Sitting.zoom(reach, lie), ppi,
                placement.scaleX() / placement.scaleY(), before);
    }

    /** The most mm that a pixel of a mounted picture takes in any direction, anywhere in the form: nearest to who looks, at an edge. */
    private static double coarsest(Sitting sitting, Pose placement) {
        Projective map = sitting.seen().orElseThrow().map().after(placement.toPanel(sitting.width(), sitting.height()));
        Affine back = placement.toPanel(sitting.width(), sitting.height()).inverse();
        return sitting.outline().along(1).stream().mapToDouble(at -> map.local(back.apply(at)).greatest()).max().orElse(0);
    }

    private static double bareShare(Sitting sitting, Pose placement) {
        if (sitting.seen().isPresent()) {
            Path form = sitting.seen().get().form();
            Path seen = sitting.seen().get().map().mapped(sitting.frame(placement));
            return seen.empty() ? 1 : Math.max(0, 1 - Polygons.sharedArea(form, seen) / Polygons.area(form));
        }
        return Math.max(0, 1 - Polygons.sharedArea(sitting.outline(), sitting.frame(placement)) / Polygons.area(sitting.outline()));
    }
}
