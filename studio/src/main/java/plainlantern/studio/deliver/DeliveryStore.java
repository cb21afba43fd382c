package plainlantern.studio.deliver;

import java.io.IOException;
import java.io.InputStream;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import plainlantern.rendering.Delivery;
import plainlantern.scene.Page;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import tools.jackson.databind.JsonNode;

/** The tables {@code delivery} and {@code delivery_file}. */
@Repository
class DeliveryStore {
    private static final String ROW = "id, file, title, state, progress, said, media_type, bytes";
    private static final int PART = 1 << 20;

    private final JdbcClient db;

    DeliveryStore(JdbcClient db) {
        this.db = db;
    }

    UUID add(DeliveryOrder order, List<Page> pages) {
        UUID id = UUID.randomUUID();
        db.sql("""
                insert into delivery (id, account_id, sheet_id, file, title, settings, documents, selected, state, media_type)
                values (:id, :account, :sheet, :file, :title, :settings::jsonb, :documents::jsonb, :selected, 'waiting', :type)""")
                .param("id", id).param("account", order.account()).param("sheet", order.home()).param("file", order.file(pages))
                        .param("title", order.title(pages))
                .param("settings", SheetJson.MAPPER.writeValueAsString(order.delivery()))
                        .param("documents", SheetJson.MAPPER.writeValueAsString(order.sheets()))
                .param("selected", order.selected().toArray(String[]::new)).param("type", order.delivery().mediaType(pages.size()))
                        .update();
        return id;
    }

    /** The latest deliveries asked for at any of those sheets, last one first. */
    List<DeliveryRow> list(UUID account, Collection<UUID> sheets, int most) {
        return sheets.isEmpty() ? List.of() : db.sql("select " + ROW + """
                 from delivery where account_id = :account and sheet_id in (:sheets) order by made_at desc, id limit :most
                """).param("account", account).param("sheets", sheets).param("most", most).query(DeliveryStore::row).list();
    }

    Optional<DeliveryRow> find(UUID account, UUID id) {
        return db.sql("select " + ROW + " from delivery where account_id = :account and id = :id").param("account", account).param("id", id)
                .query(DeliveryStore::row).optional();
    }

    private static DeliveryRow row(ResultSet row, int n) throws SQLException {
        return new DeliveryRow(row.getObject("id", UUID.class), row.getString("file"), row.getString("title"),
                DeliveryState.valueOf(row.getString("state").toUpperCase(Locale.ROOT)),
                row.getDouble("progress"), row.getString("said"), row.getString("media_type"), row.getLong("bytes"));
    }

    /** Marks an open delivery as being painted, once more; how many times that was, or nothing where it is not open. */
    Optional<Integer> begin(UUID id) {
        return db.sql("update delivery set state = 'painting', progress = 0, tries = tries + 1 where id = :id and state in ('waiting', "
                + "'painting') returning tries")
                .param("id", id).query(Integer.class).optional();
    }

    /** Its node stops: the try that it is at does not count. */
    void giveBack(UUID id) {
        db.sql("update delivery set state = 'waiting', tries = greatest(0, tries - 1) where id = :id and state = 'painting'")
                .param("id", id).update();
    }

    DeliveryOrder order(UUID id) {
        return db.sql("select account_id, sheet_id, settings::text as settings, documents::text as documents, selected from delivery "
                + "where id = :id").param("id", id).query((row, n) -> {
            List<Sheet> sheets = new ArrayList<>();
            for (JsonNode sheet : SheetJson.MAPPER.readTree(row.getString("documents"))) sheets.add(SheetJson.of(sheet));
            return new DeliveryOrder(row.getObject("account_id", UUID.class), row.getObject("sheet_id", UUID.class), sheets,
                    List.of((String[]) row.getArray("selected").getArray()),
                    SheetJson.MAPPER.readValue(row.getString("settings"), Delivery.class), Optional.empty());
        }).single();
    }

    /** False where somebody stopped it. */
    boolean progress(UUID id, double share) {
        return db.sql("update delivery set progress = :share where id = :id and state = 'painting'").param("share", share)
                .param("id", id).update() == 1;
    }

    /** Says what is done for a delivery before its painting begins; empty once it does. */
    void say(UUID id, String said) {
        db.sql("update delivery set said = :said where id = :id and state = 'painting'").param("said", said).param("id", id).update();
    }

    /** Ends an open delivery, for which there is no file. */
    boolean end(UUID id, DeliveryState state, String said) {
        return db.sql("""
                update delivery set state = :state, said = :said, documents = '[]', ended_at = now()
                where id = :id and state in ('waiting', 'painting')""")
                .param("state", state.label()).param("said", said).param("id", id).update() == 1;
    }

    /** Takes over the finished file; within a transaction. False where somebody stopped it. */
    boolean finish(UUID id, InputStream file) throws IOException {
        db.sql("delete from delivery_file where delivery_id = :id").param("id", id).update();
        long bytes = 0;
        int part = 0;
        for (byte[] read = file.readNBytes(PART); read.length > 0; read = file.readNBytes(PART)) {
            db.sql("insert into delivery_file (delivery_id, part, bytes) values (:id, :part, :bytes)").param("id", id).param("part", part++)
                    .param("bytes", read).update();
            bytes += read.length;
        }
        return db.sql("""
                update delivery set state = 'done', progress = 1, bytes = :bytes, documents = '[]', ended_at = now()
                where id = :id and state = 'painting'""")
                .param("bytes", bytes).param("id", id).update() == 1;
    }

    /** One part of a finished file; nothing after the last. */
    Optional<byte[]> part(UUID id, int part) {
        return db.sql("select bytes from delivery_file where delivery_id = :id and part = :part").param("id", id).param("part", part)
                .query((row, n) -> row.getBytes(1)).optional();
    }

    /** False where it has none like that. */
    boolean remove(UUID account, UUID id) {
        return db.sql("delete from delivery where account_id = :account and id = :id").param("account", account)
                .param("id", id).update() == 1;
    }

    int removeOlder(Duration age) {
        return db.sql("delete from delivery where ended_at < now() - make_interval(secs => :seconds)")
                .param("seconds", (double) age.toSeconds()).update();
    }
}
