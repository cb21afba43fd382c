package plainlantern.studio;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.setup.SecurityMockMvcConfigurers.springSecurity;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMultipartHttpServletRequestBuilder;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.web.context.WebApplicationContext;
import plainlantern.asking.Unit;
import plainlantern.editing.Edit;
import plainlantern.editing.reading.EditReader;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.StandIn;
import plainlantern.studio.account.Member;
import plainlantern.studio.sheets.Card;
import plainlantern.studio.sheets.Opened;
import plainlantern.studio.sheets.SheetKind;

/** Series and templates as the server keeps them. */
class SeriesTest extends StudioTest {
    @Autowired
    private WebApplicationContext context;
    @Autowired
    private JdbcClient db;
    private MockMvc web;
    private List<Picture> shots;
    private UUID template;

    @BeforeEach
    void own() {
        web = MockMvcBuilders.webAppContextSetup(context).apply(springSecurity()).build();
        shots = new ArrayList<>();
        for (int i = 0; i < 4; i++) shots.add(pictures.add(member.id(), "shot " + (i + 1) + ".jpg", jpeg(60 + i, 40, 40 * i)));
        Sheet sheet = after(Sheet.empty("Card", Unit.MM, 100, 50, 96), "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid',"
                + "'rows':1,'columns':2,'gapAcross':4,'gapDown':0},'margins':{'top':4,'right':4,'bottom':4,'left':4}}",
                "{'kind':'add-caption','text':'{title}'}");
        template = sheets.addAll(member.id(), List.of(sheet), "New template", SheetKind.TEMPLATE, ids -> true).get(0);
    }

    private static Sheet after(Sheet sheet, String... edits) {
        Sheet now = sheet;
        for (String json : edits) now = edit(json, now).on(now);
        return now;
    }

    private static Edit edit(String json, Sheet sheet) {
        return EditReader.read(json.replace('\'', '"'), sheet);
    }

    private String named() {
        List<String> all = new ArrayList<>();
        for (Picture shot : shots) all.add("{\"id\":\"" + shot.id() + "\",\"name\":\"" + shot.name() + "\"}");
        return "[" + String.join(",", all) + "]";
    }

    private MockHttpServletResponse begun(Member by, String pictures, String table) throws Exception {
        MockMultipartHttpServletRequestBuilder request = multipart("/series");
        if (table != null) request.file(new MockMultipartFile("data", "days.csv", "text/csv", table.getBytes(StandardCharsets.UTF_8)));
        return web.perform(request.param("template", template.toString()).param("pictures", pictures).param("name", "Cards")
                .with(signedIn(by)).with(csrf())).andReturn().getResponse();
    }

    private UUID series(String table) throws Exception {
        Matcher id = Pattern.compile("/series/([0-9a-f-]{36})").matcher(begun(member, named(), table).getContentAsString());
        assertThat(id.find()).isTrue();
        return UUID.fromString(id.group(1));
    }

    private String state(UUID series) {
        return db.sql("select state from series where id = :id").param("id", series).query(String.class).single();
    }

    private List<UUID> made(UUID series) throws Exception {
        until(() -> state(series), state -> !state.equals("making"));
        return db.sql("select sheet_id from series_sheet where series_id = :id order by place").param("id", series).query(UUID.class)
                .list();
    }

    private String page(String path) throws Exception {
        return web.perform(get(path).with(signedIn(member))).andReturn().getResponse().getContentAsString();
    }

    private MockHttpServletResponse sent(String path, Member by) throws Exception {
        return web.perform(post(path).with(signedIn(by)).with(csrf()).param("name", "Other").param("set", "screen")).andReturn()
                .getResponse();
    }

