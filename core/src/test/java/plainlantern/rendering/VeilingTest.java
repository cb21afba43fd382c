package plainlantern.rendering;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.File;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.graphics.PDXObject;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import plainlantern.Painted;
import plainlantern.Sheets;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.checking.Report;
import plainlantern.checking.Told;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.fitting.Veils;
import plainlantern.picture.PictureSource;
import plainlantern.scene.Page;
import plainlantern.scene.Scene;
import plainlantern.sheet.Dot;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Veil;
import plainlantern.sheet.VeilPart;

/** Veils: what is hidden is what an independent painter of SVG paints in white over the picture. */
class VeilingTest {
    static final BufferedImage PHOTO = Painted.scene(600, 400, BufferedImage.TYPE_3BYTE_BGR);
    static final PictureSource PICTURES = (id, share) -> PHOTO;
    static final double PPI = 127;

    /** A picture of 120 by 80 mm in a panel of its own, upright, its corner at 0 0, on white. */
    static Sheet sheet(String... edits) {
        Sheet shelved = new ShelvePictures(List.of(Sheets.DAWN)).apply(Sheet.empty("Tide", Unit.MM, 120, 80, PPI));
        Sheet filled = Sheets.after(shelved, "{'kind':'set-up-sheet','bleed':0}", "{'kind':'set-paper','paper':{'kind':'plain',"
                + "'colour':'#FFFFFF'}}", "{'kind':'add-panel','outline':{'kind':'rectangle','topLeft':0,'topRight':0,'bottomRight':0,"
                + "'bottomLeft':0}}", "{'kind':'seat-panels','panels':['p1'],'left':0,'top':0,'width':120,'height':80}",
                "{'kind':'fill','panels':['p1'],'picture':'" + Sheets.DAWN.id() + "'}");
        return Sheets.after(filled, edits);
    }

    static BufferedImage painted(Sheet sheet) {
        return RasterPainter.paint(Scene.of(sheet), PPI, true, PICTURES);
    }

    private static String veil(String part) {
        return "{'kind':'veil','panels':['p1'],'part':{" + part + "}}";
    }

    /** The photo with a drawing in white over it, by librsvg. */
    private static BufferedImage drawn(File folder, String svg) throws Exception {
        ImageIO.write(PHOTO, "png", new File(folder, "photo.png"));
        Files.writeString(folder.toPath().resolve("in.svg"), "<svg xmlns='http://www.w3.org/2000/svg' width='600' height='400' "
                + "viewBox='0 0 120 80'><image href='photo.png' width='120' height='80' preserveAspectRatio='none'/>" + svg + "</svg>");
        Painted.run(folder, "rsvg-convert", "-o", "out.png", "in.svg");
        return ImageIO.read(new File(folder, "out.png"));
    }

    /** SVG 2: round caps and joins, linear and radial gradients, fills. */
    @Test
    void partsAreWhatSvgPaints(@TempDir File folder) throws Exception {
        String dots = "[[20,20,1],[60,55,1],[90,25,1]]";
        String line = "<path d='M20 20L60 55L90 25' fill='none' stroke='#fff' stroke-width='9' stroke-linecap='round' "
                + "stroke-linejoin='round' stroke-opacity='%s'/>";
        agrees("brush", sheet(veil("'kind':'stroke','dots':" + dots + ",'size':9,'softness':0,'strength':1")),
                drawn(folder, line.formatted(1)));
        agrees("strength", sheet(veil("'kind':'stroke','dots':" + dots + ",'size':9,'softness':0,'strength':'40 %'")),
                drawn(folder, line.formatted(0.4)));
        String stops = "<stop stop-color='#fff'/><stop offset='1' stop-color='#fff' stop-opacity='0'/>";
        agrees("straight", sheet(veil("'kind':'gradient','from':{'x':30,'y':20},'to':{'x':80,'y':50},'strength':1")), drawn(folder,
                "<linearGradient id='g' gradientUnits='userSpaceOnUse' x1='30' y1='20' x2='80' y2='50'>" + stops
                + "</linearGradient><rect width='120' height='80' fill='url(#g)'/>"));
        agrees("round", sheet(veil("'kind':'gradient','round':true,'from':{'x':50,'y':40},'to':{'x':80,'y':40},'strength':1")),
                drawn(folder, "<radialGradient id='g' gradientUnits='userSpaceOnUse' cx='50' cy='40' r='30'>" + stops
                + "</radialGradient><rect width='120' height='80' fill='url(#g)'/>"));
        Sheet ellipse = sheet("{'kind':'add-panel','outline':{'kind':'ellipse'}}",
                "{'kind':'seat-panels','panels':['p2'],'left':30,'top':20,'width':60,'height':30}",
                "{'kind':'traits','panels':['p2'],'hidden':true}", veil("'kind':'form','panel':'p2','strength':1"));
        agrees("form", ellipse, drawn(folder, "<ellipse cx='60' cy='35' rx='30' ry='15' fill='#fff'/>"));
    }

