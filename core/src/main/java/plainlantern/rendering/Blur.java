package plainlantern.rendering;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.util.Arrays;
import java.util.stream.IntStream;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.picture.Tile;

/**
 * How much of each pixel is covered after Gaussian blur. A wide blur is computed on cells of several pixels, whose averaging and the
 * interpolation between them are a part of the curve: together they have just its variance.
 */
final class Blur {
    private static final int PARTS = 4;

    private Blur() {}

    /** The pixels beyond a covered one that a curve of that standard deviation still reaches. */
    static double reach(double deviation) {
        return 3.5 * deviation + 1;
    }

    /** The pixels around some that are looked at to blur those. */
    static int room(double deviation) {
        int side = Math.max(1, (int) (deviation * Cells.CELL));
        return (int) Math.ceil(3.5 * deviation) + 6 * side + 2;
    }

    /** A smaller painting at the size of {@code like}, moved by whole pixels: what lies between its pixels is mixed evenly. */
    static Tile larger(Tile small, double share, Tile like, int[] by) {
        Tile out = new Tile(like.x(), like.y(), like.width(), like.height(), new int[like.width() * like.height()]);
        IntStream.range(0, like.height()).parallel().forEach(y -> {
            for (int x = 0; x < like.width(); x++) out.argb()[y * like.width() + x] = between(small,
                    (like.x() + x - by[0] + 0.5) * share, (like.y() + y - by[1] + 0.5) * share);
        });
        return out;
    }

    /** The colour at a place, pixels from where the tile's are counted. */
    static int between(Tile tile, double x, double y) {
        double u = x - 0.5 - tile.x();
        double v = y - 0.5 - tile.y();
        int column = Math.max(0, Math.min(tile.width() - 2, (int) Math.floor(u)));
        int row = Math.max(0, Math.min(tile.height() - 2, (int) Math.floor(v)));
        double across = Math.max(0, Math.min(1, u - column));
        double down = Math.max(0, Math.min(1, v - row));
        int[] pixels = tile.argb();
        int at = row * tile.width() + column;
        int below = at + tile.width();
        int out = 0;
        for (int shift = 0; shift < 32; shift += 8) {
            double upper = mixed(pixels[at] >> shift & 0xFF, pixels[at + 1] >> shift & 0xFF, across);
            double lower = mixed(pixels[below] >> shift & 0xFF, pixels[below + 1] >> shift & 0xFF, across);
            out |= (int) (mixed(upper, lower, down) + 0.5) << shift;
        }
        return out;
    }

    private static double mixed(double one, double other, double share) {
        return one + (other - one) * share;
    }

    /**
     * A form's cover in the pixels of {@code like}, row by row, 0 to 255.
     *
     * @param deviation pixels
     */
    static byte[] of(Shape form, double deviation, Tile like) {
        Cells cells = new Cells(deviation, like);
        // A cell is painted in up to so many parts each way: small forms in very large cells would come out a little wrong.
        int parts = Math.min(cells.side, PARTS);
        AffineTransform toParts = AffineTransform.getScaleInstance((double) parts / cells.side, (double) parts / cells.side);
        toParts.translate(-cells.left, -cells.top);
        int width = cells.across * parts;
        byte[] mask = Shapes2D.mask(new Tile(0, 0, width, cells.down * parts, new int[0]), toParts.createTransformedShape(form));
        float[] cover = new float[cells.across * cells.down];
        float each = 1f / (255f * parts * parts);
        for (int i = 0; i < mask.length; i++) cover[i / width / parts * cells.across + i % width / parts] += (mask[i] & 0xFF) * each;
        return cells.blurred(cover);
    }

    /**
     * The same of what is painted in {@code paint}, by its alpha, moved and grown by whole pixels; shrunk where {@code grow} is negative.
     */
    static byte[] of(Tile paint, int dx, int dy, int grow, double deviation, Tile like) {
        Cells cells = new Cells(deviation, like);
        byte[] alpha = grown(paint, grow);
        int room = Math.max(0, grow);
        int width = paint.width() + 2 * room;
        float[] cover = new float[cells.across * cells.down];
        float each = 1f / (255f * cells.side * cells.side);
        for (int i = 0; i < alpha.length; i++) {
            int x = Math.floorDiv(paint.x() - room + i % width + dx - cells.left, cells.side);
            int y = Math.floorDiv(paint.y() - room + i / width + dy - cells.top, cells.side);
            if (x >= 0 && x < cells.across && y >= 0 && y < cells.down) cover[y * cells.across + x] += (alpha[i] & 0xFF) * each;
        }
        return cells.blurred(cover);
    }

    /**
     * The highest alpha within so many pixels along both axes, or the lowest where {@code by} is negative; a tile larger by that on each
     * side.
     */
    private static byte[] grown(Tile paint, int by) {
        int room = Math.max(0, by);
        int width = paint.width() + 2 * room;
        int height = paint.height() + 2 * room;
        byte[] out = new byte[width * height];
        for (int y = 0; y < paint.height(); y++) {
            for (int x = 0; x < paint.width(); x++)
                out[(y + room) * width + x + room] = (byte) (paint.argb()[y * paint.width() + x] >>> 24);
        }
        if (by == 0) return out;
        for (int y = 0; y < height; y++) most(out, y * width, 1, width, by);
        for (int x = 0; x < width; x++) most(out, x, width, height, by);
        return out;
    }

