package plainlantern.rendering;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.File;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSObject;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import plainlantern.Painted;
import plainlantern.Sheets;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.picture.PictureSource;
import plainlantern.scene.Page;
import plainlantern.scene.Scene;
import plainlantern.sheet.Element;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Treated;

/** What glazes show of what lies beneath them. */
class GlazingTest {
    private static final BufferedImage PHOTO = Painted.scene(600, 400, BufferedImage.TYPE_3BYTE_BGR);
    private static final PictureSource PICTURES = (id, share) -> PHOTO;
    private static final double PPI = 127;

    /** 120 by 80 mm, all of it one photo: 600 by 400 pixels at 127 ppi. */
    private static Sheet sheet(String... edits) {
        Sheet empty = Sheet.empty("Tide", Unit.MM, 120, 80, PPI);
        Sheet shelved = new ShelvePictures(List.of(Sheets.DAWN)).apply(empty);
        Sheet filled = Sheets.after(shelved, "{'kind':'set-up-sheet','bleed':0}", BOX,
                "{'kind':'seat-panels','panels':['p1'],'left':0,'top':0,'width':120,'height':80}",
                "{'kind':'fill','panels':['p1'],'picture':'" + Sheets.DAWN.id() + "'}");
        return Sheets.after(filled, edits);
    }

    private static BufferedImage painted(Sheet sheet) {
        return RasterPainter.paint(Scene.of(sheet), PPI, true, PICTURES);
    }

    private static final String BOX = "{'kind':'add-panel','outline':{'kind':'rectangle','topLeft':0,'topRight':0,'bottomRight':0,"
            + "'bottomLeft':0}}";
    private static final String WHOLE = "{'kind':'add-glaze','where':'sheet'}";

    /** A blur of 2 mm is 10 pixels of standard deviation, as ImageMagick has it. */
    @Test
    void aBlurIsGaussian(@TempDir File folder) throws Exception {
        ImageIO.write(painted(sheet()), "png", new File(folder, "in.png"));
        for (double mm : new double[] {0.4, 2, 6, 15}) {
            BufferedImage ours = painted(sheet(WHOLE, "{'kind':'set-glaze','panels':['p2'],'blur':" + mm + "}"));
            Painted.run(folder, "convert", "in.png", "-virtual-pixel", "Mirror", "-blur", mm * 20 + "x" + mm * 5, "out.png");
            assertThat(Painted.difference(ours, ImageIO.read(new File(folder, "out.png")))).as("%s mm", mm).isLessThan(1.5);
        }
    }

    /**
     * Looked at again, a glaze has only that painted beneath it that has changed, to the same pixels; for somebody else all of it. What is
     * too much is forgotten.
     */
    @Test
    void whatHasNotChangedBeneathIsRemembered() {
        Sheet sheet = sheet("{'kind':'duplicate','panels':['p1'],'dx':20,'dy':10}",
                "{'kind':'set-shadow','panels':['p2'],'distance':3,'blur':4,"
                + "'colour':'#000000','opacity':0.5}", WHOLE, "{'kind':'set-glaze','panels':['p3'],'blur':3}");
        Sheet moved = Sheets.after(sheet, "{'kind':'move-panels','panels':['p2'],'dx':5,'dy':5}");
        AtomicInteger asked = new AtomicInteger();
        PictureSource counted = (id, share) -> {
            asked.incrementAndGet();
            return PHOTO;
        };
        Painting.Memory memory = new Painting.Memory(1 << 24);
        BufferedImage first = look(sheet, memory.of(counted, "one"));
        assertThat(Painted.difference(first, look(sheet, PICTURES))).isZero();
        int all = asked.getAndSet(0);
        Sheet blurred = Sheets.after(sheet, "{'kind':'set-glaze','panels':['p3'],'blur':5}");
        assertThat(Painted.difference(look(blurred, memory.of(counted, "one")), look(blurred, PICTURES))).isZero();
        assertThat(asked.get()).isZero();
        assertThat(Painted.difference(look(moved, memory.of(counted, "one")), look(moved, PICTURES))).isZero();
        assertThat(asked.getAndSet(0)).isBetween(1, all - 1);
        look(sheet, memory.of(counted, "another"));
        assertThat(asked.getAndSet(0)).isEqualTo(all);
        Painting.Memory little = new Painting.Memory(1000);
        look(sheet, little.of(counted, "one"));
        look(sheet, little.of(counted, "one"));
        assertThat(asked.get()).isEqualTo(2 * all);
    }

