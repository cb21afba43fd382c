package plainlantern.rendering;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import plainlantern.geometry.Affine;
import plainlantern.picture.Encoder;
import plainlantern.picture.PictureSource;
import plainlantern.scene.Page;
import plainlantern.scene.Scene;
import plainlantern.scene.Scene.PictureLayer;

/**
 * About how many bytes a delivery will have, before it is made: a few small squares of it are painted and encoded as they will be, and stand
 * for the rest.
 */
public final class Estimate {
    /** So many squares along each side of a page … */
    private static final int ALONG = 4;
    /** … each of so many pixels along its side. */
    private static final int SQUARE = 144;
    /** Pages that are looked at; the others are taken to be like them. */
    private static final int MOST_PAGES = 4;
    /** What an SVG's pictures grow by as text (RFC 4648), and what a document has besides pictures. */
    private static final double AS_TEXT = 4 / 3.0;
    private static final double BESIDES = 15_000;

    private Estimate() {}

    /** In bytes; throws as the delivery would for what cannot be made. */
    public static long bytes(Delivery delivery, List<Page> pages, PictureSource pictures) {
        delivery.check(pages);
        if (!delivery.format().pixels()) return Math.round(placed(delivery, pages, pictures));
        double bytes = 0;
        double seen = 0;
        double all = 0;
        for (int i = 0; i < pages.size(); i++) {
            int[] size = delivery.pixels(pages.get(i));
            double count = (double) size[0] * size[1];
            all += count;
            if (i * MOST_PAGES / pages.size() < (i + 1) * MOST_PAGES / pages.size() || pages.size() <= MOST_PAGES) {
                bytes += aPixel(delivery, pages.get(i), size, pictures) * count;
                seen += count;
            }
        }
        double whole = bytes / seen * all;
        return Math.round(delivery.format() == Format.JPEG && delivery.atMost() > 0 ? Math.min(whole, (double) delivery.atMost() * pages.size()) : whole);
    }

    /** Bytes a pixel in the squares of a page; in all of a page that is no larger than they are. */
    private static double aPixel(Delivery delivery, Page page, int[] size, PictureSource pictures) {
        boolean small = (long) size[0] * size[1] <= (long) ALONG * ALONG * SQUARE * SQUARE;
        BufferedImage sample = small ? delivery.painted(page, pictures, Progress.UNHEARD) : squares(delivery, page, size, pictures);
        return (double) encoded(delivery, page, sample) / sample.getWidth() / sample.getHeight();
    }

    private static BufferedImage squares(Delivery delivery, Page page, int[] size, PictureSource pictures) {
        boolean opaque = delivery.format() == Format.JPEG || delivery.paper() && page.scene().paper().isPresent();
        Scene scene = delivery.format() == Format.JPEG ? page.scene().onPaper(page.box()) : page.scene();
        Affine toPixels = RasterPainter.toPixels(page.box(), size);
        int across = Math.min(SQUARE, size[0] / ALONG);
        int down = Math.min(SQUARE, size[1] / ALONG);
        BufferedImage all = new BufferedImage(ALONG * across, ALONG * down, opaque ? BufferedImage.TYPE_INT_RGB : BufferedImage.TYPE_INT_ARGB);
        for (int row = 0; row < ALONG; row++) {
            for (int column = 0; column < ALONG; column++) {
                // In the middle of its share of the page.
                int left = (int) ((column + 0.5) * size[0] / ALONG) - across / 2;
                int top = (int) ((row + 0.5) * size[1] / ALONG) - down / 2;
                BufferedImage square = RasterPainter.paint(scene, Affine.move(-left, -top).after(toPixels), new int[] {across, down}, opaque, pictures, Progress.UNHEARD);
                all.getRaster().setRect(column * across, row * down, square.getRaster());
            }
        }
        return all;
    }

    private static long encoded(Delivery delivery, Page page, BufferedImage sample) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        switch (delivery.format()) {
            case JPEG -> out.writeBytes(delivery.jpeg(sample, delivery.quality()));
            case TIFF -> Encoder.tiff(sample, delivery.ppi(), out);
            case WEBP -> Encoder.webp(sample, delivery.quality() / 100f, out);
            default -> Encoder.png(sample, delivery.ppi(), out);
        }
        return delivery.format() == Format.OPENRASTER ? Math.round(out.size() * (1 + layers(page))) : out.size();
    }

    /** How much of the page all its elements cover, one over the other counted twice. */
    private static double layers(Page page) {
        double covered = page.scene().paper().isPresent() ? 1 : 0;
        for (Scene.Item item : page.scene().items()) covered += item.reach().width() * item.reach().height() / (page.box().width() * page.box().height());
        return covered;
    }

    /** The pictures as they are placed: those that pass as they are, and of the others a middle square each. */
    private static double placed(Delivery delivery, List<Page> pages, PictureSource pictures) {
        List<List<Scene>> files = new ArrayList<>();
        if (delivery.archived(pages.size())) for (Page page : pages) files.add(List.of(delivery.scene(page)));
        else files.add(pages.stream().map(delivery::scene).toList());
        Placed placed = new Placed(delivery.ppi() * delivery.scale(), pictures);
        double sum = BESIDES * pages.size();
        for (List<Scene> scenes : files) {
            for (Map.Entry<String, PictureLayer> each : Placed.largest(scenes).entrySet()) {
                Optional<byte[]> untouched = placed.untouched(each.getValue());
                double bytes = untouched.isPresent() ? untouched.get().length : sampled(delivery, each.getValue(), placed);
                sum += delivery.format() == Format.SVG && !delivery.linked() ? bytes * AS_TEXT : bytes;
            }
        }
        return sum;
    }

    private static double sampled(Delivery delivery, PictureLayer layer, Placed placed) {
        BufferedImage sized = placed.sized(layer);
        int across = Math.min(sized.getWidth(), 3 * SQUARE);
        int down = Math.min(sized.getHeight(), 3 * SQUARE);
        BufferedImage middle = sized.getSubimage((sized.getWidth() - across) / 2, (sized.getHeight() - down) / 2, across, down);
        byte[] file = sized.getColorModel().hasAlpha() ? Encoder.png(middle, 72) : Encoder.jpeg(middle, delivery.quality() / 100f, 72);
        return (double) file.length * sized.getWidth() * sized.getHeight() / across / down;
    }
}
