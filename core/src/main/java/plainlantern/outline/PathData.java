package plainlantern.outline;

import java.util.Locale;
import plainlantern.geometry.Path;
import plainlantern.geometry.Path.Segment;
import plainlantern.geometry.Point;

/** Paths as SVG path data (SVG 2, chapter 9), absolute commands, five decimals of a millimetre. */
public final class PathData {
    private PathData() {}

    public static String of(Path path) {
        StringBuilder out = new StringBuilder();
        for (Segment segment : path.segments()) {
            if (segment instanceof Segment.Move m) points(out.append('M'), m.to());
            else if (segment instanceof Segment.Line l) points(out.append('L'), l.to());
            else if (segment instanceof Segment.Cubic c) points(out.append('C'), c.control1(), c.control2(), c.to());
            else out.append('Z');
        }
        return out.toString();
    }

    private static void points(StringBuilder out, Point... points) {
        for (int i = 0; i < points.length; i++) {
            if (i > 0) out.append(' ');
            out.append(number(points[i].x(), 5)).append(' ').append(number(points[i].y(), 5));
        }
    }

    /** {@code value} with at most {@code decimals} decimals and no needless zeros. */
    public static String number(double value, int decimals) {
        String text = String.format(Locale.ROOT, "%." + decimals + "f", value);
        if (text.indexOf('.') >= 0) text = text.replaceAll("0+$", "").replaceAll("\\.$", "");
        return text.equals("-0") ? "0" : text;
    }
}
