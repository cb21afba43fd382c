package plainlantern.picture;

import java.awt.image.BufferedImage;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;

/** The smaller copies that a picture gets when it is imported. */
public final class Previews {
    private static final float LIGHT = 0.82f;
    private static final double SCREEN = 96;
    private static final float QUALITY = 0.88f;

    private Previews() {}

    /** A preview's name and its longest side in pixels; no preview is larger than its picture. */
    public enum Level {
        SMALL(320), MEDIUM(1280), LARGE(2560);

        private final int side;

        Level(int side) {
            this.side = side;
        }

        public int side() {
            return side;
        }

        /** The one with that name in lower case. */
        public static Optional<Level> named(String name) {
            return Arrays.stream(values()).filter(level -> level.name().equalsIgnoreCase(name)).findFirst();
        }
    }

    /** Encoded bytes: JPEG, or PNG where the picture has transparency. */
    public static Map<Level, byte[]> of(BufferedImage picture) {
        Map<Level, byte[]> previews = new EnumMap<>(Level.class);
        BufferedImage from = picture;
        Level[] levels = Level.values();
        for (int i = levels.length - 1; i >= 0; i--) {
            from = atMost(from, levels[i].side());
            previews.put(levels[i], from.getColorModel().hasAlpha() ? Encoder.png(from, 72) : Encoder.jpeg(from, QUALITY, 72));
        }
        return previews;
    }

    /** A preview that someone waits for: JPEG, or PNG where the image has transparency. */
    public static byte[] encoded(BufferedImage image) {
        if (image.getColorModel().hasAlpha()) return Encoder.png(image, 72);
        return FastJpeg.encode(image, Math.round(100 * QUALITY)).orElseGet(() -> Encoder.jpeg(image, QUALITY, 72));
    }

    /** An image for the screen: JPEG where no pixel is clear, else PNG. */
    public static byte[] light(BufferedImage image) {
        return opaque(image) ? Encoder.jpeg(image, LIGHT, SCREEN) : Encoder.png(image, SCREEN);
    }

    private static boolean opaque(BufferedImage image) {
        int[] row = new int[image.getWidth()];
        for (int y = 0; y < image.getHeight(); y++) {
            image.getRGB(0, y, row.length, 1, row, 0, row.length);
            for (int pixel : row) if (pixel >>> 24 != 255) return false;
        }
        return true;
    }

    /** The image with at most so many pixels along its longer side. */
    public static BufferedImage atMost(BufferedImage image, int side) {
        int[] size = size(image, side);
        return side >= Math.max(image.getWidth(), image.getHeight()) ? image : Resample.toSize(image, size[0], size[1]);
    }

    /** The width and height of an image with at most so many pixels along its longer side. */
    static int[] size(BufferedImage image, int side) {
        double share = Math.min(1, (double) side / Math.max(image.getWidth(), image.getHeight()));
        return new int[] {Math.max(1, (int) Math.round(image.getWidth() * share)),
            Math.max(1, (int) Math.round(image.getHeight() * share))};
    }
}
