package plainlantern.rendering;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Semaphore;
import java.util.function.Supplier;
import java.util.zip.DeflaterOutputStream;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.picture.Encoder;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Rows;
import plainlantern.scene.Page;
import plainlantern.scene.Scene;
import plainlantern.sheet.Treated;

/**
 * About how many bytes a delivery will have, before it is made: a few small squares of it are painted and encoded as they will be,
 * and stand for the rest. What was painted last is kept, so that another format or quality of the same is told at once; estimates
 * beyond a few at once wait for each other.
 */
public final class Estimate {
    /** So many squares along each side of a page … */
    private static final int ALONG = 4;
    /** … each of so many pixels along its side. */
    private static final int SQUARE = 144;
    /** So many along each side of a placed picture, whole blocks of a JPEG; all in its middle where much around each had to be painted. */
    private static final int PLACED = 3;
    /** Pages that are looked at; the others are taken to be like them. */
    private static final int MOST_PAGES = 4;
    /** Layers that are looked at, likewise. */
    private static final int MOST_LAYERS = 24;
    /** What an SVG's pictures grow by as text (RFC 4648), and what a document has besides pictures. */
    private static final double AS_TEXT = 4 / 3.0;
    private static final double BESIDES = 15_000;
    /** Bounds of a file's size as shares of its estimate, see {@link #range}. */
    private static final double LEAST = 0.55;
    private static final double GLAZED = 0.2;
    private static final double MOST = 1.25;
    private static final double PIXELS = 1.5;

    /** Images that are kept, of 1.3 MB at most each. */
    private static final int KEPT = 48;
    private static final int AT_ONCE = 2;

