package plainlantern.editing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static plainlantern.Sheets.DAWN;
import static plainlantern.Sheets.TALL;
import static plainlantern.Sheets.after;

import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import plainlantern.Chance;
import plainlantern.Tried;
import plainlantern.arranging.Axis;
import plainlantern.arranging.Groups;
import plainlantern.arranging.Seams;
import plainlantern.arranging.Snaps;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.editing.forms.MoveSeam;
import plainlantern.editing.placing.Paste;
import plainlantern.editing.reading.EditReader;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.geometry.Polygons;
import plainlantern.outline.RegularPolygon;
import plainlantern.scene.Scene;
import plainlantern.sheet.Element;
import plainlantern.sheet.Finish;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Shadow;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Words;

/** Placing panels: patterns laid and laid again, cuts, seams, corners, lining up, spacing, groups, the sheet's own numbers. */
class PlacingTest {
    private static final Sheet EMPTY = new ShelvePictures(List.of(DAWN, TALL)).apply(Sheet.empty("Open day", Unit.MM, 400, 300, 300));
    private static final String GRID = "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':2,'columns':3,"
            + "'gapAcross':6,'gapDown':6},'margins':{'top':15,'right':15,'bottom':15,'left':15}}";
    private static final String FILL = "{'kind':'fill','panels':['p1','p2','p3','p4','p5','p6'],'picture':'" + DAWN.id() + "'}";

    private static Sheet grid() {
        return after(EMPTY, GRID, FILL);
    }

    private static Sheet one(String outline, String seat) {
        return after(EMPTY, "{'kind':'add-panel','outline':" + outline + "}", "{'kind':'seat-panels','panels':['p1']," + seat + "}",
                "{'kind':'fill','panels':['p1'],'picture':'" + DAWN.id() + "'}", "{'kind':'zoom-picture','panels':['p1'],'zoom':140}");
    }

    private static Affine pixels(Sheet sheet, String panel) {
        return ((Scene.PaintedPicture) Scene.item(sheet, sheet.holder(panel)).layers().get(0)).pixelsToSheet();
    }

    private static void same(Affine one, Affine other) {
        for (Point p : new Point[] {Point.ORIGIN, new Point(6000, 0), new Point(0, 4000)})
            assertThat(one.apply(p).distance(other.apply(p))).isLessThan(1e-6);
    }

    private static Box box(Sheet sheet, String panel) {
        return sheet.holder(panel).boundsOnSheet();
    }

    /** The same pattern with other numbers: what was moved goes back, content and forms chosen by hand stay, the surplus asks first. */
    @Test
    void aPatternIsLaidAgainWithOtherNumbers() {
        Sheet moved = after(grid(), "{'kind':'move-panels','panels':['p2'],'dx':50,'dy':9}",
                "{'kind':'set-outline','panels':['p3'],'outline':{'kind':'ellipse'}}");
        String again = "{'kind':'lay-out','where':'again','panels':['p5'],'pattern':{'kind':'even-grid','rows':2,'columns':%d,"
                + "'gapAcross':'1 cm','gapDown':6}%s}";
        Sheet wide = after(moved, String.format(again, 4, ""));
        assertThat(wide.panels()).hasSize(8);
        assertThat(box(wide, "p2").x() - box(wide, "p1").right()).isCloseTo(10, within(1e-9));
        assertThat(wide.holder("p3").outline().label()).isEqualTo("ellipse");
        assertThat(wide.holder("p6").picture(-1)).isPresent();
        assertThat(wide.layouts()).hasSize(1);
        assertThatThrownBy(() -> after(moved, String.format(again, 2, ""))).isInstanceOf(AskFirst.class)
                .hasMessageContaining("2 filled panels").hasMessageContaining("Panel 5");
        Sheet less = after(moved, String.format(again, 2, ",'agreed':true"));
        assertThat(less.panels()).hasSize(4);
        Sheet comb = after(wide, "{'kind':'lay-out','where':'again','panels':['p1'],'pattern':{'kind':'honeycomb','rows':2,'columns':4,"
                + "'gap':3}}");
        assertThat(comb.holder("p1").outline()).isInstanceOf(RegularPolygon.class);
        assertThat(comb.holder("p3").outline().label()).isEqualTo("ellipse");
        assertThat(comb.holder("p6").picture(-1)).isPresent();
    }