    /** A sheet for every line: filled, named, weighed, its pictures shelved; neither among the sheets nor among the templates. */
    @Test
    void everyLineIsASheet() throws Exception {
        UUID series = series("title,picture 1\nEbb,shot 4\nFlood,shot 1\n");
        List<UUID> made = made(series);
        assertThat(state(series)).isEqualTo("ready");
        assertThat(made).hasSize(2);
        Sheet first = sheets.open(made.get(0), member.id()).sheet();
        assertThat(first.name()).isEqualTo("Card 1");
        assertThat(first.shelf()).extracting(Picture::name).containsExactlyInAnyOrder("shot 4", "shot 2");
        assertThat(first.holder("p3").content().get(1).words().orElseThrow().text()).isEqualTo("Ebb");
        assertThat(db.sql("select count(*) from sheet_picture where sheet_id in (:ids)").param("ids", made).query(Integer.class).single())
                .isEqualTo(4);
        assertThat(db.sql("select bytes from sheet where id = :id").param("id", made.get(0)).query(Long.class).single()).isEqualTo(
                db.sql("select octet_length(document) from revision where sheet_id = :id").param("id", made.get(0)).query(Long.class)
                        .single());
        String list = page("/sheets");
        assertThat(list).contains("/series/" + series, "Cards", "2 sheets").doesNotContain("id=\"sheet-" + made.get(0));
        assertThat(sheets.templates(member.id(), 9)).extracting(Card::id).containsExactly(template);
        assertThat(page("/series/" + series)).contains("Card 1", "Card 2");
    }

    /** What makes no sense is said at its field, and nothing is made. */
    @Test
    void whatMakesNoSenseIsSaid() throws Exception {
        assertThat(begun(member, "[]", null).getContentAsString()).contains("\"field\":\"pictures\"", "needs pictures");
        assertThat(begun(member, "{}", null).getContentAsString()).contains("Choose the pictures once more");
        assertThat(begun(member, "[null]", null).getContentAsString()).contains("Choose the pictures once more");
        assertThat(begun(member, named(), "title,picture 1\nEbb,none\n").getContentAsString()).contains("\"field\":\"data\"", "Line 2");
        assertThat(begun(member, named(), "title\n\"Ebb").getContentAsString()).contains("\"field\":\"data\"", "Line 2 can’t be read");
        // Another one's pictures and another one's template are not there.
        Member stranger = newMember();
        assertThat(begun(stranger, named(), null).getStatus()).isEqualTo(409);
        assertThat(begun(stranger, "[]", null).getStatus()).isIn(404, 422);
        assertThat(db.sql("select count(*) from series where account_id in (:ids)").param("ids", Set.of(member.id(), stranger.id()))
                .query(Integer.class).single()).isZero();
    }

    /** All or none: where a picture is gone when they are made, there is no sheet, and it is said. */
    @Test
    void allAreMadeOrNone() throws Exception {
        UUID series = series("title\nEbb\nFlood\n");
        made(series);
        long before = db.sql("select count(*) from sheet where account_id = :id").param("id", member.id()).query(Long.class).single();
        db.sql("update series set state = 'making', fillings = :all where id = :id").param("id", series)
                .param("all", "[{\"name\":\"Lost\",\"pictures\":{\"p1\":\"" + "f".repeat(64) + "\"},\"values\":{},\"names\":{}}]").update();
        context.getBean(plainlantern.studio.jobs.ShortJobs.class).add("series", series.toString());
        until(() -> state(series), state -> state.equals("failed"));
        assertThat(page("/series/" + series)).contains("That picture is not there.");
        assertThat(db.sql("select count(*) from sheet where account_id = :id").param("id", member.id()).query(Long.class).single())
                .isEqualTo(before);
    }

    /** What changes on the template changes on all; each has it as a step; one that cannot is named; what is put away is left alone. */
    @Test
    void theSheetsFollowTheirTemplate() throws Exception {
        UUID series = series("title\nEbb\nFlood\nSlack\n");
        List<UUID> made = made(series);
        assertThat(page("/series/" + series)).doesNotContain("has changed since");
        sheets.apply(made.get(1), member.id(), sheet -> edit("{'kind':'set-finish','panels':['p1'],'width':'3 mm'}", sheet));
        sheets.putAway(made.get(2), member.id());
        sheets.apply(template, member.id(), sheet -> edit("{'kind':'set-finish','panels':['p1','p2'],'width':'1 mm'}", sheet));
        assertThat(page("/series/" + series)).contains("has changed since");
        assertThat(sent("/series/" + series + "/follow", newMember()).getStatus()).isEqualTo(404);
        sent("/series/" + series + "/follow", member);
        until(() -> state(series), "ready"::equals);
        assertThat(page("/series/" + series)).doesNotContain("has changed since");
        Opened first = sheets.open(made.get(0), member.id());
        assertThat(first.undo()).hasValue("Follow the template");
        assertThat(first.sheet().name()).isEqualTo("Card 1");
        assertThat(rim(first.sheet(), "p1")).isEqualTo(1);
        Sheet second = sheets.open(made.get(1), member.id()).sheet();
        assertThat(rim(second, "p1")).isEqualTo(3);
        assertThat(rim(second, "p2")).isEqualTo(1);
        // Once more without a change: no step.
        sent("/series/" + series + "/follow", member);
        until(() -> state(series), "ready"::equals);
        assertThat(sheets.open(made.get(0), member.id()).version()).isEqualTo(first.version());
        sheets.putAway(template, member.id());
        assertThat(page("/series/" + series)).doesNotContain("has changed since");
    }

