package plainlantern.rendering;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static plainlantern.Sheets.after;

import java.awt.AlphaComposite;
import java.awt.Graphics2D;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.File;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSObjectKey;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.verapdf.gf.foundry.VeraGreenfieldFoundryProvider;
import org.verapdf.pdfa.Foundries;
import org.verapdf.pdfa.PDFAParser;
import org.verapdf.pdfa.flavours.PDFAFlavour;
import org.verapdf.pdfa.results.ValidationResult;
import org.w3c.dom.Element;
import plainlantern.Painted;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.geometry.Box;
import plainlantern.lettering.LetterStyle;
import plainlantern.lettering.Setting;
import plainlantern.lettering.Typeface;
import plainlantern.picture.DecodedPictures;
import plainlantern.picture.Encoder;
import plainlantern.picture.PictureReader;
import plainlantern.picture.PictureSource;
import plainlantern.rendering.Delivery.Chroma;
import plainlantern.scene.Extent;
import plainlantern.scene.Page;
import plainlantern.scene.Pages;
import plainlantern.scene.Scene;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;

/** The same sheet in every format: read and painted by other programs, it is the PNG. */
class DeliveriesTest {
    private static final BufferedImage TIDE = Painted.scene(600, 400, BufferedImage.TYPE_3BYTE_BGR);
    private static final PictureSource SOURCE = (id, share) -> TIDE;
    /** All of the picture is seen in each panel. */
    private static final String CONTAINED = "{'kind':'set-fit','panels':['p1','p2','p3'],'fit':'contain'}";

    /** Panels with shadows and rims, one that multiplies, words on a plate, a rule; the first and the last name need escaping. */
    private static Sheet sheet() {
        Sheet sheet = new ShelvePictures(List.of(new Picture("aa".repeat(32), "tide", 600, 400)))
                .apply(Sheet.empty("Card", Unit.MM, 90, 60, 254));
        return after(sheet, "{'kind':'set-paper','paper':{'kind':'plain','colour':'#F4EBDD'}}",
                "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':1,'columns':3,'gapAcross':5,'gapDown':0},"
                        + "'margins':{'top':8,'right':8,'bottom':20,'left':8}}",
                "{'kind':'fill','panels':['p1','p2','p3'],'picture':'" + "aa".repeat(32) + "'}",
                        "{'kind':'set-shadow','panels':['p1','p3']}", "{'kind':'set-finish','panels':['p1'],'width':1,'opacity':'80 %'}",
                "{'kind':'rename','panel':'p1','name':'Reeds & <mist>'}", "{'kind':'rules-along'}",
                        "{'kind':'add-caption','text':'High water'}", "{'kind':'seat-panels','panels':['p6'],'left':20,'top':40}",
                "{'kind':'set-outline','panels':['p2'],'outline':{'kind':'ellipse'}}");
    }

    private static byte[] delivered(Sheet sheet, Format format, boolean paper) {
        return Delivery.of(format, 254).withPaper(paper).file(Page.of(Scene.of(sheet)), SOURCE);
    }

    private static BufferedImage read(byte[] png) throws Exception {
        return ImageIO.read(new ByteArrayInputStream(png));
    }

    /** libvips reads size, resolution (pixels a millimetre) and pixels of the TIFF, with and without transparency. */
    @Test
    void aTiffIsThePng(@TempDir File folder) throws Exception {
        for (boolean paper : new boolean[] {true, false}) {
            byte[] tiff = delivered(sheet(), Format.TIFF, paper);
            Files.write(folder.toPath().resolve("card.tif"), tiff);
            Painted.run(folder, "sh", "-c", "vipsheader -a card.tif > facts.txt && vips copy card.tif back.png");
            String facts = Files.readString(folder.toPath().resolve("facts.txt"));
            assertThat(facts).contains("width: 900", "height: 600", "xres: 10", "resolution-unit: in", "icc-profile-data",
                    "bands: " + (paper ? 3 : 4));
            BufferedImage back = ImageIO.read(new File(folder, "back.png"));
            assertThat(Painted.difference(back, read(delivered(sheet(), Format.PNG, paper)))).isZero();
            assertThat(back.getColorModel().hasAlpha()).isEqualTo(!paper);
        }
        assertThat(delivered(sheet(), Format.TIFF, true).length).as("compressed").isLessThan(900 * 600 * 3);
    }

