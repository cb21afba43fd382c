package plainlantern.studio.proofs;

import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The table {@code proof_note}. */
@Repository
class NoteStore {
    private static final String ROW = """
            select n.id, n.sheet_id as sheet, n.x, n.y, n.author, n.says, n.answer, n.done, n.made_at from proof_note n
            join proof p on p.id = n.proof_id
            """;

    private final JdbcClient db;

    NoteStore(JdbcClient db) {
        this.db = db;
    }

    /** Those that came by a link, in turn. */
    List<Note> of(UUID proof) {
        return db.sql(ROW + "where p.id = :proof order by n.made_at, n.id").param("proof", proof).query(Note.class).list();
    }

    /** Those on a sheet of an account, in turn. */
    List<Note> on(UUID account, UUID sheet) {
        return db.sql(ROW + "where p.account_id = :account and n.sheet_id = :sheet order by n.made_at, n.id").param("account", account)
                .param("sheet", sheet).query(Note.class).list();
    }

    /** How many wait, by the sheets of a series. */
    int waiting(UUID account, List<UUID> sheets) {
        return sheets.isEmpty() ? 0 : db.sql("""
                select count(*) from proof_note n join proof p on p.id = n.proof_id
                where p.account_id = :account and n.sheet_id in (:sheets) and not n.done
                """).param("account", account).param("sheets", sheets).query(Integer.class).single();
    }

    int count(UUID proof) {
        return db.sql("select count(*) from proof_note where proof_id = :proof").param("proof", proof).query(Integer.class).single();
    }

    void add(UUID proof, UUID sheet, double x, double y, String author, String says) {
        db.sql("insert into proof_note (id, proof_id, sheet_id, x, y, author, says) values (:id, :proof, :sheet, :x, :y, :author, :says)")
                .param("id", UUID.randomUUID()).param("proof", proof).param("sheet", sheet).param("x", x).param("y", y)
                .param("author", author).param("says", says).update();
    }

    /** Answers a note on a sheet of an account, or ticks it off; false where there is none like that. */
    boolean change(UUID account, UUID sheet, UUID id, String answer, boolean done) {
        return db.sql("""
                update proof_note n set answer = :answer, done = :done from proof p
                where n.id = :id and n.sheet_id = :sheet and p.id = n.proof_id and p.account_id = :account
                """).param("answer", answer).param("done", done).param("id", id).param("sheet", sheet).param("account", account)
                .update() == 1;
    }

    boolean remove(UUID account, UUID sheet, UUID id) {
        return db.sql("""
                delete from proof_note n using proof p
                where n.id = :id and n.sheet_id = :sheet and p.id = n.proof_id and p.account_id = :account
                """).param("id", id).param("sheet", sheet).param("account", account).update() == 1;
    }
}