    private static BufferedImage look(Sheet sheet, PictureSource pictures) {
        Scene scene = Scene.of(sheet);
        Treated glaze = scene.items().get(2).pictures().get(0).treated();
        return Glazing.look(scene, glaze, 240, pictures).orElseThrow();
    }

    /** A tone over the whole sheet is what the same tone makes of the picture that covers it, surroundings, corners, grain and all. */
    @Test
    void aToneOverAllIsTheToneOfThePicture() {
        String[] tones = {"'exposure':0.7,'temperature':20", "'shadows':0.5,'broad':0.3", "'edge':-0.6", "'grain':0.4"};
        for (String tone : tones) {
            Sheet glazed = sheet(WHOLE, "{'kind':'set-tone','of':{'panels':['p2']}," + tone + "}");
            Sheet toned = sheet("{'kind':'set-tone','of':{'panels':['p1']}," + tone + "}");
            assertThat(Painted.difference(painted(glazed), painted(toned))).as(tone).isLessThan(1);
            assertThat(Painted.difference(painted(glazed), painted(sheet()))).as(tone).isGreaterThan(1);
        }
    }

    /** Within its form it shows what lies elsewhere, to the pixel; beyond the paper that is mirrored. Outside it nothing changes. */
    @Test
    void aShiftIsExact() {
        BufferedImage before = painted(sheet());
        BufferedImage after = painted(sheet(BOX,
                "{'kind':'seat-panels','panels':['p2'],'left':0,'top':20,'width':40,'height':40}",
                "{'kind':'make-glaze','panels':['p2']}", "{'kind':'set-glaze','panels':['p2'],'dx':'10 mm','dy':-8}"));
        int[][] looks = {{100, 150, 50, 190}, {199, 299, 149, 339}, {60, 120, 10, 160}, {20, 120, 29, 160}};
        for (int[] look : looks) assertThat(after.getRGB(look[0], look[1])).isEqualTo(before.getRGB(look[2], look[3]));
        for (int[] same : new int[][] {{201, 150}, {100, 99}, {100, 301}, {599, 399}})
            assertThat(after.getRGB(same[0], same[1])).isEqualTo(before.getRGB(same[0], same[1]));
    }

    /** Colour stays what it is up to the edges of the sheet, and glazes see each other. */
    @Test
    void glazesSeeWhatLiesBeneathThem() {
        Sheet grey = Sheets.after(Sheet.empty("Tide", Unit.MM, 60, 40, PPI),
                "{'kind':'set-paper','paper':{'kind':'plain','colour':'#808080'}}", WHOLE,
                "{'kind':'set-glaze','panels':['p1'],'blur':'9 mm'}");
        assertThat(painted(grey).getRGB(0, 0) & 0xFFFFFF).isEqualTo(0x808080);
        assertThat(painted(grey).getRGB(299, 199) & 0xFFFFFF).isEqualTo(0x808080);
        String brighter = "{'kind':'set-tone','of':{'panels':['%s']},'exposure':1}";
        Sheet once = Sheets.after(grey, brighter.formatted("p1"));
        Sheet twice = Sheets.after(once, WHOLE, brighter.formatted("p2"));
        // One stop is twice the light (IEC 61966-2-1): 0x80 stores 0.2159 of it, 0.4317 is stored as 0xAF, 0.8635 as 0xEF.
        assertThat(painted(once).getRGB(30, 30) & 0xFF).isBetween(0xAE, 0xB0);
        assertThat(painted(twice).getRGB(30, 30) & 0xFF).isBetween(0xED, 0xF0);
    }

    /** Half as strong is half the way; multiplied, the product (W3C Compositing and Blending 1). */
    @Test
    void howItMeetsWhatLiesBeneathIsItsLook() {
        Sheet grey = Sheets.after(Sheet.empty("Tide", Unit.MM, 60, 40, PPI),
                "{'kind':'set-paper','paper':{'kind':'plain','colour':'#808080'}}", WHOLE,
                "{'kind':'set-tone','of':{'panels':['p1']},'exposure':1}");
        int bright = painted(grey).getRGB(30, 30) & 0xFF;
        int half = painted(Sheets.after(grey, "{'kind':'set-finish','panels':['p1'],'opacity':'50 %'}")).getRGB(30, 30) & 0xFF;
        assertThat(half).isCloseTo((0x80 + bright) / 2, within(1));
        int product = painted(Sheets.after(grey, "{'kind':'set-finish','panels':['p1'],'blend':'multiply'}")).getRGB(30, 30) & 0xFF;
        assertThat(product).isCloseTo(0x80 * bright / 255, within(1));
    }

