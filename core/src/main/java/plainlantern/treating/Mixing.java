package plainlantern.treating;

import plainlantern.sheet.Blend;

/** The blend functions of W3C Compositing and Blending Level 1, all values 0 to 1. */
public final class Mixing {
    private Mixing() {}

    /** The function B of section 10, backdrop first. */
    public static double[] blended(Blend blend, double[] cb, double[] cs) {
        return switch (blend) {
            case HUE -> withLuminosity(withSaturation(cs, saturation(cb)), luminosity(cb));
            case SATURATION -> withLuminosity(withSaturation(cb, saturation(cs)), luminosity(cb));
            case COLOR -> withLuminosity(cs, luminosity(cb));
            case LUMINOSITY -> withLuminosity(cb, luminosity(cs));
            default -> new double[] {separable(blend, cb[0], cs[0]), separable(blend, cb[1], cs[1]), separable(blend, cb[2], cs[2])};
        };
    }

    private static double separable(Blend blend, double b, double s) {
        return switch (blend) {
            case MULTIPLY -> b * s;
            case SCREEN -> b + s - b * s;
            case OVERLAY -> hardLight(s, b);
            case DARKEN -> Math.min(b, s);
            case LIGHTEN -> Math.max(b, s);
            case COLOR_DODGE -> b == 0 ? 0 : s >= 1 ? 1 : Math.min(1, b / (1 - s));
            case COLOR_BURN -> b >= 1 ? 1 : s <= 0 ? 0 : 1 - Math.min(1, (1 - b) / s);
            case HARD_LIGHT -> hardLight(b, s);
            case SOFT_LIGHT -> softLight(b, s);
            case DIFFERENCE -> Math.abs(b - s);
            case EXCLUSION -> b + s - 2 * b * s;
            default -> s;
        };
    }

    private static double hardLight(double b, double s) {
        return s <= 0.5 ? b * 2 * s : b + (2 * s - 1) - b * (2 * s - 1);
    }

    private static double softLight(double b, double s) {
        if (s <= 0.5) return b - (1 - 2 * s) * b * (1 - b);
        double d = b <= 0.25 ? ((16 * b - 12) * b + 4) * b : Math.sqrt(b);
        return b + (2 * s - 1) * (d - b);
    }

    private static double luminosity(double[] c) {
        return 0.3 * c[0] + 0.59 * c[1] + 0.11 * c[2];
    }

    private static double saturation(double[] c) {
        return Math.max(c[0], Math.max(c[1], c[2])) - Math.min(c[0], Math.min(c[1], c[2]));
    }

    private static double[] withLuminosity(double[] c, double wanted) {
        double by = wanted - luminosity(c);
        double[] moved = {c[0] + by, c[1] + by, c[2] + by};
        double l = luminosity(moved);
        double low = Math.min(moved[0], Math.min(moved[1], moved[2]));
        double high = Math.max(moved[0], Math.max(moved[1], moved[2]));
        for (int i = 0; i < 3; i++) {
            if (low < 0) moved[i] = l + (moved[i] - l) * l / (l - low);
            if (high > 1) moved[i] = l + (moved[i] - l) * (1 - l) / (high - l);
        }
        return moved;
    }

    private static double[] withSaturation(double[] c, double wanted) {
        double low = Math.min(c[0], Math.min(c[1], c[2]));
        double range = saturation(c);
        if (range == 0) return new double[3];
        return new double[] {(c[0] - low) * wanted / range, (c[1] - low) * wanted / range, (c[2] - low) * wanted / range};
    }
}
