package plainlantern.picture;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.lang.reflect.Array;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.IntStream;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.sheet.Light;
import plainlantern.treating.Alpha;
import plainlantern.treating.Curve;
import plainlantern.treating.Patch;

/**
 * Brings the pixels of an image to where an affine map puts them, filtered well both ways: Lanczos with three lobes when
 * it gets smaller, cubic convolution when it gets larger. What gets smaller is filtered as light, so that fine patterns keep their
 * brightness; what gets larger as stored (sRGB), where light would ring. Alpha is multiplied in.
 */
public final class Resample {
    private static final int STRIP = 48;
    /** White in sixteen bits. */
    private static final int DEEP = 0xFFFF;
    /** A reduction is done by averaging whole blocks until about this factor is left for the fine filter. */
    static final double LEFT_TO_FILTER = 1.8;
    /** By stored values, of 255: the light behind them, and themselves. */
    static final float[] LIGHT = new float[256];
    static final float[] STORED = new float[256];

    static {
        for (int i = 0; i < 256; i++) {
            LIGHT[i] = (float) (255 * Light.linear(i));
            STORED[i] = i;
        }
    }

    private Resample() {}

    /**
     * The pixels of {@code image} for the whole output pixels that {@code wanted} touches.
     *
     * @param image interleaved bytes, TYPE_3BYTE_BGR or TYPE_4BYTE_ABGR, or samples of sixteen bits in that order: the tile has as many
     * @param map   from image pixels to output pixels, both measured from the top left edge
     */
    public static Tile onto(BufferedImage image, Affine map, Box wanted) {
        Tile clear = Srgb.deep(image) ? Tile.over(wanted).deep() : Tile.over(wanted);
        if (map.equals(Affine.move(Math.rint(map.e()), Math.rint(map.f())))) return moved(image, (int) map.e(), (int) map.f(), clear);
        double slant = 1e-9 * (Math.abs(map.a()) + Math.abs(map.b()));
        if (Math.abs(map.b()) <= slant && Math.abs(map.c()) <= slant) {
            return straight(image, map, clear);
        }
        if (Math.abs(map.a()) <= slant && Math.abs(map.d()) <= slant) {
            Affine sideways = new Affine(map.b(), 0, 0, map.c(), map.f(), map.e());
            return transposed(straight(image, sideways, transposed(clear)));
        }
        return turned(image, map, clear);
    }

    /** The whole image at another size, to be treated. */
    static Patch patch(BufferedImage image, int width, int height) {
        return onto(image, Affine.scale((double) width / image.getWidth(), (double) height / image.getHeight()), new Box(0, 0, width,
                height))
                .patch(Affine.scale(1.0 / width, 1.0 / height));
    }

    /** The whole image at another size. */
    public static BufferedImage toSize(BufferedImage image, int width, int height) {
        Affine map = Affine.scale((double) width / image.getWidth(), (double) height / image.getHeight());
        return onto(image, map, new Box(0, 0, width, height)).image(image.getType());
    }

    /** The very pixels, moved by whole ones; beyond the edges those at the edges. */
    private static Tile moved(BufferedImage image, int across, int down, Tile tile) {
        if (Srgb.deep(image)) return movedDeep(image, across, down, tile);
        byte[] data = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
        int bands = image.getRaster().getNumBands();
        int width = image.getWidth();
        int left = Math.max(0, Math.min(tile.width(), across - tile.x()));
        int right = Math.max(left, Math.min(tile.width(), across + width - tile.x()));
        IntStream.range(0, tile.height()).parallel().forEach(row -> {
            int from = Math.max(0, Math.min(image.getHeight() - 1, tile.y() + row - down)) * width;
            int to = row * tile.width();
            if (right > left) copy(data, (from + tile.x() + left - across) * bands, bands, tile.argb(), to + left, to + right);
            for (int x = 0; x < left; x++) copy(data, from * bands, bands, tile.argb(), to + x, to + x + 1);
            for (int x = right; x < tile.width(); x++) copy(data, (from + width - 1) * bands, bands, tile.argb(), to + x, to + x + 1);
        });
        return tile;
    }

