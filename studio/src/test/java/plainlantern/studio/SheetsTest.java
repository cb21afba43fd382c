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
import plainlantern.editing.AddPanel;
import plainlantern.editing.Edit;
import plainlantern.editing.LayOut;
import plainlantern.editing.MovePanels;
import plainlantern.editing.Remove;
import plainlantern.editing.RenameSheet;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Unit;
import plainlantern.outline.Ellipse;
import plainlantern.pattern.EvenGrid;
import plainlantern.sheet.Gone;
import plainlantern.sheet.Margins;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
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
        for (Edit edit : List.of(LayOut.replacing(new EvenGrid(3, 3, 5, 5), new Margins(10, 10, 10, 10)), new MovePanels(List.of("p1"), 1 / 3.0, 1e-9),
                new Remove(List.of("p5")), new AddPanel(new Ellipse()), new RenameSheet("Evenings"))) {
            seen.add(make(edit).sheet());
        }
        for (int i = seen.size() - 2; i >= 0; i--) assertThat(sheets.undo(id, member.id()).after().sheet()).isEqualTo(seen.get(i));
        assertThatThrownBy(() -> sheets.undo(id, member.id())).isInstanceOf(BadInput.class).hasMessageContaining("nothing to undo");
        for (int i = 1; i < seen.size(); i++) assertThat(sheets.redo(id, member.id()).after().sheet()).isEqualTo(seen.get(i));
    }

    @Test
    void stepsHaveNamesAndANewEditForgetsWhatWasUndone() {
        make(new AddPanel(new Ellipse()));
        assertThat(make(new RenameSheet("Evenings")).undo()).contains("Rename sheet");
        Opened back = sheets.undo(id, member.id()).after();
        assertThat(back.undo()).contains("Add ellipse");
        assertThat(back.redo()).contains("Rename sheet");
        assertThat(make(new RenameSheet("Noon")).redo()).isEmpty();
    }

    @Test
    void theLast500StepsAreKept() {
        make(new AddPanel(new Ellipse()));
        for (int i = 0; i < 520; i++) make(new MovePanels(List.of("p1"), 0.01, 0));
        assertThat(db.sql("select count(*) from revision where sheet_id = :id").param("id", id).query(Integer.class).single()).isEqualTo(501);
        for (int i = 0; i < 500; i++) sheets.undo(id, member.id());
        assertThat(sheets.open(id, member.id()).undo()).isEmpty();
    }

    /** Two windows: what the other one did stays, and what it removed cannot be moved any more. */
    @Test
    void anEditMeetsTheSheetAsItIsNow() {
        make(LayOut.replacing(new EvenGrid(1, 2, 5, 5), new Margins(10, 10, 10, 10)));
        make(new Remove(List.of("p1")));
        assertThatThrownBy(() -> make(new MovePanels(List.of("p1"), 1, 1))).isInstanceOf(Gone.class);
        assertThat(make(new MovePanels(List.of("p2"), 1, 1)).sheet().elements()).hasSize(1);
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
        assertThat(db.sql("select count(*) from picture_data where sha = :sha").param("sha", picture.id()).query(Integer.class).single()).isEqualTo(4);
        int before = db.sql("select count(*) from picture").query(Integer.class).single();
        byte[] cut = Arrays.copyOf(jpeg(400, 300, 90), 3000);
        assertThatThrownBy(() -> pictures.add(member.id(), "cut.jpg", cut)).hasMessageStartingWith("cut.jpg");
        assertThat(db.sql("select count(*) from picture").query(Integer.class).single()).isEqualTo(before);
    }
}
