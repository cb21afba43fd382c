package plainlantern.rendering;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
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
 * so that pictures are decoded while a strip is encoded. An element that reaches into several strips is painted once, a large one slab by
 * slab, and kept until it is passed.
 */
final class Strips implements Rows {
    /** Pixels of a strip, about, and its rows at least. */
    private static final int STRIP = 1_200_000;
    private static final int LEAST = 16;
    /** Bytes of a pixel of a strip: those being laid down and those being encoded, as pixels, filtered and packed. */
    private static final int EACH = 4 + 4 + 4 + 4;
    private static final int AHEAD = 2;
    /** Pixels of an element that are painted at once, about. */
    static final long BAND = 2_500_000;
    /** Pixels of all elements that are kept in memory; the others are on disk. */
    static final long KEPT = 40_000_000;

    private final Affine toPixels;
    private final int[] size;
    private final boolean opaque;
    private final PictureSource pictures;
    private final Progress progress;
    private final Consumer<String> passed;
    /** In how many elements each picture is still to be painted. */
    private final Map<String, Integer> wanted = new ConcurrentHashMap<>();
    private final int high;
    private final long band;
    private final List<Placed> all = new ArrayList<>();
    private final Iterator<Step> steps = new Begun();
    private final Deque<Step> ahead = new ArrayDeque<>();
    private final Spill spill = new Spill();
    private final Kept kept;
    /** What lies beneath its elements already, with the frontmost glaze over it. */
    private final Optional<GlazeRows> beneath;
    private int top;
    private volatile boolean closed;

    /** Pixels that are kept in memory, of a page and of all that its glazes look at. */
    static final class Kept {
        private long pixels;

        /** Counts more pixels if there is room for them, and returns whether there was. */
        boolean takes(long more) {
            if (pixels + more > KEPT) return false;
            pixels += more;
            return true;
        }
    }

    /**
     * @param opaque whether the scene's paper is painted, which it then has
     * @param passed hears of each picture that will not be needed any more
     */
    Strips(Scene scene, Affine toPixels, int[] size, boolean opaque, PictureSource pictures, Progress progress,
            Consumer<String> passed) {
        this(scene, toPixels, size, opaque, pictures, progress, passed, high(size), BAND, new Kept());
    }

    /**
     * @param high rows of a strip
     * @param band so many pixels of an element are painted at once, or as many as what it casts makes worth while
     * @param kept what the page has kept already
     */
    Strips(Scene scene, Affine toPixels, int[] size, boolean opaque, PictureSource pictures, Progress progress,
            Consumer<String> passed, int high, long band, Kept kept) {
        this.kept = kept;
        this.band = band;
        this.passed = passed;
        this.toPixels = toPixels;
        this.size = size;
        this.opaque = opaque;
        this.pictures = pictures;
        this.progress = progress;
        List<Scene.Item> items = scene.joined().items();
        int glaze = pictures instanceof Glazing ? -1 : items.size() - 1;
        while (glaze >= 0 && !items.get(glaze).glaze()) glaze--;
        beneath = glaze < 0 ? Optional.empty() : Optional.of(new GlazeRows(new Scene(scene.width(), scene.height(), scene.paper(),
                items.subList(0, glaze)), items.get(glaze), toPixels, size, opaque, pictures, passed, high, band, kept));
        this.high = beneath.map(GlazeRows::tall).orElse(high);
        if (opaque && glaze < 0) all.add(new Placed(scene.paper().orElseThrow()));
        for (Scene.Item item : items.subList(glaze + 1, items.size())) all.add(new Placed(item));
        for (Placed placed : all) if (placed.meets(0, size[1])) placed.ids().forEach(id -> wanted.merge(id, 1, Integer::sum));
    }

    /** The rows of one element, and where the first of their pixels is on the page. */
    record Alone(Strips rows, int left, int top) {
        Box box() {
            return new Box(left, top, rows.width(), rows.height());
        }
    }

    /** An element by itself on nothing, as far as it reaches on a page; {@code page} in pixels. Empty where it does not touch the page. */
    static Optional<Alone> alone(Scene.Item item, Affine toPixels, Box page, PictureSource pictures) {
        return LayerPainter.inside(page, Shapes2D.rectangle(ItemPainter.reach(item, toPixels))).map(reach -> {
            int left = (int) Math.floor(reach.x());
            int top = (int) Math.floor(reach.y());
            int[] size = {(int) Math.ceil(reach.right()) - left, (int) Math.ceil(reach.bottom()) - top};
            Scene scene = new Scene(page.width(), page.height(), Optional.empty(), List.of(item));
            return new Alone(new Strips(scene, Affine.move(-left, -top).after(toPixels), size, false, pictures, Progress.UNHEARD, id -> {}),
                    left, top);
        });
    }

    /** How many rows a strip of a page has, the last one aside. */
    static int high(int[] size) {
        return Math.max(Math.min(size[1], LEAST), Math.min(size[1], STRIP / size[0]));
    }

    /** Memory that the strips of a page take, without what is painted into them. */
    static long bytes(int[] size) {
        return (long) size[0] * high(size) * EACH;
    }

