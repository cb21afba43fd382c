package plainlantern.studio.sheets;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import plainlantern.asking.BadInput;
import plainlantern.sheet.Sheet;

/** The table {@code keep}. Whose a sheet is has been asked before. */
@Repository
public class KeepStore {
    private final JdbcClient db;

    KeepStore(JdbcClient db) {
        this.db = db;
    }

    /** The kept versions of a sheet, last one first. */
    public List<KeepRow> list(UUID sheet) {
        return db.sql("select id, name, made_at from keep where sheet_id = :sheet order by made_at desc, id").param("sheet", sheet)
                .query(KeepRow.class).list();
    }

    public Optional<KeepRow> find(UUID sheet, UUID id) {
        return db.sql("select id, name, made_at from keep where sheet_id = :sheet and id = :id").param("sheet", sheet).param("id", id)
                .query(KeepRow.class).optional();
    }

    public Optional<Sheet> document(UUID sheet, UUID id) {
        return db.sql("select document from keep where sheet_id = :sheet and id = :id").param("sheet", sheet).param("id", id)
                .query(String.class).optional().map(KeepStore::read);
    }

    /** The version that was kept last. */
    public Optional<Sheet> last(UUID sheet) {
        return db.sql("select document from keep where sheet_id = :sheet order by made_at desc, id limit 1").param("sheet", sheet)
                .query(String.class).optional().map(KeepStore::read);
    }

    private static Sheet read(String document) {
        return Document.read(document)
                .orElseThrow(() -> new BadInput("", "This version can’t be read. Choose another one, or delete it."));
    }

    void add(UUID sheet, String name, Document document) {
        db.sql("insert into keep (id, sheet_id, name, document, bytes) values (:id, :sheet, :name, :document, :bytes)")
                .param("id", UUID.randomUUID())
                .param("sheet", sheet).param("name", name).param("document", document.json()).param("bytes", document.bytes()).update();
    }

    /** Returns the bytes that went. */
    long remove(UUID sheet, UUID id) {
        return db.sql("delete from keep where sheet_id = :sheet and id = :id returning bytes").param("sheet", sheet).param("id", id)
                .query(Long.class).optional().orElse(0L);
    }
}
