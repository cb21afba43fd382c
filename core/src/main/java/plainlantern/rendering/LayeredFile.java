package plainlantern.rendering;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.zip.CRC32;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import plainlantern.asking.Unit;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.picture.Encoder;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Rows;
import plainlantern.scene.Page;
import plainlantern.scene.Scene.Item;
import plainlantern.sheet.Blend;
import plainlantern.sheet.Look;

/** A sheet as a layered file, one layer an element under its own name: OpenRaster 0.0.6 (freedesktop.org, Create project). */
final class LayeredFile {
    private static final String TYPE = "image/openraster";
    /** The thumbnail's longer side, as the specification has it. */
    private static final int THUMBNAIL = 256;

    private LayeredFile() {}

    static void write(Delivery delivery, Page page, PictureSource pictures, Progress progress, OutputStream out) throws IOException {
        double ppi = delivery.ppi();
        int[] size = delivery.pixels(page);
        Box all = new Box(0, 0, size[0], size[1]);
        Affine toPixels = RasterPainter.toPixels(page.box(), size);
        List<Item> items = new ArrayList<>(page.scene().items());
        if (delivery.paper()) page.scene().paper().ifPresent(item -> items.add(0, item));
        PictureSource glazed = Glazing.of(List.of(delivery.scene(page)), pictures);
        ZipOutputStream zip = new ZipOutputStream(out);
        stored(zip, "mimetype", TYPE.getBytes(StandardCharsets.US_ASCII));
        // PNG is compressed already.
        zip.setLevel(Deflater.NO_COMPRESSION);
        StringBuilder stack = new StringBuilder();
        for (int i = 0; i < items.size(); i++) {
            progress.at(0.5 * i / items.size());
            Item item = items.get(i);
            Optional<Strips.Alone> alone = Strips.alone(item.plain(), toPixels, all, glazed);
            if (alone.isEmpty()) continue;
            String file = String.format(Locale.ROOT, "data/%03d.png", i);
            image(zip, file, alone.get().rows(), ppi);
            // The first layer named is the frontmost.
            stack.insert(0, layer(item, file, alone.get()));
        }
        String image = String.format(Locale.ROOT, "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<image version=\"0.0.6\" w=\"%d\" "
                + "h=\"%d\" xres=\"%d\" yres=\"%3$d\">\n<stack>\n", size[0], size[1], Math.round(ppi));
        Delivery.put(zip, "stack.xml", (image + stack + "</stack>\n</image>\n").getBytes(StandardCharsets.UTF_8));
        image(zip, "mergedimage.png", delivery.rows(page, pictures, progress.part(0.5, 0.9), id -> {}), ppi);
        image(zip, "Thumbnails/thumbnail.png", Rows.of(thumbnail(delivery, page, pictures)), 72);
        zip.finish();
    }

    private static String layer(Item item, String file, Strips.Alone alone) {
        Look look = item.look();
        String blend = look.blend() == Blend.NORMAL ? "src-over" : look.blend().css();
        return String.format(Locale.ROOT,
                "<layer name=\"%s\" src=\"%s\" x=\"%d\" y=\"%d\" opacity=\"%.4f\" visibility=\"visible\" composite-op=\"svg:%s\"/>\n",
                escaped(item.name()), file, alone.left(), alone.top(), look.opacity(), blend);
    }

    private static String escaped(String name) {
        return SvgPainter.escaped(name.replaceAll("\\p{Cntrl}", " ")).replace("\"", "&quot;");
    }

    private static BufferedImage thumbnail(Delivery delivery, Page page, PictureSource pictures) {
        double side = Math.max(page.box().width(), page.box().height()) * delivery.scale() / Unit.MM_PER_INCH;
        return RasterPainter.paint(page, Math.max(1, Math.min(delivery.ppi(), THUMBNAIL / side)), delivery.scale(), delivery.paper(),
                pictures, Progress.UNHEARD);
    }

    private static void image(ZipOutputStream zip, String name, Rows rows, double ppi) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        try (rows) {
            Encoder.png(rows, ppi, zip);
        }
        zip.closeEntry();
    }

    /** Not even packed: so the specification wants the type. */
    private static void stored(ZipOutputStream zip, String name, byte[] data) throws IOException {
        ZipEntry entry = new ZipEntry(name);
        CRC32 sum = new CRC32();
        sum.update(data);
        entry.setMethod(ZipEntry.STORED);
        entry.setSize(data.length);
        entry.setCrc(sum.getValue());
        zip.putNextEntry(entry);
        zip.write(data);
        zip.closeEntry();
    }
}
