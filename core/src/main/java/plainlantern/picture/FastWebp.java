package plainlantern.picture;

import com.sun.jna.Library;
import com.sun.jna.Memory;
import com.sun.jna.Native;
import com.sun.jna.NativeLong;
import com.sun.jna.Pointer;
import com.sun.jna.Structure;
import com.sun.jna.Structure.FieldOrder;
import java.awt.image.BufferedImage;
import java.util.Optional;

/**
 * WebP decoded by libwebp where the machine has it (Debian's package libwebp7): several times as fast, and what is very large is halved
 * while it is read. Without it, or for a file that it does not simply decode, the answer is empty and the general reader has to do.
 */
final class FastWebp {
    /** WEBP_DECODER_ABI_VERSION, of which the library compares the first byte. */
    private static final int VERSION = 0x0209;
    private static final int BGR = 2;
    private static final int BGRA = 3;
    private static final int PLANES = 56;

    private static final Optional<Webp> WEBP = load();

    private FastWebp() {}

    /** The part of libwebp's decode.h that is used. */
    interface Webp extends Library {
        int WebPGetFeaturesInternal(Memory file, NativeLong size, Features features, int version);

        int WebPInitDecoderConfigInternal(Config config, int version);

        int WebPDecode(Memory file, NativeLong size, Config config);
    }

    /** WebPBitstreamFeatures. */
    @FieldOrder({"width", "height", "alpha", "animation", "format", "later"})
    public static final class Features extends Structure {
        public int width;
        public int height;
        public int alpha;
        public int animation;
        public int format;
        public int[] later = new int[5];
    }

    /** WebPDecBuffer, its union as WebPRGBABuffer. */
    @FieldOrder({"mode", "width", "height", "external", "pixels", "stride", "size", "planes", "later", "own"})
    public static final class Output extends Structure {
        public int mode;
        public int width;
        public int height;
        public int external;
        public Pointer pixels;
        public int stride;
        public NativeLong size;
        public byte[] planes = new byte[PLANES];
        public int[] later = new int[4];
        public Pointer own;
    }

    /** WebPDecoderOptions. */
    @FieldOrder({"unfiltered", "plain", "cropped", "left", "top", "width", "height", "scaled", "across", "down", "threads", "dither",
        "flip", "alphaDither", "later"})
    public static final class Options extends Structure {
        public int unfiltered;
        public int plain;
        public int cropped;
        public int left;
        public int top;
        public int width;
        public int height;
        public int scaled;
        public int across;
        public int down;
        public int threads;
        public int dither;
        public int flip;
        public int alphaDither;
        public int[] later = new int[5];
    }

    /** WebPDecoderConfig. */
    @FieldOrder({"input", "output", "options"})
    public static final class Config extends Structure {
        public Features input;
        public Output output;
        public Options options;
    }

    /** The structures are as they stand where pointers have eight bytes. */
    private static Optional<Webp> load() {
        try {
            return Native.POINTER_SIZE == Long.BYTES ? Optional.of(Native.load("webp", Webp.class)) : Optional.empty();
        } catch (UnsatisfiedLinkError e) {
            return Optional.empty();
        }
    }

    static boolean available() {
        return WEBP.isPresent();
    }

    /**
     * The picture as stored, its sides divided by {@code shrink} and rounded up, TYPE_3BYTE_BGR, or TYPE_4BYTE_ABGR with transparency.
     *
     * @param shrink 1, 2, 4 or 8
     */
    static Optional<BufferedImage> decode(byte[] webp, int shrink) {
        return WEBP.flatMap(library -> NativePixels.of(webp, file -> decode(library, file, new NativeLong(webp.length), shrink)));
    }

    private static Optional<BufferedImage> decode(Webp library, Memory file, NativeLong size, int shrink) {
        Features found = new Features();
        Config config = new Config();
        if (library.WebPGetFeaturesInternal(file, size, found, VERSION) != 0 || found.animation != 0
                || library.WebPInitDecoderConfigInternal(config, VERSION) == 0) return Optional.empty();
        int halved = NativePixels.halved(found.width, found.height, shrink);
        int across = NativePixels.smaller(found.width, halved);
        int down = NativePixels.smaller(found.height, halved);
        boolean alpha = found.alpha != 0;
        config.options.threads = 1;
        config.options.scaled = halved > 1 ? 1 : 0;
        config.options.across = across;
        config.options.down = down;
        config.output.mode = alpha ? BGRA : BGR;
        config.output.external = 1;
        config.output.stride = across * (alpha ? 4 : 3);
        config.output.size = new NativeLong((long) config.output.stride * down);
        return NativePixels.image(across, down, alpha, shrink / halved, out -> {
            config.output.pixels = out;
            return library.WebPDecode(file, size, config) == 0;
        });
    }
}
