package plainlantern.studio.sheets;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.namedparam.MapSqlParameterSource;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcOperations;
import org.springframework.jdbc.core.namedparam.SqlParameterSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The table {@code sheet_picture}: which pictures the steps and versions of a sheet have on their shelves. */
@Repository
class ShelvedStore {
    private final JdbcClient db;
    private final NamedParameterJdbcOperations many;

    ShelvedStore(JdbcClient db, NamedParameterJdbcOperations many) {
        this.db = db;
        this.many = many;
    }

    /** Adds those that are the account's own. */
    void add(UUID sheet, UUID account, List<String> shas) {
        if (shas.isEmpty()) return;
        db.sql("""
                insert into sheet_picture (sheet_id, account_id, sha) select :sheet, account_id, sha from picture_owner
                where account_id = :account and sha in (:shas) on conflict do nothing
                """).param("sheet", sheet).param("account", account).param("shas", shas).update();
    }

    /** The same for new sheets. */
    void add(UUID account, Map<UUID, Document> all) {
        List<SqlParameterSource> rows = new ArrayList<>();
        all.forEach((sheet, document) -> document.pictures().forEach(sha -> rows.add(new MapSqlParameterSource("sheet", sheet)
                .addValue("account", account).addValue("sha", sha))));
        many.batchUpdate("""
                insert into sheet_picture (sheet_id, account_id, sha) select :sheet, account_id, sha from picture_owner
                where account_id = :account and sha = :sha on conflict do nothing
                """, rows.toArray(SqlParameterSource[]::new));
    }
}
