package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonFormat;
import com.fasterxml.jackson.annotation.JsonPropertyOrder;
import plainlantern.asking.BadInput;
import plainlantern.geometry.Point;

/**
 * One place of a brush's stroke; in JSON its three numbers as an array.
 *
 * @param press how hard it was pressed there: so much of its size the brush has, 0 to 1
 */
@JsonFormat(shape = JsonFormat.Shape.ARRAY)
@JsonPropertyOrder({"x", "y", "press"})
public record Dot(double x, double y, double press) {
    /** Numbers are kept to a thousandth, which is all that is ever seen of them. */
    private static final double PLACES = 1000;
    private static final double FAR = 1e6;

    public Dot {
        BadInput.unless(Math.abs(x) <= FAR && Math.abs(y) <= FAR && press >= 0 && press <= 1, "dots",
                "A stroke runs through places on the sheet, each with a pressure from 0 to 1.");
        x = Math.rint(x * PLACES) / PLACES;
        y = Math.rint(y * PLACES) / PLACES;
        press = Math.rint(press * PLACES) / PLACES;
    }

    public Point at() {
        return new Point(x, y);
    }
}
