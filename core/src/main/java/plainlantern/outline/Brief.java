package plainlantern.outline;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;

/**
 * Writes path data in few characters: each contour begins at its place, all else is told from where the pen is, what does not leave that
 * place is left out, and a curve that is quadratic, as those of many typefaces are, is written as that. What rounding leaves out of one
 * step is in the next, so that a long contour drifts nowhere. Boards are made of hundreds of thousands of its numbers, so no general
 * formatter is used.
 */
final class Brief implements Path.Pen<RuntimeException> {
    /** As long as a number can be, with its sign and its point. */
    private static final int LONGEST = 24;

    private final int decimals;
    private final long unit;
    private final byte[] number = new byte[LONGEST];
    private byte[] text;
    private int length;
    private Point pen = Point.ORIGIN;
    private Point start = Point.ORIGIN;
    private long x;
    private long y;
    private long startX;
    private long startY;

    private Brief(int decimals, int steps) {
        this.decimals = decimals;
        unit = PathData.unit(decimals);
        text = new byte[64 + steps * (12 + 6 * decimals)];
    }

    static String of(Path path, int decimals) {
        Brief brief = new Brief(decimals, path.segments().size());
        path.draw(brief);
        return new String(brief.text, 0, brief.length, StandardCharsets.ISO_8859_1);
    }

    @Override
    public void move(Point to) {
        x = 0;
        y = 0;
        long toX = units(to.x());
        long toY = units(to.y());
        command('M');
        point(toX, toY);
        on(to, toX, toY);
        start = to;
        startX = x;
        startY = y;
    }

    @Override
    public void line(Point to) {
        line(to, units(to.x()), units(to.y()));
    }

    private void line(Point to, long toX, long toY) {
        if (toX != x || toY != y) {
            command('l');
            point(toX, toY);
        }
        on(to, toX, toY);
    }

    @Override
    public void cubic(Point control1, Point control2, Point to) {
        Point early = pen.plus(control1.minus(pen).times(1.5));
        Point late = to.plus(control2.minus(to).times(1.5));
        if (early.distance(late) * unit <= 1) quadratic(early.plus(late).times(0.5), to);
        else {
            long toX = units(to.x());
            long toY = units(to.y());
            command('c');
            point(units(control1.x()), units(control1.y()));
            point(units(control2.x()), units(control2.y()));
            point(toX, toY);
            on(to, toX, toY);
        }
    }

    private void quadratic(Point control, Point to) {
        long toX = units(to.x());
        long toY = units(to.y());
        long controlX = units(control.x());
        long controlY = units(control.y());
        if (controlX == x && controlY == y || controlX == toX && controlY == toY) {
            line(to, toX, toY);
            return;
        }
        command('q');
        point(controlX, controlY);
        point(toX, toY);
        on(to, toX, toY);
    }

    @Override
    public void close() {
        command('z');
        pen = start;
        x = startX;
        y = startY;
    }

    private long units(double mm) {
        return PathData.scaled(mm, unit);
    }

    private void on(Point to, long toX, long toY) {
        pen = to;
        x = toX;
        y = toY;
    }

    private void command(char command) {
        if (text.length - length < 7 * LONGEST) text = Arrays.copyOf(text, text.length * 2 + 7 * LONGEST);
        text[length++] = (byte) command;
    }

    private void point(long toX, long toY) {
        step(toX - x);
        step(toY - y);
    }

    /** Digits from the last to the first, without needless zeros on either side of the point. */
    private void step(long by) {
        int at = LONGEST;
        boolean part = false;
        long left = Math.abs(by);
        for (int place = 0; left > 0 || place < decimals; place++, left /= 10) {
            if (place == decimals && part) number[--at] = '.';
            byte digit = (byte) ('0' + left % 10);
            if (place >= decimals || part || digit != '0') number[--at] = digit;
            part |= place < decimals && digit != '0';
        }
        if (part && Math.abs(by) < unit) number[--at] = '.';
        if (by == 0) number[--at] = '0';
        if (by < 0) number[--at] = '-';
        else if (text[length - 1] <= '9') text[length++] = ' ';
        System.arraycopy(number, at, text, length, LONGEST - at);
        length += LONGEST - at;
    }
}
