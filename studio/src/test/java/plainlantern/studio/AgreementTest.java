package plainlantern.studio;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.ScreenshotAnimations;
import java.awt.AlphaComposite;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.editing.reading.EditReader;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Path;
import plainlantern.picture.Encoder;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Previews;
import plainlantern.picture.Resample;
import plainlantern.rendering.Addresses;
import plainlantern.rendering.BoardPainter;
import plainlantern.rendering.Delivery;
import plainlantern.rendering.Format;
import plainlantern.rendering.Glazing;
import plainlantern.rendering.Masks;
import plainlantern.rendering.RasterPainter;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.scene.Scene;
import plainlantern.sheet.Blend;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.studio.demo.DemoSamples;

/**
 * One scene: what Chromium shows of the board, what poppler paints of the PDF, librsvg of the SVG, and the layers of the OpenRaster file
 * over each other are the PNG, for every sheet of the demo: at most 2 of 255 apart in the mean, and no square of 16 by 16 pixels without an
 * edge more than 12.
 */
class AgreementTest {
    private static final double MEAN = 2;
    private static final double WORST = 12;
    private static final int SQUARE = 16;
    private static final int SIDE = 600;
    private static final PictureSource PICTURES = DemoSamples.pictures();

    @BeforeAll
    static void launch() {
        Browsed.launch();
    }

    @AfterAll
    static void close() {
        Browsed.close();
    }

    @Test
    void everyOutputIsTheSame(@TempDir File folder) throws Exception {
        for (Sheet sheet : Stream.concat(Stream.of(hidden()), DemoSamples.sheets().stream()).toList()) {
            double ppi = SIDE * 25.4 / Math.max(sheet.width(), sheet.height());
            Delivery png = Delivery.of(Format.PNG, ppi);
            Scene scene = Scene.of(sheet);
            plainlantern.scene.Page page = plainlantern.scene.Page.of(scene);
            BufferedImage meant = ImageIO.read(new ByteArrayInputStream(png.file(page, PICTURES)));
            boolean[] edges = edges(scene, ppi, meant.getWidth(), meant.getHeight());
            // Side by side: each of the other programs works on one processor.
            CompletableFuture<BufferedImage> svg = meanwhile(() -> svg(folder, Delivery.of(Format.SVG, ppi).file(page, PICTURES), meant));
            CompletableFuture<BufferedImage> pdf = meanwhile(() ->
                    pdf(folder, Delivery.of(Format.PDF, 2 * ppi).file(page, PICTURES), meant));
            Map<String, BufferedImage> all = new LinkedHashMap<>();
            all.put("the board", board(sheet, meant.getWidth(), meant.getHeight()));
            all.put("OpenRaster", flattened(Delivery.of(Format.OPENRASTER, ppi).file(page, PICTURES)));
            all.put("SVG", svg.join());
            all.put("PDF", pdf.join());
            all.forEach((name, painted) -> agrees(sheet.name() + " as " + name, painted, meant, edges));
        }
    }

