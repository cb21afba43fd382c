package plainlantern.treating;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import plainlantern.geometry.Affine;
import plainlantern.geometry.FillRule;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.sheet.Dot;
import plainlantern.sheet.Veiled;
import plainlantern.sheet.VeilPart;

/** Veils as they are worn. */
public final class Veiling {
    /** So many chords are a curve of a form. */
    private static final int CHORDS = 32;

    private Veiling() {}

    /**
     * What a veil leaves of each pixel of a patch, 0 to 1, row by row.
     *
     * @param patch what it looks at where it hides colours: before its tones
     */
    public static float[] left(Veiled veil, Patch patch) {
        float[] left = new float[patch.width() * patch.height()];
        Arrays.fill(left, 1);
        Affine toFrame = veil.toFrame().after(patch.toPicture());
        if (toFrame.determinant() == 0) return left;
        Over over = new Over(veil, patch, toFrame, toFrame.inverse(), left);
        for (VeilPart part : veil.parts()) part.as(over);
        return left;
    }

    /** Hides of a settled patch what is not left. */
    public static void wear(float[] left, Patch patch) {
        int[] argb = patch.argb();
        IntStream.range(0, patch.height()).parallel().forEach(y -> {
            for (int i = y * patch.width(); i < (y + 1) * patch.width(); i++) argb[i] = Alpha.thinned(argb[i], left[i]);
        });
    }

    /** How much a part covers, a row of pixels at once. */
    private interface Row {
        /** @param cover from {@code from} on; all 0 at first */
        void cover(int y, int from, float[] cover);
    }

    /** One part after the other over a patch. */
    private record Over(Veiled veil, Patch patch, Affine toFrame, Affine toPixels, float[] left) implements VeilPart.Kinds<Void> {
        private void apply(VeilPart part, int left, int top, int right, int bottom, Row row) {
            int from = Math.max(0, left);
            int to = Math.min(patch.width(), right);
            if (from >= to) return;
            float strength = (float) part.strength();
            IntStream.range(Math.max(0, top), Math.max(0, Math.min(patch.height(), bottom))).parallel().forEach(y -> {
                float[] cover = new float[to - from];
                row.cover(y, from, cover);
                for (int x = 0; x < cover.length; x++) {
                    if (cover[x] == 0) continue;
                    int i = y * patch.width() + from + x;
                    float by = cover[x] * strength;
                    this.left[i] = part.shows() ? this.left[i] + (1 - this.left[i]) * by : this.left[i] * (1 - by);
                }
            });
        }

        /** How long a pixel is in the frame. */
        private double pixel() {
            return Math.sqrt(Math.abs(toFrame.determinant()));
        }

        @Override
        public Void stroke(VeilPart.Stroke stroke) {
            double radius = stroke.size() / 2;
            List<Dot> dots = stroke.dots();
            Lines lines = new Lines(Math.max(1, dots.size() - 1), this);
            for (int i = 0; i < lines.count(); i++) {
                Dot a = dots.get(i);
                Dot b = dots.get(Math.min(i + 1, dots.size() - 1));
                lines.put(i, a.at(), b.at(), radius * a.press(), radius * b.press());
            }
            lines.sort();
            double same = dots.get(0).press();
            boolean even = dots.stream().allMatch(dot -> dot.press() == same);
            apply(stroke, lines.left(), lines.top(), lines.right(), lines.bottom(), (y, from, cover) -> {
                if (even) lines.brush(y, from, radius * same, stroke.softness(), cover);
                else lines.pressed(y, from, stroke.softness(), cover);
            });
            return null;
        }

        @Override
        public Void gradient(VeilPart.Gradient gradient) {
            Point way = gradient.to().minus(gradient.from());
            double long2 = way.dot(way);
            apply(gradient, 0, 0, patch.width(), patch.height(), (y, from, cover) -> {
                for (int x = 0; x < cover.length; x++) {
                    Point at = toFrame.apply(new Point(from + x + 0.5, y + 0.5)).minus(gradient.from());
                    double t = Math.max(0, Math.min(1, gradient.round() ? Math.sqrt(at.dot(at) / long2) : at.dot(way) / long2));
                    cover[x] = (float) (gradient.turned() ? t : 1 - t);
                }
            });
            return null;
        }

        @Override
        public Void colours(VeilPart.Colours colours) {
            double[] key = Lab.of(colours.colour().rgb());
            apply(colours, 0, 0, patch.width(), patch.height(), (y, from, cover) -> {
                int last = 0;
                float same = 0;
                for (int x = 0; x < cover.length; x++) {
                    int pixel = patch.argb()[y * patch.width() + from + x];
                    if (pixel != last) {
                        last = pixel;
                        same = near(pixel, key, colours);
                    }
                    cover[x] = same;
                }
            });
            return null;
        }

        private static float near(int pixel, double[] key, VeilPart.Colours colours) {
            if (pixel >>> 24 == 0) return 0;
            double far = Lab.distance(Lab.of(Alpha.straight(pixel) & 0xFFFFFF), key) / 100 - colours.tolerance();
            return far <= 0 ? 1 : far >= colours.softness() ? 0 : (float) (1 - far / colours.softness());
        }

