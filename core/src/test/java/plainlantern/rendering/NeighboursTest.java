package plainlantern.rendering;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.File;
import java.nio.file.Files;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import plainlantern.Painted;
import plainlantern.Sheets;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.picture.PictureSource;
import plainlantern.scene.Page;
import plainlantern.scene.Scene;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;

/** Slices of one picture that abut let nothing through between them. */
class NeighboursTest {
    private static final BufferedImage TIDE = Painted.scene(900, 600, BufferedImage.TYPE_3BYTE_BGR);
    private static final Picture PICTURE = new Picture("aa".repeat(32), "tide", 900, 600);
    private static final PictureSource SOURCE = (id, share) -> TIDE;
    private static final String AREA = "'area':{'x':7.3,'y':5.7,'width':81.1,'height':54.3}";
    /** Off the pixel grid. */
    private static final double PPI = 127;

    private static Sheet sheet(String pattern) {
        Sheet empty = new ShelvePictures(List.of(PICTURE)).apply(Sheet.empty("Neighbours", Unit.MM, 96, 66, 300));
        Sheet laid = Sheets.after(empty, "{'kind':'set-paper','paper':{'kind':'plain','colour':'#FF00FF'}}",
                "{'kind':'lay-out','where':'add'," + AREA + ",'pattern':" + pattern + "}");
        String panels = String.join("','", laid.panels().stream().map(p -> p.id()).toList());
        return laid.panels().size() == 1 ? Sheets.after(laid, "{'kind':'fill','panels':['p1'],'picture':'" + PICTURE.id() + "'}")
                : Sheets.after(laid, "{'kind':'make-vista','panels':['" + panels + "'],'picture':'" + PICTURE.id() + "'}");
    }

    private static final Sheet WHOLE = sheet("{'kind':'even-grid','rows':1,'columns':1,'gapAcross':0,'gapDown':0}");
    private static final List<Sheet> PARTED = List.of(sheet("{'kind':'interlock','rows':3,'columns':4,'tab':0.2,'seed':5}"),
            sheet("{'kind':'even-grid','rows':3,'columns':4,'gapAcross':0,'gapDown':0}"),
            sheet("{'kind':'polyptych','weights':'1:2:1','gap':0,'lean':7,'mirrored':true}"));

    /** In pixels, PDF and SVG, by us, poppler and librsvg, every pixel inside is within 2 of 255 of the picture in one piece. */
    @Test
    void piecesShowThePictureWhole(@TempDir File folder) throws Exception {
        for (Sheet parted : PARTED) {
            assertThat(Scene.of(parted).joined().items()).hasSize(1);
            assertThat(worst(RasterPainter.paint(Scene.of(parted), PPI, true, SOURCE),
                    RasterPainter.paint(Scene.of(WHOLE), PPI, true, SOURCE))).isLessThanOrEqualTo(2);
            assertThat(worst(pdf(parted, folder), pdf(WHOLE, folder))).isLessThanOrEqualTo(2);
            assertThat(worst(svg(parted, folder), svg(WHOLE, folder))).isLessThanOrEqualTo(2);
        }
    }

    /** What has a gap, a rim or a nudge of its own stays an element of its own. */
    @Test
    void whatIsNotOnePictureStaysApart() {
        Sheet grid = PARTED.get(1);
        assertThat(Scene.of(Sheets.after(grid, "{'kind':'set-finish','panels':['p6'],'width':1}")).joined().items()).hasSizeGreaterThan(1);
        assertThat(Scene.of(Sheets.after(grid, "{'kind':'move-picture','panels':['p6'],'dx':0.3,'dy':0}")).joined().items())
                .hasSizeGreaterThan(1);
        Sheet gaps = sheet("{'kind':'even-grid','rows':2,'columns':2,'gapAcross':1,'gapDown':1}");
        assertThat(Scene.of(gaps).joined().items()).hasSize(4);
    }

    private static BufferedImage pdf(Sheet sheet, File folder) throws Exception {
        Files.write(folder.toPath().resolve("sheet.pdf"), Delivery.of(Format.PDF, 300).file(Page.of(Scene.of(sheet)), SOURCE));
        Painted.run(folder, "pdftoppm", "-r", "127", "-png", "-singlefile", "sheet.pdf", "pdf");
        return ImageIO.read(new File(folder, "pdf.png"));
    }

    private static BufferedImage svg(Sheet sheet, File folder) throws Exception {
        ImageIO.write(TIDE, "png", new File(folder, "tide.png"));
        Files.writeString(folder.toPath().resolve("sheet.svg"), SvgPainter.document(Scene.of(sheet), layer -> "tide.png"));
        Painted.run(folder, "rsvg-convert", "-w", "480", "-h", "330", "-o", "svg.png", "sheet.svg");
        return ImageIO.read(new File(folder, "svg.png"));
    }

    /** Inside of the area, a pixel from its edge on. */
    private static int worst(BufferedImage one, BufferedImage other) {
        int[] box = {(int) (7.3 * 5) + 2, (int) (5.7 * 5) + 2, (int) (81.1 * 5) - 4, (int) (54.3 * 5) - 4};
        return Painted.worst(one.getSubimage(box[0], box[1], box[2], box[3]), other.getSubimage(box[0], box[1], box[2], box[3]));
    }
}
