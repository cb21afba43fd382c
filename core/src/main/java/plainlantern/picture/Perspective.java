package plainlantern.picture;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.geometry.Projective;
import plainlantern.sheet.Light;
import plainlantern.sheet.Treated;
import plainlantern.sheet.Warp;

/**
 * Pictures drawn in perspective. Each pixel is the weighted mean of all that a round spot of the output covers in the picture, an ellipse
 * (Heckbert 1989, section 3.5, with limits as Greene and Heckbert 1986 have them): nothing shimmers where the picture gets smaller. What
 * gets smaller is averaged as light.
 */
final class Perspective {
    /** A picture's part begins at whole blocks of so many pixels, so that its smaller copies are the same whatever part is drawn. */
    private static final int BLOCK = 64;
    private static final int LEVELS = 12;
    /** So many times longer than wide an ellipse may be; a longer one is made wider. */
    private static final double LONGEST = 24;
    private static final int PLACES = 9;
    private static final int STEPS = 256;
    private static final int MASK = 1023;
    private static final double FAR = 1e6;
    /** The ellipse is the same for so many pixels of a row: it changes slowly. */
    private static final int RUN = 8;
    private static final double SUPPORT = 2;
    /** So many pixels beyond the picture an ellipse is followed, as if its edge went on. */
    private static final int AROUND = 4;
    /** Keys' cubic with B = 0.3782 and C = 0.3109 over the distance (Robidoux; from memory), by distance squared. */
    private static final float[] WEIGHTS = weights(0.37821575509399867, 0.31089212245300067);
    private static final float[] LIGHT = Resample.LIGHT;
    private static final float[] STORED = Resample.STORED;

    private final List<Tile> levels;
    private final Projective map;
    private final Optional<Box> edges;
    private final boolean opaque;

    private Perspective(Tile source, Projective map, Optional<Box> edges, Box wanted) {
        levels = smaller(source, map, wanted);
        opaque = Arrays.stream(source.argb()).parallel().allMatch(pixel -> pixel >>> 24 == 255);
        this.map = map;
        this.edges = edges;
    }

    private static float[] weights(double b, double c) {
        float[] out = new float[MASK + 1];
        for (int i = 0; i < out.length; i++) {
            double x = Math.sqrt((i + 0.5) / STEPS);
            double x2 = x * x;
            double x3 = x2 * x;
            out[i] = (float) (x < 1 ? (12 - 9 * b - 6 * c) * x3 + (-18 + 12 * b + 6 * c) * x2 + 6 - 2 * b
                    : x < 2 ? (-b - 6 * c) * x3 + (6 * b + 30 * c) * x2 + (-12 * b - 48 * c) * x + 8 * b + 24 * c : 0);
        }
        return out;
    }

    /** @param toBox from the output's pixels to shares of the box that the picture is drawn into */
    static Tile onto(PictureSource pictures, Treated what, Affine toBox, Box wanted) {
        Warp warp = what.warp().orElseThrow();
        Tile clear = Tile.over(wanted);
        Affine toPixels = Affine.scale(warp.width(), warp.height());
        double needed = share(warp.toPicture().then(toPixels), toBox, warp);
        // Halved as often as leaves all that is wanted: the ellipses do the rest.
        double share = 1.0 / Integer.highestOneBit((int) Math.max(1, Math.min(1 << LEVELS, 1 / needed)));
        Projective map = warp.toPicture().after(toBox).then(toPixels).then(Affine.scale(share, share));
        Box all = new Box(0, 0, warp.width() * share, warp.height() * share);
        Optional<Box> part = part(map, clear.box(), all);
        if (part.isEmpty()) return clear;
        Tile source = pictures.onto(what.warped(Optional.empty()), warp.width(), warp.height(), Affine.scale(share, share), part.get());
        return new Perspective(source, map, warp.open() ? Optional.of(all) : Optional.empty(), clear.box()).drawn(clear);
    }

    /** As many of the picture's pixels, 1 at most, as an output has where it shows the picture largest, wherever in the box. */
    private static double share(Projective toPixels, Affine toBox, Warp warp) {
        double least = Double.POSITIVE_INFINITY;
        Affine back = toBox.inverse();
        for (int i = 0; i <= PLACES; i++) {
            for (int j = 0; j <= PLACES; j++) {
                Point at = new Point((double) i / PLACES, (double) j / PLACES);
                if (toPixels.depth(at) <= 0) continue;
                Point there = toPixels.apply(at);
                boolean seen = there.x() > -0.1 * warp.width() && there.x() < 1.1 * warp.width() && there.y() > -0.1 * warp.height()
                        && there.y() < 1.1 * warp.height();
                if (seen) least = Math.min(least, toPixels.after(toBox).local(back.apply(at)).least());
            }
        }
        return Math.min(1, 1 / least);
    }

