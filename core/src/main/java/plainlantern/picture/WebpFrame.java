package plainlantern.picture;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Arrays;
import java.util.Optional;

/** The first picture of an animated WebP (RFC 9649, 2.7.1.1 and 2.7.1.2), which libwebp's decoder of stills does not look for. */
final class WebpFrame {
    /** Of a VP8X chunk: flags, three bytes that mean nothing, width and height less one. */
    private static final int HEAD = 10;
    private static final int ANIMATED = 0x02;
    private static final int ALPHA = 0x10;
    /** Of an ANMF chunk: left and top, width and height less one, three bytes each; then how long it is seen, and how. */
    private static final int SIDES = 6;
    private static final int OWN_HEAD = 16;
    /** Where the first chunk's data begin. */
    private static final int DATA = WebpChunk.FIRST + 8;

    private WebpFrame() {}

    /** As a WebP of its own, as large as it is itself; empty where the file is no animation, or is cut. */
    static Optional<byte[]> first(byte[] webp) {
        return WebpChunk.find(webp, "VP8X")
                .filter(head -> head.from() == DATA && head.whole(webp) && (webp[DATA] & ANIMATED) != 0)
                .flatMap(head -> WebpChunk.find(webp, "ANMF"))
                .filter(frame -> frame.whole(webp) && frame.to() > frame.from() + OWN_HEAD)
                .map(frame -> still(webp, frame.from(), (int) frame.to()));
    }

    private static byte[] still(byte[] webp, int frame, int end) {
        int parts = end - frame - OWN_HEAD;
        byte[] out = Arrays.copyOf(webp, DATA + HEAD + parts);
        ByteBuffer.wrap(out).order(ByteOrder.LITTLE_ENDIAN).putInt(4, out.length - 8).putInt(DATA - 4, HEAD);
        out[DATA] &= ALPHA;
        System.arraycopy(webp, frame + SIDES, out, DATA + 4, SIDES);
        System.arraycopy(webp, end - parts, out, DATA + HEAD, parts);
        return out;
    }
}
