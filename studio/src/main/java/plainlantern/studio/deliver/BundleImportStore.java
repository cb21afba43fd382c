package plainlantern.studio.deliver;

import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The table {@code bundle_import}. */
@Repository
class BundleImportStore {
    private final JdbcClient db;

    BundleImportStore(JdbcClient db) {
        this.db = db;
    }

    /**
     * How far an import is.
     *
     * @param share  0 to 1
     * @param told   what is being done
     * @param failed why it ended without a sheet, else ""
     * @param sheet  the sheet that came of it; null before
     * @param silent whether its node has said nothing for long
     */
    record Row(double share, String told, String failed, UUID sheet, boolean silent) {}

    UUID add(UUID account, String told) {
        UUID id = UUID.randomUUID();
        db.sql("delete from bundle_import where changed_at < now() - interval '1 day'").update();
        db.sql("insert into bundle_import (id, account_id, told) values (:id, :account, :told)").param("id", id).param("account", account)
                .param("told", told).update();
        return id;
    }

    Optional<Row> find(UUID account, UUID id) {
        return db.sql("""
                select share, told, failed, sheet_id as sheet, changed_at < now() - interval '10 minutes' as silent from bundle_import
                where id = :id and account_id = :account
                """).param("id", id).param("account", account).query(Row.class).optional();
    }

    void told(UUID id, double share, String told) {
        db.sql("update bundle_import set share = :share, told = :told, changed_at = now() where id = :id").param("id", id)
                .param("share", share).param("told", told).update();
    }

    void failed(UUID id, String why) {
        db.sql("update bundle_import set failed = :why, changed_at = now() where id = :id").param("id", id).param("why", why).update();
    }

    void done(UUID id, UUID sheet) {
        db.sql("update bundle_import set share = 1, sheet_id = :sheet, changed_at = now() where id = :id").param("id", id)
                .param("sheet", sheet).update();
    }

    /** How many of the account's are under way. */
    int open(UUID account) {
        return db.sql("""
                select count(*) from bundle_import
                where account_id = :account and failed = '' and sheet_id is null and changed_at > now() - interval '10 minutes'
                """)
                .param("account", account).query(Integer.class).single();
    }
}
