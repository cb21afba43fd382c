package plainlantern.picture;

import com.sun.jna.Library;
import com.sun.jna.Memory;
import com.sun.jna.Native;
import com.sun.jna.NativeLong;
import com.sun.jna.Pointer;
import com.sun.jna.ptr.IntByReference;
import com.sun.jna.ptr.NativeLongByReference;
import com.sun.jna.ptr.PointerByReference;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.lang.ref.SoftReference;
import java.util.Optional;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.Semaphore;
import java.util.stream.IntStream;
import plainlantern.sheet.Light;

/**
 * JPEGs decoded by libjpeg-turbo where the machine has it (Debian's package libturbojpeg0): several times as fast, and the heap never
 * holds more pixels than are wanted. Without it, or for a file that it does not simply decode,
 * the answer is empty and the general reader has to do.
 */
final class FastJpeg {
    private static final int BGR = 1;
    private static final int FIRST_CMYK = 3;
    private static final int HALF_CHROMA = 2;
    /** So many pixels are decoded, and made smaller as light; of more, the decoder halves first, which averages stored values. */
    private static final long WHOLE = 32_000_000;
    private static final int WHITE = 0xFFFF;
    /** By stored values the light behind them, of {@link #WHITE}; and the way back. */
    private static final int[] LIGHT = new int[256];
    private static final byte[] STORED = new byte[WHITE + 1];

    static {
        for (int i = 0; i < LIGHT.length; i++) LIGHT[i] = (int) Math.round(WHITE * Light.linear(i));
        for (int i = 0; i <= WHITE; i++) STORED[i] = (byte) Light.stored(i / (float) WHITE);
    }

    private static final Optional<Turbo> TURBO = load();
    /** So many at once: each of them takes much memory beside the heap, so whoever has little to spare sets fewer than processors. */
    private static final Semaphore DECODING = new Semaphore(Math.max(1, Integer.getInteger("lantern.decoding",
            Runtime.getRuntime().availableProcessors())));

    /** Memory of earlier decodings, no more of them than there were at once. */
    private static final Queue<SoftReference<Memory>> ROOMS = new ConcurrentLinkedQueue<>();

    private FastJpeg() {}

    /** The part of libjpeg-turbo's TurboJPEG API 2 that is used. */
    interface Turbo extends Library {
        Pointer tjInitDecompress();

        int tjDecompressHeader3(Pointer handle, Memory jpeg, NativeLong size, IntByReference width, IntByReference height,
                                IntByReference subsampling, IntByReference colours);

        int tjDecompress2(Pointer handle, Memory jpeg, NativeLong size, Memory out, int width, int pitch, int height,
                int layout, int flags);

        Pointer tjInitCompress();

        int tjCompress2(Pointer handle, Memory pixels, int width, int pitch, int height, int layout, PointerByReference jpeg,
                NativeLongByReference size, int subsampling, int quality, int flags);

        void tjFree(Pointer jpeg);

        int tjDestroy(Pointer handle);
    }

    private static Optional<Turbo> load() {
        try {
            return Optional.of(Native.load("turbojpeg", Turbo.class));
        } catch (UnsatisfiedLinkError e) {
            return Optional.empty();
        }
    }

    static boolean available() {
        return TURBO.isPresent();
    }

    /**
     * The picture as stored, its sides divided by {@code shrink} and rounded up, TYPE_3BYTE_BGR.
     *
     * @param shrink 1, 2, 4 or 8
     */
    static Optional<BufferedImage> decode(byte[] jpeg, int shrink) {
        if (TURBO.isEmpty()) return Optional.empty();
        Turbo turbo = TURBO.get();
        Pointer handle = turbo.tjInitDecompress();
        if (handle == null) return Optional.empty();
        DECODING.acquireUninterruptibly();
        try (Memory file = new Memory(jpeg.length)) {
            file.write(0, jpeg, 0, jpeg.length);
            return decode(turbo, handle, file, new NativeLong(jpeg.length), shrink);
        } finally {
            DECODING.release();
            turbo.tjDestroy(handle);
        }
    }

    /**
     * A JPEG of colours at half the resolution (4:2:0), without a profile.
     *
     * @param image   TYPE_3BYTE_BGR
     * @param quality 1 to 100
     */
    static Optional<byte[]> encode(BufferedImage image, int quality) {
        if (TURBO.isEmpty()) return Optional.empty();
        Turbo turbo = TURBO.get();
        Pointer handle = turbo.tjInitCompress();
        if (handle == null) return Optional.empty();
        byte[] pixels = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
        PointerByReference jpeg = new PointerByReference();
        NativeLongByReference size = new NativeLongByReference();
        try (Memory in = new Memory(pixels.length)) {
            in.write(0, pixels, 0, pixels.length);
            int width = image.getWidth();
            int failed = turbo.tjCompress2(handle, in, width, width * 3, image.getHeight(), BGR, jpeg, size, HALF_CHROMA, quality, 0);
            return failed != 0 ? Optional.empty() : Optional.of(jpeg.getValue().getByteArray(0, size.getValue().intValue()));
        } finally {
            if (jpeg.getValue() != null) turbo.tjFree(jpeg.getValue());
            turbo.tjDestroy(handle);
        }
    }

    private static Optional<BufferedImage> decode(Turbo turbo, Pointer handle, Memory file, NativeLong size, int shrink) {
        IntByReference width = new IntByReference();
        IntByReference height = new IntByReference();
        IntByReference colours = new IntByReference();
        if (turbo.tjDecompressHeader3(handle, file, size, width, height, new IntByReference(), colours) != 0
                || colours.getValue() >= FIRST_CMYK) return Optional.empty();
        int halved = halved((long) width.getValue() * height.getValue(), shrink);
        int across = (width.getValue() + halved - 1) / halved;
        int down = (height.getValue() + halved - 1) / halved;
        Memory out = room((long) across * down * 3);
        // A warning, such as a file that is cut off, is no success either.
        if (turbo.tjDecompress2(handle, file, size, out, across, across * 3, down, BGR, 0) != 0) return Optional.empty();
        BufferedImage image = averaged(out, across, down, shrink / halved);
        ROOMS.add(new SoftReference<>(out));
        return Optional.of(image);
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

    /** By how much the decoder divides the sides of a picture that is wanted {@code shrink} times as small. */
    private static int halved(long pixels, int shrink) {
        int by = 1;
        while (by < shrink && pixels / ((long) by * by) > WHOLE) by *= 2;
        return by;
    }

    /** The mean light of blocks of {@code by} pixels each way; what is left at the right and at the bottom makes blocks, too. */
    private static BufferedImage averaged(Memory pixels, int across, int down, int by) {
        int width = (across + by - 1) / by;
        int height = (down + by - 1) / by;
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
