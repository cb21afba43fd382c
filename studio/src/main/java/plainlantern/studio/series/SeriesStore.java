package plainlantern.studio.series;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.jdbc.core.namedparam.MapSqlParameterSource;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcOperations;
import org.springframework.jdbc.core.namedparam.SqlParameterSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import plainlantern.series.Filling;
import plainlantern.sheet.SheetJson;
import plainlantern.studio.web.NotFound;
import tools.jackson.core.type.TypeReference;

/** The tables {@code series} and {@code series_sheet}. */
@Repository
public class SeriesStore {
    private static final String ROW = """
            select x.id, x.name, x.template_id, x.base_version, x.state, x.progress, x.said,
                (select count(*) from series_sheet m where m.series_id = x.id) as sheets from series x
            """;

    private final JdbcClient db;
    private final NamedParameterJdbcOperations many;

    SeriesStore(JdbcClient db, NamedParameterJdbcOperations many) {
        this.db = db;
        this.many = many;
    }

    /** What is needed to work on a series in the background. */
    record Work(UUID account, UUID template, String base, List<Filling> fillings, SeriesState state) {}

    /** A sheet of a series. */
    record Part(UUID sheet, int place, Filling filling) {}

    /**
     * Where a sheet stands in its series.
     *
     * @param place  counted from 1
     * @param before the sheet before it, null for the first
     * @param after  the sheet after it, null for the last
     */
    public record Around(UUID series, String name, int place, int count, UUID before, UUID after) {}

    private static SeriesState state(String label) {
        return SeriesState.valueOf(label.toUpperCase(Locale.ROOT));
    }

    private static SeriesRow row(ResultSet row, int n) throws SQLException {
        return new SeriesRow(row.getObject("id", UUID.class), row.getString("name"), row.getObject("template_id", UUID.class),
                row.getLong("base_version"), state(row.getString("state")),
                row.getDouble("progress"), row.getString("said"), row.getInt("sheets"));
    }

    List<SeriesRow> list(UUID account, int most) {
        return db.sql(ROW + "where x.account_id = :account order by x.made_at desc limit :most").param("account", account)
                .param("most", most).query(SeriesStore::row).list();
    }

    Optional<SeriesRow> find(UUID id, UUID account) {
        return db.sql(ROW + "where x.id = :id and x.account_id = :account").param("id", id).param("account", account)
                .query(SeriesStore::row).optional();
    }

    void add(UUID id, UUID account, UUID template, String name, String base, long version, List<Filling> fillings, String said) {
        db.sql("""
                insert into series (id, account_id, template_id, name, base, base_version, fillings, state, said)
                values (:id, :account, :template, :name, :base, :version, :fillings, 'making', :said)
                """).param("id", id).param("account", account).param("template", template).param("name", name).param("base", base)
                .param("version", version).param("fillings", SheetJson.MAPPER.writeValueAsString(fillings)).param("said", said).update();
    }

    Optional<Work> work(UUID id) {
        return db.sql("select account_id, template_id, base, fillings, state from series where id = :id").param("id", id)
                .query((row, n) -> new Work(row.getObject(1, UUID.class), row.getObject(2, UUID.class), row.getString(3),
                        SheetJson.MAPPER.readValue(row.getString(4), new TypeReference<List<Filling>>() {}),
                        state(row.getString(5)))).optional();
    }

    /** Tells how far the work is; false where somebody stopped it. */
    boolean progress(UUID id, double share) {
        return db.sql("update series set progress = :share where id = :id and state in ('making', 'following')").param("share", share)
                .param("id", id).update() == 1;
    }

    /** Goes from one state to another; false where it is not in the first. */
    boolean turn(UUID id, SeriesState from, SeriesState to, String said) {
        return db.sql("update series set state = :to, said = :said, progress = 0 where id = :id and state = :from").param("id", id)
                .param("from", from.label()).param("to", to.label()).param("said", said).update() == 1;
    }

    /** Within a transaction: the sheets are made. False where somebody stopped it. */
    boolean made(UUID id, List<UUID> sheets, List<Filling> fillings) {
        boolean going = db.sql("update series set state = 'ready', fillings = '[]', progress = 0 where id = :id and state = 'making'")
                .param("id", id).update() == 1;
        if (!going) return false;
        many.batchUpdate("insert into series_sheet (sheet_id, series_id, place, filling) values (:sheet, :series, :place, :filling)",
                IntStream.range(0, sheets.size()).mapToObj(i -> new MapSqlParameterSource("sheet", sheets.get(i)).addValue("series", id)
                .addValue("place", i + 1).addValue("filling", SheetJson.MAPPER.writeValueAsString(fillings.get(i))))
                .toArray(SqlParameterSource[]::new));
        return true;
    }

    List<Part> parts(UUID id) {
        return db.sql("select sheet_id, place, filling from series_sheet where series_id = :id order by place").param("id", id)
                .query((row, n) -> new Part(row.getObject(1, UUID.class), row.getInt(2),
                        SheetJson.MAPPER.readValue(row.getString(3), Filling.class))).list();
    }

    /** Its sheets, in their order. */
    public List<UUID> sheets(UUID id) {
        return db.sql("select sheet_id from series_sheet where series_id = :id order by place").param("id", id).query(UUID.class).list();
    }

    /** The first sheets of each series of an account, by the series. */
    Map<UUID, List<UUID>> first(UUID account, int most) {
        Map<UUID, List<UUID>> first = new HashMap<>();
        db.sql("""
                select series_id, sheet_id from (
                    select m.series_id, m.sheet_id, m.place, row_number() over (partition by m.series_id order by m.place) as at
                    from series_sheet m join series x on x.id = m.series_id where x.account_id = :account) as s
                where at <= :most order by place
                """).param("account", account).param("most", most).query(row -> {
                    first.computeIfAbsent(row.getObject(1, UUID.class), id -> new ArrayList<>()).add(row.getObject(2, UUID.class));
                });
        return first;
    }

    /** The sheets of a series of that account; throws {@link NotFound} where it has none like that. */
    public List<UUID> owned(UUID id, UUID account) {
        return sheets(find(id, account).orElseThrow(NotFound::new).id());
    }

    /** The sheets follow the template as it is in that version. */
    void follow(UUID id, String base, long version) {
        db.sql("update series set base = :base, base_version = :version where id = :id").param("base", base).param("version", version)
                .param("id", id).update();
    }

    void rename(UUID id, String name) {
        db.sql("update series set name = :name where id = :id").param("name", name).param("id", id).update();
    }

    void remove(UUID id) {
        db.sql("delete from series where id = :id").param("id", id).update();
    }

    /** Where a sheet stands; empty where it is in no series. */
    public Optional<Around> around(UUID sheet) {
        return db.sql("""
                select x.id as series, x.name, s.at as place, s.count, s.before, s.after from (
                    select m.series_id, m.sheet_id, row_number() over w as at, count(*) over (partition by m.series_id) as count,
                        lag(m.sheet_id) over w as before, lead(m.sheet_id) over w as after
                    from series_sheet m join sheet t on t.id = m.sheet_id and t.deleted_at is null
                    where m.series_id = (select series_id from series_sheet where sheet_id = :sheet)
                    window w as (partition by m.series_id order by m.place)) as s
                join series x on x.id = s.series_id where s.sheet_id = :sheet
                """).param("sheet", sheet).query(Around.class).optional();
    }
}
