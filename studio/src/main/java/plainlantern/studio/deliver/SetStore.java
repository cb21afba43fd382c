package plainlantern.studio.deliver;

import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import plainlantern.rendering.Delivery;
import plainlantern.sheet.SheetJson;

/** The table {@code delivery_set}. */
@Repository
class SetStore {
    private final JdbcClient db;

    SetStore(JdbcClient db) {
        this.db = db;
    }

    List<SetRow> list(UUID account) {
        return db.sql("select id, name, settings::text as settings from delivery_set where account_id = :account order by lower(name)")
                .param("account", account)
                .query((row, n) -> new SetRow(row.getString("id"), row.getString("name"),
                        SheetJson.MAPPER.readValue(row.getString("settings"), Delivery.class), true)).list();
    }

    /** Keeps settings under a name, in place of those that had it. */
    void put(UUID account, String name, Delivery settings) {
        db.sql("""
                insert into delivery_set (id, account_id, name, settings) values (:id, :account, :name, :settings::jsonb)
                on conflict (account_id, lower(name)) do update set name = excluded.name, settings = excluded.settings""")
                .param("id", UUID.randomUUID()).param("account", account).param("name", name)
                        .param("settings", SheetJson.MAPPER.writeValueAsString(settings)).update();
    }

    /** False where it has none like that. */
    boolean remove(UUID account, UUID id) {
        return db.sql("delete from delivery_set where account_id = :account and id = :id").param("account", account)
                .param("id", id).update() == 1;
    }
}