    /** The part of the picture that is drawn on, in whole blocks; empty where none of it is seen. */
    private static Optional<Box> part(Projective map, Box wanted, Box all) {
        Path seen = map.mapped(Path.box(wanted.grown(1)));
        if (seen.empty()) return Optional.empty();
        double reach = 4;
        for (Point corner : Path.box(wanted).corners().orElseThrow()) {
            double wide = map.depth(corner) > 0 ? Math.min(map.local(corner).greatest(), all.width() + all.height()) : 0;
            reach = Math.max(reach, SUPPORT * wide + 4);
        }
        Box box = seen.bounds().grown(reach);
        double left = Math.floor(Math.max(0, box.x()) / BLOCK) * BLOCK;
        double top = Math.floor(Math.max(0, box.y()) / BLOCK) * BLOCK;
        double right = Math.min(all.right(), box.right());
        double bottom = Math.min(all.bottom(), box.bottom());
        return right <= left || bottom <= top ? Optional.empty() : Optional.of(Box.between(left, top, right, bottom));
    }

    private Tile drawn(Tile out) {
        IntStream.range(0, out.height()).parallel().forEach(row -> {
            Row of = new Row(out.y() + row + 0.5);
            for (int x = 0; x < out.width(); x++)
                out.argb()[row * out.width() + x] = of.pixel(out.x() + x + 0.5, Math.floorMod(out.x() + x, RUN) == 0);
        });
        return out;
    }

    /** The picture at half the size, again and again, as often as may be needed for a part of the output. */
    private static List<Tile> smaller(Tile source, Projective map, Box wanted) {
        double most = 1;
        for (int i = 0; i <= PLACES; i++) {
            for (int j = 0; j <= PLACES; j++) {
                Point at = new Point(wanted.x() + wanted.width() * i / PLACES, wanted.y() + wanted.height() * j / PLACES);
                if (map.depth(at) > 0) most = Math.max(most, map.local(at).least());
            }
        }
        List<Tile> levels = new ArrayList<>(List.of(source));
        for (double left = most; left >= 2 && levels.size() < LEVELS; left /= 2) levels.add(half(levels.get(levels.size() - 1)));
        return levels;
    }

    private static Tile half(Tile from) {
        int width = Math.max(1, from.width() / 2);
        int height = Math.max(1, from.height() / 2);
        int[] out = new int[width * height];
        IntStream.range(0, height).parallel().forEach(y -> {
            float[] sum = new float[4];
            for (int x = 0; x < width; x++) {
                Arrays.fill(sum, 0);
                for (int k = 0; k < 4; k++) {
                    int sx = Math.min(from.width() - 1, 2 * x + (k & 1));
                    int sy = Math.min(from.height() - 1, 2 * y + (k >> 1));
                    add(from.argb()[sy * from.width() + sx], 1, LIGHT, sum);
                }
                out[y * width + x] = mixed(sum, 4, true);
            }
        });
        return new Tile(from.x() / 2, from.y() / 2, width, height, out);
    }

    /** Adds a pixel whose alpha may be multiplied into its colours. */
    private static void add(int pixel, float weight, float[] values, float[] sum) {
        int alpha = pixel >>> 24;
        if (alpha == 255) {
            sum[0] += weight * values[pixel & 0xFF];
            sum[1] += weight * values[pixel >> 8 & 0xFF];
            sum[2] += weight * values[pixel >> 16 & 0xFF];
            sum[3] += weight * 255;
        } else if (alpha > 0) {
            float share = weight * alpha / 255;
            sum[0] += share * values[Math.min(255, ((pixel & 0xFF) * 255 + alpha / 2) / alpha)];
            sum[1] += share * values[Math.min(255, ((pixel >> 8 & 0xFF) * 255 + alpha / 2) / alpha)];
            sum[2] += share * values[Math.min(255, ((pixel >> 16 & 0xFF) * 255 + alpha / 2) / alpha)];
            sum[3] += share * 255;
        }
    }

