package plainlantern.studio;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import plainlantern.asking.Unit;
import plainlantern.editing.sheet.RenameSheet;
import plainlantern.rendering.Delivery;
import plainlantern.rendering.Format;
import plainlantern.sheet.Element;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import plainlantern.studio.sheets.Opened;

/** What the program of before has left in the database. */
class UpgradeTest extends StudioTest {
    @Autowired
    private DataSource source;
    @Autowired
    private JdbcClient db;

    /** The document that the bundle of version 4 holds, as that program stored it. */
    private static String documentOfBefore() throws IOException {
        try (InputStream file = UpgradeTest.class.getResourceAsStream("/plainlantern/bundle/version-4.zip");
                ZipInputStream zip = new ZipInputStream(file)) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                if (!entry.getName().equals("sheet.json")) continue;
                return SheetJson.MAPPER.readTree(new String(zip.readAllBytes(), StandardCharsets.UTF_8)).path("sheet").toString();
            }
        }
        throw new IOException("no document");
    }

    /** A sheet of before opens, is changed, and its step of before comes back by undo. */
    @Test
    void sheetsOfBeforeOpen() throws IOException {
        UUID id = sheets.add(member.id(), Sheet.empty("Tide", Unit.MM, 100, 60, 150), "New sheet");
        db.sql("update revision set document = :document where sheet_id = :id").param("document", documentOfBefore())
                .param("id", id).update();
        db.sql("update sheet set version = version + 1 where id = :id").param("id", id).update();
        Sheet before = sheets.open(id, member.id()).sheet();
        assertThat(before.elements()).extracting(Element::kind).containsExactly("panel", "panel", "panel", "rule", "rule",
                "caption", "float");
        sheets.apply(id, member.id(), sheet -> new RenameSheet("Ebb"));
        Opened renamed = sheets.open(id, member.id());
        assertThat(renamed.sheet()).isEqualTo(before.named("Ebb"));
        assertThat(db.sql("""
                select jsonb_exists(document::jsonb, 'contents') from revision where sheet_id = :id order by number desc limit 1""")
                .param("id", id)
                .query(Boolean.class).single()).isTrue();
        sheets.step(id, member.id(), -1, renamed.version(), Optional.empty());
        assertThat(sheets.open(id, member.id()).sheet()).isEqualTo(before);
    }

    /** Settings that were kept, and what a delivery is to be like that waits, are read as they were meant. */
    @Test
    void settingsOfBeforeAreRead() {
        String schema = "before_" + UUID.randomUUID().toString().replace("-", "");
        var flyway = Flyway.configure().dataSource(source).schemas(schema);
        flyway.target("8").load().migrate();
        String flat = """
                {"format":"JPEG","extent":"sheet","ppi":150.0,"scale":2.0,"paper":true,"bleed":true,"marks":false,"quality":71,
                 "chroma":"full","atMost":9000,"live":false,"linked":true,"names":"{sheet}"}""";
        db.sql("insert into " + schema + ".account (id, name, sign_in, password_hash) values (:id, 'Keeper', 'keeper', '')")
                .param("id", UUID.randomUUID()).update();
        db.sql("insert into " + schema + ".delivery_set (id, account_id, name, settings) select :id, id, 'Print', :settings::jsonb from "
                + schema + ".account")
                .param("id", UUID.randomUUID()).param("settings", flat).update();
        Flyway.configure().dataSource(source).schemas(schema).load().migrate();
        String now = db.sql("select settings::text from " + schema + ".delivery_set").query(String.class).single();
        Delivery expected = Delivery.of(Format.JPEG, 150).scaled(2).withEdges(true, false).withQuality(71, Delivery.Chroma.FULL, 9000)
                .withWords(false, true).of(Delivery.of(Format.JPEG, 150).extent(), "{sheet}");
        assertThat(List.of(SheetJson.MAPPER.readValue(now, Delivery.class))).containsExactly(expected);
        db.sql("drop schema " + schema + " cascade").update();
    }
}
