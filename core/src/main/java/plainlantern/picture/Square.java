package plainlantern.picture;

import java.util.Arrays;
import plainlantern.geometry.Box;
import plainlantern.geometry.Projective;
import plainlantern.sheet.Light;
import plainlantern.treating.Alpha;

/**
 * Paints squares of the output, one beside the other, in which a picture gets smaller by nearly the same everywhere: one ellipse serves all
 * of a square. Its weights are worked out once for each of 16 by 16 places within a pixel of the picture, and what lies beneath is made
 * light once, whole numbers in pairs. So a sample costs two multiplications; a place is off by a thirty-second of the picture's pixel.
 */
final class Square {
    static final int SIDE = 64;
    private static final int PLACES = 16;
    /** Places of the picture are counted in so many steps a pixel: bits of whole ones, and those below a sixteenth. */
    private static final int WHOLES = 16;
    private static final int FINE = 12;
    private static final int STEPS = 1 << WHOLES;
    private static final int RUN = 8;
    /** So much may what an ellipse reaches, squared, differ from what it would in a square's corners. */
    private static final double NEARLY = 0.06;
    /** Pixels of the picture beneath a square, at most. */
    private static final int MOST = 1 << 16;
    /** White and opaque in sixteen bits, and the sum of all weights. */
    private static final int WHITE = 0xFFFF;
    private static final int WHOLE = 1 << 14;
    private static final float BRIGHTEST = (float) WHITE * WHOLE;
    /** So many bits more than {@link Light} looks at. */
    private static final int FINER = 15;
    private static final int HALF = 1 << FINER - 1;
    static final int[] LIGHT = new int[256];

    static {
        for (int i = 0; i < 256; i++) LIGHT[i] = (int) Math.round(WHITE * Light.linear(i));
    }

    private final Projective map;
    private final int most;
    private final Box all;
    private final boolean open;
    /** Serves the squares since one that the one before did not. */
    private Ellipse spot;
    private boolean weighed;
    /**
     * By place within a pixel: how many pairs of samples beside each other there are, both weights of each, and where it lies in
     * {@link #beneath}.
     */
    private final int[] counts = new int[PLACES * PLACES];
    private int room;
    private int[] weights = {};
    private int[] offsets = {};
    private float[] shares = {};
    /** Red above green, blue above alpha, 32 bits each, of the part of the picture from {@link #left} and {@link #top} on. */
    private long[] beneath = {};
    private int left;
    private int top;
    private int wide;
    /** Whether all of the square is inside the picture. */
    private boolean inside;

    /**
     * @param most the last level of the picture that there is
     * @param all  the whole picture
     * @param open whether what lies beyond it is clear
     */
    Square(Projective map, int most, Box all, boolean open) {
        this.map = map;
        this.most = most;
        this.all = all;
        this.open = open;
    }

    /**
     * Whether the square of the output from there on can be painted so: the same whatever part of it is painted, if all squares of a row
     * are asked for from the first one on.
     */
    boolean takes(int x, int y) {
        if (spot != null && serves(x, y)) return true;
        spot = null;
        double middle = SIDE / 2.0;
        if (map.depth().at(x + middle, y + middle) <= 0) return false;
        spot = spot(x + middle, y + middle, 0, most);
        weighed = false;
        if (!spot.light || !serves(x, y)) spot = null;
        return spot != null;
    }

    /** Whether the ellipse is nearly that of all of a square. */
    private boolean serves(int x, int y) {
        double nearly = NEARLY * Math.min(spot.across, spot.down);
        for (int i = 0; i < 4; i++) {
            double cornerX = x + (i & 1) * SIDE;
            double cornerY = y + (i >> 1) * SIDE;
            if (map.depth().at(cornerX, cornerY) <= 0) return false;
            Ellipse other = spot(cornerX, cornerY, spot.level, spot.level);
            if (!other.light || Math.abs(other.across - spot.across) > nearly
                    || Math.abs(other.down - spot.down) > nearly || Math.abs(other.lean - spot.lean) > nearly) return false;
        }
        Box box = under(x, y, x + SIDE, y + SIDE);
        double larger = 1 << spot.level;
        inside = box.x() >= 0 && box.y() >= 0 && box.right() * larger <= all.width() && box.bottom() * larger <= all.height();
        return box.width() * box.height() <= MOST;
    }

