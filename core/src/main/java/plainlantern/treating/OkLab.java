package plainlantern.treating;

/**
 * OKLab of linear sRGB: B. Ottosson, A perceptual color space for image processing, 2020, with the matrices that he published for sRGB.
 */
public final class OkLab {
    private OkLab() {}

    /** L, a and b of linear red, green and blue, in their place; 1 is the most that sRGB stores. */
    public static void of(float[] c) {
        float l = root(0.4122214708f * c[0] + 0.5363325363f * c[1] + 0.0514459929f * c[2]);
        float m = root(0.2119034982f * c[0] + 0.6806995451f * c[1] + 0.1073969566f * c[2]);
        float s = root(0.0883024619f * c[0] + 0.2817188376f * c[1] + 0.6299787005f * c[2]);
        c[0] = 0.2104542553f * l + 0.7936177850f * m - 0.0040720468f * s;
        c[1] = 1.9779984951f * l - 2.4285922050f * m + 0.4505937099f * s;
        c[2] = 0.0259040371f * l + 0.7827717662f * m - 0.8086757660f * s;
    }

    /** The way back; what sRGB cannot show is below 0 or above 1. */
    public static void linear(float[] c) {
        float l = c[0] + 0.3963377774f * c[1] + 0.2158037573f * c[2];
        float m = c[0] - 0.1055613458f * c[1] - 0.0638541728f * c[2];
        float s = c[0] - 0.0894841775f * c[1] - 1.2914855480f * c[2];
        l = l * l * l;
        m = m * m * m;
        s = s * s * s;
        c[0] = 4.0767416621f * l - 3.3077115913f * m + 0.2309699292f * s;
        c[1] = -1.2684380046f * l + 2.6097574011f * m - 0.3413193965f * s;
        c[2] = -0.0041960863f * l - 0.7034186147f * m + 1.7076147010f * s;
    }

    /** The lightness alone, of three linear values. */
    static float lightness(float r, float g, float b) {
        return 0.2104542553f * root(0.4122214708f * r + 0.5363325363f * g + 0.0514459929f * b)
                + 0.7936177850f * root(0.2119034982f * r + 0.6806995451f * g + 0.1073969566f * b)
                - 0.0040720468f * root(0.0883024619f * r + 0.2817188376f * g + 0.6299787005f * b);
    }

    /** A cube root to about five digits: a guess by the exponent, and a step of Halley's. */
    static float root(float x) {
        if (x < 0) return -root(-x);
        if (x < 1e-12f) return 0;
        float r = Float.intBitsToFloat(Float.floatToRawIntBits(x) / 3 + 709921077);
        float cube = r * r * r;
        r *= (cube + 2 * x) / (2 * cube + x);
        cube = r * r * r;
        return r * (cube + 2 * x) / (2 * cube + x);
    }
}