    /** What is added later comes beneath a glaze over the whole sheet, until it is brought to the front. */
    @Test
    void aGlazeOverTheSheetStaysInFront() {
        Sheet sheet = sheet(WHOLE, "{'kind':'add-caption','text':'High water 14:20'}",
                "{'kind':'lay-out','where':'add','pattern':{'kind':'even-grid','rows':1,'columns':2,'gapAcross':2,'gapDown':0}}", WHOLE);
        assertThat(sheet.elements()).extracting(Element::id).containsExactly("p1", "p3", "p4", "p5", "p2", "p6");
        assertThat(Sheets.after(sheet, "{'kind':'raise','panels':['p3'],'to':'front'}").elements()).extracting(Element::id)
                .endsWith("p6", "p3");
    }

    /** A document's glaze is pixels of its own place; text above and beside it stays text. */
    @Test
    void documentsKeepWhatIsNotBeneathIt(@TempDir File folder) throws Exception {
        Sheet sheet = sheet(WHOLE, "{'kind':'set-glaze','panels':['p2'],'blur':'2 mm'}", "{'kind':'add-caption','text':'High water 14:20'}",
                "{'kind':'raise','panels':['p3'],'to':'front'}", "{'kind':'add-glaze','where':'under','panels':['p3']}");
        Scene scene = Scene.of(sheet);
        assertThat(scene.items().stream().map(Scene.Item::element)).containsExactly("p1", "p2", "p4", "p3");
        Delivery pdf = Delivery.of(Format.PDF, 2 * PPI);
        File file = new File(folder, "out.pdf");
        Files.write(file.toPath(), pdf.file(Page.of(scene), PICTURES));
        Painted.run(folder, "pdftoppm", "-r", "127", "-png", "-singlefile", "out.pdf", "out");
        assertThat(Painted.difference(ImageIO.read(new File(folder, "out.png")), painted(sheet))).isLessThan(2);
        Painted.run(folder, "pdftotext", "out.pdf", "out.txt");
        assertThat(Files.readString(new File(folder, "out.txt").toPath())).contains("High water 14:20");
        BufferedImage merged = ImageIO.read(new ByteArrayInputStream(Delivery.of(Format.PNG, PPI).file(Page.of(scene), PICTURES)));
        assertThat(Painted.difference(merged, painted(sheet))).isZero();
    }

    /**
     * What a glaze over all of a page hides is in a document once, in the glaze: only words are there besides, to be found. Where
     * something can be seen through or beside the glaze, all of it is there.
     */
    @Test
    void documentsLeaveOutWhatAGlazeHides(@TempDir File folder) throws Exception {
        String[] two = {"{'kind':'add-caption','text':'High water 14:20'}", WHOLE, WHOLE,
            "{'kind':'set-glaze','panels':['p3'],'blur':'2 mm'}", "{'kind':'set-tone','of':{'panels':['p4']},'exposure':'0.4'}"};
        String paper = "{'kind':'set-paper','paper':{'kind':'plain','colour':'#fafafa'}}";
        Sheet sheet = Sheets.after(sheet(paper), two);
        assertThat(pictures(sheet, folder)).isEqualTo(1);
        BufferedImage pdf = ImageIO.read(new File(folder, "out.png"));
        assertThat(Painted.difference(pdf, painted(sheet))).isLessThan(2);
        Painted.run(folder, "pdftotext", "out.pdf", "out.txt");
        assertThat(Files.readString(new File(folder, "out.txt").toPath())).contains("High water 14:20");
        String svg = new String(Delivery.of(Format.SVG, PPI).file(Page.of(Scene.of(sheet)), PICTURES), StandardCharsets.UTF_8);
        assertThat(svg.split("<image ", -1)).hasSize(2);
        for (String through : List.of("{'kind':'set-finish','panels':['p4'],'opacity':'50 %'}",
                "{'kind':'veil','panels':['p4'],'layer':0,'part':{'kind':'stroke','dots':[[30,30,1],[60,40,1]],'size':9,"
                        + "'softness':0.5,'strength':1,'shows':false}}",
                "{'kind':'set-paper','paper':{'kind':'none'}}"))
            assertThat(pictures(Sheets.after(sheet, through), folder)).as(through).isGreaterThan(1);
    }