    private Ellipse spot(double x, double y, int from, int to) {
        double w = map.depth().at(x, y);
        return new Ellipse(map, map.across().at(x, y) / w, map.down().at(x, y) / w, w, from, to);
    }

    /** What is needed of the picture, at the ellipse's level, for a part of the square. */
    private Box under(int fromX, int fromY, int toX, int toY) {
        double leftmost = Double.POSITIVE_INFINITY;
        double topmost = Double.POSITIVE_INFINITY;
        double rightmost = Double.NEGATIVE_INFINITY;
        double lowest = Double.NEGATIVE_INFINITY;
        double smaller = 1.0 / (1 << spot.level);
        for (int i = 0; i < 4; i++) {
            double x = (i & 1) == 0 ? fromX : toX;
            double y = i >> 1 == 0 ? fromY : toY;
            double w = map.depth().at(x, y);
            double u = map.across().at(x, y) / w * smaller;
            double v = map.down().at(x, y) / w * smaller;
            leftmost = Math.min(leftmost, u);
            rightmost = Math.max(rightmost, u);
            topmost = Math.min(topmost, v);
            lowest = Math.max(lowest, v);
        }
        double reachX = spot.reachAcross() + 2;
        double reachY = spot.reachDown() + 2;
        return Box.between(Math.floor(leftmost - reachX), Math.floor(topmost - reachY), Math.ceil(rightmost + reachX),
                Math.ceil(lowest + reachY));
    }

    /** Gets ready for a part of the square that it {@link #takes}: {@code from} is the picture at its level. */
    void ready(Tile from, int fromX, int fromY, int toX, int toY) {
        Box box = under(fromX, fromY, toX, toY);
        left = (int) box.x();
        top = (int) box.y();
        int across = (int) box.width();
        int high = (int) box.height();
        if (!weighed || across > wide) weigh(across + across / 16);
        int last = from.width() - 1;
        if (beneath.length < 2 * wide * high) beneath = new long[2 * wide * high];
        for (int y = 0; y < high; y++) {
            int row = Math.max(0, Math.min(from.height() - 1, top + y - from.y())) * from.width();
            int at = 2 * y * wide;
            for (int x = 0; x < across; x++, at += 2)
                keep(from.argb()[row + Math.max(0, Math.min(last, left + x - from.x()))], at);
        }
    }

    /** Begins anew with the weights, for rows of that many pixels. */
    private void weigh(int wide) {
        this.wide = wide;
        weighed = true;
        Arrays.fill(counts, -1);
        room = ((int) Math.ceil(spot.reachAcross()) + 2)
                * (2 * (int) Math.ceil(spot.reachDown()) + 2);
        if (offsets.length < room * counts.length) {
            weights = new int[2 * room * counts.length];
            offsets = new int[room * counts.length];
            shares = new float[2 * room];
        }
    }

    Ellipse spot() {
        return spot;
    }

    /** Keeps a pixel, alpha multiplied into its colours, as light. */
    private void keep(int pixel, int at) {
        int alpha = pixel >>> 24;
        if (alpha == 255) {
            beneath[at] = (long) LIGHT[pixel >> 16 & 0xFF] << 32 | LIGHT[pixel >> 8 & 0xFF];
            beneath[at + 1] = (long) LIGHT[pixel & 0xFF] << 32 | WHITE;
        } else {
            beneath[at] = light(pixel >> 16, alpha) << 32 | light(pixel >> 8, alpha);
            beneath[at + 1] = light(pixel, alpha) << 32 | alpha * 257;
        }
    }

    private static long light(int value, int alpha) {
        return LIGHT[Alpha.without(value & 0xFF, alpha)] * alpha / 255;
    }

    /**
     * Paints pixels of a row, from one to before another.
     *
     * @param at where the first of them stands
     */
    void row(int y, int from, int to, int[] argb, int at) {
        for (int x = from, end; x < to; x = end) {
            int first = Math.floorDiv(x, RUN) * RUN;
            end = Math.min(to, first + RUN);
            // Straight from one to the next: the picture gets smaller by nearly the same.
            double w = map.depth().at(first + 0.5, y + 0.5);
            double further = map.depth().at(first + RUN + 0.5, y + 0.5);
            int u = steps(map.across().at(first + 0.5, y + 0.5) / w, left);
            int v = steps(map.down().at(first + 0.5, y + 0.5) / w, top);
            int du = (steps(map.across().at(first + RUN + 0.5, y + 0.5) / further, left) - u) / RUN;
            int dv = (steps(map.down().at(first + RUN + 0.5, y + 0.5) / further, top) - v) / RUN;
            u += (x - first) * du;
            v += (x - first) * dv;
            for (int i = x; i < end; i++, u += du, v += dv) argb[at++] = inside ? pixel(u, v) : covered(u, v);
        }
    }

