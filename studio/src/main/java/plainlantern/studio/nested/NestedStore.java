package plainlantern.studio.nested;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

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
     * @param now     the sheet's version now
     * @param rested  whether the sheet was left alone for a moment
     */
    record Row(String picture, UUID sheet, String name, long version, long now, boolean rested) {}

    /** Those of the pictures that were drawn from sheets that are still there. */
    List<Row> of(UUID account, Collection<String> pictures) {
        return pictures.isEmpty() ? List.of() : rows("n.picture in (:pictures)", account, pictures, UUID.randomUUID());
    }

    /** The newest drawing of a sheet. */
    Optional<Row> newest(UUID account, UUID sheet) {
        return rows("n.sheet_id = :sheet order by n.version desc limit 1", account, List.of(""), sheet).stream().findFirst();
    }

    private List<Row> rows(String which, UUID account, Collection<String> pictures, UUID sheet) {
        return db.sql("""
                select n.picture, n.sheet_id as sheet, s.name, n.version, s.version as now,
                    s.changed_at < now() - interval '2 seconds' as rested
                from nested_sheet n join sheet s on s.id = n.sheet_id
                where n.account_id = :account and s.account_id = :account and s.deleted_at is null and
                """ + which).param("account", account).param("pictures", pictures).param("sheet", sheet).query(Row.class).list();
    }

    void put(UUID account, String picture, UUID sheet, long version) {
        db.sql("""
                insert into nested_sheet (account_id, picture, sheet_id, version) values (:account, :picture, :sheet, :version)
                on conflict (account_id, picture) do update set sheet_id = :sheet, version = :version
                """).param("account", account).param("picture", picture).param("sheet", sheet).param("version", version).update();
    }

    /** From now on it is a picture like others. */
    void forget(UUID account, String picture) {
        db.sql("delete from nested_sheet where account_id = :account and picture = :picture").param("account", account)
                .param("picture", picture).update();
    }
}
