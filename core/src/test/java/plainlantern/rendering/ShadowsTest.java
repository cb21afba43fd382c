package plainlantern.rendering;

import static org.assertj.core.api.Assertions.assertThat;
import static plainlantern.Sheets.after;

import java.awt.AlphaComposite;
import java.awt.Color;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.geom.Ellipse2D;
import java.awt.image.BufferedImage;
import java.io.File;
import java.nio.file.Files;
import java.util.Arrays;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import plainlantern.Painted;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.geometry.Box;
import plainlantern.picture.Footing;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Tile;
import plainlantern.scene.Scene;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Shadow;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Treatment;

/** Shadows and soft edges in pixels: against the convolution that defines them, and against librsvg. */
class ShadowsTest {
    private static final Tile LIKE = new Tile(-7, 3, 260, 230, new int[0]);
    private static final Shape FORM = new Ellipse2D.Double(60.3, 50.8, 90, 110);

    /**
     * CSS Backgrounds 3, 6.1.1: the standard deviation is half the blur radius. Gaussian blur by its definition, in double precision over
     * every pixel.
     */
    @Test
    void blurIsTheConvolution() {
        assertThat(new Shadow(0, 0, 6, 0, Colour.WHITE, 1).deviation()).isEqualTo(3);
        for (double deviation : new double[] {0, 0.6, 2, 7.3, 19, 41}) {
            double[] exact = exactly(deviation);
            byte[] form = Blur.of(FORM, deviation, LIKE);
            Tile paint = new Tile(40, 30, 140, 150, new int[140 * 150]);
            byte[] mask = Shapes2D.mask(paint, FORM);
            for (int i = 0; i < mask.length; i++) paint.argb()[i] = (mask[i] & 0xFF) << 24;
            byte[] painted = Blur.of(paint, 0, 0, 0, deviation, LIKE);
            for (byte[] ours : new byte[][] {form, painted}) {
                double sum = 0;
                double most = 0;
                for (int i = 0; i < exact.length; i++) {
                    double off = Math.abs(exact[i] - (ours[i] & 0xFF));
                    sum += off;
                    most = Math.max(most, off);
                }
                assertThat(sum / exact.length).as("mean at " + deviation).isLessThan(0.5);
                assertThat(most).as("most at " + deviation).isLessThan(3);
            }
        }
    }

