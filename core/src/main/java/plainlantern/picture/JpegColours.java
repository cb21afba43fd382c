package plainlantern.picture;

import com.drew.imaging.jpeg.JpegProcessingException;
import com.drew.imaging.jpeg.JpegSegmentReader;
import com.drew.imaging.jpeg.JpegSegmentType;
import com.drew.lang.SequentialByteArrayReader;
import java.awt.color.ICC_Profile;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
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
        for (byte[] segment : segments(jpeg, JpegSegmentType.APP2, NAME))
            if (segment.length > NAME.length + 2) parts.put(segment[NAME.length] & 0xFF, segment);
        ByteArrayOutputStream whole = new ByteArrayOutputStream();
        parts.values().forEach(part -> whole.write(part, NAME.length + 2, part.length - NAME.length - 2));
        return Srgb.profile(whole.toByteArray()).filter(profile -> profile.getNumComponents() == components && !Srgb.is(profile));
    }

    /** The segments of that type that begin with a name; none where the file is damaged before them. */
    static List<byte[]> segments(byte[] jpeg, JpegSegmentType type, byte[] name) {
        List<byte[]> named = new ArrayList<>();
        try {
            for (byte[] segment : JpegSegmentReader.readSegments(new SequentialByteArrayReader(jpeg), Set.of(type)).getSegments(type))
                if (segment.length >= name.length && Arrays.equals(segment, 0, name.length, name, 0, name.length)) named.add(segment);
        } catch (JpegProcessingException | IOException | RuntimeException damaged) {
            return List.of();
        }
        return named;
    }
}