    private final Semaphore room = new Semaphore(AT_ONCE, true);
    private final Map<Object, BufferedImage> kept = Collections.synchronizedMap(new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Object, BufferedImage> eldest) {
            return size() > KEPT;
        }
    });

    /** In bytes; throws as the delivery would for what cannot be made. */
    public long bytes(Delivery delivery, List<Page> pages, PictureSource pictures) {
        delivery.check(pages);
        room.acquireUninterruptibly();
        try {
            return counted(delivery, pages, pictures);
        } finally {
            room.release();
        }
    }

    /**
     * The smallest and the largest size to expect for an estimate of {@code bytes}: two thirds to one and a half of it for files of
     * pixels. Documents store each picture separately; sixteen of the demo's had between 0.55 and 1.25 times their estimates. A glaze in a
     * document is sampled only in its middle; one document with a glaze had a quarter of its estimate.
     */
    public static long[] range(Delivery delivery, List<Page> pages, long bytes) {
        if (delivery.format().pixels()) return new long[] {Math.round(bytes / PIXELS), Math.round(bytes * PIXELS)};
        boolean glaze = pages.stream().anyMatch(page -> page.scene().items().stream().anyMatch(Scene.Item::glaze));
        return new long[] {Math.round((glaze ? GLAZED : LEAST) * bytes), Math.round(MOST * bytes)};
    }

    private BufferedImage painted(Object what, Supplier<BufferedImage> painting) {
        BufferedImage image = kept.get(what);
        if (image == null) kept.put(what, image = painting.get());
        return image;
    }

    private long counted(Delivery delivery, List<Page> pages, PictureSource pictures) {
        if (!delivery.format().pixels()) return Math.round(placed(delivery, pages, pictures));
        double bytes = 0;
        double seen = 0;
        double all = 0;
        for (int i = 0; i < pages.size(); i++) {
            int[] size = delivery.pixels(pages.get(i));
            double count = (double) size[0] * size[1];
            all += count;
            if (i * MOST_PAGES / pages.size() < (i + 1) * MOST_PAGES / pages.size() || pages.size() <= MOST_PAGES) {
                bytes += aPixel(delivery, pages.get(i), size, pictures) * count + (delivery.format() == Format.OPENRASTER
                        ? layers(delivery, pages.get(i), elements(delivery, pages.get(i)), pictures) : 0);
                seen += count;
            }
        }
        double whole = bytes / seen * all;
        return Math.round(delivery.format() == Format.JPEG && delivery.atMost() > 0
                ? Math.min(whole, (double) delivery.atMost() * pages.size()) : whole);
    }

    /** Bytes a pixel in the squares of a page; in all of a page that is no larger than they are. */
    private double aPixel(Delivery delivery, Page page, int[] size, PictureSource pictures) {
        Scene scene = delivery.format() == Format.JPEG ? page.scene().onPaper(page.box()) : delivery.scene(page);
        BufferedImage sample = painted(List.of(scene, page.box(), size[0], size[1]),
                () -> sample(scene, RasterPainter.toPixels(page.box(), size), size, pictures));
        return (double) encoded(delivery, page, sample) / sample.getWidth() / sample.getHeight();
    }

    private static BufferedImage sample(Scene scene, Affine toPixels, int[] size, PictureSource pictures) {
        boolean opaque = scene.paper().isPresent();
        if ((long) size[0] * size[1] <= (long) ALONG * ALONG * SQUARE * SQUARE)
            return RasterPainter.paint(scene, toPixels, size, opaque, pictures, Progress.UNHEARD);
        Samples samples = Samples.of(new Box(0, 0, size[0], size[1]), ALONG, SQUARE);
        BufferedImage all = new BufferedImage(samples.width(), samples.height(), opaque ? BufferedImage.TYPE_INT_RGB
                : BufferedImage.TYPE_INT_ARGB);
        for (int i = 0; i < samples.squares().size(); i++) {
            Box square = samples.squares().get(i);
            BufferedImage painted = RasterPainter.paint(scene, Affine.move(-square.x(), -square.y()).after(toPixels),
                    new int[] {samples.across(), samples.down()}, opaque, pictures, Progress.UNHEARD);
            all.getRaster().setRect(samples.left(i), samples.top(i), painted.getRaster());
        }
        return all;
    }

    private static long encoded(Delivery delivery, Page page, BufferedImage sample) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        switch (delivery.format()) {
            case JPEG -> out.writeBytes(delivery.jpeg(sample, delivery.quality()));
            case TIFF -> Encoder.tiff(Rows.of(sample), delivery.ppi(), out);
            case WEBP -> Encoder.webp(Rows.of(sample), delivery.quality() / 100f, out, share -> {});
            default -> Encoder.png(Rows.of(sample), delivery.ppi(), out);
        }
        return out.size();
    }

    private static List<Scene.Item> elements(Delivery delivery, Page page) {
        List<Scene.Item> items = new ArrayList<>(page.scene().items());
        if (delivery.paper()) page.scene().paper().ifPresent(paper -> items.add(0, paper));
        return items;
    }

    /** Of elements that are pixels each: where they reach on the page. */
    private double layers(Delivery delivery, Page page, List<Scene.Item> items, PictureSource pictures) {
        int[] size = delivery.pixels(page);
        Affine toPixels = RasterPainter.toPixels(page.box(), size);
        double bytes = 0;
        double seen = 0;
        double all = 0;
        for (int i = 0; i < items.size(); i++) {
            Scene.Item item = items.get(i);
            Box box = Path.box(item.reach()).mapped(toPixels).bounds();
            int across = (int) Math.max(0, Math.ceil(Math.min(size[0], box.right()) - Math.max(0, box.x())));
            int down = (int) Math.max(0, Math.ceil(Math.min(size[1], box.bottom()) - Math.max(0, box.y())));
            double count = (double) across * down;
            if (count == 0) continue;
            all += count;
            if (i * MOST_LAYERS / items.size() == (i + 1) * MOST_LAYERS / items.size() && items.size() > MOST_LAYERS) continue;
            Scene alone = new Scene(page.scene().width(), page.scene().height(), Optional.empty(), List.of(item.plain()));
            Affine there = Affine.move(-Math.max(0, box.x()), -Math.max(0, box.y())).after(toPixels);
            BufferedImage sample = painted(List.of(alone, across, down), () -> sample(alone, there, new int[] {across, down}, pictures));
            bytes += (double) encoded(delivery, page, sample) / sample.getWidth() / sample.getHeight() * count;
            seen += count;
        }
        return seen == 0 ? 0 : bytes / seen * all;
    }

    /**
     * The pictures as they are placed: those that pass as they are, and of the others a few squares each; what veils leave; and of a PDF
     * the elements that are pixels there.
     */
    private double placed(Delivery delivery, List<Page> pages, PictureSource pictures) {
        List<List<Scene>> files = new ArrayList<>();
        if (delivery.archived(pages.size())) for (Page page : pages) files.add(List.of(delivery.scene(page)));
        else files.add(pages.stream().map(delivery::scene).toList());
        Placed placed = new Placed(delivery.ppi() * delivery.scale(), Glazing.of(files.stream().flatMap(List::stream).toList(),
                pictures));
        double sum = BESIDES * pages.size();
        boolean pdf = delivery.format() == Format.PDF;
        if (pdf) for (Page page : pages) sum += layers(delivery, page, page.scene().items().stream().filter(PdfPainter::flat)
                .map(Scene.Item::unshaded).toList(), pictures);
        for (List<Scene> scenes : files) {
            double bytes = 0;
            List<Scene> drawn = pdf ? scenes.stream().map(Estimate::drawn).toList() : scenes;
            for (Placed.Needed each : Placed.needed(drawn).values()) {
                boolean apart = pdf && each.apart();
                Placed.Needed seen = apart ? each.unveiled() : each;
                Optional<byte[]> untouched = placed.untouched(seen);
                bytes += untouched.isPresent() ? untouched.get().length : sampled(delivery, seen, placed);
                if (apart) bytes += masked(placed.grey(each), placed);
            }
            for (Scene scene : drawn) for (Scene.Item item : scene.items()) for (Scene.Layer layer : item.layers())
                if (layer.mask().isPresent() && layer.picture().isEmpty()) bytes += masked(placed.grey(layer), placed);
            sum += delivery.format() == Format.SVG && !delivery.linked() ? bytes * AS_TEXT : bytes;
        }
        return sum;
    }

    /** What a PDF does not have as pixels. */
    private static Scene drawn(Scene scene) {
        return new Scene(scene.width(), scene.height(), scene.paper(),
                scene.items().stream().filter(item -> !PdfPainter.flat(item)).toList());
    }

    private double sampled(Delivery delivery, Placed.Needed needed, Placed placed) {
        Box part = placed.part(needed);
        Treated treated = needed.layer().treated();
        int along = treated.through().isEmpty() && treated.lens().isEmpty() && treated.tones().isEmpty() ? PLACED : 1;
        BufferedImage some = painted(List.of(treated, part), () -> placed.squares(needed, along, PLACED * SQUARE / along));
        byte[] file = some.getColorModel().hasAlpha() ? Encoder.png(some, 72) : Encoder.jpeg(some, delivery.quality() / 100f, 72);
        return file.length * part.width() * part.height() / some.getWidth() / some.getHeight();
    }

    /** A mask, by a few squares of it. */
    private static double masked(Placed.Grey grey, Placed placed) {
        Samples samples = Samples.of(grey.part(), ALONG, SQUARE);
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (DeflaterOutputStream out = new DeflaterOutputStream(packed)) {
            for (Box square : samples.squares()) placed.write(grey, square, out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return packed.size() * grey.part().width() * grey.part().height() / samples.width() / samples.height();
    }
}