    private static void agrees(String name, Sheet sheet, BufferedImage theirs) {
        assertThat(Painted.difference(painted(sheet), theirs)).as(name).isLessThan(0.6);
    }

    /** A soft edge by its definition: in the middle of the soft part half is left. */
    @Test
    void softEdgesAndColours() {
        Sheet soft = sheet(veil("'kind':'stroke','dots':[[60,10,1],[60,70,1]],'size':40,'softness':'50 %','strength':1"));
        BufferedImage clear = painted(sheet());
        BufferedImage seen = painted(soft);
        // Half of the radius fades out: from 10 to 20 mm off.
        assertThat(left(clear, seen, 60 * 5, 200)).isEqualTo(0);
        assertThat(left(clear, seen, 69 * 5, 200)).isLessThan(0.01);
        assertThat(left(clear, seen, 75 * 5, 200)).isCloseTo(0.5, within(0.05));
        assertThat(left(clear, seen, 81 * 5, 200)).isEqualTo(1);
        // What is shown again after all was hidden is there as it was.
        Sheet again = Sheets.after(soft, veil("'kind':'stroke','dots':[[60,10,1],[60,70,1]],'size':60,'softness':0,'strength':1,"
                + "'shows':true"));
        assertThat(painted(again).getRGB(300, 200)).isEqualTo(clear.getRGB(300, 200));
        int colour = clear.getRGB(100, 60) & 0xFFFFFF;
        BufferedImage without = painted(sheet(veil("'kind':'colours','colour':'" + String.format("#%06X", colour)
                + "','tolerance':'1 %','softness':0,'strength':1")));
        assertThat(without.getRGB(100, 60) & 0xFFFFFF).isEqualTo(0xFFFFFF);
        assertThat(without.getRGB(100, 390)).isEqualTo(clear.getRGB(100, 390));
    }

    /** What hides a colour hides it where it is seen: of a bent picture where it was bent to, on the board as in a delivery. */
    @Test
    void coloursOfABentPicture() {
        String bend = "{'kind':'bend','panels':['p1'],'bend':{'kind':'wave','amplitude':'15 mm','length':'60 mm','turn':0,'phase':0,"
                + "'shape':'sine'}}";
        BufferedImage bent = painted(sheet(bend));
        int colour = bent.getRGB(300, 60) & 0xFFFFFF;
        Sheet hidden = sheet(bend, veil("'kind':'colours','colour':'" + String.format("#%06X", colour)
                + "','tolerance':'4 %','softness':0,'strength':1"));
        BufferedImage seen = painted(hidden);
        BufferedImage mask = Masks.of(Scene.of(hidden).items().get(0).pictures().get(0), 600, PICTURES);
        assertThat(mask.getRGB(300, 60) & 0xFF).isZero();
        int gone = 0;
        for (int y = 0; y < 400; y++) {
            for (int x = 0; x < 600; x++) {
                int left = mask.getRGB(x, y) & 0xFF;
                if (left == 0) assertThat(seen.getRGB(x, y)).isEqualTo(0xFFFFFFFF);
                if (left == 255) assertThat(seen.getRGB(x, y)).isEqualTo(bent.getRGB(x, y));
                if (left == 0) gone++;
            }
        }
        assertThat(gone).isBetween(200, 120_000);
    }

