package plainlantern.rendering;

import plainlantern.geometry.Box;

/** Pixels beyond the edges of a box: as in mirrors that stand there, so that nothing that looks across an edge sees a seam. */
record Mirror(Span across, Span down) {
    /** At the edges of the pixels that are wholly in a box: those that are so in part only would let something through. */
    static Mirror at(Box box) {
        return new Mirror(Span.of(box.x(), box.right()), Span.of(box.y(), box.bottom()));
    }

    /** From one pixel to before another. */
    record Span(int from, int to) {
        static Span of(double from, double to) {
            int first = (int) Math.ceil(from - 1e-6);
            int last = (int) Math.floor(to + 1e-6);
            return last > first ? new Span(first, last) : new Span((int) Math.floor(from), (int) Math.floor(from) + 1);
        }

        /** Where a pixel's colour lies. */
        int at(int pixel) {
            int length = to - from;
            int place = Math.floorMod(pixel - from, 2 * length);
            return from + (place < length ? place : 2 * length - 1 - place);
        }

        /** Whether pixels from one to before another are no mirror images. */
        boolean holds(int first, int last) {
            return first >= from && last <= to;
        }

        /** All that pixels of a span see. */
        Span seen(Span of) {
            if (holds(of.from, of.to)) return of;
            if (of.to - of.from >= to - from) return this;
            int first = Math.min(at(of.from), at(of.to - 1));
            int last = Math.max(at(of.from), at(of.to - 1));
            for (int edge : new int[] {from, to - 1}) {
                // An edge is seen where a mirror stands between the two ends.
                for (int pixel = of.from; pixel < of.to; pixel++) {
                    if (at(pixel) != edge) continue;
                    first = Math.min(first, edge);
                    last = Math.max(last, edge);
                    break;
                }
            }
            return new Span(first, last + 1);
        }

        Span union(Span other) {
            return new Span(Math.min(from, other.from), Math.max(to, other.to));
        }
    }
}
