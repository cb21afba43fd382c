package plainlantern.studio.demo;

/** Smooth value noise: random values on a lattice, eased between; summed over octaves it looks like clouds and ridges. */
final class Noise {
    private Noise() {}

    /** 0 to 1, the same for the same place and seed. */
    static double at(double x, double y, int seed) {
        int ix = (int) Math.floor(x);
        int iy = (int) Math.floor(y);
        double fx = ease(x - ix);
        double fy = ease(y - iy);
        double top = mix(lattice(ix, iy, seed), lattice(ix + 1, iy, seed), fx);
        double bottom = mix(lattice(ix, iy + 1, seed), lattice(ix + 1, iy + 1, seed), fx);
        return mix(top, bottom, fy);
    }

    /** Several octaves, each twice as fine and half as strong; 0 to 1. */
    static double octaves(double x, double y, int count, int seed) {
        double sum = 0;
        double strength = 0.5;
        double whole = 0;
        for (int i = 0; i < count; i++) {
            sum += strength * at(x, y, seed + i * 101);
            whole += strength;
            x *= 2.03;
            y *= 2.03;
            strength /= 2;
        }
        return sum / whole;
    }

    private static double lattice(int x, int y, int seed) {
        int h = x * 374761393 + y * 668265263 + seed * 1274126177;
        h = (h ^ h >>> 13) * 1274126177;
        return ((h ^ h >>> 16) & 0xFFFFFF) / (double) 0xFFFFFF;
    }

    private static double ease(double t) {
        return t * t * t * (t * (t * 6 - 15) + 10);
    }

    static double mix(double a, double b, double t) {
        return a + (b - a) * t;
    }
}
