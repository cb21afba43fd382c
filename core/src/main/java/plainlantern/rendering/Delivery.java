package plainlantern.rendering;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import plainlantern.asking.BadInput;
import plainlantern.asking.Choice;
import plainlantern.picture.Encoder;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Rows;
import plainlantern.picture.Spool;
import plainlantern.scene.Extent;
import plainlantern.scene.Page;
import plainlantern.scene.Scene;

/**
 * How a sheet, or several, are handed over.
 *
 * @param ppi   pixels an inch, 1 to 4800; PDF and SVG: the most that their pictures have
 * @param scale how many times as large as on the sheet, 0.01 to 100
 * @param names what the files of several pages are called, see {@link FileNames}
 */
public record Delivery(Format format, Extent extent, double ppi, double scale, Edges edges, Packing packing, Parts parts, String names) {
    /**
     * How finely a JPEG keeps colour against brightness: in full, at half along both axes, or in full from quality 90 on (common practice).
     */
    public enum Chroma implements Choice { BY_QUALITY, FULL, HALF }

    /**
     * What lies behind and around a page.
     *
     * @param paper whether the paper is painted; JPEG always is on paper, white where the sheet has none
     * @param bleed whether a whole sheet is painted with its bleed
     * @param marks PDF: whether marks tell where to cut
     */
    public record Edges(boolean paper, boolean bleed, boolean marks) {}

    /**
     * How tightly pixels are packed.
     *
     * @param quality JPEG, WebP and the pictures in PDF and SVG: 1 to 100
     * @param chroma  JPEG: how finely colour is kept
     * @param atMost  JPEG: the most bytes that the file may have, by a lower quality if need be; 0 for any number
     */
    public record Packing(int quality, Chroma chroma, long atMost) {
        public Packing {
            BadInput.unless(quality >= 1 && quality <= 100, "quality", "Quality goes from 1 to 100.");
            BadInput.unless(atMost >= 0, "atMost", "A file cannot be smaller than nothing.");
        }
    }

    /**
     * What stays a part of its own in a file that is not all pixels.
     *
     * @param live   PDF and SVG: whether words stay text
     * @param linked SVG: whether its pictures are files beside it
     */
    public record Parts(boolean live, boolean linked) {}

    private static final int FULL_FROM = 90;
    /** Strips of a page take no more than one of so many parts of all memory. */
    private static final int STRIPS = 3;

    public Delivery {
        BadInput.unless(ppi >= 1 && ppi <= 4800, "ppi", "Pixels per inch go from 1 to 4800.");
        BadInput.unless(scale >= 0.01 && scale <= 100, "scale", "Scale goes from 1 % to 10,000 %.");
        BadInput.unless(names.length() <= 200, "names", "The names' pattern has at most 200 characters.");
    }

    /** The whole sheet on its paper, as people mostly want it. */
    public static Delivery of(Format format, double ppi) {
        return new Delivery(format, Extent.SHEET, ppi, 1, new Edges(true, false, false), new Packing(92, Chroma.BY_QUALITY, 0),
                new Parts(format == Format.PDF, false), FileNames.USUAL);
    }

    public boolean paper() {
        return edges.paper();
    }

    public boolean bleed() {
        return edges.bleed();
    }

    public boolean marks() {
        return edges.marks();
    }

    public int quality() {
        return packing.quality();
    }

    public Chroma chroma() {
        return packing.chroma();
    }

    public long atMost() {
        return packing.atMost();
    }

    public boolean live() {
        return parts.live();
    }

    public boolean linked() {
        return parts.linked();
    }

    public Delivery withPaper(boolean now) {
        return new Delivery(format, extent, ppi, scale, new Edges(now, bleed(), marks()), packing, parts, names);
    }

    public Delivery withQuality(int now, Chroma nowChroma, long nowAtMost) {
        return new Delivery(format, extent, ppi, scale, edges, new Packing(now, nowChroma, nowAtMost), parts, names);
    }

    public Delivery withWords(boolean nowLive, boolean nowLinked) {
        return new Delivery(format, extent, ppi, scale, edges, packing, new Parts(nowLive, nowLinked), names);
    }

    public Delivery withEdges(boolean nowBleed, boolean nowMarks) {
        return new Delivery(format, extent, ppi, scale, new Edges(paper(), nowBleed, nowMarks), packing, parts, names);
    }