    /**
     * librsvg paints the SVG as we paint the PNG; three panels show one picture, which is embedded once, with no more pixels than are
     * wanted.
     */
    @Test
    void anSvgIsThePng(@TempDir File folder) throws Exception {
        byte[] svg = delivered(sheet(), Format.SVG, true);
        Files.write(folder.toPath().resolve("card.svg"), svg);
        Painted.run(folder, "rsvg-convert", "-w", "900", "-h", "600", "-o", "theirs.png", "card.svg");
        assertThat(Painted.difference(ImageIO.read(new File(folder, "theirs.png")), read(delivered(sheet(), Format.PNG, true))))
                .isLessThan(1.5);
        String text = new String(svg, StandardCharsets.UTF_8);
        assertThat(text.split("data:image/jpeg", -1)).hasSize(2);
        assertThat(text.split("<use ", -1)).hasSize(4);
        // One panel in which all of the picture is seen.
        Sheet whole = after(sheet(), "{'kind':'lay-out','where':'replace','agreed':true,'pattern':{'kind':'even-grid','rows':1,'columns':1,"
                + "'gapAcross':0,'gapDown':0}}", "{'kind':'set-fit','panels':['p1'],'fit':'contain'}");
        assertThat(Delivery.of(Format.SVG, 50).file(Page.of(Scene.of(whole)), SOURCE).length)
                .isLessThan(delivered(whole, Format.SVG, true).length / 3);
        String bare = new String(delivered(sheet(), Format.SVG, false), StandardCharsets.UTF_8);
        assertThat(bare).doesNotContain("clip-paper");
        assertThat(new String(delivered(Sheet.empty("Empty", Unit.MM, 20, 20, 254), Format.SVG, false), StandardCharsets.UTF_8))
                .doesNotContain("<defs>");
    }

    /**
     * A panel that shows a ninth of a picture: PDF and SVG hold that part and some around it, painted by poppler and librsvg as we paint
     * the PNG; where all of it is seen elsewhere they hold all.
     */
    @Test
    void whatIsHiddenStaysOut(@TempDir File folder) throws Exception {
        String fill = "{'kind':'fill','panels':['p1'],'picture':'" + "aa".repeat(32) + "'}";
        Sheet sheet = after(new ShelvePictures(List.of(new Picture("aa".repeat(32), "tide", 600, 400)))
                .apply(Sheet.empty("Card", Unit.MM, 90, 60, 508)), "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid',"
                + "'rows':1,'columns':2,'gapAcross':4,'gapDown':0}}", fill,
                "{'kind':'set-outline','panels':['p1'],'outline':{'kind':'ellipse'}}",
                "{'kind':'zoom-picture','panels':['p1'],'zoom':'300 %'}",
                "{'kind':'turn-picture','panels':['p1'],'turn':'20'}");
        byte[] png = Delivery.of(Format.PNG, 254).file(Page.of(Scene.of(sheet)), SOURCE);
        Files.write(folder.toPath().resolve("card.svg"), Delivery.of(Format.SVG, 254).file(Page.of(Scene.of(sheet)), SOURCE));
        Files.write(folder.toPath().resolve("card.pdf"), Delivery.of(Format.PDF, 254).file(Page.of(Scene.of(sheet)), SOURCE));
        Painted.run(folder, "rsvg-convert", "-w", "900", "-h", "600", "-o", "svg.png", "card.svg");
        Painted.run(folder, "pdftoppm", "-png", "-r", "254", "-cropbox", "-singlefile", "card.pdf", "pdf");
        for (String theirs : List.of("svg.png", "pdf.png"))
            assertThat(Painted.difference(ImageIO.read(new File(folder, theirs)), read(png))).as(theirs).isLessThan(1.5);
        Placed placed = new Placed(254, SOURCE);
        Placed.Needed part = Placed.needed(List.of(Scene.of(sheet))).values().iterator().next();
        BufferedImage kept = placed.sized(part);
        assertThat((double) kept.getWidth() * kept.getHeight() / 600 / 400).isBetween(0.1, 0.4);
        Sheet both = after(sheet, fill.replace("p1", "p2"), "{'kind':'set-fit','panels':['p2'],'fit':'contain'}");
        assertThat(placed.part(Placed.needed(List.of(Scene.of(both))).values().iterator().next()).width()).isEqualTo(600);
    }

    /**
     * Estimates are from two thirds to one and a half of the file; what was painted for one serves the next format and quality of the same,
     * no other size.
     */
    @Test
    void anEstimatePaintsOnce() {
        AtomicInteger asked = new AtomicInteger();
        PictureSource heard = (id, share) -> asked.incrementAndGet() > 0 ? TIDE : null;
        List<Page> pages = List.of(Page.of(Scene.of(sheet())));
        Estimate estimate = new Estimate();
        for (Format format : List.of(Format.PNG, Format.TIFF, Format.JPEG)) {
            Delivery delivery = Delivery.of(format, 254);
            assertThat((double) estimate.bytes(delivery, pages, heard) / delivery.file(pages.get(0), SOURCE).length).as(format.name())
                    .isBetween(0.67, 1.5);
        }
        int before = asked.getAndSet(0);
        assertThat(estimate.bytes(Delivery.of(Format.JPEG, 254).withQuality(30, Chroma.HALF, 0), pages, heard))
                .isLessThan(estimate.bytes(Delivery.of(Format.JPEG, 254), pages, heard));
        assertThat(before).isPositive();
        assertThat(asked).hasValue(0);
        Delivery layers = Delivery.of(Format.OPENRASTER, 254);
        assertThat((double) estimate.bytes(layers, pages, heard) / layers.file(pages.get(0), SOURCE).length).as("layers")
                .isBetween(0.67, 1.5);
        estimate.bytes(Delivery.of(Format.PNG, 200), pages, heard);
        assertThat(asked).hasPositiveValue();
    }

