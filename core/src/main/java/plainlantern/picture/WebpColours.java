package plainlantern.picture;

import java.awt.color.ICC_Profile;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Arrays;
import java.util.Optional;

/** The profile of a WebP: its ICCP chunk (RFC 9649, 2.7.1.4). */
final class WebpColours {
    /** The first chunk stands behind “RIFF”, a size and “WEBP”. */
    private static final int FIRST = 12;
    private static final int HEAD = 8;
    private static final int NAME = 'I' | 'C' << 8 | 'C' << 16 | 'P' << 24;

    private WebpColours() {}

    /** Empty where there is none that makes sense, or it is sRGB's. */
    static Optional<ICC_Profile> profile(byte[] webp) {
        ByteBuffer bytes = ByteBuffer.wrap(webp).order(ByteOrder.LITTLE_ENDIAN);
        for (long at = FIRST; at + HEAD <= webp.length;) {
            long size = bytes.getInt((int) at + 4) & 0xFFFFFFFFL;
            long end = at + HEAD + size;
            if (bytes.getInt((int) at) == NAME) {
                return end > webp.length ? Optional.empty() : Srgb.profile(Arrays.copyOfRange(webp, (int) at + HEAD, (int) end))
                        .filter(profile -> profile.getNumComponents() == 3 && !Srgb.is(profile));
            }
            at = end + size % 2;
        }
        return Optional.empty();
    }
}
