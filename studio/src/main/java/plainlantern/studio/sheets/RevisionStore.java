package plainlantern.studio.sheets;

import java.time.OffsetDateTime;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.namedparam.MapSqlParameterSource;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcOperations;
import org.springframework.jdbc.core.namedparam.SqlParameterSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import plainlantern.editing.reading.Again;

/** The table {@code revision}: the whole document after each edit, numbered from 0. */
@Repository
public class RevisionStore {
    private final JdbcClient db;
    private final NamedParameterJdbcOperations many;

    RevisionStore(JdbcClient db, NamedParameterJdbcOperations many) {
        this.db = db;
        this.many = many;
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
     * Stores a revision, with the edit that led to it, in place of any with that number and above, and forgets those more than
     * {@code kept} before it; returns by how many bytes the history grew.
     */
    long put(UUID sheet, int number, String title, Document document, Optional<String> edit, int kept) {
        long gone = gone("""
                delete from revision where sheet_id = :sheet and (number >= :number or number < :number - :bound) returning bytes""",
                sheet, number, kept);
        return insert(sheet, number, title, document, edit) - gone;
    }

    /** Stores the first ones of new sheets. */
    void first(String title, Map<UUID, Document> all) {
        many.batchUpdate("insert into revision (sheet_id, number, title, document, bytes) values (:sheet, 0, :title, :document, :bytes)",
                all.entrySet().stream().map(fresh -> new MapSqlParameterSource("sheet", fresh.getKey()).addValue("title", title)
                .addValue("document", fresh.getValue().json()).addValue("bytes", fresh.getValue().bytes()))
                .toArray(SqlParameterSource[]::new));
    }

    private long insert(UUID sheet, int number, String title, Document document, Optional<String> edit) {
        long bytes = document.bytes() + edit.map(String::length).orElse(0);
        db.sql("""
                insert into revision (sheet_id, number, title, document, bytes, edit)
                values (:sheet, :number, :title, :document, :bytes, :edit)
                """).param("sheet", sheet).param("number", number).param("title", title).param("document", document.json())
                .param("bytes", bytes).param("edit", edit.orElse(null)).update();
        return bytes;
    }

    /**
     * A step as a list of them shows it.
     *
     * @param again whether it can be done again elsewhere
     */
    public record Step(int number, String title, OffsetDateTime madeAt, boolean again) {}

    /** All that are kept, the latest first. */
    List<Step> steps(UUID sheet) {
        return db.sql("select number, title, made_at, edit is not null as again from revision where sheet_id = :sheet order by number desc")
                .param("sheet", sheet).query(Step.class).list();
    }

    /** Those of the steps that can be done again, from first to last. */
    List<Again.Step> again(UUID sheet, Collection<Integer> numbers) {
        return numbers.isEmpty() ? List.of() : db.sql("""
                select title, edit from revision where sheet_id = :sheet and number in (:numbers) and edit is not null order by number
                """).param("sheet", sheet).param("numbers", numbers).query(Again.Step.class).list();
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
