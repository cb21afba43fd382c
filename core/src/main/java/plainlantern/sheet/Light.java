package plainlantern.sheet;

/** The light behind stored values of sRGB (IEC 61966-2-1), with the threshold that WCAG 2.2 states. */
public final class Light {
    private static final double[] LINEAR = new double[256];
    /** So many steps of light that a stored value is off by a twentieth of a level at most, where it is darkest. */
    private static final int STEPS = 1 << 15;
    private static final byte[] STORED = new byte[STEPS];

    static {
        for (int i = 0; i < 256; i++) LINEAR[i] = behind(i / 255.0);
        for (int i = 0; i < STEPS; i++) STORED[i] = (byte) Math.round(255 * storing(i / (STEPS - 1.0)));
    }

    private Light() {}

    /** The light, 0 to 1, of a stored value from 0 to 1. */
    public static double behind(double stored) {
        return stored <= 0.04045 ? stored / 12.92 : Math.pow((stored + 0.055) / 1.055, 2.4);
    }

    /** The stored value, 0 to 1, of a light from 0 to 1. */
    public static double storing(double light) {
        return light <= 0.0031308 ? light * 12.92 : 1.055 * Math.pow(light, 1 / 2.4) - 0.055;
    }

    /** The stored value, 0 to 255, of a light from 0 to 1; what is beyond counts as the nearest. */
    public static int stored(float light) {
        return stored((int) (light * (STEPS - 1) + 0.5f));
    }

    /** The same of a light in fifteen bits. */
    public static int stored(int light) {
        return STORED[Math.max(0, Math.min(STEPS - 1, light))] & 0xFF;
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