    /** The highest (or lowest) within reach along one line, in two passes over blocks (van Herk 1992, Gil and Werman 1993). */
    private static void most(byte[] values, int from, int step, int count, int by) {
        boolean highest = by > 0;
        int reach = Math.abs(by);
        int block = 2 * reach + 1;
        int padded = (count + 2 * reach + block - 1) / block * block;
        int[] line = new int[padded];
        for (int i = 0; i < count; i++) {
            int value = values[from + i * step] & 0xFF;
            line[i + reach] = highest ? value : 255 - value;
        }
        // What lies beyond is clear: for the lowest that is the highest of the inverse.
        if (!highest) for (int i = 0; i < padded; i++) if (i < reach || i >= count + reach) line[i] = 255;
        int[] ahead = line.clone();
        int[] back = line.clone();
        for (int i = 0; i < padded; i++) if (i % block != 0) ahead[i] = Math.max(ahead[i], ahead[i - 1]);
        for (int i = padded - 2; i >= 0; i--) if ((i + 1) % block != 0) back[i] = Math.max(back[i], back[i + 1]);
        for (int i = 0; i < count; i++) {
            int value = Math.max(back[i], ahead[i + 2 * reach]);
            values[from + i * step] = (byte) (highest ? value : 255 - value);
        }
    }

    /** Square cells over a tile and as far around it as the curve reaches. */
    static final class Cells {
        /** A cell's side is at most this share of the standard deviation. */
        private static final double CELL = 1 / 3.0;

        private final Tile like;
        private final int side;
        private final int left;
        private final int top;
        private final int across;
        private final int down;
        private final float[] kernel;

        Cells(double deviation, Tile like) {
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
        Affine map() {
            return Affine.scale(1.0 / side, 1.0 / side).after(Affine.move(-left, -top));
        }

        /** All cells. */
        Box box() {
            return new Box(0, 0, across, down);
        }

        /** All cells, in output pixels. */
        Box pixels() {
            return new Box(left, top, across * side, down * side);
        }

        /** Pixels that the cells lie over, all of them, blurred for the tile. */
        Tile blurredPixels(Tile pixels) {
            int[] out = new int[like.width() * like.height()];
            float each = 1f / (255f * side * side);
            boolean opaque = Arrays.stream(pixels.argb()).allMatch(pixel -> pixel >>> 24 == 255);
            if (opaque) Arrays.fill(out, 0xFF000000);
            for (int bits = 0; bits < (opaque ? 24 : 32); bits += 8) {
                int shift = bits;
                float[] channel = new float[across * down];
                for (int y = 0, i = 0; y < pixels.height(); y++) {
                    int row = y / side * across;
                    for (int x = 0; x < pixels.width(); x++, i++) channel[row + x / side] += (pixels.argb()[i] >> shift & 0xFF) * each;
                }
                byte[] done = blurred(channel);
                for (int i = 0; i < out.length; i++) out[i] |= (done[i] & 0xFF) << shift;
            }
            return new Tile(like.x(), like.y(), like.width(), like.height(), out);
        }

        /** What is painted in the cells, blurred, for the tile that they lie over. */
        Tile blurred(Tile small) {
            int[] out = new int[like.width() * like.height()];
            float[] channel = new float[across * down];
            for (int shift = 0; shift < 32; shift += 8) {
                for (int i = 0; i < channel.length; i++) channel[i] = (small.argb()[i] >> shift & 0xFF) / 255f;
                byte[] done = blurred(channel);
                for (int i = 0; i < out.length; i++) out[i] |= (done[i] & 0xFF) << shift;
            }
            return new Tile(like.x(), like.y(), like.width(), like.height(), out);
        }

        byte[] blurred(float[] cover) {
            float[] rows = new float[cover.length];
            IntStream.range(0, down).parallel().forEach(y -> along(cover, rows, y * across, across));
            float[] out = new float[cover.length];
            IntStream.range(0, down).parallel().forEach(y -> together(rows, out, y));
            return between(out);
        }

        /** A row: what lies so far to the left and to the right of each, with its share. */
        private void along(float[] from, float[] to, int start, int count) {
            int half = kernel.length / 2;
            for (int by = -half; by <= half; by++) {
                float share = kernel[by + half];
                int last = start + Math.min(count, count - by);
                for (int i = start + Math.max(0, -by); i < last; i++) to[i] += share * from[i + by];
            }
        }

        /** The rows around one, each with its share. */
        private void together(float[] from, float[] to, int row) {
            int half = kernel.length / 2;
            int at = row * across;
            for (int j = Math.max(0, row - half); j <= Math.min(down - 1, row + half); j++) {
                float share = kernel[j - row + half];
                int other = j * across;
                for (int x = 0; x < across; x++) to[at + x] += share * from[other + x];
            }
        }

        private byte[] between(float[] cells) {
            byte[] out = new byte[like.width() * like.height()];
            IntStream.range(0, like.height()).parallel().forEach(y -> {
                float v = (like.y() + y + 0.5f - top) / side - 0.5f;
                int row = (int) v;
                float fy = v - row;
                for (int x = 0; x < like.width(); x++) {
                    float u = (like.x() + x + 0.5f - left) / side - 0.5f;
                    int column = (int) u;
                    float fx = u - column;
                    int at = row * across + column;
                    float upper = cells[at] * (1 - fx) + cells[at + 1] * fx;
                    float lower = cells[at + across] * (1 - fx) + cells[at + across + 1] * fx;
                    out[y * like.width() + x] = (byte) ((upper * (1 - fy) + lower * fy) * 255 + 0.5f);
                }
            });
            return out;
        }
    }
}