    private static double rim(Sheet sheet, String panel) {
        return sheet.element(panel).finish().rim().orElseThrow().width();
    }

    /** Renamed, handed over, ended: by its owner alone; its sheets can be restored, and stand by themselves then. */
    @Test
    void aSeriesBelongsToItsOwner() throws Exception {
        UUID series = series("title\nEbb\nFlood\n");
        List<UUID> made = made(series);
        for (String deed : List.of("rename", "stop", "follow", "deliveries", "remove")) {
            assertThat(sent("/series/" + series + "/" + deed, newMember()).getStatus()).as(deed).isEqualTo(404);
        }
        assertThat(sent("/series/" + series + "/rename", member).getStatus()).isEqualTo(200);
        assertThat(page("/series/" + series)).contains("Other");
        assertThat(sent("/series/" + series + "/deliveries", member).getContentAsString()).contains("Other.zip", "JPEG, 144 ppi, 2 files");
        assertThat(page("/sheets/" + made.get(1))).contains("2 of 2", "/sheets/" + made.get(0));
        sent("/series/" + series + "/remove", member);
        assertThat(page("/sheets?deleted=")).contains("Card 1", "Card 2");
        sheets.bringBack(made.get(0), member.id());
        assertThat(page("/sheets")).contains("id=\"sheet-" + made.get(0)).doesNotContain("/series/" + series);
    }

    /** A template keeps what stays; a new sheet begins with it, or with one that comes along, whose stand-ins are the account's then. */
    @Test
    void templatesAreKeptAndBegunWith() throws Exception {
        UUID sheet = sheets.add(member.id(), after(Sheet.empty("Poster", Unit.MM, 100, 50, 96).withShelf(shots),
                "{'kind':'frame-picture','picture':'" + shots.get(0).id() + "'}", "{'kind':'frame-picture','picture':'" + shots.get(1).id()
                + "'}", "{'kind':'traits','panels':['p2'],'locked':true}"), "New sheet");
        String ask = page("/sheets/" + sheet + "/template");
        assertThat(ask).containsPattern("value=\"" + shots.get(1).id() + "\"[^>]*checked").doesNotContainPattern("value=\""
                + shots.get(0).id() + "\"[^>]*checked");
        web.perform(post("/sheets/" + sheet + "/template").with(signedIn(member)).with(csrf()).param("name", "With a bird")
                .param("stays", shots.get(1).id()));
        Card kept = sheets.templates(member.id(), 9).get(0);
        assertThat(kept.name()).isEqualTo("With a bird");
        assertThat(sheets.open(kept.id(), member.id()).sheet().shelf()).filteredOn(p -> !StandIn.is(p.id())).containsExactly(shots.get(1));
        for (String from : List.of(kept.id().toString(), "nine")) {
            String address = web.perform(post("/templates").with(signedIn(member)).with(csrf()).param("template", from)).andReturn()
                    .getResponse().getRedirectedUrl();
            Sheet begun = sheets.open(UUID.fromString(address.substring(8)), member.id()).sheet();
            assertThat(begun.shelf()).anyMatch(picture -> StandIn.is(picture.id())).allMatch(picture -> pictures.has(member.id(), picture));
        }
        for (String from : List.of(kept.id().toString(), "none", "")) {
            assertThat(web.perform(post("/templates").with(signedIn(newMember())).with(csrf()).param("template", from)).andReturn()
                    .getResponse().getStatus()).as(from).isEqualTo(404);
        }
        MockHttpServletResponse small = web.perform(get("/templates/nine/picture").with(signedIn(member))).andReturn().getResponse();
        assertThat(small.getContentType()).isEqualTo("image/jpeg");
    }
}
