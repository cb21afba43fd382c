package plainlantern.rendering;

import java.awt.Shape;
import java.util.Optional;
import plainlantern.picture.Tile;
import plainlantern.sheet.Blend;
import plainlantern.sheet.Look;
import plainlantern.treating.Alpha;
import plainlantern.treating.Mixing;

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
        int rest = 255 - Alpha.times(source >>> 24, cover);
        return channel(source, backdrop, 24, cover, rest) | channel(source, backdrop, 16, cover, rest)
                | channel(source, backdrop, 8, cover, rest) | channel(source, backdrop, 0, cover, rest);
    }

    private static int channel(int source, int backdrop, int shift, int cover, int rest) {
        return Math.min(255, Alpha.times(source >> shift & 0xFF, cover) + Alpha.times(backdrop >> shift & 0xFF, rest)) << shift;
    }

    /** {@code source}, weakened by {@code share} of 1, over {@code backdrop}. */
    static int over(int source, double share, int backdrop, Blend blend) {
        double sourceAlpha = (source >>> 24) / 255.0;
        double backdropAlpha = (backdrop >>> 24) / 255.0;
        double alpha = sourceAlpha * share;
        if (alpha == 0) return backdrop;
        double[] cs = colour(source, sourceAlpha);
        double[] cb = colour(backdrop, backdropAlpha);
        double[] mixed = blend == Blend.NORMAL || backdropAlpha == 0 ? cs : Mixing.blended(blend, cb, cs);
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
}
