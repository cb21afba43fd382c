package plainlantern.studio.demo;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import plainlantern.picture.Resample;

/**
 * An invented bay: sky with clouds and a sun or moon, layered ridges with mist at their feet, and water that mirrors them.
 * Places are in parts of the picture's height; across they go from 0 to width / height.
 *
 * @param horizon where the water begins, 0 the top
 * @param sunX    across, as a part of the width
 * @param sunY    down, as a part of the height
 * @param ridges  how many ridges stand behind each other
 * @param relief  how high they stand, as a part of the height
 * @param clouds  0 clear, 1 overcast
 */
record Landscape(int width, int height, Light light, double horizon, double sunX, double sunY, double sunSize, int ridges,
                 double relief, double clouds, int seed) {

    /** The broad forms are painted at half the size, which a quarter of the time pays for; the grain is full size. */
    BufferedImage paint() {
        BufferedImage half = new Landscape(width / 2, height / 2, light, horizon, sunX, sunY, sunSize, ridges, relief, clouds, seed)
                .forms();
        BufferedImage image = Resample.toSize(half, width, height);
        byte[] out = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
        IntStream.range(0, height).parallel().forEach(y -> {
            SplittableRandom random = new SplittableRandom((long) seed << 32 | y);
            for (int at = y * width * 3; at < (y + 1) * width * 3; at += 3) {
                int grain = random.nextInt(9) - 4;
                for (int k = 0; k < 3; k++) out[at + k] = (byte) Math.max(0, Math.min(255, (out[at + k] & 0xFF) + grain));
            }
        });
        return image;
    }

    private BufferedImage forms() {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_3BYTE_BGR);
        byte[] out = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
        double[][] crests = crests();
        IntStream.range(0, height).parallel().forEach(y -> {
            double[] c = new double[3];
            for (int x = 0; x < width; x++) {
                double u = (x + 0.5) / height;
                double v = (y + 0.5) / height;
                if (v < horizon) land(u, v, crests, c);
                else water(u, v, crests, c);
                int at = (y * width + x) * 3;
                for (int k = 0; k < 3; k++) out[at + k] = (byte) Math.max(0, Math.min(255, Math.round(c[2 - k])));
            }
        });
        return image;
    }

    /** The top edge of each ridge, far to near, column by column, as a part of the height. */
    private double[][] crests() {
        double[][] crests = new double[ridges][width];
        for (int r = 0; r < ridges; r++) {
            double near = (r + 1.0) / ridges;
            double rise = relief * (1.15 - 0.75 * near);
            for (int x = 0; x < width; x++) {
                double u = (double) x / height;
                double shape = Noise.octaves(u * (1.3 + near * 1.6) + r * 17.3, r * 3.1, 7, seed + r * 31);
                double broad = Noise.octaves(u * 0.7 + r * 5.7, 4.5, 2, seed + 77 + r);
                crests[r][x] = horizon - rise * (0.25 + 0.95 * shape * (0.5 + broad)) + near * 0.012;
            }
        }
        return crests;
    }

    private void land(double u, double v, double[][] crests, double[] c) {
        int x = Math.max(0, Math.min(width - 1, (int) (u * height)));
        int first = ridges - 1;
        while (first >= 0 && v - crests[first][x] < 0.0006) first--;
        if (first < 0) sky(u, v, c);
        for (int r = Math.max(0, first); r < ridges; r++) {
            double depth = v - crests[r][x];
            if (depth < -0.0006) continue;
            double near = ridges == 1 ? 1 : (double) r / (ridges - 1);
            double[] ridge = mixed(light.far(), light.near(), Math.pow(near, 1.3));
            double texture = (Noise.octaves(u * 26 + r * 9, v * 60, 3, seed + 5 + r) - 0.5) * 26 * near;
            double mist = smooth(0, relief * 0.9, depth) * (0.72 - 0.5 * near);
            double edge = smooth(-0.0006, 0.0006, depth);
            double[] haze = rgb(light.mist());
            double lit = glow(u, v) * 34 * (1 - near * 0.6);
            for (int k = 0; k < 3; k++) {
                double own = Noise.mix(ridge[k] + texture + lit, haze[k], mist);
                c[k] = Noise.mix(c[k], own, edge);
            }
        }
    }

    private void sky(double u, double v, double[] c) {
        double way = Math.min(0.9999, v / horizon) * (light.sky().length - 1);
        int band = (int) way;
        double[] here = mixed(light.sky()[band], light.sky()[band + 1], smooth(0, 1, way - band));
        double[] sun = rgb(light.sun());
        double near = glow(u, v);
        double stretch = 1.6 + 3.2 * v / horizon;
        double body = Noise.octaves(u * 1.5 + 3, v * 1.9 * stretch + 7, 6, seed + 3);
        double cloud = smooth(0.62 - clouds * 0.3, 0.92 - clouds * 0.24, body) * (0.35 + 0.6 * clouds);
        double shade = Noise.octaves(u * 3 + 11, v * 6 * stretch, 3, seed + 4);
        double[] lit = rgb(light.cloud());
        double distance = Math.hypot(u - sunX * width / height, v - sunY);
        double disc = 1 - smooth(sunSize * 0.93, sunSize * 1.03, distance);
        double stars = light == Light.NIGHT || light == Light.BLUE_HOUR ? star(u, v) * (1 - v / horizon) : 0;
        for (int k = 0; k < 3; k++) {
            double value = here[k] + (sun[k] - here[k]) * near * 0.75 + stars;
            double puff = Noise.mix(here[k] * 0.82, lit[k], Math.min(1, 0.35 + shade * 0.55 + near * 0.4));
            value = Noise.mix(value, puff, cloud * (1 - near * 0.35));
            c[k] = Noise.mix(value, Math.min(255, sun[k] + 6), disc * (1 - cloud * 0.55));
        }
    }

    private double star(double u, double v) {
        double spot = Noise.at(u * 420, v * 420, seed + 40);
        return Math.pow(spot, 60) * 210;
    }

    /** The sun's light at a place, 0 to 1. */
    private double glow(double u, double v) {
        double distance = Math.hypot((u - sunX * width / height) * 0.8, v - sunY);
        return light.glow() * (0.6 * Math.exp(-distance * distance * 26) + 0.4 * Math.exp(-distance * 4.2));
    }

    private void water(double u, double v, double[][] crests, double[] c) {
        double depth = (v - horizon) / (1 - horizon);
        double far = 1 / (0.05 + depth);
        double wave = Noise.octaves(u * 3.2 * Math.min(14, far), (v - horizon) * 150 / (0.25 + depth * 2.2), 4, seed + 21) - 0.5;
        double mirrored = horizon - (v - horizon) * 0.92 + wave * (0.012 + 0.05 * depth);
        double aside = u + wave * (0.004 + 0.03 * depth);
        land(aside, Math.max(0.002, Math.min(horizon - 0.0005, mirrored)), crests, c);
        double[] deep = mixed(light.near(), light.sky()[1], 0.35);
        double[] sun = rgb(light.sun());
        double column = Math.abs(u - sunX * width / height) / (0.035 + depth * 0.13);
        double glitter = Math.exp(-column * column) * smooth(0.06, 0.3, wave + 0.12) * light.glow();
        double crest = smooth(0.16, 0.42, wave) * 10;
        for (int k = 0; k < 3; k++) {
            double value = Noise.mix(c[k] * 0.93, deep[k], 0.12 + 0.42 * depth) + crest;
            c[k] = Noise.mix(value, sun[k], glitter * (0.75 - 0.35 * depth));
        }
    }

    private static double smooth(double low, double high, double value) {
        double t = Math.max(0, Math.min(1, (value - low) / (high - low)));
        return t * t * (3 - 2 * t);
    }

    private static double[] mixed(int a, int b, double t) {
        double[] one = rgb(a);
        double[] other = rgb(b);
        for (int k = 0; k < 3; k++) one[k] = Noise.mix(one[k], other[k], t);
        return one;
    }

    private static double[] rgb(int colour) {
        return new double[] {colour >> 16 & 255, colour >> 8 & 255, colour & 255};
    }
}