    /** Into a panel, turned and round as it is: pieces keep to its form and turn; on top: what is there stays; locked ones stay too. */
    @Test
    void aPatternFillsAPanelOrComesOnTop() {
        Sheet round = one("{'kind':'ellipse'}", "'left':50,'top':50,'width':120,'height':90,'turn':30");
        Sheet inside = after(round, "{'kind':'lay-out','where':'inside','panels':['p1'],'pattern':{'kind':'even-grid','rows':3,"
                + "'columns':3,'gapAcross':2,'gapDown':2}}");
        assertThat(inside.panels()).hasSize(9).allMatch(p -> p.seat().turn() == 30);
        double whole = Polygons.area(round.holder("p1").pathOnSheet());
        for (Panel p : inside.panels()) {
            assertThat(Polygons.sharedArea(p.pathOnSheet(), round.holder("p1").pathOnSheet()))
                    .isCloseTo(Polygons.area(p.pathOnSheet()), within(0.2));
        }
        // Two gaps of 2 mm across the ellipse each way are missing, and where they cross is missing once.
        double gaps = 2 * 2 * 90 * Math.sqrt(1 - 1 / 9.0) + 2 * 2 * 120 * Math.sqrt(1 - 1 / 9.0) - 4 * 4;
        assertThat(inside.panels().stream().mapToDouble(p -> Polygons.area(p.pathOnSheet())).sum())
                .isCloseTo(whole - gaps, within(whole * 0.002));
        Sheet both = after(grid(), "{'kind':'lay-out','where':'add','area':{'x':10,'y':10,'width':100,'height':80},"
                + "'pattern':{'kind':'even-grid','rows':1,'columns':2,'gapAcross':4,'gapDown':0}}");
        assertThat(both.panels()).hasSize(8);
        assertThat(both.layouts()).hasSize(2);
        Sheet locked = after(grid(), "{'kind':'traits','panels':['p1'],'locked':true}", GRID.replace("'columns':3", "'columns':1")
                .replace("}}", "},'agreed':true}"));
        assertThat(locked.panels()).hasSize(3);
        assertThat(locked.holder("p1")).isEqualTo(after(grid(), "{'kind':'traits','panels':['p1'],'locked':true}").holder("p1"));
    }

    @Test
    void justifiedRowsBringTheirPictures() {
        Sheet rows = after(EMPTY, "{'kind':'lay-out','where':'replace','pattern':{'kind':'justified-rows','rows':1,'gap':5,"
                + "'pictures':true}}");
        assertThat(rows.panels()).extracting(p -> p.picture(-1).orElseThrow().own().orElseThrow().picture())
                .containsExactly(DAWN.id(), TALL.id());
        assertThatThrownBy(() -> after(Sheet.empty("s", Unit.MM, 100, 100, 300),
                "{'kind':'lay-out','where':'replace','pattern':{'kind':'justified-rows','rows':1,'gap':5}}"))
                .isInstanceOf(BadInput.class).hasMessageContaining("shelf is empty");
    }

    /** Any form, turned and mirrored or not: both sides keep the picture in place, are the gap apart and, with it, the whole. */
    @Tried(80)
    void aCutDividesInPlace(Chance chance) {
        double turn = chance.between(-170, 170);
        double gap = chance.between(0, 8);
        double off = chance.between(-30, 30);
        boolean mirrored = chance.flag();
        for (String outline : List.of("{'kind':'rectangle','topLeft':0,'topRight':0,'bottomRight':0,'bottomLeft':0}", "{'kind':'ellipse'}",
                "{'kind':'star','points':5,'inner':0.6,'rounding':0}")) {
            Sheet sheet = one(outline, "'left':120,'top':80,'width':150,'height':110,'turn':" + turn);
            if (mirrored) sheet = after(sheet, "{'kind':'mirror-panels','panels':['p1'],'axis':'across'}");
            Sheet cut = after(sheet, "{'kind':'cut','x1':0,'y1':" + (100 + off) + ",'x2':400,'y2':" + (170 - off) + ",'gap':" + gap + "}");
            assertThat(cut.panels()).extracting(Element::name).containsExactly("Panel 1", "Panel 2");
            same(pixels(sheet, "p1"), pixels(cut, "p1"));
            same(pixels(sheet, "p1"), pixels(cut, "p2"));
            double missing = Polygons.area(sheet.holder("p1").pathOnSheet()) - cut.panels().stream()
                    .mapToDouble(p -> Polygons.area(p.pathOnSheet())).sum();
            assertThat(missing).isBetween(-2.0, gap * 200 + 2);
            Point a = new Point(0, 100 + off);
            Point along = new Point(400, 70 - 2 * off).times(1 / Math.hypot(400, 70 - 2 * off));
            for (Panel panel : cut.panels()) {
                for (var ring : panel.pathOnSheet().flattened(4)) {
                    for (Point p : ring) assertThat(Math.abs((p.x() - a.x()) * along.y() - (p.y() - a.y()) * along.x()))
                            .isGreaterThanOrEqualTo(gap / 2 - 1e-6);
                }
            }
        }
    }

    /** Three lines that cross pairwise inside make seven pieces (lazy caterer's sequence); triangles and gaps are the whole. */
    @Test
    void threeCutsMakeATriangleLayout() {
        Sheet poster = after(EMPTY, "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':1,'columns':1,"
                + "'gapAcross':0,'gapDown':0},'margins':{'top':0,'right':0,'bottom':0,'left':0}}",
                "{'kind':'cut','x1':0,'y1':250,'x2':400,'y2':100,'gap':0}", "{'kind':'cut','x1':0,'y1':60,'x2':400,'y2':260,'gap':0}",
                        "{'kind':'cut','x1':100,'y1':0,'x2':220,'y2':300,'gap':0}");
        assertThat(poster.panels()).hasSize(7);
        assertThat(poster.panels().stream().mapToDouble(p -> Polygons.area(p.pathOnSheet())).sum()).isCloseTo(120_000, within(1e-6));
        // Corners that coincide move together, and nothing opens between them.
        Panel triangle = poster.panels().stream().filter(p -> p.ownPath().corners().orElseThrow().size() == 3
                && p.boundsOnSheet().x() > 50 && p.boundsOnSheet().right() < 350 && p.boundsOnSheet().y() > 20
                        && p.boundsOnSheet().bottom() < 280).findFirst().orElseThrow();
        Sheet moved = after(poster, "{'kind':'move-corner','panel':'" + triangle.id() + "','corner':0,'dx':4,'dy':-3}");
        assertThat(moved.panels().stream().mapToDouble(p -> Polygons.area(p.pathOnSheet())).sum()).isCloseTo(120_000, within(1e-6));
        assertThat(moved.panels().stream().filter(p -> !poster.panels().contains(p))).hasSize(4);
        Sheet apart = after(poster, "{'kind':'move-corner','panel':'" + triangle.id() + "','corner':0,'dx':4,'dy':-3,'apart':true}");
        assertThat(apart.panels().stream().filter(p -> !poster.panels().contains(p))).hasSize(1);
        assertThatThrownBy(() -> after(poster, "{'kind':'move-corner','panel':'" + triangle.id() + "','corner':0,'dx':400,'dy':400}"))
                .isInstanceOf(BadInput.class).hasMessageContaining("fold over");
        assertThatThrownBy(() -> after(poster, "{'kind':'cut','x1':0,'y1':-20,'x2':400,'y2':-20,'gap':0}"))
                .hasMessageContaining("crosses no panel");
    }

