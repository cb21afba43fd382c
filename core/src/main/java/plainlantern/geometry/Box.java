package plainlantern.geometry;

import java.util.Collection;

/** An upright rectangle: left, top, width and height. Width and height are never negative. */
public record Box(double x, double y, double width, double height) {
    public Box {
        if (!(width >= 0 && height >= 0)) throw new IllegalArgumentException("box of " + width + " by " + height);
    }

    /** The box of that size around {@code centre}. */
    public static Box around(Point centre, double width, double height) {
        return new Box(centre.x() - width / 2, centre.y() - height / 2, width, height);
    }

    public static Box between(double left, double top, double right, double bottom) {
        return new Box(left, top, right - left, bottom - top);
    }

    /** The smallest box that holds all of {@code boxes}; there must be one at least. */
    public static Box union(Collection<Box> boxes) {
        return boxes.stream().reduce(Box::union).orElseThrow(() -> new IllegalArgumentException("no boxes"));
    }

    public Box union(Box o) {
        return between(Math.min(x, o.x), Math.min(y, o.y), Math.max(right(), o.right()), Math.max(bottom(), o.bottom()));
    }

    /** The shorter of both sides. */
    public double shorter() {
        return Math.min(width, height);
    }

    public double right() {
        return x + width;
    }

    public double bottom() {
        return y + height;
    }

    public Point centre() {
        return new Point(x + width / 2, y + height / 2);
    }

    /** From the unit square to it. */
    public Affine fromUnit() {
        return Affine.move(x, y).after(Affine.scale(width, height));
    }

    /** From its own frame to one in which its sides are at -1 and 1. */
    public Affine toCentred() {
        return Affine.scale(2 / width, 2 / height).after(Affine.move(centre().times(-1)));
    }

    /** Where shares of its width and height lie. */
    public Point at(Point share) {
        return new Point(x + width * share.x(), y + height * share.y());
    }

    public Box grown(double by) {
        return between(x - by, y - by, right() + by, bottom() + by);
    }

    public Box moved(Point by) {
        return new Box(x + by.x(), y + by.y(), width, height);
    }

    public boolean meets(Box o) {
        return x < o.right() && o.x < right() && y < o.bottom() && o.y < bottom();
    }
}
