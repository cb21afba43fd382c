package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonIgnore;
import java.util.List;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Point;
import plainlantern.geometry.Projective;

/**
 * A flat rectangle as it is seen at an angle, for pictures that are to hang in it. Lengths in the plane are as large as they are seen on
 * the whole: the rectangle has the area of what is seen of it, and its middle is the origin.
 *
 * @param corners     where its upper left, upper right, lower right and lower left corners are seen, mm in the frame it is told in
 * @param proportions its true width against its height
 * @param fixed       whether somebody has said these; else they follow from the corners
 */
public record Plane(List<Point> corners, double proportions, @Typed.Switch boolean fixed) {
    /** So much of the whole each corner's triangle takes at least: flatter, three corners lie on a line. */
    private static final double FLATTEST = 0.002;
    /** The least that proportions may be, and the most by which they divide 1. */
    public static final double NARROWEST = 0.01;

    public Plane {
        corners = corners == null ? List.of() : List.copyOf(corners);
        BadInput.unless(corners.size() == 4, "corners", "A picture is mounted by four corners.");
        for (Point corner : corners) BadInput.unless(Math.max(Math.abs(corner.x()), Math.abs(corner.y())) <= 100 * Seat.LARGEST, "corners",
                "That is too far away from the sheet.");
        checkConvex(corners);
        BadInput.unless(proportions >= NARROWEST && proportions <= 1 / NARROWEST, "proportions",
                "Proportions are between 1 : 100 and 100 : 1.");
    }

    private static void checkConvex(List<Point> corners) {
        double[] turns = new double[4];
        double all = 0;
        for (int i = 0; i < 4; i++) {
            turns[i] = twice(corners.get(i), corners.get((i + 1) % 4), corners.get((i + 2) % 4));
            all += Math.abs(turns[i]);
        }
        int right = 0;
        for (double turn : turns) {
            BadInput.unless(Math.abs(turn) > FLATTEST * all / 4 && all > Seat.THINNEST * Seat.THINNEST, "corners",
                    "Three of these corners lie on a line, or nearly so.");
            if (turn > 0) right++;
        }
        BadInput.unless(right != 2, "corners", "These corners cross each other. Go around the frame, from one corner to the next.");
        BadInput.unless(right != 1 && right != 3, "corners", "One of these corners lies within the other three.");
    }

    /** Twice the area of a triangle, above zero where it turns to the right. */
    private static double twice(Point a, Point b, Point c) {
        return (b.x() - a.x()) * (c.y() - b.y()) - (b.y() - a.y()) * (c.x() - b.x());
    }

    private double area() {
        Point one = corners.get(2).minus(corners.get(0));
        Point two = corners.get(3).minus(corners.get(1));
        return Math.abs(one.x() * two.y() - one.y() * two.x()) / 2;
    }

    /** Its own width, mm. */
    @JsonIgnore
    public double width() {
        return Math.sqrt(area() * proportions);
    }

    /** Its own height, mm. */
    @JsonIgnore
    public double height() {
        return Math.sqrt(area() / proportions);
    }

    /** The map from its own places to where they are seen. */
    @JsonIgnore
    public Projective map() {
        return Projective.onto(corners).after(Affine.move(0.5, 0.5).after(Affine.scale(1 / width(), 1 / height())));
    }

    /** The same told in another frame. */
    public Plane mapped(Affine map) {
        return new Plane(corners.stream().map(map::apply).toList(), proportions, fixed);
    }

    /** The same with other proportions. */
    public Plane shaped(double newProportions, boolean newlyFixed) {
        return new Plane(corners, newProportions, newlyFixed);
    }
}
