package plainlantern.studio;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.setup.SecurityMockMvcConfigurers.springSecurity;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;

import jakarta.servlet.http.Cookie;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.context.WebApplicationContext;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.studio.sheets.SheetKind;

/** What a link opens, and what it does not. */
class ProofTest extends StudioTest {
    @Autowired
    private WebApplicationContext context;
    @Autowired
    private RequestMappingHandlerMapping mappings;
    @Autowired
    private JdbcClient db;
    private MockMvc web;
    private UUID sheet;
    private Picture picture;

    @BeforeEach
    void own() {
        web = MockMvcBuilders.webAppContextSetup(context).apply(springSecurity()).build();
        picture = pictures.add(member.id(), "tide.jpg", jpeg(64, 48, 200));
        sheet = sheets.add(member.id(), new ShelvePictures(List.of(picture)).apply(Sheet.empty("Poster", Unit.MM, 100, 50, 96)),
                "New sheet");
    }

    private String link(String days, String word) throws Exception {
        String html = web.perform(post("/sheets/" + sheet + "/proofs").with(signedIn(member)).with(csrf()).param("days", days)
                .param("word", word)).andReturn().getResponse().getContentAsString();
        Matcher address = Pattern.compile("/proof/[\\w-]{32}").matcher(html);
        assertThat(address.find()).as(html).isTrue();
        return address.group();
    }

    private MockHttpServletResponse seen(MockHttpServletRequestBuilder what) throws Exception {
        return web.perform(what.with(r -> {
            r.setRemoteAddr("203.0.113." + Math.floorMod(sheet.hashCode(), 250));
            return r;
        })).andReturn().getResponse();
    }

    private MockHttpServletResponse note(String link, String author, String says) throws Exception {
        return seen(post(link + "/notes").with(csrf()).contentType(MediaType.APPLICATION_JSON).content("{\"place\":0,\"x\":0.25,\"y\":0.5,"
                + "\"author\":\"" + author + "\",\"says\":\"" + says + "\"}"));
    }

    /** Of all routes that there are, a visitor with a link reaches the link's own alone. */
    @Test
    void nothingElseOfTheAccountIsReached() throws Exception {
        String link = link("", "");
        assertThat(seen(get(link)).getStatus()).isEqualTo(200);
        List<String> reached = new ArrayList<>();
        mappings.getHandlerMethods().forEach((info, method) -> {
            for (String pattern : info.getPatternValues()) {
                String path = pattern.replace("{id}", sheet.toString()).replace("{sha}", picture.id()).replace("{level}", "small")
                        .replace("{token}", link.substring(7)).replace("{place}", "0").replaceAll("\\{\\w+}", sheet.toString());
                for (RequestMethod verb : info.getMethodsCondition().getMethods()) {
                    try {
                        int status = seen(request(HttpMethod.valueOf(verb.name()), path).with(csrf()).param("name", "x").param("password",
                                "x")
                                .contentType(MediaType.APPLICATION_JSON).content("{}")).getStatus();
                        if (status < 300) reached.add(verb + " " + pattern);
                    } catch (Exception e) {
                        throw new AssertionError(pattern, e);
                    }
                }
            }
        });
        assertThat(reached).containsExactlyInAnyOrder("GET /proof/{token}", "GET /proof/{token}/notes",
                "GET /proof/{token}/{place}/painted",
                "GET /sign-in", "GET /sign-up", "POST /sign-up");
        assertThat(seen(get(link + "/1/painted")).getStatus()).as("no second sheet").isEqualTo(404);
        assertThat(seen(get(link + "/0/painted").param("side", "9000")).getStatus()).isEqualTo(404);
        String page = seen(get(link)).getContentAsString();
        assertThat(page).doesNotContain(sheet.toString(), picture.id(), member.id().toString());
    }

