package plainlantern.picture;

import java.awt.color.ICC_Profile;
import java.util.Arrays;
import java.util.Optional;

/** The profile of a WebP: its ICCP chunk (RFC 9649, 2.7.1.4). */
final class WebpColours {
    private WebpColours() {}

    /** Empty where there is none that makes sense, or it is sRGB's. */
    static Optional<ICC_Profile> profile(byte[] webp) {
        return WebpChunk.find(webp, "ICCP").filter(chunk -> chunk.whole(webp))
                .flatMap(chunk -> Srgb.profile(Arrays.copyOfRange(webp, chunk.from(), (int) chunk.to())))
                .filter(profile -> profile.getNumComponents() == 3 && !Srgb.is(profile));
    }
}
