package plainlantern.rendering;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import plainlantern.picture.Cells;
import plainlantern.picture.Tile;

/** How much of each pixel is covered after Gaussian blur, see {@link Cells}. */
final class Blur {
    private static final int PARTS = 4;

    private Blur() {}

    /** The pixels beyond a covered one that a curve of that standard deviation still reaches. */
    static double reach(double deviation) {
        return 3.5 * deviation + 1;
    }

    /**
     * A form's cover in the pixels of {@code like}, row by row, 0 to 255.
     *
     * @param deviation pixels
     */
    static byte[] of(Shape form, double deviation, Tile like) {
        Cells cells = new Cells(deviation, like);
        // A cell is painted in up to so many parts each way: small forms in very large cells would come out a little wrong.
        int parts = Math.min(cells.side(), PARTS);
        AffineTransform toParts = AffineTransform.getScaleInstance((double) parts / cells.side(), (double) parts / cells.side());
        toParts.translate(-cells.left(), -cells.top());
        int width = cells.across() * parts;
        byte[] mask = Shapes2D.mask(new Tile(0, 0, width, cells.down() * parts, new int[0]), toParts.createTransformedShape(form));
        float[] cover = new float[cells.across() * cells.down()];
        float each = 1f / (255f * parts * parts);
        for (int i = 0; i < mask.length; i++) cover[i / width / parts * cells.across() + i % width / parts] += (mask[i] & 0xFF) * each;
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
        float[] cover = new float[cells.across() * cells.down()];
        float each = 1f / (255f * cells.side() * cells.side());
        for (int i = 0; i < alpha.length; i++) {
            int x = Math.floorDiv(paint.x() - room + i % width + dx - cells.left(), cells.side());
            int y = Math.floorDiv(paint.y() - room + i / width + dy - cells.top(), cells.side());
            if (x >= 0 && x < cells.across() && y >= 0 && y < cells.down()) cover[y * cells.across() + x] += (alpha[i] & 0xFF) * each;
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
}