    /**
     * SVG 2: a wash behind a mask. In PDF words stay text before a soft mask. Words of which nothing is left are a fault, and a plate that
     * is hidden helps nobody to read.
     */
    @Test
    void washesAndWordsAreMasked(@TempDir File folder) throws Exception {
        String stroke = "'kind':'stroke','dots':[[20,20,1],[60,55,1],[90,25,1]],'size':9,'softness':0,'strength':1";
        Sheet washed = sheet("{'kind':'add-layer','panels':['p1'],'what':'wash'}", "{'kind':'set-wash','panels':['p1'],'layer':1,"
                + "'turn':0,'round':false,'stops':[{'at':0,'colour':'#23626A','opacity':1}]}",
                veil(stroke).replace("'panels'", "'layer':1,'panels'"));
        agrees("wash", washed, drawn(folder, "<mask id='m' maskUnits='userSpaceOnUse' x='0' y='0' width='120' height='80'>"
                + "<rect width='120' height='80' fill='#fff'/><path d='M20 20L60 55L90 25' fill='none' stroke='#000' stroke-width='9' "
                + "stroke-linecap='round' stroke-linejoin='round'/></mask>"
                + "<rect width='120' height='80' fill='#23626A' mask='url(#m)'/>"));

        Sheet caption = sheet("{'kind':'set-paper','paper':{'kind':'plain','colour':'#23626A'}}", "{'kind':'remove','panels':['p1']}",
                "{'kind':'add-caption','text':'Low water'}", veil(stroke).replace("p1", "p2").replace("'panels'", "'layer':1,'panels'"));
        try (PDDocument read = Loader.loadPDF(Delivery.of(Format.PDF, PPI).withWords(true, false).file(Page.of(Scene.of(caption)),
                PICTURES))) {
            assertThat(new PDFTextStripper().getText(read)).contains("Low water");
        }
        String all = veil(stroke.replace("'size':9", "'size':200")).replace("p1", "p2");
        Sheet wordless = Sheets.after(caption, all.replace("'panels'", "'layer':1,'panels'"));
        assertThat(Report.found(wordless, told(wordless)).kinds().stream().flatMap(k -> k.faults().stream())).anyMatch(
                fault -> fault.says().endsWith("its veil hides all of the words."));
        Sheet plateless = Sheets.after(caption, all.replace("'panels'", "'layer':0,'panels'"));
        assertThat(contrast(caption)).isGreaterThan(Contrast.ENOUGH);
        assertThat(contrast(plateless)).isCloseTo(Contrast.ratio(0x23626A, plateless.element("p2").caption().orElseThrow().content().get(1)
                .words().orElseThrow().colour().rgb()), within(0.1));
    }

    private static double contrast(Sheet sheet) {
        return Contrast.of(sheet, sheet.element("p2").caption().orElseThrow(), PICTURES).orElseThrow().ratio();
    }

    /** How much is left of a pixel before white. */
    private static double left(BufferedImage clear, BufferedImage seen, int x, int y) {
        int own = clear.getRGB(x, y) >> 16 & 0xFF;
        return (255.0 - (seen.getRGB(x, y) >> 16 & 0xFF)) / (255 - own);
    }

