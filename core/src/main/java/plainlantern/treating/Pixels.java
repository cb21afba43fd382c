package plainlantern.treating;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.awt.image.DataBufferUShort;
import java.util.Optional;
import java.util.stream.IntStream;
import plainlantern.geometry.Affine;

/** Images of interleaved samples to the pixels of patches, and back. */
final class Pixels {
    private static final int MOST = 0xFFFF;

    private Pixels() {}

    /** All of an image of interleaved samples: blue, green, red, and alpha before them where there is one. */
    static Patch of(BufferedImage image) {
        Affine toPicture = Affine.scale(1.0 / image.getWidth(), 1.0 / image.getHeight());
        if (image.getRaster().getDataBuffer() instanceof DataBufferUShort deep) {
            Patch patch = new Patch(new int[image.getWidth() * image.getHeight()],
                    Optional.of(new int[image.getWidth() * image.getHeight()]), image.getWidth(), image.getHeight(), toPicture);
            fill(deep.getData(), image.getColorModel().hasAlpha(), patch);
            return patch;
        }
        return new Patch(argb(image), image.getWidth(), image.getHeight(), toPicture);
    }

    private static void fill(short[] samples, boolean clear, Patch patch) {
        int width = patch.width();
        IntStream.range(0, patch.height()).parallel().forEach(y -> {
            int at = y * width * (clear ? 4 : 3);
            for (int i = y * width; i < (y + 1) * width; i++) {
                int alpha = clear ? samples[at++] & MOST : MOST;
                patch.deepen(i, 24, alpha);
                for (int shift = 0; shift < 24; shift += 8, at++)
                    patch.deepen(i, shift, (int) (((samples[at] & MOST) * (long) alpha + MOST / 2) / MOST));
            }
        });
    }

    /** 0xAARRGGBB of an image of TYPE_3BYTE_BGR or TYPE_4BYTE_ABGR, alpha multiplied in. */
    private static int[] argb(BufferedImage image) {
        byte[] bytes = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
        boolean clear = image.getColorModel().hasAlpha();
        int width = image.getWidth();
        int[] out = new int[width * image.getHeight()];
        IntStream.range(0, image.getHeight()).parallel().forEach(y -> {
            int at = y * width * (clear ? 4 : 3);
            for (int i = y * width; i < (y + 1) * width; i++) {
                if (!clear) {
                    out[i] = 0xFF000000 | (bytes[at + 2] & 0xFF) << 16 | (bytes[at + 1] & 0xFF) << 8 | bytes[at] & 0xFF;
                    at += 3;
                } else {
                    int alpha = bytes[at] & 0xFF;
                    out[i] = Alpha.multiplied(alpha << 24 | (bytes[at + 3] & 0xFF) << 16 | (bytes[at + 2] & 0xFF) << 8
                            | bytes[at + 1] & 0xFF);
                    at += 4;
                }
            }
        });
        return out;
    }

    /** @param clear whether the image is to have transparency */
    static BufferedImage image(Patch patch, boolean clear) {
        int width = patch.width();
        BufferedImage image = new BufferedImage(width, patch.height(), clear ? BufferedImage.TYPE_4BYTE_ABGR
                : BufferedImage.TYPE_3BYTE_BGR);
        byte[] bytes = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
        IntStream.range(0, patch.height()).parallel().forEach(y -> {
            int at = y * width * (clear ? 4 : 3);
            for (int i = y * width; i < (y + 1) * width; i++) {
                int pixel = patch.argb()[i];
                int alpha = pixel >>> 24;
                if (clear) bytes[at++] = (byte) alpha;
                for (int shift = 0; shift < 24; shift += 8) {
                    int value = pixel >> shift & 0xFF;
                    bytes[at++] = (byte) (clear ? Alpha.without(value, alpha) : value);
                }
            }
        });
        return image;
    }
}
