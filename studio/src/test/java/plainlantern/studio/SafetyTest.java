package plainlantern.studio;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.OutputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.sql.SQLTransientConnectionException;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.editing.sheet.RenameSheet;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.studio.jobs.ShortJob;
import plainlantern.studio.quota.Quotas;
import plainlantern.studio.sheets.Damaged;
import plainlantern.studio.web.DatabaseAway;

/** What strangers and accidents can and cannot do, over the line as they come. */
class SafetyTest extends StudioTest {
    @LocalServerPort
    private int port;
    @Autowired
    private JdbcClient db;
    @Autowired
    private Quotas quotas;
    @Autowired
    private List<ShortJob> jobs;
    private Visitor visitor;

    @BeforeEach
    void arrives() {
        visitor = new Visitor(port);
    }

    private int count(String what) {
        return db.sql("select count(*) from " + what).query(Integer.class).single();
    }

    private UUID sheet(String name) {
        return sheets.add(member.id(), Sheet.empty(name, Unit.MM, 100, 100, 96), "New sheet");
    }

    @Test
    void nothingIsStoredForStrangers() throws Exception {
        int before = count("spring_session where principal_name is null");
        for (String path : List.of("/", "/sign-in", "/sheets", "/sheets/" + UUID.randomUUID(), "/sign-up", "/nothing-here"))
            visitor.get(path);
        assertThat(visitor.get("/sheets").headers().firstValue("Location").orElse("")).endsWith("/sign-in");
        visitor.get("/sign-in");
        assertThat(visitor.post("/sign-in", "name", "nobody", "password", "wrong").headers().firstValue("Location").orElse(""))
                .endsWith("/sign-in?wrong");
        assertThat(count("spring_session where principal_name is null")).isEqualTo(before);
    }

    /** 300 MB are announced and none of them sent: the answer comes all the same. */
    @ParameterizedTest
    @CsvSource({"/pictures, X-CSRF-TOKEN: x, 403", "/pictures, Accept: */*, 403", "/sign-in, X-CSRF-TOKEN: x, 415"})
    void anUploadOfAStrangerIsRefusedBeforeItIsRead(String path, String header, int status) throws Exception {
        try (Socket socket = new Socket("127.0.0.1", port)) {
            socket.setSoTimeout(10_000);
            OutputStream out = socket.getOutputStream();
            out.write(("POST " + path + " HTTP/1.1\r\nHost: lantern\r\n" + header
                    + "\r\nContent-Type: multipart/form-data; boundary=b\r\nContent-Length: 314572800\r\n\r\n")
                    .getBytes(StandardCharsets.US_ASCII));
            out.flush();
            assertThat(new String(socket.getInputStream().readNBytes(12), StandardCharsets.US_ASCII)).isEqualTo("HTTP/1.1 " + status);
        }
    }

    /**
     * Ten wrong passwords for one account; then even the right one waits, while others sign in, and so on all nodes: the count is in the
     * database.
     */
    @Test
    void passwordsCannotBeTriedForEver() throws Exception {
        String name = new Visitor(port).signUp("Harbour Master", "reeds and water");
        String other = new Visitor(port).signUp("Harbour Master", "reeds and water");
        assertThat(other).isNotEqualTo(name);
        visitor.get("/sign-in");
        for (int i = 0; i < 10; i++) assertThat(visitor.post("/sign-in", "name", name, "password", "guess " + i).statusCode())
                .isEqualTo(302);
        assertThat(visitor.post("/sign-in", "name", name.toUpperCase(), "password", "reeds and water").statusCode()).isEqualTo(429);
        assertThat(visitor.post("/sign-in", "name", name, "password", "reeds and water").body())
                .contains("Too many tries", "quarter of an hour");
        assertThat(visitor.post("/sign-in", "name", other, "password", "reeds and water").headers().firstValue("Location").orElse(""))
                .endsWith("/sheets");
        db.sql("update tries set until = now() - interval '1 second' where who like :name").param("name", name + "%").update();
        Visitor patient = new Visitor(port);
        patient.get("/sign-in");
        assertThat(patient.post("/sign-in", "name", name, "password", "reeds and water").headers().firstValue("Location").orElse(""))
                .endsWith("/sheets");
    }

