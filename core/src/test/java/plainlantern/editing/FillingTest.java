package plainlantern.editing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static plainlantern.Sheets.DAWN;
import static plainlantern.Sheets.TALL;
import static plainlantern.Sheets.after;

import java.util.List;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import plainlantern.Chance;
import plainlantern.Sheets;
import plainlantern.Tried;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.FreshenPicture;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.editing.reading.EditReader;
import plainlantern.editing.vistas.SplitPicture;
import plainlantern.fitting.PanelState;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.scene.Scene;
import plainlantern.sheet.Element;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Margins;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Picture;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Sheet;

/** Getting pictures into panels, out of them, and exchanged. */
class FillingTest {
    private static Sheet two() {
        return after(new ShelvePictures(List.of(DAWN, TALL)).apply(Sheet.empty("Two", Unit.MM, 300, 200, 300)),
                "{'kind':'add-panel','outline':{'kind':'ellipse'}}", "{'kind':'add-panel','outline':{'kind':'ellipse'}}",
                "{'kind':'seat-panels','panels':['p1'],'left':10,'top':20,'width':60,'height':40}",
                        "{'kind':'seat-panels','panels':['p2'],'left':110,'top':20,'width':120,'height':40}");
    }

    private static Affine front(Sheet sheet, String id) {
        Holder panel = sheet.holder(id);
        return ((PaintedPicture) Scene.item(sheet, panel).layers().get(panel.acting(-1))).pixelsToSheet();
    }

    private static void same(Affine one, Affine other, Picture picture) {
        for (Point p : List.of(Point.ORIGIN, new Point(picture.width(), 0), new Point(0, picture.height()))) {
            assertThat(one.apply(p).distance(other.apply(p))).isLessThan(1e-6);
        }
    }

    /** Out of its panel, whatever its turn, stretch and mirroring, a picture lies where it lay, whole; back in, too. */
    @Tried(150)
    void outAndInAgainNothingMoves(Chance chance) {
        Sheet sheet = Sheets.any(chance);
        Panel panel = sheet.panels().stream().filter(p -> p.picture(-1).filter(layer -> layer.plane().isEmpty()).flatMap(PictureLayer::own)
                .isPresent() && plain(p))
                .findFirst().orElse(null);
        if (panel == null) return;
        Affine before = front(sheet, panel.id());
        Picture picture = sheet.picture(panel.picture(-1).orElseThrow().own().orElseThrow().picture());
        Sheet out;
        try {
            out = after(sheet, "{'kind':'move-out','panels':['" + panel.id() + "']}");
        } catch (BadInput tooLarge) {
            return;
        }
        String id = "p" + out.lastId();
        same(before, front(out, id), picture);
        assertThat(out.holder(id).kind()).isEqualTo("float");
        assertThat(PanelState.coverage(out, out.holder(id)).orElseThrow().covered()).isTrue();
        assertThat(out.holder(panel.id()).content()).hasSize(panel.content().size() - 1);
        Sheet in = after(out, "{'kind':'put-in','floats':['" + id + "'],'panel':'" + panel.id() + "'}");
        same(before, front(in, panel.id()), picture);
        assertThat(in.panels()).hasSize(sheet.panels().size());
        for (Panel into : in.panels()) {
            if (!plain(into)) continue;
            same(before, front(after(out, "{'kind':'put-in','floats':['" + id + "'],'panel':'" + into.id() + "'}"), into.id()), picture);
        }
    }

    /** A picture comes onto the sheet as a float, whole, in its own proportions. */
    @Test
    void aPictureFloats() {
        Sheet sheet = after(two(), "{'kind':'frame-picture','picture':'" + DAWN.id() + "','x':30,'y':20}");
        Holder afloat = sheet.holder("p3");
        assertThat(afloat.kind()).isEqualTo("float");
        assertThat(afloat.seat().width() / afloat.seat().height()).isCloseTo(1.5, within(1e-9));
        assertThat(afloat.seat().centre()).isEqualTo(new Point(30, 20));
    }

