package plainlantern.studio.proofs;

import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import plainlantern.studio.sheets.CurrentSheets;

/** The table {@code proof_picture}. */
@Repository
class PaintedStore {
    private final JdbcClient db;

    PaintedStore(JdbcClient db) {
        this.db = db;
    }

    /** A sheet painted with {@code side} pixels along its longer side; {@code state} as {@link CurrentSheets#state}. */
    Optional<byte[]> find(UUID sheet, String state, int side) {
        return db.sql("select data from proof_picture where sheet_id = :sheet and side = :side and shows = :state")
                .param("sheet", sheet)
                .param("side", side).param("state", state).query((row, n) -> row.getBytes(1)).optional();
    }

    /** Keeps it in place of an older one. */
    void put(UUID sheet, long version, String state, int side, byte[] data) {
        db.sql("""
                insert into proof_picture (sheet_id, side, version, shows, data) values (:sheet, :side, :version, :state, :data)
                on conflict (sheet_id, side) do update set version = excluded.version, shows = excluded.shows, data = excluded.data
                where proof_picture.version <= excluded.version
                """).param("state", state).param("sheet", sheet).param("side", side).param("version", version).param("data", data).update();
    }
}
