package plainlantern.studio.sheets;

import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The table {@code made_edit}: the names that pages gave the edits they sent, for a day. */
@Repository
class MadeEditStore {
    private final JdbcClient db;

    MadeEditStore(JdbcClient db) {
        this.db = db;
    }

    boolean contains(UUID sheet, UUID edit) {
        return db.sql("select count(*) from made_edit where sheet_id = :sheet and edit_id = :edit").param("sheet", sheet)
                .param("edit", edit).query(Integer.class).single() == 1;
    }

    /** Notes that an edit is made; false where it was made before. */
    boolean add(UUID sheet, UUID edit) {
        return db.sql("insert into made_edit (sheet_id, edit_id) values (:sheet, :edit) on conflict do nothing").param("sheet", sheet)
                .param("edit", edit).update() == 1;
    }
}
