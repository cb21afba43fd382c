package plainlantern.studio;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import plainlantern.asking.Typed;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.FillPanels;
import plainlantern.editing.filling.MovePicture;
import plainlantern.editing.reading.EditReader;
import plainlantern.fitting.Sitting;
import plainlantern.geometry.Point;
import plainlantern.lettering.LetterStyle;
import plainlantern.lettering.Setting;
import plainlantern.lettering.Typeface;
import plainlantern.outline.Heart;
import plainlantern.outline.PathData;
import plainlantern.outline.Rectangle;
import plainlantern.picture.Encoder;
import plainlantern.picture.PictureReader;
import plainlantern.rendering.Delivery;
import plainlantern.rendering.Format;
import plainlantern.rendering.RasterPainter;
import plainlantern.rendering.SvgPainter;
import plainlantern.scene.Scene;
import plainlantern.sheet.Blend;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Content;
import plainlantern.sheet.Element;
import plainlantern.sheet.Finish;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Look;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Pose;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Shadow;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Stop;
import plainlantern.sheet.Wash;
import plainlantern.sheet.Words;

/** Our geometry and colours against what Chromium makes of the same CSS and SVG. */
class ChromiumTest extends Browsed {
    /** CSS Backgrounds and Borders 3, 4.5: Chromium rounds a box with overlapping radii as our rectangle does. */
    @Test
    void cornersShrinkAsInCss() throws Exception {
        Random random = new Random(8);
        Page blank = context.newPage();
        for (int i = 0; i < 12; i++) {
            int width = 60 + random.nextInt(200);
            int height = 60 + random.nextInt(200);
            int[] r = random.ints(4, 0, 180).toArray();
            String path = PathData.of(new Rectangle(r[0], r[1], r[2], r[3]).path(width, height));
            blank.setContent(String.format("<body style='margin:0;background:#fff'><div style='position:absolute;left:0;top:0;"
                    + "width:%dpx;height:%dpx;background:#000;border-radius:%dpx %dpx %dpx %dpx'></div>"
                    + "<svg style='position:absolute;left:300px;top:0' width='%d' height='%d'><path transform='translate(%s %s)' "
                    + "d='%s'/></svg>", width, height, r[0], r[1], r[2], r[3],
                    width, height, width / 2.0, height / 2.0, path));
            BufferedImage painted = ImageIO.read(new ByteArrayInputStream(blank.screenshot()));
            int wrong = 0;
            for (int y = 0; y < height; y++)
                for (int x = 0; x < width; x++)
                    if (Math.abs((painted.getRGB(x, y) & 255) - (painted.getRGB(300 + x, y) & 255)) > 120) wrong++;
            assertThat(wrong).as(width + "x" + height + " " + Arrays.toString(r)).isLessThanOrEqualTo(6);
        }
    }

    /** CSS Images 3, object-fit with object-position 50% 50%: what Chromium paints, and what our placements say it must. */
    @Test
    void fitsAreThoseOfObjectFit() throws Exception {
        Random random = new Random(4);
        Map<String, Fit> rules = new LinkedHashMap<>(Map.of("cover", Fit.COVER, "contain", Fit.CONTAIN, "fill", Fit.STRETCH,
                "none", Fit.ACTUAL));
        Page blank = context.newPage();
        for (int i = 0; i < 25; i++) {
            int width = 30 + random.nextInt(280);
            int height = 30 + random.nextInt(700);
            BufferedImage checks = checks(40 + random.nextInt(500), 40 + random.nextInt(500));
            String data = Base64.getEncoder().encodeToString(Encoder.png(checks, 72));
            StringBuilder html = new StringBuilder("<body style='margin:0;background:#fff'>");
            int left = 0;
            for (String rule : rules.keySet()) {
                html.append(String.format("<img src='data:image/png;base64,%s' style='position:absolute;top:0;left:%dpx;width:%dpx;"
                        + "height:%dpx;object-fit:%s'>",
                        data, left, width, height, rule));
                left += 320;
            }
            blank.setContent(html.toString());
            BufferedImage painted = ImageIO.read(new ByteArrayInputStream(blank.screenshot()));
            left = 0;
            for (var rule : rules.entrySet()) {
                BufferedImage box = painted.getSubimage(left, 0, width, height);
                // One pixel of the box counts as one millimetre, so that actual size is 25.4 ppi.
                Sitting sitting = new Sitting(Rectangle.SHARP.path(width, height), checks.getWidth(), checks.getHeight());
                Pose placement = sitting.fitted(rule.getValue(), 0, false, 25.4);
                assertThat(mistakes(box, checks, placement)).as(rule.getKey() + " of " + checks.getWidth() + "x" + checks.getHeight()
                        + " in " + width + "x" + height).isZero();
                left += 320;
            }
        }
    }