    /** Veils of layers of every kind, which blend and let through, in a turned panel, and of a caption and its plate. */
    private static Sheet hidden() {
        Picture picture = DemoSamples.sheets().get(0).shelf().get(0);
        Sheet sheet = new ShelvePictures(List.of(picture)).apply(Sheet.empty("Hidden in part", Unit.MM, 120, 90, 150));
        String veil = "{'kind':'veil','panels':['%s'],'layer':%d,'part':{'kind':%s,'strength':'90 %%'}}";
        String stroke = "'stroke','dots':[[10,60,1],[100,20,0.6]],'size':14,'softness':'40 %'";
        String fade = "'gradient','from':{'x':30,'y':20},'to':{'x':90,'y':70}";
        for (String edit : List.of("{'kind':'add-panel','outline':{'kind':'ellipse'}}",
                "{'kind':'seat-panels','panels':['p1'],'left':10,'top':10,'width':100,'height':60}",
                "{'kind':'fill','panels':['p1'],'picture':'" + picture.id() + "'}",
                "{'kind':'add-layer','panels':['p1'],'what':'picture','picture':'" + picture.id() + "'}",
                "{'kind':'set-look','panels':['p1'],'layer':1,'blend':'multiply','opacity':'80 %'}", veil.formatted("p1", 1, fade),
                "{'kind':'add-layer','panels':['p1'],'what':'wash'}", veil.formatted("p1", 2, stroke),
                "{'kind':'add-layer','panels':['p1'],'what':'words'}", "{'kind':'set-look','panels':['p1'],'layer':3,'blend':'overlay'}",
                veil.formatted("p1", 3, stroke), "{'kind':'turn-panels','panels':['p1'],'by':15}",
                "{'kind':'add-caption','text':'Low water'}", "{'kind':'set-plate','panels':['p2'],'colour':'#E09A17'}",
                veil.formatted("p2", 0, fade), veil.formatted("p2", 1, "'form','panel':'p1','softness':2"),
                "{'kind':'add-panel','outline':{'kind':'ellipse'}}",
                "{'kind':'seat-panels','panels':['p3'],'left':5,'top':60,'width':60,'height':25}",
                "{'kind':'add-layer','panels':['p3'],'what':'wash'}",
                "{'kind':'set-wash','panels':['p3'],'layer':0,'turn':90,'round':false,'stops':["
                        + "{'at':0,'colour':'#23626A','opacity':1},{'at':1,'colour':'#B03020','opacity':1}]}",
                veil.formatted("p3", 0, fade)))
            sheet = EditReader.read(edit.replace('\'', '"'), sheet).on(sheet);
        assertThat(Scene.of(sheet).items().stream().flatMap(item -> item.layers().stream()).filter(l -> l.mask().isPresent())).hasSize(6);
        return sheet;
    }