        @Override
        public Void form(VeilPart.Form form) {
            Path path = veil.forms().get(form.panel());
            if (path == null || path.empty()) return null;
            double soft = Math.max(pixel(), form.softness() * veil.mm());
            List<List<Point>> rings = path.flattened(CHORDS);
            Lines lines = new Lines(rings.stream().mapToInt(List::size).sum(), this);
            int at = 0;
            for (List<Point> ring : rings) for (int i = 0; i < ring.size(); i++)
                lines.put(at++, ring.get(i), ring.get((i + 1) % ring.size()), soft / 2, soft / 2);
            lines.sort();
            apply(form, lines.left(), lines.top(), lines.right(), lines.bottom(),
                    (y, from, cover) -> lines.inside(y, from, soft, path.rule(), cover));
            return null;
        }
    }

    /** Straight lines of a frame, with how far each reaches at its ends, and where they lie among the pixels of a patch. */
    private static final class Lines {
        /** Rows of a patch that share a list of the lines near them. */
        private static final int BAND = 16;

        private final double[] x;
        private final double[] y;
        private final double[] reach;
        private final double[] across;
        private final double[] down;
        private final Over over;
        private final int[][] bands;

        Lines(int count, Over over) {
            x = new double[2 * count];
            y = new double[2 * count];
            reach = new double[2 * count];
            across = new double[2 * count];
            down = new double[2 * count];
            this.over = over;
            bands = new int[(over.patch.height() + BAND - 1) / BAND][];
        }

        /** Sorts the lines into the bands of rows that they may reach, by their first ends; after the last line. */
        private void sort() {
            int[] counts = new int[bands.length];
            for (boolean counted : new boolean[] {false, true}) {
                for (int band = 0; counted && band < bands.length; band++) bands[band] = new int[counts[band]];
                Arrays.fill(counts, 0);
                for (int i = 0; i < x.length; i += 2) {
                    double tall = downFor(Math.max(reach[i], reach[i + 1]));
                    double from = (Math.min(down[i], down[i + 1]) - tall - 1) / BAND;
                    double to = (Math.max(down[i], down[i + 1]) + tall + 1) / BAND;
                    for (int band = (int) Math.max(0, Math.floor(from)); band < bands.length && band <= to; band++) {
                        if (counted) bands[band][counts[band]] = i;
                        counts[band]++;
                    }
                }
            }
        }

        int count() {
            return x.length / 2;
        }

        void put(int i, Point a, Point b, double reachA, double reachB) {
            end(2 * i, a, reachA);
            end(2 * i + 1, b, reachB);
        }

        private void end(int i, Point at, double far) {
            x[i] = at.x();
            y[i] = at.y();
            reach[i] = far;
            Point pixel = over.toPixels.apply(at);
            across[i] = pixel.x();
            down[i] = pixel.y();
        }

        /** So many pixels a length of the frame covers to the right, or down. */
        private double acrossFor(double length) {
            return length * Math.hypot(over.toPixels.a(), over.toPixels.c()) + 1;
        }

        private double downFor(double length) {
            return length * Math.hypot(over.toPixels.b(), over.toPixels.d()) + 1;
        }

        /** The farthest pixel that any end reaches: to the right and down, or with a sign of -1 to the left and up. */
        private int most(double[] of, boolean sideways, int sign) {
            double most = Double.NEGATIVE_INFINITY;
            for (int i = 0; i < of.length; i++)
                most = Math.max(most, sign * of[i] + (sideways ? acrossFor(reach[i]) : downFor(reach[i])));
            return sign * (int) Math.ceil(Math.max(-1e9, Math.min(1e9, most)));
        }

        int left() {
            return most(across, true, -1);
        }

        int right() {
            return most(across, true, 1);
        }

        int top() {
            return most(down, false, -1);
        }

        int bottom() {
            return most(down, false, 1);
        }

        /** Which places of a row a line may reach. */
        private interface Stretch {
            /**
             * @param i     the line's first end
             * @param first of the places, counted from {@code from}
             */
            void at(int i, int first, int last);
        }

        private void along(int row, int from, int count, Stretch stretch) {
            for (int i : bands[row / BAND]) {
                double most = Math.max(reach[i], reach[i + 1]);
                double tall = downFor(most);
                double above = row + 0.5 - tall;
                double below = row + 0.5 + tall;
                if (Math.max(down[i], down[i + 1]) < above || Math.min(down[i], down[i + 1]) > below) continue;
                // The part of it that is near enough above or below.
                double falls = down[i + 1] - down[i];
                double a = falls == 0 ? 0 : Math.max(0, Math.min(1, ((falls > 0 ? above : below) - down[i]) / falls));
                double b = falls == 0 ? 1 : Math.max(0, Math.min(1, ((falls > 0 ? below : above) - down[i]) / falls));
                double one = across[i] + a * (across[i + 1] - across[i]);
                double other = across[i] + b * (across[i + 1] - across[i]);
                double wide = acrossFor(most);
                int first = (int) Math.max(0, Math.floor(Math.min(one, other) - wide) - from);
                int last = (int) Math.min(count - 1, Math.ceil(Math.max(one, other) + wide) - from);
                if (first <= last) stretch.at(i, first, last);
            }
        }