    /** A float takes another form: it is trimmed by it and is a panel like any other. */
    @Test
    void aFloatIsTrimmedByAForm() {
        Sheet out = after(two(), "{'kind':'fill','panels':['p1'],'picture':'" + DAWN.id() + "'}", "{'kind':'move-out','panels':['p1']}");
        Sheet trimmed = after(out, "{'kind':'set-outline','panels':['p3'],'outline':{'kind':'heart'}}");
        assertThat(trimmed.holder("p3").kind()).isEqualTo("panel");
        assertThatThrownBy(() -> after(trimmed, "{'kind':'put-in','floats':['p3'],'panel':'p1'}")).isInstanceOf(BadInput.class)
                .hasMessageContaining("Select a float");
        assertThat(after(out, "{'kind':'deal','to':'all'}").holder("p3")).isEqualTo(out.holder("p3"));
    }

    /** Half the pixels, the same part: only the scale doubles. Other proportions cover the same frame; both everywhere and in one. */
    @Test
    void anotherPictureShowsTheSamePart() {
        Picture half = new Picture("a".repeat(64), "Dawn, small", DAWN.width() / 2, DAWN.height() / 2);
        Sheet before = after(new ShelvePictures(List.of(half)).apply(two()), "{'kind':'fill','panels':['p1','p2'],'picture':'"
                + DAWN.id() + "'}",
                "{'kind':'zoom-picture','panels':['p1'],'zoom':170}", "{'kind':'move-picture','panels':['p1'],'dx':9,'dy':-4}",
                        "{'kind':'turn-picture','panels':['p1'],'turn':12}");
        Sheet small = after(before, "{'kind':'replace-picture','picture':'" + DAWN.id() + "','by':'" + half.id() + "'}");
        for (String id : List.of("p1", "p2")) same(front(before, id), front(small, id).after(Affine.scale(0.5, 0.5)), DAWN);
        Sheet one = after(before, "{'kind':'replace-picture','panels':['p1'],'picture':'" + DAWN.id() + "','by':'" + TALL.id() + "'}");
        assertThat(one.holder("p2")).isEqualTo(before.holder("p2"));
        assertThat(one.holder("p1").picture(-1).orElseThrow().flat().pose().centre())
                .isEqualTo(before.holder("p1").picture(-1).orElseThrow().flat().pose().centre());
        assertThat(PanelState.coverage(one, one.holder("p1")).orElseThrow().covered()).isTrue();
        Sheet vista = after(before, "{'kind':'make-vista','panels':['p1','p2'],'picture':'" + DAWN.id() + "'}",
                "{'kind':'replace-picture','picture':'" + DAWN.id() + "','by':'" + half.id() + "'}");
        assertThat(vista.vistas().get(0).picture()).isEqualTo(half.id());
        assertThatThrownBy(() -> after(before, "{'kind':'replace-picture','picture':'" + TALL.id() + "','by':'" + half.id() + "'}"))
                .isInstanceOf(BadInput.class).hasMessageContaining("is not shown");
    }

    @Test
    void contentIsCopiedWithItsPlacementOrAnew() {
        Sheet before = after(two(), "{'kind':'fill','panels':['p1'],'picture':'" + DAWN.id() + "'}",
                "{'kind':'zoom-picture','panels':['p1'],'zoom':200}", "{'kind':'add-layer','panels':['p1'],'what':'wash'}");
        Sheet copied = after(before, "{'kind':'copy-content','from':'p1','panels':['p2']}");
        assertThat(PanelState.coverage(copied, copied.holder("p2")).orElseThrow().zoom()).isCloseTo(2, within(1e-9));
        assertThat(copied.holder("p2").content()).hasSize(2);
        Sheet anew = after(before, "{'kind':'copy-content','from':'p1','panels':['p2'],'anew':true}");
        assertThat(PanelState.coverage(anew, anew.holder("p2")).orElseThrow().zoom()).isCloseTo(1, within(1e-9));
        assertThat(after(copied, "{'kind':'swap','one':'p1','other':'p2','anew':true}").holder("p1").content()).hasSize(2);
        assertThatThrownBy(() -> after(before, "{'kind':'copy-content','from':'p2','panels':['p1']}")).isInstanceOf(BadInput.class)
                .hasMessageContaining("is empty");
    }

