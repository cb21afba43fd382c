package plainlantern.picture;

import com.sun.jna.Callback;
import com.sun.jna.Library;
import com.sun.jna.Memory;
import com.sun.jna.Native;
import com.sun.jna.NativeLong;
import com.sun.jna.Pointer;
import com.sun.jna.Structure;
import com.sun.jna.Structure.FieldOrder;
import java.util.Optional;

/** The part that is used of libwebp's decode.h and encode.h (since 1.0), where the machine has it: Debian's package libwebp7. */
interface LibWebp extends Library {
    /** WEBP_DECODER_ABI_VERSION and WEBP_ENCODER_ABI_VERSION, of which the library compares the first byte. */
    int DECODER = 0x0209;
    int ENCODER = 0x020f;
    int BGR = 2;
    int BGRA = 3;

    Optional<LibWebp> LIBRARY = load();

    /** The structures are as they stand where pointers have eight bytes. */
    private static Optional<LibWebp> load() {
        try {
            return Native.POINTER_SIZE == Long.BYTES ? Optional.of(Native.load("webp", LibWebp.class)) : Optional.empty();
        } catch (UnsatisfiedLinkError e) {
            return Optional.empty();
        }
    }

    int WebPGetFeaturesInternal(Memory file, NativeLong size, Features features, int version);

    int WebPInitDecoderConfigInternal(Decoding config, int version);

    int WebPDecode(Memory file, NativeLong size, Decoding config);

    int WebPConfigInitInternal(Encoding config, int preset, float quality, int version);

    int WebPPictureInitInternal(Picture picture, int version);

    int WebPPictureAlloc(Picture picture);

    int WebPEncode(Encoding config, Picture picture);

    void WebPPictureFree(Picture picture);

    /** WebPBitstreamFeatures. */
    @FieldOrder({"width", "height", "alpha", "animation", "format", "later"})
    final class Features extends Structure {
        public int width;
        public int height;
        public int alpha;
        public int animation;
        public int format;
        public int[] later = new int[5];
    }

    /** WebPDecBuffer, its union as WebPRGBABuffer. */
    @FieldOrder({"mode", "width", "height", "external", "pixels", "stride", "size", "planes", "later", "own"})
    final class Output extends Structure {
        public int mode;
        public int width;
        public int height;
        public int external;
        public Pointer pixels;
        public int stride;
        public NativeLong size;
        public byte[] planes = new byte[56];
        public int[] later = new int[4];
        public Pointer own;
    }

    /** WebPDecoderOptions. */
    @FieldOrder({"unfiltered", "plain", "cropped", "left", "top", "width", "height", "scaled", "across", "down", "threads", "dither",
        "flip", "alphaDither", "later"})
    final class Options extends Structure {
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
    final class Decoding extends Structure {
        public Features input;
        public Output output;
        public Options options;
    }

    /** WebPConfig: from its method on as the library sets it, but for the threads. */
    @FieldOrder({"lossless", "quality", "set", "threads", "more"})
    final class Encoding extends Structure {
        public int lossless;
        public float quality;
        public int[] set = new int[19];
        public int threads;
        public int[] more = new int[16];
    }

    /** WebPWriterFunction: 0 where the bytes could not be written. */
    interface Writer extends Callback {
        int write(Pointer bytes, NativeLong size, Pointer picture);
    }

    /** WebPProgressHook: 0 ends it. */
    interface Heard extends Callback {
        int at(int percent, Pointer picture);
    }

    /** WebPPicture; its pixels 0xAARRGGBB, strides in pixels. */
    @FieldOrder({"inArgb", "colours", "width", "height", "y", "u", "v", "yStride", "uvStride", "a", "aStride", "pad1", "argb",
        "argbStride", "pad2", "writer", "custom", "extraKind", "extra", "stats", "error", "heard", "user", "pad3", "pad4", "pad5", "pad6",
        "memory", "memoryArgb", "pad7"})
    final class Picture extends Structure {
        public int inArgb;
        public int colours;
        public int width;
        public int height;
        public Pointer y;
        public Pointer u;
        public Pointer v;
        public int yStride;
        public int uvStride;
        public Pointer a;
        public int aStride;
        public int[] pad1 = new int[2];
        public Pointer argb;
        public int argbStride;
        public int[] pad2 = new int[3];
        public Writer writer;
        public Pointer custom;
        public int extraKind;
        public Pointer extra;
        public Pointer stats;
        public int error;
        public Heard heard;
        public Pointer user;
        public int[] pad3 = new int[3];
        public Pointer pad4;
        public Pointer pad5;
        public int[] pad6 = new int[8];
        public Pointer memory;
        public Pointer memoryArgb;
        public Pointer[] pad7 = new Pointer[2];
    }
}