    private static void copy(byte[] data, int at, int bands, int[] argb, int from, int to) {
        if (bands == 3) {
            for (int i = from; i < to; i++, at += 3)
                argb[i] = 0xFF000000 | (data[at + 2] & 0xFF) << 16 | (data[at + 1] & 0xFF) << 8 | data[at] & 0xFF;
        } else {
            for (int i = from; i < to; i++, at += 4)
                argb[i] = Alpha.multiplied(data[at] << 24 | (data[at + 3] & 0xFF) << 16 | (data[at + 2] & 0xFF) << 8 | data[at + 1] & 0xFF);
        }
    }

    private static Tile movedDeep(BufferedImage image, int across, int down, Tile tile) {
        short[] data = (short[]) Srgb.samples(image.getRaster());
        int bands = image.getRaster().getNumBands();
        IntStream.range(0, tile.height()).parallel().forEach(row -> {
            float[] pixel = new float[4];
            int from = Math.max(0, Math.min(image.getHeight() - 1, tile.y() + row - down)) * image.getWidth();
            for (int x = 0; x < tile.width(); x++) {
                int at = (from + Math.max(0, Math.min(image.getWidth() - 1, tile.x() + x - across))) * bands;
                float alpha = bands == 3 ? 1 : (data[at++] & DEEP) / (float) DEEP;
                for (int i = 0; i < 3; i++) pixel[i] = (data[at + i] & DEEP) * alpha * 255 / DEEP;
                pixel[3] = alpha * 255;
                deep(pixel, 0, 4, false, tile, row * tile.width() + x);
            }
        });
        return tile;
    }

    private static Tile straight(BufferedImage image, Affine map, Tile tile) {
        int shrinkX = Math.max(1, (int) Math.floor(1 / Math.abs(map.a()) / LEFT_TO_FILTER));
        int shrinkY = Math.max(1, (int) Math.floor(1 / Math.abs(map.d()) / LEFT_TO_FILTER));
        boolean light = Math.min(Math.abs(map.a()), Math.abs(map.d())) < 1 - 1e-9;
        Source source = Source.of(image, shrinkX, shrinkY, reached(map, tile), light);
        Kernel across = new Kernel(tile.x(), tile.width(), map.a() * shrinkX, map.e() + map.a() * source.x(), source.width());
        Kernel down = new Kernel(tile.y(), tile.height(), map.d() * shrinkY, map.f() + map.d() * source.y(), source.height());
        int height = tile.height();
        IntStream.range(0, (height + STRIP - 1) / STRIP).parallel().forEach(strip ->
                strip(source, across, down, strip * STRIP, Math.min(height, (strip + 1) * STRIP), tile));
        return tile;
    }

    /** The part of the source that output pixels can draw on, with room for the filter. */
    private static Box reached(Affine map, Tile tile) {
        Path corners = Path.box(new Box(tile.x(), tile.y(), tile.width(), tile.height()));
        double room = 4 * Math.max(1, 1 / Math.min(map.xScale(), map.yScale())) + 4;
        return corners.mapped(map.inverse()).bounds().grown(room);
    }

    /** Rows of the tile, each from the source's rows first down, which is one multiplication a value, then across. */
    private static void strip(Source source, Kernel across, Kernel down, int from, int to, Tile tile) {
        int width = across.start.length;
        int bands = source.bands();
        Map<Integer, float[]> lines = new HashMap<>();
        float[] sum = new float[source.width() * bands];
        float[] out = new float[width * bands];
        for (int y = from; y < to; y++) {
            int first = down.start[y];
            int count = down.weights[y].length;
            lines.keySet().removeIf(line -> line < first || line >= first + count);
            Arrays.fill(sum, 0);
            for (int k = 0; k < count; k++) {
                float weight = down.weights[y][k];
                float[] line = lines.computeIfAbsent(first + k, source::line);
                for (int i = 0; i < sum.length; i++) sum[i] += weight * line[i];
            }
            if (bands == 3) rowOpaque(sum, across, out);
            else rowClear(sum, across, out);
            int at = y * width;
            if (tile.finer().isPresent()) for (int x = 0; x < width; x++) deep(out, x * bands, bands, source.light(), tile, at + x);
            else if (source.light()) for (int x = 0; x < width; x++) tile.argb()[at + x] = lit(out, x * bands, bands);
            else for (int x = 0; x < width; x++) tile.argb()[at + x] = bands == 3 ? opaque(out, x * 3) : clear(out, x * 4);
        }
    }