    private static CompletableFuture<BufferedImage> meanwhile(Callable<BufferedImage> work) {
        return CompletableFuture.supplyAsync(() -> {
            try {
                return work.call();
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        });
    }

    /**
     * A picture as the page gets it: treated, with as many pixels as are shown, no more than its largest preview has.
     *
     * @param pixels of the screen, of which a mm is so many
     */
    private static byte[] painted(Scene.Layer of, double pixels, PictureSource pictures) {
        if (of.mask().isPresent()) {
            Affine lies = of.mask().get().toSheet();
            return Encoder.png(Masks.of(of, side(Math.max(lies.xScale(), lies.yScale()) * pixels), pictures), 72);
        }
        PaintedPicture layer = of.picture().orElseThrow();
        double shown = Math.max(layer.width() * layer.pixelsToSheet().xScale(), layer.height() * layer.pixelsToSheet().yScale()) * pixels;
        double share = Math.min(1, (double) side(shown) / Math.max(layer.width(), layer.height()));
        int[] size = {(int) Math.ceil(layer.width() * share), (int) Math.ceil(layer.height() * share)};
        return Encoder.png(pictures.sized(layer.treated(), 1, layer.width(), layer.height(), size), 72);
    }

    private static int[] square(BufferedImage image, int column, int row) {
        return image.getRGB(column * SQUARE, row * SQUARE, SQUARE, SQUARE, null, 0, SQUARE);
    }

    private static int side(double shown) {
        return (int) Math.max(1, Math.min(Previews.Level.LARGE.side(), Math.ceil(shown)));
    }

    private static void agrees(String name, BufferedImage painted, BufferedImage meant, boolean[] edges) {
        double sum = 0;
        double worst = 0;
        String where = "";
        int across = meant.getWidth() / SQUARE;
        for (int row = 0; row < meant.getHeight() / SQUARE; row++) {
            for (int column = 0; column < across; column++) {
                double off = 0;
                int[] one = square(meant, column, row);
                int[] other = square(painted, column, row);
                for (int i = 0; i < one.length; i++) {
                    for (int shift = 0; shift < 24; shift += 8) off += Math.abs((one[i] >> shift & 255) - (other[i] >> shift & 255));
                }
                sum += off;
                if (!edges[row * across + column] && off > worst) where = column * SQUARE + ", " + row * SQUARE;
                if (!edges[row * across + column]) worst = Math.max(worst, off);
            }
        }
        double pixels = 3.0 * SQUARE * SQUARE;
        assertThat(sum / pixels / across / (meant.getHeight() / SQUARE)).as("%s: mean", name).isLessThan(MEAN);
        assertThat(worst / pixels).as("%s: worst square, at %s", name, where).isLessThan(WORST);
    }

    /** The squares that the edge of a form, a rim, a letter or a cutout goes through. */
    private static boolean[] edges(Scene scene, double ppi, int width, int height) {
        BufferedImage drawn = new BufferedImage(width, height, BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D g = drawn.createGraphics();
        g.transform(AffineTransform.getScaleInstance(width / scene.width(), height / scene.height()));
        float px = (float) (scene.width() / width);
        g.setColor(Color.WHITE);
        for (Scene.Item item : scene.items()) {
            stroke(g, item.clip(), 3 * px);
            item.rim().ifPresent(rim -> stroke(g, rim.path(), (float) rim.width() + 3 * px));
            for (Scene.Layer layer : item.layers())
                if (layer instanceof Scene.PaintedLetters letters) stroke(g, letters.outlines(), 3 * px);
        }
        List<Scene.Item> cutouts = scene.items().stream().filter(i -> i.pictures().stream().anyMatch(p -> p.pixels().foot().isPresent()))
                .map(Scene.Item::unshaded).toList();
        BufferedImage cut = RasterPainter.paint(new Scene(scene.width(), scene.height(), Optional.empty(), cutouts), ppi, false, PICTURES);
        int across = width / SQUARE;
        boolean[] edges = new boolean[across * (height / SQUARE)];
        for (int y = 0; y < height / SQUARE * SQUARE; y++) {
            for (int x = 0; x < across * SQUARE; x++)
                if ((drawn.getRGB(x, y) & 255) > 0 || (cut.getRGB(x, y) >>> 24) % 255 > 0) edges[y / SQUARE * across + x / SQUARE] = true;
        }
        return edges;
    }

    private static void stroke(Graphics2D g, Path path, float width) {
        g.setStroke(new BasicStroke(width));
        Path2D shape = new Path2D.Double();
        for (var contour : path.flattened(24)) {
            shape.moveTo(contour.get(0).x(), contour.get(0).y());
            contour.forEach(p -> shape.lineTo(p.x(), p.y()));
            shape.closePath();
        }
        g.draw(shape);
    }

    /** The board's own drawing, without what is there to be grabbed. */
    private static BufferedImage board(Sheet sheet, int width, int height) {
        PictureSource pictures = Glazing.of(List.of(Scene.of(sheet)), PICTURES);
        Map<String, Scene.Layer> asked = new HashMap<>();
        Addresses href = new Addresses() {
            @Override
            public String picture(PaintedPicture layer) {
                String name = Integer.toHexString(layer.treated().hashCode());
                asked.put(name, layer.unveiled());
                return "http://pictures.test/" + name;
            }

            @Override
            public Optional<String> veil(String element, Scene.Layer layer) {
                asked.put(element + "-" + layer.at(), layer);
                return Optional.of("http://pictures.test/" + element + "-" + layer.at());
            }
        };
        StringBuilder svg = new StringBuilder("<body style='margin:0'><style>.form, .bare-area { fill: none }");
        for (Blend blend : Blend.values())
            svg.append(".blend-").append(blend.css()).append("{mix-blend-mode:").append(blend.css()).append('}');
        svg.append(".layers{isolation:isolate}</style><svg width='").append(width).append("' height='").append(height)
                .append("' viewBox='0 0 ").append(sheet.width()).append(' ').append(sheet.height())
                .append("' preserveAspectRatio='none' style='display:block;isolation:isolate'>").append(BoardPainter.paper(sheet, href));
        for (var panel : sheet.elements()) svg.append(BoardPainter.of(sheet, panel).board(href));
        try (Page blank = Browsed.browser.newPage()) {
            blank.route("http://pictures.test/**", route -> route.fulfill(new Route.FulfillOptions().setContentType("image/png")
                    .setBodyBytes(painted(asked.get(route.request().url().replaceFirst(".*/", "")), width / sheet.width(), pictures))));
            blank.setViewportSize(width, height);
            blank.setContent(svg + "</svg>");
            blank.waitForFunction("() => Promise.all([...document.querySelectorAll('image')].map((i) => i.decode())).then(() => true)");
            return ImageIO.read(new ByteArrayInputStream(blank.screenshot(new Page.ScreenshotOptions()
                    .setAnimations(ScreenshotAnimations.DISABLED))));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void run(File folder, String... command) throws Exception {
        Process process = new ProcessBuilder(command).directory(folder).redirectErrorStream(true).start();
        String said = new String(process.getInputStream().readAllBytes());
        assertThat(process.waitFor()).as(said).isZero();
    }

    private static BufferedImage svg(File folder, byte[] svg, BufferedImage like) throws Exception {
        Files.write(new File(folder, "sheet.svg").toPath(), svg);
        run(folder, "rsvg-convert", "--unlimited", "-w", "" + like.getWidth(), "-h", "" + like.getHeight(), "-o", "svg.png", "sheet.svg");
        return ImageIO.read(new File(folder, "svg.png"));
    }

    /**
     * Painted with three times the pixels and averaged: poppler puts pictures on whole pixels. By its Cairo side, as its other one cuts off
     * what is left of a level each time that one blends.
     */
    private static BufferedImage pdf(File folder, byte[] pdf, BufferedImage like) throws Exception {
        Files.write(new File(folder, "sheet.pdf").toPath(), pdf);
        run(folder, "pdftocairo", "-tiff", "-tiffcompression", "none", "-scale-to-x", "" + like.getWidth() * 3, "-scale-to-y",
                "" + like.getHeight() * 3, "-singlefile", "sheet.pdf", "pdf");
        BufferedImage large = ImageIO.read(new File(folder, "pdf.tif"));
        return Resample.toSize(Browsed.bytes(large), like.getWidth(), like.getHeight());
    }

    private static BufferedImage flattened(byte[] file) throws Exception {
        Map<String, byte[]> entries = new LinkedHashMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry())
                entries.put(entry.getName(), zip.readAllBytes());
        }
        Element image = DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(new ByteArrayInputStream(entries.get("stack.xml")))
                .getDocumentElement();
        BufferedImage flat = new BufferedImage(Integer.parseInt(image.getAttribute("w")), Integer.parseInt(image.getAttribute("h")),
                BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = flat.createGraphics();
        NodeList layers = image.getElementsByTagName("layer");
        for (int i = layers.getLength() - 1; i >= 0; i--) {
            Element layer = (Element) layers.item(i);
            float opacity = Float.parseFloat(layer.getAttribute("opacity"));
            BufferedImage seen = ImageIO.read(new ByteArrayInputStream(entries.get(layer.getAttribute("src"))));
            int x = Integer.parseInt(layer.getAttribute("x"));
            int y = Integer.parseInt(layer.getAttribute("y"));
            String how = layer.getAttribute("composite-op");
            g.setComposite(AlphaComposite.getInstance(AlphaComposite.SRC_OVER, opacity));
            if (how.equals("svg:src-over")) g.drawImage(seen, x, y, null);
            else blend(flat, seen, x, y, opacity, how);
        }
        return flat;
    }

    /** Over what is opaque (Compositing and Blending Level 1, 9.1). */
    private static void blend(BufferedImage flat, BufferedImage seen, int left, int top, float opacity, String how) {
        assertThat(how).isIn("svg:screen", "svg:multiply");
        for (int y = Math.max(0, -top); y < Math.min(seen.getHeight(), flat.getHeight() - top); y++) {
            for (int x = Math.max(0, -left); x < Math.min(seen.getWidth(), flat.getWidth() - left); x++) {
                int source = seen.getRGB(x, y);
                int beneath = flat.getRGB(left + x, top + y);
                float alpha = (source >>> 24) / 255f * opacity;
                int out = 0xFF000000;
                for (int shift = 0; shift < 24; shift += 8) {
                    float s = (source >> shift & 255) / 255f;
                    float b = (beneath >> shift & 255) / 255f;
                    float mixed = how.equals("svg:screen") ? s + b - s * b : s * b;
                    out |= Math.round(((1 - alpha) * b + alpha * mixed) * 255) << shift;
                }
                flat.setRGB(left + x, top + y, out);
            }
        }
    }
}