    /** A grid has one seam for each gap line; moved, both banks follow, the gap stays, and what is not along it stays. */
    @Test
    void aSeamMovesBothSides() {
        Sheet grid = grid();
        List<Seams.Seam> seams = Seams.of(grid);
        assertThat(seams).hasSize(3).allMatch(s -> Math.abs(s.gap() - 6) < 1e-9);
        Seams.Seam first = seams.stream().filter(s -> Math.abs(s.from().x() - s.to().x()) < 1e-9)
                .min((a, b) -> Double.compare(a.from().x(), b.from().x())).orElseThrow();
        assertThat(first.sides()).hasSize(4);
        Sheet moved = new MoveSeam(first.sides(), 12.5, 40).apply(grid);
        assertThat(box(moved, "p1").right()).isCloseTo(box(grid, "p1").right() + 12.5, within(1e-9));
        assertThat(box(moved, "p5").x() - box(moved, "p4").right()).isCloseTo(6, within(1e-9));
        assertThat(box(moved, "p5").right()).isCloseTo(box(grid, "p5").right(), within(1e-9));
        assertThat(moved.holder("p3")).isEqualTo(grid.holder("p3"));
        assertThat(Seams.of(moved)).hasSize(3);
        assertThatThrownBy(() -> new MoveSeam(first.sides(), -300, 0).apply(grid)).isInstanceOf(BadInput.class)
                .hasMessageContaining("vanish");
    }

    /** The leaning divider of a triptych moves square to itself: gap, lean and the outer sides stay. */
    @Test
    void aLeaningSeamMovesToo() {
        Sheet triptych = after(EMPTY, "{'kind':'lay-out','where':'replace','pattern':{'kind':'polyptych','weights':'1:2:1','gap':6,"
                + "'lean':8,'mirrored':true}}");
        List<Seams.Seam> seams = Seams.of(triptych);
        assertThat(seams).hasSize(2).allMatch(s -> Math.abs(s.gap() - 6) < 1e-9 && s.sides().size() == 2);
        Seams.Seam seam = seams.get(0);
        Point way = seam.to().minus(seam.from());
        Point square = new Point(-way.y(), way.x()).times(10 / Math.hypot(way.x(), way.y()));
        Sheet moved = new MoveSeam(seam.sides(), square.x(), square.y()).apply(triptych);
        double before = triptych.panels().stream().mapToDouble(p -> Polygons.area(p.pathOnSheet())).sum();
        assertThat(moved.panels().stream().mapToDouble(p -> Polygons.area(p.pathOnSheet())).sum()).isCloseTo(before, within(1e-6));
        assertThat(Seams.of(moved).get(0).gap()).isCloseTo(6, within(1e-9));
        assertThat(around(moved)).isEqualTo(around(triptych));
    }

    private static Box around(Sheet sheet) {
        Box box = Groups.box(sheet.panels());
        return new Box(Math.rint(box.x() * 1e6) / 1e6, Math.rint(box.y() * 1e6) / 1e6, Math.rint(box.width() * 1e6) / 1e6,
                Math.rint(box.height() * 1e6) / 1e6);
    }

    /** Panels of 20, 30 and 50 mm at 0, 100 and 300 mm from the left. */
    private static Sheet three() {
        Sheet now = EMPTY;
        String[] seats = {"'left':0,'top':10,'width':20,'height':20", "'left':100,'top':40,'width':30,'height':30",
                "'left':300,'top':90,'width':50,'height':50"};
        for (int i = 0; i < 3; i++) {
            now = after(now, "{'kind':'add-panel','outline':{'kind':'rectangle','topLeft':0,'topRight':0,'bottomRight':0,'bottomLeft':0}}",
                    "{'kind':'seat-panels','panels':['p" + (i + 1) + "']," + seats[i] + "}");
        }
        return now;
    }

    private static String edit(String kind, String rest) {
        return "{'kind':'" + kind + "','panels':['p1','p2','p3']," + rest + "}";
    }

