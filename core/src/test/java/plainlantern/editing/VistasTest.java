package plainlantern.editing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static plainlantern.Sheets.DAWN;
import static plainlantern.Sheets.TALL;
import static plainlantern.Sheets.after;

import java.awt.image.BufferedImage;
import java.util.List;
import org.junit.jupiter.api.Test;
import plainlantern.Chance;
import plainlantern.Painted;
import plainlantern.Tried;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.editing.vistas.Loosen;
import plainlantern.fitting.Coverage;
import plainlantern.fitting.PanelState;
import plainlantern.fitting.Vistas;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.picture.PictureSource;
import plainlantern.rendering.RasterPainter;
import plainlantern.scene.Extent;
import plainlantern.scene.Page;
import plainlantern.scene.Pages;
import plainlantern.scene.Scene;
import plainlantern.sheet.Element;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Pose;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import plainlantern.sheet.Vista;

/** One picture behind many panels: in register, carried, nudged, left and joined again. */
class VistasTest {
    private static final String ALL = "'panels':['p1','p2','p3','p4']";

    /** A grid of two by two on 400 by 300 mm, margins 20, gaps 8, with a vista of 6000 by 4000 px; p2 is turned, p3 mirrored, p4 round. */
    private static Sheet vista() {
        Sheet sheet = new ShelvePictures(List.of(DAWN, TALL)).apply(Sheet.empty("Bay", Unit.MM, 400, 300, 300));
        return after(sheet, "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':2,'columns':2,'gapAcross':8,"
                + "'gapDown':8},'margins':{'top':20,'right':20,'bottom':20,'left':20}}",
                "{'kind':'turn-panels','panels':['p2'],'by':7}", "{'kind':'mirror-panels','panels':['p3'],'axis':'across'}",
                        "{'kind':'set-outline','panels':['p4'],'outline':{'kind':'ellipse'}}",
                "{'kind':'make-vista'," + ALL + ",'picture':'" + DAWN.id() + "'}");
    }

    private static Affine pixels(Sheet sheet, String panel) {
        return ((Scene.PaintedPicture) Scene.item(sheet, sheet.holder(panel)).layers().get(0)).pixelsToSheet();
    }

    private static void same(Affine one, Affine other) {
        for (Point p : new Point[] {Point.ORIGIN, new Point(6000, 0), new Point(0, 4000)})
            assertThat(one.apply(p).distance(other.apply(p))).isLessThan(1e-6);
    }

    private static Coverage whole(Sheet sheet) {
        Vista vista = sheet.vistas().get(0);
        return Coverage.of(Vistas.sitting(sheet, vista), Vistas.pose(vista, sheet.picture(vista.picture())));
    }

    /** A new vista covers the union of its panels, and all its slices lie on the sheet as one picture. */
    @Test
    void slicesAreInRegister() {
        Sheet sheet = vista();
        Vista vista = sheet.vistas().get(0);
        Box union = Box.union(sheet.panels().stream().map(Element::boundsOnSheet).toList());
        assertThat(Math.min(vista.width() / union.width(), vista.height() / union.height())).isCloseTo(1, within(1e-9));
        for (Panel panel : sheet.panels()) {
            same(pixels(sheet, panel.id()), pixels(sheet, "p1"));
            assertThat(PanelState.of(sheet, panel)).isNotEqualTo(PanelState.BARE);
        }
        assertThat(sheet.users(DAWN.id())).hasSize(4);
        assertThat(SheetJson.read(SheetJson.write(sheet))).isEqualTo(sheet);
        assertThatThrownBy(() -> after(sheet, "{'kind':'unshelve','pictures':['" + DAWN.id() + "']}"))
                .hasMessageContaining("is used in Panel 1");
        assertThatThrownBy(() -> after(sheet, "{'kind':'make-vista','panels':['p1'],'picture':'" + DAWN.id() + "'}"))
                .hasMessageContaining("two panels");
    }

