package plainlantern.studio.quota;

import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Sums over all tables that hold something of an account. */
@Repository
class UsageStore {
    private final JdbcClient db;

    UsageStore(JdbcClient db) {
        this.db = db;
    }

    Usage of(UUID account) {
        return db.sql("""
                select (select coalesce(sum(p.bytes), 0) from picture p join picture_owner o on o.sha = p.sha
                        where o.account_id = :account) as pictures,
                       (select count(*) from sheet where account_id = :account) as sheets,
                       (select coalesce(sum(bytes), 0) from sheet where account_id = :account) as history,
                       (select coalesce(sum(bytes), 0) from delivery where account_id = :account) as files,
                       (select count(*) from delivery where account_id = :account and state in ('waiting', 'painting')) as waiting
                """).param("account", account).query(Usage.class).single();
    }

    /** Of the steps and versions alone: every edit asks. */
    long history(UUID account) {
        return db.sql("select coalesce(sum(bytes), 0) from sheet where account_id = :account").param("account", account)
                .query(Long.class).single();
    }
}