    @Test
    void panelsLineUp() {
        assertThat(box(after(three(), edit("align", "'line':'right','to':'selection'")), "p1").right()).isCloseTo(350, within(1e-9));
        assertThat(box(after(three(), edit("align", "'line':'middle','to':'sheet'")), "p3").centre().y()).isCloseTo(150, within(1e-9));
        assertThat(box(after(three(), edit("align", "'line':'left','to':'margins'")), "p2").x()).isCloseTo(15, within(1e-9));
        Sheet key = after(three(), edit("align", "'line':'top','to':'key','key':'p2'"));
        assertThat(List.of(box(key, "p1").y(), box(key, "p2").y(), box(key, "p3").y())).containsExactly(40.0, 40.0, 40.0);
        assertThatThrownBy(() -> after(three(), "{'kind':'align','panels':['p1'],'line':'left','to':'selection'}"))
                .hasMessageContaining("Select two panels");
        // A group keeps its inner distances.
        Sheet grouped = after(three(), "{'kind':'group','panels':['p1','p2'],'together':true}",
                edit("align", "'line':'right','to':'sheet'"));
        assertThat(box(grouped, "p2").right()).isCloseTo(400, within(1e-9));
        assertThat(box(grouped, "p2").x() - box(grouped, "p1").right()).isCloseTo(80, within(1e-9));
    }

    @Test
    void panelsAreSpacedEvenly() {
        Sheet middles = after(three(), edit("space", "'how':'middles-across'"));
        assertThat(box(middles, "p2").centre().x()).isCloseTo((10 + 325) / 2.0, within(1e-9));
        Sheet shared = after(three(), edit("space", "'how':'gaps-across'"));
        assertThat(box(shared, "p2").x()).isCloseTo(20 + 125, within(1e-9));
        Sheet typed = after(three(), edit("space", "'how':'gaps-down','gap':'1 cm'"));
        assertThat(List.of(box(typed, "p1").y(), box(typed, "p2").y(), box(typed, "p3").y())).containsExactly(10.0, 40.0, 80.0);
        Sheet packed = after(three(), edit("space", "'how':'pack','gap':4"));
        assertThat(List.of(box(packed, "p1").x(), box(packed, "p2").x(), box(packed, "p3").x())).containsExactly(0.0, 24.0, 58.0);
        assertThat(box(packed, "p3").y()).isCloseTo(10, within(1e-9));
        assertThatThrownBy(() -> after(three(), "{'kind':'space','panels':['p1','p2'],'how':'gaps-across'}"))
                .hasMessageContaining("three panels");
    }

    /** Mirrored or swapped twice, turned there and back, raised and lowered: as before. */
    @ParameterizedTest
    @ValueSource(strings = {"'mirror-panels','panels':['p1','p2'],'axis':'across'} | {'kind':'mirror-panels','panels':['p1','p2'],"
            + "'axis':'across'",
        "'mirror-panels','panels':['p1','p2'],'axis':'down'} | {'kind':'mirror-panels','panels':['p1','p2'],'axis':'down'",
                "'swap-seats','one':'p1','other':'p3'} | {'kind':'swap-seats','one':'p1','other':'p3'",
        "'turn-panels','panels':['p1','p2'],'by':90} | {'kind':'turn-panels','panels':['p1','p2'],'by':-90",
                "'raise','panels':['p1','p2'],'to':'forward'} | {'kind':'raise','panels':['p1','p2'],'to':'backward'",
        "'raise','panels':['p1'],'to':'front'} | {'kind':'raise','panels':['p1'],'to':'bottom'",
                "'traits','panels':['p1'],'locked':true,'hidden':true} | {'kind':'traits','panels':['p1'],'locked':false,'hidden':false"})
    void thereAndBack(String edits) {
        Sheet grid = after(grid(), "{'kind':'turn-panels','panels':['p1'],'by':20}");
        String[] both = ("{'kind':" + edits + "}").split(" \\| ");
        Sheet there = after(grid, both[0]);
        Sheet back = after(there, both[1]);
        assertThat(there).isNotEqualTo(grid);
        assertThat(back.elements()).extracting(Element::id).containsExactlyElementsOf(grid.elements().stream().map(Element::id).toList());
        for (Panel panel : grid.panels()) {
            assertThat(back.holder(panel.id()).seat().centre().distance(panel.seat().centre())).isLessThan(1e-9);
            assertThat(back.holder(panel.id()).seat().turn()).isCloseTo(panel.seat().turn(), within(1e-9));
            assertThat(back.holder(panel.id()).seat().mirrored()).isEqualTo(panel.seat().mirrored());
        }
    }

    @Test
    void lockedPanelsStayAndHiddenOnesAreNotPainted() {
        Sheet locked = after(grid(), "{'kind':'traits','panels':['p1'],'locked':true}");
        Sheet moved = after(locked, "{'kind':'move-panels','panels':['p1','p2'],'dx':5,'dy':0}",
                "{'kind':'turn-panels','panels':['p1','p2'],'by':10}", "{'kind':'remove','panels':['p1','p3']}");
        assertThat(moved.holder("p1")).isEqualTo(locked.holder("p1"));
        assertThat(moved.panels()).hasSize(5);
        assertThatThrownBy(() -> after(locked, "{'kind':'remove','panels':['p1']}")).isInstanceOf(BadInput.class)
                .hasMessageContaining("Unlock it first");
        Sheet hidden = after(grid(), "{'kind':'traits','panels':['p2'],'hidden':true}");
        assertThat(Scene.of(hidden).items()).hasSize(5).noneMatch(i -> i.element().equals("p2"));
    }

