package plainlantern.outline;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import plainlantern.asking.BadInput;
import plainlantern.geometry.FillRule;
import plainlantern.geometry.Path.Segment;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;

/** Paths as SVG path data (SVG 2, chapter 9), absolute commands, five decimals of a millimetre. */
public final class PathData {
    private static final Pattern COMMAND = Pattern.compile("([MLCZ])([^MLCZ]*)");

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

    /** Reads absolute M, L, C and Z commands; throws {@link BadInput}. */
    static Path parse(String d, FillRule rule) {
        List<Segment> steps = new ArrayList<>();
        Matcher command = COMMAND.matcher(d);
        int end = 0;
        while (command.find() && command.start() == end) {
            end = command.end();
            double[] n = numbers(command.group(2));
            switch (command.group(1)) {
                case "M" -> steps.add(new Segment.Move(point(n, 0, 2)));
                case "L" -> steps.add(new Segment.Line(point(n, 0, 2)));
                case "C" -> steps.add(new Segment.Cubic(point(n, 0, 6), point(n, 2, 6), point(n, 4, 6)));
                default -> steps.add(new Segment.Close());
            }
        }
        BadInput.unless(end == d.length() && d.startsWith("M"), "outline", "That is no path of M, L, C and Z commands.");
        return new Path(steps, rule);
    }

    private static double[] numbers(String text) {
        try {
            return text.isBlank() ? new double[0] : Arrays.stream(text.strip().split("[\\s,]+")).mapToDouble(Double::parseDouble).toArray();
        } catch (NumberFormatException e) {
            throw new BadInput("outline", "“" + text + "” are no numbers of a path.");
        }
    }

    private static Point point(double[] n, int at, int wanted) {
        BadInput.unless(n.length == wanted && Double.isFinite(n[at]) && Double.isFinite(n[at + 1]), "outline",
                "A command of the path has the wrong numbers.");
        return new Point(n[at], n[at + 1]);
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
