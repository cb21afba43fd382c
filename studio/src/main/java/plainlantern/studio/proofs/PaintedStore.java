package plainlantern.studio.proofs;

import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The table {@code proof_picture}. */
@Repository
class PaintedStore {
    private final JdbcClient db;

    PaintedStore(JdbcClient db) {
        this.db = db;
    }

    /** A sheet in that version, so many pixels along its longer side. */
    Optional<byte[]> find(UUID sheet, long version, int side) {
        return db.sql("select data from proof_picture where sheet_id = :sheet and side = :side and version = :version")
                .param("sheet", sheet)
                .param("side", side).param("version", version).query((row, n) -> row.getBytes(1)).optional();
    }

    /** Keeps it in place of an older one. */
    void put(UUID sheet, long version, int side, byte[] data) {
        db.sql("""
                insert into proof_picture (sheet_id, side, version, data) values (:sheet, :side, :version, :data)
                on conflict (sheet_id, side) do update set version = excluded.version, data = excluded.data
                where proof_picture.version < excluded.version
                """).param("sheet", sheet).param("side", side).param("version", version).param("data", data).update();
    }
}