    /** With the modifier the picture stays on the sheet while its panel is sized, turned panels too. */
    @Tried(40)
    void aStillPictureStaysOnTheSheet(Chance chance) {
        double turn = chance.between(-170, 170);
        double width = chance.between(40, 100);
        Sheet sheet = one("{'kind':'ellipse'}", "'left':120,'top':80,'width':100,'height':80,'turn':" + turn);
        Sheet sized = after(sheet, "{'kind':'resize-panels','panels':['p1'],'width':" + width
                + ",'height':60,'anchorX':-1,'anchorY':1,'still':true}");
        same(pixels(sheet, "p1"), pixels(sized, "p1"));
    }

    @Test
    void copiesInSteps() {
        Sheet copies = after(three(), "{'kind':'group','panels':['p1','p2'],'together':true}",
                "{'kind':'duplicate','panels':['p1','p2'],'dx':'1 cm','dy':5,'copies':'3'}");
        assertThat(copies.panels()).hasSize(9);
        assertThat(box(copies, "p10").x()).isCloseTo(130, within(1e-9));
        assertThat(copies.panels().stream().map(Panel::group).filter(g -> !g.isEmpty()).distinct()).hasSize(4);
        assertThatThrownBy(() -> after(three(), "{'kind':'duplicate','panels':['p1'],'dx':1,'dy':1,'copies':'2.5'}"))
                .isInstanceOf(BadInput.class);
        Sheet pasted = new Paste(grid().elements().subList(0, 2), List.of(DAWN), 7, 0).apply(Sheet.empty("Other", Unit.MM, 200, 100, 300));
        assertThat(pasted.panels()).hasSize(2);
        assertThat(box(pasted, "p1").x()).isCloseTo(22, within(1e-9));
        assertThat(pasted.holder("p2").picture(-1)).isPresent();
    }

    @Test
    void theSheetIsSetUpAnewAndItsPanelsFollowOrStay() {
        String size = "{'kind':'set-up-sheet','width':'800','height':'600','panels':'%s'}";
        assertThat(box(after(grid(), String.format(size, "leave")), "p1")).isEqualTo(box(grid(), "p1"));
        Sheet scaled = after(grid(), String.format(size, "scale"));
        assertThat(box(scaled, "p6").right()).isCloseTo(770, within(1e-9));
        assertThat(scaled.margins().left()).isCloseTo(30, within(1e-9));
        Sheet again = after(grid(), String.format(size, "again"));
        assertThat(box(again, "p6").right()).isCloseTo(785, within(1e-9));
        assertThat(box(again, "p2").x() - box(again, "p1").right()).isCloseTo(6, within(1e-9));
        // On a sheet in pixels another ppi keeps the pixels: 225 px at 300 ppi are 3/4 in, at 150 ppi one and a half.
        Sheet screen = after(Sheet.empty("Card", Unit.PX, 254, 127, 300), "{'kind':'add-panel','outline':{'kind':'ellipse'}}",
                "{'kind':'seat-panels','panels':['p1'],'width':'225','height':'225'}");
        assertThat(screen.holder("p1").seat().width()).isCloseTo(19.05, within(1e-9));
        assertThat(after(screen, "{'kind':'set-up-sheet','ppi':'150'}").holder("p1").seat().width()).isCloseTo(38.1, within(1e-9));
        assertThatThrownBy(() -> after(grid(), "{'kind':'set-up-sheet','left':'500'}"))
                .isInstanceOfSatisfying(BadInput.class, e -> assertThat(e.field()).isEqualTo("left"));
        assertThatThrownBy(() -> after(grid(), "{'kind':'set-up-sheet','width':'0'}"))
                .isInstanceOfSatisfying(BadInput.class, e -> assertThat(e.field()).isEqualTo("width"));
    }

    /** What catches: sides and middles of others, margins, columns, guides; and the place at which two gaps are equal. */
    @Test
    void whatCatchesADrag() {
        Sheet sheet = after(three(), "{'kind':'set-guides','columns':2,'gutter':10,'own':[{'upright':true,'at':77}]}");
        Snaps snaps = Snaps.of(sheet, List.of("p3"));
        List<Double> across = snaps.lines().stream().filter(l -> l.axis() == Axis.ACROSS).map(l -> Math.rint(l.at() * 1e6) / 1e6).toList();
        assertThat(across).contains(0.0, 20.0, 10.0, 100.0, 130.0, 115.0, 15.0, 385.0, 195.0, 205.0, 77.0, 200.0, 400.0, -3.0, 403.0)
                .doesNotContain(300.0);
        Sheet row = after(three(), edit("align", "'line':'top','to':'sheet'"));
        List<Snaps.Even> evens = Snaps.of(row, List.of("p3")).evens();
        assertThat(evens).anyMatch(e -> e.axis() == Axis.ACROSS && Math.abs(e.gap() - 80) < 1e-9 && Math.abs(e.start() - 210) < 1e-9);
        assertThat(evens).anyMatch(e -> e.axis() == Axis.ACROSS && Math.abs(e.gap() - 15) < 1e-9 && Math.abs(e.start() - 35) < 1e-9);
        // In a grid of ten by ten each place is told once, not once for each row or column.
        Sheet grid = after(three(), "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':10,'columns':10,"
                + "'gapAcross':4,'gapDown':4}}");
        List<Snaps.Even> once = Snaps.of(grid, List.of(grid.elements().get(55).id())).evens();
        assertThat(once.stream().map(e -> List.of(e.axis(), Math.round(e.start() * 1e4), Math.round(e.gap() * 1e4)))
                .filter(e -> e.get(0) == Axis.ACROSS).distinct().count()).isLessThanOrEqualTo(30);
        assertThat(once).hasSizeLessThan(80);
        assertThatThrownBy(() -> after(three(), "{'kind':'set-guides','columns':50,'gutter':'2 cm'}"))
                .isInstanceOfSatisfying(BadInput.class, e -> assertThat(e.field()).isEqualTo("gutter"));
        assertThat(Snaps.of(after(sheet, "{'kind':'set-guides','snap':'PANELS'}"), List.of("p3")).evens()).isEmpty();
    }