    public Delivery scaled(double now) {
        return new Delivery(format, extent, ppi, now, edges, packing, parts, names);
    }

    public Delivery of(Extent now, String nowNames) {
        return new Delivery(format, now, ppi, scale, edges, packing, parts, nowNames);
    }

    /** Whether so many pages become files in one archive. */
    public boolean archived(int pages) {
        return format == Format.SVG && linked() || pages > 1 && (extent.apart() || format != Format.PDF);
    }

    public String extension(int pages) {
        return archived(pages) ? "zip" : format.extension();
    }

    public String mediaType(int pages) {
        return archived(pages) ? "application/zip" : format.mediaType();
    }

    /** Throws {@link BadInput} for what cannot be delivered so, before any work. */
    public void check(List<Page> pages) {
        for (Page page : pages) {
            int[] size = pixels(page);
            int most = format.longest();
            BadInput.unless(Math.max(size[0], size[1]) <= most, "ppi", String.format(Locale.ROOT,
                    "A %s is at most %,d pixels a side; this would be %,d × %,d. Choose fewer pixels per inch, or another format.",
                            format.title(), most, size[0], size[1]));
            double pixels = (double) size[0] * size[1];
            possible(format.most() / pixels, String.format(Locale.ROOT,
                    "%s can have at most %,d megapixels; this would be %,.0f.", format.title(), format.most() / 1_000_000, pixels / 1e6));
            if (format == Format.PDF) softened(page);
            if (format.pixels()) possible(Math.pow(Runtime.getRuntime().maxMemory() / (double) STRIPS / Strips.bytes(size), 2),
                    String.format(Locale.ROOT, "Rows of %,d pixels are too long for the memory that there is.", size[0]));
        }
    }

    /** Elements of a PDF that are pixels there have no more of them than an image in memory. */
    private void softened(Page page) {
        double most = Math.max(1, PdfPainter.softened(scene(page), page.box(), ppi * scale));
        possible(RasterPainter.MOST_PIXELS / most, String.format(Locale.ROOT,
                "A soft edge or a shadow of this page would be %,.0f megapixels, and can be %,d.", most / 1e6,
                RasterPainter.MOST_PIXELS / 1_000_000));
    }

    /** @param share of the pixels that are wanted, how many are possible */
    private void possible(double share, String why) {
        BadInput.unless(share >= 1, "ppi", why + " Up to " + (long) Math.max(1, Math.floor(ppi * Math.sqrt(share))) + " ppi is possible.");
    }

    /** The width and height in pixels that a page has, or would have if it were all pixels. */
    public int[] pixels(Page page) {
        return RasterPainter.sides(page.box().width() * scale, page.box().height() * scale, ppi);
    }

    /** What is painted of a page. */
    Scene scene(Page page) {
        return paper() ? page.scene() : page.scene().bare();
    }

    /** The finished file of one page. */
    public byte[] file(Page page, PictureSource pictures) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try {
            write(List.of(page), pictures, Progress.UNHEARD, bytes);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    /** Writes the finished file, or the archive with one file a page; the stream stays open. */
    public void write(List<Page> pages, PictureSource pictures, Progress progress, OutputStream out) throws IOException {
        check(pages);
        if (archived(pages.size())) archive(pages, pictures, progress, out);
        else if (format == Format.PDF) PdfDelivery.write(this, pages, pictures, progress, out);
        else one(pages.get(0), pictures, progress, id -> pictures.passed(id), out);
        progress.at(1);
    }

    private void archive(List<Page> pages, PictureSource pictures, Progress progress, OutputStream out) throws IOException {
        List<String> files = FileNames.of(names, pages);
        ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8);
        // Nearly all that is put in is compressed already.
        zip.setLevel(1);
        for (int i = 0; i < pages.size(); i++) {
            Progress part = progress.part((double) i / pages.size(), (double) (i + 1) / pages.size());
            if (format == Format.SVG && linked()) {
                SvgDelivery svg = SvgDelivery.of(this, pages.get(i), pictures, "pictures/" + files.get(i) + "-");
                for (Map.Entry<String, byte[]> picture : svg.pictures().entrySet()) put(zip, picture.getKey(), picture.getValue());
                put(zip, files.get(i) + ".svg", svg.document().getBytes(StandardCharsets.UTF_8));
            } else {
                zip.putNextEntry(new ZipEntry(files.get(i) + "." + format.extension()));
                if (format == Format.PDF) PdfDelivery.write(this, List.of(pages.get(i)), pictures, part, zip);
                else one(pages.get(i), pictures, part, later -> {}, zip);
                zip.closeEntry();
            }
            part.at(1);
        }
        zip.finish();
    }