    /**
     * CSS Images 3, object-position in percent: at x % the point at x % of the picture lies at x % of the box. That is the focal point's
     * own share brought to the same share of the panel, which is what we place.
     */
    @Test
    void placesAreThoseOfObjectPosition() throws Exception {
        Random random = new Random(6);
        Page blank = context.newPage();
        for (int i = 0; i < 30; i++) {
            int width = 60 + random.nextInt(280);
            int height = 60 + random.nextInt(500);
            int x = random.nextInt(101);
            int y = random.nextInt(101);
            BufferedImage checks = checks(40 + random.nextInt(500), 40 + random.nextInt(500));
            blank.setContent(String.format("<body style='margin:0;background:#fff'><img src='data:image/png;base64,%s' "
                    + "style='position:absolute;top:0;left:0;width:%dpx;height:%dpx;object-fit:cover;object-position:%d%% %d%%'>",
                    Base64.getEncoder().encodeToString(Encoder.png(checks, 72)), width, height, x, y));
            BufferedImage box = ImageIO.read(new ByteArrayInputStream(blank.screenshot())).getSubimage(0, 0, width, height);
            Panel panel = Panel.empty("p1", "Box", Rectangle.SHARP, Seat.upright(new Point(500, 500), width, height));
            Picture picture = new Picture("a".repeat(64), "Checks", checks.getWidth(), checks.getHeight());
            Sheet sheet = Sheet.empty("s", Unit.MM, 1000, 1000, 25.4).withShelf(List.of(picture)).with(List.of(panel), 1);
            Sheet filled = new FillPanels(List.of("p1"), picture.id()).apply(sheet);
            Pose cover = filled.holder("p1").picture(-1).orElseThrow().flat().pose();
            double across = (0.5 - x / 100.0) * (checks.getWidth() * cover.scaleX() - width);
            double down = (0.5 - y / 100.0) * (checks.getHeight() * cover.scaleY() - height);
            Pose moved = new MovePicture(List.of("p1"), across, down, false, Typed.FRONTMOST).apply(filled).holder("p1").picture(-1)
                    .orElseThrow().flat().pose();
            assertThat(mistakes(box, checks, moved)).as(x + "% " + y + "%").isZero();
        }
    }

