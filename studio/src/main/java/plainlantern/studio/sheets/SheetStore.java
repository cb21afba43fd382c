package plainlantern.studio.sheets;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.OffsetDateTime;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.namedparam.MapSqlParameterSource;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcOperations;
import org.springframework.jdbc.core.namedparam.SqlParameterSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The table {@code sheet}. Every question names the account: a sheet of another one is not there. */
@Repository
public class SheetStore {
    private static final String ROW = "s.id, s.account_id, s.name, s.head, s.version, s.changed_at, s.bytes";
    private static final String STANDING = "select " + ROW + """
            , r.title,
            exists (select 1 from revision b where b.sheet_id = s.id and b.number = s.head - 1) as before,
            (select a.title from revision a where a.sheet_id = s.id and a.number = s.head + 1) as next
            """;
    private static final String OWN = """
             from sheet s join revision r on r.sheet_id = s.id and r.number = s.head
            where s.id = :id and s.account_id = :account and s.deleted_at is null
            """;
    private static final String CARD = """
            select s.id, s.name, s.size, s.panels, s.version, s.damaged,
                coalesce(t.version = s.version and t.shows = nested_state(s.id), false) as drawn, t.faults,
                    t.warnings,
                s.deleted_at as away_at
            from sheet s left join thumbnail t on t.sheet_id = s.id
            """;

    private final JdbcClient db;
    private final NamedParameterJdbcOperations many;

    SheetStore(JdbcClient db, NamedParameterJdbcOperations many) {
        this.db = db;
        this.many = many;
    }

    /** A name with its sheet. */
    public record Named(UUID id, String name) {}

    /** The account's sheets that were changed last, without those put away. */
    public List<Named> latest(UUID account, int most) {
        return db.sql("""
                select id, name from sheet where account_id = :account and deleted_at is null and kind = 'sheet'
                order by changed_at desc limit :most
                """)
                .param("account", account).param("most", most).query(Named.class).list();
    }

    /** One page of cards. */
    List<Card> cards(UUID account, Listing listing) {
        String order = switch (listing.order()) {
            case CHANGED -> listing.away() ? "s.deleted_at desc" : "s.changed_at desc";
            case NAME -> "lower(s.name), s.changed_at desc";
            case MADE -> "s.made_at desc";
        };
        return db.sql(CARD + where(listing) + " order by " + order + ", s.id limit :page offset :skipped").param("account", account)
                .param("find", listing.find())
                .param("page", Listing.PAGE).param("skipped", (long) (listing.page() - 1) * Listing.PAGE).query(Card.class).list();
    }

    int count(UUID account, Listing listing) {
        return db.sql("select count(*) from sheet s " + where(listing)).param("account", account).param("find", listing.find())
                .query(Integer.class).single();
    }

    private static String where(Listing listing) {
        return "where s.account_id = :account and s.deleted_at is " + (listing.away() ? "not null" : "null and s.kind = 'sheet'")
                + " and (:find = '' or position(lower(:find) in lower(s.name)) > 0)";
    }

    Optional<Card> card(UUID id, UUID account) {
        return db.sql(CARD + "where s.id = :id and s.account_id = :account").param("id", id).param("account", account)
                .query(Card.class).optional();
    }

    /** Those of the sheets whose thumbnail is that of their present version. */
    List<Card> cards(UUID account, Collection<UUID> ids) {
        return ids.isEmpty() ? List.of() : db.sql(CARD + "where s.account_id = :account and s.id in (:ids)").param("account", account)
                .param("ids", ids).query(Card.class).list();
    }

    public Optional<SheetRow> find(UUID id, UUID account) {
        return db.sql("select " + ROW + " from sheet s where s.id = :id and s.account_id = :account and s.deleted_at is null")
                .param("id", id).param("account", account)
                .query((row, n) -> row(row)).optional();
    }

    /** As {@link #find}, and nobody else can change the row until this transaction ends. */
    public Optional<SheetRow> lock(UUID id, UUID account) {
        return db.sql("select " + ROW + " from sheet s where s.id = :id and s.account_id = :account and s.deleted_at is null for update")
                .param("id", id).param("account", account)
                .query((row, n) -> row(row)).optional();
    }

    Optional<Standing> standing(UUID id, UUID account) {
        return db.sql(STANDING + OWN).param("id", id).param("account", account).query((row, n) -> standing(row)).optional();
    }

