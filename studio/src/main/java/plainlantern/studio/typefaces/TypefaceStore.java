package plainlantern.studio.typefaces;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The table of typefaces that members brought, by the SHA-256 of their files. */
@Repository
class TypefaceStore {
    private final JdbcClient db;

    TypefaceStore(JdbcClient db) {
        this.db = db;
    }

    void add(UUID account, TypefaceRow row, byte[] file) {
        db.sql("""
                insert into typeface (account_id, id, family, style, weight, says, file)
                values (:account, :id, :family, :style, :weight, :says, :file) on conflict do nothing
                """).param("account", account).param("id", row.id()).param("family", row.family()).param("style", row.style())
                .param("weight", row.weight()).param("says", row.says()).param("file", file).update();
    }

    List<TypefaceRow> all(UUID account) {
        return db.sql("select id, family, style, weight, says from typeface where account_id = :account order by lower(family), "
                + "weight, style")
                .param("account", account).query(TypefaceRow.class).list();
    }

    Optional<byte[]> file(UUID account, String id) {
        return db.sql("select file from typeface where account_id = :account and id = :id").param("account", account).param("id", id)
                .query(byte[].class).optional();
    }

    boolean remove(UUID account, String id) {
        return db.sql("delete from typeface where account_id = :account and id = :id").param("account", account).param("id", id)
                .update() > 0;
    }
}
