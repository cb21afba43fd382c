package plainlantern.studio.demo;

import java.awt.image.BufferedImage;
import java.util.stream.IntStream;

/** What is laid over everything: paper with its fibres, and light that fell in from a side. */
final class Textures {
    private Textures() {}

    /** Near white, a little uneven, with fibres that lie across and spots here and there; to be multiplied. */
    static BufferedImage paper(int width, int height) {
        return painted(width, height, (x, y) -> {
            double cloud = Noise.octaves(x * 3.0 / width, y * 3.0 / width, 4, 3);
            double fibres = Noise.octaves(x / 90.0, y / 7.0, 3, 17) * 0.6 + Noise.octaves(x / 8.0, y / 70.0, 3, 29) * 0.4;
            double spot = Math.max(0, Noise.at(x / 26.0, y / 26.0, 41) - 0.93) * 5;
            double light = 0.985 - 0.09 * (cloud - 0.3) - 0.12 * Math.abs(fibres - 0.5) - spot * 0.5;
            return colour(light, light - 0.012, light - 0.045);
        });
    }

    /** Black with a warm glow from the upper right and a narrower one below it; to be screened. */
    static BufferedImage light(int width, int height) {
        return painted(width, height, (x, y) -> {
            double u = (double) x / width;
            double v = (double) y / height;
            double wave = 0.12 * (Noise.octaves(v * 4, 1.7, 3, 7) - 0.5);
            double wide = Math.exp(-Math.pow((1.02 - u + wave) / 0.34, 2)) * Math.exp(-Math.pow((v - 0.24) / 0.34, 2));
            double narrow = Math.exp(-Math.pow((1 - u - 0.5 * wave) / 0.1, 2)) * Math.exp(-Math.pow((v - 0.55) / 0.16, 2));
            return colour(wide * 0.95 + narrow * 0.7, wide * 0.52 + narrow * 0.25, wide * 0.2 + narrow * 0.12);
        });
    }

    private interface Pixel {
        int at(int x, int y);
    }

    private static BufferedImage painted(int width, int height, Pixel pixel) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_3BYTE_BGR);
        int[][] rows = new int[height][];
        IntStream.range(0, height).parallel().forEach(y -> {
            rows[y] = new int[width];
            for (int x = 0; x < width; x++) rows[y][x] = pixel.at(x, y);
        });
        for (int y = 0; y < height; y++) image.setRGB(0, y, width, 1, rows[y], 0, width);
        return image;
    }

    private static int colour(double red, double green, double blue) {
        return level(red) << 16 | level(green) << 8 | level(blue);
    }

    private static int level(double share) {
        return (int) (Math.max(0, Math.min(1, share)) * 255 + 0.5);
    }
}