    /**
     * In a PDF what a veil leaves of a photo or of a wash is a mask, and what a shadow falls into is pixels: both are estimated. In an SVG
     * a photo gets transparency.
     */
    @Test
    void anEstimateKnowsVeilsAndShadows() {
        BufferedImage tide = Painted.scene(2400, 1600, BufferedImage.TYPE_3BYTE_BGR);
        Sheet plain = after(new ShelvePictures(List.of(new Picture("aa".repeat(32), "tide", 2400, 1600)))
                .apply(Sheet.empty("Wall", Unit.MM, 240, 160, 254)),
                "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':1,'columns':2,'gapAcross':5,'gapDown':0},"
                        + "'margins':{'top':8,'right':8,'bottom':8,'left':8}}",
                "{'kind':'fill','panels':['p1'],'picture':'" + "aa".repeat(32) + "'}",
                "{'kind':'add-layer','panels':['p2'],'what':'wash'}");
        String brush = "{'kind':'veil','panels':['p1'],'part':{'kind':'stroke','dots':[[20,20,1],[100,100,1],[220,140,0.5]],'size':60,"
                + "'softness':1,'strength':1,'shows':false}}";
        Sheet washed = after(plain, brush.replace("p1", "p2"));
        long[] none = estimated(plain, Format.PDF, tide);
        long[] wash = estimated(washed, Format.PDF, tide);
        assertThat((double) (wash[0] - none[0]) / (wash[1] - none[1])).as("the wash's mask").isBetween(0.5, 2.0);
        for (Format format : List.of(Format.PDF, Format.SVG)) {
            for (String last : List.of(brush, "{'kind':'set-shadow','panels':['p1'],'inside':true}")) {
                long[] both = estimated(after(washed, last), format, tide);
                assertThat((double) both[0] / both[1]).as(format + last).isBetween(0.67, 1.5);
            }
        }
    }

    /** How many bytes a sheet is told to have, and how many it has. */
    private static long[] estimated(Sheet sheet, Format format, BufferedImage picture) {
        Delivery delivery = Delivery.of(format, 254);
        List<Page> pages = List.of(Page.of(Scene.of(sheet)));
        PictureSource source = (id, share) -> picture;
        return new long[] {new Estimate().bytes(delivery, pages, source), delivery.file(pages.get(0), source).length};
    }

