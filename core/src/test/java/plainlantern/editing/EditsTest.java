package plainlantern.editing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import plainlantern.Chance;
import plainlantern.Tried;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.editing.placing.LayOut;
import plainlantern.editing.reading.EditReader;
import plainlantern.fitting.Coverage;
import plainlantern.fitting.PanelState;
import plainlantern.geometry.Box;
import plainlantern.outline.Rectangle;
import plainlantern.pattern.EvenGrid;
import plainlantern.sheet.Element;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Gone;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Margins;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

class EditsTest {
    private static final Picture DAWN = new Picture("d".repeat(64), "Dawn", 6000, 4000);
    private static final Picture TALL = new Picture("e".repeat(64), "Reeds", 3600, 5400);
    private static final Sheet EMPTY = Sheet.empty("Mornings", Unit.MM, 420, 297, 300);

    private static Sheet after(Sheet sheet, String... edits) {
        Sheet now = sheet;
        for (String json : edits) {
            Edit edit = EditReader.read(json.replace('\'', '"'), now);
            assertThat(edit.title(now)).isNotBlank();
            now = edit.apply(now);
        }
        return now;
    }

    private static Sheet grid() {
        return after(new ShelvePictures(List.of(DAWN, TALL)).apply(EMPTY),
                "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':2,'columns':2,"
                + "'gapAcross':10,'gapDown':10},'margins':{'top':20,'right':20,'bottom':20,'left':20}}");
    }

    private static Sheet filled() {
        return after(grid(), "{'kind':'fill','panels':['p1','p2'],'picture':'" + DAWN.id() + "'}");
    }

    private static Coverage coverage(Sheet sheet, String panel) {
        return PanelState.coverage(sheet, sheet.holder(panel)).orElseThrow();
    }

