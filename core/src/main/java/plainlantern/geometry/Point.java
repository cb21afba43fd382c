package plainlantern.geometry;

/** A point or a vector, in millimetres unless a caller says otherwise. */
public record Point(double x, double y) {
    public static final Point ORIGIN = new Point(0, 0);

    public Point plus(Point other) {
        return new Point(x + other.x, y + other.y);
    }

    public Point minus(Point other) {
        return new Point(x - other.x, y - other.y);
    }

    public Point times(double factor) {
        return new Point(x * factor, y * factor);
    }

    public double dot(Point other) {
        return x * other.x + y * other.y;
    }

    /** From the origin. */
    public double length() {
        return Math.hypot(x, y);
    }

    public double distance(Point other) {
        return Math.hypot(x - other.x, y - other.y);
    }

    /** This vector turned clockwise by {@code degrees} about the origin. */
    public Point turned(double degrees) {
        return Affine.turn(degrees).apply(this);
    }
}
