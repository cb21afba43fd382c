package plainlantern.picture;

import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import plainlantern.sheet.Colour;

/**
 * A picture's leading colours: the box of colours that varies most along one of its sides is cut there so that both parts vary
 * least, again and again; each box gives the mean of its pixels. (Median cut as of Heckbert, SIGGRAPH 1982, with the variance of
 * Wan, Wong and Prusinkiewicz, ACM Transactions on Mathematical Software 1988, in place of the median, which parts clusters of
 * unequal size.)
 */
public final class Palette {
    private static final int SIDE = 160;

    private Palette() {}

    /** Up to so many colours, that of the most pixels first; fewer where the picture has fewer. What cannot be seen does not count. */
    public static List<Colour> of(BufferedImage picture, int count) {
        double share = Math.min(1, (double) SIDE / Math.max(picture.getWidth(), picture.getHeight()));
        BufferedImage small = share < 1 ? Resample.toSize(picture, Math.max(1, (int) Math.round(picture.getWidth() * share)),
                Math.max(1, (int) Math.round(picture.getHeight() * share))) : picture;
        int[] seen = Arrays.stream(small.getRGB(0, 0, small.getWidth(), small.getHeight(), null, 0, small.getWidth()))
                .filter(p -> p >>> 24 > 127).map(p -> p & 0xFFFFFF).toArray();
        return of(seen, count);
    }

    static List<Colour> of(int[] pixels, int count) {
        List<Box> boxes = new ArrayList<>();
        if (pixels.length > 0) boxes.add(Box.of(pixels));
        while (boxes.size() < count) {
            Box most = boxes.stream().max(Comparator.comparingDouble(Box::spread)).orElse(null);
            if (most == null || most.spread == 0) break;
            boxes.remove(most);
            boxes.add(Box.of(Arrays.stream(most.pixels).filter(p -> (p >> most.shift & 0xFF) < most.border).toArray()));
            boxes.add(Box.of(Arrays.stream(most.pixels).filter(p -> (p >> most.shift & 0xFF) >= most.border).toArray()));
        }
        return boxes.stream().sorted(Comparator.comparingInt((Box box) -> -box.pixels.length)).map(box -> mean(box.pixels))
                .distinct().toList();
    }

    /**
     * Pixels with the channel along which they vary most.
     *
     * @param shift  of that channel
     * @param spread the sum of the squared distances from its mean
     * @param border the value at which it is cut
     */
    private record Box(int[] pixels, int shift, double spread, int border) {
        static Box of(int[] pixels) {
            Box most = null;
            for (int shift : new int[] {16, 8, 0}) {
                Box box = along(pixels, shift);
                if (most == null || box.spread > most.spread) most = box;
            }
            return most;
        }

        private static Box along(int[] pixels, int shift) {
            long[] counts = new long[256];
            for (int pixel : pixels) counts[pixel >> shift & 0xFF]++;
            double all = 0;
            double squares = 0;
            for (int v = 0; v < 256; v++) {
                all += (double) v * counts[v];
                squares += (double) v * v * counts[v];
            }
            double best = -1;
            int border = 0;
            double below = 0;
            long number = 0;
            for (int v = 1; v < 256; v++) {
                below += (v - 1.0) * counts[v - 1];
                number += counts[v - 1];
                if (number == 0 || number == pixels.length) continue;
                double between = below * below / number + (all - below) * (all - below) / (pixels.length - number);
                if (between <= best) continue;
                best = between;
                border = v;
            }
            return new Box(pixels, shift, Math.max(0, squares - all * all / pixels.length), border);
        }
    }

    /** The mean of colours, 0xRRGGBB. */
    public static Colour mean(int[] pixels) {
        int rgb = 0;
        for (int shift = 16; shift >= 0; shift -= 8) {
            long sum = 0;
            for (int pixel : pixels) sum += pixel >> shift & 0xFF;
            rgb |= (int) Math.round((double) sum / pixels.length) << shift;
        }
        return new Colour(rgb);
    }
}