    /** On the picture it moves with that, on the panel it stays; a change between them moves nothing. Colours of tones do not matter. */
    @Test
    void veilsRestOnThePictureOrOnThePanel() {
        String stroke = veil("'kind':'stroke','dots':[[60,30,1],[60,50,1]],'size':10,'softness':0,'strength':1");
        String zoomed = "{'kind':'zoom-picture','panels':['p1'],'zoom':200}";
        Sheet onPicture = sheet(stroke);
        Sheet onPanel = Sheets.after(onPicture, "{'kind':'set-veil','panels':['p1'],'rests':'panel'}");
        assertThat(Veils.of(onPanel.holder("p1"), -1).orElseThrow().rests()).isEqualTo(Veil.Rests.PANEL);
        assertThat(Painted.difference(painted(onPicture), painted(onPanel))).isLessThan(0.01);
        assertThat(white(Sheets.after(onPicture, zoomed))).isCloseTo(4 * white(onPicture), withinPercentage(10));
        assertThat(white(Sheets.after(onPanel, zoomed))).isCloseTo(white(onPanel), withinPercentage(1));
        Sheet off = Sheets.after(onPicture, "{'kind':'set-veil','panels':['p1'],'off':true}");
        assertThat(white(off)).isZero();
        assertThat(white(Sheets.after(off, "{'kind':'set-veil','panels':['p1'],'off':false}"))).isEqualTo(white(onPicture));
        // In perspective a stroke lies where it was painted, whatever it rests on.
        Sheet mounted = sheet("{'kind':'mount-here','picture':'" + Sheets.DAWN.id() + "','corners':[{'x':20,'y':10},{'x':100,'y':20},"
                + "{'x':100,'y':60},{'x':20,'y':70}]}");
        String across = veil("'kind':'stroke','dots':[[30,40,1],[60,42,1],[90,40,1]],'size':8,'softness':0,'strength':1")
                .replace("p1", "p2");
        Sheet inPlane = Sheets.after(mounted, across);
        Sheet onForm = Sheets.after(inPlane, "{'kind':'set-veil','panels':['p2'],'rests':'panel'}");
        assertThat(Painted.difference(painted(inPlane), painted(onForm))).isLessThan(0.1);
        assertThat(Painted.difference(painted(inPlane), painted(mounted))).isGreaterThan(1);
    }

    private static int white(Sheet sheet) {
        BufferedImage seen = painted(sheet);
        int count = 0;
        for (int i = 0; i < 600 * 400; i++) if ((seen.getRGB(i % 600, i / 600) & 0xFFFFFF) == 0xFFFFFF) count++;
        return count;
    }

    /** What is nearly straight is left out; the edge stays where it was. */
    @Test
    void strokesKeepWhatTheyNeed() {
        List<String> dots = new ArrayList<>();
        for (int i = 0; i < 5000; i++) dots.add("[" + (10 + i * 0.02) + "," + (40 + 20 * Math.sin(i / 500.0)) + ","
                + (0.5 + 0.4 * Math.sin(i / 900.0)) + "]");
        String part = "'kind':'stroke','size':10,'softness':0,'strength':1,'dots':" + dots;
        Sheet thinned = sheet(veil(part));
        VeilPart.Stroke kept = (VeilPart.Stroke) Veils.of(thinned.holder("p1"), -1).orElseThrow().parts().get(0);
        assertThat(kept.dots()).hasSizeBetween(10, 200);
        List<Dot> all = dots.stream().map(d -> d.substring(1, d.length() - 1).split(",")).map(d -> new Dot(Double.parseDouble(d[0]) / 0.12,
                Double.parseDouble(d[1]) / 0.12, Double.parseDouble(d[2]))).toList();
        Veil whole = Veil.resting(Veil.Rests.PICTURE).adding(kept.through(all));
        Sheet exact = thinned.holding(List.of("p1"), h -> h.changingPictures(p -> p.veiled(Optional.of(whole))));
        assertThat(Painted.difference(painted(thinned), painted(exact))).isLessThan(0.5);
    }

    @Test
    void whatMakesNoSenseIsRefused() {
        Sheet sheet = sheet();
        refused(sheet, "'kind':'stroke','size':10,'softness':0,'strength':1,'dots':[" + "[1,1,1],".repeat(1_000_000) + "[1,1,1]]",
                "too long");
        refused(sheet, "'kind':'stroke','size':10,'softness':0,'strength':1,'dots':[[1,1,'NaN']]", "number");
        refused(sheet, "'kind':'stroke','size':10,'softness':0,'strength':1,'dots':[[1,1,1.5]]", "pressure");
        refused(sheet, "'kind':'stroke','size':10,'softness':0,'strength':1,'dots':[]", "begin");
        refused(sheet, "'kind':'stroke','size':0,'softness':0,'strength':1,'dots':[[1,1,1]]", "length");
        refused(sheet, "'kind':'gradient','from':{'x':1,'y':1},'to':{'x':1,'y':1},'strength':1", "Drag");
        refused(sheet, "'kind':'form','panel':'p1','strength':1", "Choose another");
        refused(sheet, "'kind':'form','panel':'p9','strength':1", "no longer");
        Veil full = Veil.resting(Veil.Rests.PANEL).with(Collections.nCopies(500, new VeilPart.Form("p2", 0, 1, false)));
        Sheet much = sheet.holding(List.of("p1"), h -> h.changingPictures(p -> p.veiled(Optional.of(full))));
        refused(much, "'kind':'colours','colour':'#FFFFFF','tolerance':0,'softness':0,'strength':1", "500 parts");
    }