    /** Eight by eight fields, each with a colour of its own. */
    private static BufferedImage checks(int width, int height) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_3BYTE_BGR);
        for (int y = 0; y < height; y++)
            for (int x = 0; x < width; x++) image.setRGB(x, y, (x * 8 / width * 30) << 16 | (y * 8 / height * 30) << 8 | 128);
        return image;
    }

    /** How many pixels of the box show another field than the placement puts there; field edges, which blur, do not count. */
    private static int mistakes(BufferedImage box, BufferedImage checks, Pose placement) {
        var back = placement.toPanel(checks.getWidth(), checks.getHeight()).inverse();
        double blur = 3 + 2 * Math.max(placement.scaleX(), placement.scaleY());
        int mistakes = 0;
        for (int y = 0; y < box.getHeight(); y += 3) {
            for (int x = 0; x < box.getWidth(); x += 3) {
                Point middle = new Point(x + 0.5 - box.getWidth() / 2.0, y + 0.5 - box.getHeight() / 2.0);
                int expected = colour(checks, back.apply(middle));
                boolean edge = false;
                for (double[] off : new double[][] {{-blur, 0}, {blur, 0}, {0, -blur}, {0, blur}})
                    edge |= colour(checks, back.apply(middle.plus(new Point(off[0], off[1])))) != expected;
                if (!edge && (box.getRGB(x, y) & 0xFFFFFF) != expected) mistakes++;
            }
        }
        return mistakes;
    }

    private static int colour(BufferedImage checks, Point at) {
        int x = (int) Math.floor(at.x());
        int y = (int) Math.floor(at.y());
        return x < 0 || y < 0 || x >= checks.getWidth() || y >= checks.getHeight() ? 0xFFFFFF : checks.getRGB(x, y) & 0xFFFFFF;
    }

    /**
     * PNG 3, 4.3: a gamma, primaries with a gamma, and code points (ITU-T H.273) of wide, linear and video colours, as Chromium shows them;
     * the first of two that are there decides.
     */
    @Test
    void coloursThatPngsTell() throws Exception {
        BufferedImage colours = new BufferedImage(200, 150, BufferedImage.TYPE_3BYTE_BGR);
        for (int y = 0; y < 150; y++) for (int x = 0; x < 200; x++)
            colours.setRGB(x, y, x * 255 / 199 << 16 | y * 255 / 149 << 8 | (x + y) * 7 % 256);
        ByteArrayOutputStream written = new ByteArrayOutputStream();
        ImageIO.write(colours, "png", written);
        byte[] plain = written.toByteArray();
        byte[] gamma = ByteBuffer.allocate(4).putInt(55_556).array();
        ByteBuffer places = ByteBuffer.allocate(32);
        for (int at : new int[] {31_270, 32_900, 64_000, 33_000, 21_000, 71_000, 15_000, 6_000}) places.putInt(at);
        byte[] wide = told(told(plain, "gAMA", gamma), "cHRM", places.array());
        Map<String, byte[]> all = new LinkedHashMap<>();
        all.put("gamma", told(plain, "gAMA", gamma));
        all.put("gamma and primaries", wide);
        all.put("P3", told(plain, "cICP", new byte[] {12, 13, 0, 1}));
        all.put("linear", told(plain, "cICP", new byte[] {1, 8, 0, 1}));
        all.put("video", told(plain, "cICP", new byte[] {9, 1, 0, 1}));
        all.put("gamma 2.2", told(plain, "cICP", new byte[] {1, 4, 0, 1}));
        all.put("code points before gamma", told(wide, "cICP", new byte[] {12, 13, 0, 1}));
        Page blank = context.newPage();
        blank.setViewportSize(200, 150);
        for (Map.Entry<String, byte[]> png : all.entrySet()) {
            blank.setContent("<body style='margin:0'><img style='display:block' src='data:image/png;base64,"
                    + Base64.getEncoder().encodeToString(png.getValue()) + "'></body>");
            blank.waitForFunction("document.images[0].complete && document.images[0].naturalWidth > 0");
            BufferedImage theirs = ImageIO.read(new ByteArrayInputStream(blank.screenshot()));
            BufferedImage ours = PictureReader.decode("a.png", png.getValue(), PictureReader.inspect("a.png", png.getValue()));
            assertThat(difference(ours, theirs)).as(png.getKey()).isLessThan(0.5);
            assertThat(difference(ours, ImageIO.read(new ByteArrayInputStream(plain)))).as(png.getKey()).isGreaterThan(1);
        }
    }

    /** A PNG with one more chunk behind its head. */
    private static byte[] told(byte[] png, String chunk, byte[] data) {
        byte[] named = ByteBuffer.allocate(4 + data.length).put(chunk.getBytes(StandardCharsets.US_ASCII)).put(data).array();
        CRC32 check = new CRC32();
        check.update(named);
        return ByteBuffer.allocate(png.length + data.length + 12).put(png, 0, 33).putInt(data.length).put(named)
                .putInt((int) check.getValue()).put(png, 33, png.length - 33).array();
    }

    /**
     * W3C Compositing and Blending 1 and CSS Images 3: all blend modes of a half opaque gradient over another one, as Chromium paints our
     * SVG.
     */
    @Test
    void colours() throws Exception {
        Sheet now = Sheet.empty("Colours", Unit.PX, 800 * 25.4 / 96, 200 * 25.4 / 96, 96);
        List<Element> panels = new ArrayList<>();
        for (Blend blend : Blend.values()) {
            Content below = new Wash(List.of(new Stop(0, Colour.of("#E09A17"), 1), new Stop(0.7, Colour.of("#23626A"), 1),
                    new Stop(1, Colour.WHITE, 1)), 70, false, Look.PLAIN);
            Content above = new Wash(List.of(new Stop(0.1, Colour.of("#5E3A9C"), 1), new Stop(0.9, Colour.of("#F4EBDD"), 0.5)), 200,
                    blend.ordinal() % 2 == 0, new Look(0.8, blend));
            double px = 25.4 / 96;
            Seat seat = Seat.upright(new Point((blend.ordinal() % 8 * 100 + 50) * px, (blend.ordinal() / 8 * 100 + 50) * px),
                    100 * px, 100 * px);
            panels.add(Panel.empty("p" + blend.ordinal(), blend.css(), Rectangle.SHARP, seat).withContent(List.of(below, above)));
        }
        Scene scene = Scene.of(now.with(List.copyOf(panels)));
        Page blank = context.newPage();
        blank.setContent("<body style='margin:0'>" + SvgPainter.document(scene, layer -> "") + "</body>");
        BufferedImage theirs = ImageIO.read(new ByteArrayInputStream(blank.screenshot()));
        BufferedImage ours = RasterPainter.paint(scene, 96, true, (id, share) -> null);
        for (Blend blend : Blend.values()) {
            int x = blend.ordinal() % 8 * 100 + 1;
            int y = blend.ordinal() / 8 * 100 + 1;
            assertThat(difference(ours.getSubimage(x, y, 98, 98), theirs.getSubimage(x, y, 98, 98))).as(blend.css()).isLessThan(1);
        }
    }

    /**
     * Shadows behind and inside, spread both ways, and a soft edge, as Chromium paints our SVG; CSS Filter Effects 1 defines its blur by
     * the standard deviation.
     */
    @Test
    void shadowsAreAsChromiumBlursThem() throws Exception {
        double px = 25.4 / 96;
        List<Element> panels = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            Shadow shadow = new Shadow(3 * i * px, 60 * i, (2 + 7 * i) * px, (i - 2) * 2 * px, Colour.of("#18222B"), 0.8);
            Finish finish = (i % 2 == 0 ? Finish.NONE.shadowed(Optional.of(shadow)) : Finish.NONE.shadowedInside(Optional.of(shadow)))
                    .feathered(i > 3 ? 20 * px : 0);
            panels.add(Panel.empty("p" + i, "Shade", i % 3 == 0 ? new Heart() : Rectangle.SHARP,
                    Seat.upright(new Point((i * 150 + 75) * px, 75 * px), 80 * px, 70 * px))
                    .withContent(List.of(Wash.plain(Colour.of("#E09A17")))).finished(finish));
        }
        Scene scene = Scene.of(Sheet.empty("Shades", Unit.PX, 900 * px, 150 * px, 96).with(List.copyOf(panels)));
        Page blank = context.newPage();
        blank.setViewportSize(900, 150);
        blank.setContent("<body style='margin:0'>" + SvgPainter.document(scene, layer -> "") + "</body>");
        BufferedImage theirs = ImageIO.read(new ByteArrayInputStream(blank.screenshot()));
        BufferedImage ours = RasterPainter.paint(scene, 96, true, (id, share) -> null);
        for (int i = 0; i < 6; i++) assertThat(difference(ours.getSubimage(i * 150, 0, 150, 150), theirs.getSubimage(i * 150, 0, 150, 150)))
                .as("panel " + i).isLessThan(1);
    }

    private static double difference(BufferedImage one, BufferedImage other) {
        long sum = 0;
        for (int y = 0; y < one.getHeight(); y++) {
            for (int x = 0; x < one.getWidth(); x++) {
                for (int shift = 0; shift < 24; shift += 8)
                    sum += Math.abs((one.getRGB(x, y) >> shift & 255) - (other.getRGB(x, y) >> shift & 255));
            }
        }
        return sum / 3.0 / one.getWidth() / one.getHeight();
    }

    /** The advance widths of the typefaces that come with us, at 100 px, as Chromium measures them, kerned and with ligatures. */
    @Test
    void lettersAreAsWideAsInChromium() throws Exception {
        Page blank = context.newPage();
        String line = "Tide mill, \u00c9t\u00e9 & 1/2 \u2013 Wharf \u00df";
        for (Typeface face : Typeface.values()) {
            byte[] file = face.face(0).file();
            Setting setting = LetterStyle.of(face, 100, Setting.Side.LEFT).setting();
            Object width = blank.evaluate("async ([data, line]) => { const face = new FontFace('ours', `url(data:font/ttf;base64,${data}"
                    + ")`); document.fonts.add(await face.load());"
                    + "const span = document.createElement('span'); span.style.cssText = 'font:100px ours;white-space:pre;"
                    + "font-kerning:normal'; span.textContent = line;"
                    + "document.body.append(span); const { width } = span.getBoundingClientRect(); span.remove(); "
                    + "document.fonts.clear(); return width; }",
                    List.of(Base64.getEncoder().encodeToString(file), line));
            assertThat(setting.block(line, OptionalDouble.empty()).width()).as(face.label()).isCloseTo(((Number) width).doubleValue(),
                    within(0.5));
        }
    }

    /** Words that stay text in an SVG are set in Chromium where we set their outlines: every typeface, tracked, turned and on two lines. */
    @Test
    void liveWordsAreTheirOutlines() throws Exception {
        Sheet now = Sheet.empty("Words", Unit.PX, 250, 100, 96);
        List<Element> panels = new ArrayList<>();
        for (Typeface face : Typeface.values()) {
            LetterStyle style = new LetterStyle(face, 7, Setting.Side.MIDDLE, 1.2, 40 * (face.ordinal() % 3));
            Content words = new Words("Spring tide &\n<low> water", style, Colour.of("#23262A"), Point.ORIGIN, face.ordinal() * 7 - 20,
                    Optional.empty(), Look.PLAIN);
            panels.add(Panel.empty("p" + face.ordinal(), face.label(), Rectangle.SHARP,
                    Seat.upright(new Point(face.ordinal() % 5 * 50 + 25, face.ordinal() / 5 * 50 + 25), 50, 50))
                    .withContent(List.of(words)));
        }
        plainlantern.scene.Page page = plainlantern.scene.Page.of(Scene.of(now.with(List.copyOf(panels))));
        List<BufferedImage> shown = new ArrayList<>();
        for (boolean live : new boolean[] {true, false}) {
            Page blank = context.newPage();
            blank.setContent("<body style='margin:0'>" + new String(Delivery.of(Format.SVG, 96).withWords(live, false)
                    .file(page, (id, share) -> null), StandardCharsets.UTF_8) + "</body>");
            blank.evaluate("() => document.fonts.ready");
            shown.add(ImageIO.read(new ByteArrayInputStream(blank.screenshot(new Page.ScreenshotOptions().setClip(0, 0, 945, 378)))));
        }
        assertThat(difference(shown.get(0), shown.get(1))).isLessThan(1.5);
        BufferedImage nothing = new BufferedImage(945, 378, BufferedImage.TYPE_INT_RGB);
        nothing.createGraphics().fillRect(0, 0, 945, 378);
        assertThat(difference(shown.get(0), nothing)).isGreaterThan(5);
    }

    /** Filter Effects 2: a glaze that blurs is Chromium's backdrop of a blurred box, but at its edges, where a backdrop sees no farther. */
    @Test
    void glazesAreBackdrops() throws Exception {
        double px = Unit.PX.inMm(96);
        Sheet sheet = Sheet.empty("Tide", Unit.PX, 300 * px, 200 * px, 96);
        for (String edit : List.of("{'kind':'set-paper','paper':{'kind':'washed','turn':120,'round':false,'stops':["
                + "{'at':0.3,'colour':'#204060','opacity':1},{'at':0.3,'colour':'#F0C060','opacity':1},"
                + "{'at':0.6,'colour':'#F0C060','opacity':1},{'at':0.6,'colour':'#B03020','opacity':1}]}}",
                "{'kind':'add-panel','outline':{'kind':'ellipse'}}",
                "{'kind':'seat-panels','panels':['p1'],'left':'50 px','top':'30 px','width':'200 px','height':'140 px'}",
                "{'kind':'make-glaze','panels':['p1']}", "{'kind':'set-glaze','panels':['p1'],'blur':'8 px'}"))
            sheet = EditReader.read(edit.replace('\'', '"'), sheet).on(sheet);
        BufferedImage ours = RasterPainter.paint(Scene.of(sheet), 96, true, (id, share) -> null);
        Page blank = context.newPage();
        blank.setViewportSize(300, 200);
        blank.setContent("<body style='margin:0;height:200px;background:linear-gradient(120deg,#204060 30%,#F0C060 30% 60%,#B03020 60%)'>"
                + "<div style='position:absolute;left:50px;top:30px;width:200px;height:140px;border-radius:50%;"
                + "backdrop-filter:blur(8px)'></div>");
        BufferedImage theirs = ImageIO.read(new ByteArrayInputStream(blank.screenshot()));
        for (int y = 4; y < 200; y += 3) {
            for (int x = 4; x < 300; x += 3) {
                if (Math.hypot((x - 150) / 100.0, (y - 100) / 70.0) > 0.55) continue;
                for (int shift = 0; shift < 24; shift += 8)
                    assertThat((double) (ours.getRGB(x, y) >> shift & 255)).as("%d, %d", x, y)
                            .isCloseTo(theirs.getRGB(x, y) >> shift & 255, within(3.0));
            }
        }
    }
}
