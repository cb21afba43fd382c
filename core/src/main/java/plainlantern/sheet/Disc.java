package plainlantern.sheet;

import java.util.Collection;
import java.util.List;
import plainlantern.asking.BadInput;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.outline.Ellipse;

/**
 * The round part of a form in which something is bent, grabbed in its middle and at its right.
 *
 * @param x      of the middle, a share of the form's box from its left
 * @param y      from its top
 * @param radius a share of half the box's shorter side
 */
record Disc(double x, double y, double radius) {
    private static final Disc FIRST = new Disc(0.5, 0.5, 1);
    private static final double LEAST = 0.01;
    private static final double MOST = 4;
    private static final double[] WITHIN = {-1, 2};

    Point centre(Box box) {
        return box.at(new Point(x, y));
    }

    /** How far it reaches from there. */
    double reach(Box box) {
        return radius * box.shorter() / 2;
    }

    List<Point> handles(Box box) {
        return List.of(centre(box), centre(box).plus(new Point(reach(box), 0)));
    }

    Path edge(Box box) {
        return new Ellipse().path(2 * reach(box), 2 * reach(box)).mapped(Affine.move(centre(box)));
    }

    Disc moved(Collection<Integer> which, Point by, Box box) {
        check(which);
        if (which.contains(0)) return new Disc(within(x + by.x() / box.width(), WITHIN[0], WITHIN[1]),
                within(y + by.y() / box.height(), WITHIN[0], WITHIN[1]), radius);
        double reach = handles(box).get(1).plus(by).distance(centre(box));
        return new Disc(x, y, within(reach * 2 / box.shorter(), LEAST, MOST));
    }

    Disc home(Collection<Integer> which) {
        check(which);
        boolean middle = which.isEmpty() || which.contains(0);
        return new Disc(middle ? FIRST.x : x, middle ? FIRST.y : y, which.isEmpty() || which.contains(1) ? FIRST.radius : radius);
    }

    private static void check(Collection<Integer> which) {
        BadInput.unless(List.of(0, 1).containsAll(which), "handles", "That handle is no longer there.");
    }

    private static double within(double value, double least, double most) {
        return Math.max(least, Math.min(most, value));
    }
}