    /** A link that was withdrawn, has ended, was never made, or whose sheet was put away: nothing, at once. */
    @Test
    void endedLinksLeadNowhere() throws Exception {
        String link = link("3", "");
        assertThat(seen(get(link)).getStatus()).isEqualTo(200);
        db.sql("update proof set expires_at = now() - interval '1 second' where token = :token").param("token", link.substring(7)).update();
        assertThat(seen(get(link)).getStatus()).isEqualTo(404);
        String other = link("", "");
        UUID id = db.sql("select id from proof where token = :token").param("token", other.substring(7)).query(UUID.class).single();
        int stranger = web.perform(post("/sheets/" + sheet + "/proofs/" + id + "/withdraw").with(signedIn(newMember())).with(csrf()))
                .andReturn().getResponse().getStatus();
        assertThat(stranger).isEqualTo(404);
        assertThat(seen(get(other)).getStatus()).isEqualTo(200);
        web.perform(post("/sheets/" + sheet + "/proofs/" + id + "/withdraw").with(signedIn(member)).with(csrf()));
        for (String path : List.of("", "/notes", "/0/painted")) assertThat(seen(get(other + path)).getStatus()).as(path).isEqualTo(404);
        assertThat(note(other, "Ines", "Too late").getStatus()).isEqualTo(404);
        String third = link("", "");
        sheets.putAway(sheet, member.id());
        assertThat(seen(get(third)).getStatus()).isEqualTo(404);
        assertThat(seen(get("/proof/" + "A".repeat(32))).getStatus()).isEqualTo(404);
        sheets.bringBack(sheet, member.id());
        assertThat(seen(get(third)).getStatus()).isEqualTo(200);
        accounts.erase(member.id());
        assertThat(seen(get(third)).getStatus()).isEqualTo(404);
    }

    /** Before the word is entered there is nothing to see; who guesses is stopped. */
    @Test
    void aWordIsAskedFor() throws Exception {
        String link = link("", "spring tide");
        assertThat(seen(get(link)).getContentAsString()).contains("The word").doesNotContain("Poster");
        assertThat(seen(get(link + "/0/painted")).getStatus()).isEqualTo(404);
        assertThat(note(link, "Ines", "Hello").getStatus()).isEqualTo(404);
        Cookie pass = seen(post(link + "/word").with(csrf()).param("word", "spring tide")).getCookie("lantern-proof");
        assertThat(pass.isHttpOnly()).isTrue();
        assertThat(seen(get(link).cookie(pass)).getContentAsString()).contains("Poster");
        assertThat(seen(get(link("", "another")).cookie(pass)).getContentAsString()).as("for that link alone").doesNotContain("Poster");
        int last = 0;
        for (int i = 0; i < 21; i++) last = seen(post(link + "/word").with(csrf()).param("word", "ebb")).getStatus();
        assertThat(last).isEqualTo(429);
    }

    /** Notes are text, have a name, lie on the sheet; the answer comes back; sixty in a quarter of an hour are enough. */
    @Test
    void notesComeAndAreAnswered() throws Exception {
        String link = link("", "");
        assertThat(note(link, "", "Who am I?").getContentAsString()).contains("Say who you are");
        assertThat(note(link, "Ines", " ").getContentAsString()).contains("Write what you want to say");
        String sent = note(link, "<b>Ines</b>", "<img src=x onerror=alert(1)>").getContentAsString();
        assertThat(sent).contains("\"author\":\"<b>Ines</b>\"", "\"place\":0").doesNotContain(sheet.toString());
        String desk = web.perform(get("/sheets/" + sheet + "/proofs").with(signedIn(member))).andReturn().getResponse()
                .getContentAsString();
        assertThat(desk).contains("&lt;img src=x onerror=alert(1)&gt;").doesNotContain("<img src=x");
        UUID id = db.sql("select id from proof_note where sheet_id = :sheet").param("sheet", sheet).query(UUID.class).single();
        String path = "/sheets/" + sheet + "/notes/" + id;
        assertThat(web.perform(post(path).with(signedIn(newMember())).with(csrf()).param("answer", "x")).andReturn().getResponse()
                .getStatus()).isEqualTo(404);
        web.perform(post(path).with(signedIn(member)).with(csrf()).param("answer", "It will be larger.").param("done", "true"));
        assertThat(seen(get(link + "/notes")).getContentAsString()).contains("\"answer\":\"It will be larger.\"", "\"done\":true");
        int last = 0;
        for (int i = 0; i < 60; i++) last = note(link, "Ines", "And this " + i).getStatus();
        assertThat(last).isEqualTo(429);
    }