    /** On a pixel sheet all edges are whole pixels, gaps are exact, and pieces differ by one pixel at most. */
    @Tried(150)
    void aSplitIsExactInPixels(Chance chance) {
        int rows = chance.whole(1, 7);
        int columns = chance.whole(1, 7);
        int gap = chance.whole(0, 9);
        int width = chance.whole(300, 2000);
        int height = chance.whole(300, 2000);
        if (rows * columns == 1) return;
        double px = Unit.PX.inMm(96);
        Sheet before = new ShelvePictures(List.of(DAWN)).apply(Sheet.empty("Pixels", Unit.PX, width * px, height * px, 96));
        Sheet split = after(before, "{'kind':'split-picture','picture':'" + DAWN.id() + "','whole':" + (rows % 2 == 0)
                + ",'pattern':{'kind':'even-grid','rows':" + rows + ",'columns':" + columns + ",'gapAcross':'" + gap
                + "','gapDown':'" + gap + "'}}");
        TreeSet<Long> widths = new TreeSet<>();
        List<Panel> panels = split.panels();
        for (Panel panel : panels) {
            Box box = panel.boundsOnSheet();
            for (double edge : List.of(box.x(), box.y(), box.right(), box.bottom()))
                assertThat(edge / px).isCloseTo(Math.rint(edge / px), within(1e-6));
            widths.add(Math.round(box.width() / px));
        }
        assertThat(widths.last() - widths.first()).isLessThanOrEqualTo(1);
        if (columns > 1 && rows % 2 == 1)
            assertThat((panels.get(1).boundsOnSheet().x() - panels.get(0).boundsOnSheet().right()) / px).isCloseTo(gap, within(1e-6));
        assertThat(split.vistas()).hasSize(1);
        for (Panel panel : panels) assertThat(PanelState.of(split, panel)).isNotEqualTo(PanelState.BARE);
    }

    /**
     * In millimetres sizes and gaps are the whole, which has the picture's own proportions; a split is one step, and on filled panels it
     * comes on top.
     */
    @Test
    void aSplitIsExactInMillimetres() {
        Sheet split = after(two(), "{'kind':'split-picture','picture':'" + DAWN.id()
                + "','whole':true,'pattern':{'kind':'even-grid','rows':2,'columns':3,'gapAcross':5,'gapDown':5}}");
        Box all = Box.union(split.panels().stream().map(Element::boundsOnSheet).toList());
        assertThat(all.width() / all.height()).isCloseTo(1.5, within(1e-9));
        assertThat(split.panels().stream().limit(3).mapToDouble(p -> p.seat().width()).sum() + 10).isCloseTo(all.width(), within(1e-9));
        same(front(split, "p1"), front(split, "p2"), DAWN);
        for (String pattern : List.of("{'kind':'running-bond','rows':3,'columns':4,'gapAcross':2,'gapDown':2,'offset':0.5}",
                "{'kind':'honeycomb','columns':4,'rows':3,'gap':2,'flat':true}")) {
            Sheet more = after(split, "{'kind':'split-picture','picture':'" + TALL.id() + "','pattern':" + pattern + "}");
            assertThat(more.panels().size()).isGreaterThan(12);
            assertThat(more.vistas()).hasSize(2);
        }
    }

    /** A wide picture on an upright sheet: what is lost is said, and what would be better. */
    @Test
    void whatASplitLosesIsSaid() {
        Sheet upright = new ShelvePictures(List.of(DAWN)).apply(Sheet.empty("Upright", Unit.MM, 200, 300, 300).withMargins(Margins.all(0)));
        String split = "{'kind':'split-picture','picture':'" + DAWN.id()
                + "','whole':%s,'pattern':{'kind':'even-grid','rows':2,'columns':2,'gapAcross':0,'gapDown':0}}";
        SplitPicture filling = (SplitPicture) EditReader.read(String.format(split, false).replace('\'', '"'), upright);
        SplitPicture whole = (SplitPicture) EditReader.read(String.format(split, true).replace('\'', '"'), upright);
        // 3:2 into 2:3: (2/3)/(3/2) = 4/9 is seen; 200 mm across it is 133.33 mm high.
        assertThat(filling.says(upright, filling.apply(upright))).contains("56 % of the picture is cut away")
                .contains("whole picture fits better").contains("166.67 mm");
        assertThat(whole.says(upright, whole.apply(upright))).contains("Nothing is cut away")
                .contains("166.67 mm stay free above and below");
        // Two gaps of 10 mm across 200 by 133.33: 1 - (190 * 123.33) / (200 * 133.33).
        SplitPicture gaps = (SplitPicture) EditReader.read(String.format(split, true)
                .replace("'gapAcross':0,'gapDown':0", "'gapAcross':10,'gapDown':10").replace('\'', '"'), upright);
        assertThat(gaps.says(upright, gaps.apply(upright))).doesNotContain("Nothing is cut away").contains("The gaps hide 12 % of it.");
    }

