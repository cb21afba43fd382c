package plainlantern.rendering;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.icc.IccDirectory;
import com.drew.metadata.jfif.JfifDirectory;
import com.drew.metadata.png.PngDirectory;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.File;
import java.nio.file.Files;
import java.util.EnumSet;
import java.util.List;
import java.util.stream.Collectors;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import plainlantern.Painted;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.editing.reading.EditReader;
import plainlantern.geometry.Box;
import plainlantern.lettering.Typeface;
import plainlantern.outline.Outlines;
import plainlantern.picture.PictureSource;
import plainlantern.scene.Page;
import plainlantern.scene.Scene;
import plainlantern.sheet.Blend;
import plainlantern.sheet.Margins;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Rim;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;

class RenderingTest {
    private static final BufferedImage PAINTED = Painted.scene(900, 600, BufferedImage.TYPE_3BYTE_BGR);
    private static final Picture PICTURE = new Picture("c".repeat(64), "Tide", 900, 600);
    private static final PictureSource SOURCE = (id, share) -> PAINTED;

    /** Two rectangles (one rounded), an ellipse over both, a turned and mirrored picture, one that leaves a part bare. */
    private static Sheet sheet() {
        Sheet now = new ShelvePictures(List.of(PICTURE)).apply(Sheet.empty("Mixed", Unit.MM, 120, 80, 254));
        for (String json : List.of(
                "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':1,'columns':2,'gapAcross':4,'gapDown':0},"
                        + "'margins':{'top':6,'right':6,'bottom':6,'left':6}}",
                "{'kind':'set-outline','panels':['p2'],'outline':{'kind':'rectangle','topLeft':12,'topRight':3,'bottomRight':20,"
                        + "'bottomLeft':0}}",
                "{'kind':'add-panel','outline':{'kind':'ellipse'}}",
                "{'kind':'seat-panels','panels':['p3'],'left':45,'top':20,'width':36,'height':44,'turn':25}",
                "{'kind':'fill','panels':['p1','p2','p3'],'picture':'" + PICTURE.id() + "'}",
                "{'kind':'turn-picture','panels':['p2'],'turn':-17}", "{'kind':'mirror-picture','panels':['p3']}",
                "{'kind':'set-fit','panels':['p1'],'fit':'contain'}")) {
            now = EditReader.read(json.replace('\'', '"'), now).apply(now);
        }
        return now;
    }

    /** The same scene painted by librsvg: an independent renderer. */
    @Test
    void thePngIsWhatAnIndependentSvgRendererPaints(@TempDir File folder) throws Exception {
        ImageIO.write(PAINTED, "png", new File(folder, "tide.png"));
        Addresses href = layer -> "tide.png";
        Files.writeString(folder.toPath().resolve("sheet.svg"), SvgPainter.document(Scene.of(sheet()), href));
        Painted.run(folder, "rsvg-convert", "-w", "1200", "-h", "800", "-o", "theirs.png", "sheet.svg");
        BufferedImage ours = RasterPainter.paint(Scene.of(sheet()), 254, true, SOURCE);
        assertThat(ours.getWidth()).isEqualTo(1200);
        assertThat(Painted.difference(ours, ImageIO.read(new File(folder, "theirs.png")))).isLessThan(1);
    }

