package plainlantern.editing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import plainlantern.Sheets;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.editing.reading.Again;
import plainlantern.editing.reading.EditReader;
import plainlantern.editing.reading.Several;
import plainlantern.sheet.Sheet;

class AgainTest {
    private static final Sheet FIVE = Sheets.after(Sheet.empty("Wall", Unit.MM, 260, 60, 300).withShelf(List.of(Sheets.DAWN)),
            "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':1,'columns':5,'gapAcross':5,'gapDown':0},"
            + "'margins':{'top':5,'right':5,'bottom':5,'left':5}}",
            "{'kind':'fill','panels':['p1','p2','p3','p4','p5'],'picture':'" + Sheets.DAWN.id() + "'}");

    /** Steps as a history keeps them. */
    private static List<Again.Step> steps(Sheet sheet, String... edits) {
        List<Again.Step> steps = new ArrayList<>();
        for (String json : edits) {
            Edit edit = EditReader.read(json.replace('\'', '"'), sheet);
            steps.add(new Again.Step(edit.title(sheet), Again.kept(edit).orElseThrow()));
        }
        return steps;
    }

    private static Again again(Sheet sheet, List<Again.Step> steps, String... selected) {
        return Again.of(sheet, steps, List.of(selected), (edit, on) -> edit);
    }

    /** What was done on one panel, done on others: as if each had been done there by hand. */
    @Test
    void stepsAreDoneOnWhatIsSelected() {
        String rim = "{'kind':'set-finish','panels':['p1'],'width':'2 mm','colour':'#FAF8F4'}";
        String shadow = "{'kind':'set-shadow','panels':['p1'],'distance':'2 mm','blur':'3 mm','opacity':'40 %'}";
        String tone = "{'kind':'set-tone','of':{'panels':['p1']},'exposure':0.5}";
        String paper = "{'kind':'set-paper','paper':{'kind':'plain','colour':'#22303A'}}";
        String name = "{'kind':'rename','panel':'p1','name':'Ebb'}";
        Again again = again(FIVE, steps(FIVE, rim, shadow, tone, paper, name), "p3", "p5");
        assertThat(again.left()).isEmpty();
        Sheet done = new Several("Again", again.edits()).on(FIVE);
        assertThat(done).isEqualTo(Sheets.after(FIVE, rim.replace("'p1'", "'p3','p5'"), shadow.replace("'p1'", "'p3','p5'"),
                tone.replace("'p1'", "'p3','p5'"), paper, name.replace("p1", "p3"), name.replace("p1", "p5")));
        assertThat(done.element("p1")).isEqualTo(FIVE.element("p1"));
    }

    /** On a sheet of another unit, without what the steps name: what can be done is done, the rest is said. */
    @Test
    void whatMeansNothingThereIsLeftOutAndSaid() {
        Sheet other = Sheets.after(Sheet.empty("Screen", Unit.PX, 200, 100, 96), "{'kind':'add-panel','outline':{'kind':'ellipse'}}");
        Sheet named = Sheets.after(FIVE, "{'kind':'set-finish','panels':['p1'],'width':'1 mm'}",
                "{'kind':'name-finish','panels':['p1'],'name':'Gallery'}");
        List<Again.Step> steps = steps(named, "{'kind':'follow-finish','panels':['p2'],'finish':'f1'}",
                "{'kind':'move-panels','panels':['p2'],'dx':3,'dy':0}",
                        "{'kind':'copy-finish','from':'p4','panels':['p2'],'to':'selected'}",
                "{'kind':'turn-panels','panels':['p2'],'by':'30°'}",
                        "{'kind':'fill','panels':['p2'],'picture':'" + Sheets.DAWN.id() + "'}");
        Again again = again(other, steps, "p1");
        assertThat(again.edits()).hasSize(2);
        assertThat(again.left()).hasSize(3).allMatch(said -> said.matches("(?s).+: .{12,}[.]"));
        Sheet done = new Several("Again", again.edits()).on(other);
        assertThat(done.element("p1").seat().turn()).isEqualTo(30);
        assertThat(done.element("p1").seat().centre().x() - other.element("p1").seat().centre().x()).isCloseTo(3,
                org.assertj.core.api.Assertions.within(1e-9));
        assertThat(again(other, steps.subList(1, 2)).left()).containsExactly("Move: Panel 2: Select what it is to be done on.");
    }

    @Test
    void whatOnlyTheProgramMakesIsNotKept() {
        assertThat(Again.kept(new ShelvePictures(List.of(Sheets.DAWN)))).isEmpty();
        assertThat(Again.kept(new Several("Both", List.of(new ShelvePictures(List.of(Sheets.DAWN)))))).isEmpty();
    }
}
