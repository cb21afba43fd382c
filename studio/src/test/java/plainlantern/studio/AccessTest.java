package plainlantern.studio;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.setup.SecurityMockMvcConfigurers.springSecurity;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
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

class AccessTest extends StudioTest {
    @Autowired
    private WebApplicationContext context;
    @Autowired
    private RequestMappingHandlerMapping requestMappingHandlerMapping;
    private MockMvc web;
    private UUID sheet;
    private Picture picture;

    @BeforeEach
    void own() {
        web = MockMvcBuilders.webAppContextSetup(context).apply(springSecurity()).build();
        picture = pictures.add(member.id(), "tide.jpg", jpeg(64, 48, 200));
        sheet = sheets.add(member.id(), new ShelvePictures(List.of(picture)).apply(Sheet.empty("Mine", Unit.MM, 100, 100, 96)),
                "New sheet");
    }

    /** One request for each route that names a sheet or a picture; whoever adds a route adds it here without doing anything. */
    private List<MockHttpServletRequestBuilder> routes() {
        List<MockHttpServletRequestBuilder> requests = new ArrayList<>();
        requestMappingHandlerMapping.getHandlerMethods().forEach((info, method) -> {
            for (String pattern : info.getPatternValues()) {
                if (!pattern.contains("{")) continue;
                String path = pattern.replace("{id}", sheet.toString()).replace("{sha}", picture.id()).replace("{level}", "small")
                        .replace("{kind}", "even-grid").replace("{treatment}", "eyJ0b25lcyI6W119").replace("{edit}", "e30")
                        .replace("{keep}", sheet.toString())
                        .replace("{delivery}", sheet.toString()).replace("{set}", sheet.toString()).replace("{bundle}", sheet.toString())
                        .replace("{step}", "0").replace("{token}", "nobody").replace("{place}", "0");
                for (RequestMethod verb : info.getMethodsCondition().getMethods()) {
                    requests.add(request(HttpMethod.valueOf(verb.name()), path).param("version", "0").param("stage", "arrange")
                            .param("ppi", "96").param("format", "png").param("name", "Stolen").param("panels", "p1").param("panel", "p1")
                                    .param("picture", picture.id()).param("x", "1").param("y", "1").param("across", "9").param("down", "9")
                                    .contentType(MediaType.APPLICATION_JSON)
                            .content("{\"edit\":{\"kind\":\"rename-sheet\",\"name\":\"Stolen\"},\"stage\":\"arrange\",\"selected\":[],"
                                    + "\"version\":0,"
                                    + "\"pictures\":{\"" + picture.id() + "\":\"x\"}}"));
                }
            }
        });
        return requests;
    }

    @Test
    void anotherAccountFindsNothingOnAnyRoute() throws Exception {
        List<MockHttpServletRequestBuilder> routes = routes();
        assertThat(routes).hasSizeGreaterThan(14);
        for (MockHttpServletRequestBuilder route : routes) {
            int answer = web.perform(route.with(signedIn(newMember())).with(csrf())).andReturn().getResponse().getStatus();
            // Whether a picture or a sheet is missing or somebody else's must look the same: 404, or "gone" for a named picture.
            assertThat(answer).isIn(404, 409);
        }
        assertThat(sheets.open(sheet, member.id()).sheet().name()).isEqualTo("Mine");
    }

    @Test
    void withoutASignInOrATokenNothingGoes() throws Exception {
        web.perform(get("/sheets")).andExpect(redirectedUrl("/sign-in"));
        web.perform(get("/sheets/" + sheet + "/seams").header("X-CSRF-TOKEN", "x")).andExpect(status().isUnauthorized());
        web.perform(post("/sheets/" + sheet + "/put-away").with(signedIn(member))).andExpect(status().isForbidden());
        web.perform(post("/demo/enter").with(csrf())).andExpect(status().isNotFound());
    }

    @Test
    void pagesForbidInlineAndForeignScriptsAndStyles() throws Exception {
        String policy = web.perform(get("/sign-in")).andExpect(status().isOk()).andExpect(header().exists("Content-Security-Policy"))
                .andReturn().getResponse().getHeader("Content-Security-Policy");
        assertThat(policy).contains("default-src 'none'", "script-src 'self';", "style-src 'self';").doesNotContain("unsafe");
    }

    /** A picture comes onto a shelf only through its owner's import, never by naming its id. */
    @Test
    void nobodyCanShelveAPictureByItsId() throws Exception {
        var thief = newMember();
        UUID own = sheets.add(thief.id(), Sheet.empty("Own", Unit.MM, 100, 100, 96), "New sheet");
        String shelve = "{\"edit\":{\"kind\":\"shelve\",\"pictures\":[{\"id\":\"" + picture.id()
                + "\",\"name\":\"x\",\"width\":64,\"height\":48}]},"
                + "\"stage\":\"fill\",\"selected\":[],\"version\":1}";
        web.perform(post("/sheets/" + own + "/edits").with(signedIn(thief)).with(csrf())
                .contentType(MediaType.APPLICATION_JSON).content(shelve))
                .andExpect(status().isUnprocessableContent());
        String named = "{\"pictures\":{\"" + picture.id() + "\":\"x\"},\"stage\":\"fill\",\"selected\":[],\"version\":1}";
        web.perform(post("/sheets/" + own + "/shelf").with(signedIn(thief)).with(csrf())
                .contentType(MediaType.APPLICATION_JSON).content(named))
                .andExpect(status().isConflict());
    }

    @Test
    void signUpSaysWhatIsWrong() throws Exception {
        web.perform(post("/sign-up").with(csrf()).param("name", "Anne").param("password", "short"))
                .andExpect(r -> assertThat(r.getResponse().getContentAsString()).contains("10 characters at least"));
    }
}
