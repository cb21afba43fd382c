package plainlantern.studio;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.Edit;
import plainlantern.editing.placing.AddPanel;
import plainlantern.editing.placing.LayOut;
import plainlantern.editing.placing.MovePanels;
import plainlantern.editing.placing.Remove;
import plainlantern.editing.reading.EditReader;
import plainlantern.editing.sheet.RenameSheet;
import plainlantern.geometry.Box;
import plainlantern.outline.Ellipse;
import plainlantern.outline.Outlines;
import plainlantern.pattern.EvenGrid;
import plainlantern.sheet.Gone;
import plainlantern.sheet.Margins;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import plainlantern.studio.sheets.Opened;
import plainlantern.studio.web.NotFound;

class SheetsTest extends StudioTest {
    @Autowired
    private JdbcClient db;
    private UUID id;

    @BeforeEach
    void sheet() {
        id = sheets.add(member.id(), Sheet.empty("Mornings", Unit.MM, 297, 210, 300), "New sheet");
    }

    private Opened make(Edit edit) {
        return sheets.apply(id, member.id(), sheet -> edit).after();
    }

    @Test
    void everyStepIsUndoneAndRedoneExactly() {
        List<Sheet> seen = new ArrayList<>(List.of(sheets.open(id, member.id()).sheet()));
        for (Edit edit : List.of(LayOut.replacing(new EvenGrid(3, 3, 5, 5), new Margins(10, 10, 10, 10)),
                MovePanels.along(List.of("p1"), 1 / 3.0, 1e-9),
                new Remove(List.of("p5")), AddPanel.into(new Ellipse(), new Box(10, 10, 30, 30)), new RenameSheet("Evenings"))) {
            seen.add(make(edit).sheet());
        }
        for (int i = seen.size() - 2; i >= 0; i--) assertThat(sheets.undo(id, member.id()).after().sheet()).isEqualTo(seen.get(i));
        assertThatThrownBy(() -> sheets.undo(id, member.id())).isInstanceOf(BadInput.class).hasMessageContaining("nothing to undo");
        for (int i = 1; i < seen.size(); i++) assertThat(sheets.redo(id, member.id()).after().sheet()).isEqualTo(seen.get(i));
    }

    /** Every pattern and form, cut, grouped, guided, set up anew: PostgreSQL gives each document back to the last digit. */
    @Test
    void everythingOfArrangeIsKeptAndUndoneExactly() {
        List<String> edits = new ArrayList<>(List.of("{'kind':'set-guides','columns':3,'rows':2,'gutter':'1/3 in',"
                + "'own':[{'upright':true,'at':33.333333333333336}],'snap':'THIRDS'}"));
        for (String pattern : List.of("'even-grid','rows':2,'columns':3,'gapAcross':1.1,'gapDown':0.7,'columnWeights':'1:2:1.5',"
                + "'merged':[{'row':0,'column':0,'rows':2,'columns':1}]",
                "'polyptych','weights':'1:1.4:1','gap':5,'lean':7,'mirrored':true",
                        "'running-bond','rows':3,'columns':2,'gapAcross':1,'gapDown':1,'offset':'33.3 %'",
                        "'honeycomb','rows':2,'columns':3,'gap':2.2,'flat':true",
                "'rosette','count':7,'gap':1,'middle':true,'wedges':true,'hole':0.4",
                        "'interlock','rows':2,'columns':2,'tab':0.23,'seed':42", "'shards','count':6,'gap':1,'evenness':1,'seed':9",
                "'scatter','count':5,'smallest':0.5,'proportion':1.5,'turn':25,'coverage':0.6,'inside':true,'seed':3",
                        "'step-and-repeat','width':'3/4 in','height':'3/4 in','gapAcross':3,'gapDown':3,'round':true")) {
            edits.add("{'kind':'lay-out','where':'replace','pattern':{'kind':" + pattern + "}}");
        }
        for (var outline : Outlines.KINDS)
            edits.add("{'kind':'set-outline','panels':['p1'],'outline':" + SheetJson.MAPPER.writeValueAsString(outline) + "}");
        edits.addAll(List.of("{'kind':'cut','x1':0,'y1':0,'x2':297,'y2':207.7,'gap':1.3}",
                "{'kind':'turn-panels','panels':['p1','p2'],'by':33.3}", "{'kind':'group','panels':['p1','p2'],'together':true}",
                "{'kind':'traits','panels':['p3'],'locked':true,'hidden':true}",
                        "{'kind':'set-up-sheet','width':'11 in','unit':'in','panels':'scale'}"));
        List<Sheet> seen = new ArrayList<>(List.of(sheets.open(id, member.id()).sheet()));
        for (String json : edits) {
            Sheet after = sheets.apply(id, member.id(), sheet -> EditReader.read(json.replace('\'', '"'), sheet)).after().sheet();
            assertThat(sheets.open(id, member.id()).sheet()).isEqualTo(after);
            if (!after.equals(seen.get(seen.size() - 1))) seen.add(after);
        }
        assertThat(seen).hasSizeGreaterThan(20);
        for (int i = seen.size() - 2; i >= 0; i--) assertThat(sheets.undo(id, member.id()).after().sheet()).isEqualTo(seen.get(i));
    }