    /** All forms, pieces of an interlock, cut curves, wedges, hidden and turned panels: librsvg paints what we paint. */
    @Test
    void everyFormIsPaintedAsAnIndependentRendererPaintsIt(@TempDir File folder) throws Exception {
        Sheet now = new ShelvePictures(List.of(PICTURE)).apply(Sheet.empty("Forms", Unit.MM, 120, 80, 254));
        now = apply(now, "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':2,'columns':5,'gapAcross':2,"
                + "'gapDown':2},'margins':{'top':2,'right':2,'bottom':42,'left':2}}");
        for (int i = 0; i < Outlines.KINDS.size(); i++) {
            now = apply(now, "{'kind':'set-outline','panels':['p" + (i + 1) + "'],'outline':"
                    + SheetJson.MAPPER.writeValueAsString(Outlines.KINDS.get(i)) + "}");
        }
        now = apply(now, "{'kind':'turn-panels','panels':['p3','p5'],'by':21}");
        now = apply(now, "{'kind':'traits','panels':['p10'],'hidden':true}");
        now = apply(now, "{'kind':'lay-out','where':'add','pattern':{'kind':'interlock','rows':2,'columns':3,'tab':0.25,'seed':5},"
                + "'area':{'x':2,'y':42,'width':70,'height':36}}");
        now = apply(now, "{'kind':'lay-out','where':'add','pattern':{'kind':'rosette','count':5,'gap':1,'middle':true,'wedges':true,"
                + "'hole':0.4},'area':{'x':76,'y':42,'width':42,'height':36}}");
        now = apply(now, "{'kind':'cut','x1':70,'y1':78,'x2':120,'y2':44,'gap':1.5}");
        String all = now.panels().stream().map(p -> "'" + p.id() + "'").collect(Collectors.joining(","));
        now = apply(now, "{'kind':'fill','panels':[" + all + "],'picture':'" + PICTURE.id() + "'}");
        ImageIO.write(PAINTED, "png", new File(folder, "tide.png"));
        Files.writeString(folder.toPath().resolve("sheet.svg"), SvgPainter.document(Scene.of(now), id -> "tide.png"));
        Painted.run(folder, "rsvg-convert", "-w", "1200", "-h", "800", "-o", "theirs.png", "sheet.svg");
        BufferedImage ours = RasterPainter.paint(Scene.of(now), 254, true, SOURCE);
        assertThat(Scene.of(now).items()).hasSizeGreaterThan(20);
        assertThat(Painted.difference(ours, ImageIO.read(new File(folder, "theirs.png")))).isLessThan(1.5);
    }

    /**
     * Blend modes over a picture, half opaque washes, a turned gradient, round ones, words: librsvg paints what we paint. Its
     * library computes the four modes that mix the channels otherwise than the specification; those are compared with Chromium
     * elsewhere. The picture is seen pixel for pixel, as librsvg makes pictures smaller by stored values, not as light.
     */
    @Test
    void layersMeetAsAnIndependentRendererLetsThemMeet(@TempDir File folder) throws Exception {
        BufferedImage painted = Painted.scene(275, 185, BufferedImage.TYPE_3BYTE_BGR);
        Picture fits = new Picture("f".repeat(64), "Fits", 275, 185);
        Sheet now = new ShelvePictures(List.of(fits)).apply(Sheet.empty("Layers", Unit.MM, 120, 80, 254));
        now = apply(now, "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':4,'columns':4,'gapAcross':2,"
                + "'gapDown':2},'margins':{'top':2,'right':2,'bottom':2,'left':2}}");
        now = apply(now, "{'kind':'turn-panels','panels':['p6'],'by':15}");
        for (Blend blend : EnumSet.range(Blend.NORMAL, Blend.EXCLUSION)) {
            String panel = "'panels':['p" + (blend.ordinal() + 1) + "']";
            String way = "'turn':" + blend.ordinal() * 23 + ",'round':" + (blend.ordinal() % 3 == 0);
            now = apply(now, "{'kind':'fill'," + panel + ",'picture':'" + fits.id() + "'}");
            now = apply(now, "{'kind':'add-layer'," + panel + ",'what':'wash'}");
            now = apply(now, "{'kind':'set-wash'," + panel + ",'layer':1,'stops':[{'at':0,'colour':'#E09A17','opacity':1},{'at':0.5,"
                    + "'colour':'#23626A','opacity':0.9},{'at':1,'colour':'#fff','opacity':0.3}]," + way + "}");
            now = apply(now, "{'kind':'set-look'," + panel + ",'layer':1,'opacity':0.8,'blend':'" + blend.css() + "'}");
            now = apply(now, "{'kind':'add-layer'," + panel + ",'what':'words'}");
            now = apply(now, "{'kind':'place-words'," + panel + ",'layer':2,'turn':-8}");
            now = apply(now, "{'kind':'set-words'," + panel + ",'layer':2,'text':'Tide at\\n8 & a half','typeface':'"
                    + Typeface.values()[blend.ordinal() % 8].label() + "'}");
        }
        ImageIO.write(painted, "png", new File(folder, "tide.png"));
        Files.writeString(folder.toPath().resolve("sheet.svg"), SvgPainter.document(Scene.of(now), id -> "tide.png"));
        Painted.run(folder, "rsvg-convert", "-w", "1200", "-h", "800", "-o", "theirs.png", "sheet.svg");
        BufferedImage theirs = ImageIO.read(new File(folder, "theirs.png"));
        BufferedImage ours = RasterPainter.paint(Scene.of(now), 254, true, (id, share) -> painted);
        for (Scene.Item item : Scene.of(now).items()) {
            Box box = item.clip().bounds();
            int[] at = {(int) (box.x() * 10), (int) (box.y() * 10), (int) (box.width() * 10), (int) (box.height() * 10)};
            assertThat(Painted.difference(ours.getSubimage(at[0], at[1], at[2], at[3]), theirs.getSubimage(at[0], at[1], at[2], at[3])))
                    .as(item.element()).isLessThan(1.7);
        }
    }

