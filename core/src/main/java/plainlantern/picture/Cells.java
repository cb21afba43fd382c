package plainlantern.picture;

import java.util.Arrays;
import java.util.stream.IntStream;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;

/**
 * Gaussian blur of pixels. A wide one is computed on square cells of several pixels, over a tile and as far around it as the curve reaches:
 * their averaging and the interpolation between them are a part of the curve, and together they have just its variance.
 */
public final class Cells {
    /** A blur with a larger deviation than this, in pixels, is made of a smaller painting, with the other one. */
    private static final double COARSE = 48;
    private static final double ENOUGH = 24;
    /** A cell's side is at most this share of the standard deviation. */
    private static final double CELL = 1 / 3.0;

    private final Tile like;
    private final int side;
    private final int left;
    private final int top;
    private final int across;
    private final int down;
    private final float[] kernel;

    /** @param deviation of the curve, pixels */
    public Cells(double deviation, Tile like) {
        this.like = like;
        side = Math.max(1, (int) (deviation * CELL));
        // A cell's average adds side²/12 to the variance, the straight line between two of them side²/6.
        double fine = side == 1 ? deviation : Math.sqrt(deviation * deviation - side * side / 4.0) / side;
        kernel = kernel(fine);
        int room = (kernel.length / 2 + 1) * side;
        // Cells lie the same whatever part is painted.
        left = Math.floorDiv(like.x() - room, side) * side;
        top = Math.floorDiv(like.y() - room, side) * side;
        across = (like.width() + 2 * room) / side + 3;
        down = (like.height() + 2 * room) / side + 3;
    }

    /** Something that can be painted at a share of its size, in a box of whole pixels of that. */
    public interface Painter {
        Tile at(double share, Box box);
    }

    /** Whether a blur is made of a smaller painting. */
    public static boolean coarse(double deviation) {
        return deviation > COARSE;
    }

    /**
     * Something blurred, for a tile.
     *
     * @param by so many whole pixels across and down what is painted smaller is moved; at its full size it is painted there
     */
    public static Tile seen(double deviation, Tile like, int[] by, Painter painter) {
        if (coarse(deviation)) {
            double share = ENOUGH / deviation;
            Box small = new Box((like.x() - by[0]) * share - 1, (like.y() - by[1]) * share - 1, like.width() * share + 2,
                    like.height() * share + 2);
            Cells cells = new Cells(ENOUGH, Tile.over(small));
            return larger(cells.blurredPixels(painter.at(share, cells.pixels())), share, like, by);
        }
        if (deviation == 0) return painter.at(1, like.box());
        Cells cells = new Cells(deviation, like);
        return cells.blurredPixels(painter.at(1, cells.pixels()));
    }

    /** Pixels along the side of a cell. */
    public int side() {
        return side;
    }

    /** Where the first cell begins, pixels. */
    public int left() {
        return left;
    }

    public int top() {
        return top;
    }

    /** How many there are. */
    public int across() {
        return across;
    }

    public int down() {
        return down;
    }

    /** The pixels around some that are looked at to blur those. */
    public static int room(double deviation) {
        int side = Math.max(1, (int) (deviation * CELL));
        return (int) Math.ceil(3.5 * deviation) + 6 * side + 2;
    }

    /** A smaller painting at the size of {@code like}, moved by whole pixels: what lies between its pixels is mixed evenly. */
    private static Tile larger(Tile small, double share, Tile like, int[] by) {
        Tile out = new Tile(like.x(), like.y(), like.width(), like.height(), new int[like.width() * like.height()]);
        IntStream.range(0, like.height()).parallel().forEach(y -> {
            for (int x = 0; x < like.width(); x++) out.argb()[y * like.width() + x] = between(small,
                    (like.x() + x - by[0] + 0.5) * share, (like.y() + y - by[1] + 0.5) * share);
        });
        return out;
    }

    /** The colour at a place, pixels from where the tile's are counted. */
    public static int between(Tile tile, double x, double y) {
        double u = x - 0.5 - tile.x();
        double v = y - 0.5 - tile.y();
        int column = Math.max(0, Math.min(tile.width() - 2, (int) Math.floor(u)));
        int row = Math.max(0, Math.min(tile.height() - 2, (int) Math.floor(v)));
        double across = Math.max(0, Math.min(1, u - column));
        double down = Math.max(0, Math.min(1, v - row));
        int[] pixels = tile.argb();
        int at = row * tile.width() + column;
        // A tile of one column or one row has no neighbour to mix with.
        int right = tile.width() > 1 ? 1 : 0;
        int below = tile.height() > 1 ? at + tile.width() : at;
        int out = 0;
        for (int shift = 0; shift < 32; shift += 8) {
            double upper = mixed(pixels[at] >> shift & 0xFF, pixels[at + right] >> shift & 0xFF, across);
            double lower = mixed(pixels[below] >> shift & 0xFF, pixels[below + right] >> shift & 0xFF, across);
            out |= (int) (mixed(upper, lower, down) + 0.5) << shift;
        }
        return out;
    }

    private static double mixed(double one, double other, double share) {
        return one + (other - one) * share;
    }

    private static float[] kernel(double deviation) {
        int half = (int) Math.ceil(3.5 * deviation);
        float[] out = new float[2 * half + 1];
        double[] bell = IntStream.rangeClosed(-half, half).mapToDouble(i -> deviation == 0 ? 1
                : Math.exp(-i * i / (2 * deviation * deviation))).toArray();
        double sum = 0;
        for (double share : bell) sum += share;
        for (int i = 0; i < out.length; i++) out[i] = (float) (bell[i] / sum);
        return out;
    }

    /** From output pixels to cells. */
    public Affine map() {
        return Affine.scale(1.0 / side, 1.0 / side).after(Affine.move(-left, -top));
    }

