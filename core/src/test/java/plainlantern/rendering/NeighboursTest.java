package plainlantern.rendering;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.io.File;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import plainlantern.Chance;
import plainlantern.Painted;
import plainlantern.Sheets;
import plainlantern.Tried;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Algebra;
import plainlantern.geometry.Box;
import plainlantern.geometry.Curve;
import plainlantern.geometry.FillRule;
import plainlantern.geometry.Nodes;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.geometry.Regions;
import plainlantern.outline.PathData;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Tile;
import plainlantern.scene.Page;
import plainlantern.scene.Scene;
import plainlantern.scene.Scene.Around;
import plainlantern.scene.Scene.Form;
import plainlantern.scene.Scene.Item;
import plainlantern.sheet.Look;
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

    private static final Sheet EMPTY = Sheets.after(new ShelvePictures(List.of(PICTURE)).apply(Sheet.empty("Neighbours", Unit.MM, 96, 66,
            300)), "{'kind':'set-paper','paper':{'kind':'plain','colour':'#FF00FF'}}");

    private static Sheet sheet(String pattern) {
        return shown(Sheets.after(EMPTY, "{'kind':'lay-out','where':'add'," + AREA + ",'pattern':" + pattern + "}"));
    }

    /** With one picture across all panels. */
    private static Sheet shown(Sheet sheet) {
        return Sheets.after(sheet, "{'kind':'make-vista','panels':" + panels(sheet) + ",'picture':'" + PICTURE.id() + "'}");
    }

    private static String panels(Sheet sheet) {
        return "['" + String.join("','", sheet.panels().stream().map(p -> p.id()).toList()) + "']";
    }

    private static Sheet turned(Sheet sheet) {
        return shown(Sheets.after(sheet, "{'kind':'turn-panels','panels':" + panels(sheet) + ",'by':17}"));
    }

    private static String added(String outline, double x, double y, double width, double height) {
        return "{'kind':'add-panel','outline':" + outline + ",'x':" + x + ",'y':" + y + ",'width':" + width + ",'height':" + height + "}";
    }

    private static final String BOX = "{'kind':'rectangle','topLeft':0,'topRight':0,'bottomRight':0,'bottomLeft':0}";
    private static final String CIRCLE = "{'kind':'ellipse'}";

    /** A box and two circles that overlap, as their six regions. */
    private static Sheet regions() {
        Sheet forms = Sheets.after(EMPTY, added(BOX, 45.3, 30.1, 50, 30), added(CIRCLE, 28, 35, 36, 36), added(CIRCLE, 57, 31, 41, 41));
        int count = new Regions(forms.panels().stream().map(p -> p.pathOnSheet()).toList(), 0.01).count();
        String groups = IntStream.range(0, count).mapToObj(i -> "[" + i + "]").collect(Collectors.joining(","));
        return shown(Sheets.after(forms, "{'kind':'make-regions','panels':" + panels(forms) + ",'groups':[" + groups + "]}"));
    }

    /** A circle turned within a box less that circle: their nodes are in other places, and one form has two contours. */
    private static Sheet combined() {
        Sheet hole = Sheets.after(EMPTY, added(BOX, 45.3, 30.1, 50, 40), added(CIRCLE, 41, 31, 27, 27),
                "{'kind':'combine','panels':['p1','p2'],'how':'less-front','key':'p1'}", added(CIRCLE, 41, 31, 27, 27));
        return shown(Sheets.after(hole, "{'kind':'turn-panels','panels':['" + hole.panels().get(1).id() + "'],'by':31}"));
    }

    /** Two drawn forms that share a curve, on which one of them has a point more. */
    private static Sheet drawn() {
        Curve shared = Curve.cubic(new Point(44.1, 8.3), new Point(70.7, 21.2), new Point(20.9, 33.3), new Point(51.3, 55.9));
        Path first = Path.closed(List.of(shared, Curve.straight(shared.to(), new Point(10, 50)),
                Curve.straight(new Point(10, 50), shared.from())), FillRule.EVEN_ODD);
        Nodes whole = Nodes.of(Path.closed(List.of(shared, Curve.straight(shared.to(), new Point(88, 40)),
                Curve.straight(new Point(88, 40), shared.from())), FillRule.EVEN_ODD));
        Path second = whole.parted(new Nodes.On(0, 0.37, shared.from())).path();
        return shown(Sheets.after(EMPTY, "{'kind':'add-drawn','d':'" + PathData.of(first) + "'}",
                "{'kind':'add-drawn','d':'" + PathData.of(second) + "'}"));
    }

    private static final List<Sheet> PATTERNS = List.of(sheet("{'kind':'interlock','rows':3,'columns':4,'tab':0.2,'seed':5}"),
            sheet("{'kind':'even-grid','rows':3,'columns':4,'gapAcross':0,'gapDown':0}"),
            sheet("{'kind':'polyptych','weights':'1:2:1','gap':0,'lean':7,'mirrored':true}"),
            sheet("{'kind':'shards','count':12,'gap':0,'evenness':0,'seed':3}"),
            sheet("{'kind':'honeycomb','rows':4,'columns':5,'gap':0,'flat':false}"),
            sheet("{'kind':'running-bond','rows':4,'columns':3,'gapAcross':0,'gapDown':0,'offset':0.5}"));

    private static List<Sheet> parted() {
        List<Sheet> upright = Stream.concat(PATTERNS.stream(), Stream.of(regions(), combined(), drawn())).toList();
        return Stream.concat(upright.stream(), upright.stream().map(NeighboursTest::turned)).toList();
    }

    /** In pixels, PDF and SVG, by us, poppler and librsvg, every pixel inside is within 2 of 255 of the picture in one piece. */
    @Test
    void piecesShowThePictureWhole(@TempDir File folder) throws Exception {
        for (Sheet parted : parted()) {
            Scene scene = Scene.of(parted);
            assertThat(scene.joined().items()).hasSize(1);
            Scene whole = whole(scene);
            boolean[] inside = inside(scene, PPI);
            assertThat(worst(inside, RasterPainter.paint(scene, PPI, true, SOURCE), RasterPainter.paint(whole, PPI, true, SOURCE)))
                    .isLessThanOrEqualTo(2);
            assertThat(worst(inside, svg(scene, folder), svg(whole, folder))).isLessThanOrEqualTo(2);
            assertThat(worst(inside(scene, 300), pdf(scene, folder), pdf(whole, folder))).isLessThanOrEqualTo(2);
        }
    }

    /** Any forms, parted into their regions and cut along any lines, in any order in depth. */
    @Tried(value = 12, also = -4954212397152074639L)
    void anyCutsShowThePictureWhole(Chance chance) {
        List<Path> forms = chance.list(2, 5, c -> Sheets.outline(c).path(c.between(15, 60), c.between(15, 60))
                .mapped(Affine.move(c.between(20, 76), c.between(15, 50)).after(Affine.turn(c.between(0, 90)))));
        Regions regions = new Regions(forms, 0);
        List<Path> pieces = IntStream.range(0, regions.count()).mapToObj(regions::path).toList();
        for (int cut = chance.whole(0, 3); cut > 0; cut--) {
            Point a = new Point(chance.between(20, 76), chance.between(10, 56));
            Point b = a.plus(new Point(chance.between(-9, 9), chance.between(1, 9)));
            pieces = pieces.stream().flatMap(piece -> Stream.of(Algebra.rightOf(piece, a, b, 0), Algebra.rightOf(piece, b, a, 0)))
                    .flatMap(Optional::stream).toList();
        }
        List<Path> mixed = new ArrayList<>(pieces);
        for (int i = mixed.size(); i > 1; i--) Collections.swap(mixed, i - 1, chance.whole(0, i - 1));
        Scene any = Scene.of(PATTERNS.get(1));
        Item slice = any.items().get(0);
        Scene scene = new Scene(any.width(), any.height(), any.paper(), mixed.stream()
                .map(piece -> new Item("p", "Piece", Form.whole(piece), slice.layers(), Around.NOTHING, Look.PLAIN)).toList());
        assertThat(worst(within(forms, scene), RasterPainter.paint(scene, PPI, true, SOURCE),
                RasterPainter.paint(whole(scene), PPI, true, SOURCE))).isLessThanOrEqualTo(2);
    }

    /** The picture of the pieces, seen everywhere. */
    private static Scene whole(Scene parted) {
        Item first = parted.items().get(0);
        return new Scene(parted.width(), parted.height(), parted.paper(), List.of(new Item("whole", "Whole",
                Form.whole(Path.box(new Box(-50, -50, 200, 200))), first.layers(), Around.NOTHING, Look.PLAIN)));
    }

    /** The pixels that are, with all around them, in some piece: by their centres, which are in no seam. */
    private static boolean[] inside(Scene parted, double ppi) {
        int[] size = RasterPainter.size(parted.width(), parted.height(), ppi);
        BufferedImage painted = new BufferedImage(size[0], size[1], BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D g = painted.createGraphics();
        for (Item item : parted.items()) g.fill(Shapes2D.of(item.clip().mapped(toPixels(parted, size))));
        return all(((DataBufferByte) painted.getRaster().getDataBuffer()).getData(), size, 2);
    }

    /** The pixels that are, with all around them, covered by one form alone. */
    private static boolean[] within(List<Path> forms, Scene scene) {
        int[] size = RasterPainter.size(scene.width(), scene.height(), PPI);
        boolean[] within = new boolean[size[0] * size[1]];
        for (Path form : forms) {
            byte[] mask = Shapes2D.mask(Tile.over(new Box(0, 0, size[0], size[1])), Shapes2D.of(form.mapped(toPixels(scene, size))));
            boolean[] covered = all(mask, size, 1);
            for (int i = 0; i < within.length; i++) within[i] |= covered[i];
        }
        return within;
    }

    /** The pixels that are full together with all those as far around them. */
    private static boolean[] all(byte[] full, int[] size, int around) {
        boolean[] out = new boolean[full.length];
        for (int y = around; y < size[1] - around; y++) for (int x = around; x < size[0] - around; x++) {
            boolean all = true;
            for (int dy = -around; dy <= around; dy++) for (int dx = -around; dx <= around; dx++)
                all &= full[(y + dy) * size[0] + x + dx] == (byte) 255;
            out[y * size[0] + x] = all;
        }
        return out;
    }

    private static Affine toPixels(Scene scene, int[] size) {
        return RasterPainter.toPixels(new Box(0, 0, scene.width(), scene.height()), size);
    }

    private static int worst(boolean[] inside, BufferedImage one, BufferedImage other) {
        int worst = 0;
        for (int i = 0; i < inside.length; i++) {
            if (!inside[i]) continue;
            int x = i % one.getWidth();
            int a = one.getRGB(x, i / one.getWidth());
            int b = other.getRGB(x, i / one.getWidth());
            for (int shift = 0; shift < 24; shift += 8) worst = Math.max(worst, Math.abs((a >> shift & 255) - (b >> shift & 255)));
        }
        return worst;
    }

    /** What has a gap, a rim or a nudge of its own stays an element of its own. */
    @Test
    void whatIsNotOnePictureStaysApart() {
        Sheet grid = PATTERNS.get(1);
        assertThat(Scene.of(Sheets.after(grid, "{'kind':'set-finish','panels':['p6'],'width':1}")).joined().items()).hasSizeGreaterThan(1);
        assertThat(Scene.of(Sheets.after(grid, "{'kind':'move-picture','panels':['p6'],'dx':0.3,'dy':0}")).joined().items())
                .hasSizeGreaterThan(1);
        Sheet gaps = sheet("{'kind':'even-grid','rows':2,'columns':2,'gapAcross':1,'gapDown':1}");
        assertThat(Scene.of(gaps).joined().items()).hasSize(4);
    }

    private static BufferedImage pdf(Scene scene, File folder) throws Exception {
        Files.write(folder.toPath().resolve("sheet.pdf"), Delivery.of(Format.PDF, 300).file(Page.of(scene), SOURCE));
        Painted.run(folder, "pdftoppm", "-r", "300", "-png", "-singlefile", "sheet.pdf", "pdf");
        return ImageIO.read(new File(folder, "pdf.png"));
    }

    private static BufferedImage svg(Scene scene, File folder) throws Exception {
        ImageIO.write(TIDE, "png", new File(folder, "tide.png"));
        Files.writeString(folder.toPath().resolve("sheet.svg"), SvgPainter.document(scene, layer -> "tide.png"));
        Painted.run(folder, "rsvg-convert", "-w", "480", "-h", "330", "-o", "svg.png", "sheet.svg");
        return ImageIO.read(new File(folder, "svg.png"));
    }
}
