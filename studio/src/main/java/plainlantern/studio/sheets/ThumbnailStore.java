package plainlantern.studio.sheets;

import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The table {@code thumbnail}: each sheet painted small, once for a version. */
@Repository
class ThumbnailStore {
    private final JdbcClient db;

    ThumbnailStore(JdbcClient db) {
        this.db = db;
    }

    /** The thumbnail of exactly that version. */
    Optional<byte[]> find(UUID sheet, UUID account, long version) {
        return db.sql("""
                select t.png from thumbnail t join sheet s on s.id = t.sheet_id
                where t.sheet_id = :sheet and s.account_id = :account and t.version = :version and t.png is not null
                """).param("sheet", sheet).param("account", account).param("version", version)
                .query((row, n) -> row.getBytes(1)).optional();
    }

    /** Whether there is one of just what the sheet shows, see {@link CurrentSheets#state}. */
    boolean has(UUID sheet, String state) {
        return db.sql("select count(*) from thumbnail where sheet_id = :sheet and shows = :state").param("sheet", sheet)
                .param("state", state).query(Integer.class).single() == 1;
    }

    /** How many faults and warnings there are. */
    record Found(int faults, int warnings) {}

    /**
     * @param state what it shows
     * @param png   null where that version cannot be painted
     */
    void put(UUID sheet, long version, String state, byte[] png, Optional<Found> found) {
        db.sql("""
                insert into thumbnail (sheet_id, version, shows, png, faults, warnings)
                values (:sheet, :version, :state, :png, :faults, :warnings)
                on conflict (sheet_id) do update set version = excluded.version, shows = excluded.shows, png = excluded.png,
                    faults = excluded.faults,
                    warnings = excluded.warnings
                where thumbnail.version <= excluded.version
                """).param("sheet", sheet).param("version", version).param("state", state).param("png", png, java.sql.Types.BINARY)
                .param("faults", found.map(Found::faults).orElse(null)).param("warnings", found.map(Found::warnings).orElse(null)).update();
    }
}
