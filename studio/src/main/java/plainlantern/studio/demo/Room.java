package plainlantern.studio.demo;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.List;
import java.util.stream.IntStream;
import plainlantern.geometry.Point;

/**
 * The mill's gallery as a camera sees it from a corner: two walls at right angles, floorboards, daylight from the left, and four
 * frames that are still empty, three in a row and one around the corner. Lengths are metres; the walls meet at a distance from the camera,
 * and each goes on from there.
 */
final class Room {
    private static final double EYE = 1.55;
    private static final double LENS = 0.74;
    private static final double LOOK = Math.toRadians(-12);
    private static final double[] CORNER = {0.9, 5.0};
    private static final double TURN = Math.toRadians(36);
    /** Along the long wall to the left, and along the short one to the right. */
    private static final double[] LONG = {-Math.cos(TURN), -Math.sin(TURN)};
    private static final double[] SHORT = {Math.sin(TURN), -Math.cos(TURN)};
    private static final double HIGH = 3.1;
    /** On which wall, from where to where along it, and from what height to what. */
    private static final double[][] FRAMES = {{0, 2.75, 3.65, 0.98, 2.23}, {0, 1.5, 2.6, 0.98, 2.23}, {0, 0.45, 1.35, 0.98, 2.23},
        {1, 0.4, 1.05, 1.0, 2.2}};
    private static final double MOULDING = 0.045;
    private static final double DEEP = 0.05;

    private final int width;
    private final int height;

    Room(int width, int height) {
        this.width = width;
        this.height = height;
    }

    /** The inner corners of a frame, in shares of the picture's width and height: upper left, upper right, lower right, lower left. */
    static List<Point> frame(int number, double aspect) {
        double[] f = FRAMES[number];
        // The long wall runs to the left.
        double left = f[0] == 0 ? f[2] : f[1];
        double right = f[0] == 0 ? f[1] : f[2];
        return List.of(seen(f[0], left, f[4], aspect), seen(f[0], right, f[4], aspect), seen(f[0], right, f[3], aspect),
                seen(f[0], left, f[3], aspect));
    }

    private static Point seen(double wall, double along, double up, double aspect) {
        double[] way = wall == 0 ? LONG : SHORT;
        double x = CORNER[0] + way[0] * along;
        double z = CORNER[1] + way[1] * along;
        double ahead = x * Math.sin(LOOK) + z * Math.cos(LOOK);
        double aside = x * Math.cos(LOOK) - z * Math.sin(LOOK);
        return new Point(0.5 + LENS * aside / ahead, 0.47 - LENS * aspect * (up - EYE) / ahead);
    }