    @Test
    void stepsHaveNamesAndANewEditForgetsWhatWasUndone() {
        make(AddPanel.into(new Ellipse(), new Box(10, 10, 30, 30)));
        assertThat(make(new RenameSheet("Evenings")).undo()).contains("Rename sheet");
        Opened back = sheets.undo(id, member.id()).after();
        assertThat(back.undo()).contains("Add ellipse");
        assertThat(back.redo()).contains("Rename sheet");
        assertThat(make(new RenameSheet("Noon")).redo()).isEmpty();
    }

    @Test
    void theLast500StepsAreKept() {
        make(AddPanel.into(new Ellipse(), new Box(10, 10, 30, 30)));
        for (int i = 0; i < 520; i++) make(MovePanels.along(List.of("p1"), 0.01, 0));
        assertThat(db.sql("select count(*) from revision where sheet_id = :id").param("id", id).query(Integer.class).single())
                .isEqualTo(501);
        for (int i = 0; i < 500; i++) sheets.undo(id, member.id());
        assertThat(sheets.open(id, member.id()).undo()).isEmpty();
    }

    /** Two windows: what the other one did stays, and what it removed cannot be moved any more. */
    @Test
    void anEditMeetsTheSheetAsItIsNow() {
        make(LayOut.replacing(new EvenGrid(1, 2, 5, 5), new Margins(10, 10, 10, 10)));
        make(new Remove(List.of("p1")));
        assertThatThrownBy(() -> make(MovePanels.along(List.of("p1"), 1, 1))).isInstanceOf(Gone.class);
        assertThat(make(MovePanels.along(List.of("p2"), 1, 1)).sheet().elements()).hasSize(1);
    }

    /** Another node writes to the same database: its version is asked for each time, so its document is what is seen and edited here. */
    @Test
    void whatAnotherNodeDidIsSeen() {
        make(AddPanel.into(new Ellipse(), new Box(10, 10, 30, 30)));
        Sheet theirs = AddPanel.into(new Ellipse(), new Box(10, 10, 30, 30)).apply(sheets.open(id, member.id()).sheet());
        db.sql("insert into revision (sheet_id, number, title, document) values (:id, 2, 'Add ellipse', :document)").param("id", id)
                .param("document", SheetJson.write(theirs)).update();
        db.sql("update sheet set head = 2, version = version + 1 where id = :id").param("id", id).update();
        assertThat(sheets.open(id, member.id()).sheet()).isEqualTo(theirs);
        assertThat(make(MovePanels.along(List.of("p2"), 1, 0)).sheet().panels()).hasSize(2);
    }

    /** An edit that fails leaves the sheet as it was, also in memory. */
    @Test
    void anEditThatFailsLeavesNoTrace() {
        Sheet before = make(AddPanel.into(new Ellipse(), new Box(10, 10, 30, 30))).sheet();
        assertThatThrownBy(() -> make(MovePanels.along(List.of("p1"), 1e9, 0))).isInstanceOf(BadInput.class);
        assertThat(sheets.open(id, member.id()).sheet()).isEqualTo(before);
        assertThat(make(MovePanels.along(List.of("p1"), 1, 0)).sheet().holder("p1").seat().centre().x())
                .isEqualTo(before.holder("p1").seat().centre().x() + 1);
    }

    @Test
    void anEditThatChangesNothingLeavesNoStep() {
        long version = sheets.open(id, member.id()).version();
        assertThat(make(new RenameSheet("Mornings")).version()).isEqualTo(version);
    }

    @Test
    void aDeletedSheetComesBack() {
        sheets.putAway(id, member.id());
        assertThatThrownBy(() -> sheets.open(id, member.id())).isInstanceOf(NotFound.class);
        sheets.bringBack(id, member.id());
        assertThat(sheets.open(id, member.id()).sheet().name()).isEqualTo("Mornings");
    }

    @Test
    void aPictureIsStoredOnceByteForByteAndAnUnreadableOneLeavesNoTrace() {
        byte[] file = jpeg(400, 300, 20);
        Picture picture = pictures.add(member.id(), "C:\\bay\\dawn ridge.jpg", file);
        assertThat(picture.name()).isEqualTo("dawn ridge");
        assertThat(pictures.add(newMember().id(), "other.jpeg", file).id()).isEqualTo(picture.id());
        assertThat(pictures.original(member.id(), picture.id())).isEqualTo(file);
        assertThat(db.sql("select count(*) from picture_data where sha = :sha").param("sha", picture.id()).query(Integer.class).single())
                .isEqualTo(4);
        int before = db.sql("select count(*) from picture").query(Integer.class).single();
        byte[] cut = Arrays.copyOf(jpeg(400, 300, 90), 3000);
        assertThatThrownBy(() -> pictures.add(member.id(), "cut.jpg", cut)).hasMessageStartingWith("cut.jpg");
        assertThat(db.sql("select count(*) from picture").query(Integer.class).single()).isEqualTo(before);
    }
}