    /**
     * Rims inside, centred, outside, solid, dashed and dotted, with every join, around forms with points and holes, half opaque: librsvg
     * paints what we paint.
     */
    @Test
    void rimsAreDrawnAsAnIndependentRendererDrawsThem(@TempDir File folder) throws Exception {
        Sheet now = new ShelvePictures(List.of(PICTURE)).apply(Sheet.empty("Rims", Unit.MM, 120, 80, 254));
        now = apply(now, "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':3,'columns':3,'gapAcross':8,"
                + "'gapDown':8},'margins':{'top':6,'right':6,'bottom':6,'left':6}}");
        List<String> forms = List.of("'star','points':5,'inner':0.4,'rounding':0", "'ring','inner':0.5",
                "'rectangle','topLeft':4,'topRight':0,'bottomRight':2,'bottomLeft':0");
        for (int i = 0; i < 9; i++) {
            String panel = "'panels':['p" + (i + 1) + "']";
            now = apply(now, "{'kind':'set-outline'," + panel + ",'outline':{'kind':" + forms.get(i % 3) + "}}");
            now = apply(now, "{'kind':'set-finish'," + panel + ",'width':'" + (1 + i % 2) + " mm','colour':'#B3261E','side':'"
                    + Rim.Side.values()[i / 3].label() + "','dash':'"
                    + Rim.Dash.values()[(i + i / 3) % 3].label() + "','join':'" + Rim.Join.values()[i % 3].label() + "','opacity':'"
                            + (100 - 8 * i) + "'}");
            if (i != 4) now = apply(now, "{'kind':'fill'," + panel + ",'picture':'" + PICTURE.id() + "'}");
        }
        now = apply(now, "{'kind':'turn-panels','panels':['p5'],'by':20}");
        now = apply(now, "{'kind':'set-finish','panels':['p2'],'blend':'multiply'}");
        ImageIO.write(PAINTED, "png", new File(folder, "tide.png"));
        Files.writeString(folder.toPath().resolve("sheet.svg"), SvgPainter.document(Scene.of(now), id -> "tide.png"));
        Painted.run(folder, "rsvg-convert", "-w", "1200", "-h", "800", "-o", "theirs.png", "sheet.svg");
        BufferedImage theirs = ImageIO.read(new File(folder, "theirs.png"));
        BufferedImage ours = RasterPainter.paint(Scene.of(now), 254, true, SOURCE);
        for (Panel panel : now.panels()) {
            Box box = panel.boundsOnSheet().grown(2);
            int[] at = {(int) (box.x() * 10), (int) (box.y() * 10), (int) (box.width() * 10), (int) (box.height() * 10)};
            assertThat(Painted.difference(ours.getSubimage(at[0], at[1], at[2], at[3]), theirs.getSubimage(at[0], at[1], at[2], at[3])))
                    .as(panel.id()).isLessThan(1.7);
        }
    }

    /**
     * Nine slices put back together are the picture, pixel for pixel: 90 by 60 mm at 254 ppi are its 900 by 600 px, and nothing is
     * resampled.
     */
    @Test
    void slicesPutTogetherAreThePicture() {
        Sheet now = new ShelvePictures(List.of(PICTURE)).apply(Sheet.empty("Whole", Unit.MM, 90, 60, 254));
        now = apply(now, "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':3,'columns':3,'gapAcross':0,"
                + "'gapDown':0},'margins':{'top':0,'right':0,'bottom':0,'left':0}}");
        String all = now.panels().stream().map(p -> "'" + p.id() + "'").collect(Collectors.joining(","));
        now = apply(now, "{'kind':'make-vista','panels':[" + all + "],'picture':'" + PICTURE.id() + "'}");
        BufferedImage page = RasterPainter.paint(Scene.of(now), 254, true, SOURCE);
        int most = 0;
        for (int y = 0; y < 600; y++) {
            for (int x = 0; x < 900; x++) {
                for (int shift = 0; shift < 24; shift += 8)
                    most = Math.max(most, Math.abs((page.getRGB(x, y) >> shift & 255) - (PAINTED.getRGB(x, y) >> shift & 255)));
            }
        }
        assertThat(most).isZero();
    }