    /** How far on a place of the picture is, at its level, from the middle of the first pixel that is kept. */
    private int steps(double place, int first) {
        return (int) Math.rint((place / (1 << spot.level) - 0.5 - first) * STEPS);
    }

    /** A pixel that may lie across an edge of the picture, or beyond. */
    private int covered(int u, int v) {
        double larger = 1 << spot.level;
        double cover = open ? spot.cover((u / (double) STEPS + 0.5 + left) * larger, (v / (double) STEPS + 0.5 + top) * larger, all) : 1;
        return cover <= 0 ? 0 : Alpha.thinned(pixel(u, v), cover);
    }

    private int pixel(int u, int v) {
        int place = (v >> FINE & PLACES - 1) * PLACES + (u >> FINE & PLACES - 1);
        if (counts[place] < 0) fill(place);
        int start = ((v >> WHOLES) * wide + (u >> WHOLES)) * 2;
        long redGreen = 0;
        long blueAlpha = 0;
        int end = place * room + counts[place];
        for (int k = place * room; k < end; k++) {
            int at = start + offsets[k];
            long weight = weights[2 * k];
            long next = weights[2 * k + 1];
            redGreen += weight * beneath[at] + next * beneath[at + 2];
            blueAlpha += weight * beneath[at + 1] + next * beneath[at + 3];
        }
        int green = (int) redGreen;
        int alpha = (int) blueAlpha;
        return mixed(redGreen - green >> 32, green, blueAlpha - alpha >> 32, alpha);
    }

    /** The ellipse's weights for pixels whose middle is at one of the places within a pixel of the picture. */
    private void fill(int place) {
        float restU = (place % PLACES + 0.5f) / PLACES;
        float restV = (float) (place / PLACES + 0.5) / PLACES;
        int reachY = (int) Math.ceil(spot.reachDown());
        int start = place * room;
        int count = 0;
        float sum = 0;
        for (int j = -reachY; j <= reachY + 1; j++) {
            float v = j - restV;
            float middle = restU + spot.slant * v;
            float far2 = spot.widest - spot.narrows * v * v;
            if (far2 <= 0) continue;
            float far = (float) Math.sqrt(far2);
            int last = (int) Math.floor(middle + far);
            for (int i = (int) Math.ceil(middle - far); i <= last; i += 2) {
                float share = spot.weight(i - restU, v);
                float next = i == last ? 0 : spot.weight(i + 1 - restU, v);
                offsets[start + count / 2] = (j * wide + i) * 2;
                shares[count++] = share;
                shares[count++] = next;
                sum += share + next;
            }
        }
        int rest = WHOLE;
        int heaviest = 0;
        float scale = WHOLE / sum;
        for (int k = 0; k < count; k++) {
            int weight = (int) (shares[k] * scale + WHOLE + 0.5f) - WHOLE;
            weights[2 * start + k] = weight;
            rest -= weight;
            if (shares[k] > shares[heaviest]) heaviest = k;
        }
        weights[2 * start + heaviest] += rest;
        counts[place] = count / 2;
    }

    private int mixed(long red, long green, long blue, int alpha) {
        if (alpha == WHITE * WHOLE) return 0xFF000000 | Light.stored((int) (red + HALF >> FINER)) << 16
                | Light.stored((int) (green + HALF >> FINER)) << 8 | Light.stored((int) (blue + HALF >> FINER));
        int level = Math.max(0, Math.min(255, (int) (alpha / BRIGHTEST * 255 + 0.5f)));
        if (level == 0) return 0;
        float one = level == 255 ? BRIGHTEST : alpha;
        return level << 24 | Alpha.times(Light.stored(red / one), level) << 16
                | Alpha.times(Light.stored(green / one), level) << 8 | Alpha.times(Light.stored(blue / one), level);
    }
}
