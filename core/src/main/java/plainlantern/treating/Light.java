package plainlantern.treating;

/** The light behind stored values of sRGB (IEC 61966-2-1), with the threshold that WCAG 2.2 states. */
public final class Light {
    private static final double[] LINEAR = new double[256];

    static {
        for (int i = 0; i < 256; i++) LINEAR[i] = behind(i / 255.0);
    }

    private Light() {}

    /** The light, 0 to 1, of a stored value from 0 to 1. */
    public static double behind(double stored) {
        return stored <= 0.04045 ? stored / 12.92 : Math.pow((stored + 0.055) / 1.055, 2.4);
    }

    /** The light, 0 to 1, of the stored value in the lowest eight bits. */
    public static double linear(int value) {
        return LINEAR[value & 0xFF];
    }

    /** The relative luminance of 0xRRGGBB, 0 to 1. */
    public static double luminance(int rgb) {
        return 0.2126 * linear(rgb >> 16) + 0.7152 * linear(rgb >> 8) + 0.0722 * linear(rgb);
    }
}