    /** Numbers that no hand draws are refused in words as well. */
    @ParameterizedTest
    @ValueSource(strings = {"{'kind':'cut','x1':-1e300,'y1':0,'x2':1e300,'y2':1,'gap':0}",
            "{'kind':'cut','x1':1e400,'y1':0,'x2':0,'y2':1,'gap':0}", "{'kind':'cut','x1':5,'y1':5,'x2':5,'y2':5.1,'gap':0}",
        "{'kind':'lay-out','where':'add','pattern':{'kind':'shards','count':5,'gap':0,'evenness':0,'seed':1},'area':{'x':0,'y':0,"
                + "'width':1e308,'height':9}}",
        "{'kind':'lay-out','where':'add','pattern':{'kind':'shards','count':5,'gap':0,'evenness':0,'seed':1},'area':{'x':0,'y':0,"
                + "'width':0,'height':9}}",
        "{'kind':'lay-out','where':'add','pattern':null}", "{'kind':'move-corner','panel':'p1','corner':0,'dx':1e400,'dy':0}",
                "{'kind':'move-corner','panel':'p1','corner':7,'dx':1,'dy':0}",
        "{'kind':'move-seam','sides':[{'panel':'p1','side':9}],'dx':1,'dy':0}", "{'kind':'move-seam','sides':[],'dx':1,'dy':0}",
                "{'kind':'turn-panels','panels':['p1'],'by':1e300}", "{'kind':'move-panels','panels':['p1'],'dx':1e300,'dy':0}",
        "{'kind':'set-guides','columns':'2.5'}", "{'kind':'set-guides','rows':'-3'}",
                "{'kind':'same-size','panels':['p1'],'key':'p99','width':true}", "{'kind':'set-up-sheet','unit':'ell'}",
                "{'kind':'set-up-sheet','ppi':'0'}"})
    void whatNoHandDrawsIsRefusedInWords(String edit) {
        assertThatThrownBy(() -> after(grid(), edit)).isInstanceOf(BadInput.class).hasMessageEndingWith(".");
    }

    @Test
    void formsArePulledByTheirHandles() {
        Sheet sheet = one("{'kind':'rectangle','topLeft':0,'topRight':0,'bottomRight':0,'bottomLeft':0}",
                "'left':0,'top':0,'width':100,'height':60");
        assertThat(after(sheet, "{'kind':'pull-outline','panel':'p1','grip':'top-left','x':-40,'y':-20}").holder("p1").outline().toString())
                .contains("topLeft=10.0").contains("bottomRight=10.0");
        assertThat(after(sheet, "{'kind':'pull-outline','panel':'p1','grip':'top-left','x':-40,'y':-20,'alone':true}").holder("p1")
                .outline().toString()).contains("bottomRight=0.0");
        assertThatThrownBy(() -> after(sheet, "{'kind':'pull-outline','panel':'p1','grip':'inner','x':0,'y':0}"))
                .isInstanceOf(BadInput.class);
    }

    /** A panel that is mirrored is filled as it looks: no piece reaches out of it, and what it shows looks the same. */
    @Test
    void aPatternFillsAMirroredForm() {
        Sheet slanted = after(one("{'kind':'slanted','left':0.5,'right':0}", "'left':50,'top':50,'width':120,'height':90,'turn':20"),
                "{'kind':'mirror-panels','panels':['p1'],'axis':'across'}");
        Sheet inside = after(slanted, "{'kind':'lay-out','where':'inside','panels':['p1'],"
                + "'pattern':{'kind':'even-grid','rows':2,'columns':2,'gapAcross':0,'gapDown':0}}");
        var whole = slanted.holder("p1").pathOnSheet();
        assertThat(inside.panels().stream().mapToDouble(p -> Polygons.sharedArea(p.pathOnSheet(), whole)).sum())
                .isCloseTo(Polygons.area(whole), within(1e-6 * Polygons.area(whole)));
        assertThat(pixels(inside, "p1").determinant()).as("mirrored as before").isNegative();
    }

