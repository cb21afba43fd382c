package plainlantern.outline;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleFunction;
import plainlantern.asking.BadInput;
import plainlantern.geometry.FillRule;
import plainlantern.geometry.Path.Segment;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;

/** Paths as SVG path data (SVG 2, chapter 9), absolute commands, five decimals of a millimetre. */
public final class PathData {
    private static final String NONE = "That is no path of M, L, C and Z commands.";

    private PathData() {}

    public static String of(Path path) {
        return written(path, value -> number(value, 5));
    }

    /** As {@link #of}, with every digit: reading it back gives the same path. */
    static String exact(Path path) {
        return written(path, Double::toString);
    }

    private static String written(Path path, DoubleFunction<String> number) {
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

    private static void points(StringBuilder out, DoubleFunction<String> number, Point... points) {
        for (int i = 0; i < points.length; i++) {
            if (i > 0) out.append(' ');
            out.append(number.apply(points[i].x())).append(' ').append(number.apply(points[i].y()));
        }
    }

    /** In whole numbers, relative: short, for what was rounded so. */
    static String whole(Path path) {
        StringBuilder out = new StringBuilder();
        path.draw(new Path.Pen<RuntimeException>() {
            private long x;
            private long y;
            private long startX;
            private long startY;

            @Override
            public void move(Point to) {
                step('m', to);
                startX = x;
                startY = y;
            }

            @Override
            public void line(Point to) {
                step('l', to);
            }

            @Override
            public void cubic(Point control1, Point control2, Point to) {
                step('c', control1, control2, to);
            }

            @Override
            public void close() {
                out.append('z');
                x = startX;
                y = startY;
            }

            private void step(char command, Point... points) {
                out.append(command);
                for (int i = 0; i < points.length; i++) {
                    long left = Math.round(points[i].x()) - x;
                    out.append(i > 0 && left >= 0 ? " " : "").append(left);
                    long down = Math.round(points[i].y()) - y;
                    out.append(down >= 0 ? " " : "").append(down);
                }
                x = Math.round(points[points.length - 1].x());
                y = Math.round(points[points.length - 1].y());
            }
        });
        return out.toString();
    }

    /** Reads what a person drew: commands M, L, C and Z; throws {@link BadInput}. */
    public static Path read(String d, FillRule rule) {
        return parse(d, rule);
    }

    /** Reads the commands M, L, C and Z, absolute or relative, each with its letter; throws {@link BadInput}. */
    static Path parse(String d, FillRule rule) {
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
