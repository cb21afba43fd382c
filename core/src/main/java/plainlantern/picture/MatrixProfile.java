package plainlantern.picture;

import java.awt.color.ICC_Profile;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.function.DoubleUnaryOperator;

/**
 * Makes an ICC profile (ICC.1:2001-04, a three-component matrix one) of three primaries and a curve, so that colours that a file
 * describes without a profile are computed as all others.
 */
final class MatrixProfile {
    /** Entries of a curve: the darkest steps of 16 bits are well apart in it. */
    private static final int STEPS = 4096;
    private static final int HEAD = 128;
    private static final int TAGS = 7;
    private static final int XYZ = 20;
    private static final String[] NAMES = {"wtpt", "rXYZ", "gXYZ", "bXYZ", "rTRC", "gTRC", "bTRC"};
    /** The white that profiles are told against, ICC.1, 6.3.4.3. */
    private static final double[] D50 = {0.9642, 1, 0.8249};
    /** Lam's cone responses, as ICC.1:2022 annex E.3 gives them. */
    private static final double[][] BRADFORD = {{0.8951, 0.2664, -0.1614}, {-0.7502, 1.7135, 0.0367}, {0.0389, -0.0685, 1.0296}};

    private MatrixProfile() {}

    /** Where the primaries and the white lie, x and y of CIE 1931. */
    record Primaries(double[] red, double[] green, double[] blue, double[] white) {
        static Primaries of(double... xy) {
            return new Primaries(new double[] {xy[0], xy[1]}, new double[] {xy[2], xy[3]}, new double[] {xy[4], xy[5]},
                    new double[] {xy[6], xy[7]});
        }
    }

    /**
     * @param linear from what is stored, 0 to 1, to light, 1 for white; more is cut off
     * @throws IllegalArgumentException where the primaries span no colours
     */
    static ICC_Profile of(Primaries primaries, DoubleUnaryOperator linear) {
        double[][] columns = adapted(primaries);
        int curve = 12 + 2 * STEPS;
        int size = HEAD + 4 + 12 * TAGS + 4 * XYZ + curve;
        ByteBuffer out = ByteBuffer.allocate(size);
        out.putInt(size).putInt(0).putInt(0x02400000).put(ascii("mntrRGB XYZ ")).position(36);
        out.put(ascii("acsp")).position(68);
        for (double value : D50) out.putInt(fixed(value));
        out.position(HEAD);
        out.putInt(TAGS);
        int data = HEAD + 4 + 12 * TAGS;
        for (int i = 0; i < TAGS; i++)
            out.put(ascii(NAMES[i])).putInt(data + XYZ * Math.min(i, 4)).putInt(i < 4 ? XYZ : curve);
        xyz(out, D50);
        for (double[] column : columns) xyz(out, column);
        out.put(ascii("curv")).putInt(0).putInt(STEPS);
        for (int i = 0; i < STEPS; i++) {
            double light = Math.max(0, Math.min(1, linear.applyAsDouble(i / (STEPS - 1.0))));
            out.putShort((short) Math.round(light * 65535));
        }
        return ICC_Profile.getInstance(out.array());
    }

    private static void xyz(ByteBuffer out, double[] values) {
        out.put(ascii("XYZ ")).putInt(0);
        for (double value : values) out.putInt(fixed(value));
    }

    private static int fixed(double value) {
        if (!(Math.abs(value) < 32_000)) throw new IllegalArgumentException("no colour: " + value);
        return (int) Math.round(value * 65536);
    }

    private static byte[] ascii(String text) {
        return text.getBytes(StandardCharsets.US_ASCII);
    }

    /** The primaries at full strength as XYZ, their sum white, all brought from the white to D50. */
    private static double[][] adapted(Primaries primaries) {
        double[][] columns = {xyz(primaries.red), xyz(primaries.green), xyz(primaries.blue)};
        double[] white = xyz(primaries.white);
        double[] strength = times(inverse(transposed(columns)), white);
        double[] from = times(BRADFORD, white);
        double[] to = times(BRADFORD, D50);
        double[][] adapted = new double[3][];
        for (int i = 0; i < 3; i++) {
            double[] cones = times(BRADFORD, columns[i]);
            for (int k = 0; k < 3; k++) cones[k] *= strength[i] * to[k] / from[k];
            adapted[i] = times(inverse(BRADFORD), cones);
        }
        return adapted;
    }

    private static double[] xyz(double[] xy) {
        return new double[] {xy[0] / xy[1], 1, (1 - xy[0] - xy[1]) / xy[1]};
    }

    private static double[][] transposed(double[][] m) {
        double[][] out = new double[3][3];
        for (int i = 0; i < 3; i++) for (int k = 0; k < 3; k++) out[i][k] = m[k][i];
        return out;
    }

    private static double[] times(double[][] m, double[] v) {
        double[] out = new double[3];
        for (int i = 0; i < 3; i++) for (int k = 0; k < 3; k++) out[i] += m[i][k] * v[k];
        return out;
    }

    /** By the adjugate. */
    private static double[][] inverse(double[][] m) {
        double[][] out = new double[3][3];
        double determinant = 0;
        for (int i = 0; i < 3; i++) {
            double[] next = m[(i + 1) % 3];
            double[] last = m[(i + 2) % 3];
            for (int k = 0; k < 3; k++) out[k][i] = next[(k + 1) % 3] * last[(k + 2) % 3] - next[(k + 2) % 3] * last[(k + 1) % 3];
            determinant += m[0][i] * out[i][0];
        }
        if (!(Math.abs(determinant) > 1e-9)) throw new IllegalArgumentException("primaries in one line");
        for (double[] row : out) for (int k = 0; k < 3; k++) row[k] /= determinant;
        return out;
    }
}
