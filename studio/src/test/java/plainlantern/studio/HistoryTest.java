package plainlantern.studio;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.setup.SecurityMockMvcConfigurers.springSecurity;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.web.context.WebApplicationContext;
import plainlantern.asking.Unit;
import plainlantern.editing.reading.EditReader;
import plainlantern.sheet.Sheet;
import plainlantern.studio.account.Member;

/** The history as the server keeps it. */
class HistoryTest extends StudioTest {
    @Autowired
    private WebApplicationContext context;
    @Autowired
    private JdbcClient db;
    private MockMvc web;
    private UUID sheet;

    @BeforeEach
    void own() {
        web = MockMvcBuilders.webAppContextSetup(context).apply(springSecurity()).build();
        sheet = sheets.add(member.id(), Sheet.empty("Wall", Unit.MM, 100, 50, 96), "New sheet");
        for (String edit : new String[] {"{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':1,'columns':3,"
            + "'gapAcross':4,'gapDown':0},'margins':{'top':4,'right':4,'bottom':4,'left':4}}",
            "{'kind':'set-finish','panels':['p1'],'width':'2 mm'}",
            "{'kind':'rename','panel':'p1','name':'Ebb'}"}) {
            sheets.apply(sheet, member.id(), now -> EditReader.read(edit.replace('\'', '"'), now));
        }
    }

    private MockHttpServletResponse sent(String path, String body, Member by) throws Exception {
        return web.perform(post("/sheets/" + sheet + path).with(signedIn(by)).with(csrf()).contentType(MediaType.APPLICATION_JSON)
                .content(body)).andReturn().getResponse();
    }

    private String body(String more, String... selected) {
        return "{" + more + "\"stage\":\"arrange\",\"selected\":[" + (selected.length == 0 ? "" : "\"" + String.join("\",\"", selected)
                + "\"")
                + "],\"version\":" + sheets.open(sheet, member.id()).version() + "}";
    }

    private String list() throws Exception {
        return web.perform(get("/sheets/" + sheet + "/history").with(signedIn(member))).andReturn().getResponse().getContentAsString();
    }

    private Sheet now() {
        return sheets.open(sheet, member.id()).sheet();
    }

    /** Several steps at once, back and on; a step that is not there is said; a new edit ends those that were taken back. */
    @Test
    void anyStepIsGoneTo() throws Exception {
        assertThat(sent("/history/1", body(""), member).getStatus()).isEqualTo(200);
        assertThat(now().element("p1").finish().rim()).isEmpty();
        assertThat(list()).containsPattern("data-step=\"1\"\\s+class=\"now\"").containsPattern("data-step=\"3\"\\s+class=\"taken-back\"");
        sent("/history/3", body(""), member);
        assertThat(now().element("p1").name()).isEqualTo("Ebb");
        assertThat(sent("/history/7", body(""), member).getContentAsString()).contains("nothing to redo");
        assertThat(sent("/history/-1", body(""), member).getContentAsString()).contains("nothing to undo");
        // From a page that shows an older version nothing is taken back unseen.
        String old = body("");
        sheets.apply(sheet, member.id(), s -> EditReader.read("{\"kind\":\"rename\",\"panel\":\"p2\",\"name\":\"Flood\"}", s));
        assertThat(sent("/history/0", old, member).getContentAsString()).contains("Another window changed this sheet");
        assertThat(now().element("p2").name()).isEqualTo("Flood");
        sent("/history/0", body(""), member);
        sheets.apply(sheet, member.id(), s -> EditReader.read("{\"kind\":\"set-paper\",\"paper\":{\"kind\":\"none\"}}", s));
        assertThat(list()).doesNotContain("Rename", "taken-back");
    }

    /** Ticked steps on what is selected, as one; what cannot be is said; with nothing that can be, nothing is done. */
    @Test
    void tickedStepsAreDoneAgain() throws Exception {
        String answer = sent("/again", body("\"steps\":[2,3],", "p2", "p3"), member).getContentAsString();
        assertThat(answer).contains("Again: Rim, Rename");
        assertThat(now().element("p3").finish().rim().orElseThrow().width()).isEqualTo(2);
        assertThat(now().element("p3").name()).isEqualTo("Ebb");
        sheets.undo(sheet, member.id());
        assertThat(now().element("p2").finish().rim()).isEmpty();
        assertThat(sent("/again", body("\"steps\":[2],"), member).getContentAsString()).contains("Select what it is to be done on.");
        assertThat(sent("/again", body("\"steps\":[],", "p2"), member).getContentAsString()).contains("Tick the steps");
        assertThat(sent("/again", body("\"steps\":[0],", "p2"), member).getContentAsString()).contains("can’t be done again");
        assertThat(sent("/again", body("\"steps\":[2],", "p9"), member).getStatus()).isEqualTo(422);
        assertThat(sent("/again", body("\"steps\":[2],", "p2"), newMember()).getStatus()).isEqualTo(404);
    }

    /** Steps under a name are their owner's, and stay when the sheet they came from is gone. */
    @Test
    void keptStepsOutliveTheirSheet() throws Exception {
        web.perform(post("/sheets/" + sheet + "/steps").with(signedIn(member)).with(csrf()).param("name", "Frame").param("steps", "2"));
        web.perform(post("/sheets/" + sheet + "/steps").with(signedIn(member)).with(csrf()).param("name", "frame").param("steps", "2,3"));
        assertThat(list()).containsOnlyOnce("class=\"kept-steps\"").contains("Rim, Rename");
        Matcher kept = Pattern.compile("data-kept=\"([0-9a-f-]{36})\"").matcher(list());
        assertThat(kept.find()).isTrue();
        String use = "\"steps\":[],\"kept\":\"" + kept.group(1) + "\",";
        sheets.putAway(sheet, member.id());
        sheets.remove(sheet, member.id());
        own();
        assertThat(sent("/again", body(use, "p2"), member).getContentAsString()).contains("\"undo\":\"frame\"");
        Member stranger = newMember();
        UUID theirs = sheets.add(stranger.id(), now(), "New sheet");
        sheet = theirs;
        MockHttpServletResponse refused = web.perform(post("/sheets/" + theirs + "/again").with(signedIn(stranger)).with(csrf())
                .contentType(MediaType.APPLICATION_JSON).content("{" + use + "\"stage\":\"arrange\",\"selected\":[\"p2\"],\"version\":1}"))
                .andReturn().getResponse();
        assertThat(refused.getStatus()).isEqualTo(404);
    }

    /** The text of an edit is kept beside its step and weighs like it; a very long one is not kept. */
    @Test
    void whatIsKeptIsBounded() {
        assertThat(db.sql("select edit from revision where sheet_id = :id and number = 2").param("id", sheet).query(String.class).single())
                .contains("\"kind\":\"set-finish\"");
        StringBuilder d = new StringBuilder("M0 0");
        for (int i = 0; i < 6000; i++) d.append('L').append(i % 90 + 0.125).append(' ').append(i % 40 + 1);
        sheets.apply(sheet, member.id(), s -> EditReader.read("{\"kind\":\"add-drawn\",\"d\":\"" + d + "Z\"}", s));
        assertThat(db.sql("select count(*) from revision where sheet_id = :id and number = 4 and edit is null").param("id", sheet)
                .query(Integer.class).single()).isOne();
        assertThat(db.sql("select bytes from sheet where id = :id").param("id", sheet).query(Long.class).single()).isEqualTo(
                db.sql("select sum(octet_length(document) + coalesce(octet_length(edit), 0)) from revision where sheet_id = :id")
                        .param("id", sheet).query(Long.class).single());
    }
}
