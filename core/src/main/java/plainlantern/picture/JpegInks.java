package plainlantern.picture;

import com.drew.imaging.jpeg.JpegSegmentType;
import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.util.Optional;

/**
 * JPEGs of four inks. What their samples mean is told by an APP14 segment (ISO/IEC 10918-6, 6.5.3): with one they are stored as what is
 * left of the paper, and may be coded as luminance and chrominance besides the black; without one they are the inks.
 */
final class JpegInks {
    /** The letters with which that segment begins. */
    private static final byte[] NAME = {0x41, 0x64, 0x6F, 0x62, 0x65};
    private static final int TRANSFORM = 11;
    private static final int CODED = 2;

    private JpegInks() {}

    /**
     * Without a profile of the inks by the plainest rule: what each colour's ink and the black leave of the paper (common practice; the
     * inks of a press look otherwise, but nobody says which press).
     *
     * @param stored samples as they are in the file, four bands of bytes; they are changed
     */
    static BufferedImage srgb(byte[] jpeg, Raster stored) {
        WritableRaster inks = inks(jpeg, stored);
        Optional<ICC_Profile> profile = JpegColours.profile(jpeg, 4);
        if (profile.isEmpty()) return plain(inks);
        ComponentColorModel model = new ComponentColorModel(new ICC_ColorSpace(profile.get()), false, false, ComponentColorModel.OPAQUE,
                DataBuffer.TYPE_BYTE);
        return Srgb.bytes(new BufferedImage(model, inks, false, null), profile);
    }

    private static WritableRaster inks(byte[] jpeg, Raster stored) {
        Optional<byte[]> marker = marker(jpeg);
        boolean coded = marker.isPresent() && marker.get()[TRANSFORM] == CODED;
        WritableRaster inks = Raster.createWritableRaster(stored.getSampleModel(), stored.getDataBuffer(), null);
        if (marker.isEmpty()) return inks;
        byte[] row = null;
        for (int y = 0; y < inks.getHeight(); y++) {
            row = (byte[]) inks.getDataElements(0, y, inks.getWidth(), 1, row);
            if (coded) for (int at = 0; at < row.length; at += 4) decode(row, at);
            for (int i = 0; i < row.length; i++) row[i] = (byte) ~row[i];
            inks.setDataElements(0, y, inks.getWidth(), 1, row);
        }
        return inks;
    }

    /** Luminance and chrominance as JFIF has them (ITU-T T.871, 7), which stand for what the other three inks cover. */
    private static void decode(byte[] row, int at) {
        float light = row[at] & 0xFF;
        float blue = (row[at + 1] & 0xFF) - 128;
        float red = (row[at + 2] & 0xFF) - 128;
        row[at] = covered(light + 1.402f * red);
        row[at + 1] = covered(light - 0.344136f * blue - 0.714136f * red);
        row[at + 2] = covered(light + 1.772f * blue);
    }

    private static byte covered(float left) {
        return (byte) (255 - (int) Math.max(0, Math.min(255, left + 0.5f)));
    }

    private static BufferedImage plain(Raster inks) {
        BufferedImage out = new BufferedImage(inks.getWidth(), inks.getHeight(), BufferedImage.TYPE_3BYTE_BGR);
        byte[] row = null;
        byte[] seen = new byte[inks.getWidth() * 3];
        for (int y = 0; y < inks.getHeight(); y++) {
            row = (byte[]) inks.getDataElements(0, y, inks.getWidth(), 1, row);
            for (int x = 0; x < inks.getWidth(); x++) {
                int left = 255 - (row[x * 4 + 3] & 0xFF);
                for (int i = 0; i < 3; i++) seen[x * 3 + i] = (byte) (((255 - (row[x * 4 + i] & 0xFF)) * left + 127) / 255);
            }
            out.getRaster().setDataElements(0, y, inks.getWidth(), 1, seen);
        }
        return out;
    }

    private static Optional<byte[]> marker(byte[] jpeg) {
        return JpegColours.segments(jpeg, JpegSegmentType.APPE, NAME).stream().filter(segment -> segment.length > TRANSFORM).findFirst();
    }
}
