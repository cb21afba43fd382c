package plainlantern.studio.upkeep;

import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Over all tables: what is over. Each call takes a small piece, so that nobody waits for it. */
@Repository
class UpkeepStore {
    private final JdbcClient db;

    UpkeepStore(JdbcClient db) {
        this.db = db;
    }

    /** Sheets that were put away that long ago, and those of erased accounts. */
    List<UUID> sheets(Duration away, int most) {
        return db.sql("""
                select id from sheet where deleted_at < now() - make_interval(secs => :seconds)
                union all select s.id from sheet s join account a on a.id = s.account_id where a.erased_at is not null limit :most
                """).param("seconds", (double) away.toSeconds()).param("most", most).query(UUID.class).list();
    }

    void removeSheet(UUID id, Duration away) {
        db.sql("""
                delete from sheet s using account a where s.id = :id and a.id = s.account_id
                and (a.erased_at is not null or s.deleted_at < now() - make_interval(secs => :seconds))
                """).param("id", id).param("seconds", (double) away.toSeconds()).update();
    }

    /** Takes pictures from accounts that have had them for that long and use them on no sheet. */
    int disown(Duration unused) {
        return db.sql("""
                delete from picture_owner o where (o.added_at < now() - make_interval(secs => :seconds)
                    or exists (select 1 from account a where a.id = o.account_id and a.erased_at is not null))
                and not exists (select 1 from sheet_picture s where s.account_id = o.account_id and s.sha = o.sha)
                """).param("seconds", (double) unused.toSeconds()).update();
    }

    /** Removes some pictures that no account has. */
    int removePictures(int most) {
        return db.sql("""
                delete from picture where sha in (
                    select p.sha from picture p where not exists (select 1 from picture_owner o where o.sha = p.sha)
                    limit :most for update skip locked)
                and not exists (select 1 from picture_owner o where o.sha = picture.sha)
                """).param("most", most).update();
    }

    /** Ends erased accounts that hold nothing any more. */
    void removeAccounts() {
        db.sql("""
                delete from account a where a.erased_at is not null and not exists (select 1 from sheet s where s.account_id = a.id)
                and not exists (select 1 from picture_owner o where o.account_id = a.id)
                """).update();
    }

    /** Names of edits that are not sent again any more. */
    void removeEdits() {
        db.sql("delete from made_edit where made_at < now() - interval '1 day'").update();
    }
}