    private static void refused(Sheet sheet, String part, String says) {
        assertThatThrownBy(() -> Sheets.after(sheet, veil(part))).as(part.substring(0, Math.min(80, part.length())))
                .isInstanceOf(BadInput.class).hasMessageContaining(says);
    }

    /** One that hides everything is a fault, with its mend; one that hides half is none. */
    @Test
    void aVeilThatHidesEverythingIsFound() {
        String part = "'kind':'stroke','softness':0,'strength':1,'dots':[[0,40,1],[120,40,1]],'size':";
        String title = "Veils that hide too much or nothing";
        Sheet half = sheet(veil(part + "40"));
        assertThat(Report.found(half, told(half)).kinds()).noneMatch(kind -> kind.title().equals(title));
        Sheet all = sheet(veil(part + "90"));
        Report.Kind found = Report.found(all, told(all)).kinds().stream().filter(kind -> kind.title().equals(title)).findFirst()
                .orElseThrow();
        Sheet mended = found.faults().get(0).mend().orElseThrow().on(all);
        assertThat(Veils.all(mended.element("p1"))).isEmpty();
    }

    private static Told told(Sheet sheet) {
        return new Told(Map.of(), Map.of(), Hiding.of(sheet));
    }

    /** In PDF the photo is there as a photo, once, with what is left as its soft mask; in SVG its pixels are clear where it is hidden. */
    @Test
    void documentsKeepThePhoto() throws Exception {
        Sheet sheet = sheet(veil("'kind':'stroke','dots':[[60,10,1],[60,70,1]],'size':20,'softness':0,'strength':1"));
        byte[] pdf = Delivery.of(Format.PDF, PPI).file(Page.of(Scene.of(sheet)), PICTURES);
        List<PDImageXObject> images = new ArrayList<>();
        try (PDDocument read = Loader.loadPDF(pdf)) {
            collect(read.getPage(0).getResources(), images);
            assertThat(images).hasSize(1);
            assertThat(images.get(0).getStream().getFilters()).containsExactly(COSName.DCT_DECODE);
            BufferedImage mask = images.get(0).getSoftMask().getImage();
            double u = mask.getWidth() / 120.0;
            assertThat(mask.getRaster().getSample((int) (60 * u), mask.getHeight() / 2, 0)).isZero();
            assertThat(mask.getRaster().getSample((int) (20 * u), mask.getHeight() / 2, 0)).isEqualTo(255);
        }
        String svg = new String(Delivery.of(Format.SVG, PPI).file(Page.of(Scene.of(sheet)), PICTURES), StandardCharsets.UTF_8);
        Matcher png = Pattern.compile("data:image/png;base64,([^\"]+)").matcher(svg);
        assertThat(png.find()).isTrue();
        BufferedImage clear = ImageIO.read(new ByteArrayInputStream(Base64.getDecoder().decode(png.group(1))));
        assertThat(clear.getRGB(clear.getWidth() / 2, clear.getHeight() / 2) >>> 24).isZero();
        assertThat(clear.getRGB(clear.getWidth() / 6, clear.getHeight() / 2) >>> 24).isEqualTo(255);
    }

    private static void collect(PDResources from, List<PDImageXObject> images) throws Exception {
        for (COSName name : from.getXObjectNames()) {
            PDXObject found = from.getXObject(name);
            if (found instanceof PDImageXObject image) images.add(image);
            if (found instanceof PDFormXObject form) collect(form.getResources(), images);
        }
    }
}
