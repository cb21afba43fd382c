package plainlantern.arranging;

import plainlantern.asking.Choice;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;

/** Across or down: the same rules hold along both. */
public enum Axis implements Choice {
    ACROSS, DOWN;

    public Axis other() {
        return this == ACROSS ? DOWN : ACROSS;
    }

    /** Left or top. */
    public double start(Box box) {
        return this == ACROSS ? box.x() : box.y();
    }

    public double size(Box box) {
        return this == ACROSS ? box.width() : box.height();
    }

    public double end(Box box) {
        return start(box) + size(box);
    }

    public double middle(Box box) {
        return start(box) + size(box) / 2;
    }

    /** A step of so many mm this way. */
    public Point step(double by) {
        return this == ACROSS ? new Point(by, 0) : new Point(0, by);
    }
}
