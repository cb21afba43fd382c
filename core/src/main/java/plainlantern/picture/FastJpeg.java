package plainlantern.picture;

import com.sun.jna.Library;
import com.sun.jna.Memory;
import com.sun.jna.Native;
import com.sun.jna.NativeLong;
import com.sun.jna.Pointer;
import com.sun.jna.ptr.IntByReference;
import com.sun.jna.ptr.NativeLongByReference;
import com.sun.jna.ptr.PointerByReference;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.Optional;

/**
 * JPEGs decoded by libjpeg-turbo where the machine has it (Debian's package libturbojpeg0): several times as fast.
 * Without it, or for a file that it does not simply decode, the answer is empty and the general reader has to do.
 */
final class FastJpeg {
    private static final int BGR = 1;
    private static final int FIRST_CMYK = 3;
    private static final int HALF_CHROMA = 2;

    private static final Optional<Turbo> TURBO = load();

    private FastJpeg() {}

    /** The part of libjpeg-turbo's TurboJPEG API 2 that is used. */
    interface Turbo extends Library {
        Pointer tjInitDecompress();

        int tjDecompressHeader3(Pointer handle, Memory jpeg, NativeLong size, IntByReference width, IntByReference height,
                                IntByReference subsampling, IntByReference colours);

        int tjDecompress2(Pointer handle, Memory jpeg, NativeLong size, Memory out, int width, int pitch, int height,
                int layout, int flags);

        Pointer tjInitCompress();

        int tjCompress2(Pointer handle, Memory pixels, int width, int pitch, int height, int layout, PointerByReference jpeg,
                NativeLongByReference size, int subsampling, int quality, int flags);

        void tjFree(Pointer jpeg);

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
        try {
            return NativePixels.of(jpeg, file -> decode(turbo, handle, file, new NativeLong(jpeg.length), shrink));
        } finally {
            turbo.tjDestroy(handle);
        }
    }

    /**
     * A JPEG of colours at half the resolution (4:2:0), without a profile.
     *
     * @param image   TYPE_3BYTE_BGR
     * @param quality 1 to 100
     */
    static Optional<byte[]> encode(BufferedImage image, int quality) {
        if (TURBO.isEmpty()) return Optional.empty();
        Turbo turbo = TURBO.get();
        Pointer handle = turbo.tjInitCompress();
        if (handle == null) return Optional.empty();
        byte[] pixels = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
        PointerByReference jpeg = new PointerByReference();
        NativeLongByReference size = new NativeLongByReference();
        try (Memory in = new Memory(pixels.length)) {
            in.write(0, pixels, 0, pixels.length);
            int width = image.getWidth();
            int failed = turbo.tjCompress2(handle, in, width, width * 3, image.getHeight(), BGR, jpeg, size, HALF_CHROMA, quality, 0);
            return failed != 0 ? Optional.empty() : Optional.of(jpeg.getValue().getByteArray(0, size.getValue().intValue()));
        } finally {
            if (jpeg.getValue() != null) turbo.tjFree(jpeg.getValue());
            turbo.tjDestroy(handle);
        }
    }

    private static Optional<BufferedImage> decode(Turbo turbo, Pointer handle, Memory file, NativeLong size, int shrink) {
        IntByReference width = new IntByReference();
        IntByReference height = new IntByReference();
        IntByReference colours = new IntByReference();
        if (turbo.tjDecompressHeader3(handle, file, size, width, height, new IntByReference(), colours) != 0
                || colours.getValue() >= FIRST_CMYK) return Optional.empty();
        int halved = NativePixels.halved(width.getValue(), height.getValue(), shrink);
        int across = Reduction.smaller(width.getValue(), halved);
        int down = Reduction.smaller(height.getValue(), halved);
        // A warning, such as a file that is cut off, is no success either.
        return NativePixels.image(across, down, false, shrink / halved, out ->
                turbo.tjDecompress2(handle, file, size, out, across, across * 3, down, BGR, 0) == 0);
    }
}
