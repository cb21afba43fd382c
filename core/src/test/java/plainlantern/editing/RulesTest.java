package plainlantern.editing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static plainlantern.Sheets.after;

import java.util.List;
import org.junit.jupiter.api.Test;
import plainlantern.Sheets;
import plainlantern.arranging.Seams;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.editing.forms.MoveSeam;
import plainlantern.fitting.PanelState;
import plainlantern.geometry.Point;
import plainlantern.sheet.Element;
import plainlantern.sheet.Rule;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;

/** Plain lines on the sheet, by hand and along gaps. */
class RulesTest {
    private static Sheet grid() {
        return after(Sheet.empty("Rules", Unit.MM, 200, 200, 300),
                "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':2,'columns':3,'gapAcross':4,'gapDown':6},"
                        + "'margins':{'top':10,'right':10,'bottom':10,'left':10}}");
    }

    private static List<Rule> rules(Sheet sheet) {
        return sheet.elements().stream().flatMap(e -> e.rule().stream()).toList();
    }

    private static Point end(Element rule, int way) {
        return rule.seat().toSheet().apply(new Point(way * rule.seat().width() / 2, 0));
    }

    /** Its ends are where they were drawn, its width is a length; it holds no picture, keeps its form, and a form is no rule. */
    @Test
    void aRuleIsALine() {
        Sheet drawn = after(grid(), "{'kind':'add-rule','x1':20,'y1':30,'x2':120,'y2':80,'width':'2 pt'}",
                "{'kind':'set-finish','panels':['p7'],'dash':'dashed','ends':'round'}");
        Element rule = drawn.element("p7");
        assertThat(end(rule, -1).distance(new Point(20, 30))).isLessThan(1e-9);
        assertThat(end(rule, 1).distance(new Point(120, 80))).isLessThan(1e-9);
        assertThat(rule.finish().rim().orElseThrow().width()).isCloseTo(2 * 25.4 / 72, within(1e-12));
        assertThat(PanelState.of(drawn, rule)).isEqualTo(PanelState.COVERED);
        assertThat(after(drawn, "{'kind':'clear-finish','panels':['p7']}").element("p7").finish().rim())
                .as("a rule without a line is none").isPresent();
        assertThat(SheetJson.read(SheetJson.write(drawn))).isEqualTo(drawn);
        assertThatThrownBy(() -> after(drawn, "{'kind':'set-finish','panels':['p1','p7'],'width':0}")).isInstanceOf(BadInput.class)
                .extracting("field").isEqualTo("width");
        assertThatThrownBy(() -> after(drawn, "{'kind':'set-outline','panels':['p7'],'outline':{'kind':'heart'}}"))
                .isInstanceOf(BadInput.class).hasMessageContaining("straight");
        assertThatThrownBy(() -> after(drawn, "{'kind':'set-outline','panels':['p1'],'outline':{'kind':'straight'}}"))
                .isInstanceOf(BadInput.class);
        assertThatThrownBy(() -> after(drawn, "{'kind':'add-layer','panels':['p7'],'what':'words'}")).isInstanceOf(BadInput.class)
                .hasMessageContaining("line");
        assertThatThrownBy(() -> after(drawn, "{'kind':'add-rule','x1':20,'y1':30,'x2':20,'y2':30}")).isInstanceOf(BadInput.class)
                .hasMessageContaining("longer");
    }

    /** What is meant for panels passes over captions and rules that are selected with them, and says so where nothing else is. */
    @Test
    void picturesGoIntoPanelsAlone() {
        Sheet mixed = after(new ShelvePictures(List.of(Sheets.DAWN)).apply(grid()), "{'kind':'add-rule','x1':20,'y1':30,'x2':120,'y2':80}",
                "{'kind':'add-caption'}",
                "{'kind':'fill','panels':['p1','p7','p8'],'picture':'" + Sheets.DAWN.id() + "'}",
                        "{'kind':'make-vista','panels':['p2','p3','p7'],'picture':'" + Sheets.DAWN.id() + "'}",
                "{'kind':'empty','panels':['p1','p8']}");
        assertThat(mixed.holder("p1").content()).isEmpty();
        assertThat(mixed.holder("p8").content()).hasSize(2);
        assertThat(mixed.holder("p3").slice()).isPresent();
        assertThatThrownBy(() -> after(mixed, "{'kind':'fill','panels':['p8'],'picture':'" + Sheets.DAWN.id() + "'}"))
                .isInstanceOf(BadInput.class).hasMessageContaining("Captions and rules");
    }

    /** One line in the middle of each gap, however many panels lie along it, or exactly as wide; made once. */
    @Test
    void rulesLieInTheGaps() {
        Sheet along = after(grid(), "{'kind':'rules-along','width':1}");
        assertThat(rules(along)).hasSize(3);
        Element across = rules(along).stream().filter(r -> Math.abs(r.seat().turn()) < 1e-6 || Math.abs(r.seat().turn()) > 179)
                .findFirst().orElseThrow();
        assertThat(across.seat().centre().y()).isCloseTo(100, within(1e-9));
        assertThat(across.seat().width()).isCloseTo(180, within(1e-9));
        assertThatThrownBy(() -> after(along, "{'kind':'rules-along'}")).isInstanceOf(BadInput.class).hasMessageContaining("no gap");
        Sheet covering = after(grid(), "{'kind':'rules-along','covering':true,'panels':['p1','p4']}");
        assertThat(rules(covering)).singleElement().satisfies(r -> assertThat(r.finish().rim().orElseThrow().width())
                .isCloseTo(6, within(1e-9)));
    }

