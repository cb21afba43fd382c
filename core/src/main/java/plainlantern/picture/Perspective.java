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
import plainlantern.treating.Alpha;

/**
 * Pictures drawn in perspective. Each pixel is the weighted mean of all that a round spot of the output covers in the picture, an
 * {@link Ellipse}: nothing shimmers where the picture gets smaller. What gets smaller is averaged as light.
 */
final class Perspective {
    /** A picture's part begins at whole blocks of so many pixels, so that its smaller copies are the same whatever part is drawn. */
    private static final int BLOCK = 64;
    private static final int LEVELS = 12;
    private static final int PLACES = 9;
    private static final double FAR = 1e6;
    /** The ellipse is the same for so many pixels of a row: it changes slowly. */
    private static final int RUN = 8;
    /** Squares that are painted one after the other reach so far. */
    private static final int BESIDE = 8 * Square.SIDE;
    /** So many pixels beyond the picture an ellipse is followed, as if its edge went on. */
    private static final int AROUND = 4;
    private static final float[] LIGHT = Resample.LIGHT;
    private static final float[] STORED = Resample.STORED;

    private final List<Tile> levels;
    private final Projective map;
    private final Box all;
    /** Whether what lies beyond the picture is clear. */
    private final boolean open;

    private Perspective(Tile source, Projective map, Box all, boolean open, Box wanted) {
        levels = smaller(source, map, wanted);
        this.map = map;
        this.all = all;
        this.open = open;
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
        return new Perspective(source, map, all, warp.open(), clear.box()).drawn(clear);
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
            reach = Math.max(reach, Ellipse.SUPPORT * wide + 4);
        }
        Box box = seen.bounds().grown(reach);
        double left = Math.floor(Math.max(0, box.x()) / BLOCK) * BLOCK;
        double top = Math.floor(Math.max(0, box.y()) / BLOCK) * BLOCK;
        double right = Math.min(all.right(), box.right());
        double bottom = Math.min(all.bottom(), box.bottom());
        return right <= left || bottom <= top ? Optional.empty() : Optional.of(Box.between(left, top, right, bottom));
    }

    private Tile drawn(Tile out) {
        int left = Math.floorDiv(out.x(), BESIDE);
        int top = Math.floorDiv(out.y(), Square.SIDE);
        int columns = Math.floorDiv(out.x() + out.width() - 1, BESIDE) - left + 1;
        int rows = Math.floorDiv(out.y() + out.height() - 1, Square.SIDE) - top + 1;
        IntStream.range(0, columns * rows).parallel().forEach(i -> squares(out, (left + i % columns) * BESIDE,
                (top + i / columns) * Square.SIDE));
        return out;
    }

    /** Some squares beside each other, from there on, as far as they are in the output. */
    private void squares(Tile out, int left, int top) {
        Square square = new Square(map, levels.size() - 1, all, open);
        int fromY = Math.max(out.y(), top);
        int toY = Math.min(out.y() + out.height(), top + Square.SIDE);
        for (int x = left; x < left + BESIDE; x += Square.SIDE) {
            int fromX = Math.max(out.x(), x);
            int toX = Math.min(out.x() + out.width(), x + Square.SIDE);
            boolean even = square.takes(x, top);
            if (fromX >= toX) continue;
            if (even) square.ready(levels.get(square.spot().level), fromX, fromY, toX, toY);
            for (int y = fromY; y < toY; y++) {
                int at = (y - out.y()) * out.width() + fromX - out.x();
                if (even) square.row(y, fromX, toX, out.argb(), at);
                else new Row(y + 0.5).paint(fromX, toX, out.argb(), at);
            }
        }
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
                int at = 2 * y * from.width() + 2 * x;
                if (2 * x + 1 < from.width() && 2 * y + 1 < from.height()) {
                    int one = from.argb()[at];
                    int two = from.argb()[at + 1];
                    int three = from.argb()[at + from.width()];
                    int four = from.argb()[at + from.width() + 1];
                    if ((one & two & three & four) >>> 24 == 255) {
                        out[y * width + x] = 0xFF000000 | mean(one >> 16, two >> 16, three >> 16, four >> 16) << 16
                                | mean(one >> 8, two >> 8, three >> 8, four >> 8) << 8 | mean(one, two, three, four);
                        continue;
                    }
                }
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

    /** The light of four values, in their lowest eight bits. */
    private static int mean(int one, int two, int three, int four) {
        return Light.stored(Square.LIGHT[one & 0xFF] + Square.LIGHT[two & 0xFF] + Square.LIGHT[three & 0xFF] + Square.LIGHT[four & 0xFF]
                >> 3);
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
            sum[0] += share * values[Alpha.without(pixel & 0xFF, alpha)];
            sum[1] += share * values[Alpha.without(pixel >> 8 & 0xFF, alpha)];
            sum[2] += share * values[Alpha.without(pixel >> 16 & 0xFF, alpha)];
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
            out |= Alpha.times(value, alpha) << 8 * i;
        }
        return out;
    }

    /** One row of the output, pixel by pixel. */
    private final class Row {
        private final float[] sum = new float[4];
        private final double y;
        private final Projective.Row depth = map.depth();
        private Ellipse spot;
        private Tile from;
        private double smaller;
        private float high;

        Row(double y) {
            this.y = y;
        }

        void paint(int fromX, int toX, int[] argb, int at) {
            for (int x = fromX; x < toX; x++) argb[at++] = pixel(x + 0.5, Math.floorMod(x, RUN) == 0);
        }

        private int pixel(double x, boolean first) {
            double w = depth.at(x, y);
            if (w <= 0) return 0;
            double near = 1 / w;
            double u = map.across().at(x, y) * near;
            double v = map.down().at(x, y) * near;
            if (first || spot == null) spot(new Ellipse(map, u, v, w, 0, levels.size() - 1));
            double cover = open ? spot.cover(u, v, all) : 1;
            if (cover <= 0) return 0;
            double atU = u * smaller - from.x() - 0.5;
            double atV = v * smaller - from.y() - 0.5;
            int pixel = opaque(atU, atV);
            return Alpha.thinned(pixel == 0 ? clear(atU, atV) : pixel, cover);
        }

        private void spot(Ellipse next) {
            spot = next;
            from = levels.get(spot.level);
            smaller = 1.0 / (1 << spot.level);
            high = (float) Math.min(spot.reachDown(), FAR);
        }

        /** The mean of what is opaque; 0 where not all of it is. */
        private int opaque(double u, double v) {
            int[] argb = from.argb();
            float[] values = spot.light ? LIGHT : STORED;
            float fa = spot.a;
            float fb = spot.b;
            float fc = spot.c;
            int lastX = from.width() - 1;
            int lastY = from.height() - 1;
            float blue = 0;
            float green = 0;
            float red = 0;
            float weight = 0;
            int covered = -1;
            int middleX = (int) Math.floor(u);
            int middleY = (int) Math.floor(v);
            float restU = (float) (u - middleX);
            float restV = (float) (v - middleY);
            int bottom = Math.min(lastY + AROUND - middleY, floor(restV + high));
            for (int j = Math.max(-AROUND - middleY, ceiling(restV - high)); j <= bottom; j++) {
                float dv = j - restV;
                float far2 = spot.widest - spot.narrows * dv * dv;
                if (far2 <= 0) continue;
                float far = (float) Math.sqrt(far2);
                float middle = restU + spot.slant * dv;
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
                        float share = Ellipse.weight(at);
                        int pixel = argb[x];
                        weight += share;
                        covered &= pixel;
                        blue += share * values[pixel & 0xFF];
                        green += share * values[pixel >> 8 & 0xFF];
                        red += share * values[pixel >> 16 & 0xFF];
                        at += step;
                        step += bend;
                    }
                } else {
                    for (int x = left; x <= right; x++) {
                        float share = Ellipse.weight(at);
                        int pixel = argb[row + Math.max(0, Math.min(lastX, x))];
                        weight += share;
                        covered &= pixel;
                        blue += share * values[pixel & 0xFF];
                        green += share * values[pixel >> 8 & 0xFF];
                        red += share * values[pixel >> 16 & 0xFF];
                        at += step;
                        step += bend;
                    }
                }
            }
            if (covered >>> 24 < 255) return 0;
            if (weight <= 0) return nearest(argb, u, v, lastX, lastY);
            if (spot.light) return 0xFF000000 | Light.stored(red / weight / 255) << 16 | Light.stored(green / weight / 255) << 8
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
            double across = spot.reachAcross();
            double height = spot.reachDown();
            for (int y = (int) Math.ceil(Math.max(-AROUND, v - height)); y <= Math.min(lastY + AROUND, v + height); y++) {
                int row = Math.max(0, Math.min(lastY, y)) * from.width();
                for (int x = (int) Math.ceil(Math.max(-AROUND, u - across)); x <= Math.min(lastX + AROUND, u + across); x++) {
                    float share = spot.weight((float) (x - u), (float) (y - v));
                    if (share == 0) continue;
                    weight += share;
                    add(from.argb()[row + Math.max(0, Math.min(lastX, x))], share, spot.light ? LIGHT : STORED, sum);
                }
            }
            return weight <= 0 ? nearest(from.argb(), u, v, lastX, lastY) : mixed(sum, weight, spot.light);
        }
    }
}