    /**
     * The middle slice of a picture split three by three with gaps is the crop that libvips makes: to the last bit at full size, closely at
     * half.
     */
    @Test
    void aSliceIsTheCropThatAnotherLibraryMakes(@TempDir File folder) throws Exception {
        Sheet now = new ShelvePictures(List.of(PICTURE)).apply(Sheet.empty("Crop", Unit.MM, 90, 60, 254).withMargins(Margins.all(0)));
        now = apply(now, "{'kind':'split-picture','picture':'" + PICTURE.id()
                + "','whole':true,'pattern':{'kind':'even-grid','rows':3,'columns':3,'gapAcross':0.6,'gapDown':0.6}}");
        ImageIO.write(PAINTED, "png", new File(folder, "tide.png"));
        Painted.run(folder, "vips", "crop", "tide.png", "crop.png", "302", "202", "296", "196");
        Painted.run(folder, "vips", "resize", "tide.png", "half.png", "0.5");
        Painted.run(folder, "vips", "crop", "half.png", "small.png", "151", "101", "148", "98");
        BufferedImage full = RasterPainter.paint(Scene.of(now), 254, true, SOURCE);
        BufferedImage half = RasterPainter.paint(Scene.of(now), 127, true, SOURCE);
        assertThat(Painted.difference(full.getSubimage(302, 202, 296, 196), ImageIO.read(new File(folder, "crop.png")))).isZero();
        assertThat(full.getRGB(300, 250)).isEqualTo(0xFFFFFFFF);
        assertThat(Painted.difference(half.getSubimage(151, 101, 148, 98), ImageIO.read(new File(folder, "small.png")))).isLessThan(2);
    }

    private static Sheet apply(Sheet sheet, String json) {
        return EditReader.read(json.replace('\'', '"'), sheet).apply(sheet);
    }

    /** Porter–Duff source over with alpha multiplied in (W3C Compositing and Blending 1, 9.1.4): co = cs·c + cb·(1 − αs·c). */
    @Test
    void sourceOver() {
        assertThat(Blending.over(0xFF336699, 255, 0xFFFFFFFF)).isEqualTo(0xFF336699);
        assertThat(Blending.over(0xFF000000, 51, 0xFFFFFFFF)).isEqualTo(0xFFCCCCCC);
        assertThat(Blending.over(0x80800000, 255, 0x80000080)).isEqualTo(0xC0800040);
    }

    @Test
    void withoutPaperWhatIsNotCoveredIsClear() {
        BufferedImage page = RasterPainter.paint(Scene.of(sheet()), 100, false, SOURCE);
        assertThat(page.getRGB(2, 2) >>> 24).isZero();
        assertThat(page.getRGB(page.getWidth() - 60, page.getHeight() / 2) >>> 24).isEqualTo(255);
    }

    /** A look at a spot shows the very pixels of the delivery there, also where it reaches beyond the sheet. */
    @Test
    void aSpotIsACropOfTheDelivery() {
        Scene scene = Scene.of(sheet());
        BufferedImage page = RasterPainter.paint(scene, 150, true, SOURCE);
        BufferedImage spot = RasterPainter.pixels(scene, 150, 101, 57, 240, 130, SOURCE);
        assertThat(Painted.difference(page.getSubimage(101, 57, 240, 130), spot)).isLessThan(0.02);
        BufferedImage corner = RasterPainter.pixels(scene, 150, -20, -30, 60, 60, SOURCE);
        assertThat(Painted.difference(page.getSubimage(0, 0, 40, 30), corner.getSubimage(20, 30, 40, 30))).isLessThan(0.02);
    }

    /** 3/4 in at 300 ppi is 225 px (common practice); A4 at 300 ppi is 2480 × 3508. */
    @Test
    void pixelSizes() {
        assertThat(RasterPainter.size(19.05, 19.05, 300)).containsExactly(225, 225);
        assertThat(RasterPainter.size(210, 297, 300)).containsExactly(2480, 3508);
        assertThatThrownBy(() -> RasterPainter.size(841, 1189, 1200))
                .isInstanceOf(BadInput.class).hasMessageContaining("Up to 508 ppi is possible");
        assertThatThrownBy(() -> RasterPainter.size(120, 80, 0)).isInstanceOf(BadInput.class);
    }

