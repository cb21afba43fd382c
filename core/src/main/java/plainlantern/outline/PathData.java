package plainlantern.outline;

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

    /**
     * {@code value} with at most {@code decimals} (0 to 9) decimals and no needless zeros. Boards are made of hundreds of
     * thousands of these, so no general formatter is used.
     */
    public static String number(double value, int decimals) {
        long unit = 1;
        for (int i = 0; i < decimals; i++) unit *= 10;
        long scaled = Math.round(value * unit);
        if (scaled == Long.MAX_VALUE || scaled == Long.MIN_VALUE) throw new IllegalArgumentException("no number to write: " + value);
        long whole = Math.abs(scaled) / unit;
        long part = Math.abs(scaled) % unit;
        StringBuilder out = new StringBuilder();
        if (scaled < 0) out.append('-');
        out.append(whole);
        if (part == 0) return out.toString();
        String digits = Long.toString(unit + part);
        int end = digits.length();
        while (digits.charAt(end - 1) == '0') end--;
        return out.append('.').append(digits, 1, end).toString();
    }
}
