package plainlantern.studio.deliver;

import java.io.InputStream;
import java.util.function.LongFunction;

/** Bytes that are fetched part by part as they are read. */
final class PartedStream extends InputStream {
    private final LongFunction<byte[]> parts;
    private byte[] part = {};
    private int at;
    private long before;
    private boolean ended;

    /** @param parts gives the bytes from a place on, as many as it likes; none after the end */
    PartedStream(LongFunction<byte[]> parts) {
        this.parts = parts;
    }

    private boolean more() {
        if (at == part.length && !ended) {
            before += part.length;
            part = parts.apply(before);
            at = 0;
            ended = part.length == 0;
        }
        return !ended;
    }

    @Override
    public int read() {
        return more() ? part[at++] & 0xFF : -1;
    }

    @Override
    public int read(byte[] to, int from, int length) {
        if (length == 0) return 0;
        if (!more()) return -1;
        int count = Math.min(length, part.length - at);
        System.arraycopy(part, at, to, from, count);
        at += count;
        return count;
    }
}
