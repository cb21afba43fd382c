package plainlantern.studio.sheets;

import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The table {@code sheet_picture}: which pictures the steps and versions of a sheet have on their shelves. */
@Repository
class ShelvedStore {
    private final JdbcClient db;

    ShelvedStore(JdbcClient db) {
        this.db = db;
    }

    /** Adds those that are the account's own. */
    void add(UUID sheet, UUID account, List<String> shas) {
        if (shas.isEmpty()) return;
        db.sql("""
                insert into sheet_picture (sheet_id, account_id, sha) select :sheet, account_id, sha from picture_owner
                where account_id = :account and sha in (:shas) on conflict do nothing
                """).param("sheet", sheet).param("account", account).param("shas", shas).update();
    }
}