    /** Look through: the picture stays on the sheet whatever the panel does, and stays upright when it turns. */
    @Tried(60)
    void lookingThroughLeavesThePictureInPlace(Chance chance) {
        double dx = chance.between(-30, 30);
        double turn = chance.between(-180, 180);
        int which = chance.whole(1, 4);
        Sheet sheet = vista();
        String panel = "p" + which;
        Sheet moved = after(sheet, "{'kind':'move-panels','panels':['" + panel + "'],'dx':" + dx + ",'dy':3}",
                "{'kind':'turn-panels','panels':['" + panel + "'],'by':" + turn + "}",
                "{'kind':'resize-panels','panels':['" + panel + "'],'width':90,'height':70,'anchorX':0,'anchorY':0}",
                        "{'kind':'set-outline','panels':['" + panel + "'],'outline':{'kind':'heart'}}");
        same(pixels(moved, panel), pixels(sheet, "p1"));
        Sheet cut = after(moved, "{'kind':'cut','x1':0,'y1':0,'x2':400,'y2':300,'gap':2}");
        for (Panel piece : cut.panels()) same(pixels(cut, piece.id()), pixels(sheet, "p1"));
    }

    /** Carry: the panel takes its slice along, moved and turned; looking through again is exact. */
    @Tried(60)
    void carryingTakesTheSliceAlongAndTheWayBackIsExact(Chance chance) {
        double dx = chance.between(-30, 30);
        double turn = chance.between(-180, 180);
        int which = chance.whole(1, 4);
        Sheet sheet = after(vista(), "{'kind':'loosen','panels':['p2'],'offset':2,'zoom':0.1,'turn':3,'seed':5}");
        String panel = "p" + which;
        Affine was = sheet.holder(panel).seat().toSheet().inverse().after(pixels(sheet, panel));
        Sheet carried = after(sheet, "{'kind':'carry','panels':['" + panel + "'],'carried':true}");
        same(pixels(carried, panel), pixels(sheet, panel));
        Sheet moved = after(carried, "{'kind':'move-panels','panels':['" + panel + "'],'dx':" + dx + ",'dy':-5}",
                "{'kind':'turn-panels','panels':['" + panel + "'],'by':" + turn + "}");
        same(moved.holder(panel).seat().toSheet().inverse().after(pixels(moved, panel)), was);
        assertThat(whole(moved).covered()).isEqualTo(whole(sheet).covered());
        Sheet back = after(moved, "{'kind':'carry','panels':['" + panel + "'],'carried':false}");
        assertThat(back.holder(panel).content()).isEqualTo(sheet.holder(panel).content());
        assertThat(after(carried, "{'kind':'carry','panels':['" + panel + "'],'carried':false}")).isEqualTo(sheet);
        Point c = moved.holder(panel).seat().centre();
        Sheet cut = after(moved, "{'kind':'cut','x1':" + (c.x() - 300) + ",'y1':" + (c.y() - 40) + ",'x2':" + (c.x() + 300) + ",'y2':"
                + (c.y() + 40) + ",'gap':2,'panels':['" + panel + "']}");
        for (Panel piece : cut.panels())
            if (!sheet.panels().stream().anyMatch(p -> p.id().equals(piece.id())) || piece.id().equals(panel))
                same(pixels(cut, piece.id()), pixels(moved, panel));
    }

    /** Moved, zoomed and turned whole, the vista never leaves a panel bare while it is held; every slice follows alike, nudges kept. */
    @Tried(80)
    void theWholeVistaMovesAndStaysCovered(Chance chance) {
        double dx = chance.between(-80, 80);
        double dy = chance.between(-80, 80);
        double zoom = chance.between(60, 300);
        double turn = chance.between(-180, 180);
        Sheet sheet = vista();
        Sheet moved = after(sheet, "{'kind':'zoom-picture','panels':['p2'],'zoom':" + zoom + ",'whole':true}",
                "{'kind':'move-picture','panels':['p1','p3'],'dx':" + dx + ",'dy':" + dy + ",'whole':true}",
                "{'kind':'turn-picture','panels':['p4'],'turn':" + turn + ",'whole':true}");
        assertThat(whole(moved).covered()).isTrue();
        for (Panel panel : moved.panels()) {
            same(pixels(moved, panel.id()), pixels(moved, "p1"));
            assertThat(PanelState.coverage(moved, panel).orElseThrow().covered()).isTrue();
        }
        assertThat(moved.vistas().get(0).turn()).isCloseTo(turn == -180 ? 180 : turn, within(1e-9));
        Sheet free = after(sheet, "{'kind':'hold-covered','panels':['p1'],'held':false,'whole':true}",
                "{'kind':'move-picture','panels':['p1'],'dx':900,'dy':0,'whole':true}");
        assertThat(free.panels()).allMatch(p -> PanelState.of(free, p) == PanelState.BARE);
        Sheet again = after(free, "{'kind':'cover-again','panels':['p3'],'whole':true}");
        assertThat(whole(again).covered()).isTrue();
    }

