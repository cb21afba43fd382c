package plainlantern.picture;

import com.sun.jna.Memory;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.lang.ref.SoftReference;
import java.util.Optional;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.Semaphore;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import plainlantern.sheet.Light;

/** Pixels that a native decoder makes beside the heap, which never holds more of them than are wanted. */
final class NativePixels {
    /** So many pixels are decoded, and made smaller as light; of more, the decoder halves first, which averages stored values. */
    static final long WHOLE = 32_000_000;
    /** Rows of a picture with transparency that are made smaller at once. */
    private static final int ROWS = 16;
    private static final int WHITE = 0xFFFF;
    /** By stored values the light behind them, of {@link #WHITE}; and the way back. */
    private static final int[] LIGHT = new int[256];
    private static final byte[] STORED = new byte[WHITE + 1];

    static {
        for (int i = 0; i < LIGHT.length; i++) LIGHT[i] = (int) Math.round(WHITE * Light.linear(i));
        for (int i = 0; i <= WHITE; i++) STORED[i] = (byte) Light.stored(i / (float) WHITE);
    }

    /** So many at once: each of them takes much memory beside the heap, so whoever has little to spare sets fewer than processors. */
    private static final Semaphore DECODING = new Semaphore(Math.max(1, Integer.getInteger("lantern.decoding",
            Runtime.getRuntime().availableProcessors())));

    /** Memory of earlier decodings that were not very large, no more of them than there were at once. */
    private static final Queue<SoftReference<Memory>> ROOMS = new ConcurrentLinkedQueue<>();

    private NativePixels() {}

    /** What a decoder makes of a file that it finds in native memory; few at once. */
    static Optional<BufferedImage> of(byte[] file, Function<Memory, Optional<BufferedImage>> decoder) {
        DECODING.acquireUninterruptibly();
        try (Memory bytes = new Memory(file.length)) {
            bytes.write(0, file, 0, file.length);
            return decoder.apply(bytes);
        } finally {
            DECODING.release();
        }
    }

    /** By how much a decoder divides the sides of a picture that is wanted {@code shrink} times as small. */
    static int halved(int width, int height, int shrink) {
        int by = 1;
        while (by < shrink && (long) width * height / ((long) by * by) > WHOLE) by *= 2;
        return by;
    }

    /**
     * Pixels that a decoder writes row by row, and the mean light of blocks of them; what is left at the right and at the bottom makes
     * blocks, too. Empty where it did not decode them.
     *
     * @param alpha whether it writes blue, green, red and alpha for each, or the first three alone
     * @param by    the side of a block
     */
    static Optional<BufferedImage> image(int across, int down, boolean alpha, int by, Predicate<Memory> decoded) {
        Memory pixels = room((long) across * down * (alpha ? 4 : 3));
        try {
            if (!decoded.test(pixels)) return Optional.empty();
            return Optional.of(alpha ? reduced(pixels, across, down, by) : averaged(pixels, across, down, by));
        } finally {
            if (pixels.size() <= 4 * WHOLE) ROOMS.add(new SoftReference<>(pixels));
            else pixels.close();
        }
    }

    private static BufferedImage reduced(Memory pixels, int across, int down, int by) {
        if (by == 1) return rows(pixels, across, 0, down);
        Reduction smaller = new Reduction(across, down, by);
        for (int y = 0; y < down; y += ROWS) smaller.add(rows(pixels, across, y, Math.min(ROWS, down - y)));
        return smaller.image();
    }

    private static BufferedImage rows(Memory pixels, int across, int from, int count) {
        BufferedImage rows = new BufferedImage(across, count, BufferedImage.TYPE_4BYTE_ABGR);
        byte[] abgr = ((DataBufferByte) rows.getRaster().getDataBuffer()).getData();
        long start = (long) from * across * 4;
        // Alpha is a pixel's last byte there, and the first one here.
        pixels.read(start, abgr, 1, abgr.length - 1);
        for (int i = 0; i < abgr.length - 4; i += 4) abgr[i] = abgr[i + 4];
        abgr[abgr.length - 4] = pixels.getByte(start + abgr.length - 1);
        return rows;
    }

    /** Memory for so many bytes: that of an earlier decoding, which no system call has to clear, or new. */
    private static Memory room(long bytes) {
        for (SoftReference<Memory> there = ROOMS.poll(); there != null; there = ROOMS.poll()) {
            Memory room = there.get();
            if (room != null && room.size() >= bytes && room.size() <= 2 * bytes) return room;
            if (room != null) room.close();
        }
        return new Memory(bytes);
    }

    private static BufferedImage averaged(Memory pixels, int across, int down, int by) {
        int width = Reduction.smaller(across, by);
        int height = Reduction.smaller(down, by);
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_3BYTE_BGR);
        byte[] out = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
        if (by == 1) {
            pixels.read(0, out, 0, out.length);
            return image;
        }
        IntStream.range(0, height).parallel().forEach(y -> {
            int rows = Math.min(by, down - y * by);
            byte[] row = new byte[across * 3];
            int[] sum = new int[width * 3];
            for (int j = 0; j < rows; j++) {
                pixels.read(((long) y * by + j) * row.length, row, 0, row.length);
                if (by == 2) pairs(row, sum);
                else blocks(row, by, sum);
            }
            int last = across - (width - 1) * by;
            stored(sum, 0, sum.length - 3, rows * by, out, y * width * 3);
            stored(sum, sum.length - 3, sum.length, rows * last, out, y * width * 3);
        });
        return image;
    }

    /** Adds the light of two pixels each; the last one may stand alone. */
    private static void pairs(byte[] row, int[] sum) {
        int whole = row.length / 6 * 3;
        for (int to = 0, at = 0; to < whole; to += 3, at += 6) {
            sum[to] += LIGHT[row[at] & 0xFF] + LIGHT[row[at + 3] & 0xFF];
            sum[to + 1] += LIGHT[row[at + 1] & 0xFF] + LIGHT[row[at + 4] & 0xFF];
            sum[to + 2] += LIGHT[row[at + 2] & 0xFF] + LIGHT[row[at + 5] & 0xFF];
        }
        for (int to = whole; to < sum.length; to++) sum[to] += LIGHT[row[whole + to] & 0xFF];
    }

    private static void blocks(byte[] row, int by, int[] sum) {
        for (int to = 0, at = 0; to < sum.length; to += 3) {
            int blue = 0;
            int green = 0;
            int red = 0;
            for (int end = Math.min(row.length, at + by * 3); at < end; at += 3) {
                blue += LIGHT[row[at] & 0xFF];
                green += LIGHT[row[at + 1] & 0xFF];
                red += LIGHT[row[at + 2] & 0xFF];
            }
            sum[to] += blue;
            sum[to + 1] += green;
            sum[to + 2] += red;
        }
    }

    /** The values behind sums of the light of so many pixels. */
    private static void stored(int[] sum, int from, int to, int count, byte[] out, int at) {
        if (Integer.bitCount(count) == 1) {
            int shift = Integer.numberOfTrailingZeros(count);
            for (int i = from; i < to; i++) out[at + i] = STORED[sum[i] >> shift];
        } else {
            for (int i = from; i < to; i++) out[at + i] = STORED[sum[i] / count];
        }
    }
}
