package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonIgnore;
import plainlantern.asking.BadInput;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Point;
import plainlantern.pattern.Pattern;

/**
 * Where a panel is: its centre on the sheet, its width and height (mm, above zero), its turn (degrees, clockwise) and
 * whether it is mirrored left to right before it is turned.
 */
public record Seat(Point centre, double width, double height, double turn, boolean mirrored) {
    /** Thinner than this nothing can be grabbed or printed. */
    public static final double THINNEST = Pattern.THINNEST;
    /** Larger than this no sheet is; far enough to never hinder. */
    public static final double LARGEST = 10_000;

    public Seat {
        BadInput.unless(width >= THINNEST && width <= LARGEST, "width", "A panel is between 0.1 mm and 10 m wide.");
        BadInput.unless(height >= THINNEST && height <= LARGEST, "height", "A panel is between 0.1 mm and 10 m high.");
        near("left", centre.x(), centre.y());
        BadInput.unless(Double.isFinite(turn), "turn", "This has to be a number of degrees.");
    }

    /** Throws {@link BadInput} at a field where a place, or a length, is more than {@link #LARGEST} mm. */
    public static void near(String field, double... mm) {
        for (double each : mm) BadInput.unless(Math.abs(each) <= LARGEST, field, "That is more than 10 m away from the sheet.");
    }

    public static Seat upright(Point centre, double width, double height) {
        return new Seat(centre, width, height, 0, false);
    }

    /** The map from the panel's own frame (origin at its centre) to the sheet. */
    @JsonIgnore
    public Affine toSheet() {
        return Affine.move(centre).after(Affine.turn(turn)).after(Affine.scale(mirrored ? -1 : 1, 1));
    }

    public Seat at(Point newCentre) {
        return new Seat(newCentre, width, height, turn, mirrored);
    }

    public Seat sized(double newWidth, double newHeight) {
        return new Seat(centre, newWidth, newHeight, turn, mirrored);
    }

    /** Half the box in the panel's own frame, from the middle to its lower right corner. */
    @JsonIgnore
    public Point half() {
        return new Point(width / 2, height / 2);
    }

    public Seat turned(double newTurn) {
        return new Seat(centre, width, height, newTurn, mirrored);
    }

    /**
     * The same when the sheet around {@code fixed} grows so much wider and higher. A turned one cannot take both factors without a
     * skew; its sides take what falls along them.
     */
    public Seat stretched(Point fixed, double fx, double fy) {
        Point from = centre.minus(fixed);
        double cos = Math.cos(Math.toRadians(turn));
        double sin = Math.sin(Math.toRadians(turn));
        return sized(width * Math.hypot(fx * cos, fy * sin), height * Math.hypot(fx * sin, fy * cos))
                .at(fixed.plus(new Point(from.x() * fx, from.y() * fy)));
    }
}