    /** The rules go where their seams go, also when the gap becomes another; one that is moved by hand stays where it was put. */
    @Test
    void rulesFollowTheirSeams() {
        Sheet along = after(grid(), "{'kind':'rules-along','covering':true}");
        Seams.Seam seam = Seams.of(along).stream().filter(s -> Math.abs(s.from().x() - s.to().x()) < 1e-9).findFirst().orElseThrow();
        Sheet moved = new MoveSeam(seam.sides(), 7, 0).on(along);
        Element before = rules(along).stream().filter(r -> Math.abs(r.seat().centre().x() - seam.from().x()) < 1e-6)
                .findFirst().orElseThrow();
        assertThat(moved.element(before.id()).seat().centre().x()).isCloseTo(seam.from().x() + 7, within(1e-9));
        assertThat(moved.element(before.id()).finish().rim().orElseThrow().width()).isCloseTo(4, within(1e-9));
        Sheet apart = after(along, "{'kind':'move-panels','panels':['p1','p4'],'dx':-2,'dy':0}");
        assertThat(apart.element(before.id()).finish().rim().orElseThrow().width()).isIn(4.0, 6.0);
        Sheet free = after(along, "{'kind':'move-panels','panels':['" + before.id() + "'],'dx':1,'dy':0}");
        assertThat(free.element(before.id()).seat().centre().x()).isCloseTo(seam.from().x() + 1, within(1e-9));
        Seams.Seam again = Seams.of(free).stream().filter(s -> s.sides().equals(seam.sides())).findFirst().orElseThrow();
        assertThat(new MoveSeam(again.sides(), 7, 0).on(free).element(before.id()).seat()).isEqualTo(free.element(before.id()).seat());
    }

    /**
     * What is no panel is no cell of a pattern: three panels and a caption laid 2 by 2 leave the caption what it is, and a rule stays in a
     * honeycomb.
     */
    @Test
    void patternsAreOfPanels() {
        Sheet mixed = after(Sheet.empty("Mixed", Unit.MM, 200, 200, 300), "{'kind':'add-panel','outline':{'kind':'ellipse'}}",
                "{'kind':'add-panel','outline':{'kind':'ellipse'}}",
                "{'kind':'add-panel','outline':{'kind':'ellipse'}}", "{'kind':'add-caption'}",
                        "{'kind':'add-rule','x1':20,'y1':30,'x2':120,'y2':80}");
        for (String pattern : List.of("{'kind':'even-grid','rows':2,'columns':2,'gapAcross':2,'gapDown':2}",
                "{'kind':'honeycomb','rows':2,'columns':2,'gap':2}")) {
            Sheet laid = after(mixed, "{'kind':'lay-out','where':'replace','pattern':" + pattern + "}");
            assertThat(laid.panels()).hasSize(4);
            for (String id : List.of("p4", "p5")) assertThat(laid.element(id)).isEqualTo(mixed.element(id));
        }
        Sheet shelved = new ShelvePictures(List.of(Sheets.DAWN)).apply(after(Sheet.empty("Split", Unit.MM, 200, 200, 300),
                "{'kind':'add-rule','x1':20,'y1':30,'x2':120,'y2':80}"));
        Sheet split = after(shelved, "{'kind':'split-picture','picture':'" + Sheets.DAWN.id() + "','whole':true,"
                + "'pattern':{'kind':'even-grid','rows':2,'columns':3,'gapAcross':0,'gapDown':0}}");
        assertThat(split.panels()).hasSize(6).allMatch(p -> p.slice().isPresent());
    }

    /** A sheet with rules becomes smaller and larger, in millimetres and by its ppi; rules along seams go on following them. */
    @Test
    void rulesGrowWithTheirSheet() {
        Sheet along = after(grid(), "{'kind':'rules-along','covering':true}",
                "{'kind':'add-rule','x1':20,'y1':30,'x2':120,'y2':80,'width':2}");
        for (String size : List.of("'width':100,'height':100", "'width':50,'height':120", "'width':900,'height':900")) {
            Sheet grown = after(along, "{'kind':'set-up-sheet'," + size + ",'panels':'scale'}");
            double fx = grown.width() / 200;
            double fy = grown.height() / 200;
            Rule free = rules(grown).get(3);
            assertThat(end(free, -1).distance(new Point(20 * fx, 30 * fy))).isLessThan(1e-9);
            assertThat(end(free, 1).distance(new Point(120 * fx, 80 * fy))).isLessThan(1e-9);
            assertThat(free.finish().rim().orElseThrow().width()).isCloseTo(2 * Math.min(fx, fy), within(1e-9));
            assertThat(rules(grown).subList(0, 3)).allMatch(Rule::follows);
        }
        Sheet pixels = after(Sheet.empty("Screen", Unit.PX, 200, 200, 96), "{'kind':'add-rule','x1':20,'y1':30,'x2':120,'y2':80}");
        assertThat(rules(after(pixels, "{'kind':'set-up-sheet','ppi':'300'}"))).singleElement()
                .satisfies(rule -> assertThat(rule.seat().width()).isCloseTo(rules(pixels).get(0).seat().width() * 96 / 300, within(1e-9)));
        Sheet both = after(along, "{'kind':'resize-panels','panels':['p1','p4','p7'],'width':20,'height':20,'anchorX':-1,'anchorY':-1}");
        assertThat(both.element("p1").seat().width()).isLessThan(along.element("p1").seat().width());
    }
}
