package plainlantern.outline;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ObjDoubleConsumer;
import plainlantern.asking.BadInput;
import plainlantern.geometry.FillRule;
import plainlantern.geometry.Path.Segment;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;

/** Paths as SVG path data (SVG 2, chapter 9), absolute commands, five decimals of a millimetre. */
public final class PathData {
    private static final String NONE = "That is no path of M, L, Q, C and Z commands.";

    private PathData() {}

    public static String of(Path path) {
        return written(path, (out, value) -> number(out, value, 5));
    }

    /** As {@link #of}, with every digit: reading it back gives the same path. */
    static String exact(Path path) {
        return written(path, StringBuilder::append);
    }

    private static String written(Path path, ObjDoubleConsumer<StringBuilder> number) {
        StringBuilder out = new StringBuilder();
        path.draw(new Path.Pen<RuntimeException>() {
            @Override
            public void move(Point to) {
                points(out.append('M'), number, to);
            }

            @Override
            public void line(Point to) {
                points(out.append('L'), number, to);
            }

            @Override
            public void cubic(Point control1, Point control2, Point to) {
                points(out.append('C'), number, control1, control2, to);
            }

            @Override
            public void close() {
                out.append('Z');
            }
        });
        return out.toString();
    }

    private static void points(StringBuilder out, ObjDoubleConsumer<StringBuilder> number, Point... points) {
        for (int i = 0; i < points.length; i++) {
            if (i > 0) out.append(' ');
            number.accept(out, points[i].x());
            out.append(' ');
            number.accept(out, points[i].y());
        }
    }

    /** In few characters, for the screen and for what was rounded so; {@code decimals} from 0 to 9. */
    public static String brief(Path path, int decimals) {
        return Brief.of(path, decimals);
    }

    /** Reads the commands M, L, Q, C and Z, absolute or relative, each with its letter; throws {@link BadInput}. */
    public static Path read(String d, FillRule rule) {
        return new Reader(d).path(rule);
    }

    private static final class Reader {
        private final String d;
        private int at;
        private Point pen = Point.ORIGIN;
        private Point start = Point.ORIGIN;

        Reader(String d) {
            this.d = d;
        }

        Path path(FillRule rule) {
            List<Segment> steps = new ArrayList<>();
            BadInput.unless(d.startsWith("M") || d.startsWith("m"), "outline", NONE);
            while (at < d.length()) {
                char command = d.charAt(at++);
                Point from = Character.isLowerCase(command) ? pen : Point.ORIGIN;
                switch (Character.toUpperCase(command)) {
                    case 'M' -> steps.add(new Segment.Move(start = pen = point(from)));
                    case 'L' -> steps.add(new Segment.Line(pen = point(from)));
                    case 'Q' -> steps.add(Path.raised(pen, point(from), pen = point(from)));
                    case 'C' -> steps.add(new Segment.Cubic(point(from), point(from), pen = point(from)));
                    case 'Z' -> {
                        steps.add(new Segment.Close());
                        pen = start;
                    }
                    default -> throw new BadInput("outline", NONE);
                }
            }
            return new Path(steps, rule);
        }

        private Point point(Point from) {
            return new Point(from.x() + number(), from.y() + number());
        }

        private double number() {
            while (at < d.length() && (d.charAt(at) == ' ' || d.charAt(at) == ',')) at++;
            int from = at;
            int whole = 0;
            boolean minus = at < d.length() && d.charAt(at) == '-';
            if (minus) at++;
            // Letters are thousands of short whole numbers.
            int digits = at;
            while (at < d.length() && d.charAt(at) >= '0' && d.charAt(at) <= '9' && at - digits < 9)
                whole = whole * 10 + d.charAt(at++) - '0';
            if (at > digits && (at == d.length() || !digit(d.charAt(at), d.charAt(at - 1), true))) return minus ? -whole : whole;
            while (at < d.length() && digit(d.charAt(at), at > from ? d.charAt(at - 1) : 0, at > from)) at++;
            try {
                double value = Double.parseDouble(d.substring(from, at));
                BadInput.unless(Double.isFinite(value), "outline", "A number of the path is too large.");
                return value;
            } catch (NumberFormatException e) {
                throw new BadInput("outline", "A command of the path has the wrong numbers.");
            }
        }

        private static boolean digit(char c, char before, boolean inside) {
            return c >= '0' && c <= '9' || c == '.' || c == 'e' || c == 'E' || (c == '-' || c == '+') && (!inside || before == 'e'
                    || before == 'E');
        }
    }

    /** {@code value} with at most {@code decimals} (0 to 9) decimals and no needless zeros. */
    public static String number(double value, int decimals) {
        StringBuilder out = new StringBuilder(20);
        number(out, value, decimals);
        return out.toString();
    }

    private static void number(StringBuilder out, double value, int decimals) {
        long unit = unit(decimals);
        long scaled = scaled(value, unit);
        if (scaled < 0) out.append('-');
        out.append(Math.abs(scaled) / unit);
        long part = Math.abs(scaled) % unit;
        if (part == 0) return;
        int digits = decimals;
        for (; part % 10 == 0; part /= 10) digits--;
        out.append('.');
        for (long least = unit(digits - 1); part < least; least /= 10) out.append('0');
        out.append(part);
    }

    static long unit(int decimals) {
        long unit = 1;
        for (int i = 0; i < decimals; i++) unit *= 10;
        return unit;
    }

    static long scaled(double value, long unit) {
        long scaled = Math.round(value * unit);
        if (scaled == Long.MAX_VALUE || scaled == Long.MIN_VALUE) throw new IllegalArgumentException("no number to write: " + value);
        return scaled;
    }
}
