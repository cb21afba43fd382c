package plainlantern.editing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static plainlantern.Sheets.after;

import java.util.List;
import org.junit.jupiter.api.Test;
import plainlantern.Sheets;
import plainlantern.arranging.Seams;
import plainlantern.fitting.PanelState;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Point;
import plainlantern.geometry.Unit;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Role;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;

/** Plain lines on the sheet, by hand and along gaps. */
class RulesTest {
    private static Sheet grid() {
        return after(Sheet.empty("Rules", Unit.MM, 200, 200, 300),
                "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':2,'columns':3,'gapAcross':4,'gapDown':6},'margins':{'top':10,'right':10,'bottom':10,'left':10}}");
    }

    private static List<Panel> rules(Sheet sheet) {
        return sheet.panels().stream().filter(p -> p.role() == Role.RULE).toList();
    }

    private static Point end(Panel rule, int way) {
        return rule.seat().toSheet().apply(new Point(way * rule.seat().width() / 2, 0));
    }

    /** Its ends are where they were drawn, its width is a length; it holds no picture, keeps its form, and a form is no rule. */
    @Test
    void aRuleIsALine() {
        Sheet drawn = after(grid(), "{'kind':'add-rule','x1':20,'y1':30,'x2':120,'y2':80,'width':'2 pt'}", "{'kind':'set-finish','panels':['p7'],'dash':'dashed','ends':'round'}");
        Panel rule = drawn.panel("p7");
        assertThat(end(rule, -1).distance(new Point(20, 30))).isLessThan(1e-9);
        assertThat(end(rule, 1).distance(new Point(120, 80))).isLessThan(1e-9);
        assertThat(rule.finish().rim().orElseThrow().width()).isCloseTo(2 * 25.4 / 72, within(1e-12));
        assertThat(PanelState.of(drawn, rule)).isEqualTo(PanelState.COVERED);
        assertThat(after(drawn, "{'kind':'clear-finish','panels':['p7']}").panel("p7").finish().rim()).as("a rule without a line is none").isPresent();
        assertThat(SheetJson.read(SheetJson.write(drawn))).isEqualTo(drawn);
        assertThatThrownBy(() -> after(drawn, "{'kind':'set-finish','panels':['p1','p7'],'width':0}")).isInstanceOf(BadInput.class).extracting("field").isEqualTo("width");
        assertThatThrownBy(() -> after(drawn, "{'kind':'set-outline','panels':['p7'],'outline':{'kind':'heart'}}")).isInstanceOf(BadInput.class).hasMessageContaining("straight");
        assertThatThrownBy(() -> after(drawn, "{'kind':'set-outline','panels':['p1'],'outline':{'kind':'straight'}}")).isInstanceOf(BadInput.class);
        assertThatThrownBy(() -> after(drawn, "{'kind':'add-layer','panels':['p7'],'what':'words'}")).isInstanceOf(BadInput.class).hasMessageContaining("line");
        assertThatThrownBy(() -> after(drawn, "{'kind':'add-rule','x1':20,'y1':30,'x2':20,'y2':30}")).isInstanceOf(BadInput.class).hasMessageContaining("longer");
    }

    /** What is meant for panels passes over captions and rules that are selected with them, and says so where nothing else is. */
    @Test
    void picturesGoIntoPanelsAlone() {
        Sheet mixed = after(new ShelvePictures(List.of(Sheets.DAWN)).apply(grid()), "{'kind':'add-rule','x1':20,'y1':30,'x2':120,'y2':80}", "{'kind':'add-caption'}",
                "{'kind':'fill','panels':['p1','p7','p8'],'picture':'" + Sheets.DAWN.id() + "'}", "{'kind':'make-vista','panels':['p2','p3','p7'],'picture':'" + Sheets.DAWN.id() + "'}",
                "{'kind':'empty','panels':['p1','p8']}");
        assertThat(mixed.panel("p1").content()).isEmpty();
        assertThat(mixed.panel("p8").content()).hasSize(2);
        assertThat(mixed.panel("p3").slice()).isPresent();
        assertThatThrownBy(() -> after(mixed, "{'kind':'fill','panels':['p8'],'picture':'" + Sheets.DAWN.id() + "'}")).isInstanceOf(BadInput.class).hasMessageContaining("Captions and rules");
    }

    /** One line in the middle of each gap, however many panels lie along it, or exactly as wide; made once. */
    @Test
    void rulesLieInTheGaps() {
        Sheet along = after(grid(), "{'kind':'rules-along','width':1}");
        assertThat(rules(along)).hasSize(3);
        Panel across = rules(along).stream().filter(r -> Math.abs(r.seat().turn()) < 1e-6 || Math.abs(r.seat().turn()) > 179).findFirst().orElseThrow();
        assertThat(across.seat().centre().y()).isCloseTo(100, within(1e-9));
        assertThat(across.seat().width()).isCloseTo(180, within(1e-9));
        assertThatThrownBy(() -> after(along, "{'kind':'rules-along'}")).isInstanceOf(BadInput.class).hasMessageContaining("no gap");
        Sheet covering = after(grid(), "{'kind':'rules-along','covering':true,'panels':['p1','p4']}");
        assertThat(rules(covering)).singleElement().satisfies(r -> assertThat(r.finish().rim().orElseThrow().width()).isCloseTo(6, within(1e-9)));
    }

    /** The rules go where their seams go, also when the gap becomes another; one that is moved by hand stays where it was put. */
    @Test
    void rulesFollowTheirSeams() {
        Sheet along = after(grid(), "{'kind':'rules-along','covering':true}");
        Seams.Seam seam = Seams.of(along).stream().filter(s -> Math.abs(s.from().x() - s.to().x()) < 1e-9).findFirst().orElseThrow();
        Sheet moved = new MoveSeam(seam.sides(), 7, 0).on(along);
        Panel before = rules(along).stream().filter(r -> Math.abs(r.seat().centre().x() - seam.from().x()) < 1e-6).findFirst().orElseThrow();
        assertThat(moved.panel(before.id()).seat().centre().x()).isCloseTo(seam.from().x() + 7, within(1e-9));
        assertThat(moved.panel(before.id()).finish().rim().orElseThrow().width()).isCloseTo(4, within(1e-9));
        Sheet apart = after(along, "{'kind':'move-panels','panels':['p1','p4'],'dx':-2,'dy':0}");
        assertThat(apart.panel(before.id()).finish().rim().orElseThrow().width()).isIn(4.0, 6.0);
        Sheet free = after(along, "{'kind':'move-panels','panels':['" + before.id() + "'],'dx':1,'dy':0}");
        assertThat(free.panel(before.id()).seat().centre().x()).isCloseTo(seam.from().x() + 1, within(1e-9));
        Seams.Seam again = Seams.of(free).stream().filter(s -> s.sides().equals(seam.sides())).findFirst().orElseThrow();
        assertThat(new MoveSeam(again.sides(), 7, 0).on(free).panel(before.id()).seat()).isEqualTo(free.panel(before.id()).seat());
    }
}
