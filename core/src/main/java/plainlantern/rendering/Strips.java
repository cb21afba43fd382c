package plainlantern.rendering;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.picture.Joined;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Rows;
import plainlantern.picture.Tile;
import plainlantern.scene.Scene;

/**
 * A page painted from top to bottom, strip by strip, as its rows are asked for. Elements are painted two ahead of what is being laid down,
 * so that pictures are decoded while a strip is encoded. An element that reaches into several strips is painted once and kept until it is
 * passed; a large one strip by strip.
 */
final class Strips implements Rows {
    /** Pixels of a strip, about, and its rows at least. */
    private static final int STRIP = 2_000_000;
    private static final int LEAST = 64;
    private static final int AHEAD = 2;
    /** Pixels of an element that are painted at once, at most. */
    static final long BAND = 8_000_000;
    /** Pixels of all elements that are kept. */
    static final long KEPT = 40_000_000;

    private final Affine toPixels;
    private final int[] size;
    private final boolean opaque;
    private final PictureSource pictures;
    private final Progress progress;
    private final Consumer<String> passed;
    /** In how many elements each picture is still to be painted. */
    private final Map<String, Integer> wanted = new HashMap<>();
    private final int high;
    private final List<Placed> all = new ArrayList<>();
    private final Iterator<Step> steps = new Begun();
    private final Deque<Step> ahead = new ArrayDeque<>();
    private int top;
    private long kept;

    /**
     * @param opaque whether the scene's paper is painted, which it then has
     * @param passed hears of each picture that will not be needed any more
     */
    Strips(Scene scene, Affine toPixels, int[] size, boolean opaque, PictureSource pictures, Progress progress,
            Consumer<String> passed) {
        this(scene, toPixels, size, opaque, pictures, progress, passed, high(size));
    }

    /** @param high rows of a strip */
    Strips(Scene scene, Affine toPixels, int[] size, boolean opaque, PictureSource pictures, Progress progress,
            Consumer<String> passed, int high) {
        this.passed = passed;
        this.toPixels = toPixels;
        this.size = size;
        this.opaque = opaque;
        this.pictures = pictures;
        this.progress = progress;
        this.high = high;
        if (opaque) all.add(new Placed(scene.paper().orElseThrow()));
        for (Scene.Item item : scene.joined().items()) all.add(new Placed(item));
        for (Placed placed : all) if (placed.meets(0, size[1])) placed.ids().forEach(id -> wanted.merge(id, 1, Integer::sum));
    }

    /** How many rows a strip of a page has, the last one aside. */
    static int high(int[] size) {
        return Math.max(Math.min(size[1], LEAST), Math.min(size[1], STRIP / size[0]));
    }

    /** An element, where it is on the page, and its painting while it is kept. */
    private final class Placed {
        private final Scene.Item item;
        private final Box reach;
        private CompletableFuture<List<ItemPainter.Painted>> whole;
        private boolean painted;

        Placed(Scene.Item item) {
            this.item = item;
            reach = ItemPainter.reach(item, toPixels);
        }

        boolean meets(int from, int to) {
            return reach.right() > 0 && reach.x() < size[0] && reach.bottom() > from && reach.y() < to;
        }

        long area() {
            double across = Math.min(size[0], reach.right()) - Math.max(0, reach.x());
            double down = Math.min(size[1], reach.bottom()) - Math.max(0, reach.y());
            return (long) (across * down);
        }

        /** Its painting for a strip, begun. */
        CompletableFuture<List<ItemPainter.Painted>> painting(Box strip) {
            if (whole != null) return whole;
            boolean keep = area() <= BAND && kept + area() <= KEPT;
            Box page = keep ? new Box(0, 0, size[0], size[1]) : strip;
            CompletableFuture<List<ItemPainter.Painted>> painting = CompletableFuture.supplyAsync(() ->
                    ItemPainter.painted(item, toPixels, page, pictures));
            if (keep) {
                whole = painting;
                kept += area();
            }
            return painting;
        }

        Set<String> ids() {
            return item.pictures().stream().map(picture -> picture.treated().picture()).collect(Collectors.toSet());
        }

        /** Its painting was laid down up to a row: where it is whole, its pictures are not needed for it any more. */
        void laid(int row) {
            boolean over = reach.bottom() <= row || row == size[1];
            if (whole != null || over) done();
            if (whole == null || !over) return;
            whole = null;
            kept -= area();
        }

        private void done() {
            if (painted) return;
            painted = true;
            for (String id : ids()) if (wanted.merge(id, -1, Integer::sum) == 0) passed.accept(id);
        }
    }

    /** An element in a strip that begins at that row. */
    private record Step(int top, Placed placed, CompletableFuture<List<ItemPainter.Painted>> painting) {}

    /** Every element of every strip, in the order in which they are laid down. */
    private final class Begun implements Iterator<Step> {
        private int strip;
        private int next;

        @Override
        public boolean hasNext() {
            while (strip < size[1]) {
                for (; next < all.size(); next++) if (all.get(next).meets(strip, strip + high)) return true;
                strip += high;
                next = 0;
            }
            return false;
        }

        @Override
        public Step next() {
            Placed placed = all.get(next++);
            return new Step(strip, placed, placed.painting(new Box(0, strip, size[0], Math.min(high, size[1] - strip))));
        }
    }

    @Override
    public int width() {
        return size[0];
    }

    @Override
    public int height() {
        return size[1];
    }

    @Override
    public boolean opaque() {
        return opaque;
    }

    @Override
    public int[] next() {
        int rows = Math.min(high, size[1] - top);
        Tile onto = new Tile(0, top, size[0], rows, new int[Math.multiplyExact(size[0], rows)]);
        progress.at((double) top / size[1]);
        while (true) {
            while (ahead.size() < AHEAD && steps.hasNext()) ahead.add(steps.next());
            if (ahead.isEmpty() || ahead.peek().top() > top) break;
            Step step = ahead.remove();
            for (ItemPainter.Painted part : Joined.of(step.painting())) Blending.over(onto, part.tile(), part.form(), part.look());
            step.placed().laid(top + rows);
        }
        top += rows;
        if (!opaque) onto.straight();
        return onto.argb();
    }
}
