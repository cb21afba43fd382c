package plainlantern.picture;

import com.sun.jna.Library;
import com.sun.jna.Memory;
import com.sun.jna.Native;
import com.sun.jna.NativeLong;
import com.sun.jna.Pointer;
import com.sun.jna.ptr.IntByReference;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.Optional;

/**
 * JPEGs decoded by libjpeg-turbo where the machine has it (Debian's package libturbojpeg0): several times as fast, and it
 * can decode to a half, a quarter or an eighth from the start. Without it, or for a file that it does not simply decode,
 * the answer is empty and the general reader has to do.
 */
final class FastJpeg {
    private static final int BGR = 1;
    private static final int FIRST_CMYK = 3;
    private static final Optional<Turbo> TURBO = load();

    private FastJpeg() {}

    /** The part of libjpeg-turbo's TurboJPEG API 2 that is used. */
    interface Turbo extends Library {
        Pointer tjInitDecompress();

        int tjDecompressHeader3(Pointer handle, Memory jpeg, NativeLong size, IntByReference width, IntByReference height,
                                IntByReference subsampling, IntByReference colours);

        int tjDecompress2(Pointer handle, Memory jpeg, NativeLong size, Memory out, int width, int pitch, int height,
                int layout, int flags);

        int tjDestroy(Pointer handle);
    }

    private static Optional<Turbo> load() {
        try {
            return Optional.of(Native.load("turbojpeg", Turbo.class));
        } catch (UnsatisfiedLinkError e) {
            return Optional.empty();
        }
    }

    static boolean available() {
        return TURBO.isPresent();
    }

    /**
     * The picture as stored, its sides divided by {@code shrink} and rounded up, TYPE_3BYTE_BGR.
     *
     * @param shrink 1, 2, 4 or 8
     */
    static Optional<BufferedImage> decode(byte[] jpeg, int shrink) {
        if (TURBO.isEmpty()) return Optional.empty();
        Turbo turbo = TURBO.get();
        Pointer handle = turbo.tjInitDecompress();
        if (handle == null) return Optional.empty();
        try (Memory file = new Memory(jpeg.length)) {
            file.write(0, jpeg, 0, jpeg.length);
            return decode(turbo, handle, file, new NativeLong(jpeg.length), shrink);
        } finally {
            turbo.tjDestroy(handle);
        }
    }

    private static Optional<BufferedImage> decode(Turbo turbo, Pointer handle, Memory file, NativeLong size, int shrink) {
        IntByReference width = new IntByReference();
        IntByReference height = new IntByReference();
        IntByReference colours = new IntByReference();
        if (turbo.tjDecompressHeader3(handle, file, size, width, height, new IntByReference(), colours) != 0
                || colours.getValue() >= FIRST_CMYK) return Optional.empty();
        int across = (width.getValue() + shrink - 1) / shrink;
        int down = (height.getValue() + shrink - 1) / shrink;
        try (Memory out = new Memory((long) across * down * 3)) {
            // A warning, such as a file that is cut off, is no success either.
            if (turbo.tjDecompress2(handle, file, size, out, across, across * 3, down, BGR, 0) != 0) return Optional.empty();
            BufferedImage image = new BufferedImage(across, down, BufferedImage.TYPE_3BYTE_BGR);
            byte[] pixels = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
            out.read(0, pixels, 0, pixels.length);
            return Optional.of(image);
        }
    }
}
