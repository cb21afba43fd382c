package plainlantern.studio.board;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import plainlantern.editing.EditReader;
import plainlantern.editing.ShelvePictures;
import plainlantern.geometry.Unit;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.studio.board.SelectionView.PictureView;

/** What the bench and the line-up say, in the words and numbers that people read. */
class ViewsTest {
    private static final Picture DAWN = new Picture("d".repeat(64), "Dawn", 3000, 2000);

    private static Sheet sheet(Unit unit, String... edits) {
        Sheet now = new ShelvePictures(List.of(DAWN)).apply(Sheet.empty("Tide", unit, 254, 127, 300));
        now = after(now, "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':1,'columns':2,'gapAcross':4,'gapDown':0},'margins':{'top':10,'right':10,'bottom':10,'left':10}}");
        return after(now, edits);
    }

    private static Sheet after(Sheet sheet, String... edits) {
        Sheet now = sheet;
        for (String json : edits) now = EditReader.read(json.replace('\'', '"'), now).apply(now);
        return now;
    }

    private static PictureView settled(Sheet sheet) {
        return SelectionView.of(sheet, List.of("p1"), false).picture().orElseThrow();
    }

    private static final String FILL = "{'kind':'fill','panels':['p1','p2'],'picture':'" + "d".repeat(64) + "'}";

    @Test
    void onePanelIsShownExactlyAndSeveralWhereTheyAgree() {
        Sheet sheet = sheet(Unit.MM, "{'kind':'seat-panels','panels':['p2'],'height':50}");
        SelectionView one = SelectionView.of(sheet, List.of("p1"), false);
        assertThat(List.of(one.title(), one.left(), one.top(), one.width(), one.height(), one.turn(), one.outline()))
                .containsExactly("Panel 1", "10.00 mm", "10.00 mm", "115.00 mm", "107.00 mm", "0.0°", "rectangle");
        SelectionView two = SelectionView.of(sheet, List.of("p1", "p2"), false);
        assertThat(List.of(two.title(), two.width(), two.height())).containsExactly("2 panels", "115.00 mm", "");
        assertThat(SelectionView.of(sheet, List.of("p9"), false).panels()).isEmpty();
    }

    @Test
    void lengthsAreInTheSheetsUnit() {
        assertThat(SelectionView.of(sheet(Unit.IN), List.of("p1"), false).left()).isEqualTo("0.394 in");
        assertThat(SelectionView.of(sheet(Unit.PX), List.of("p1"), false).left()).isEqualTo("118.1 px");
        assertThat(BenchView.of(UUID.randomUUID(), sheet(Unit.PX), Stage.ARRANGE, List.of(), false).gap()).isEqualTo("20 px");
        assertThat(BenchView.of(UUID.randomUUID(), sheet(Unit.MM), Stage.ARRANGE, List.of(), false).delivered()).isEqualTo("3000 × 1500 px");
    }

    @Test
    void coverageIsSaidWithItsMeasure() {
        PictureView cover = settled(sheet(Unit.MM, FILL));
        assertThat(cover.verdict()).isEqualTo("Covers the panel.");
        assertThat(cover.room()).isEqualTo("To spare, in mm: 22.75 left, 22.75 right, 0.00 top, 0.00 bottom.");
        // 2000 pixels over 107 mm are 474.8 an inch.
        assertThat(cover.ppi()).isEqualTo("475 ppi");
        assertThat(cover.soft()).isFalse();
        PictureView soft = settled(sheet(Unit.MM, FILL, "{'kind':'zoom-picture','panels':['p1'],'zoom':200}"));
        assertThat(soft.soft()).isTrue();
        assertThat(soft.zoom()).isEqualTo("200 %");
        PictureView bare = settled(sheet(Unit.MM, FILL, "{'kind':'hold-covered','panels':['p1'],'held':false}", "{'kind':'centre-picture','panels':['p1'],'down':-20}"));
        assertThat(bare.verdict()).isEqualTo("19 % of the panel is bare.");
        assertThat(bare.room()).isEqualTo("Up to 20.00 mm missing at the bottom of the picture.");
        assertThat(bare.down()).isEqualTo("\u221220.00 mm");
    }

    @Test
    void theLineUpSaysTheWorstFirst() {
        assertThat(states(sheet(Unit.MM))).isEqualTo("all empty");
        assertThat(states(sheet(Unit.MM, FILL))).isEqualTo("all covered");
        assertThat(states(sheet(Unit.MM, FILL, "{'kind':'empty','panels':['p2']}"))).isEqualTo("1 empty");
        assertThat(states(sheet(Unit.MM, FILL, "{'kind':'zoom-picture','panels':['p1'],'zoom':300}", "{'kind':'empty','panels':['p2']}")))
                .isEqualTo("1 empty, 1 soft");
        assertThat(states(after(sheet(Unit.MM), "{'kind':'remove','panels':['p1','p2']}"))).isEmpty();
    }

    private static String states(Sheet sheet) {
        return LineUpView.of(sheet, List.of(), id -> id).states();
    }

    @Test
    void stagesAreFoundByTheirKeys() {
        assertThat(Stage.of("settle")).isEqualTo(Stage.SETTLE);
        assertThat(Stage.of("nonsense")).isEqualTo(Stage.ARRANGE);
        assertThat(Stage.DELIVER.digit()).isEqualTo(4);
    }

    @Test
    void smallSharesAndTurnsKeepADecimal() {
        Numbers numbers = new Numbers(sheet(Unit.MM));
        assertThat(numbers.percent(0.0042)).isEqualTo("0.4 %");
        assertThat(numbers.percent(1.184)).isEqualTo("118 %");
        assertThat(numbers.degrees(-12.34)).isEqualTo("\u221212.3°");
        assertThat(numbers.degrees(-0.01)).isEqualTo("0.0°");
    }
}