    /**
     * OpenRaster's published layout: the type first and not compressed, the stack from front to back, a merged image, a thumbnail; laid
     * over each other, the layers are that image.
     */
    @Test
    void layersAreTheirElements() throws Exception {
        byte[] file = delivered(sheet(), Format.OPENRASTER, true);
        assertThat(new String(file, 30, 24, StandardCharsets.US_ASCII)).isEqualTo("mimetypeimage/openraster");
        Map<String, byte[]> entries = entries(file);
        assertThat(entries).containsKeys("stack.xml", "mergedimage.png", "Thumbnails/thumbnail.png");
        BufferedImage merged = read(entries.get("mergedimage.png"));
        assertThat(Painted.difference(merged, read(delivered(sheet(), Format.PNG, true)))).isZero();
        assertThat(read(entries.get("Thumbnails/thumbnail.png")).getWidth()).isEqualTo(256);
        Element image = DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(new ByteArrayInputStream(entries.get("stack.xml")))
                .getDocumentElement();
        assertThat(image.getAttribute("w") + "x" + image.getAttribute("h") + "@" + image.getAttribute("xres")).isEqualTo("900x600@254");
        List<Element> layers = new ArrayList<>();
        for (int i = 0; i < image.getElementsByTagName("layer").getLength(); i++)
            layers.add((Element) image.getElementsByTagName("layer").item(i));
        assertThat(layers).extracting(l -> l.getAttribute("name")).containsExactly("Caption 6", "Rule 5", "Rule 4", "Panel 3", "Panel 2",
                "Reeds & <mist>", "Paper");
        BufferedImage flat = new BufferedImage(900, 600, BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = flat.createGraphics();
        for (int i = layers.size() - 1; i >= 0; i--) {
            Element layer = layers.get(i);
            assertThat(layer.getAttribute("composite-op")).isEqualTo("svg:src-over");
            g.setComposite(AlphaComposite.getInstance(AlphaComposite.SRC_OVER, Float.parseFloat(layer.getAttribute("opacity"))));
            g.drawImage(read(entries.get(layer.getAttribute("src"))), Integer.parseInt(layer.getAttribute("x")),
                    Integer.parseInt(layer.getAttribute("y")), null);
        }
        assertThat(Painted.difference(flat, merged)).isLessThan(0.5);
        byte[] multiplied = delivered(after(sheet(), "{'kind':'set-finish','panels':['p2'],'blend':'multiply'}"), Format.OPENRASTER, false);
        assertThat(new String(entries(multiplied).get("stack.xml"), StandardCharsets.UTF_8)).contains("svg:multiply")
                .doesNotContain("Paper");
    }

    /**
     * What the PDF's own words are for: washes that run to all sides, layers that blend, a soft edge, a shadow inside, rims on all sides,
     * dashes.
     */
    private static Sheet dressed() {
        return after(sheet(), "{'kind':'add-layer','panels':['p2'],'what':'wash'}", "{'kind':'set-wash','panels':['p2'],'layer':1,"
                + "'stops':[{'at':0.2,'colour':'#1F4E79','opacity':1},{'at':0.8,'colour':'#F4C04A','opacity':1}],'turn':120,'round':true}",
                "{'kind':'set-look','panels':['p2'],'layer':1,'opacity':'60 %','blend':'hard-light'}",
                        "{'kind':'set-finish','panels':['p2'],'width':1,'side':'outside','dash':'dashed','blend':'multiply'}",
                "{'kind':'set-finish','panels':['p3'],'feather':2}", "{'kind':'add-layer','panels':['p1'],'what':'wash'}",
                "{'kind':'set-wash','panels':['p1'],'layer':1,'stops':[{'at':0,'colour':'#FFFFFF','opacity':0.6},{'at':1,"
                        + "'colour':'#1F4E79','opacity':0}],'turn':30,'round':false}");
    }

    /** Poppler's paint at four times the pixels, averaged: it puts pictures on whole pixels. */
    private static BufferedImage poppler(File folder, byte[] pdf, int width, int height) throws Exception {
        Files.write(folder.toPath().resolve("card.pdf"), pdf);
        Painted.run(folder, "sh", "-c", "pdftoppm -png -r 1016 -singlefile card.pdf large && vips shrink large.png small.v 4 4 && vips "
                + "extract_area small.v theirs.png 0 0 " + width + " " + height);
        return ImageIO.read(new File(folder, "theirs.png"));
    }

    /** Painted by poppler, the PDF is the PNG; the words in it are text. */
    @Test
    void aPdfIsThePng(@TempDir File folder) throws Exception {
        byte[] pdf = delivered(dressed(), Format.PDF, true);
        assertThat(Painted.difference(poppler(folder, pdf, 900, 600), read(delivered(dressed(), Format.PNG, true)))).isLessThan(1.2);
        byte[] bare = delivered(dressed(), Format.PDF, false);
        assertThat(Painted.difference(poppler(folder, bare, 900, 600), read(delivered(dressed(), Format.PNG, false)))).isLessThan(1.2);
        try (PDDocument read = Loader.loadPDF(pdf)) {
            assertThat(new PDFTextStripper().getText(read)).contains("High water");
        }
        byte[] outlined = Delivery.of(Format.PDF, 254).withWords(false, false).file(Page.of(Scene.of(dressed())), SOURCE);
        try (PDDocument read = Loader.loadPDF(outlined)) {
            assertThat(new PDFTextStripper().getText(read)).isBlank();
        }
    }

    /** veraPDF, the reference validator of the PDF Association, finds nothing against PDF/A-2b (ISO 19005-2). */
    @Test
    void aPdfCanBeArchived() throws Exception {
        VeraGreenfieldFoundryProvider.initialise();
        for (boolean marks : new boolean[] {true, false}) {
            byte[] pdf = Delivery.of(Format.PDF, 254).withEdges(true, marks)
                    .file(Pages.of(dressed(), Extent.SHEET, List.of(), true).get(0), SOURCE);
            try (PDFAParser parser = Foundries.defaultInstance().createParser(new ByteArrayInputStream(pdf), PDFAFlavour.PDFA_2_B)) {
                ValidationResult result = Foundries.defaultInstance().createValidator(PDFAFlavour.PDFA_2_B, false).validate(parser);
                assertThat(result.getTestAssertions()).isEmpty();
                assertThat(result.isCompliant()).isTrue();
            }
        }
    }

    /**
     * PDFBox reads the page boxes of several sheets back: 90 x 60 mm at half their size; 3 mm bleed, and marks that begin 3 mm away and are
     * 5 mm long.
     */
    @Test
    void pagesHaveTheirBoxes() throws Exception {
        Delivery delivery = Delivery.of(Format.PDF, 254).scaled(0.5).withEdges(true, true);
        List<Page> pages = new ArrayList<>(Pages.of(sheet(), Extent.SHEET, List.of(), true));
        pages.addAll(Pages.of(Sheet.empty("Square", Unit.MM, 40, 40, 254), Extent.SHEET, List.of(), true));
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        delivery.write(pages, SOURCE, Progress.UNHEARD, bytes);
        try (PDDocument read = Loader.loadPDF(bytes.toByteArray())) {
            assertThat(read.getNumberOfPages()).isEqualTo(2);
            double mm = 72 / 25.4;
            PDPage page = read.getPage(0);
            assertThat((double) page.getMediaBox().getWidth()).isCloseTo((45 + 2 * 9) * mm, within(1e-3));
            assertThat((double) page.getTrimBox().getLowerLeftX()).isCloseTo(9 * mm, within(1e-3));
            assertThat((double) page.getTrimBox().getHeight()).isCloseTo(30 * mm, within(1e-3));
            assertThat((double) page.getBleedBox().getWidth()).isCloseTo((45 + 3) * mm, within(1e-3));
            assertThat((double) read.getPage(1).getTrimBox().getWidth()).isCloseTo(20 * mm, within(1e-3));
            assertThat(read.getDocumentInformation().getTitle()).isEqualTo("Card");
        }
        assertThatThrownBy(() -> Delivery.of(Format.PDF, 10).scaled(60).file(Page.of(Scene.of(sheet())), SOURCE))
                .isInstanceOf(BadInput.class).hasMessageContaining("5.08 m");
    }

    /** A JPEG all of whose pixels are wanted is in the PDF as it is, byte for byte, once; one with too many pixels is made smaller. */
    @Test
    void aJpegIsPassedThrough() throws Exception {
        byte[] file = Encoder.jpeg(TIDE, 0.8f, 300);
        PictureSource source = new DecodedPictures(id -> file);
        Sheet whole = after(sheet(), CONTAINED);
        for (int ppi : new int[] {1200, 100}) {
            try (PDDocument read = Loader.loadPDF(Delivery.of(Format.PDF, ppi).file(Page.of(Scene.of(whole)), source))) {
                List<byte[]> jpegs = new ArrayList<>();
                for (COSObjectKey key : read.getDocument().getXrefTable().keySet()) {
                    if (read.getDocument().getObjectFromPool(key).getObject() instanceof COSStream stream
                            && COSName.DCT_DECODE.equals(stream.getDictionaryObject(COSName.FILTER))) {
                        jpegs.add(stream.createRawInputStream().readAllBytes());
                    }
                }
                assertThat(jpegs).hasSize(1);
                if (ppi == 1200) assertThat(jpegs.get(0)).isEqualTo(file);
                else assertThat(ImageIO.read(new ByteArrayInputStream(jpegs.get(0))).getWidth()).isBetween(80, 90);
            }
        }
    }

    /**
     * Colour in full or at half (the sampling factors of ITU T.81, B.2.2), and a file no larger than wanted at the best quality that allows
     * it.
     */
    @Test
    void jpegsKeepToWhatIsAsked() throws Exception {
        Page page = Page.of(Scene.of(sheet()));
        Delivery usual = Delivery.of(Format.JPEG, 254);
        assertThat(sampling(usual.withQuality(95, Chroma.BY_QUALITY, 0).file(page, SOURCE))).isEqualTo(0x11);
        assertThat(sampling(usual.withQuality(80, Chroma.BY_QUALITY, 0).file(page, SOURCE))).isEqualTo(0x22);
        assertThat(sampling(usual.withQuality(80, Chroma.FULL, 0).file(page, SOURCE))).isEqualTo(0x11);
        int free = usual.file(page, SOURCE).length;
        byte[] bounded = usual.withQuality(92, Chroma.HALF, 60_000).file(page, SOURCE);
        assertThat(free).isGreaterThan(60_000);
        assertThat(bounded.length).isBetween(52_000, 60_000);
        assertThatThrownBy(() -> usual.withQuality(92, Chroma.HALF, 900).file(page, SOURCE)).isInstanceOf(BadInput.class)
                .hasMessageContaining("fewer pixels");
    }

    private static int sampling(byte[] jpeg) {
        for (int i = 2; i < jpeg.length; i += 2 + ((jpeg[i + 2] & 0xFF) << 8 | jpeg[i + 3] & 0xFF))
            if ((jpeg[i + 1] & 0xFF) == 0xC0) return jpeg[i + 11];
        throw new AssertionError("no frame");
    }

    /**
     * Another reader (ours for import) sees in the WebP what is in the PNG, exactly at quality 100. pngcheck has nothing against the PNG.
     */
    @Test
    void aWebpIsThePng(@TempDir File folder) throws Exception {
        BufferedImage png = read(delivered(sheet(), Format.PNG, false));
        for (int quality : new int[] {100, 92}) {
            byte[] webp = Delivery.of(Format.WEBP, 254).withPaper(false).withQuality(quality, Chroma.FULL, 0)
                    .file(Page.of(Scene.of(sheet())), SOURCE);
            BufferedImage back = PictureReader.decode("card.webp", webp, PictureReader.inspect("card.webp", webp));
            assertThat(Painted.difference(back, png)).isLessThan(quality == 100 ? 0.01 : 3);
        }
        Files.write(folder.toPath().resolve("card.png"), delivered(sheet(), Format.PNG, true));
        Painted.run(folder, "pngcheck", "-q", "card.png");
        assertThatThrownBy(() -> Delivery.of(Format.WEBP, 4800).file(Page.of(Scene.of(sheet())), SOURCE)).isInstanceOf(BadInput.class)
                .hasMessageContaining("16,383");
    }

    private static Map<String, byte[]> entries(byte[] archive) throws Exception {
        Map<String, byte[]> entries = new LinkedHashMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(archive))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry())
                entries.put(entry.getName(), zip.readAllBytes());
        }
        return entries;
    }

    private static byte[] apart(Sheet sheet, Extent extent, String names, List<String> selected) throws Exception {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        Delivery.of(Format.PNG, 254).withPaper(false).of(extent, names).write(Pages.of(sheet, extent, selected, false), SOURCE,
                Progress.UNHEARD, bytes);
        return bytes.toByteArray();
    }

    /**
     * The slices of a vista, each in its box and put side by side, are the sheet; their forms are clear around them; a turned panel is
     * upright.
     */
    @Test
    void eachPanelAlone() throws Exception {
        Sheet sheet = after(new ShelvePictures(List.of(new Picture("aa".repeat(32), "tide", 600, 400)))
                .apply(Sheet.empty("Card", Unit.MM, 60, 40, 254)), "{'kind':'set-paper','paper':{'kind':'none'}}",
                "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':1,'columns':3,'gapAcross':0,'gapDown':0},"
                        + "'margins':{'top':0,'right':0,'bottom':0,'left':0}}",
                "{'kind':'make-vista','panels':['p1','p2','p3'],'picture':'" + "aa".repeat(32) + "'}");
        BufferedImage whole = read(delivered(sheet, Format.PNG, false));
        Map<String, byte[]> boxes = entries(apart(sheet, Extent.BOXES, "{sheet} {n}", List.of()));
        assertThat(boxes.keySet()).containsExactly("Card 01.png", "Card 02.png", "Card 03.png");
        BufferedImage together = new BufferedImage(600, 400, BufferedImage.TYPE_INT_ARGB);
        int x = 0;
        for (byte[] box : boxes.values()) {
            together.createGraphics().drawImage(read(box), x, 0, null);
            x += 200;
        }
        assertThat(Painted.difference(together, whole)).isLessThan(0.05);
        Sheet dressed = after(sheet, "{'kind':'set-outline','panels':['p1'],'outline':{'kind':'ellipse'}}",
                "{'kind':'set-finish','panels':['p1'],'width':2,'side':'outside'}", "{'kind':'turn-panels','panels':['p1'],'by':35}");
        Map<String, byte[]> forms = entries(apart(dressed, Extent.FORMS, "a/b {panel}", List.of()));
        assertThat(forms.keySet()).hasSize(3);
        BufferedImage form = read(forms.get("a-b Panel 1.png"));
        assertThat(List.of(form.getWidth(), form.getHeight())).containsExactly(240, 440);
        assertThat(form.getRGB(5, 5) >>> 24).isZero();
        assertThat(form.getRGB(10, 220)).isEqualTo(0xFFFFFFFF);
        assertThat(form.getRGB(120, 220) >>> 24).isEqualTo(255);
        // One alone is a file, and may keep its turn: an ellipse of semi-axes a and b turned by t reaches
        // sqrt(a²cos²t + b²sin²t) to each side.
        BufferedImage turned = read(apart(dressed, Extent.TURNED, "{panel}", List.of("p1")));
        double across = 2 * Math.hypot(120 * Math.cos(Math.toRadians(35)), 220 * Math.sin(Math.toRadians(35)));
        assertThat((double) turned.getWidth()).isCloseTo(across, within(12.0));
        assertThat(turned.getWidth()).isGreaterThan(form.getWidth() + 60);
        assertThatThrownBy(() -> Pages.of(sheet, Extent.SELECTION, List.of(), false)).isInstanceOf(BadInput.class)
                .hasMessageContaining("Nothing is selected");
        Page selection = Pages.of(sheet, Extent.SELECTION, List.of("p2", "p3"), false).get(0);
        BufferedImage part = read(Delivery.of(Format.PNG, 254).withPaper(false).file(selection, SOURCE));
        assertThat(Painted.difference(part, bytesOf(whole.getSubimage(200, 0, 400, 400)))).isZero();
    }

    private static BufferedImage bytesOf(BufferedImage part) {
        BufferedImage out = new BufferedImage(part.getWidth(), part.getHeight(), BufferedImage.TYPE_INT_ARGB);
        out.createGraphics().drawImage(part, 0, 0, null);
        return out;
    }

    /**
     * Linked, the SVG paints the same from the files beside it, whatever the sheet's name needs of addresses; live, its words are text in a
     * font that it brings along.
     */
    @Test
    void anSvgIsLinkedOrLive(@TempDir File folder) throws Exception {
        Page page = new Page("Tides & 100 % mud #1", "x", Scene.of(sheet()), sheet().bounds(), 0);
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        Delivery.of(Format.SVG, 254).withWords(false, true).of(Extent.SHEET, "{sheet}")
                .write(List.of(page), SOURCE, Progress.UNHEARD, bytes);
        Map<String, byte[]> files = entries(bytes.toByteArray());
        assertThat(files.keySet()).containsExactly("pictures/Tides & 100 % mud #1-1.jpg", "Tides & 100 % mud #1.svg");
        Files.createDirectory(folder.toPath().resolve("pictures"));
        for (Map.Entry<String, byte[]> file : files.entrySet()) Files.write(folder.toPath().resolve(file.getKey()), file.getValue());
        Painted.run(folder, "rsvg-convert", "-w", "900", "-h", "600", "-o", "theirs.png", "Tides & 100 % mud #1.svg");
        assertThat(Painted.difference(ImageIO.read(new File(folder, "theirs.png")), read(delivered(sheet(), Format.PNG, true))))
                .isLessThan(1.5);
        String live = new String(Delivery.of(Format.SVG, 254).withWords(true, false).file(page, SOURCE), StandardCharsets.UTF_8);
        assertThat(live).contains(">High water</text>", "@font-face{font-family:'Hanken Grotesk'");
    }

    /** Numbered so that every list sorts them; whole sheets by their names alone. */
    @Test
    void filesAreNumberedInTwoDigits() {
        Scene scene = Scene.of(Sheet.empty("Quarters", Unit.MM, 20, 20, 100));
        List<Page> panels = IntStream.rangeClosed(1, 12).mapToObj(i -> new Page("Quarters", "Panel " + i, scene, new Box(0, 0, 20, 20), 0))
                .toList();
        assertThat(FileNames.of(FileNames.USUAL, panels)).startsWith("Quarters 01", "Quarters 02").endsWith("Quarters 12");
        List<Page> sheets = Stream.of("Quarters", "Tides", "Tides").map(name -> new Page(name, name, scene, new Box(0, 0, 20, 20), 0))
                .toList();
        assertThat(FileNames.of(FileNames.USUAL, sheets)).containsExactly("Quarters", "Tides", "Tides 2");
    }

    /** A box that a picture fills has no transparency, nor has its file; one that shows the ground does. */
    @Test
    void boxesThatAreFilledAreOpaque() throws Exception {
        Sheet sheet = after(new ShelvePictures(List.of(new Picture("aa".repeat(32), "tide", 600, 400)))
                .apply(Sheet.empty("Card", Unit.MM, 90, 60, 254)), "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid',"
                + "'rows':1,'columns':2,'gapAcross':3,'gapDown':0}}", "{'kind':'fill','panels':['p1','p2'],'picture':'" + "aa".repeat(32)
                + "'}", "{'kind':'set-outline','panels':['p2'],'outline':{'kind':'ellipse'}}");
        for (Extent extent : List.of(Extent.BOXES, Extent.FORMS)) {
            List<Page> pages = Pages.of(sheet, extent, List.of(), false);
            for (Page page : pages) {
                BufferedImage image = ImageIO.read(new ByteArrayInputStream(Delivery.of(Format.PNG, 100).withPaper(false)
                        .file(page, SOURCE)));
                assertThat(image.getColorModel().hasAlpha()).isEqualTo(extent == Extent.FORMS && page == pages.get(1));
            }
        }
    }

    /**
     * Tabs and spaces that a typeface lacks only leave room, as wide as Unicode has them: every format is made, and the words can be read
     * out of the PDF.
     */
    @Test
    void oddSpacesLeaveRoom(@TempDir File folder) throws Exception {
        Sheet words = after(Sheet.empty("Spaces", Unit.MM, 90, 30, 254),
                "{'kind':'add-caption','text':'Low\\ttide\u2003at\u2009two\u200Bpm'}",
                "{'kind':'seat-panels','panels':['p1'],'left':5,'top':5,'width':80}");
        byte[] png = delivered(words, Format.PNG, true);
        for (Format format : Format.values()) assertThat(delivered(words, format, true)).as(format.name()).isNotEmpty();
        byte[] pdf = Delivery.of(Format.PDF, 254).file(Page.of(Scene.of(words)), SOURCE);
        try (PDDocument read = Loader.loadPDF(pdf)) {
            assertThat(new PDFTextStripper().getText(read)).containsSubsequence("Low tide", "at", "two", "pm");
        }
        Sheet narrow = after(Sheet.empty("Tab", Unit.MM, 90, 30, 254), "{'kind':'add-caption','text':'High\\twater'}");
        Files.write(folder.toPath().resolve("tab.pdf"), Delivery.of(Format.PDF, 254).file(Page.of(Scene.of(narrow)), SOURCE));
        assertThat(Painted.run(folder, "pdftotext", "-raw", "tab.pdf", "-")).contains("High water");
        Files.write(folder.toPath().resolve("words.svg"), delivered(words, Format.SVG, true));
        Painted.run(folder, "rsvg-convert", "-w", "900", "-h", "300", "-o", "theirs.png", "words.svg");
        assertThat(Painted.difference(ImageIO.read(new File(folder, "theirs.png")), read(png))).isLessThan(0.5);
        LetterStyle style = LetterStyle.of(Typeface.HANKEN_GROTESK, 10, Setting.Side.LEFT);
        double em = style.setting().block("a\u2003b", OptionalDouble.empty()).width() - style.setting().block("ab", OptionalDouble.empty())
                .width();
        assertThat(em).isCloseTo(10, within(1e-6));
    }

    /**
     * Shaped words stay text in a PDF: poppler reads the very words out of it, ligatures and right-to-left ones too, and paints them where
     * our pixels have them, within a tenth of a millimetre.
     */
    /** A JPEG of inks, with a profile or without, is sRGB in a PDF that says all is; poppler's list of its pictures tells. */
    @Test
    void inksAreNotPassedOn(@TempDir File folder) throws Exception {
        ImageIO.write(TIDE, "png", new File(folder, "in.png"));
        Painted.run(folder, "vips", "icc_transform", "in.png", "inks.jpg[Q=90]", "cmyk", "--input-profile", "srgb");
        Painted.run(folder, "vips", "copy", "inks.jpg", "bare.jpg[profile=none]");
        Sheet sheet = new ShelvePictures(List.of(new Picture("aa".repeat(32), "tide", 600, 400)))
                .apply(Sheet.empty("Inks", Unit.MM, 60, 40, 254));
        sheet = after(sheet, "{'kind':'add-panel','outline':{'kind':'ellipse'}}",
                "{'kind':'seat-panels','panels':['p1'],'left':0,'top':0,'width':60,'height':40}",
                "{'kind':'fill','panels':['p1'],'picture':'" + "aa".repeat(32) + "'}");
        for (String name : List.of("inks.jpg", "bare.jpg")) {
            byte[] file = Files.readAllBytes(folder.toPath().resolve(name));
            byte[] pdf = Delivery.of(Format.PDF, 254).file(Page.of(Scene.of(sheet)), new DecodedPictures(id -> file));
            Files.write(folder.toPath().resolve("inks.pdf"), pdf);
            assertThat(Painted.run(folder, "pdfimages", "-list", "inks.pdf")).as(name).contains(" rgb ").doesNotContain("cmyk");
        }
    }

    @Test
    void shapedWordsAreReadAndPaintedAlike(@TempDir File folder) throws Exception {
        List<String> said = List.of("office fiat affluent", "\u05d2\u05d0\u05d5\u05ea \u05d5\u05e9\u05e4\u05dc", "AVATAR To Ty.");
        List<String> faces = List.of("EB Garamond", "Rubik", "Playfair Display");
        Sheet words = Sheet.empty("Shaped", Unit.MM, 120, 60, 254);
        for (int i = 0; i < 3; i++) words = after(words, "{'kind':'add-caption','text':'" + said.get(i) + "'}",
                "{'kind':'set-words','panels':['p" + (i + 1) + "'],'layer':1,'typeface':'" + faces.get(i)
                + "','size':9,'tracking':" + (i == 2 ? 40 : 0) + "}",
                "{'kind':'seat-panels','panels':['p" + (i + 1) + "'],'left':5,'top':" + (4 + 18 * i) + ",'width':110}");
        byte[] pdf = Delivery.of(Format.PDF, 254).file(Page.of(Scene.of(words)), SOURCE);
        Files.write(folder.toPath().resolve("words.pdf"), pdf);
        String read = Painted.run(folder, "pdftotext", "-enc", "UTF-8", "words.pdf", "-");
        for (String line : said) assertThat(read.replaceAll("[\u202a-\u202e\u2066-\u2069\u200e\u200f]", "")).contains(line);
        Painted.run(folder, "pdftoppm", "-r", "254", "-png", "-singlefile", "words.pdf", "theirs");
        BufferedImage ours = read(delivered(words, Format.PNG, true));
        assertThat(Painted.difference(ImageIO.read(new File(folder, "theirs.png")), ours)).isLessThan(1.0);
        // Half a letter's stroke aside they would be far apart: a tenth of a millimetre is one of these pixels.
        BufferedImage aside = new BufferedImage(ours.getWidth(), ours.getHeight(), BufferedImage.TYPE_INT_RGB);
        aside.createGraphics().drawImage(ours, 3, 0, Color.WHITE, null);
        assertThat(Painted.difference(aside, ours)).isGreaterThan(1.5);
    }

    /** What a format cannot hold is said before work: libjpeg's own bound is 65,500 pixels a side. */
    @Test
    void aJpegHasABound() {
        Page wide = Page.of(Scene.of(Sheet.empty("Frieze", Unit.MM, 5000, 20, 300)));
        assertThatThrownBy(() -> Delivery.of(Format.JPEG, 400).check(List.of(wide))).isInstanceOf(BadInput.class)
                .hasMessageContaining("65,500").hasMessageContaining("78,740");
        assertThatCode(() -> Delivery.of(Format.PNG, 400).check(List.of(wide))).doesNotThrowAnyException();
    }

    /** TIFF 6.0 tells its places in 32 bits; five metres at 300 ppi are 3487 megapixels, of which what is not all pixels makes nothing. */
    @Test
    void largePagesHaveTheBoundsOfTheirFormats() throws Exception {
        Page wall = Page.of(Scene.of(Sheet.empty("Wall", Unit.MM, 5000, 5000, 300)));
        assertThatThrownBy(() -> Delivery.of(Format.TIFF, 300).check(List.of(wall))).isInstanceOf(BadInput.class)
                .hasMessageContaining("TIFF can have at most 950 megapixels; this would be 3,487. Up to 156 ppi is possible.");
        assertThatThrownBy(() -> Delivery.of(Format.OPENRASTER, 400).check(List.of(wall))).isInstanceOf(BadInput.class)
                .hasMessageContaining("Up to 332 ppi is possible.");
        Delivery.of(Format.PNG, 300).check(List.of(wall));
        assertThat(Delivery.of(Format.SVG, 300).file(wall, SOURCE)).isNotEmpty();
        assertThat(Delivery.of(Format.PDF, 300).file(wall, SOURCE)).isNotEmpty();
        Page endless = Page.of(Scene.of(Sheet.empty("Frieze", Unit.MM, 5000, 1, 300)));
        assertThatThrownBy(() -> Delivery.of(Format.PNG, 4800).scaled(100).check(List.of(endless))).isInstanceOf(BadInput.class)
                .hasMessageContaining("ppi is possible");
    }
}