    /** The session holds no hash; another password ends all other sessions; an erased account is gone with all it held. */
    @Test
    void anAccountIsInItsOwnersHand() throws Exception {
        String name = visitor.signUp("Reed Warden", "reeds and water");
        byte[] session = db.sql("""
                select attribute_bytes from spring_session_attributes a join spring_session s on s.primary_id = a.session_primary_id
                where attribute_name = 'SPRING_SECURITY_CONTEXT'
                and principal_name = (select id::text from account where sign_in = :name)""").param("name", name)
                .query((row, n) -> row.getBytes(1)).single();
        assertThat(new String(session, StandardCharsets.ISO_8859_1)).contains("Reed Warden").doesNotContain("$2a$");
        Visitor elsewhere = new Visitor(port);
        elsewhere.get("/sign-in");
        elsewhere.post("/sign-in", "name", name, "password", "reeds and water");
        assertThat(elsewhere.get("/sheets").statusCode()).isEqualTo(200);
        visitor.get("/account");
        assertThat(visitor.post("/account/password", "present", "wrong one here", "password", "low water and mud").body())
                .contains("not your present password");
        assertThat(visitor.post("/account/password", "present", "reeds and water", "password", "password123").body())
                .contains("tried first");
        assertThat(visitor.post("/account/password", "present", "reeds and water", "password", "low water and mud").headers()
                .firstValue("Location").orElse("")).endsWith("?changed");
        assertThat(elsewhere.get("/sheets").statusCode()).isEqualTo(302);
        UUID own = db.sql("select id from account where sign_in = :name").param("name", name).query(UUID.class).single();
        Picture picture = pictures.add(own, "tide.jpg", jpeg(64, 48, 10));
        sheets.add(own, new ShelvePictures(List.of(picture)).apply(Sheet.empty("Mine", Unit.MM, 100, 100, 96)), "New sheet");
        visitor.get("/account");
        assertThat(visitor.post("/account/erase", "present", "low water and mud").headers().firstValue("Location").orElse(""))
                .endsWith("?erased");
        until(() -> count("account where id = '" + own + "'"), left -> left == 0);
        assertThat(count("sheet where account_id = '" + own + "'") + count("picture where sha = '" + picture.id() + "'")).isZero();
        visitor.get("/sign-in");
        assertThat(visitor.post("/sign-in", "name", name, "password", "low water and mud").headers().firstValue("Location").orElse(""))
                .endsWith("?wrong");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"/nothing-here | 302 | ''", "/sheets/no-sheet | 404 | There is nothing here",
            "/pictures/%2e%2e/small | 400 | That address makes no sense",
        "/sheets?page=many | 404 | There is nothing here"})
    void errorsHavePagesOfOurOwn(String path, int status, String words) throws Exception {
        if (status != 302) visitor.signUp("Reed Warden", "reeds and water");
        var answer = visitor.get(path);
        assertThat(answer.statusCode()).isEqualTo(status);
        assertThat(answer.body()).contains(words).doesNotContain("Tomcat", "Whitelabel", "Exception");
    }

    /** Malformed beyond what a client library sends; a form without its token; the database away. */
    @Test
    void neitherTheContainerNorTheDatabaseSpeaksForUs() throws Exception {
        try (Socket socket = new Socket("127.0.0.1", port)) {
            byte[] malformed = "GET /sheets|{}^ HTTP/1.1\r\nHost: lantern\r\nConnection: close\r\n\r\n".getBytes(StandardCharsets.US_ASCII);
            socket.getOutputStream().write(malformed);
            assertThat(new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8)).startsWith("HTTP/1.1 400")
                    .contains("That address makes no sense").doesNotContain("Tomcat");
        }
        var answer = visitor.post("/sign-in", "name", "a", "password", "b");
        assertThat(answer.statusCode()).isEqualTo(403);
        assertThat(answer.body()).contains("That isn’t allowed");
        MockHttpServletResponse away = new MockHttpServletResponse();
        new DatabaseAway().doFilter(new MockHttpServletRequest(), away, (request, response) -> {
            throw new IllegalStateException(new SQLTransientConnectionException("pool is empty"));
        });
        assertThat(away.getStatus()).isEqualTo(503);
        assertThat(away.getContentAsString()).contains("The server is busy");
        assertThatThrownBy(() -> new DatabaseAway().doFilter(new MockHttpServletRequest(), new MockHttpServletResponse(),
                (request, response) -> {
            throw new IllegalStateException("something else");
        })).hasMessage("something else");
    }

    /** 60 sheets are three pages; a part of a name finds one; deleted ones have a page of their own, come back, or go for good. */
    @Test
    void sheetsAreListedPageByPage() throws Exception {
        String name = visitor.signUp("Reed Warden", "reeds and water");
        member = accounts.find(name).orElseThrow();
        for (int i = 1; i <= 60; i++) sheet("Wall " + i);
        UUID gone = sheet("Old <postcard>");
        assertThat(visitor.get("/sheets").body().split("class=\"sheet-card\"")).hasSize(25);
        String last = visitor.get("/sheets?page=3&order=name").body();
        assertThat(last.split("class=\"sheet-card\"")).hasSize(14);
        assertThat(last).contains("Page 3 of 3, 61 sheets", "value=\"Wall 9\"");
        assertThat(visitor.get("/sheets?find=POSTCARD").body()).contains("Old &lt;postcard&gt;").doesNotContain("Wall");
        assertThat(visitor.get("/sheets?page=99").body()).contains("Page 3 of 3");
        visitor.post("/sheets/" + gone + "/put-away");
        assertThat(visitor.get("/sheets?find=postcard").body()).contains("No sheet has that in its name.");
        assertThat(visitor.get("/sheets?deleted").body()).contains("Old &lt;postcard&gt;", "Goes for good in 29 days");
        visitor.post("/sheets/" + gone + "/bring-back");
        assertThat(visitor.post("/sheets/" + gone + "/remove").statusCode()).isEqualTo(404);
        visitor.post("/sheets/" + gone + "/put-away");
        assertThat(visitor.post("/sheets/" + gone + "/remove").statusCode()).isEqualTo(200);
        assertThat(visitor.get("/sheets?deleted").body()).contains("Nothing was deleted");
    }

    /** After thirty days a deleted sheet goes, with the picture that no other sheet uses. */
    @Test
    void whatIsDeletedGoesInTheEnd() {
        Picture kept = pictures.add(member.id(), "kept.jpg", jpeg(64, 48, 33));
        Picture gone = pictures.add(member.id(), "gone.jpg", jpeg(64, 48, 77));
        UUID stays = sheets.add(member.id(), new ShelvePictures(List.of(kept)).apply(Sheet.empty("Stays", Unit.MM, 100, 100, 96)),
                "New sheet");
        UUID goes = sheets.add(member.id(), new ShelvePictures(List.of(kept, gone)).apply(Sheet.empty("Goes", Unit.MM, 100, 100, 96)),
                "New sheet");
        long before = quotas.usage(member.id()).pictures();
        sheets.putAway(goes, member.id());
        db.sql("update picture_owner set added_at = now() - interval '40 days' where account_id = :a").param("a", member.id()).update();
        db.sql("update sheet set deleted_at = now() - interval '29 days' where id = :id").param("id", goes).update();
        upkeep();
        assertThat(count("sheet where id = '" + goes + "'")).isOne();
        db.sql("update sheet set deleted_at = now() - interval '31 days' where id = :id").param("id", goes).update();
        upkeep();
        assertThat(count("sheet where id = '" + goes + "'")).isZero();
        assertThat(sheets.open(stays, member.id()).sheet().shelf()).hasSize(1);
        assertThat(pictures.original(member.id(), kept.id())).isNotEmpty();
        assertThat(count("picture_data where sha = '" + gone.id() + "'")).isZero();
        assertThat(quotas.usage(member.id()).pictures()).isEqualTo(before - jpeg(64, 48, 77).length);
    }

    private void upkeep() {
        jobs.stream().filter(job -> job.name().equals("upkeep")).findFirst().orElseThrow().run("");
    }

    /** A document that cannot be read locks nobody out: it is said, the sheet can be put away, and its last readable step comes back. */
    @Test
    void aDamagedSheetIsSaidAndCanBeHelped() throws Exception {
        String name = visitor.signUp("Reed Warden", "reeds and water");
        member = accounts.find(name).orElseThrow();
        UUID id = sheet("Nine mornings");
        sheets.apply(id, member.id(), sheet -> new RenameSheet("Nine evenings"));
        sheets.apply(id, member.id(), sheet -> new RenameSheet("Nine nights"));
        db.sql("update revision set document = '{\"bad\": 1}' where sheet_id = :id and number > 1").param("id", id).update();
        db.sql("update sheet set version = version + 1 where id = :id").param("id", id).update();
        assertThatThrownBy(() -> sheets.open(id, member.id())).isInstanceOf(Damaged.class);
        assertThat(visitor.get("/sheets").body()).contains("This sheet can’t be read.", "Go back to its last step that can");
        var page = visitor.get("/sheets/" + id);
        assertThat(page.statusCode()).isEqualTo(409);
        assertThat(page.body()).contains("/recover").doesNotContain("Jackson");
        assertThat(visitor.json("/sheets/" + id + "/edits",
                "{'edit':{'kind':'remove','panels':[]},'stage':'fill','selected':[],'version':1}").statusCode()).isEqualTo(409);
        visitor.get("/sheets");
        assertThat(visitor.post("/sheets/" + id + "/put-away").statusCode()).isEqualTo(200);
        assertThat(visitor.post("/sheets/" + id + "/bring-back").statusCode()).isEqualTo(200);
        assertThat(visitor.post("/sheets/" + id + "/recover").body()).contains("value=\"Nine evenings\"");
        assertThat(sheets.open(id, member.id()).sheet().name()).isEqualTo("Nine evenings");
    }

    @Test
    void whatAnAccountHoldsIsCounted() {
        long before = quotas.usage(member.id()).history();
        UUID id = sheet("Tide");
        sheets.apply(id, member.id(), sheet -> new RenameSheet("Ebb"));
        sheets.keep(id, member.id(), "As it was");
        int all = db.sql("""
                select sum(octet_length(document::text)) from (
                    select document || coalesce(edit, '') as document from revision where sheet_id = :id
                    union all select document from keep where sheet_id = :id) d""")
                .param("id", id).query(Integer.class).single();
        // PostgreSQL writes spaces between the members.
        assertThat(quotas.usage(member.id()).history() - before).isBetween(all / 2L, (long) all);
        assertThat(quotas.usage(member.id()).sheets()).isOne();
        assertThatThrownBy(() -> quotas.pictures(member.id(), 30_000_000_000L)).isInstanceOf(BadInput.class)
                .hasMessageContaining("30.0 GB more do not fit");
        assertThatThrownBy(() -> quotas.history(member.id(), 5_000_000_000L)).isInstanceOf(BadInput.class)
                .hasMessageContaining("the most an account holds");
        assertThatThrownBy(() -> quotas.files(member.id(), 30_000_000_000L)).isInstanceOf(BadInput.class)
                .hasMessageContaining("seven days");
        assertThatThrownBy(() -> quotas.waiting(member.id(), 41)).isInstanceOf(BadInput.class).hasMessageContaining("Let them end first");
    }
}