    /** An element, where it is on the page, and the slabs of it that are kept. */
    private final class Placed {
        private final Scene.Item item;
        private final Box reach;
        private final int first;
        private final int last;
        /** Rows of a slab. */
        private final int tall;
        private final Map<Integer, CompletableFuture<Slab>> slabs = new HashMap<>();
        /** Slabs that are not painted yet. */
        private final AtomicInteger left;

        Placed(Scene.Item item) {
            this.item = item;
            reach = ItemPainter.reach(item, toPixels);
            first = (int) Math.max(0, Math.floor(reach.y()));
            last = (int) Math.min(size[1], Math.ceil(reach.bottom()));
            // What is painted around a slab for what it casts is not much more than the slab.
            int far = (int) Math.min(size[1], 2 * ItemPainter.far(item, toPixels));
            tall = (int) Math.max(1, Math.max(far, Math.min(size[1], band / Math.max(1, across()))));
            left = new AtomicInteger((last - first + tall - 1) / tall);
        }

        boolean meets(int from, int to) {
            return reach.right() > 0 && reach.x() < size[0] && reach.bottom() > from && reach.y() < to && first < last;
        }

        long across() {
            return (long) Math.ceil(Math.min(size[0], reach.right()) - Math.max(0, reach.x()));
        }

        /** Those of its slabs that a strip shows, begun. */
        List<CompletableFuture<Slab>> painting(int from, int to) {
            List<CompletableFuture<Slab>> all = new ArrayList<>();
            for (int slab = Math.max(0, from - first) / tall; first + slab * (long) tall < Math.min(last, to); slab++)
                all.add(slabs.computeIfAbsent(slab, this::begun));
            return all;
        }

        private CompletableFuture<Slab> begun(int slab) {
            int top = first + slab * tall;
            int rows = Math.min(tall, last - top);
            // One slab is the whole element, which is not cut where the page is not.
            Box part = rows == last - first ? new Box(0, 0, size[0], size[1]) : new Box(0, top, size[0], rows);
            long pixels = across() * rows * parts();
            boolean room = kept.takes(pixels);
            return CompletableFuture.supplyAsync(() -> {
                if (closed) throw new CancellationException();
                List<ItemPainter.Painted> paint = pictures instanceof Painting known ? known.painted(item, toPixels, part)
                        : ItemPainter.painted(item, toPixels, part, pictures);
                if (left.decrementAndGet() == 0) done();
                return room ? Slab.kept(paint, top, top + rows, pixels) : Slab.spilled(paint, top, top + rows, spill);
            });
        }

        /** Tiles that its painting is made of, at most. */
        private int parts() {
            return 1 + item.shades().size();
        }

        Set<String> ids() {
            return item.pictures().stream().map(picture -> picture.treated().picture()).collect(Collectors.toSet());
        }

        /** All of it is painted: it needs its pictures no more. */
        private void done() {
            for (String id : ids()) if (wanted.merge(id, -1, Integer::sum) == 0) passed.accept(id);
        }

        /** Its painting was laid down up to a row: slabs above are not needed any more. */
        void laid(int row) {
            slabs.entrySet().removeIf(slab -> {
                if (Math.min(last, first + (slab.getKey() + 1L) * tall) > row) return false;
                Slab over = Joined.of(slab.getValue());
                kept.pixels -= over.kept();
                over.free();
                return true;
            });
        }
    }

    /** An element in a strip that begins at that row. */
    private record Step(int top, Placed placed, List<CompletableFuture<Slab>> painting) {}

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
            return new Step(strip, placed, placed.painting(strip, Math.min(size[1], strip + high)));
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
        Tile strip = paint();
        if (!opaque) strip.straight();
        return strip.argb();
    }

    /** The next rows, alpha multiplied in. */
    Tile paint() {
        int rows = Math.min(high, size[1] - top);
        Tile onto = beneath.map(GlazeRows::next).orElseGet(() -> new Tile(0, top, size[0], rows,
                new int[Math.multiplyExact(size[0], rows)]));
        progress.at((double) top / size[1]);
        while (true) {
            while (ahead.size() < AHEAD && steps.hasNext()) ahead.add(steps.next());
            if (ahead.isEmpty() || ahead.peek().top() > top) break;
            Step step = ahead.remove();
            for (CompletableFuture<Slab> slab : step.painting()) {
                for (ItemPainter.Painted part : Joined.of(slab).rows(top, top + rows))
                    Blending.over(onto, part.tile(), part.form(), part.look());
            }
            step.placed().laid(top + rows);
        }
        top += rows;
        return onto;
    }

    /** Waits for what is being painted, begins nothing more, and frees memory and disk. */
    @Override
    public void close() {
        closed = true;
        ahead.clear();
        for (Placed placed : all) {
            for (CompletableFuture<Slab> slab : placed.slabs.values()) slab.handle((painted, failure) -> failure).join();
            placed.slabs.clear();
        }
        beneath.ifPresent(GlazeRows::close);
        spill.close();
    }
}
