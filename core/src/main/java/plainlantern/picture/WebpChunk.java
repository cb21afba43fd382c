package plainlantern.picture;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Optional;

/**
 * A chunk of a WebP (RFC 9649, 2.3).
 *
 * @param from where its data begin in the file
 * @param to   where they end, which may be behind the end of a file that was cut
 */
record WebpChunk(int from, long to) {
    /** The first chunk stands behind “RIFF”, a size and “WEBP”. */
    static final int FIRST = 12;
    private static final int HEAD = 8;

    /** The first one of that name, four letters; empty where there is none. */
    static Optional<WebpChunk> find(byte[] webp, String name) {
        ByteBuffer bytes = ByteBuffer.wrap(webp).order(ByteOrder.LITTLE_ENDIAN);
        for (long next = FIRST; next + HEAD <= webp.length;) {
            int from = (int) next + HEAD;
            long size = bytes.getInt(from - 4) & 0xFFFFFFFFL;
            if (named(webp, from - HEAD, name)) return Optional.of(new WebpChunk(from, from + size));
            next = from + size + size % 2;
        }
        return Optional.empty();
    }

    private static boolean named(byte[] webp, int at, String name) {
        for (int i = 0; i < name.length(); i++) if (webp[at + i] != name.charAt(i)) return false;
        return true;
    }

    /** Whether all of it is there. */
    boolean whole(byte[] webp) {
        return to <= webp.length;
    }
}
