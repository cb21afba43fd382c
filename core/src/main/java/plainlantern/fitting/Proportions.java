package plainlantern.fitting;

import java.util.List;
import plainlantern.geometry.Point;
import plainlantern.sheet.Plane;

/**
 * The true proportions of a rectangle seen in one photograph.
 *
 * @param ratio      width against height
 * @param determined whether its four corners tell it; where a pair of its sides is seen parallel, or the camera cannot have been one, one
 *                   of 28 mm is assumed
 */
public record Proportions(double ratio, boolean determined) {
    /** A pair of sides that comes together no faster than this is seen parallel. */
    private static final double PARALLEL = 0.02;
    private static final double SHORTEST_LENS = 0.25;
    private static final double LONGEST_LENS = 8;
    /** 28 mm before 35 mm film, whose diagonal is 43.27 mm: what telephones have, and who photographs rooms takes; common practice. */
    private static final double ASSUMED = 28 / 43.27;
    private static final double ROUND = 1e9;

    /**
     * Z. Zhang and L. He, Whiteboard scanning and image enhancement, 2007, section 3, with square pixels and the principal point in the
     * photograph's middle.
     *
     * @param corners upper left, upper right, lower right, lower left
     * @param seen    the photograph that they are seen in
     */
    public static Proportions of(List<Point> corners, Onlook seen) {
        // In units of the diagonal, from the principal point.
        double[][] m = new double[4][];
        int[] order = {0, 1, 3, 2};
        for (int i = 0; i < 4; i++) {
            Point p = corners.get(order[i]).minus(seen.middle()).times(1 / seen.diagonal());
            m[i] = new double[] {p.x(), p.y(), 1};
        }
        double k2 = triple(m[0], m[3], m[2]) / triple(m[1], m[3], m[2]);
        double k3 = triple(m[0], m[3], m[1]) / triple(m[2], m[3], m[1]);
        double[] across = less(k2, m[1], m[0]);
        double[] down = less(k3, m[2], m[0]);
        double lens2 = -(across[0] * down[0] + across[1] * down[1]) / (across[2] * down[2]);
        boolean bothParallel = Math.abs(across[2]) < PARALLEL && Math.abs(down[2]) < PARALLEL;
        boolean determined = bothParallel || Math.min(Math.abs(across[2]), Math.abs(down[2])) >= PARALLEL
                && lens2 > SHORTEST_LENS * SHORTEST_LENS && lens2 < LONGEST_LENS * LONGEST_LENS;
        double f2 = determined && !bothParallel ? lens2 : ASSUMED * ASSUMED;
        double ratio = Math.rint(Math.sqrt(long2(across, f2) / long2(down, f2)) * ROUND) / ROUND;
        return new Proportions(Math.max(Plane.NARROWEST, Math.min(1 / Plane.NARROWEST, ratio)), determined);
    }

    private static double[] less(double k, double[] one, double[] other) {
        return new double[] {k * one[0] - other[0], k * one[1] - other[1], k * one[2] - other[2]};
    }

    private static double triple(double[] a, double[] b, double[] c) {
        return (a[1] * b[2] - a[2] * b[1]) * c[0] + (a[2] * b[0] - a[0] * b[2]) * c[1] + (a[0] * b[1] - a[1] * b[0]) * c[2];
    }

    private static double long2(double[] n, double f2) {
        return (n[0] * n[0] + n[1] * n[1]) / f2 + n[2] * n[2];
    }
}
