package plainlantern.rendering;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import plainlantern.asking.Unit;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.scene.Page;
import plainlantern.scene.Scene.Item;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.scene.Scene;
import plainlantern.sheet.Warp;

/**
 * How many bytes of memory a painting takes at most, before it is begun: its page, the elements that are painted at once, and the pictures
 * that are open.
 */
public final class Cost {
    /** A pixel of a page, and what its encoder holds of it. */
    private static final int PAGE = 4;
    private static final int ENCODED = 2;
    /** Elements that are painted at once. */
    private static final int AHEAD = 2;
    /** Tiles that an element takes: its own, its form's, and where it is blurred those it is blurred with. */
    private static final int TILES = 2;
    private static final int BLURRED = 4;
    private static final int TREATED = 8;
    private static final long BESIDES = 8L << 20;
    private static final long SAMPLES = 40L << 20;

    private Cost() {}

    /** What pictures take, bytes. */
    public interface Pictures {
        /** While one is being read, file included. {@code share} as {@link plainlantern.picture.PictureSource} has it. */
        long reading(PaintedPicture picture, double share);

        /** Of one that was read. */
        long held(PaintedPicture picture, double share);

        /** Of all that are kept together. */
        long mostHeld();
    }

    /** Of the whole sheet, its longer side so many pixels, as {@link RasterPainter#small} paints it. */
    public static long small(Scene scene, double side, Pictures pictures) {
        double ppi = Math.max(1, side / Math.max(scene.width(), scene.height()) * Unit.MM_PER_INCH);
        return painting(Page.of(scene), RasterPainter.size(scene.width(), scene.height(), ppi), pictures);
    }

    /** Of a part of the sheet, {@code box} in mm. */
    public static long part(Scene scene, Box box, double ppi, Pictures pictures) {
        return painting(new Page("", "", scene, box, 0), RasterPainter.size(box.width(), box.height(), ppi), pictures);
    }

    /** Of a delivery's most expensive page. */
    public static long delivery(Delivery delivery, List<Page> pages, Pictures pictures) {
        long most = 0;
        long embedded = 0;
        for (Page page : pages) {
            int[] size = delivery.pixels(page);
            long open = open(page, RasterPainter.toPixels(page.box(), size), size, pictures);
            // All pixels of a WebP wait for its encoder.
            long waiting = delivery.format() == Format.WEBP ? (long) size[0] * size[1] * (PAGE + ENCODED) : 0;
            if (delivery.format().pixels()) most = Math.max(most, waiting + stripped(page, size, pictures));
            else {
                most = Math.max(most, open + (delivery.format() == Format.PDF ? softened(delivery, page) : 0));
                embedded += open;
            }
        }
        // A document holds its pictures, encoded, until it is written.
        return most + embedded / 4 + BESIDES;
    }

    /** Of a few small squares of a delivery's pages: mostly the pictures they show. */
    public static long sampling(Delivery delivery, List<Page> pages, Pictures pictures) {
        long most = 0;
        for (Page page : pages) {
            int[] size = delivery.pixels(page);
            most = Math.max(most, open(page, RasterPainter.toPixels(page.box(), size), size, pictures));
        }
        return most + SAMPLES;
    }

    private static long painting(Page page, int[] size, Pictures pictures) {
        Affine toPixels = RasterPainter.toPixels(page.box(), size);
        long pixels = (long) size[0] * size[1];
        long item = 0;
        for (Item one : items(page.scene())) item = Math.max(item, tiles(one, toPixels, size));
        return pixels * (PAGE + ENCODED) + AHEAD * item + open(page, toPixels, size, pictures) + BESIDES;
    }

    /** Of a page that goes into its file strip by strip. */
    private static long stripped(Page page, int[] size, Pictures pictures) {
        Affine toPixels = RasterPainter.toPixels(page.box(), size);
        long item = 0;
        long all = 0;
        long windows = 0;
        // Each glaze has strips beneath it, with elements that are painted ahead.
        long strips = 1;
        for (Item one : items(page.scene())) {
            if (one.glaze()) {
                windows += GlazeRows.bytes(one, toPixels, size);
                strips++;
            }
            item = Math.max(item, tiles(one, toPixels, new int[] {size[0], Math.max(Strips.high(size), (int) (Strips.BAND / size[0]))}));
            all += Math.min(Strips.BAND, tiles(one, toPixels, size) / PAGE);
        }
        return windows + Strips.bytes(size) + Math.min(Strips.KEPT, all) * PAGE + strips * AHEAD * item
                + open(page, toPixels, size, pictures) + BESIDES;
    }

    /** Of the element of a PDF's page that takes most while it becomes pixels: of a soft edge its strips, of shadows all of them. */
    private static long softened(Delivery delivery, Page page) {
        int[] size = delivery.pixels(page);
        Affine toPixels = RasterPainter.toPixels(page.box(), size);
        long most = 0;
        for (Item item : page.scene().items()) {
            if (PdfPainter.flat(item)) most = Math.max(most, Strips.bytes(size) + Strips.KEPT * PAGE + AHEAD * tiles(item, toPixels, size));
            most = Math.max(most, (long) PdfPainter.shaded(item, page.box(), delivery.ppi() * delivery.scale()) * PAGE * BLURRED);
        }
        return most;
    }

    private static List<Item> items(Scene scene) {
        List<Item> all = new ArrayList<>(scene.joined().items());
        scene.paper().ifPresent(all::add);
        return all;
    }

    private static long tiles(Item item, Affine toPixels, int[] size) {
        Box reach = item.clip().mapped(toPixels).bounds();
        long area = (long) (Math.min(reach.width() + 1, size[0]) * Math.min(reach.height() + 1, size[1]));
        return item.blurred() ? area * PAGE * BLURRED : Math.min(area, Strips.BAND) * PAGE * TILES;
    }

    /** Of the pictures that touch a page: those that are kept, and the two dearest while they are read. */
    private static long open(Page page, Affine toPixels, int[] size, Pictures pictures) {
        Map<String, Long> held = new HashMap<>();
        List<Long> reading = new ArrayList<>();
        List<Long> passing = new ArrayList<>();
        for (Item item : items(page.scene())) {
            Box reach = item.clip().mapped(toPixels).bounds();
            if (reach.right() < 0 || reach.bottom() < 0 || reach.x() > size[0] || reach.y() > size[1]) continue;
            for (PaintedPicture picture : item.pictures()) {
                Affine map = toPixels.after(picture.pixelsToSheet());
                double share = picture.treated().warp().isPresent() ? 1 : Math.max(map.xScale(), map.yScale());
                held.merge(picture.treated().picture(), pictures.held(picture, share), Math::max);
                long read = pictures.reading(picture, share) + treating(picture, share);
                reading.add(read);
                passing.add(read - pictures.held(picture, share));
            }
        }
        long all = held.values().stream().mapToLong(Long::longValue).sum();
        return Math.min(all + dearest(passing), pictures.mostHeld() + dearest(reading));
    }

    /** Of a picture that is treated on its way: its pixels as they are treated, and as they come out; in perspective all of it. */
    private static long treating(PaintedPicture picture, double share) {
        Optional<Warp> warp = picture.treated().warp();
        if (warp.isPresent()) return (long) warp.get().width() * warp.get().height() * TREATED;
        double sized = Math.min(1, share);
        return picture.treated().untouched() ? 0 : (long) (picture.width() * sized * picture.height() * sized * TREATED);
    }

    /** Of as many as are read at once. */
    private static long dearest(List<Long> costs) {
        return costs.stream().sorted(Comparator.reverseOrder()).limit(AHEAD).mapToLong(Long::longValue).sum();
    }
}