    /** Sizes and gaps are the whole, whatever the numbers. */
    @Tried(200)
    void cellsAndGapsAddUpToTheArea(Chance chance) {
        int rows = chance.whole(1, 40);
        int columns = chance.whole(1, 40);
        double gap = chance.between(0, 5);
        double margin = chance.between(0, 40);
        List<Seat> seats = LayOut.replacing(new EvenGrid(rows, columns, gap, gap / 2), new Margins(margin, margin, margin, margin))
                .apply(EMPTY)
                .panels().stream().map(Panel::seat).toList();
        Seat first = seats.get(0);
        Seat last = seats.get(rows * columns - 1);
        assertThat(columns * first.width() + (columns - 1) * gap).isCloseTo(420 - 2 * margin, within(1e-9));
        assertThat(last.centre().x() + last.width() / 2).isCloseTo(420 - margin, within(1e-9));
        assertThat(last.centre().y() + last.height() / 2).isCloseTo(297 - margin, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({"rows,0", "rows,2.5", "columns,101", "gapAcross,-1", "gapAcross,500", "gapDown,1/0", "top,200", "left,-3", "right,many"})
    void aGridThatMakesNoSenseIsExplainedAtItsField(String field, String value) {
        String even = "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':'3','columns':'3','gapAcross':'5',"
                + "'gapDown':'5'},'margins':{'top':'100','right':'20','bottom':'100','left':'20'}}";
        String json = even.replaceFirst("'" + field + "':'[^']*'", "'" + field + "':'" + value + "'");
        assertThatThrownBy(() -> after(EMPTY, json)).isInstanceOf(BadInput.class).extracting("field").isEqualTo(field);
    }

    @Test
    void anotherGridKeepsContentByOrder() {
        Sheet now = after(filled(), "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':1,'columns':3,"
                + "'gapAcross':'1cm','gapDown':0},'margins':{'top':0,'right':0,'bottom':0,'left':0}}");
        assertThat(now.elements()).extracting(Element::id).containsExactly("p1", "p2", "p3");
        assertThat(now.holder("p2").picture(-1)).isPresent();
        assertThat(coverage(now, "p2").covered()).isTrue();
        assertThat(coverage(now, "p2").zoom()).isCloseTo(1, within(1e-12));
    }

    @Test
    void typedNumbersAreReadInTheSheetsUnit() {
        Sheet now = after(grid(), "{'kind':'seat-panels','panels':['p1'],'left':'1cm + 2','width':'420/3 - 2mm','height':''}");
        Box box = now.holder("p1").boundsOnSheet();
        assertThat(box.x()).isCloseTo(12, within(1e-9));
        assertThat(box.width()).isCloseTo(138, within(1e-9));
        assertThat(box.height()).isCloseTo(grid().holder("p1").seat().height(), within(1e-9));
        assertThatThrownBy(() -> after(grid(), "{'kind':'seat-panels','panels':['p1'],'width':'wide'}"))
                .isInstanceOf(BadInput.class).extracting("field").isEqualTo("width");
    }

    @Test
    void resizingKeepsTheAnchorAndTheZoomOfThePicture() {
        Sheet before = after(filled(), "{'kind':'zoom-picture','panels':['p1'],'zoom':150}",
                "{'kind':'move-picture','panels':['p1'],'dx':5,'dy':0}");
        Sheet now = after(before, "{'kind':'resize-panels','panels':['p1'],'width':100,'height':60,'anchorX':1,'anchorY':-1}");
        Box was = before.holder("p1").boundsOnSheet();
        Box box = now.holder("p1").boundsOnSheet();
        assertThat(box.right()).isCloseTo(was.right(), within(1e-9));
        assertThat(box.y()).isCloseTo(was.y(), within(1e-9));
        assertThat(coverage(now, "p1").zoom()).isCloseTo(1.5, within(1e-9));
        Sheet both = after(before, "{'kind':'resize-panels','panels':['p1','p4'],'width':200,'height':100,'anchorX':-1,'anchorY':-1}");
        assertThat(Box.union(both.elements(List.of("p1", "p4")).stream().map(Element::boundsOnSheet).toList()).width())
                .isCloseTo(200, within(1e-9));
    }

    @Test
    void aHeldPictureStopsAtItsEdgeAndAReleasedOneDoesNot() {
        String far = "{'kind':'move-picture','panels':['p1'],'dx':0,'dy':500}";
        assertThat(coverage(after(filled(), far), "p1").covered()).isTrue();
        Sheet free = after(filled(), "{'kind':'hold-covered','panels':['p1'],'held':false}", far);
        assertThat(coverage(free, "p1").bareShare()).isEqualTo(1);
        assertThat(PanelState.of(free, free.holder("p1"))).isEqualTo(PanelState.BARE);
        assertThat(coverage(after(free, "{'kind':'cover-again','panels':['p1']}"), "p1").covered()).isTrue();
    }

    @Test
    void zoomTurnAndMirror() {
        Sheet now = after(filled(), "{'kind':'turn-picture','panels':['p1'],'turn':'190°'}", "{'kind':'mirror-picture','panels':['p1']}");
        var placement = now.holder("p1").picture(-1).orElseThrow().flat().pose();
        assertThat(placement.turn()).isEqualTo(-170);
        assertThat(placement.mirrored()).isTrue();
        assertThat(coverage(now, "p1").covered()).isTrue();
        assertThat(coverage(after(filled(), "{'kind':'zoom-picture','panels':['p1'],'zoom':'50 %'}"), "p1").zoom())
                .isCloseTo(1, within(1e-9));
        assertThatThrownBy(() -> after(filled(), "{'kind':'zoom-picture','panels':['p1'],'zoom':'0'}")).isInstanceOf(BadInput.class);
        assertThatThrownBy(() -> after(filled(), "{'kind':'turn-picture','panels':['p3'],'turn':'5'}")).hasMessageContaining("no picture");
    }

    @Test
    void theFormChangesAndTheRestStays() {
        Sheet before = after(filled(), "{'kind':'rename','panel':'p1','name':' Centre '}",
                "{'kind':'zoom-picture','panels':['p1'],'zoom':130}");
        Holder now = after(before, "{'kind':'set-outline','panels':['p1'],'outline':{'kind':'ellipse'}}").holder("p1");
        assertThat(now).isEqualTo(before.holder("p1").withOutline(now.outline()));
        assertThat(now.name()).isEqualTo("Centre");
        Holder round = after(before, "{'kind':'set-outline','panels':['p1'],'outline':{'kind':'rectangle','topLeft':'1/4 in',"
                + "'topRight':0,'bottomRight':0,'bottomLeft':0}}").holder("p1");
        assertThat(round.outline()).isEqualTo(new Rectangle(6.35, 0, 0, 0));
    }

    @Test
    void duplicateRemoveRestackSwapEmpty() {
        Sheet now = after(filled(), "{'kind':'duplicate','panels':['p1'],'dx':5,'dy':5}", "{'kind':'remove','panels':['p2']}",
                "{'kind':'restack','panel':'p5','to':0}", "{'kind':'swap','one':'p5','other':'p3'}", "{'kind':'empty','panels':['p1']}");
        assertThat(now.elements()).extracting(Element::id).containsExactly("p5", "p1", "p3", "p4");
        assertThat(now.users(DAWN.id())).extracting(Element::id).containsExactly("p3");
        // Ids are never used twice: what another window still names must not be somebody else.
        assertThat(after(now, "{'kind':'remove','panels':['p5']}", "{'kind':'add-panel','outline':{'kind':'ellipse'}}").elements())
                .extracting(Element::id).containsExactly("p1", "p3", "p4", "p6");
    }

    @Test
    void fitsByRule() {
        Sheet now = after(filled(), "{'kind':'set-fit','panels':['p1'],'fit':'contain'}");
        assertThat(now.holder("p1").picture(-1).orElseThrow().flat().held()).isFalse();
        assertThat(coverage(now, "p1").covered()).isFalse();
        assertThat(coverage(after(now, "{'kind':'set-fit','panels':['p1'],'fit':'actual size'}"), "p1").ppi()).isCloseTo(300, within(1e-9));
        assertThat(after(now, "{'kind':'set-fit','panels':['p1'],'fit':'stretch'}").holder("p1").picture(-1).orElseThrow().flat().fit())
                .isEqualTo(Fit.STRETCH);
    }

    @Test
    void aUsedPictureStaysOnTheShelf() {
        assertThatThrownBy(() -> after(filled(), "{'kind':'unshelve','pictures':['" + DAWN.id() + "']}"))
                .isInstanceOf(BadInput.class).hasMessage("Dawn stays on the shelf: it is used in Panel 1, Panel 2.");
        assertThat(after(filled(), "{'kind':'unshelve','pictures':['" + TALL.id() + "']}").shelf()).containsExactly(DAWN);
    }

    @Test
    void whatIsGoneIsSaidAndWhatIsNoEditIsRefused() {
        assertThatThrownBy(() -> after(grid(), "{'kind':'move-panels','panels':['p9'],'dx':1,'dy':1}")).isInstanceOf(Gone.class);
        assertThatThrownBy(() -> after(grid(), "{'kind':'explode'}")).isInstanceOf(BadInput.class);
        assertThatThrownBy(() -> after(grid(), "nonsense")).isInstanceOf(BadInput.class);
        assertThatThrownBy(() -> after(grid(), "{'kind':'move-panels','panels':['p1'],'dx':1e300,'dy':0}")).isInstanceOf(BadInput.class);
    }
}