    /** The mean, alpha multiplied in. */
    private static int mixed(float[] sum, float weight, boolean light) {
        int alpha = Math.max(0, Math.min(255, (int) (sum[3] / weight + 0.5f)));
        if (alpha == 0) return 0;
        float whole = sum[3] / 255;
        int out = alpha << 24;
        for (int i = 0; i < 3; i++) {
            int value = light ? Light.stored(sum[i] / whole / 255) : Math.max(0, Math.min(255, (int) (sum[i] / whole + 0.5f)));
            out |= (alpha == 255 ? value : (value * alpha + 127) / 255) << 8 * i;
        }
        return out;
    }

    /** One row of the output, pixel by pixel. */
    private final class Row {
        private final float[] sum = new float[4];
        private final double y;
        private final Projective.Row depth = map.depth();
        /**
         * The ellipse: the picture at half the size so many times, a·u² + b·u·v + c·v² below {@link #SUPPORT} squared, how far it
         * reaches.
         */
        private Tile from;
        private double down;
        private double a;
        private double b;
        private double c;
        private double height;
        /** Of each of its lines, where the middle is and how far the ends are from that, squared. */
        private float slant;
        private float widest;
        private float narrows;
        private float high;
        /** The ellipse in steps of the weights. */
        private float fa;
        private float fb;
        private float fc;
        private boolean light;
        private double stepU;
        private double stepV;

        Row(double y) {
            this.y = y;
        }

        int pixel(double x, boolean first) {
            double w = depth.at(x, y);
            if (w <= 0) return 0;
            double near = 1 / w;
            double u = map.across().at(x, y) * near;
            double v = map.down().at(x, y) * near;
            if (first || from == null) ellipse(u, v, w);
            double cover = edges.isEmpty() ? 1 : cover(u, stepU, edges.get().width()) * cover(v, stepV, edges.get().height());
            if (cover <= 0) return 0;
            double atU = u * down - from.x() - 0.5;
            double atV = v * down - from.y() - 0.5;
            int mean = opaque ? opaque(atU, atV) : clear(atU, atV);
            return cover >= 1 ? mean : thinned(mean, cover);
        }

        /** How much of a pixel lies between two parallel edges of the picture. */
        private double cover(double at, double step, double far) {
            double near = Math.min(1, at / step + 0.5);
            return Math.max(0, Math.min(near, Math.min(1, (far - at) / step + 0.5)));
        }

        private int thinned(int pixel, double cover) {
            int out = 0;
            for (int shift = 0; shift < 32; shift += 8) out |= (int) ((pixel >>> shift & 0xFF) * cover + 0.5) << shift;
            return out;
        }

        /** What a round spot of the output covers about a place of the picture. */
        private void ellipse(double u, double v, double w) {
            double ux = (map.across().x() - u * depth.x()) / w;
            double uy = (map.across().y() - u * depth.y()) / w;
            double vx = (map.down().x() - v * depth.x()) / w;
            double vy = (map.down().y() - v * depth.y()) / w;
            double uu = ux * ux + uy * uy;
            double uv = ux * vx + uy * vy;
            double vv = vx * vx + vy * vy;
            stepU = Math.sqrt(uu);
            stepV = Math.sqrt(vv);
            double half = (uu + vv) / 2;
            double root = Math.sqrt(Math.max(0, half * half - (uu * vv - uv * uv)));
            double greatest = half + root;
            double least = Math.max(half - root, greatest / (LONGEST * LONGEST));
            light = greatest * least > 1;
            int level = least < 4 ? 0 : Math.min(levels.size() - 1, (int) (Math.log(least) / Math.log(4)));
            from = levels.get(level);
            down = 1.0 / (1 << level);
            double wide = Math.max(1, greatest * down * down);
            double narrow = Math.max(1, least * down * down);
            // Along the longer axis the wide one, across it the narrow one.
            double more = root > 1e-9 * half ? (wide - narrow) / (2 * root) : 0;
            double p = narrow + more * (uu - half + root);
            double q = more * uv;
            double r = narrow + more * (vv - half + root);
            double det = p * r - q * q;
            a = r / det;
            b = -2 * q / det;
            c = p / det;
            height = SUPPORT * Math.sqrt(r);
            high = (float) Math.min(height, FAR);
            slant = (float) (q / r);
            widest = (float) (SUPPORT * SUPPORT / a);
            narrows = (float) (1 / (r * a));
            fa = (float) (a * STEPS);
            fb = (float) (b * STEPS);
            fc = (float) (c * STEPS);
        }

