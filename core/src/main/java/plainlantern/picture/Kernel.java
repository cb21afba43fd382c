package plainlantern.picture;

/**
 * Filter weights of one axis: for each output pixel, where its source pixels begin and how much each counts. Weights of
 * a pixel sum to one; at the image's edges only what exists counts.
 */
final class Kernel {
    private static final int LOBES = 3;

    final int[] start;
    final float[][] weights;

    /**
     * @param from  first output pixel
     * @param count how many output pixels
     * @param a     output = a · source + e, in pixel edges (a pixel's centre is at +0.5)
     * @param size  how many source pixels there are
     */
    Kernel(int from, int count, double a, double e, int size) {
        start = new int[count];
        weights = new float[count][];
        double spread = Math.max(1, 1 / Math.abs(a));
        boolean smaller = Math.abs(a) < 1;
        double radius = (smaller ? LOBES : 2) * spread;
        for (int i = 0; i < count; i++) {
            // Beyond the picture's edges counts what is on them: farther out, weights would grow without bound.
            double centre = Math.max(-0.5, Math.min(size - 0.5, (from + i + 0.5 - e) / a - 0.5));
            int first = Math.max(0, Math.min(size - 1, (int) Math.ceil(centre - radius)));
            int last = Math.min(size - 1, Math.max(first, (int) Math.floor(centre + radius)));
            double[] raw = new double[last - first + 1];
            double sum = 0;
            for (int k = 0; k < raw.length; k++) {
                double t = (first + k - centre) / spread;
                raw[k] = smaller ? lanczos(t) : catmullRom(t);
                sum += raw[k];
            }
            start[i] = first;
            weights[i] = new float[raw.length];
            for (int k = 0; k < raw.length; k++) weights[i][k] = (float) (raw[k] / sum);
        }
    }

    /** Windowed sinc with three lobes: C. E. Duchon, Lanczos Filtering in One and Two Dimensions, 1979. */
    static double lanczos(double t) {
        if (t == 0) return 1;
        if (Math.abs(t) >= LOBES) return 0;
        double p = Math.PI * t;
        return LOBES * Math.sin(p) * Math.sin(p / LOBES) / (p * p);
    }

    /** Cubic convolution with a = −1/2: R. Keys, Cubic Convolution Interpolation for Digital Image Processing, 1981. */
    static double catmullRom(double t) {
        double x = Math.abs(t);
        if (x >= 2) return 0;
        return x < 1 ? (1.5 * x - 2.5) * x * x + 1 : ((-0.5 * x + 2.5) * x - 4) * x + 2;
    }
}