    BufferedImage paint() {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_3BYTE_BGR);
        byte[] out = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
        IntStream.range(0, height).parallel().forEach(y -> {
            double[] rgb = new double[3];
            for (int x = 0; x < width; x++) {
                look((x + 0.5) / width, (y + 0.5) / height, rgb);
                double grain = 0.006 * (Noise.at(x * 0.7, y * 0.7, 3) - 0.5);
                for (int i = 0; i < 3; i++)
                    out[(y * width + x) * 3 + i] = (byte) Math.max(0, Math.min(255, 255 * (rgb[2 - i] + grain)));
            }
        });
        return image;
    }

    private void look(double across, double down, double[] rgb) {
        double aside = (across - 0.5) / LENS;
        double up = (0.47 - down) * height / width / LENS;
        double dx = aside * Math.cos(LOOK) + Math.sin(LOOK);
        double dz = -aside * Math.sin(LOOK) + Math.cos(LOOK);
        double far = Double.POSITIVE_INFINITY;
        int wall = -1;
        double along = 0;
        for (int i = 0; i < 2; i++) {
            double[] way = i == 0 ? LONG : SHORT;
            // Where the ray meets the wall's line: t (dx, dz) = corner + s way.
            double det = dx * way[1] - dz * way[0];
            double t = (CORNER[0] * way[1] - CORNER[1] * way[0]) / det;
            double s = (CORNER[0] * dz - CORNER[1] * dx) / det;
            if (t > 0 && s >= 0 && t < far) {
                far = t;
                wall = i;
                along = s;
            }
        }
        double at = EYE + up * far;
        double pixel = far / width / LENS;
        if (at < 0) floor(dx * EYE / -up, dz * EYE / -up, EYE / -up / width / LENS, rgb);
        else if (at > HIGH) flat(rgb, 0.86, 0.85, 0.82, 0.9 - 0.05 * (at - HIGH) / (up + 0.01) * 0.1);
        else wall(wall, along, at, pixel, rgb);
    }

    private static void flat(double[] rgb, double r, double g, double b, double light) {
        rgb[0] = r * light;
        rgb[1] = g * light;
        rgb[2] = b * light;
    }

    /** How much of a pixel is beyond an edge. */
    private static double beyond(double off, double pixel) {
        return Math.max(0, Math.min(1, off / pixel + 0.5));
    }

    private static void mix(double[] rgb, double r, double g, double b, double share) {
        rgb[0] += (r - rgb[0]) * share;
        rgb[1] += (g - rgb[1]) * share;
        rgb[2] += (b - rgb[2]) * share;
    }

    private void wall(int wall, double along, double at, double pixel, double[] rgb) {
        double plaster = 0.985 + 0.05 * (Noise.octaves(along * 2.2, at * 2.2, 4, 17 + wall) - 0.5);
        // Daylight falls from the left, a soft pool of it on the long wall.
        double pool = wall == 0 ? Math.exp(-Math.pow((along - 2.6) / 1.8, 2) - Math.pow((at - 1.9) / 1.5, 2)) : 0;
        double corner = 1 - 0.16 * Math.exp(-along / 0.35);
        double light = (wall == 0 ? 0.76 + 0.2 * pool : 0.6 + 0.05 * along) * corner * plaster;
        flat(rgb, 0.985, 0.95 + 0.01 * pool, 0.885 + 0.02 * pool, light);
        for (double[] f : FRAMES) if (f[0] == wall) frame(f, along, at, pixel, light, rgb);
        double skirting = beyond(0.11 - at, pixel);
        mix(rgb, 0.9 * light, 0.88 * light, 0.84 * light, skirting);
        mix(rgb, 0.45 * light, 0.42 * light, 0.38 * light, beyond(0.006 - Math.abs(at - 0.112), pixel) * 0.7);
        double shade = Math.exp(-at / 0.05) * 0.25;
        mix(rgb, 0.25, 0.2, 0.16, shade);
    }

    private static void frame(double[] f, double along, double at, double pixel, double light, double[] rgb) {
        // The shadow falls down and away from the window, a little.
        double fall = f[0] == 0 ? -0.05 : 0.03;
        double outside = outside(f, along - fall, at + 0.05, 0);
        double shadow = 0.42 * (1 - beyond(outside - 0.02, 0.12));
        mix(rgb, rgb[0] * 0.45, rgb[1] * 0.42, rgb[2] * 0.42, shadow);
        double inMoulding = beyond(-outside(f, along, at, MOULDING), pixel);
        double inPaper = beyond(-outside(f, along, at, 0), pixel);
        double wood = 0.9 + 0.4 * (Noise.octaves(along * 9, at * 60, 3, 5) - 0.5);
        boolean upright = Math.min(Math.abs(along - f[1]), Math.abs(along - f[2])) < MOULDING
                && at > f[3] && at < f[4];
        double bright = light * wood * (upright ? 1.05 : 0.9);
        mix(rgb, 0.34 * bright, 0.225 * bright, 0.14 * bright, inMoulding);
        mix(rgb, 0.93 * light, 0.925 * light, 0.9 * light, inPaper);
        // What the moulding casts onto the paper.
        double top = Math.exp(-Math.max(0, f[4] - at) / DEEP * 1.6);
        double side = Math.exp(-Math.max(0, f[0] == 0 ? f[2] - along : along - f[1]) / DEEP * 1.6);
        double cast = inPaper * (0.34 * top + 0.3 * side * (1 - top));
        mix(rgb, rgb[0] * 0.35, rgb[1] * 0.34, rgb[2] * 0.36, cast);
    }

    /** How far a place is outside a frame, metres; less than zero within it. */
    private static double outside(double[] f, double along, double at, double wider) {
        double dx = Math.max(f[1] - wider - along, along - f[2] - wider);
        double dy = Math.max(f[3] - wider - at, at - f[4] - wider);
        return dx > 0 && dy > 0 ? Math.hypot(dx, dy) : Math.max(dx, dy);
    }

    private static void floor(double x, double z, double pixel, double[] rgb) {
        double s = (x - CORNER[0]) * LONG[0] + (z - CORNER[1]) * LONG[1];
        double t = (x - CORNER[0]) * SHORT[0] + (z - CORNER[1]) * SHORT[1];
        double board = Math.floor(t / 0.16);
        double within = t / 0.16 - board;
        double tint = 0.9 + 0.22 * (Noise.at(board * 7.3, 0.5, 9) - 0.5) + 0.12 * (Noise.octaves(s * 1.5 + board * 5, t * 40, 3, 31) - 0.5);
        double pool = Math.exp(-Math.pow((s - 2.6) / 1.7, 2) - Math.pow((t - 1.4) / 1.3, 2));
        double near = 1 - 0.35 * Math.exp(-Math.max(0, Math.min(s, t)) / 0.25);
        double light = (0.62 + 0.38 * pool) * near * tint;
        flat(rgb, 0.66, 0.49, 0.34, light);
        double gap = Math.min(within, 1 - within) * 0.16;
        mix(rgb, 0.2 * light, 0.13 * light, 0.09 * light, 0.75 * beyond(0.004 - gap, Math.max(pixel * 2, 0.003)));
    }
}
