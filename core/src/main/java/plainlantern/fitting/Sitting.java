package plainlantern.fitting;

import java.util.Optional;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.geometry.Projective;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Plane;
import plainlantern.sheet.Pose;

/**
 * One picture in front of one outline. A picture is a rectangle, so it covers an outline exactly when it covers the
 * outline's extent along the picture's own two axes; that extent is called <em>reach</em> here, and every question
 * below is answered from it.
 *
 * @param outline the panel's form in its own frame, mm; of a mounted picture as it is seen from the front of the picture's plane, and all
 *                that is told of lying and turning is told in that plane
 * @param width   the picture's pixels across, upright
 * @param height  the picture's pixels down, upright
 * @param seen    how a mounted one is seen
 */
public record Sitting(Path outline, int width, int height, Optional<Seen> seen) {
    /**
     * How a plane is seen.
     *
     * @param map  from the plane to where it is seen
     * @param form what it is seen through, there; what of it does not lie before the plane's horizon is no part of the outline, and bare
     */
    public record Seen(Projective map, Path form) {
        Path front() {
            Path outline = map.inverse().mapped(form);
            return outline.empty() ? NOTHING : outline;
        }

        /** Whether all of the form lies before the plane's horizon. */
        public boolean before() {
            return map.inverse().sees(form);
        }
    }

    /** Of a form that lies behind the horizon altogether. */
    private static final Path NOTHING = Path.box(Box.around(Point.ORIGIN, 1, 1));

    /** A picture that lies flat. */
    public Sitting(Path outline, int width, int height) {
        this(outline, width, height, Optional.empty());
    }

    /** A picture flat in a panel. */
    public static Sitting of(Holder panel, Picture picture) {
        return new Sitting(panel.ownPath(), picture.width(), picture.height());
    }

    /** A picture in a panel, mounted in a plane or in none. */
    public static Sitting of(Holder panel, Picture picture, Optional<Plane> plane) {
        return of(panel.ownPath(), picture, plane.map(Plane::map));
    }

    /** A picture of the panel's own as it is shown in it. */
    public static Sitting of(Holder panel, Shown shown) {
        return of(panel, shown.picture(), shown.plane());
    }

    /** A picture before a form that is seen so. */
    static Sitting of(Path form, Picture picture, Optional<Projective> seen) {
        if (seen.isEmpty()) return new Sitting(form, picture.width(), picture.height());
        Seen through = new Seen(seen.get(), form);
        return new Sitting(through.front(), picture.width(), picture.height(), Optional.of(through));
    }

    /** About what a picture turns and is zoomed: the panel's middle, or of a whole vista the middle of all its panels. */
    public Point pivot(boolean whole) {
        return whole ? middle() : seen.map(plane -> plane.map().inverse().apply(Point.ORIGIN)).orElse(Point.ORIGIN);
    }

    /** The middle of the outline's box: of a panel's own form that is the panel's middle. */
    public Point middle() {
        return outline.bounds().centre();
    }

    /** The outline's bounds in axes turned by {@code turn} about the panel's centre. */
    public Box reach(double turn) {
        return outline.bounds(Affine.turn(-turn));
    }

    /** Where the picture lies in its own turned axes, about the panel's centre. */
    public Box lie(Pose placement) {
        return Box.around(placement.centre().turned(-placement.turn()), width * placement.scaleX(), height * placement.scaleY());
    }

    /** The picture's edges in the outline's frame. */
    public Path frame(Pose placement) {
        return Path.box(new Box(0, 0, width, height)).mapped(placement.toPanel(width, height));
    }

    /** The smallest scale (mm a pixel) that covers the outline at that turn. */
    public double coverScale(double turn) {
        Box reach = reach(turn);
        return Math.max(reach.width() / width, reach.height() / height);
    }

    /**
     * The placement by a rule, centred on the outline. At turn 0 in a rectangle this is CSS Images 3, object-fit with
     * object-position 50% 50%. {@code ppi} counts for actual size only. {@link Fit#FREE} is no rule and is refused.
     */
    public Pose fitted(Fit fit, double turn, boolean mirrored, double ppi) {
        Box reach = reach(turn);
        double across = reach.width() / width;
        double down = reach.height() / height;
        double x = switch (fit) {
            case COVER -> Math.max(across, down);
            case CONTAIN -> Math.min(across, down);
            case STRETCH -> across;
            case ACTUAL -> 25.4 / ppi;
            case FREE -> throw new IllegalArgumentException("free is no rule");
        };
        return new Pose(reach.centre().turned(turn), x, fit == Fit.STRETCH ? down : x, turn, mirrored);
    }

    /**
     * The nearest placement that covers: enlarged about its centre until it is large enough, then moved the shortest
     * way. A placement that covers already comes back as it is.
     */
    public Pose covering(Pose wanted) {
        if (Coverage.covers(this, wanted)) return wanted;
        Box reach = reach(wanted.turn());
        Box lie = lie(wanted);
        double factor = Math.max(1, Math.max(reach.width() / lie.width(), reach.height() / lie.height()));
        double halfAcross = lie.width() * factor / 2;
        double halfDown = lie.height() * factor / 2;
        Point middle = lie.centre();
        Point moved = new Point(
                between(reach.right() - halfAcross, middle.x(), reach.x() + halfAcross),
                between(reach.bottom() - halfDown, middle.y(), reach.y() + halfDown));
        return wanted.scaled(factor).at(moved.turned(wanted.turn()));
    }

    /** {@code value} kept within the limits; when rounding has swapped them, their middle. */
    private static double between(double low, double value, double high) {
        return low > high ? (low + high) / 2 : Math.max(low, Math.min(high, value));
    }

    /** Scale against the scale that just covers at that turn and stretch; 1 just covers. */
    public double zoom(Pose placement) {
        return zoom(reach(placement.turn()), lie(placement));
    }

    static double zoom(Box reach, Box lie) {
        return Math.min(lie.width() / reach.width(), lie.height() / reach.height());
    }

    /** The placement at another zoom, with the spot of the picture under {@code anchor} (panel's frame) staying put. */
    public Pose zoomed(Pose placement, double zoom, Point anchor) {
        double factor = zoom / zoom(placement);
        return placement.scaled(factor).at(anchor.plus(placement.centre().minus(anchor).times(factor)));
    }

    /** The placement at another turn, turned about {@code anchor} (panel's frame). */
    public Pose turned(Pose placement, double turn, Point anchor) {
        Point centre = anchor.plus(placement.centre().minus(anchor).turned(turn - placement.turn()));
        return new Pose(centre, placement.scaleX(), placement.scaleY(), turn, placement.mirrored());
    }
}