    /** Read back by another library: pHYs and sRGB in the PNG, density and profile in the JPEG. */
    @Test
    void filesSayTheirResolutionAndColourSpace(@TempDir File folder) throws Exception {
        byte[] png = Delivery.of(Format.PNG, 300).file(Page.of(Scene.of(sheet())), SOURCE);
        var chunks = ImageMetadataReader.readMetadata(new ByteArrayInputStream(png)).getDirectoriesOfType(PngDirectory.class);
        assertThat(chunks).anySatisfy(d -> assertThat(d.getInteger(PngDirectory.TAG_PIXELS_PER_UNIT_X)).isEqualTo(11811));
        assertThat(chunks).anySatisfy(d -> assertThat(d.getInteger(PngDirectory.TAG_SRGB_RENDERING_INTENT)).isNotNull());
        Files.write(folder.toPath().resolve("out.png"), png);
        Painted.run(folder, "vips", "copy", "out.png", "copy.png");
        byte[] jpeg = Delivery.of(Format.JPEG, 300).file(Page.of(Scene.of(sheet())), SOURCE);
        var metadata = ImageMetadataReader.readMetadata(new ByteArrayInputStream(jpeg));
        assertThat(metadata.getFirstDirectoryOfType(JfifDirectory.class).getResX()).isEqualTo(300);
        assertThat(metadata.getFirstDirectoryOfType(IccDirectory.class).getString(IccDirectory.TAG_COLOR_SPACE)).contains("RGB");
        BufferedImage a = ImageIO.read(new ByteArrayInputStream(png));
        assertThat(Painted.difference(a, ImageIO.read(new ByteArrayInputStream(jpeg)))).isCloseTo(0, within(3.0));
    }

    /**
     * An inside rim ends at the form's own edge, and so does the picture: at a slanting edge a pixel holds only rim and paper, as
     * librsvg has it, too. A dark picture under a white rim on white paper leaves no trace there.
     */
    @Test
    void nothingShinesThroughAnInsideRim(@TempDir File folder) throws Exception {
        BufferedImage dark = new BufferedImage(900, 600, BufferedImage.TYPE_3BYTE_BGR);
        ImageIO.write(dark, "png", new File(folder, "dark.png"));
        Sheet now = new ShelvePictures(List.of(PICTURE)).apply(Sheet.empty("Rim", Unit.MM, 60, 60, 127));
        for (String side : List.of("inside", "outside")) {
            for (String json : List.of("{'kind':'add-panel','outline':{'kind':'polygon','sides':4,'rounding':0,'flat':false},"
                    + "'x':30,'y':30,'width':40,'height':33}", "{'kind':'fill','panels':['p1'],'picture':'" + PICTURE.id() + "'}",
                    "{'kind':'set-finish','panels':['p1'],'width':2,'side':'" + side + "','colour':'#FFFFFF'}")) {
                now = EditReader.read(json.replace('\'', '"'), now).apply(now);
            }
            Sheet rimmed = now;
            now = new ShelvePictures(List.of(PICTURE)).apply(Sheet.empty("Rim", Unit.MM, 60, 60, 127));
            Files.writeString(folder.toPath().resolve("rim.svg"), SvgPainter.document(Scene.of(rimmed), layer -> "dark.png"));
            Painted.run(folder, "rsvg-convert", "-w", "300", "-h", "300", "-o", "theirs.png", "rim.svg");
            for (BufferedImage image : List.of(RasterPainter.paint(Scene.of(rimmed), 127, true, (id, share) -> dark),
                    ImageIO.read(new File(folder, "theirs.png")))) {
                // Down the middle from the top: paper, rim, picture; nothing dark before the rim's inner edge.
                double tip = 150 - 16.5 * 5;
                double edge = side.equals("inside") ? tip + 2 * 5 : tip;
                for (int y = 0; y < edge - 1; y++) {
                    for (int x = 0; x < 300; x++) {
                        double into = (y + 0.5 - (side.equals("inside") ? tip : tip - 10)) - Math.abs(x + 0.5 - 150) * 33 / 40;
                        if (into < 8) assertThat(image.getRGB(x, y) & 0xFF).as(side + " " + x + " " + y).isGreaterThan(252);
                    }
                }
            }
        }
    }
}