    /** A panel comes around a picture; a vista lies behind the sheet in register; a nudge is given to others. */
    @Test
    void panelsOfPicturesVistasBehindTheSheetAndNudges() {
        Sheet framed = after(two(), "{'kind':'frame-picture','picture':'" + DAWN.id() + "','outline':{'kind':'ellipse'},'x':100,'y':50}");
        Box box = framed.holder("p3").boundsOnSheet();
        assertThat(box.width() / box.height()).isCloseTo(1.5, within(1e-9));
        assertThat(box.centre()).isEqualTo(new Point(100, 50));
        assertThat(PanelState.coverage(framed, framed.holder("p3")).orElseThrow().zoom()).isCloseTo(1, within(1e-9));
        Sheet vista = after(two(), "{'kind':'make-vista','panels':['p1','p2'],'picture':'" + DAWN.id() + "'}",
                "{'kind':'back-vista','vista':'v3'}");
        Panel ground = vista.panels().get(0);
        assertThat(ground.boundsOnSheet()).isEqualTo(new Box(-3, -3, 306, 206));
        same(front(vista, ground.id()), front(vista, "p1"), DAWN);
        Sheet nudged = after(vista, "{'kind':'zoom-picture','panels':['p1'],'zoom':150,'whole':true}",
                "{'kind':'move-picture','panels':['p1'],'dx':2,'dy':1}", "{'kind':'copy-nudge','from':'p1','panels':['p2']}");
        assertThat(nudged.holder("p2").sliced().orElseThrow().nudge()).isEqualTo(nudged.holder("p1").sliced().orElseThrow().nudge());
        assertThat(nudged.holder("p2").sliced().orElseThrow().nudge().dx()).isCloseTo(2, within(1e-9));
    }

    /**
     * A newer drawing of half the size takes the old one's place everywhere: places, tones and vistas stay, and the shelf has one
     * of them.
     */
    @Test
    void aNewerDrawingTakesTheOldOnesPlace() {
        Sheet before = after(two(), "{'kind':'fill','panels':['p1'],'picture':'" + DAWN.id() + "'}",
                "{'kind':'zoom-picture','panels':['p1'],'zoom':150}", "{'kind':'set-tone','of':{'panels':['p1']},'exposure':0.5}",
                "{'kind':'set-paper','paper':{'kind':'pictured','picture':'" + DAWN.id() + "','blur':0,'treatment':{}}}");
        Picture half = new Picture("a".repeat(64), "Drawn again", DAWN.width() / 2, DAWN.height() / 2);
        Sheet fresh = new FreshenPicture(DAWN.id(), half).on(before);
        same(front(before, "p1"), front(fresh, "p1").after(Affine.scale(0.5, 0.5)), DAWN);
        PictureLayer layer = fresh.holder("p1").picture(-1).orElseThrow();
        assertThat(layer.treatment()).isEqualTo(before.holder("p1").picture(-1).orElseThrow().treatment());
        assertThat(fresh.paper().pictured().orElseThrow().picture()).isEqualTo(half.id());
        assertThat(fresh.shelf()).extracting(Picture::name).isEqualTo(before.shelf().stream().map(Picture::name).toList());
        assertThat(fresh.shelf()).noneMatch(picture -> picture.id().equals(DAWN.id()));
    }

    /** A texture covers the sheet and its bleed, and is locked where that is asked for. */
    @Test
    void aTextureLiesOverTheSheet() {
        Sheet over = after(two(), "{'kind':'frame-picture','picture':'" + DAWN.id() + "','over':true,'locked':true}");
        assertThat(over.holder("p3").boundsOnSheet()).isEqualTo(two().bounds().grown(two().bleed()));
        assertThat(over.holder("p3").locked()).isTrue();
        assertThat(PanelState.coverage(over, over.holder("p3")).orElseThrow().covered()).isTrue();
    }

    /** Without words, which no mirror turns round, and without a slice. */
    private static boolean plain(Panel panel) {
        return panel.slice().isEmpty() && panel.content().stream().noneMatch(layer -> layer.words().isPresent());
    }
}
