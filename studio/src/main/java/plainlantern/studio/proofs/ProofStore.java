package plainlantern.studio.proofs;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The table {@code proof}. */
@Repository
class ProofStore {
    private static final String ROW = """
            select id, account_id as account, sheet_id as sheet, series_id as series, token, word, expires_at as expires,
                withdrawn_at as withdrawn from proof
            """;

    private final JdbcClient db;

    ProofStore(JdbcClient db) {
        this.db = db;
    }

    /** Those of erased accounts are not there. */
    Optional<Proof> find(String token) {
        return db.sql(ROW + """
                where token = :token and exists (select 1 from account a where a.id = account_id and a.erased_at is null)
                """).param("token", token).query(Proof.class).optional();
    }

    /** Those of a sheet, of the series that it is in, or of a series, the last one first. */
    List<Proof> of(UUID account, UUID what) {
        return db.sql(ROW + """
                where account_id = :account and (sheet_id = :what or series_id = :what
                    or series_id = (select series_id from series_sheet where sheet_id = :what)) order by made_at desc
                """).param("account", account).param("what", what).query(Proof.class).list();
    }

    /** @param days until it ends; null where it does not */
    void add(UUID account, Optional<UUID> sheet, Optional<UUID> series, String token, Optional<String> word, Integer days) {
        db.sql("""
                insert into proof (id, account_id, sheet_id, series_id, token, word, expires_at)
                values (:id, :account, :sheet, :series, :token, :word, now() + make_interval(days => :days))
                """).param("id", UUID.randomUUID()).param("account", account).param("sheet", sheet.orElse(null), java.sql.Types.OTHER)
                .param("series", series.orElse(null), java.sql.Types.OTHER).param("token", token).param("word", word.orElse(null))
                .param("days", days, java.sql.Types.INTEGER).update();
    }

    /** False where the account has none like that. */
    boolean withdraw(UUID account, UUID id) {
        return db.sql("update proof set withdrawn_at = coalesce(withdrawn_at, now()) where account_id = :account and id = :id")
                .param("account", account).param("id", id).update() == 1;
    }
}
