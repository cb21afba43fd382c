package plainlantern.treating;

import plainlantern.sheet.Light;

/** Colours as the eye tells them apart: CIE 1976 L*a*b*, white D65 (CIE 15), of sRGB (IEC 61966-2-1). */
public final class Lab {
    private Lab() {}

    /** L*, a* and b* of 0xRRGGBB. */
    public static double[] of(int rgb) {
        double r = Light.linear(rgb >> 16);
        double g = Light.linear(rgb >> 8);
        double b = Light.linear(rgb);
        double x = root((0.4124 * r + 0.3576 * g + 0.1805 * b) / 0.9505);
        double y = root(Light.luminance(rgb));
        double z = root((0.0193 * r + 0.1192 * g + 0.9505 * b) / 1.089);
        return new double[] {116 * y - 16, 500 * (x - y), 200 * (y - z)};
    }

    /** ΔE*ab: 0 for the same, about 100 for black and white. */
    public static double distance(double[] one, double[] other) {
        return Math.sqrt((one[0] - other[0]) * (one[0] - other[0]) + (one[1] - other[1]) * (one[1] - other[1])
                + (one[2] - other[2]) * (one[2] - other[2]));
    }

    private static double root(double t) {
        return t > 216.0 / 24389 ? Math.cbrt(t) : (24389.0 / 27 * t + 16) / 116;
    }
}
