package plainlantern.picture;

import plainlantern.geometry.Box;
import plainlantern.geometry.Projective;

/**
 * What a round spot of the output covers about a place of a picture drawn in perspective: a·u² + b·u·v + c·v² below {@link #SUPPORT}
 * squared, in pixels of the picture at half the size {@code level} times (Heckbert 1989, section 3.5, with limits as Greene and Heckbert
 * 1986 have them).
 */
final class Ellipse {
    static final double SUPPORT = 2;
    /** So many times longer than wide it may be; a longer one is made wider. */
    private static final double LONGEST = 24;
    private static final int STEPS = 256;
    private static final int MASK = 1023;
    private static final float LAST = (float) (STEPS * SUPPORT * SUPPORT);
    /** Keys' cubic with B = 0.3782 and C = 0.3109 over the distance (Robidoux; from memory), by distance squared. */
    private static final float[] WEIGHTS = weights(0.37821575509399867, 0.31089212245300067);

    final int level;
    /** Whether it covers more than a pixel of the whole picture: what gets smaller is averaged as light. */
    final boolean light;
    /** How far a pixel of the output goes across the whole picture, and down it. */
    private final double stepU;
    private final double stepV;
    /** a, b and c in steps of the weights. */
    final float a;
    final float b;
    final float c;
    /** Of each line that far down, where the middle is and how far the ends are from that, squared. */
    final float slant;
    final float widest;
    final float narrows;
    /** How far it reaches across and down, of {@link #SUPPORT}, squared, and how much it leans. */
    final double across;
    final double lean;
    final double down;

    /**
     * @param w    the depth where it is
     * @param from the first level that may be taken
     * @param to   the last one
     */
    Ellipse(Projective map, double u, double v, double w, int from, int to) {
        double ux = (map.across().x() - u * map.depth().x()) / w;
        double uy = (map.across().y() - u * map.depth().y()) / w;
        double vx = (map.down().x() - v * map.depth().x()) / w;
        double vy = (map.down().y() - v * map.depth().y()) / w;
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
        level = Math.max(from, least < 4 ? 0 : Math.min(to, (int) (Math.log(least) / Math.log(4))));
        double smaller = 1.0 / (1 << level);
        double wide = Math.max(1, greatest * smaller * smaller);
        double narrow = Math.max(1, least * smaller * smaller);
        // Along the longer axis the wide one, across it the narrow one.
        double more = root > 1e-9 * half ? (wide - narrow) / (2 * root) : 0;
        across = narrow + more * (uu - half + root);
        lean = more * uv;
        down = narrow + more * (vv - half + root);
        double det = across * down - lean * lean;
        a = (float) (down / det * STEPS);
        b = (float) (-2 * lean / det * STEPS);
        c = (float) (across / det * STEPS);
        slant = (float) (lean / down);
        widest = (float) (SUPPORT * SUPPORT * det / down);
        narrows = (float) (det / (down * down));
    }

    /** How far it reaches to either side. */
    double reachAcross() {
        return SUPPORT * Math.sqrt(across);
    }

    /** How far it reaches up, and down. */
    double reachDown() {
        return SUPPORT * Math.sqrt(down);
    }

    /** The weight of a pixel that far from the middle; 0 outside. */
    float weight(float u, float v) {
        float far = (a * u + b * v) * u + c * v * v;
        return far >= LAST ? 0 : weight(far);
    }

    /** The weight at that value of a·u² + b·u·v + c·v² in steps, which is inside. */
    static float weight(float far) {
        return WEIGHTS[(int) far & MASK];
    }

    /** How much of a pixel of the output lies inside a whole picture, whose edges are parallel. */
    double cover(double u, double v, Box all) {
        return cover(u, stepU, all.width()) * cover(v, stepV, all.height());
    }

    private static double cover(double at, double step, double far) {
        double near = Math.min(1, at / step + 0.5);
        return Math.max(0, Math.min(near, Math.min(1, (far - at) / step + 0.5)));
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
}