    /** All cells. */
    public Box box() {
        return new Box(0, 0, across, down);
    }

    /** All cells, in output pixels. */
    public Box pixels() {
        return new Box(left, top, across * side, down * side);
    }

    /** Pixels that the cells lie over, all of them, blurred for the tile. */
    public Tile blurredPixels(Tile pixels) {
        int[] out = new int[like.width() * like.height()];
        boolean opaque = Arrays.stream(pixels.argb()).parallel().allMatch(pixel -> pixel >>> 24 == 255);
        if (opaque) Arrays.fill(out, 0xFF000000);
        float[] channel = new float[across * down];
        for (int shift = 0; shift < (opaque ? 24 : 32); shift += 8) {
            if (side == 1) taken(pixels, shift, channel);
            else averaged(pixels, shift, channel);
            between(smoothed(channel), out, shift);
        }
        return new Tile(like.x(), like.y(), like.width(), like.height(), out);
    }

    /** Of cells that are pixels their values, 0 to 1. */
    private static void taken(Tile cells, int shift, float[] channel) {
        int[] argb = cells.argb();
        for (int i = 0; i < channel.length; i++) channel[i] = (argb[i] >> shift & 0xFF) * (1f / 255);
    }

    /** The mean of each cell's pixels, 0 to 1. */
    private void averaged(Tile pixels, int shift, float[] channel) {
        float each = 1f / (255f * side * side);
        int[] argb = pixels.argb();
        IntStream.range(0, down).parallel().forEach(row -> {
            int[] sums = new int[across];
            for (int y = row * side; y < (row + 1) * side; y++) {
                for (int column = 0, i = y * pixels.width(); column < across; column++) {
                    int sum = 0;
                    for (int last = i + side; i < last; i++) sum += argb[i] >> shift & 0xFF;
                    sums[column] += sum;
                }
            }
            for (int column = 0; column < across; column++) channel[row * across + column] = sums[column] * each;
        });
    }

    /** What is painted in the cells, blurred, for the tile that they lie over. */
    public Tile blurred(Tile small) {
        int[] out = new int[like.width() * like.height()];
        float[] channel = new float[across * down];
        for (int shift = 0; shift < 32; shift += 8) {
            taken(small, shift, channel);
            between(smoothed(channel), out, shift);
        }
        return new Tile(like.x(), like.y(), like.width(), like.height(), out);
    }

    /** Cells covered so, 0 to 1, blurred: of each pixel of the tile 0 to 255. */
    public byte[] blurred(float[] cover) {
        int[] whole = new int[like.width() * like.height()];
        between(smoothed(cover), whole, 0);
        byte[] out = new byte[whole.length];
        for (int i = 0; i < out.length; i++) out[i] = (byte) whole[i];
        return out;
    }

    /** Row by row. */
    private float[][] smoothed(float[] cells) {
        float[][] rows = new float[down][];
        IntStream.range(0, down).parallel().forEach(y -> rows[y] = along(cells, y * across));
        float[][] out = new float[down][];
        IntStream.range(0, down).parallel().forEach(y -> out[y] = together(rows, y));
        return out;
    }

    /** A row: what lies so far to the left and to the right of each, with its share. */
    private float[] along(float[] cells, int start) {
        int half = kernel.length / 2;
        float[] wide = new float[across + 2 * half];
        System.arraycopy(cells, start, wide, half, across);
        float[] to = new float[across];
        float[] one = new float[across];
        float[] other = new float[across];
        for (int by = 0; by < kernel.length; by += 2) {
            boolean both = by + 1 < kernel.length;
            System.arraycopy(wide, by, one, 0, across);
            if (both) System.arraycopy(wide, by + 1, other, 0, across);
            add(to, one, kernel[by], other, both ? kernel[by + 1] : 0);
        }
        return to;
    }

    /** The rows around one, each with its share. */
    private float[] together(float[][] rows, int row) {
        int half = kernel.length / 2;
        float[] to = new float[across];
        int last = Math.min(down - 1, row + half);
        for (int j = Math.max(0, row - half); j <= last; j += 2) {
            boolean both = j < last;
            add(to, rows[j], kernel[j - row + half], rows[both ? j + 1 : j], both ? kernel[j + 1 - row + half] : 0);
        }
        return to;
    }

    /** Numbers at the same places of three arrays, two of them with a share: so Java's compiler adds up many at once. */
    private static void add(float[] to, float[] one, float share, float[] other, float shareOfOther) {
        for (int i = 0; i < to.length; i++) to[i] += share * one[i] + shareOfOther * other[i];
    }

    /** Between the middles of cells colours are mixed evenly; each pixel gets eight bits more. */
    private void between(float[][] cells, int[] out, int shift) {
        int[] columns = new int[like.width()];
        float[] shares = new float[like.width()];
        for (int x = 0; x < columns.length; x++) {
            float u = (like.x() + x + 0.5f - left) / side - 0.5f;
            columns[x] = (int) u;
            shares[x] = u - columns[x];
        }
        IntStream.range(0, like.height()).parallel().forEach(y -> {
            float v = (like.y() + y + 0.5f - top) / side - 0.5f;
            float[] above = cells[(int) v];
            float[] below = cells[(int) v + 1];
            float share = v - (int) v;
            float[] line = new float[across];
            for (int i = 0; i < across; i++) line[i] = (above[i] * (1 - share) + below[i] * share) * 255 + 0.5f;
            for (int x = 0, i = y * like.width(); x < columns.length; x++, i++) {
                float one = line[columns[x]];
                out[i] |= (int) (one + (line[columns[x] + 1] - one) * shares[x]) << shift;
            }
        });
    }
}