    static void put(ZipOutputStream zip, String name, byte[] data) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(data);
        zip.closeEntry();
    }

    /** One page as one file, PDF apart. */
    private void one(Page page, PictureSource pictures, Progress progress, Consumer<String> passed, OutputStream out) throws IOException {
        Progress painting = progress.part(0, 0.7);
        switch (format) {
            case PNG -> {
                try (Rows rows = rows(page, pictures, progress, passed)) {
                    Encoder.png(rows, ppi, out);
                }
            }
            case JPEG -> jpeg(page, pictures, atMost() == 0 ? progress : painting, passed, out);
            case TIFF -> {
                try (Rows rows = rows(page, pictures, progress, passed)) {
                    Encoder.tiff(rows, ppi, out);
                }
            }
            case WEBP -> {
                try (Rows rows = rows(page, pictures, painting, passed)) {
                    Encoder.webp(rows, quality() / 100f, out, progress.part(0.7, 1)::at);
                }
            }
            case SVG -> out.write(SvgDelivery.of(this, page, pictures, "").document().getBytes(StandardCharsets.UTF_8));
            case OPENRASTER -> LayeredFile.write(this, page, pictures, progress, out);
            case PDF -> throw new IllegalStateException("PDF is written elsewhere");
        }
    }

    /**
     * A page's pixels as they are painted.
     *
     * @param passed hears of each picture that the page does not need any more
     */
    Rows rows(Page page, PictureSource pictures, Progress progress, Consumer<String> passed) {
        if (paper() && page.scene().paper().isPresent()) return rows(page, true, pictures, progress, passed);
        boolean filled = page.scene().items().stream().anyMatch(item -> item.layers().stream().anyMatch(Scene.Layer::solid)
                && item.fills(page.box()));
        return rows(filled ? page.showing(page.scene().onPaper(page.box())) : page, filled, pictures, progress, passed);
    }

    private Rows rows(Page page, boolean opaque, PictureSource pictures, Progress progress, Consumer<String> passed) {
        int[] size = pixels(page);
        return new Strips(page.scene(), RasterPainter.toPixels(page.box(), size), size, opaque, pictures, progress, passed);
    }

    private void jpeg(Page page, PictureSource pictures, Progress progress, Consumer<String> passed, OutputStream out) throws IOException {
        try (Rows rows = rows(page.showing(page.scene().onPaper(page.box())), true, pictures, progress, passed)) {
            if (atMost() == 0) Encoder.jpeg(rows, quality() / 100f, full(quality()), ppi, out);
            else smallEnough(rows, out);
        }
    }

    private void smallEnough(Rows rows, OutputStream out) throws IOException {
        try (Spool spool = Spool.of(rows)) {
            Counted counted = new Counted();
            int best = 0;
            int low = 1;
            for (int high = quality(); low <= high;) {
                // What is wanted first; then halves.
                int tried = best == 0 && high == quality() ? quality() : (low + high) / 2;
                counted.bytes = 0;
                Encoder.jpeg(spool.rows(), tried / 100f, full(tried), ppi, counted);
                if (counted.bytes <= atMost()) {
                    best = tried;
                    low = tried + 1;
                } else high = tried - 1;
            }
            if (best == 0) throw new BadInput("atMost", "Even at the lowest quality this is more than " + atMost() / 1000
                    + " kB. Choose fewer pixels per inch.");
            Encoder.jpeg(spool.rows(), best / 100f, full(best), ppi, out);
        }
    }

    /** How many bytes go into a file. */
    private static final class Counted extends OutputStream {
        private long bytes;

        @Override
        public void write(int one) {
            bytes++;
        }

        @Override
        public void write(byte[] some, int from, int count) {
            bytes += count;
        }
    }

    private boolean full(int tried) {
        return chroma() == Chroma.FULL || chroma() == Chroma.BY_QUALITY && tried >= FULL_FROM;
    }

    byte[] jpeg(BufferedImage image, int tried) {
        return Encoder.jpeg(image, tried / 100f, full(tried), ppi);
    }
}
