package plainlantern.studio.board;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import plainlantern.asking.Unit;
import plainlantern.checking.Report;
import plainlantern.checking.Told;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.editing.reading.EditReader;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.studio.board.SelectionView.PictureView;

/** What the bench and the line-up say, in the words and numbers that people read. */
class ViewsTest {
    private static final Picture DAWN = new Picture("d".repeat(64), "Dawn", 3000, 2000);

    private static Sheet sheet(Unit unit, String... edits) {
        Sheet now = new ShelvePictures(List.of(DAWN)).apply(Sheet.empty("Tide", unit, 254, 127, 300));
        now = after(now, "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':1,'columns':2,'gapAcross':4,"
                + "'gapDown':0},'margins':{'top':10,'right':10,'bottom':10,'left':10}}");
        return after(now, edits);
    }

    private static Sheet after(Sheet sheet, String... edits) {
        Sheet now = sheet;
        for (String json : edits) now = EditReader.read(json.replace('\'', '"'), now).apply(now);
        return now;
    }

    private static PictureView settled(Sheet sheet) {
        return SelectionView.of(sheet, List.of("p1"), Looking.at("settle")).picture().orElseThrow();
    }

    private static final String FILL = "{'kind':'fill','panels':['p1','p2'],'picture':'" + "d".repeat(64) + "'}";

    @Test
    void onePanelIsShownExactlyAndSeveralWhereTheyAgree() {
        Sheet sheet = sheet(Unit.MM, "{'kind':'seat-panels','panels':['p2'],'height':50}");
        SelectionView one = SelectionView.of(sheet, List.of("p1"), Looking.at("settle"));
        assertThat(List.of(one.title(), one.place().left(), one.place().top(), one.place().width(), one.place().height(),
                one.place().turn(), one.outline()))
                .containsExactly("Panel 1", "10.00 mm", "10.00 mm", "115.00 mm", "107.00 mm", "0.0°", "rectangle");
        SelectionView two = SelectionView.of(sheet, List.of("p1", "p2"), Looking.at("settle"));
        assertThat(List.of(two.title(), two.place().width(), two.place().height())).containsExactly("2 panels", "115.00 mm", "");
        assertThat(SelectionView.of(sheet, List.of("p9"), Looking.at("settle")).panels()).isEmpty();
    }

    @Test
    void lengthsAreInTheSheetsUnit() {
        assertThat(SelectionView.of(sheet(Unit.IN), List.of("p1"), Looking.at("settle")).place().left()).isEqualTo("0.394 in");
        assertThat(SelectionView.of(sheet(Unit.PX), List.of("p1"), Looking.at("settle")).place().left()).isEqualTo("118 px");
        assertThat(BenchView.of(UUID.randomUUID(), sheet(Unit.PX), new Looking(Stage.ARRANGE, false, -1), List.of()).gap())
                .isEqualTo("20 px");
    }

    @Test
    void coverageIsSaidWithItsMeasure() {
        PictureView cover = settled(sheet(Unit.MM, FILL));
        assertThat(cover.cover().verdict()).isEqualTo("Covers the panel.");
        assertThat(cover.cover().room()).isEqualTo("To spare, in mm: 22.75 left, 22.75 right, 0.00 top, 0.00 bottom.");
        // 2000 pixels over 107 mm are 474.8 an inch.
        assertThat(cover.sharpness().ppi()).isEqualTo("475 ppi");
        assertThat(cover.sharpness().soft()).isFalse();
        PictureView soft = settled(sheet(Unit.MM, FILL, "{'kind':'zoom-picture','panels':['p1'],'zoom':200}"));
        assertThat(soft.sharpness().soft()).isTrue();
        assertThat(soft.lie().zoom()).isEqualTo("200 %");
        PictureView bare = settled(sheet(Unit.MM, FILL, "{'kind':'hold-covered','panels':['p1'],'held':false}",
                "{'kind':'centre-picture','panels':['p1'],'down':-20}"));
        assertThat(bare.cover().verdict()).isEqualTo("19 % of the panel is bare.");
        assertThat(bare.cover().room()).isEqualTo("Up to 20.00 mm missing at the bottom of the picture.");
        assertThat(bare.lie().down()).isEqualTo("\u221220.00 mm");
    }

