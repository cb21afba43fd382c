package plainlantern.studio.sheets;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The table {@code sheet}. Every question names the account: a sheet of another one is not there. */
@Repository
public class SheetStore {
    private final JdbcClient db;

    SheetStore(JdbcClient db) {
        this.db = db;
    }

    /** The account's sheets, last changed first, without those put away. */
    public List<SheetRow> list(UUID account) {
        return db.sql("""
                select id, account_id, name, head, version, changed_at from sheet
                where account_id = :account and deleted_at is null order by changed_at desc
                """).param("account", account).query(SheetRow.class).list();
    }

    public Optional<SheetRow> find(UUID id, UUID account) {
        return db.sql("""
                select id, account_id, name, head, version, changed_at from sheet
                where id = :id and account_id = :account and deleted_at is null
                """).param("id", id).param("account", account).query(SheetRow.class).optional();
    }

    /** As {@link #find}, and nobody else can change the row until this transaction ends. */
    public Optional<SheetRow> lock(UUID id, UUID account) {
        return db.sql("""
                select id, account_id, name, head, version, changed_at from sheet
                where id = :id and account_id = :account and deleted_at is null for update
                """).param("id", id).param("account", account).query(SheetRow.class).optional();
    }

    public void add(UUID id, UUID account, String name) {
        db.sql("insert into sheet (id, account_id, name, head, version) values (:id, :account, :name, 0, 1)")
                .param("id", id).param("account", account).param("name", name).update();
    }

    /** Shows another revision; returns the row as it is then. */
    public SheetRow point(UUID id, int head, String name) {
        return db.sql("""
                update sheet set head = :head, name = :name, version = version + 1, changed_at = now() where id = :id
                returning id, account_id, name, head, version, changed_at
                """).param("id", id).param("head", head).param("name", name).query(SheetRow.class).single();
    }

    /** Puts a sheet away, or brings it back; false where there is none to do that with. */
    public boolean putAway(UUID id, UUID account, boolean away) {
        return db.sql("""
                update sheet set deleted_at = case when :away then now() end
                where id = :id and account_id = :account and (deleted_at is null) = :away
                """).param("id", id).param("account", account).param("away", away).update() == 1;
    }
}