    /** How many pictures, and masks of them, are in a sheet's PDF, whose edges lie within pixels of those. */
    private static int pictures(Sheet sheet, File folder) throws Exception {
        Files.write(new File(folder, "out.pdf").toPath(), Delivery.of(Format.PDF, 250).file(Page.of(Scene.of(sheet)), PICTURES));
        Painted.run(folder, "pdftoppm", "-r", "127", "-png", "-singlefile", "out.pdf", "out");
        try (PDDocument document = Loader.loadPDF(new File(folder, "out.pdf"))) {
            int count = 0;
            for (COSObject object : document.getDocument().getObjectsByType(COSName.XOBJECT))
                if (object.getObject() instanceof COSStream stream && COSName.IMAGE.equals(stream.getCOSName(COSName.SUBTYPE))) count++;
            return count;
        }
    }

    /** A blur far wider than its small glaze, looked at closely, takes no more than a small painting of the sheet. */
    @Test
    void wideBlursOfSmallGlazesAreSmallWork() {
        Sheet sheet = sheet(BOX, "{'kind':'seat-panels','panels':['p2'],'left':50,'top':30,'width':2,'height':2}",
                "{'kind':'make-glaze','panels':['p2']}", "{'kind':'set-glaze','panels':['p2'],'blur':100,'dx':4000}");
        Scene scene = Scene.of(sheet);
        BufferedImage seen = Glazing.look(scene, scene.items().get(1).pictures().get(0).treated(), 2560, PICTURES).orElseThrow();
        assertThat(seen.getWidth()).isEqualTo(80);
        // So wide a blur mixes all of the photo, mirrored again and again.
        double[] mean = new double[3];
        for (int y = 0; y < 400; y++) for (int x = 0; x < 600; x++) for (int c = 0; c < 3; c++)
            mean[c] += (PHOTO.getRGB(x, y) >> 8 * c & 0xFF) / 240_000.0;
        for (int c = 0; c < 3; c++) assertThat((double) (seen.getRGB(40, 40) >> 8 * c & 0xFF)).isCloseTo(mean[c], within(6.0));
    }

    /** However far away it looks, and without paper, a page's rows are all that is kept. */
    @Test
    void aShiftBeyondEverythingEnds() {
        Sheet far = sheet(WHOLE, "{'kind':'set-glaze','panels':['p2'],'dx':4000,'dy':-5000}",
                "{'kind':'set-paper','paper':{'kind':'none'}}");
        BufferedImage painted = RasterPainter.paint(Scene.of(far), 30, false, PICTURES);
        assertThat(painted.getRGB(70, 50) >>> 24).isEqualTo(255);
        assertThat(Painted.difference(painted(sheet(WHOLE, "{'kind':'set-glaze','panels':['p2'],'dx':4800,'dy':-3200}")),
                painted(sheet()))).isZero();
    }

    @Test
    void thereIsALimit() {
        String[] many = new String[20];
        Arrays.fill(many, WHOLE);
        Sheet full = sheet(many);
        assertThatThrownBy(() -> Sheets.after(full, WHOLE)).isInstanceOf(BadInput.class).hasMessageContaining("20 glazes");
        assertThat(painted(full)).satisfies(image -> assertThat(Painted.difference(image, painted(sheet()))).isZero());
        assertThat(full.element("p5").seat().width()).isEqualTo(120);
        assertThatThrownBy(() -> sheet("{'kind':'make-glaze','panels':['p1']}")).isInstanceOf(BadInput.class)
                .hasMessageContaining("Empty the panel first");
    }

    /** A shift, a blur and a bend are a part of what a glaze shows: what another one with the same id and tone saw is not used for it. */
    @Test
    void localToneIsThatOfWhatIsSeen() {
        String tone = "{'kind':'set-tone','of':{'panels':['p2']},'shadows':0.9}";
        Sheet shifted = sheet(WHOLE, tone, "{'kind':'set-glaze','panels':['p2'],'dx':30}");
        BufferedImage first = painted(shifted);
        painted(sheet(WHOLE, tone));
        BufferedImage again = painted(shifted);
        assertThat(Painted.worst(again, first)).isZero();
        Set<String> names = Stream.of(shifted, sheet(WHOLE, tone)).flatMap(s -> Scene.of(s).items().stream())
                .flatMap(i -> i.pictures().stream())
                .map(p -> p.treated().picture()).filter(name -> name.startsWith("p2-")).collect(Collectors.toSet());
        assertThat(names).hasSize(2).allMatch(name -> name.matches("p2-[0-9a-f]{32}"));
    }
}
