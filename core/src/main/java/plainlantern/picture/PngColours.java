package plainlantern.picture;

import com.drew.imaging.png.PngChunk;
import com.drew.imaging.png.PngChunkReader;
import com.drew.imaging.png.PngChunkType;
import com.drew.imaging.png.PngProcessingException;
import com.drew.lang.SequentialByteArrayReader;
import java.awt.color.CMMException;
import java.awt.color.ICC_Profile;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.zip.InflaterInputStream;
import plainlantern.picture.MatrixProfile.Primaries;

/**
 * What the numbers of a PNG mean (PNG 3, 4.3): its cICP chunk decides, without one iCCP, without that sRGB, and at last gAMA and cHRM.
 * A chunk that makes no sense says nothing.
 */
final class PngColours {
    /** Larger profiles are made to do harm. */
    private static final int MOST_BYTES = 16 << 20;
    private static final double PARTS = 100_000;
    /** IEC 61966-2-1 in the chunks' numbers. */
    private static final int[] SRGB_PRIMARIES = {31270, 32900, 64000, 33000, 30000, 60000, 15000, 6000};
    private static final int SRGB_GAMMA = 45455;
    private static final int COLOUR = 2;

    private PngColours() {}

    /** Empty where its colours are sRGB; one of three components may be that of a grey picture. */
    static Optional<ICC_Profile> profile(byte[] png) {
        Map<String, byte[]> chunks = chunks(png);
        // The colour type, PNG 3, 11.2.1: whether there is more than grey.
        int components = png.length > 25 && (png[25] & COLOUR) != 0 ? 3 : 1;
        Optional<byte[]> coded = chunk(chunks, "cICP", 4);
        if (coded.isPresent() && coded.get()[2] == 0)
            return CodePoints.profile(coded.get()[0] & 0xFF, coded.get()[1] & 0xFF, coded.get()[3] != 0);
        Optional<ICC_Profile> embedded = Optional.ofNullable(chunks.get("iCCP")).flatMap(PngColours::embedded)
                .filter(profile -> profile.getNumComponents() == components);
        if (embedded.isPresent()) return embedded.filter(profile -> !Srgb.is(profile));
        return chunks.containsKey("sRGB") ? Optional.empty() : told(chunks);
    }

    private static Map<String, byte[]> chunks(byte[] png) {
        Map<String, byte[]> chunks = new HashMap<>();
        try {
            Set<PngChunkType> wanted = Set.of(PngChunkType.iCCP, PngChunkType.sRGB, PngChunkType.gAMA, PngChunkType.cHRM,
                    new PngChunkType("cICP"));
            for (PngChunk chunk : new PngChunkReader().extract(new SequentialByteArrayReader(png), wanted))
                chunks.putIfAbsent(chunk.getType().getIdentifier(), chunk.getBytes());
        } catch (PngProcessingException | IOException | RuntimeException damaged) {
            return Map.of();
        }
        return chunks;
    }

    private static Optional<byte[]> chunk(Map<String, byte[]> chunks, String name, int length) {
        return Optional.ofNullable(chunks.get(name)).filter(bytes -> bytes.length == length);
    }

    /** A name that ends with 0, the method 0, and the packed profile. */
    private static Optional<ICC_Profile> embedded(byte[] chunk) {
        int end = 0;
        while (end < chunk.length && chunk[end] != 0) end++;
        if (end + 2 >= chunk.length) return Optional.empty();
        try (InflaterInputStream in = new InflaterInputStream(new ByteArrayInputStream(chunk, end + 2, chunk.length - end - 2))) {
            byte[] profile = in.readNBytes(MOST_BYTES + 1);
            return profile.length > MOST_BYTES ? Optional.empty() : Srgb.profile(profile);
        } catch (IOException damaged) {
            return Optional.empty();
        }
    }

    /** gAMA and cHRM; sRGB's where there is one of them alone. */
    private static Optional<ICC_Profile> told(Map<String, byte[]> chunks) {
        Optional<byte[]> gamma = chunk(chunks, "gAMA", 4);
        Optional<byte[]> places = chunk(chunks, "cHRM", 32);
        if (gamma.isEmpty()) return Optional.empty();
        int power = ByteBuffer.wrap(gamma.get()).getInt();
        int[] xy = SRGB_PRIMARIES.clone();
        places.ifPresent(bytes -> ByteBuffer.wrap(bytes).asIntBuffer().get(xy));
        // The numbers that stand beside an sRGB chunk mean sRGB without it, too: common practice.
        if (power <= 0 || Math.abs(power - SRGB_GAMMA) < 2 && Arrays.equals(xy, SRGB_PRIMARIES)) return Optional.empty();
        double[] at = Arrays.stream(xy).mapToDouble(value -> value / PARTS).toArray();
        try {
            return Optional.of(MatrixProfile.of(Primaries.of(at[2], at[3], at[4], at[5], at[6], at[7], at[0], at[1]),
                    value -> Math.pow(value, PARTS / power)));
        } catch (IllegalArgumentException | CMMException noColours) {
            return Optional.empty();
        }
    }
}
