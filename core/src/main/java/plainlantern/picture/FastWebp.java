package plainlantern.picture;

import com.sun.jna.Memory;
import com.sun.jna.NativeLong;
import java.awt.image.BufferedImage;
import java.util.Optional;
import plainlantern.picture.LibWebp.Decoding;
import plainlantern.picture.LibWebp.Features;

/**
 * WebP decoded by libwebp where the machine has it: several times as fast, and what is very large is halved while it is read. Without it,
 * or for a file that it does not simply decode, the answer is empty and the general reader has to do.
 */
final class FastWebp {
    private FastWebp() {}

    static boolean available() {
        return LibWebp.LIBRARY.isPresent();
    }

    /**
     * The picture as stored, of an animation the first one, its sides divided by {@code shrink} and rounded up, TYPE_3BYTE_BGR, or
     * TYPE_4BYTE_ABGR with transparency.
     *
     * @param shrink 1, 2, 4 or 8
     */
    static Optional<BufferedImage> decode(byte[] webp, int shrink) {
        byte[] still = WebpFrame.first(webp).orElse(webp);
        return LibWebp.LIBRARY
                .flatMap(library -> NativePixels.of(still, file -> decode(library, file, new NativeLong(still.length), shrink)));
    }

    private static Optional<BufferedImage> decode(LibWebp library, Memory file, NativeLong size, int shrink) {
        Features found = new Features();
        Decoding config = new Decoding();
        if (library.WebPGetFeaturesInternal(file, size, found, LibWebp.DECODER) != 0 || found.animation != 0
                || library.WebPInitDecoderConfigInternal(config, LibWebp.DECODER) == 0) return Optional.empty();
        // A lossless one is all there beside the heap, whatever its size: what is larger than the heap has to fit into that, or is refused.
        if (4L * found.width * found.height > Runtime.getRuntime().maxMemory()) return Optional.empty();
        int halved = NativePixels.halved(found.width, found.height, shrink);
        int across = Reduction.smaller(found.width, halved);
        int down = Reduction.smaller(found.height, halved);
        boolean alpha = found.alpha != 0;
        config.options.threads = 1;
        config.options.scaled = halved > 1 ? 1 : 0;
        config.options.across = across;
        config.options.down = down;
        config.output.mode = alpha ? LibWebp.BGRA : LibWebp.BGR;
        config.output.external = 1;
        config.output.stride = across * (alpha ? 4 : 3);
        config.output.size = new NativeLong((long) config.output.stride * down);
        return NativePixels.image(across, down, alpha, shrink / halved, out -> {
            config.output.pixels = out;
            return library.WebPDecode(file, size, config) == 0;
        });
    }
}
