package plainlantern.picture;

import com.drew.imaging.jpeg.JpegProcessingException;
import com.drew.imaging.jpeg.JpegSegmentReader;
import com.drew.imaging.jpeg.JpegSegmentType;
import com.drew.lang.SequentialByteArrayReader;
import java.awt.color.ICC_Profile;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/** The profile of a JPEG: ICC.1, annex B.4, in parts that are numbered from 1, each behind a name that ends with 0. */
final class JpegColours {
    private static final byte[] NAME = "ICC_PROFILE\0".getBytes(StandardCharsets.US_ASCII);

    private JpegColours() {}

    /** Empty where there is none that makes sense, or it is sRGB's. */
    static Optional<ICC_Profile> profile(byte[] jpeg, int components) {
        Map<Integer, byte[]> parts = new TreeMap<>();
        try {
            for (byte[] segment : JpegSegmentReader.readSegments(new SequentialByteArrayReader(jpeg), Set.of(JpegSegmentType.APP2))
                    .getSegments(JpegSegmentType.APP2)) {
                if (segment.length > NAME.length + 2 && Arrays.equals(segment, 0, NAME.length, NAME, 0, NAME.length))
                    parts.put(segment[NAME.length] & 0xFF, segment);
            }
        } catch (JpegProcessingException | IOException | RuntimeException damaged) {
            return Optional.empty();
        }
        ByteArrayOutputStream whole = new ByteArrayOutputStream();
        parts.values().forEach(part -> whole.write(part, NAME.length + 2, part.length - NAME.length - 2));
        return Srgb.profile(whole.toByteArray()).filter(profile -> profile.getNumComponents() == components && !Srgb.is(profile));
    }
}
