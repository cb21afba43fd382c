package plainlantern.geometry;

/**
 * An affine map of the plane: x' = a·x + c·y + e, y' = b·x + d·y + f. The six numbers stand in the order of SVG's
 * {@code matrix(a b c d e f)}.
 */
public record Affine(double a, double b, double c, double d, double e, double f) {
    public static final Affine IDENTITY = new Affine(1, 0, 0, 1, 0, 0);

    public static Affine move(double dx, double dy) {
        return new Affine(1, 0, 0, 1, dx, dy);
    }

    public static Affine move(Point by) {
        return move(by.x(), by.y());
    }

    public static Affine scale(double sx, double sy) {
        return new Affine(sx, 0, 0, sy, 0, 0);
    }

    /** A clockwise turn by {@code degrees} about the origin; exact for multiples of 90. */
    public static Affine turn(double degrees) {
        double quarter = degrees / 90;
        if (quarter == Math.rint(quarter)) {
            return switch ((int) Math.floorMod((long) quarter, 4L)) {
                case 0 -> IDENTITY;
                case 1 -> new Affine(0, 1, -1, 0, 0, 0);
                case 2 -> new Affine(-1, 0, 0, -1, 0, 0);
                default -> new Affine(0, -1, 1, 0, 0, 0);
            };
        }
        double cos = Math.cos(Math.toRadians(degrees));
        double sin = Math.sin(Math.toRadians(degrees));
        return new Affine(cos, sin, -sin, cos, 0, 0);
    }

    /** The same turn above −180 and up to 180 degrees. */
    public static double normalTurn(double degrees) {
        double within = degrees % 360;
        if (within > 180) return within - 360;
        return within <= -180 ? within + 360 : within;
    }

    /** The map that applies {@code first} and then this one (this ∘ first). */
    public Affine after(Affine first) {
        return new Affine(
                a * first.a + c * first.b, b * first.a + d * first.b,
                a * first.c + c * first.d, b * first.c + d * first.d,
                a * first.e + c * first.f + e, b * first.e + d * first.f + f);
    }

    public Point apply(Point p) {
        return new Point(a * p.x() + c * p.y() + e, b * p.x() + d * p.y() + f);
    }

    public double determinant() {
        return a * d - b * c;
    }

    /** The inverse map; throws when this one flattens the plane. */
    public Affine inverse() {
        double det = determinant();
        if (Math.abs(det) < 1e-300) throw new ArithmeticException("no inverse of " + this);
        return new Affine(d / det, -b / det, -c / det, a / det, (c * f - d * e) / det, (b * e - a * f) / det);
    }

    /** How long the longest unit step becomes: the greater singular value. */
    public double greatest() {
        double sum = a * a + b * b + c * c + d * d;
        double det = determinant();
        return Math.sqrt((sum + Math.sqrt(Math.max(0, sum * sum - 4 * det * det))) / 2);
    }

    /** How long the shortest unit step becomes: the lesser singular value. */
    public double least() {
        return Math.abs(determinant()) / greatest();
    }

    /** How long a unit step along x becomes. */
    public double xScale() {
        return Math.hypot(a, b);
    }

    /** How long a unit step along y becomes. */
    public double yScale() {
        return Math.hypot(c, d);
    }
}
