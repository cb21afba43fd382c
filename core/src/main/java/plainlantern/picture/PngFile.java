package plainlantern.picture;

import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import java.util.zip.Adler32;
import java.util.zip.CRC32;
import java.util.zip.Deflater;

/**
 * PNG (W3C, third edition) written as its rows come, so that none but a few of them are in memory; pieces are packed beside each other,
 * each
 * with what stands before it as its dictionary. No library at hand writes so without the whole image.
 */
final class PngFile {
    private static final byte[] SIGNATURE = {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n'};
    private static final int RGB = 2;
    private static final int RGBA = 6;
    /** Deflate level: beyond this, files of photographs hardly shrink and take longer (measured, docs/performance.md). */
    private static final int LEVEL = 2;
    private static final int PIECE = 1 << 18;
    private static final int WINDOW = 1 << 15;
    /** Pieces that are packed at once. */
    private static final int AHEAD = 1 + Runtime.getRuntime().availableProcessors();
    /** Filters are tried on runs of so many bytes … */
    private static final int RUN = 192;
    /** … of which every so manieth. */
    private static final int EVERY = 10;
    private static final int FILTERS = 5;
    /** So many of which some rows are filtered beside others. */
    private static final int PARTS = 16;
    private static final int UP = 2;

    private final Rows rows;
    private final DataOutputStream out;
    private final int step;
    private final int stride;
    private final Adler32 sum = new Adler32();
    private final Deque<CompletableFuture<byte[]>> ahead = new ArrayDeque<>();
    private final boolean small;

    private PngFile(Rows rows, OutputStream out) {
        this.rows = rows;
        this.out = new DataOutputStream(out);
        step = rows.opaque() ? 3 : 4;
        stride = Math.multiplyExact(rows.width(), step);
        small = (long) stride * rows.height() <= PIECE;
    }

    /**
     * With pHYs (pixels a metre, rounded) and sRGB chunks; the stream stays open.
     *
     * @param comment for a tEXt chunk "Comment", in Latin-1; empty for none
     */
    static void write(Rows rows, double ppi, String comment, OutputStream out) throws IOException {
        new PngFile(rows, out).write(ppi, comment);
    }

    private void write(double ppi, String comment) throws IOException {
        out.write(SIGNATURE);
        chunk("IHDR", ByteBuffer.allocate(13).putInt(rows.width()).putInt(rows.height()).put((byte) 8)
                .put((byte) (rows.opaque() ? RGB : RGBA)).array());
        chunk("sRGB", new byte[1]);
        int metre = (int) Math.round(ppi / 0.0254);
        chunk("pHYs", ByteBuffer.allocate(9).putInt(metre).putInt(metre).put((byte) 1).array());
        if (!comment.isEmpty()) chunk("tEXt", ("Comment\0" + comment).getBytes(StandardCharsets.ISO_8859_1));
        // Deflate, a window of 32 kB (RFC 1950).
        chunk("IDAT", new byte[] {0x78, 0x5E});
        byte[] above = new byte[stride];
        byte[] before = new byte[0];
        for (int done = 0; done < rows.height();) {
            int[] pixels = rows.next();
            int count = pixels.length / rows.width();
            byte[] filtered = filtered(pixels, count, above);
            sum.update(filtered);
            for (int from = 0; from < filtered.length; from += PIECE) {
                int to = Math.min(filtered.length, from + PIECE);
                pack(filtered, from, to, from == 0 ? before : Arrays.copyOfRange(filtered, from - WINDOW, from));
            }
            before = Arrays.copyOfRange(filtered, Math.max(0, filtered.length - WINDOW), filtered.length);
            done += count;
        }
        while (!ahead.isEmpty()) chunk("IDAT", Joined.of(ahead.remove()));
        // An empty last block, and what all that was packed adds up to.
        chunk("IDAT", ByteBuffer.allocate(6).put((byte) 3).put((byte) 0).putInt((int) sum.getValue()).array());
        chunk("IEND", new byte[0]);
        out.flush();
    }

    private void pack(byte[] data, int from, int to, byte[] before) throws IOException {
        if (ahead.size() == AHEAD) chunk("IDAT", Joined.of(ahead.remove()));
        ahead.add(small ? CompletableFuture.completedFuture(packed(data, from, to, before))
                : CompletableFuture.supplyAsync(() -> packed(data, from, to, before)));
    }

    private static byte[] packed(byte[] data, int from, int to, byte[] before) {
        Deflater deflater = new Deflater(LEVEL, true);
        try {
            if (before.length > 0) deflater.setDictionary(before);
            deflater.setInput(data, from, to - from);
            ByteArrayOutputStream packed = new ByteArrayOutputStream((to - from) / 2 + 64);
            byte[] some = new byte[1 << 16];
            for (int count = some.length; count == some.length;) {
                count = deflater.deflate(some, 0, some.length, Deflater.SYNC_FLUSH);
                packed.write(some, 0, count);
            }
            return packed.toByteArray();
        } finally {
            deflater.end();
        }
    }

    private void chunk(String type, byte[] data) throws IOException {
        byte[] name = type.getBytes(StandardCharsets.US_ASCII);
        CRC32 check = new CRC32();
        check.update(name);
        check.update(data);
        out.writeInt(data.length);
        out.write(name);
        out.write(data);
        out.writeInt((int) check.getValue());
    }

    /**
     * Rows with the filter that leaves least to pack, its number before each.
     *
     * @param above the row before them; after that the last of them
     */
    private byte[] filtered(int[] pixels, int count, byte[] above) {
        byte[] filtered = new byte[Math.multiplyExact(count, stride + 1)];
        int parts = small ? 1 : Math.min(count, PARTS);
        IntStream.range(0, parts).parallel().forEach(part -> {
            byte[] own = new byte[stride];
            byte[] up = new byte[stride];
            int from = part * count / parts;
            if (from == 0) System.arraycopy(above, 0, up, 0, stride);
            else bytes(pixels, from - 1, up);
            for (int row = from; row < (part + 1) * count / parts; row++) {
                bytes(pixels, row, own);
                int at = row * (stride + 1);
                int filter = filter(own, up);
                filtered[at] = (byte) filter;
                filter(filter, own, up, 0, stride, filtered, at + 1);
                byte[] next = up;
                up = own;
                own = next;
            }
        });
        bytes(pixels, count - 1, above);
        return filtered;
    }

    private void bytes(int[] pixels, int row, byte[] to) {
        int from = row * rows.width();
        for (int x = 0, at = 0; x < rows.width(); x++, at += step) {
            int pixel = pixels[from + x];
            to[at] = (byte) (pixel >> 16);
            to[at + 1] = (byte) (pixel >> 8);
            to[at + 2] = (byte) pixel;
            if (step == 4) to[at + 3] = (byte) (pixel >>> 24);
        }
    }

    /** The filter whose differences are smallest on a part of the row. */
    private int filter(byte[] own, byte[] up) {
        if (Arrays.equals(own, up)) return UP;
        byte[] tried = new byte[RUN];
        int best = 0;
        int least = Integer.MAX_VALUE;
        for (int filter = 0; filter < FILTERS; filter++) {
            int cost = 0;
            for (int from = 0; from < stride; from += RUN * EVERY) {
                int to = Math.min(stride, from + RUN);
                filter(filter, own, up, from, to, tried, 0);
                for (int i = 0; i < to - from; i++) cost += Math.abs(tried[i]);
            }
            if (cost < least) {
                least = cost;
                best = filter;
            }
        }
        return best;
    }

    /** Bytes from one of a row to before another, filtered: 0 none, 1 sub, 2 up, 3 average, 4 Paeth. */
    private void filter(int filter, byte[] own, byte[] up, int from, int to, byte[] out, int at) {
        int first = Math.min(to, Math.max(from, step));
        // Left of the first pixel there is nothing.
        for (int i = from; i < first; i++) out[at + i - from] = (byte) (own[i] - switch (filter) {
            case 2, 4 -> up[i];
            case 3 -> (up[i] & 0xFF) >> 1;
            default -> 0;
        });
        int shift = at - from;
        switch (filter) {
            case 1 -> {
                for (int i = first; i < to; i++) out[shift + i] = (byte) (own[i] - own[i - step]);
            }
            case 2 -> {
                for (int i = first; i < to; i++) out[shift + i] = (byte) (own[i] - up[i]);
            }
            case 3 -> {
                for (int i = first; i < to; i++) out[shift + i] = (byte) (own[i] - ((own[i - step] & 0xFF) + (up[i] & 0xFF) >> 1));
            }
            case 4 -> {
                for (int i = first; i < to; i++)
                    out[shift + i] = (byte) (own[i] - paeth(own[i - step] & 0xFF, up[i] & 0xFF, up[i - step] & 0xFF));
            }
            default -> System.arraycopy(own, first, out, shift + first, to - first);
        }
    }

    /** Which of its neighbours a byte is likeliest like (PNG, 9.4). */
    private static int paeth(int left, int above, int corner) {
        int across = above - corner;
        int down = left - corner;
        int toLeft = Math.abs(across);
        int toAbove = Math.abs(down);
        int toCorner = Math.abs(across + down);
        // Without branches, which nobody could foretell: all ones where another is nearer than the left one, or the corner than that above.
        int other = (toAbove - toLeft | toCorner - toLeft) >> 31;
        int corners = toCorner - toAbove >> 31;
        int next = above ^ (above ^ corner) & corners;
        return left ^ (left ^ next) & other;
    }
}
