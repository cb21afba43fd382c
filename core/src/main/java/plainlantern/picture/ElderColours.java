package plainlantern.picture;

import java.awt.color.ICC_Profile;
import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Optional;

/**
 * Profiles in files of the elder kinds: in a BMP behind a header of version 5 (BITMAPV5HEADER), in a GIF in the extension for one
 * (ICC.1:2010, B.5). What makes no sense says nothing.
 */
final class ElderColours {
    private static final int BMP_HEADER = 14;
    private static final int VERSION_5 = 124;
    private static final int EMBEDDED = 0x4D424544;
    private static final byte[] GIF_EXTENSION = "ICCRGBG1012".getBytes(StandardCharsets.US_ASCII);
    private static final int BLOCK = 0x21;
    private static final int APPLICATION = 0xFF;

    private ElderColours() {}

    static Optional<ICC_Profile> bmp(byte[] file) {
        if (file.length < BMP_HEADER + VERSION_5) return Optional.empty();
        ByteBuffer header = ByteBuffer.wrap(file, BMP_HEADER, file.length - BMP_HEADER).slice().order(ByteOrder.LITTLE_ENDIAN);
        if (header.getInt(0) < VERSION_5 || header.getInt(56) != EMBEDDED) return Optional.empty();
        int from = header.getInt(112);
        int size = header.getInt(116);
        if (from < VERSION_5 || size <= 0 || from > header.limit() - size) return Optional.empty();
        return profile(Arrays.copyOfRange(file, BMP_HEADER + from, BMP_HEADER + from + size));
    }

    static Optional<ICC_Profile> gif(byte[] file) {
        if (file.length < 13) return Optional.empty();
        int palette = (file[10] & 0x80) == 0 ? 0 : 3 << (file[10] & 7) + 1;
        int at = 13 + palette;
        while (at + 2 < file.length && file[at] == BLOCK) {
            boolean application = (file[at + 1] & 0xFF) == APPLICATION;
            ByteArrayOutputStream data = new ByteArrayOutputStream();
            int first = at + 3;
            at += 2;
            boolean named = application && file[at] == GIF_EXTENSION.length && first + GIF_EXTENSION.length <= file.length
                    && Arrays.equals(file, first, first + GIF_EXTENSION.length, GIF_EXTENSION, 0, GIF_EXTENSION.length);
            while (at < file.length && file[at] != 0) {
                int size = file[at] & 0xFF;
                if (at + 1 + size > file.length) return Optional.empty();
                if (at + 1 != first) data.write(file, at + 1, size);
                at += 1 + size;
            }
            if (named) return profile(data.toByteArray());
            at++;
        }
        return Optional.empty();
    }

    private static Optional<ICC_Profile> profile(byte[] bytes) {
        return Srgb.profile(bytes).filter(profile -> profile.getNumComponents() == 3);
    }
}
