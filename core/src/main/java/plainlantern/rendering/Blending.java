package plainlantern.rendering;

import java.awt.Shape;
import java.util.Optional;
import plainlantern.picture.Tile;
import plainlantern.sheet.Blend;
import plainlantern.sheet.Look;

/**
 * Lays one pixel over another by W3C Compositing and Blending Level 1, all values 0 to 1: {@code Cs' = (1 − αb)·Cs + αb·B(Cb, Cs)},
 * then source over. Pixels are 0xAARRGGBB with alpha multiplied in.
 */
final class Blending {
    private Blending() {}

    /** Lays one tile over another where both are, as much as its form covers of each pixel. */
    static void over(Tile onto, Tile source, Optional<Shape> form, Look look) {
        over(onto, source, form.map(shape -> Shapes2D.mask(source, shape)).orElse(null), look);
    }

    /** @param mask how much of each of the source's pixels counts, 0 to 255; null for all of each */
    static void over(Tile onto, Tile source, byte[] mask, Look look) {
        int fromY = Math.max(onto.y(), source.y());
        int toY = Math.min(onto.y() + onto.height(), source.y() + source.height());
        int fromX = Math.max(onto.x(), source.x());
        int toX = Math.min(onto.x() + onto.width(), source.x() + source.width());
        boolean plain = look.equals(Look.PLAIN);
        for (int y = fromY; y < toY; y++) {
            for (int x = fromX; x < toX; x++) {
                int from = (y - source.y()) * source.width() + x - source.x();
                int to = (y - onto.y()) * onto.width() + x - onto.x();
                int cover = mask == null ? 255 : mask[from] & 0xFF;
                onto.argb()[to] = plain ? over(source.argb()[from], cover, onto.argb()[to])
                        : over(source.argb()[from], cover / 255.0 * look.opacity(), onto.argb()[to], look.blend());
            }
        }
    }

    /** Porter–Duff source over, the source first weakened by {@code cover} of 255. */
    static int over(int source, int cover, int backdrop) {
        if (cover == 0) return backdrop;
        if (cover == 255 && source >>> 24 == 255) return source;
        int rest = 255 - times(source >>> 24, cover);
        return channel(source, backdrop, 24, cover, rest) | channel(source, backdrop, 16, cover, rest)
                | channel(source, backdrop, 8, cover, rest) | channel(source, backdrop, 0, cover, rest);
    }

    private static int channel(int source, int backdrop, int shift, int cover, int rest) {
        return Math.min(255, times(source >> shift & 0xFF, cover) + times(backdrop >> shift & 0xFF, rest)) << shift;
    }

    /** a · b / 255, rounded. */
    static int times(int a, int b) {
        return (a * b + 127) / 255;
    }

    /** {@code source}, weakened by {@code share} of 1, over {@code backdrop}. */
    static int over(int source, double share, int backdrop, Blend blend) {
        double sourceAlpha = (source >>> 24) / 255.0;
        double backdropAlpha = (backdrop >>> 24) / 255.0;
        double alpha = sourceAlpha * share;
        if (alpha == 0) return backdrop;
        double[] cs = colour(source, sourceAlpha);
        double[] cb = colour(backdrop, backdropAlpha);
        double[] mixed = blend == Blend.NORMAL || backdropAlpha == 0 ? cs : blended(blend, cb, cs);
        int out = byteOf(alpha + backdropAlpha * (1 - alpha)) << 24;
        for (int i = 0; i < 3; i++) {
            double c = (1 - backdropAlpha) * cs[i] + backdropAlpha * mixed[i];
            out |= byteOf(alpha * c + (1 - alpha) * backdropAlpha * cb[i]) << 16 - 8 * i;
        }
        return out;
    }

    private static double[] colour(int pixel, double alpha) {
        if (alpha == 0) return new double[3];
        double unit = 255 * alpha;
        return new double[] {Math.min(1, (pixel >> 16 & 0xFF) / unit), Math.min(1, (pixel >> 8 & 0xFF) / unit),
                Math.min(1, (pixel & 0xFF) / unit)};
    }

    private static int byteOf(double value) {
        return (int) (Math.max(0, Math.min(1, value)) * 255 + 0.5);
    }

    /** The function B of section 10, backdrop first. */
    static double[] blended(Blend blend, double[] cb, double[] cs) {
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