    private static void rowOpaque(float[] line, Kernel across, float[] out) {
        for (int x = 0, to = 0; x < across.start.length; x++, to += 3) {
            float[] weights = across.weights[x];
            float b = 0;
            float g = 0;
            float r = 0;
            for (int k = 0, at = across.start[x] * 3; k < weights.length; k++, at += 3) {
                float weight = weights[k];
                b += weight * line[at];
                g += weight * line[at + 1];
                r += weight * line[at + 2];
            }
            out[to] = b;
            out[to + 1] = g;
            out[to + 2] = r;
        }
    }

    private static void rowClear(float[] line, Kernel across, float[] out) {
        for (int x = 0; x < across.start.length; x++) {
            float[] weights = across.weights[x];
            for (int band = 0; band < 4; band++) {
                float sum = 0;
                for (int k = 0; k < weights.length; k++) sum += weights[k] * line[(across.start[x] + k) * 4 + band];
                out[x * 4 + band] = sum;
            }
        }
    }

    private static int opaque(float[] sum, int at) {
        return 0xFF000000 | level(sum[at + 2], 255) << 16 | level(sum[at + 1], 255) << 8 | level(sum[at], 255);
    }

    private static int clear(float[] sum, int at) {
        int alpha = level(sum[at + 3], 255);
        return alpha << 24 | level(sum[at + 2], alpha) << 16 | level(sum[at + 1], alpha) << 8 | level(sum[at], alpha);
    }

    /** A pixel whose colours are light. */
    private static int lit(float[] sum, int at, int bands) {
        if (bands == 3) return 0xFF000000 | Light.stored(sum[at + 2] / 255) << 16 | Light.stored(sum[at + 1] / 255) << 8
                | Light.stored(sum[at] / 255);
        int alpha = level(sum[at + 3], 255);
        if (alpha == 0) return 0;
        int out = alpha << 24;
        for (int i = 0; i < 3; i++) out |= Alpha.times(Light.stored(sum[at + i] / sum[at + 3]), alpha) << 8 * i;
        return out;
    }

    /** Sets a pixel of sixteen bits to sums of 255. */
    private static void deep(float[] sum, int at, int bands, boolean light, Tile tile, int i) {
        float alpha = bands == 3 ? 1 : Math.max(0, Math.min(1, sum[at + 3] / 255));
        int most = (int) (alpha * DEEP + 0.5f);
        int upper = most >> 8 << 24;
        int lower = (most & 0xFF) << 24;
        for (int k = 0; k < 3 && most > 0; k++) {
            float value = sum[at + k] / 255;
            if (light) value = Curve.stored(Math.max(0, value / alpha)) * alpha;
            int rounded = Math.max(0, Math.min(most, (int) (value * DEEP + 0.5f)));
            upper |= rounded >> 8 << 8 * k;
            lower |= (rounded & 0xFF) << 8 * k;
        }
        tile.argb()[i] = upper;
        tile.finer().orElseThrow()[i] = lower;
    }

    /** A row of an image: light, 0 to 255, alpha multiplied in; blue, green, red and, where there is one, alpha. */
    static float[] line(BufferedImage image, int row) {
        return Source.of(image, 1, 1, new Box(0, row, image.getWidth(), 1), true).line(0);
    }

    static int level(float value, int most) {
        int rounded = (int) (value + 0.5f);
        return rounded < 0 ? 0 : Math.min(rounded, most);
    }

    private static Tile transposed(Tile tile) {
        return new Tile(tile.y(), tile.x(), tile.height(), tile.width(), transposed(tile.argb(), tile.width()),
                tile.finer().map(finer -> transposed(finer, tile.width())));
    }