        /** The square of how far each place of a row is from the nearest line, where that is less than what is there. */
        private void nearest(int row, int from, float[] squares) {
            Affine toFrame = over.toFrame;
            along(row, from, squares.length, (i, first, last) -> {
                double dx = x[i + 1] - x[i];
                double dy = y[i + 1] - y[i];
                double per = dx == 0 && dy == 0 ? 0 : 1 / (dx * dx + dy * dy);
                double left = toFrame.a() * (from + 0.5) + toFrame.c() * (row + 0.5) + toFrame.e() - x[i];
                double top = toFrame.b() * (from + 0.5) + toFrame.d() * (row + 0.5) + toFrame.f() - y[i];
                for (int k = first; k <= last; k++) {
                    double ax = left + toFrame.a() * k;
                    double ay = top + toFrame.b() * k;
                    double along = (ax * dx + ay * dy) * per;
                    double t = along <= 0 ? 0 : along >= 1 ? 1 : along;
                    double offX = ax - t * dx;
                    double offY = ay - t * dy;
                    float square = (float) (offX * offX + offY * offY);
                    if (square < squares[k]) squares[k] = square;
                }
            });
        }

        /** A brush that is everywhere as wide along the lines; its edge fades smoothly, over a pixel at least. */
        void brush(int row, int from, double radius, double softness, float[] cover) {
            Arrays.fill(cover, Float.MAX_VALUE);
            nearest(row, from, cover);
            for (int k = 0; k < cover.length; k++) cover[k] = cover[k] == Float.MAX_VALUE ? 0
                    : covered(radius, Math.sqrt(cover[k]), softness, over.pixel());
        }

        /** One that is wider where it was pressed more. */
        void pressed(int row, int from, double softness, float[] cover) {
            Affine toFrame = over.toFrame;
            double pixel = over.pixel();
            along(row, from, cover.length, (i, first, last) -> {
                double dx = x[i + 1] - x[i];
                double dy = y[i + 1] - y[i];
                double per = dx == 0 && dy == 0 ? 0 : 1 / (dx * dx + dy * dy);
                double most = Math.max(reach[i], reach[i + 1]) + pixel;
                for (int k = first; k <= last; k++) {
                    double ax = toFrame.a() * (from + k + 0.5) + toFrame.c() * (row + 0.5) + toFrame.e() - x[i];
                    double ay = toFrame.b() * (from + k + 0.5) + toFrame.d() * (row + 0.5) + toFrame.f() - y[i];
                    double along = (ax * dx + ay * dy) * per;
                    double t = along <= 0 ? 0 : along >= 1 ? 1 : along;
                    double square = (ax - t * dx) * (ax - t * dx) + (ay - t * dy) * (ay - t * dy);
                    if (square > most * most) continue;
                    cover[k] = Math.max(cover[k], covered(reach[i] + t * (reach[i + 1] - reach[i]), Math.sqrt(square), softness, pixel));
                }
            });
        }

        /** How much a brush covers so far from its middle. */
        private static float covered(double radius, double distance, double softness, double pixel) {
            double soft = softness * radius;
            // A brush finer than a pixel covers less than that.
            double fine = Math.min(1, 2 * radius / pixel);
            return (float) (fine * (soft > pixel ? smooth((radius - distance) / soft)
                    : Math.max(0, Math.min(1, (radius - distance) / pixel + 0.5))));
        }

        /** What lies inside of the lines as rings; their edge fades over so much, half of it to either side. */
        void inside(int row, int from, double soft, FillRule rule, float[] cover) {
            float[] near = new float[cover.length];
            Arrays.fill(near, (float) (soft * soft / 4));
            nearest(row, from, near);
            int[] winding = new int[cover.length + 1];
            double py = row + 0.5;
            for (int i : bands[row / BAND]) {
                boolean falls = down[i] <= py && down[i + 1] > py;
                boolean rises = down[i + 1] <= py && down[i] > py;
                if (!falls && !rises) continue;
                double at = across[i] + (py - down[i]) / (down[i + 1] - down[i]) * (across[i + 1] - across[i]);
                int first = (int) Math.max(0, Math.min(cover.length, Math.ceil(at - from - 0.5)));
                winding[first] += falls ? 1 : -1;
            }
            int turns = 0;
            for (int k = 0; k < cover.length; k++) {
                turns += winding[k];
                boolean in = rule == FillRule.EVEN_ODD ? (turns & 1) != 0 : turns != 0;
                double far = Math.sqrt(near[k]);
                double t = 0.5 + (in ? far : -far) / soft;
                cover[k] = soft == over.pixel() ? (float) t : (float) smooth(t);
            }
        }

        /** Rises from 0 to 1 with level ends (Perlin's smoothstep). */
        private static double smooth(double t) {
            double in = Math.max(0, Math.min(1, t));
            return in * in * (3 - 2 * in);
        }
    }
}
