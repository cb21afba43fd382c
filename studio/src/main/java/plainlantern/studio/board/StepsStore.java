package plainlantern.studio.board;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import plainlantern.editing.reading.Again;
import plainlantern.sheet.SheetJson;
import tools.jackson.core.type.TypeReference;

/** The table {@code steps}: steps that an account keeps under names. */
@Repository
class StepsStore {
    private final JdbcClient db;

    StepsStore(JdbcClient db) {
        this.db = db;
    }

    /** Some steps with their name. */
    public record Kept(UUID id, String name, List<Again.Step> steps) {
        /** "Rim, Shadow". */
        public String told() {
            return String.join(", ", steps.stream().map(step -> step.title().replaceFirst(":.*$", "")).distinct().toList());
        }
    }

    private static final String ROW = "select id, name, steps from steps where account_id = :account";

    List<Kept> list(UUID account) {
        return db.sql(ROW + " order by lower(name)").param("account", account).query(StepsStore::kept).list();
    }

    Optional<Kept> find(UUID account, UUID id) {
        return db.sql(ROW + " and id = :id").param("account", account).param("id", id).query(StepsStore::kept).optional();
    }

    private static Kept kept(ResultSet row, int n) throws SQLException {
        return new Kept(row.getObject("id", UUID.class), row.getString("name"), SheetJson.MAPPER.readValue(row.getString("steps"),
                new TypeReference<>() {}));
    }

    /** Keeps steps under a name, in place of those that had it. */
    void put(UUID account, String name, List<Again.Step> steps) {
        db.sql("""
                insert into steps (id, account_id, name, steps) values (:id, :account, :name, :steps)
                on conflict (account_id, lower(name)) do update set name = excluded.name, steps = excluded.steps
                """).param("id", UUID.randomUUID()).param("account", account).param("name", name)
                .param("steps", SheetJson.MAPPER.writeValueAsString(steps)).update();
    }

    /** False where it has none like that. */
    boolean remove(UUID account, UUID id) {
        return db.sql("delete from steps where account_id = :account and id = :id").param("account", account).param("id", id).update() == 1;
    }
}
