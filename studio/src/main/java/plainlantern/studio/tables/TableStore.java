package plainlantern.studio.tables;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The table of colour tables that members brought, by the SHA-256 of their files. One that is no longer listed still serves its sheets. */
@Repository
class TableStore {
    private final JdbcClient db;

    TableStore(JdbcClient db) {
        this.db = db;
    }

    void add(UUID account, TableRow row, byte[] file) {
        db.sql("""
                insert into colour_table (account_id, id, name, file) values (:account, :id, :name, :file)
                on conflict (account_id, id) do update set listed = true
                """).param("account", account).param("id", row.id()).param("name", row.name()).param("file", file).update();
    }

    List<TableRow> all(UUID account) {
        return db.sql("select id, name from colour_table where account_id = :account and listed order by lower(name)")
                .param("account", account).query(TableRow.class).list();
    }

    int count(UUID account) {
        return db.sql("select count(*) from colour_table where account_id = :account").param("account", account).query(Integer.class)
                .single();
    }

    Optional<String> name(UUID account, String id) {
        return db.sql("select name from colour_table where account_id = :account and id = :id").param("account", account).param("id", id)
                .query(String.class).optional();
    }

    Optional<byte[]> file(UUID account, String id) {
        return db.sql("select file from colour_table where account_id = :account and id = :id").param("account", account).param("id", id)
                .query(byte[].class).optional();
    }

    boolean unlist(UUID account, String id) {
        return db.sql("update colour_table set listed = false where account_id = :account and id = :id and listed")
                .param("account", account).param("id", id).update() > 0;
    }
}