    /** A picture edit of one panel nudges its slice against the vista, and only that; back in register is where it was. */
    @Test
    void aSliceIsNudgedAlone() {
        Sheet sheet = after(vista(), "{'kind':'zoom-picture','panels':['p1'],'zoom':140,'whole':true}");
        Sheet nudged = after(sheet, "{'kind':'move-picture','panels':['p2'],'dx':3,'dy':-2}",
                "{'kind':'turn-picture','panels':['p2'],'turn':-5}");
        assertThat(nudged.vistas()).isEqualTo(sheet.vistas());
        assertThat(nudged.holder("p1")).isEqualTo(sheet.holder("p1"));
        Pose shown = Vistas.shown(nudged, nudged.holder("p2")).orElseThrow().pose();
        assertThat(shown.turn()).isCloseTo(-5, within(1e-9));
        Affine before = pixels(nudged, "p2");
        // Moved whole by 4 mm, the nudged slice goes along.
        Sheet moved = after(nudged, "{'kind':'move-picture','panels':['p1'],'dx':4,'dy':0,'whole':true}");
        assertThat(pixels(moved, "p2").apply(Point.ORIGIN).distance(before.apply(Point.ORIGIN))).isBetween(3.9, 4.2);
        Sheet back = after(nudged, "{'kind':'loosen'," + ALL + ",'offset':0,'zoom':0,'turn':0,'seed':0}");
        assertThat(back).isEqualTo(sheet);
        assertThatThrownBy(() -> after(sheet, "{'kind':'mirror-picture','panels':['p2']}")).isInstanceOf(BadInput.class)
                .hasMessageContaining("Mirror the whole vista");
        assertThat(after(sheet, "{'kind':'mirror-picture','panels':['p2'],'whole':true}").vistas().get(0).mirrored()).isTrue();
        assertThat(new Loosen(List.of("p1", "p2"), 3, 0.1, 5, 9, false).apply(sheet))
                .isEqualTo(new Loosen(List.of("p1", "p2"), 3, 0.1, 5, 9, false).apply(sheet));
    }

    /** Leaving looks exactly the same; joining puts the slice back in register; a vista that nobody shows is forgotten. */
    @Test
    void panelsLeaveAndJoin() {
        Sheet sheet = after(vista(), "{'kind':'turn-picture','panels':['p1'],'turn':11,'whole':true}",
                "{'kind':'loosen','panels':['p3'],'offset':2,'zoom':0.1,'turn':3,'seed':5}");
        Sheet left = after(sheet, "{'kind':'leave-vista','panels':['p2','p3']}");
        for (String panel : List.of("p1", "p2", "p3", "p4")) same(pixels(left, panel), pixels(sheet, panel));
        assertThat(left.holder("p2").picture(-1)).isPresent();
        assertThat(left.members(sheet.vistas().get(0).id())).hasSize(2);
        Sheet joined = after(left, "{'kind':'join-vista','panels':['p2','p3'],'vista':'" + sheet.vistas().get(0).id() + "'}");
        same(pixels(joined, "p3"), pixels(sheet, "p1"));
        assertThat(after(left, "{'kind':'empty','panels':['p1','p4']}").vistas()).isEmpty();
        assertThat(after(sheet, "{'kind':'remove'," + ALL + "}").vistas()).isEmpty();
        assertThatThrownBy(() -> after(left, "{'kind':'leave-vista','panels':['p2']}")).hasMessageContaining("None of these panels");
    }

    /** A replacement lands in register whatever its pixels: half the size lies exactly as the whole did, another shape covers the frame. */
    @Test
    void aReplacementLandsInRegister() {
        Picture half = new Picture("a".repeat(64), "Dawn, small", 3000, 2000);
        Sheet sheet = new ShelvePictures(List.of(half))
                .apply(after(vista(), "{'kind':'turn-picture','panels':['p1'],'turn':8,'whole':true}"));
        Sheet small = after(sheet, "{'kind':'replace-vista','vista':'" + sheet.vistas().get(0).id() + "','picture':'" + half.id() + "'}");
        for (Panel panel : small.panels()) same(pixels(small, panel.id()).after(Affine.scale(0.5, 0.5)), pixels(sheet, panel.id()));
        Sheet tall = after(sheet, "{'kind':'replace-vista','vista':'" + sheet.vistas().get(0).id() + "','picture':'" + TALL.id() + "'}");
        assertThat(whole(tall).covered()).isTrue();
        assertThat(tall.vistas().get(0).centre()).isEqualTo(sheet.vistas().get(0).centre());
    }

