package plainlantern.picture;

import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import plainlantern.geometry.Point;

/**
 * The straight edges of an image nearest to the sides of a frame: along each side lightness is differentiated across it, at many places;
 * the line on which that sums up highest is the edge. A side without one stays where it is.
 */
public final class FrameEdges {
    private static final int PLACES = 96;
    /** A side is looked at from here to as far from its other end: corners are rounded, and belong to two sides. */
    private static final double INSET = 0.08;
    private static final double FINE = 0.25;
    /** Of the lightness differences of all lines looked at, the edge's is so many times the middle one, and so large, of 255 a pixel. */
    private static final double CLEAR = 4;
    private static final double LEAST = 1.2;
    /** So much of its score a line loses that is as far off as can be. */
    private static final double FAR_LOSES = 0.5;

    private final int width;
    private final int height;
    private final float[] light;

    private FrameEdges(BufferedImage image) {
        width = image.getWidth();
        height = image.getHeight();
        int[] rgb = image.getRGB(0, 0, width, height, null, 0, width);
        light = new float[rgb.length];
        for (int i = 0; i < rgb.length; i++)
            light[i] = 0.2126f * (rgb[i] >> 16 & 0xFF) + 0.7152f * (rgb[i] >> 8 & 0xFF) + 0.0722f * (rgb[i] & 0xFF);
    }

    /** A line across a side's ends, by how far off each end it is, pixels. */
    private record Line(Point from, Point to, double score) {}

    /**
     * @param corners four of them in turn, pixels of the image
     * @param reach   how far from the sides edges are looked for, pixels
     * @return the corners of the frame that the edges make; empty where no side has one
     */
    public static Optional<List<Point>> near(BufferedImage image, List<Point> corners, double reach) {
        FrameEdges in = new FrameEdges(image);
        List<Line> sides = new ArrayList<>();
        boolean any = false;
        for (int i = 0; i < 4; i++) {
            Point from = corners.get(i);
            Point to = corners.get((i + 1) % 4);
            Optional<Line> edge = from.distance(to) < 4 ? Optional.empty() : in.edge(from, to, reach);
            any |= edge.isPresent();
            sides.add(edge.orElse(new Line(from, to, 0)));
        }
        if (!any) return Optional.empty();
        List<Point> found = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            Point met = crossing(sides.get((i + 3) % 4), sides.get(i));
            found.add(met.distance(corners.get(i)) <= 3 * reach ? met : corners.get(i));
        }
        return Optional.of(found);
    }

    private static Point crossing(Line a, Line b) {
        Point along = a.to().minus(a.from());
        Point other = b.to().minus(b.from());
        Point off = b.from().minus(a.from());
        double t = (off.x() * other.y() - off.y() * other.x()) / (along.x() * other.y() - along.y() * other.x());
        return a.from().plus(along.times(t));
    }

    private Optional<Line> edge(Point from, Point to, double reach) {
        Point along = to.minus(from).times(1 / from.distance(to));
        Point across = new Point(-along.y(), along.x());
        int steps = (int) Math.ceil(reach / FINE);
        float[][] slopes = new float[PLACES][];
        for (int i = 0; i < PLACES; i++) slopes[i] = slopes(from.plus(to.minus(from).times(at(i))), across, steps);
        int coarse = 4;
        double[] all = new double[(2 * steps / coarse + 1) * (2 * steps / coarse + 1)];
        int count = 0;
        int[] best = {0, 0};
        double most = -1;
        for (int one = -steps; one <= steps; one += coarse) for (int two = -steps; two <= steps; two += coarse) {
            double sum = sum(slopes, one, two, steps);
            if (count < all.length) all[count++] = sum;
            double score = sum * (1 - FAR_LOSES * (Math.abs(one) + Math.abs(two)) / (2 * steps));
            if (score > most) {
                most = score;
                best = new int[] {one, two};
            }
        }
        int[] coarsely = best;
        most = -1;
        for (int one = coarsely[0] - coarse; one <= coarsely[0] + coarse; one++) for (int two = coarsely[1] - coarse;
                two <= coarsely[1] + coarse; two++) {
            double sum = sum(slopes, one, two, steps);
            if (sum > most) {
                most = sum;
                best = new int[] {one, two};
            }
        }
        Arrays.sort(all, 0, count);
        if (most < LEAST || most < CLEAR * all[count / 2]) return Optional.empty();
        return Optional.of(new Line(from.plus(across.times(best[0] * FINE)), to.plus(across.times(best[1] * FINE)), most));
    }

    private static double at(int place) {
        return INSET + (1 - 2 * INSET) * (place + 0.5) / PLACES;
    }

    /** How much lightness rises by a pixel across a side, at steps from it. */
    private float[] slopes(Point middle, Point across, int steps) {
        float[] out = new float[2 * steps + 1];
        for (int k = -steps; k <= steps; k++) {
            Point at = middle.plus(across.times(k * FINE));
            out[k + steps] = (smooth(at.plus(across)) - smooth(at.minus(across))) / 2;
        }
        return out;
    }

    private float smooth(Point at) {
        double x = Math.max(0, Math.min(width - 1.001, at.x() - 0.5));
        double y = Math.max(0, Math.min(height - 1.001, at.y() - 0.5));
        int column = (int) x;
        int row = (int) y;
        float dx = (float) (x - column);
        float dy = (float) (y - row);
        int i = row * width + column;
        int right = column + 1 < width ? 1 : 0;
        int down = row + 1 < height ? width : 0;
        return (light[i] * (1 - dx) + light[i + right] * dx) * (1 - dy) + (light[i + down] * (1 - dx) + light[i + down + right] * dx) * dy;
    }

    /** The mean slope on a line, whichever way lightness changes all along it. */
    private static double sum(float[][] slopes, int one, int two, int steps) {
        double sum = 0;
        for (int i = 0; i < PLACES; i++) {
            double off = one + (two - one) * at(i);
            int k = (int) Math.round(off) + steps;
            if (k >= 0 && k < slopes[i].length) sum += slopes[i][k];
        }
        return Math.abs(sum) / PLACES;
    }
}
