package plainlantern.bench;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.SplittableRandom;

/** Photo-like pixels: broad slopes, edges and grain, so that files have the size that cameras' files have. */
final class Pixels {
    private Pixels() {}

    static BufferedImage photo(int width, int height, int seed) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_3BYTE_BGR);
        byte[] out = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
        SplittableRandom random = new SplittableRandom(seed);
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                double wave = Math.sin(x * 0.004 + seed) * Math.cos(y * 0.003) * 60 + Math.sin((x + y) * 0.05) * 20;
                int step = ((x / 97 + y / 61) & 3) * 12;
                int grain = random.nextInt(17) - 8;
                int at = (y * width + x) * 3;
                for (int k = 0; k < 3; k++) out[at + k] = (byte) Math.max(0, Math.min(255, 120 + wave * (1 - k * 0.3) + step + grain));
            }
        }
        return image;
    }
}