    /** A row with the document of its head. */
    record Whole(Standing standing, String document) {}

    /** Row and document as they are at one moment. */
    Optional<Whole> whole(UUID id, UUID account) {
        return db.sql(STANDING + ", r.document" + OWN).param("id", id).param("account", account)
                .query((row, n) -> new Whole(standing(row), row.getString("document"))).optional();
    }

    private static SheetRow row(ResultSet row) throws SQLException {
        return new SheetRow(row.getObject("id", UUID.class), row.getObject("account_id", UUID.class), row.getString("name"),
                row.getInt("head"), row.getLong("version"),
                row.getObject("changed_at", OffsetDateTime.class), row.getLong("bytes"));
    }

    private static Standing standing(ResultSet row) throws SQLException {
        return new Standing(row(row), row.getString("title"), row.getBoolean("before"), row.getString("next"));
    }

    /** A sheet that is new, its first step of so many bytes. */
    record Fresh(UUID id, Facts facts, long bytes) {}

    void add(UUID account, SheetKind kind, List<Fresh> all) {
        many.batchUpdate("""
                insert into sheet (id, account_id, name, size, panels, head, version, kind, bytes)
                values (:id, :account, :name, :size, :panels, 0, 1, :kind, :bytes)
                """, all.stream().map(fresh -> new MapSqlParameterSource("id", fresh.id).addValue("account", account)
                .addValue("name", fresh.facts.name()).addValue("size", fresh.facts.size()).addValue("panels", fresh.facts.panels())
                .addValue("kind", kind.label()).addValue("bytes", fresh.bytes)).toArray(SqlParameterSource[]::new));
    }

    /** Shows another revision; {@code more} bytes came to its history. */
    void point(UUID id, int head, Facts facts, long more) {
        db.sql("""
                update sheet set head = :head, name = :name, size = :size, panels = :panels, version = version + 1, changed_at = now(),
                    bytes = bytes + :more, damaged = false where id = :id
                """).param("id", id).param("head", head)
                .param("name", facts.name()).param("size", facts.size()).param("panels", facts.panels()).param("more", more).update();
    }

    void weigh(UUID id, long more) {
        db.sql("update sheet set bytes = bytes + :more where id = :id").param("more", more).param("id", id).update();
    }

    /** Keeps what a card shows, unless the sheet was changed since. */
    void note(UUID id, long version, Facts facts) {
        db.sql("update sheet set size = :size, panels = :panels, damaged = false where id = :id and version = :version")
                .param("size", facts.size()).param("panels", facts.panels())
                .param("id", id).param("version", version).update();
    }

    void damaged(UUID id, long version) {
        db.sql("update sheet set damaged = true where id = :id and version = :version").param("id", id).param("version", version).update();
    }

    /** Puts a sheet away, or brings it back; false where there is none to do that with. */
    boolean putAway(UUID id, UUID account, boolean away) {
        return db.sql("""
                update sheet set deleted_at = case when :away then now() end
                where id = :id and account_id = :account and (deleted_at is null) = :away
                """).param("id", id).param("account", account).param("away", away).update() == 1;
    }

    /** Removes a sheet that was put away, for good. */
    boolean remove(UUID id, UUID account) {
        return db.sql("delete from sheet where id = :id and account_id = :account and deleted_at is not null").param("id", id)
                .param("account", account).update() == 1;
    }

    /** The account's templates, the last one first. */
    List<Card> templates(UUID account, int most) {
        return db.sql(CARD + """
                where s.account_id = :account and s.kind = 'template' and s.deleted_at is null order by s.made_at desc, s.id limit :most
                """).param("account", account).param("most", most).query(Card.class).list();
    }

    /** Puts sheets of a series away, which stand by themselves from then on. */
    void release(UUID account, Collection<UUID> ids) {
        if (!ids.isEmpty()) db.sql("""
                update sheet set kind = 'sheet', deleted_at = coalesce(deleted_at, now()) where account_id = :account and id in (:ids)
                """).param("account", account).param("ids", ids).update();
    }

    /** Whether it is a sheet of a series. */
    boolean inSeries(UUID id) {
        return db.sql("select count(*) from sheet where id = :id and kind = 'series'").param("id", id).query(Integer.class).single() == 1;
    }

    Optional<UUID> owner(UUID id) {
        return db.sql("select account_id from sheet where id = :id and deleted_at is null").param("id", id).query(UUID.class).optional();
    }
}
