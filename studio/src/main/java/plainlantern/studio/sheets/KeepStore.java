package plainlantern.studio.sheets;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;

/** The table {@code keep}. Whose a sheet is has been asked before. */
@Repository
public class KeepStore {
    private final JdbcClient db;

    KeepStore(JdbcClient db) {
        this.db = db;
    }

    /** The kept versions of a sheet, last one first. */
    public List<KeepRow> list(UUID sheet) {
        return db.sql("select id, name, made_at from keep where sheet_id = :sheet order by made_at desc, id").param("sheet", sheet).query(KeepRow.class).list();
    }

    public Optional<KeepRow> find(UUID sheet, UUID id) {
        return db.sql("select id, name, made_at from keep where sheet_id = :sheet and id = :id").param("sheet", sheet).param("id", id).query(KeepRow.class).optional();
    }

    public Optional<Sheet> document(UUID sheet, UUID id) {
        return db.sql("select document::text from keep where sheet_id = :sheet and id = :id").param("sheet", sheet).param("id", id).query(String.class).optional().map(SheetJson::read);
    }

    /** The version that was kept last. */
    public Optional<Sheet> last(UUID sheet) {
        return db.sql("select document::text from keep where sheet_id = :sheet order by made_at desc, id limit 1").param("sheet", sheet).query(String.class).optional().map(SheetJson::read);
    }

    public void add(UUID sheet, String name, Sheet document) {
        db.sql("insert into keep (id, sheet_id, name, document) values (:id, :sheet, :name, :document::jsonb)").param("id", UUID.randomUUID()).param("sheet", sheet).param("name", name)
                .param("document", SheetJson.write(document)).update();
    }

    public void remove(UUID sheet, UUID id) {
        db.sql("delete from keep where sheet_id = :sheet and id = :id").param("sheet", sheet).param("id", id).update();
    }
}