    /** Rows are kept: two by two stay two by two. What stands in no row or column is spaced all together. */
    @Test
    void equalGapsKeepRows() {
        Sheet two = after(EMPTY, GRID.replace("'columns':3", "'columns':2"),
                "{'kind':'space','panels':['p1','p2','p3','p4'],'how':'gaps-across','gap':'20'}");
        for (String[] row : new String[][] {{"p1", "p2"}, {"p3", "p4"}}) {
            assertThat(box(two, row[1]).x() - box(two, row[0]).right()).isCloseTo(20, within(1e-9));
            assertThat(box(two, row[0]).x()).isCloseTo(15, within(1e-9));
        }
        assertThatThrownBy(() -> after(two, "{'kind':'space','panels':['p1','p2','p3','p4'],'how':'gaps-across','gap':''}"))
                .isInstanceOf(BadInput.class).hasMessageContaining("three panels or more in a row");
        String panel = "{'kind':'add-panel','outline':{'kind':'ellipse'},'x':%d,'y':%d,'width':10,'height':10}";
        Sheet stairs = after(EMPTY, String.format(panel, 20, 20), String.format(panel, 50, 60), String.format(panel, 100, 100),
                "{'kind':'space','panels':['p1','p2','p3'],'how':'gaps-across','gap':''}");
        assertThat(box(stairs, "p2").centre().x()).isCloseTo(60, within(1e-9));
    }

    /**
     * An end that passes the next panel's edge by less than two millimetres does not divide it; by more, or where that panel is meant, it
     * does.
     */
    @Test
    void aCutThatSlipsAHairDividesNoNeighbour() {
        Sheet pair = after(EMPTY, GRID.replace("'rows':2,'columns':3", "'rows':1,'columns':2"));
        double edge = box(pair, "p2").x();
        String cut = "{'kind':'cut','x1':0,'y1':100,'x2':%s,'y2':100,'gap':2,'panels':%s}";
        assertThat(after(pair, String.format(Locale.ROOT, cut, edge + 1.5, "[]")).panels()).hasSize(3);
        assertThat(after(pair, String.format(Locale.ROOT, cut, edge + 2.5, "[]")).panels()).hasSize(4);
        assertThat(after(pair, String.format(Locale.ROOT, cut, edge + 1.5, "['p1','p2']")).panels()).hasSize(4);
    }

    /** What stays put, proportions and still pictures hold for typed sizes, too; a rounded form's place and size are of one box. */
    @Test
    void typedSizesKeepWhatTheyAreToldToKeep() {
        Sheet sheet = one("{'kind':'polygon','sides':5,'rounding':8,'flat':false}", "'left':100,'top':80,'width':60,'height':40");
        assertThat(box(sheet, "p1")).isEqualTo(new Box(100, 80, 60, 40));
        Sheet right = after(sheet, "{'kind':'seat-panels','panels':['p1'],'width':90,'anchorX':1,'anchorY':0,'alike':true}");
        assertThat(box(right, "p1").right()).isCloseTo(160, within(1e-9));
        assertThat(box(right, "p1").height()).isCloseTo(60, within(1e-9));
        assertThat(box(right, "p1").centre().y()).isCloseTo(100, within(1e-9));
        same(pixels(sheet, "p1"), pixels(after(sheet, "{'kind':'seat-panels','panels':['p1'],'width':50,'left':104,'still':true}"), "p1"));
        same(pixels(sheet, "p1"), pixels(after(sheet, "{'kind':'move-panels','panels':['p1'],'dx':4,'dy':-3,'still':true}"), "p1"));
    }

    /** A regular six becomes a regular five of the same box area; one stretched on purpose stays stretched. */
    @Test
    void regularFormsStayRegular() {
        double aspect = new RegularPolygon(6, 0, false).aspect();
        Sheet six = one("{'kind':'polygon','sides':6,'rounding':0,'flat':false}", "'left':100,'top':80,'width':" + 50 * aspect
                + ",'height':50");
        Sheet five = after(six, "{'kind':'set-outline','panels':['p1'],'outline':{'kind':'polygon','sides':5,'rounding':0,'flat':false}}");
        List<Point> corners = five.holder("p1").ownPath().corners().orElseThrow();
        double side = corners.get(0).distance(corners.get(1));
        for (int i = 1; i < 5; i++) assertThat(corners.get(i).distance(corners.get((i + 1) % 5))).isCloseTo(side, within(1e-9));
        assertThat(five.holder("p1").seat().width() * five.holder("p1").seat().height()).isCloseTo(2500 * aspect, within(1e-6));
        Sheet wide = after(six, "{'kind':'seat-panels','panels':['p1'],'width':90}",
                "{'kind':'set-outline','panels':['p1'],'outline':{'kind':'polygon','sides':5,'rounding':0,'flat':false}}");
        assertThat(wide.holder("p1").seat().width()).isEqualTo(90);
    }

    /**
     * On a pixel sheet the edges of level rectangles fall on whole pixels, whatever the numbers; margins and what nobody typed are whole,
     * too; inches are round.
     */
    @Test
    void whatNobodyTypedIsRoundInTheSheetsUnit() {
        double px = Unit.PX.inMm(96);
        Sheet screen = Sheet.empty("Screen", Unit.PX, 1001 * px, 701 * px, 96);
        assertThat(screen.margins().left() / px).isCloseTo(35, within(1e-9));
        Sheet bond = after(screen, "{'kind':'lay-out','where':'replace','pattern':"
                + "{'kind':'running-bond','rows':7,'columns':6,'gapAcross':'3','gapDown':'3','offset':0.37}}");
        for (Panel panel : bond.panels()) {
            Box box = panel.boundsOnSheet();
            for (double edge : List.of(box.x(), box.y(), box.right(), box.bottom()))
                assertThat(edge / px).isCloseTo(Math.rint(edge / px), within(1e-6));
        }
        Sheet shaded = after(bond, "{'kind':'set-shadow','panels':['p1'],'on':true}");
        var shadow = shaded.holder("p1").finish().shadow().orElseThrow();
        assertThat(List.of(shadow.distance() / px, shadow.blur() / px))
                .allSatisfy(length -> assertThat(length).isCloseTo(Math.rint(length), within(1e-9)));
        Sheet letter = Sheet.empty("Letter", Unit.IN, 8.5 * 25.4, 11 * 25.4, 300);
        assertThat(List.of(letter.margins().left() / 25.4, letter.bleed() / 25.4)).containsExactly(0.5, 1 / 8.0);
    }

