package plainlantern.editing.veiling;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Deque;
import java.util.List;
import plainlantern.sheet.Dot;

/** Strokes as a pointer tells them, with no more places than their course needs (Douglas and Peucker 1973). */
final class Thinning {
    private static final double LOOSER = 2;

    private Thinning() {}

    /**
     * @param within no place that is left out is farther from what is left than this, mm
     * @param most   where that leaves more, what is left is farther apart
     */
    static List<Dot> thinned(List<Dot> dots, double within, int most) {
        List<Dot> left = thinned(dots, within);
        for (double loose = within * LOOSER; left.size() > most; loose *= LOOSER) left = thinned(dots, loose);
        return left;
    }

    private static List<Dot> thinned(List<Dot> dots, double within) {
        BitSet kept = new BitSet(dots.size());
        kept.set(0);
        kept.set(dots.size() - 1);
        Deque<int[]> spans = new ArrayDeque<>(List.of(new int[] {0, dots.size() - 1}));
        while (!spans.isEmpty()) {
            int[] span = spans.pop();
            int farthest = -1;
            double most = within;
            for (int i = span[0] + 1; i < span[1]; i++) {
                double far = far(dots.get(i), dots.get(span[0]), dots.get(span[1]), within);
                if (far > most) {
                    most = far;
                    farthest = i;
                }
            }
            if (farthest < 0) continue;
            kept.set(farthest);
            spans.push(new int[] {span[0], farthest});
            spans.push(new int[] {farthest, span[1]});
        }
        List<Dot> left = new ArrayList<>(kept.cardinality());
        kept.stream().forEach(i -> left.add(dots.get(i)));
        return left;
    }

    /**
     * From the straight way between two others; pressure counts as what it does to the edge of a stroke a hundred times as wide as
     * {@code each}.
     */
    private static double far(Dot dot, Dot from, Dot to, double each) {
        double dx = to.x() - from.x();
        double dy = to.y() - from.y();
        double long2 = dx * dx + dy * dy;
        double t = long2 == 0 ? 0 : Math.max(0, Math.min(1, ((dot.x() - from.x()) * dx + (dot.y() - from.y()) * dy) / long2));
        double aside = Math.hypot(dot.x() - from.x() - t * dx, dot.y() - from.y() - t * dy);
        double press = Math.abs(dot.press() - from.press() - t * (to.press() - from.press())) * 50 * each;
        return Math.max(aside, press);
    }
}
