package plainlantern.rendering;

import java.awt.image.BufferedImage;
import java.util.Optional;
import java.util.function.Consumer;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Tile;
import plainlantern.scene.Scene.Item;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.scene.Scene;
import plainlantern.sheet.Treated;
import plainlantern.treating.ColourMap;
import plainlantern.treating.Whole;

/**
 * Rows of a page with a glaze over them, which looks at what was painted beneath it: of that as many rows are kept as its blur and its
 * shift reach.
 */
final class GlazeRows {
    /** Bytes of a pixel. */
    private static final int EACH = 4;

    private final Scene beneath;
    private final Item glaze;
    private final Affine toPixels;
    private final int[] size;
    private final Window window;
    private final PictureSource seen;
    private final int tall;
    /** By slabs: the rows that each looks at, and the first that it or a later one does. */
    private final Mirror.Span[] looks;
    private final int[] first;
    private int slab;

    GlazeRows(Scene beneath, Item glaze, Affine toPixels, int[] size, boolean opaque, PictureSource pictures,
            Consumer<String> passed, int high, long band, Strips.Kept kept) {
        this.beneath = beneath;
        this.glaze = glaze;
        this.toPixels = toPixels;
        this.size = size;
        PaintedPicture layer = glaze.pictures().get(0);
        Mirror mirror = Glazing.mirror(beneath, toPixels);
        int reach = Glazing.reach(layer, toPixels) + (int) Math.ceil(ItemPainter.far(glaze, toPixels)) + 1;
        int[] by = Glazing.shift(layer.treated().through().orElseThrow(), toPixels);
        Box own = ItemPainter.reach(glaze, toPixels);
        Mirror.Span page = new Mirror.Span(0, size[0]);
        Mirror.Span across = meets(own) ? page.union(mirror.across().seen(span(own.x(), own.right(), 0, size[0], by[0], reach))) : page;
        tall = Math.max(high, Math.min(size[1], 2 * reach));
        int slabs = (size[1] + tall - 1) / tall;
        looks = new Mirror.Span[slabs];
        first = new int[slabs + 1];
        Mirror.Span down = new Mirror.Span(0, size[1]);
        for (int i = 0; i < slabs; i++) {
            int to = Math.min(size[1], (i + 1) * tall);
            looks[i] = new Mirror.Span(i * tall, to);
            if (meets(own) && own.y() < to && own.bottom() > i * tall)
                looks[i] = looks[i].union(mirror.down().seen(span(own.y(), own.bottom(), i * tall, to, by[1], reach)));
            down = down.union(looks[i]);
        }
        first[slabs] = Integer.MAX_VALUE;
        for (int i = slabs - 1; i >= 0; i--) first[i] = Math.min(first[i + 1], looks[i].from());
        int[] canvas = {across.to() - across.from(), down.to() - down.from()};
        window = new Window(new Strips(beneath, Affine.move(-across.from(), -down.from()).after(toPixels), canvas, opaque, pictures,
                Progress.UNHEARD, passed, Math.min(high, canvas[1]), band, kept), across.from(), down.from(), mirror);
        seen = new Seen(pictures, Glazing.whole(layer.treated(), beneath, layer, pictures));
    }

    /** Memory that a glaze's rows take: its window, those that it hands on, and what becomes of them. */
    static long bytes(Item glaze, Affine toPixels, int[] size) {
        PaintedPicture layer = glaze.pictures().get(0);
        int reach = Glazing.reach(layer, toPixels);
        int down = Math.abs(Glazing.shift(layer.treated().through().orElseThrow(), toPixels)[1]);
        long high = Math.max(Strips.high(size), 2 * reach);
        return (long) size[0] * (Math.min(size[1], down + 2 * reach + high) + 4 * Math.min(size[1], high)) * EACH;
    }

    private boolean meets(Box own) {
        return own.right() > 0 && own.x() < size[0] && own.bottom() > 0 && own.y() < size[1];
    }

    /** What a glaze looks at within a part of the page. */
    private static Mirror.Span span(double from, double to, int least, int most, int by, int reach) {
        int first = Math.max(least, (int) Math.floor(from));
        int last = Math.max(first + 1, Math.min(most, (int) Math.ceil(to)));
        return new Mirror.Span(first - by - reach, last - by + reach);
    }

    /** How many rows come at once. */
    int tall() {
        return tall;
    }

    /** The next rows, from the top down. */
    Tile next() {
        Mirror.Span look = looks[slab];
        window.until(look.to());
        int top = slab * tall;
        Box box = new Box(0, top, size[0], Math.min(tall, size[1] - top));
        Tile onto = window.tile(box);
        for (ItemPainter.Painted part : ItemPainter.painted(glaze, toPixels, box, seen))
            Blending.over(onto, part.tile(), part.form(), part.look());
        window.pass(first[++slab]);
        return onto;
    }

    void close() {
        window.close();
    }

    /** What the window shows through the glaze. */
    private final class Seen implements PictureSource, Glazing.Below {
        private final PictureSource pictures;
        private final Whole whole;

        Seen(PictureSource pictures, Whole whole) {
            this.pictures = pictures;
            this.whole = whole;
        }

        @Override
        public BufferedImage image(String id, double share) {
            return pictures.image(id, share);
        }

        @Override
        public Optional<ColourMap> table(String id) {
            return pictures.table(id);
        }

        @Override
        public Tile pixels(Box box) {
            return window.tile(box);
        }

        @Override
        public Tile smaller(double share, Box box) {
            return Glazing.painted(beneath, Affine.scale(share, share).after(toPixels), box, pictures);
        }

        @Override
        public Tile onto(Treated what, int width, int height, Affine map, Box wanted) {
            return Glazing.seen(what, width, height, map, toPixels, wanted, this, whole);
        }
    }
}