    /** A panel is drawn into a box, or set where somebody clicked in its usual size; copies have names that tell them apart. */
    @Test
    void onePanelIsDrawnAndCopiesAreToldApart() {
        Sheet drawn = after(EMPTY, "{'kind':'add-panel','outline':{'kind':'heart'},'x':50,'y':60,'width':30,'height':20}",
                "{'kind':'add-panel','outline':{'kind':'ellipse'},'x':90,'y':60}");
        assertThat(box(drawn, "p1")).isEqualTo(new Box(35, 50, 30, 20));
        assertThat(box(drawn, "p2")).isEqualTo(new Box(40, 10, 100, 100));
        Sheet copies = after(drawn, "{'kind':'rename','panel':'p1','name':'Sky'}",
                "{'kind':'duplicate','panels':['p1'],'dx':1,'dy':0,'copies':'3'}");
        assertThat(copies.panels()).extracting(Element::name).containsExactly("Sky", "Panel 2", "Sky 2", "Sky 3", "Sky 4");
    }

    /** Laid again on a smaller sheet a pattern may lose filled panels: that is asked first, and agreed to it is done. */
    @Test
    void aSmallerSheetAsksBeforeItLosesContent() {
        Sheet full = after(new ShelvePictures(List.of(DAWN)).apply(Sheet.empty("Badges", Unit.MM, 200, 100, 300)),
                "{'kind':'lay-out','where':'replace','pattern':{'kind':'step-and-repeat','width':40,'height':40,'gapAcross':2,"
                        + "'gapDown':2}}",
                "{'kind':'fill','panels':['p1','p5','p8'],'picture':'" + DAWN.id() + "'}");
        Edit smaller = EditReader.read("{\"kind\":\"set-up-sheet\",\"width\":\"100 mm\",\"panels\":\"again\"}", full);
        assertThatThrownBy(() -> smaller.on(full)).isInstanceOf(AskFirst.class).hasMessageContaining("would go");
        assertThat(smaller.agreedTo().on(full).panels()).hasSizeLessThan(full.panels().size());
    }

    /**
     * "Scale with the sheet" scales all that has a length: letters, rims, radii, shadows, soft edges, bleed, margins, gaps, guides, named
     * finishes.
     */
    @Test
    void everythingGrowsWithItsSheet() {
        Sheet small = after(grid(), "{'kind':'add-caption','text':'High water'}",
                "{'kind':'set-finish','panels':['p1'],'width':1,'feather':2}",
                "{'kind':'set-shadow','panels':['p1'],'distance':3,'blur':4,'spread':0.5}",
                        "{'kind':'name-finish','panels':['p1'],'name':'Gallery'}",
                "{'kind':'set-outline','panels':['p2'],'outline':{'kind':'rectangle','topLeft':2,'topRight':0,'bottomRight':0,"
                        + "'bottomLeft':0}}",
                "{'kind':'set-guides','columns':2,'gutter':4,'own':[{'upright':true,'at':10}]}");
        Sheet large = after(small, "{'kind':'set-up-sheet','width':" + small.width() * 2 + ",'height':" + small.height() * 2
                + ",'panels':'scale'}");
        Finish finish = large.element("p1").finish();
        assertThat(finish.rim().orElseThrow().width()).isEqualTo(2);
        assertThat(finish.feather()).isEqualTo(4);
        assertThat(finish.shadow().orElseThrow()).extracting(Shadow::distance, Shadow::blur, Shadow::spread).containsExactly(6.0, 8.0, 1.0);
        assertThat(large.styles().finishes().get(0).finish()).isEqualTo(finish);
        assertThat(large.holder("p2").outline().radii()).containsExactly(4.0, 0.0, 0.0, 0.0);
        Words words = words(small);
        assertThat(words(large).style().size()).isCloseTo(2 * words.style().size(), within(1e-12));
        assertThat(words(large).boxed().orElseThrow().padding()).isCloseTo(2 * words.boxed().orElseThrow().padding(), within(1e-12));
        assertThat(large.bleed()).isEqualTo(2 * small.bleed());
        assertThat(large.margins().top()).isEqualTo(2 * small.margins().top());
        assertThat(large.guides().gutter()).isEqualTo(8);
        assertThat(large.guides().own().get(0).at()).isEqualTo(20);
        Sheet again = after(large, "{'kind':'set-up-sheet','width':" + large.width() + ",'height':" + large.height()
                + ",'panels':'again'}");
        for (Panel panel : large.panels())
            assertThat(again.element(panel.id()).seat().centre().distance(panel.seat().centre())).isLessThan(1e-9);
    }

    private static Words words(Sheet sheet) {
        return sheet.holders().stream().flatMap(h -> h.content().stream()).flatMap(c -> c.words().stream()).findFirst().orElseThrow();
    }
}
