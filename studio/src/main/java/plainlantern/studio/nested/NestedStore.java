package plainlantern.studio.nested;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import plainlantern.studio.sheets.CurrentSheets;

/** The table {@code nested_sheet}: which pictures of an account were drawn from which of its sheets. */
@Repository
class NestedStore {
    private final JdbcClient db;

    NestedStore(JdbcClient db) {
        this.db = db;
    }

    /**
     * A picture that was drawn from a sheet.
     *
     * @param name    the sheet's, as it is called now
     * @param version what of the sheet it shows
     * @param fresh   whether nothing has changed since: neither the sheet nor any that it shows
     * @param rested  whether the sheet was left alone for a moment
     */
    record Row(String picture, UUID sheet, String name, long version, boolean fresh, boolean rested) {}

    /** Those of the pictures that were drawn from sheets that are still there. */
    List<Row> of(UUID account, Collection<String> pictures) {
        return pictures.isEmpty() ? List.of() : rows("n.picture in (:pictures)", account, pictures);
    }

    /** What a sheet shows, see {@link CurrentSheets#state}. */
    String state(UUID sheet) {
        return db.sql("select nested_state(:sheet)").param("sheet", sheet).query(String.class).single();
    }

    /** A drawing of a sheet that shows just that, if the account still has it. */
    Optional<String> drawn(UUID account, UUID sheet, String state) {
        return db.sql("""
                select n.picture from nested_sheet n join picture_owner o on o.account_id = n.account_id and o.sha = n.picture
                where n.account_id = :account and n.sheet_id = :sheet and n.shows = :state limit 1
                """).param("account", account).param("sheet", sheet).param("state", state).query(String.class).optional();
    }

    private List<Row> rows(String which, UUID account, Collection<String> pictures) {
        return db.sql("""
                select n.picture, n.sheet_id as sheet, s.name, n.version,
                    coalesce(n.shows = nested_state(n.sheet_id), false) as fresh,
                    s.changed_at < now() - interval '2 seconds' as rested
                from nested_sheet n join sheet s on s.id = n.sheet_id
                where n.account_id = :account and s.account_id = :account and s.deleted_at is null and
                """ + which).param("account", account).param("pictures", pictures).query(Row.class).list();
    }

    void put(UUID account, String picture, UUID sheet, long version, String state) {
        db.sql("""
                insert into nested_sheet (account_id, picture, sheet_id, version, shows)
                values (:account, :picture, :sheet, :version, :state)
                on conflict (account_id, picture) do update set sheet_id = :sheet, version = :version, shows = :state
                """).param("account", account).param("picture", picture).param("sheet", sheet).param("version", version)
                .param("state", state).update();
    }

    /** From now on it is a picture like others. */
    void forget(UUID account, String picture) {
        db.sql("delete from nested_sheet where account_id = :account and picture = :picture").param("account", account)
                .param("picture", picture).update();
    }
}
