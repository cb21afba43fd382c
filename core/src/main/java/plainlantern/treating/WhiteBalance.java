package plainlantern.treating;

import plainlantern.sheet.Balance;

/**
 * White balance in linear sRGB by Bradford's adaptation (Lam 1985; the matrix as CIECAM97s has it), from D65 to the white that a
 * {@link Balance} names. Whites go along the Planckian locus as Krystek 1985 approximates it in CIE 1960 u, v, moved so that it meets D65;
 * a tint goes straight across it.
 */
final class WhiteBalance {
    /** Mired of D65. */
    private static final double D65 = 1e6 / 6504;
    private static final double[] WHITE = {0.95047, 1, 1.08883};
    /** A whole tint, in u, v: about five times what the eye tells apart on white. */
    private static final double TINT = 0.02;
    static final double[] BRADFORD = {0.8951, 0.2664, -0.1614, -0.7502, 1.7135, 0.0367, 0.0389, -0.0685, 1.0296};
    private static final double[] BACK = {0.9869929, -0.1470543, 0.1599627, 0.4323053, 0.5183603, 0.0492912, -0.0085287, 0.0400428,
            0.9684867};
    private static final double[] XYZ = {0.4124564, 0.3575761, 0.1804375, 0.2126729, 0.7151522, 0.0721750, 0.0193339, 0.1191920, 0.9503041};
    private static final double[] RGB = {3.2404542, -1.5371385, -0.4985314, -0.9692660, 1.8760108, 0.0415560, 0.0556434, -0.2040259,
            1.0572252};

    private WhiteBalance() {}

    /** Nine numbers, row by row, from linear sRGB to linear sRGB. */
    static double[] matrix(Balance balance) {
        if (balance.temperature() == 0 && balance.tint() == 0) return new double[] {1, 0, 0, 0, 1, 0, 0, 0, 1};
        return times(RGB, times(adaptation(WHITE, white(balance)), XYZ));
    }

    /** From XYZ under one white to XYZ under another. */
    static double[] adaptation(double[] from, double[] to) {
        double[] was = times(BRADFORD, from[0], from[1], from[2]);
        double[] is = times(BRADFORD, to[0], to[1], to[2]);
        double[] scaled = BRADFORD.clone();
        for (int i = 0; i < 9; i++) scaled[i] *= is[i / 3] / was[i / 3];
        return times(BACK, scaled);
    }

    /** XYZ of a white, Y 1. */
    static double[] white(Balance balance) {
        double sum = WHITE[0] + 15 + 3 * WHITE[2];
        double[] there = planckian(D65 + balance.temperature());
        double[] here = planckian(D65);
        double[] next = planckian(D65 + balance.temperature() + 1);
        double along = Math.hypot(next[0] - there[0], next[1] - there[1]);
        double across = TINT * balance.tint();
        // Magenta lies on the side of the locus where v is smaller.
        double u = 4 * WHITE[0] / sum + there[0] - here[0] + across * (next[1] - there[1]) / along;
        double v = 6 / sum + there[1] - here[1] - across * (next[0] - there[0]) / along;
        double x = 3 * u / (2 * u - 8 * v + 4);
        double y = 2 * v / (2 * u - 8 * v + 4);
        return new double[] {x / y, 1, (1 - x - y) / y};
    }

    /** u and v of a black body. */
    private static double[] planckian(double mired) {
        double t = 1e6 / mired;
        return new double[] {(0.860117757 + 1.54118254e-4 * t + 1.28641212e-7 * t * t) / (1 + 8.42420235e-4 * t + 7.08145163e-7 * t * t),
            (0.317398726 + 4.22806245e-5 * t + 4.20481691e-8 * t * t) / (1 - 2.89741816e-5 * t + 1.61456053e-7 * t * t)};
    }

    private static double[] times(double[] m, double x, double y, double z) {
        return new double[] {m[0] * x + m[1] * y + m[2] * z, m[3] * x + m[4] * y + m[5] * z, m[6] * x + m[7] * y + m[8] * z};
    }

    private static double[] times(double[] a, double[] b) {
        double[] out = new double[9];
        for (int i = 0; i < 9; i++) for (int k = 0; k < 3; k++) out[i] += a[i / 3 * 3 + k] * b[k * 3 + i % 3];
        return out;
    }
}
