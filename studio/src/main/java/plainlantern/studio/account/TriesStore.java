package plainlantern.studio.account;

import java.time.Duration;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The table {@code tries}: what was tried how often, on all nodes together. */
@Repository
public class TriesStore {
    private final JdbcClient db;

    TriesStore(JdbcClient db) {
        this.db = db;
    }

    /** Counts one try and says how many there are now; after {@code within} from the first the count begins anew. */
    int count(String what, String who, Duration within) {
        return db.sql("""
                insert into tries (what, who, count, until) values (:what, :who, 1, now() + make_interval(secs => :seconds))
                on conflict (what, who) do update set
                    count = case when tries.until < now() then 1 else least(tries.count + 1, 1000000) end,
                    until = case when tries.until < now() then excluded.until else tries.until end
                returning count
                """).param("what", what).param("who", who).param("seconds", (double) within.toSeconds()).query(Integer.class).single();
    }

    void forget(String what, String who) {
        db.sql("delete from tries where what = :what and who = :who").param("what", what).param("who", who).update();
    }

    /** Forgets counts whose time is over. */
    public void tidy() {
        db.sql("delete from tries where until < now()").update();
    }
}
