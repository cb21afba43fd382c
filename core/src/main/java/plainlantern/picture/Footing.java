package plainlantern.picture;

import java.awt.image.BufferedImage;
import java.util.Optional;
import plainlantern.sheet.Foot;

/** Finds where a picture with transparency stands: the ends of the lowest of its rows that can be seen. */
public final class Footing {
    /** The foot is what can be seen in the lowest part, so much of the height of all that can be seen. */
    private static final double LOW = 0.03;
    /** Seen is what is at least half opaque. */
    private static final int SEEN = 128;

    private Footing() {}

    /** Empty where every pixel is opaque, all but a thousandth at most. */
    public static Optional<Foot> of(BufferedImage picture) {
        if (!picture.getColorModel().hasAlpha()) return Optional.empty();
        int width = picture.getWidth();
        int height = picture.getHeight();
        return of(picture.getRGB(0, 0, width, height, null, 0, width), width, height);
    }

    static Optional<Foot> of(int[] argb, int width, int height) {
        int clear = 0;
        int top = height;
        int bottom = -1;
        for (int i = 0; i < argb.length; i++) {
            int alpha = argb[i] >>> 24;
            if (alpha < 250) clear++;
            if (alpha < SEEN) continue;
            top = Math.min(top, i / width);
            bottom = i / width;
        }
        if (clear <= argb.length / 1000) return Optional.empty();
        if (bottom < 0) return Optional.of(new Foot(0, 1, 1));
        int left = width;
        int right = -1;
        for (int y = (int) Math.max(top, bottom - LOW * (bottom - top)); y <= bottom; y++) {
            for (int x = 0; x < width; x++) {
                if (argb[y * width + x] >>> 24 < SEEN) continue;
                left = Math.min(left, x);
                right = Math.max(right, x);
            }
        }
        return Optional.of(new Foot((double) left / width, (right + 1.0) / width, (bottom + 1.0) / height));
    }
}