    private static int[] transposed(int[] pixels, int width) {
        int height = pixels.length / width;
        int[] out = new int[pixels.length];
        for (int y = 0; y < height; y++) for (int x = 0; x < width; x++) out[x * height + y] = pixels[y * width + x];
        return out;
    }

    /** First to the size it will have, upright, then turned by cubic convolution. */
    private static Tile turned(BufferedImage image, Affine map, Tile tile) {
        double sx = Math.min(1, map.xScale());
        double sy = Math.min(1, map.yScale());
        Box needed = reached(map, tile);
        double x0 = Math.max(0, needed.x());
        double y0 = Math.max(0, needed.y());
        double x1 = Math.min(image.getWidth(), needed.right());
        double y1 = Math.min(image.getHeight(), needed.bottom());
        if (x1 <= x0 || y1 <= y0) return tile;
        Tile sized = onto(image, Affine.scale(sx, sy), Box.between(x0 * sx, y0 * sy, x1 * sx, y1 * sy));
        Affine back = Affine.scale(sx, sy).after(map.inverse());
        IntStream.range(0, tile.height()).parallel().forEach(y -> {
            for (int x = 0; x < tile.width(); x++) {
                Point at = back.apply(new Point(tile.x() + x + 0.5, tile.y() + y + 0.5));
                float[] sum = cubic(sized, at.x() - sized.x() - 0.5, at.y() - sized.y() - 0.5);
                if (tile.finer().isEmpty()) tile.argb()[y * tile.width() + x] = clear(sum, 0);
                else deep(sum, 0, 4, false, tile, y * tile.width() + x);
            }
        });
        return tile;
    }

    private static float[] cubic(Tile tile, double x, double y) {
        int x0 = (int) Math.floor(x) - 1;
        int y0 = (int) Math.floor(y) - 1;
        float[] sum = new float[4];
        for (int j = 0; j < 4; j++) {
            float wy = (float) Kernel.catmullRom(y - y0 - j);
            int row = Math.max(0, Math.min(tile.height() - 1, y0 + j)) * tile.width();
            for (int i = 0; i < 4; i++) {
                float weight = wy * (float) Kernel.catmullRom(x - x0 - i);
                int from = row + Math.max(0, Math.min(tile.width() - 1, x0 + i));
                int pixel = tile.argb()[from];
                sum[0] += weight * (pixel & 0xFF);
                sum[1] += weight * (pixel >> 8 & 0xFF);
                sum[2] += weight * (pixel >> 16 & 0xFF);
                sum[3] += weight * (pixel >>> 24);
                if (tile.finer().isPresent()) finer(tile.finer().get()[from], pixel, weight, sum);
            }
        }
        return sum;
    }

    /** Adds what the lower eight bits of a pixel make of 255, beside the upper ones. */
    private static void finer(int lower, int upper, float weight, float[] sum) {
        for (int k = 0; k < 4; k++) sum[k] += weight * ((lower >>> 8 * k & 0xFF) - (upper >>> 8 * k & 0xFF)) / 257;
    }

