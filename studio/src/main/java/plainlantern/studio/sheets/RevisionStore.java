package plainlantern.studio.sheets;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The table {@code revision}: the whole document after each edit, numbered from 0. */
@Repository
class RevisionStore {
    private final JdbcClient db;

    RevisionStore(JdbcClient db) {
        this.db = db;
    }

    /** The document of a revision, as text; empty where that is not kept. */
    Optional<String> document(UUID sheet, int number) {
        return db.sql("select document from revision where sheet_id = :sheet and number = :number").param("sheet", sheet)
                .param("number", number).query(String.class).optional();
    }

    /** The numbers of those kept before one, last one first. */
    List<Integer> before(UUID sheet, int number) {
        return db.sql("select number from revision where sheet_id = :sheet and number < :number order by number desc").param("sheet", sheet)
                .param("number", number)
                .query(Integer.class).list();
    }

    /**
     * Stores a revision in place of any with that number and above, and forgets those more than {@code kept} before it; returns by how many
     * bytes the history grew.
     */
    long put(UUID sheet, int number, String title, Document document, int kept) {
        long gone = gone("""
                delete from revision where sheet_id = :sheet and (number >= :number or number < :number - :bound) returning bytes""",
                sheet, number, kept);
        db.sql("insert into revision (sheet_id, number, title, document, bytes) values (:sheet, :number, :title, :document, :bytes)")
                .param("sheet", sheet).param("number", number).param("title", title).param("document", document.json())
                        .param("bytes", document.bytes()).update();
        return document.bytes() - gone;
    }

    /** Forgets all from a number on; returns their bytes. */
    long removeFrom(UUID sheet, int number) {
        return gone("delete from revision where sheet_id = :sheet and number >= :number returning bytes", sheet, number, 0);
    }

    /** Forgets the oldest before {@code number} where all from there on are more than {@code most} bytes; returns the bytes that went. */
    long lighten(UUID sheet, int number, long most) {
        return gone("""
                delete from revision where sheet_id = :sheet and number in (
                    select number from (
                        select number, sum(bytes) over (order by number desc) as heavy from revision
                        where sheet_id = :sheet and number <= :number) as all_of_them
                    where heavy > :bound and number < :number)
                returning bytes""", sheet, number, most);
    }

    private long gone(String delete, UUID sheet, int number, long bound) {
        return db.sql("with gone as (" + delete + ") select coalesce(sum(bytes), 0) from gone").param("sheet", sheet)
                .param("number", number).param("bound", bound).query(Long.class).single();
    }
}