    /** A link to a series shows its sheets, each under its number, and no other; notes go to the sheet they were put on. */
    @Test
    void aLinkToASeriesShowsItsSheets() throws Exception {
        UUID series = UUID.randomUUID();
        db.sql("""
                insert into series (id, account_id, name, base, base_version, fillings, state)
                values (:id, :account, 'Cards', '{}', 1, '[]', 'ready')
                """).param("id", series).param("account", member.id()).update();
        List<UUID> all = sheets.addAll(member.id(), List.of(Sheet.empty("One", Unit.MM, 90, 50, 96), Sheet.empty("Two", Unit.MM, 50, 90,
                96)),
                "New", SheetKind.SERIES, ids -> true);
        for (int i = 0; i < 2; i++) db.sql("insert into series_sheet (sheet_id, series_id, place, filling) values (:s, :x, :p, '{}')")
                .param("s", all.get(i)).param("x", series).param("p", i + 1).update();
        String html = web.perform(post("/series/" + series + "/proofs").with(signedIn(member)).with(csrf()).param("days", "9"))
                .andReturn().getResponse().getContentAsString();
        Matcher address = Pattern.compile("/proof/[\\w-]{32}").matcher(html);
        assertThat(address.find()).isTrue();
        String link = address.group();
        assertThat(seen(get(link)).getContentAsString()).contains("One", "Two", "and 1 more").doesNotContain("Poster");
        assertThat(seen(get(link + "/1/painted").param("side", "480")).getContentType()).isEqualTo("image/jpeg");
        assertThat(seen(get(link + "/2/painted")).getStatus()).isEqualTo(404);
        seen(post(link + "/notes").with(csrf()).contentType(MediaType.APPLICATION_JSON).content(
                "{\"place\":1,\"x\":0.25,\"y\":0.5,\"author\":\"Ines\",\"says\":\"Wider?\"}"));
        assertThat(page("/sheets/" + all.get(1) + "/proofs")).contains("Wider?", link);
        assertThat(page("/sheets/" + all.get(0) + "/proofs")).doesNotContain("Wider?").contains(link);
        assertThat(page("/series/" + series + "/proofs")).contains("One note waits for you");
        assertThat(page("/sheets/" + all.get(1) + "/proofs/waiting")).isEqualTo("1");
        assertThat(web.perform(post("/series/" + series + "/proofs").with(signedIn(newMember())).with(csrf())).andReturn().getResponse()
                .getStatus()).isEqualTo(404);
        sheets.putAway(all.get(1), member.id());
        assertThat(seen(get(link)).getContentAsString()).contains("One").doesNotContain("Two");
        assertThat(seen(get(link + "/1/painted")).getStatus()).isEqualTo(404);
    }

    private String page(String path) throws Exception {
        return web.perform(get(path).with(signedIn(member))).andReturn().getResponse().getContentAsString();
    }

    /** Links have bounds, too. */
    @Test
    void linksAreBounded() throws Exception {
        for (String days : List.of("0", "366", "many", "-3", "1e9")) {
            assertThat(web.perform(post("/sheets/" + sheet + "/proofs").with(signedIn(member)).with(csrf()).param("days", days)).andReturn()
                    .getResponse().getContentAsString()).as(days).contains("\"field\":\"days\"");
        }
        for (int i = 0; i < 20; i++) link("", "");
        assertThat(web.perform(post("/sheets/" + sheet + "/proofs").with(signedIn(member)).with(csrf())).andReturn().getResponse()
                .getContentAsString()).contains("There are 20 links already");
    }
}