    @Test
    void theSheetScalesWithItsVista() {
        Sheet sheet = after(vista(), "{'kind':'carry','panels':['p1'],'carried':true}",
                "{'kind':'move-panels','panels':['p1'],'dx':-5,'dy':-5}");
        Sheet scaled = after(sheet, "{'kind':'set-up-sheet','width':'800','height':'600','panels':'scale'}");
        for (Panel panel : sheet.panels()) {
            Point was = pixels(sheet, panel.id()).apply(new Point(3000, 2000));
            assertThat(pixels(scaled, panel.id()).apply(new Point(3000, 2000)).distance(was.times(2))).isLessThan(1e-6);
        }
    }

    /**
     * A slice keeps its vista's proportions; hand nudges are not loosened without a question, those of chance are; in the same place a
     * slice's whole vista is exchanged.
     */
    @Test
    void whatASliceIsNotAndIsAsked() {
        assertThatThrownBy(() -> after(vista(), "{'kind':'set-fit','panels':['p1'],'fit':'stretch'}")).isInstanceOf(BadInput.class)
                .hasMessageContaining("leave the vista first");
        String loosen = "{'kind':'loosen'," + ALL + ",'offset':2,'zoom':0.1,'turn':3,'seed':%d%s}";
        Sheet loose = after(vista(), String.format(loosen, 5, ""));
        Sheet again = after(loose, String.format(loosen, 6, ""));
        assertThat(again).isNotEqualTo(loose);
        Sheet nudged = after(loose, "{'kind':'move-picture','panels':['p2'],'dx':1,'dy':0}");
        assertThatThrownBy(() -> after(nudged, String.format(loosen, 6, ""))).isInstanceOf(AskFirst.class)
                .hasMessageContaining("nudged by hand");
        assertThat(after(nudged, String.format(loosen, 6, ",'agreed':true"))).isEqualTo(again);
        Sheet other = after(vista(), "{'kind':'replace-picture','panels':['p2'],'by':'" + TALL.id() + "'}");
        assertThat(other.vistas().get(0).picture()).isEqualTo(TALL.id());
    }

    /** The vista's vignette stays where it is over the picture: in a panel that leaves, and in one that is a page of its own. */
    @Test
    void aVignetteStaysWhereItWas() {
        PictureSource source = (id, share) -> Painted.scene(300, 200, BufferedImage.TYPE_3BYTE_BGR);
        Sheet sheet = after(vista(), "{'kind':'set-tone','of':{'panels':['p1'],'whole':true},'edge':-0.9,'begins':0.1}");
        Sheet left = after(sheet, "{'kind':'leave-vista','panels':['p2','p4']}");
        for (String panel : List.of("p2", "p4")) {
            Box within = sheet.element(panel).boundsOnSheet().grown(-20);
            assertThat(Painted.worst(RasterPainter.part(Scene.of(left), within, 30, source),
                    RasterPainter.part(Scene.of(sheet), within, 30, source))).isLessThanOrEqualTo(2);
        }
        assertThat(SheetJson.read(SheetJson.write(left))).isEqualTo(left);
        Page alone = Pages.of(sheet, Extent.BOXES, List.of("p1"), false).get(0);
        BufferedImage part = RasterPainter.part(alone.scene(), alone.box(), 30, source);
        Box there = sheet.element("p1").boundsOnSheet();
        BufferedImage same = RasterPainter.part(Scene.of(sheet), there, 30, source);
        assertThat(Painted.worst(part.getSubimage(1, 1, part.getWidth() - 2, part.getHeight() - 2),
                same.getSubimage(1, 1, part.getWidth() - 2, part.getHeight() - 2))).isLessThanOrEqualTo(3);
        // What follows a name follows it in another box, too; and a tone that is copied takes the box of its new form.
        Sheet named = after(left, "{'kind':'name-tone','of':{'panels':['p2']},'name':'Dusk'}");
        Sheet changed = after(named, "{'kind':'set-tone','of':{'panels':['p2']},'edge':-0.5}");
        assertThat(changed.styles().tones().get(0).tone().vignette().orElseThrow().frame()).isEmpty();
        assertThat(after(left, "{'kind':'copy-tone','from':'p2','layer':-1,'to':'selected','panels':['p2','p4']}").holder("p4")
                .pictures().get(0)
                .treatment().tone().vignette().orElseThrow().frame()).isEmpty();
    }
}
