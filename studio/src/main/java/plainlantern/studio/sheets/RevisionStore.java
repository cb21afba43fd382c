package plainlantern.studio.sheets;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;

/** The table {@code revision}: the whole document after each edit, numbered from 0. */
@Repository
public class RevisionStore {
    private final JdbcClient db;

    RevisionStore(JdbcClient db) {
        this.db = db;
    }

    /** Throws where there is no such revision: the head always has one. */
    public Sheet document(UUID sheet, int number) {
        return SheetJson.read(db.sql("select document::text from revision where sheet_id = :sheet and number = :number")
                .param("sheet", sheet).param("number", number).query(String.class).single());
    }

    /** What the edits were called that led to a revision and to those beside it, by number; only those that are kept. */
    public Map<Integer, String> titlesAround(UUID sheet, int number) {
        Map<Integer, String> titles = new HashMap<>();
        db.sql("select number, title from revision where sheet_id = :sheet and number between :number - 1 and :number + 1")
                .param("sheet", sheet).param("number", number)
                .query(row -> {
                    titles.put(row.getInt("number"), row.getString("title"));
                });
        return titles;
    }

    /** Stores a revision in place of any with that number and above, and forgets those more than {@code kept} before it. */
    public void put(UUID sheet, int number, String title, Sheet document, int kept) {
        db.sql("delete from revision where sheet_id = :sheet and (number >= :number or number < :number - :kept)")
                .param("sheet", sheet).param("number", number).param("kept", kept).update();
        db.sql("insert into revision (sheet_id, number, title, document) values (:sheet, :number, :title, :document::jsonb)")
                .param("sheet", sheet).param("number", number).param("title", title)
                .param("document", SheetJson.write(document)).update();
    }
}