    /**
     * The source pixels, averaged in blocks of {@code shrinkX} by {@code shrinkY} on the way (a large reduction needs no
     * wide filter on every pixel), from column {@code x} and row {@code y} of the image on.
     */
    private record Source(Object samples, boolean light, int stride, int bands, int shrinkX, int shrinkY, int x, int y, int width,
            int height) {
        static Source of(BufferedImage image, int shrinkX, int shrinkY, Box reached, boolean light) {
            int bands = image.getRaster().getNumBands();
            int x = (int) Math.max(0, Math.min(image.getWidth() - 1, Math.floor(reached.x()))) / shrinkX * shrinkX;
            int y = (int) Math.max(0, Math.min(image.getHeight() - 1, Math.floor(reached.y()))) / shrinkY * shrinkY;
            int right = (int) Math.min(image.getWidth(), Math.max(x + 1, Math.ceil(reached.right())));
            int bottom = (int) Math.min(image.getHeight(), Math.max(y + 1, Math.ceil(reached.bottom())));
            return new Source(Srgb.samples(image.getRaster()), light, image.getWidth(), bands,
                    shrinkX, shrinkY, x, y, Math.max(1, (right - x) / shrinkX), Math.max(1, (bottom - y) / shrinkY));
        }

        /** One row of averaged pixels: blue, green, red and, with four bands, alpha multiplied into the others. */
        float[] line(int row) {
            float[] out = new float[width * bands];
            int rows = Math.min(shrinkY, Array.getLength(samples) / bands / stride - y - row * shrinkY);
            int columns = Math.min(shrinkX, stride - x);
            for (int j = 0; j < rows; j++) {
                int at = ((y + row * shrinkY + j) * stride + x) * bands;
                if (samples instanceof short[] deep) addDeep(out, deep, at, columns);
                else add(out, (byte[]) samples, at, columns);
            }
            float share = 1f / (columns * rows);
            if (share != 1) for (int i = 0; i < out.length; i++) out[i] *= share;
            return out;
        }

        private void add(float[] out, byte[] data, int at, int columns) {
            float[] levels = light ? LIGHT : STORED;
            if (bands == 3 && columns == 2) addOpaquePairs(out, data, levels, at);
            else if (bands == 3) addOpaque(out, data, levels, at, columns);
            else addClear(out, data, levels, at, columns);
        }

        private static void addOpaque(float[] out, byte[] data, float[] levels, int from, int columns) {
            int at = from;
            for (int i = 0; i < out.length; i += 3) {
                float b = levels[data[at] & 0xFF];
                float g = levels[data[at + 1] & 0xFF];
                float r = levels[data[at + 2] & 0xFF];
                at += 3;
                for (int k = 1; k < columns; k++, at += 3) {
                    b += levels[data[at] & 0xFF];
                    g += levels[data[at + 1] & 0xFF];
                    r += levels[data[at + 2] & 0xFF];
                }
                out[i] += b;
                out[i + 1] += g;
                out[i + 2] += r;
            }
        }

        /** As {@link #addOpaque} for blocks two pixels wide, the commonest by far. */
        private static void addOpaquePairs(float[] out, byte[] data, float[] levels, int from) {
            int at = from;
            for (int i = 0; i < out.length; i += 3, at += 6) {
                out[i] += levels[data[at] & 0xFF] + levels[data[at + 3] & 0xFF];
                out[i + 1] += levels[data[at + 1] & 0xFF] + levels[data[at + 4] & 0xFF];
                out[i + 2] += levels[data[at + 2] & 0xFF] + levels[data[at + 5] & 0xFF];
            }
        }

        private void addDeep(float[] out, short[] data, int from, int columns) {
            float[] levels = light ? Deep.LIGHT : Deep.STORED;
            int at = from;
            for (int i = 0; i < out.length; i += bands) {
                for (int k = 0; k < columns; k++, at += 3) {
                    float alpha = bands == 3 ? 1 : Deep.STORED[data[at++] & DEEP] / 255;
                    for (int c = 0; c < 3; c++) out[i + c] += levels[data[at + c] & DEEP] * alpha;
                    if (bands == 4) out[i + 3] += alpha * 255;
                }
            }
        }

        private static void addClear(float[] out, byte[] data, float[] levels, int from, int columns) {
            int at = from;
            for (int i = 0; i < out.length; i += 4) {
                for (int k = 0; k < columns; k++, at += 4) {
                    int alpha = data[at] & 0xFF;
                    out[i] += levels[data[at + 1] & 0xFF] * alpha / 255f;
                    out[i + 1] += levels[data[at + 2] & 0xFF] * alpha / 255f;
                    out[i + 2] += levels[data[at + 3] & 0xFF] * alpha / 255f;
                    out[i + 3] += alpha;
                }
            }
        }
    }

    /** As {@link #LIGHT} and {@link #STORED}, by values of sixteen bits. */
    private static final class Deep {
        static final float[] LIGHT = new float[DEEP + 1];
        static final float[] STORED = new float[DEEP + 1];

        static {
            for (int i = 0; i <= DEEP; i++) {
                LIGHT[i] = (float) (255 * Light.behind(i / (double) DEEP));
                STORED[i] = i * 255f / DEEP;
            }
        }
    }
}