    @Test
    void theLineUpSaysTheWorstFirst() {
        assertThat(states(sheet(Unit.MM))).isEqualTo("all empty");
        assertThat(states(sheet(Unit.MM, FILL))).isEqualTo("all covered");
        assertThat(states(sheet(Unit.MM, FILL, "{'kind':'empty','panels':['p2']}"))).isEqualTo("1 empty");
        assertThat(states(sheet(Unit.MM, FILL, "{'kind':'zoom-picture','panels':['p1'],'zoom':300}", "{'kind':'empty','panels':['p2']}")))
                .isEqualTo("1 empty, 1 soft");
        String none = "{'kind':'remove','panels':['p1','p2']}";
        assertThat(states(after(sheet(Unit.MM), none))).isEmpty();
        assertThat(states(after(sheet(Unit.MM), none, "{'kind':'add-caption'}"))).as("a caption is not empty").isEmpty();
    }

    private static String states(Sheet sheet) {
        return LineUpView.of(sheet, List.of(), layer -> "").states();
    }

    /** Dress shows the first one's finish, what applies to all that are selected, and letters in points. */
    @Test
    void dressShowsWhatApplies() {
        Sheet sheet = sheet(Unit.MM, FILL, "{'kind':'set-finish','panels':['p1'],'width':'2 pt'}",
                "{'kind':'name-finish','panels':['p1'],'name':'Hall'}", "{'kind':'add-caption'}",
                "{'kind':'set-words','panels':['p3'],'layer':1,'size':'24 pt'}", "{'kind':'rules-along'}");
        DressView first = DressView.of(sheet, List.of("p1", "p2")).orElseThrow();
        assertThat(first.rim().width()).isEqualTo("0.71 mm");
        assertThat(first.whose().same()).isFalse();
        assertThat(first.names().named()).isEqualTo("Hall");
        assertThat(first.names().kept()).containsExactly(new DressView.Kept("f1", "Hall", 1, true));
        assertThat(first.ground()).isPresent();
        assertThat(first.plate()).isEmpty();
        DressView caption = DressView.of(sheet, List.of("p3")).orElseThrow();
        assertThat(caption.plate()).isPresent();
        assertThat(caption.ground()).isEmpty();
        assertThat(DressView.of(sheet, List.of("p4")).orElseThrow().whose().rule()).isTrue();
        assertThat(DressView.of(sheet, List.of("p3", "p4")).orElseThrow().whose().rule()).isFalse();
        LayersView.WordsFields words = LayersView.of(sheet, sheet.holder("p3"), -1).chosen().orElseThrow().words().orElseThrow();
        assertThat(words.letters().size()).isEqualTo("24.0 pt");
        assertThat(words.letters().leading()).isEqualTo("120 %");
        assertThat(LineUpView.of(sheet, List.of(), layer -> "").count()).isEqualTo("4 elements");
        assertThat(states(sheet)).isEqualTo("all covered");
    }

    /** The list of faults carries the place of each, and its mend as the edit that the page sends. */
    @Test
    void faultsCarryTheirMends() {
        Sheet sheet = sheet(Unit.MM, FILL, "{'kind':'seat-panels','panels':['p1'],'left':0}",
                "{'kind':'set-finish','panels':['p1','p2'],'width':'0.1 pt'}");
        CheckView view = CheckView.of(Report.of(sheet, Told.NOTHING));
        assertThat(view.faults()).isEqualTo(1);
        assertThat(view.warnings()).isEqualTo(2);
        CheckView.Row stops = view.kinds().get(0).rows().get(0);
        assertThat(stops.panels()).isEqualTo("p1");
        assertThat(stops.place()).startsWith("0.0 10.0 ");
        Sheet bled = after(sheet, stops.mend());
        assertThat(bled.holder("p1").boundsOnSheet().x()).isEqualTo(-3);
        CheckView.Kind thin = view.kinds().stream().filter(k -> k.title().equals("Thin lines")).findFirst().orElseThrow();
        assertThat(CheckView.of(Report.of(after(sheet, thin.mendAll()), Told.NOTHING)).warnings()).isZero();
        assertThat(view.kinds().get(0).mendAll()).as("there is one only").isEmpty();
    }

    @Test
    void stagesAreFoundByTheirKeys() {
        assertThat(Stage.of("settle")).isEqualTo(Stage.SETTLE);
        assertThat(Stage.of("nonsense")).isEqualTo(Stage.ARRANGE);
        assertThat(Stage.DELIVER.digit()).isEqualTo(7);
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