    private static double[] exactly(double deviation) {
        int room = (int) Math.ceil(5 * deviation) + 1;
        int width = LIKE.width() + 2 * room;
        int height = LIKE.height() + 2 * room;
        byte[] mask = Shapes2D.mask(new Tile(LIKE.x() - room, LIKE.y() - room, width, height, new int[0]), FORM);
        double[] kernel = new double[2 * room + 1];
        double all = 0;
        for (int i = -room; i <= room; i++)
            all += kernel[i + room] = deviation == 0 ? i == 0 ? 1 : 0 : Math.exp(-i * i / (2 * deviation * deviation));
        double[] rows = new double[LIKE.width() * height];
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < LIKE.width(); x++)
                for (int k = 0; k < kernel.length; k++) rows[y * LIKE.width() + x] += kernel[k] / all * (mask[y * width + x + k] & 0xFF);
        }
        double[] out = new double[LIKE.width() * LIKE.height()];
        for (int y = 0; y < LIKE.height(); y++) {
            for (int x = 0; x < LIKE.width(); x++)
                for (int k = 0; k < kernel.length; k++) out[y * LIKE.width() + x] += kernel[k] / all * rows[(y + k) * LIKE.width() + x];
        }
        return out;
    }

    /** Grown by whole pixels is the highest within reach, shrunk the lowest, what lies beyond counting as clear. */
    @Test
    void spreadOfWhatIsPainted() {
        Tile dot = new Tile(5, 5, 3, 3, new int[] {0, 0, 0, 0, 0xFF000000, 0, 0, 0, 0});
        Tile like = new Tile(0, 0, 13, 13, new int[0]);
        byte[] grown = Blur.of(dot, 1, 0, 2, 0, like);
        for (int i = 0; i < grown.length; i++)
            assertThat(grown[i] != 0).as("pixel " + i).isEqualTo(Math.abs(i % 13 - 7) <= 2 && Math.abs(i / 13 - 6) <= 2);
        int[] block = new int[25];
        Arrays.fill(block, 0xFF000000);
        byte[] shrunk = Blur.of(new Tile(4, 4, 5, 5, block), 0, 0, -2, 0, like);
        for (int i = 0; i < shrunk.length; i++) assertThat(shrunk[i] != 0).as("pixel " + i).isEqualTo(i == 6 * 13 + 6);
    }

    private static final BufferedImage OPAQUE = Painted.scene(600, 400, BufferedImage.TYPE_3BYTE_BGR);
    private static final BufferedImage CUTOUT = cutout();
    private static final Picture TIDE = new Picture("aa".repeat(32), "tide", 600, 400);
    private static final Picture HERON = new Picture("bb".repeat(32), "heron", 300, 400).treated(Treatment.NONE, Footing.of(CUTOUT));
    private static final PictureSource SOURCE = (id, share) -> id.equals(TIDE.id()) ? OPAQUE : CUTOUT;

    /** A disc with a hole on two legs, the rest clear. */
    private static BufferedImage cutout() {
        BufferedImage image = new BufferedImage(300, 400, BufferedImage.TYPE_4BYTE_ABGR);
        var g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setColor(new Color(0x9A5B00));
        g.fillOval(40, 30, 220, 220);
        g.fillRect(100, 240, 20, 140);
        g.fillRect(180, 240, 20, 140);
        g.setComposite(AlphaComposite.Clear);
        g.fillOval(110, 100, 80, 80);
        g.dispose();
        return image;
    }

    /**
     * Shadows of forms and of cutouts, inside and behind, spread both ways, soft edges, ground shadows, rims, half opaque: librsvg paints
     * what we paint.
     */
    @Test
    void shadowsAreAsAnIndependentRendererPaintsThem(@TempDir File folder) throws Exception {
        Sheet now = new ShelvePictures(List.of(TIDE, HERON)).apply(Sheet.empty("Shade", Unit.MM, 160, 120, 254));
        now = after(now, "{'kind':'set-paper','paper':{'kind':'plain','colour':'#EADFC8'}}",
                "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':2,'columns':4,'gapAcross':14,'gapDown':16},"
                        + "'margins':{'top':12,'right':12,'bottom':14,'left':10}}");
        String[] forms = {"'rectangle','topLeft':0,'topRight':6,'bottomRight':0,'bottomLeft':0",
                "'star','points':5,'inner':0.5,'rounding':0", "'ellipse'"};
        for (int i = 0; i < 8; i++) {
            String panel = "'panels':['p" + (i + 1) + "']";
            boolean cutout = i % 4 == 3;
            now = after(now, "{'kind':'set-outline'," + panel + ",'outline':{'kind':" + forms[i % 3] + "}}", "{'kind':'fill'," + panel
                    + ",'picture':'" + (cutout ? HERON : TIDE).id() + "'}",
                    "{'kind':'set-shadow'," + panel + ",'distance':" + i % 4 + ",'direction':" + 50 * i + ",'blur':" + i * 0.7
                            + ",'spread':" + (i - 3) * 0.3 + ",'opacity':'70 %'}");
            if (i % 2 == 1) now = after(now, "{'kind':'set-shadow'," + panel + ",'inside':true,'distance':1.5,'blur':2,'spread':"
                    + (i == 5 ? 0.5 : 0) + ",'colour':'#1F4878'}");
            if (i == 2 || i == 7) now = after(now, "{'kind':'set-finish'," + panel + ",'feather':4}");
            if (i == 0 || i == 4) now = after(now, "{'kind':'set-finish'," + panel + ",'width':1.2,'side':'outside','dash':'"
                    + (i == 0 ? "solid" : "dashed") + "','opacity':'80 %'}");
            if (cutout) now = after(now, "{'kind':'set-ground'," + panel + "}");
        }
        ImageIO.write(OPAQUE, "png", new File(folder, "tide.png"));
        ImageIO.write(CUTOUT, "png", new File(folder, "heron.png"));
        Files.writeString(folder.toPath().resolve("sheet.svg"),
                SvgPainter.document(Scene.of(now), layer -> layer.treated().picture().equals(TIDE.id()) ? "tide.png" : "heron.png"));
        Painted.run(folder, "rsvg-convert", "-w", "1600", "-h", "1200", "-o", "theirs.png", "sheet.svg");
        BufferedImage theirs = ImageIO.read(new File(folder, "theirs.png"));
        BufferedImage ours = RasterPainter.paint(Scene.of(now), 254, true, SOURCE);
        for (Panel panel : now.panels()) {
            Box box = panel.boundsOnSheet().grown(7);
            int[] at = {(int) (box.x() * 10), (int) (box.y() * 10), (int) (box.width() * 10), (int) (box.height() * 10)};
            assertThat(Painted.difference(ours.getSubimage(at[0], at[1], at[2], at[3]), theirs.getSubimage(at[0], at[1], at[2], at[3])))
                    .as(panel.id()).isLessThan(2);
        }
        Scene scene = Scene.of(now);
        int[] size = {1600, 1200};
        Strips strips = new Strips(scene, RasterPainter.toPixels(new Box(0, 0, 160, 120), size), size, true, SOURCE, Progress.UNHEARD,
                id -> {}, 90, 1, new Strips.Kept());
        for (int top = 0; top < 1200; top += 90) {
            int[] rows = strips.next();
            for (int i = 0; i < rows.length; i++) {
                for (int shift = 0; shift < 24; shift += 8)
                    assertThat((rows[i] >> shift & 0xFF) - (ours.getRGB(i % 1600, top + i / 1600) >> shift & 0xFF))
                            .as("slab by slab, at %d, %d", i % 1600, top + i / 1600).isBetween(-2, 2);
            }
        }
    }

    /** A picture behind everything, blurred, and colours that run into each other: librsvg paints what we paint. */
    @Test
    void paperIsAsAnIndependentRendererPaintsIt(@TempDir File folder) throws Exception {
        ImageIO.write(OPAQUE, "png", new File(folder, "tide.png"));
        Sheet sheet = new ShelvePictures(List.of(TIDE)).apply(Sheet.empty("Paper", Unit.MM, 60, 90, 254));
        for (String paper : new String[] {"'pictured','picture':'" + TIDE.id() + "','blur':5", "'pictured','picture':'"
                + TIDE.id() + "','blur':0",
            "'washed','stops':[{'at':0.1,'colour':'#1F4878','opacity':1},{'at':1,'colour':'#FFC653','opacity':1}],'turn':160,"
                    + "'round':false"}) {
            Scene scene = Scene.of(after(sheet, "{'kind':'set-paper','paper':{'kind':" + paper + "}}"));
            Files.writeString(folder.toPath().resolve("sheet.svg"), SvgPainter.document(scene, layer -> "tide.png"));
            Painted.run(folder, "rsvg-convert", "-w", "600", "-h", "900", "-o", "theirs.png", "sheet.svg");
            BufferedImage ours = RasterPainter.paint(scene, 254, true, SOURCE);
            BufferedImage theirs = ImageIO.read(new File(folder, "theirs.png"));
            // librsvg blurs what lies within its page alone, and so fades where that ends.
            assertThat(Painted.difference(ours.getSubimage(95, 95, 410, 710), theirs.getSubimage(95, 95, 410, 710)))
                    .as(paper).isLessThan(2);
        }
    }

    /** A panel beyond the page's edge still casts onto the page, and what lies wholly outside paints nothing. */
    @Test
    void shadowsFallFromBeyondTheEdge() {
        Sheet now = new ShelvePictures(List.of(TIDE, HERON)).apply(Sheet.empty("Edge", Unit.MM, 40, 40, 254));
        for (Picture picture : List.of(TIDE, HERON)) {
            Sheet off = after(now, "{'kind':'add-panel','outline':{'kind':'ellipse'}}", "{'kind':'fill','panels':['p1'],'picture':'"
                    + picture.id() + "'}",
                    "{'kind':'seat-panels','panels':['p1'],'left':-30,'top':5,'width':29,'height':30}",
                            "{'kind':'set-shadow','panels':['p1'],'distance':6,'direction':90,'blur':2}");
            BufferedImage page = RasterPainter.paint(Scene.of(off), 254, true, SOURCE);
            // In the middle of the ellipse, and of the heron's body.
            assertThat(page.getRGB(10, picture == TIDE ? 200 : 142) & 0xFF).as(picture.name()).isLessThan(picture == TIDE ? 0xC0 : 0xDC);
            assertThat(page.getRGB(300, 200)).isEqualTo(0xFFFFFFFF);
        }
    }
}