        private int opaque(double u, double v) {
            int[] argb = from.argb();
            float[] values = light ? LIGHT : STORED;
            int lastX = from.width() - 1;
            int lastY = from.height() - 1;
            float blue = 0;
            float green = 0;
            float red = 0;
            float weight = 0;
            int middleX = (int) Math.floor(u);
            int middleY = (int) Math.floor(v);
            float restU = (float) (u - middleX);
            float restV = (float) (v - middleY);
            int bottom = Math.min(lastY + AROUND - middleY, floor(restV + high));
            for (int j = Math.max(-AROUND - middleY, ceiling(restV - high)); j <= bottom; j++) {
                float dv = j - restV;
                float far2 = widest - narrows * dv * dv;
                if (far2 <= 0) continue;
                float far = (float) Math.sqrt(far2);
                float middle = restU + slant * dv;
                int first = Math.max(-AROUND - middleX, ceiling(middle - far));
                int left = middleX + first;
                int right = Math.min(lastX + AROUND, middleX + floor(middle + far));
                int row = Math.max(0, Math.min(lastY, middleY + j)) * (lastX + 1);
                float du = first - restU;
                float at = (fa * du + fb * dv) * du + fc * dv * dv;
                float step = fa * (2 * du + 1) + fb * dv;
                float bend = 2 * fa;
                if (left >= 0 && right <= lastX) {
                    for (int x = row + left; x <= row + right; x++) {
                        float share = WEIGHTS[(int) at & MASK];
                        int pixel = argb[x];
                        weight += share;
                        blue += share * values[pixel & 0xFF];
                        green += share * values[pixel >> 8 & 0xFF];
                        red += share * values[pixel >> 16 & 0xFF];
                        at += step;
                        step += bend;
                    }
                } else {
                    for (int x = left; x <= right; x++) {
                        float share = WEIGHTS[(int) at & MASK];
                        int pixel = argb[row + Math.max(0, Math.min(lastX, x))];
                        weight += share;
                        blue += share * values[pixel & 0xFF];
                        green += share * values[pixel >> 8 & 0xFF];
                        red += share * values[pixel >> 16 & 0xFF];
                        at += step;
                        step += bend;
                    }
                }
            }
            if (weight <= 0) return nearest(argb, u, v, lastX, lastY);
            if (light) return 0xFF000000 | Light.stored(red / weight / 255) << 16 | Light.stored(green / weight / 255) << 8
                    | Light.stored(blue / weight / 255);
            return 0xFF000000 | Resample.level(red / weight, 255) << 16 | Resample.level(green / weight, 255) << 8
                    | Resample.level(blue / weight, 255);
        }

        /** Beyond the picture its edge goes on. */
        private int nearest(int[] argb, double u, double v, int lastX, int lastY) {
            return argb[(int) Math.max(0, Math.min(lastY, v)) * (lastX + 1) + (int) Math.max(0, Math.min(lastX, u))];
        }

        private int ceiling(float value) {
            int whole = (int) value;
            return whole < value ? whole + 1 : whole;
        }

        private int floor(float value) {
            int whole = (int) value;
            return whole > value ? whole - 1 : whole;
        }

        private int clear(double u, double v) {
            int lastX = from.width() - 1;
            int lastY = from.height() - 1;
            float weight = 0;
            Arrays.fill(sum, 0);
            double across = SUPPORT * Math.sqrt(4 * c / (4 * a * c - b * b));
            for (int y = (int) Math.ceil(Math.max(-AROUND, v - height)); y <= Math.min(lastY + AROUND, v + height); y++) {
                int row = Math.max(0, Math.min(lastY, y)) * from.width();
                double dv = y - v;
                for (int x = (int) Math.ceil(Math.max(-AROUND, u - across)); x <= Math.min(lastX + AROUND, u + across); x++) {
                    double du = x - u;
                    double far = (a * du + b * dv) * du + c * dv * dv;
                    if (far >= SUPPORT * SUPPORT) continue;
                    float share = WEIGHTS[(int) (far * STEPS)];
                    weight += share;
                    add(from.argb()[row + Math.max(0, Math.min(lastX, x))], share, light ? LIGHT : STORED, sum);
                }
            }
            return weight <= 0 ? nearest(from.argb(), u, v, lastX, lastY) : mixed(sum, weight, light);
        }
    }
}
