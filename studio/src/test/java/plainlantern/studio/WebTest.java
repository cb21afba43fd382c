package plainlantern.studio;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.setup.SecurityMockMvcConfigurers.springSecurity;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.AbstractMockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.web.context.WebApplicationContext;
import plainlantern.asking.Unit;
import plainlantern.bundle.BundleWriter;
import plainlantern.editing.filling.FillPanels;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.editing.placing.LayOut;
import plainlantern.pattern.EvenGrid;
import plainlantern.sheet.Margins;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import plainlantern.studio.board.Gallery;
import plainlantern.studio.sheets.Opened;
import tools.jackson.databind.JsonNode;

/** What the routes answer, for the pages that ask them. */
class WebTest extends StudioTest {
    @LocalServerPort
    private int port;
    @Autowired
    private WebApplicationContext context;
    private MockMvc web;
    private Picture picture;
    private UUID id;

    @BeforeEach
    void sheet() {
        web = MockMvcBuilders.webAppContextSetup(context).apply(springSecurity()).build();
        picture = pictures.add(member.id(), "Low water.jpg", jpeg(900, 600, 220));
        Sheet sheet = new ShelvePictures(List.of(picture)).apply(Sheet.empty("Season: card/2", Unit.MM, 100, 50, 127));
        sheet = LayOut.replacing(new EvenGrid(1, 3, 5, 5), new Margins(5, 5, 5, 5)).apply(sheet);
        id = sheets.add(member.id(), new FillPanels(List.of("p1", "p2"), picture.id()).apply(sheet), "New sheet");
    }

    private MockHttpServletResponse ask(AbstractMockHttpServletRequestBuilder<?> request) throws Exception {
        return web.perform(request.with(signedIn(member)).with(csrf())).andReturn().getResponse();
    }

    private MockHttpServletResponse send(String path, String json) throws Exception {
        return ask(post("/sheets/" + id + path).contentType(MediaType.APPLICATION_JSON).content(json.replace('\'', '"')));
    }

    private JsonNode answer(MockHttpServletResponse response) throws Exception {
        response.setCharacterEncoding("UTF-8");
        return SheetJson.MAPPER.readTree(response.getContentAsString());
    }

    private String edit(String edit, long version) {
        return "{'edit':" + edit + ",'stage':'arrange','selected':['p2','p9'],'version':" + version + "}";
    }

    @Test
    void anAnswerCarriesWhatChangedAndNoMore() throws Exception {
        JsonNode answer = answer(send("/edits", edit("{'kind':'move-panels','panels':['p2'],'dx':1,'dy':0}", 1)));
        assertThat(answer.path("version").asLong(0)).isEqualTo(2);
        assertThat(answer.path("changed").size()).isEqualTo(1);
        assertThat(answer.path("changed").path(0).path("id").asString("")).isEqualTo("p2");
        assertThat(answer.path("changed").path(0).path("card").asString("")).contains("data-id=\"p2\"");
        assertThat(answer.path("order").size()).isEqualTo(3);
        assertThat(answer.path("selected").size()).isEqualTo(1);
        assertThat(answer.path("undo").asString("")).isEqualTo("Move: Panel 2");
        assertThat(answer.path("states").asString("")).isEqualTo("1 empty");
        assertThat(answer.path("bench").asString("")).contains("data-part=\"selection\"", "Panel 2");
    }

    @Test
    void aPageThatIsBehindGetsEverything() throws Exception {
        send("/edits", edit("{'kind':'move-panels','panels':['p1'],'dx':1,'dy':0}", 1));
        assertThat(answer(send("/edits", edit("{'kind':'move-panels','panels':['p2'],'dx':1,'dy':0}", 1))).path("changed").size())
                .isEqualTo(3);
        assertThat(ask(post("/sheets/" + id + "/changes?version=3&stage=fill")).getStatus()).isEqualTo(204);
        assertThat(answer(ask(post("/sheets/" + id + "/changes?version=2&stage=fill"))).path("changed").size()).isEqualTo(3);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "{'kind':'seat-panels','panels':['p1'],'width':'wide'} | 422 | width | not a number",
        "{'kind':'move-panels','panels':['p7'],'dx':1,'dy':1} | 409 | '' | no longer on the sheet",
        "{'kind':'rename','panel':'p1','name':' '} | 422 | name | 1 to 60",
        "{'kind':'move-panels','panels':['p1'],'dx':1e999,'dy':0} | 422 | dx | number is wanted",
        "{'kind':'rename','panel':'p1','name':'a\\u0000b'} | 422 | name | cannot be shown",
        "{'kind':'rename','panel':'p1'} | 422 | name | is missing",
        "{'kind':'melt'} | 422 | '' | not an edit", "null | 422 | '' | not an edit"})
    void whatCannotBeDoneIsSaidAndChangesNothing(String edit, int status, String field, String words) throws Exception {
        MockHttpServletResponse response = send("/edits", edit(edit, 1));
        assertThat(response.getStatus()).isEqualTo(status);
        assertThat(answer(response).path("field").asString("")).isEqualTo(field);
        assertThat(answer(response).path("message").asString("")).contains(words);
        assertThat(sheets.version(id, member.id())).isEqualTo(1);
    }

    /** A mask of a veil is kept for good under its name; what another veil has by now is kept by nobody; nonsense is not found. */
    @Test
    void masksOfVeilsAreAskedFor() throws Exception {
        String stroke = "{'kind':'veil','panels':['p1'],'part':{'kind':'stroke','dots':[[10,20,1],[15,25,1]],'size':4,'softness':0,"
                + "'strength':1}}";
        String board = answer(send("/edits", edit(stroke, 1))).path("changed").path(0).path("board").asString("");
        Matcher address = Pattern.compile("/sheets/[^\"]+/veils/p1-0-[0-9a-f]+/").matcher(board);
        assertThat(address.find()).isTrue();
        MockHttpServletResponse mask = ask(get(address.group() + "320"));
        assertThat(mask.getContentType()).isEqualTo("image/png");
        assertThat(mask.getHeader("Cache-Control")).contains("immutable", "private");
        BufferedImage seen = ImageIO.read(new ByteArrayInputStream(mask.getContentAsByteArray()));
        assertThat(Math.max(seen.getWidth(), seen.getHeight())).isEqualTo(320);
        assertThat(IntStream.range(0, seen.getWidth() * seen.getHeight())
                .map(i -> seen.getRGB(i % seen.getWidth(), i / seen.getWidth()) & 255).distinct().toArray()).contains(0, 255);
        // While a part is dragged the board shows what the drag would leave, which is what it leaves.
        String move = edit("{'kind':'move-veil','panels':['p1'],'at':0,'handles':[0],'dx':8,'dy':0}", 2);
        String foreseen = send("/preview", move).getContentAsString();
        Matcher next = Pattern.compile(address.group().replaceFirst("[0-9a-f]+/$", "[0-9a-f]+/") + "[\\w-]+/").matcher(foreseen);
        assertThat(next.find()).isTrue();
        byte[] dragged = ask(get(next.group() + "320")).getContentAsByteArray();
        assertThat(dragged).isNotEqualTo(mask.getContentAsByteArray()).isNotEmpty();
        send("/edits", move);
        String made = next.group().replaceFirst("[^/]+/$", "320");
        assertThat(ask(get(made)).getContentAsByteArray()).isEqualTo(dragged);
        assertThat(ask(get(made)).getHeader("Cache-Control")).contains("immutable");
        assertThat(ask(get(made.replace("320", "e30/320"))).getStatus()).isEqualTo(422);
        send("/edits", edit(stroke.replace("10,20", "11,21"), 3));
        MockHttpServletResponse stale = ask(get(address.group() + "320"));
        assertThat(stale.getStatus()).isEqualTo(200);
        assertThat(stale.getHeader("Cache-Control")).contains("no-store");
        for (String wrong : List.of("/sheets/" + id + "/veils/p2-0-0/320", address.group() + "9000", address.group() + "live",
                address.group() + "(/320"))
            assertThat(ask(get(wrong)).getStatus()).as(wrong).isEqualTo(404);
        // A clicked colour is that of the picture there, which is all of one.
        JsonNode picked = answer(send("/edits", edit("{'kind':'veil','panels':['p2'],'part':{'kind':'colours','colour':'#000000',"
                + "'tolerance':0.1,'softness':0,'strength':1},'pick':{'x':50,'y':25}}", 4)));
        assertThat(picked.path("undo").asString("")).isEqualTo("Colours: Panel 2");
        assertThat(sheets.open(id, member.id()).sheet().toString()).doesNotContain("Colours[colour=#000000");
    }

    /** An address may tell any bend and any blur: each is painted within the picture's own size, or refused. */
    @Test
    void hostileAddressesOfBentPicturesTakeNoMore() throws Exception {
        for (double[] scale : new double[][] {{1, 1}, {1e-9, 1e-9}, {1e9, 1e9}, {1e-3, 1e3}}) {
            for (String how : List.of("{'blur':100,'dx':0,'dy':0}", "{'blur':0,'dx':0,'dy':0,'bend':{'kind':'twirl','turn':3600,'x':0.5,"
                    + "'y':0.5,'radius':4}}",
                            "{'blur':0,'dx':0,'dy':0,'bend':{'kind':'mesh','columns':2,'rows':2,'moved':[2,2,2,2,2,2,2,2]}}")) {
                String told = "{'lens':{'how':" + how + ",'toPanel':{'a':" + scale[0] + ",'b':0,'c':0,'d':" + scale[1]
                        + ",'e':0,'f':0},'box':{'x':0,'y':0,'width':1,'height':1}}}";
                String written = Base64.getUrlEncoder().withoutPadding().encodeToString(told.replace('\'', '"')
                        .getBytes(StandardCharsets.UTF_8));
                MockHttpServletResponse answer = ask(get("/pictures/" + picture.id() + "/" + written + "/small"));
                assertThat(answer.getStatus()).as(told).isEqualTo(200);
                assertThat(ImageIO.read(new ByteArrayInputStream(answer.getContentAsByteArray())).getWidth()).isEqualTo(320);
            }
        }
    }

    /**
     * What Dress asks of the pixels: a caption against what is behind it, the colour of a spot, leading colours, a preview without its
     * background.
     */
    @Test
    void dressAsksForPixels() throws Exception {
        send("/edits", edit("{'kind':'add-caption','text':'High water'}", 1));
        send("/edits", edit("{'kind':'set-plate','panels':['p4'],'colour':'#23262A','opacity':1}", 2));
        JsonNode reading = answer(ask(get("/sheets/" + id + "/contrast?panel=p4"))).path("reading");
        assertThat(reading.path("ratio").asString("")).isEqualTo("1.0");
        assertThat(reading.path("enough").asBoolean(true)).isFalse();
        assertThat(reading.path("colour").asString("")).isEqualTo("#FFFFFF");
        assertThat(reading.path("opacity").asDouble(0)).isBetween(0.4, 0.8);
        assertThat(answer(ask(get("/sheets/" + id + "/contrast?panel=p1"))).size()).isZero();
        assertThat(ask(get("/sheets/" + id + "/contrast?panel=p9")).getStatus()).isEqualTo(409);
        assertThat(answer(ask(get("/sheets/" + id + "/colour?x=1&y=1"))).asString("")).isEqualTo("#FFFFFF");
        assertThat(answer(ask(get("/sheets/" + id + "/colour?x=50&y=25"))).asString("")).isEqualTo("#23262A");
        assertThat(ask(get("/sheets/" + id + "/colour?x=NaN&y=25")).getStatus()).isEqualTo(422);
        assertThat(answer(ask(get("/sheets/" + id + "/palette?picture=" + picture.id()))).size()).isBetween(1, 6);
        MockHttpServletResponse clear = ask(get("/pictures/" + picture.id() + "/" + treated(1) + "/small"));
        assertThat(clear.getContentType()).isEqualTo("image/png");
        assertThat(ImageIO.read(new ByteArrayInputStream(clear.getContentAsByteArray())).getRGB(10, 10) >>> 24).isZero();
        assertThat(ask(get("/pictures/" + picture.id() + "/" + treated(9) + "/small")).getStatus()).isEqualTo(404);
        assertThat(ask(get("/pictures/" + picture.id() + "/without-everything/small")).getStatus()).isEqualTo(404);
    }

    /** A background that is taken out of a picture is drawn so wherever the picture is used, and the picture's foot is found anew. */
    @Test
    void aClearedPictureIsDrawnAnew() throws Exception {
        JsonNode answer = answer(send("/edits", edit("{'kind':'clear-background','picture':'" + picture.id()
                + "','colour':'#FFFFFF','tolerance':'100 %','softness':0}", 1)));
        assertThat(answer.path("changed").size()).isEqualTo(2);
        assertThat(answer.path("changed").path(0).path("board").asString("")).contains("/" + treated(1) + "/medium");
        assertThat(sheets.open(id, member.id()).sheet().picture(picture.id()).foot()).isPresent();
        send("/edits", edit("{'kind':'clear-background','picture':'" + picture.id() + "'}", 2));
        assertThat(sheets.open(id, member.id()).sheet().picture(picture.id()).foot()).isEmpty();
    }

    /** How a picture is drawn in perspective comes from its address: what makes no sense is not there, and nothing large comes of it. */
    @Test
    void perspectiveFromAnAddressIsBounded() throws Exception {
        String warp = "{\"warp\":{\"toPicture\":{\"across\":{\"x\":%s,\"y\":0.1,\"one\":0},\"down\":{\"x\":0,\"y\":1,\"one\":0},"
                + "\"depth\":{\"x\":0.4,\"y\":0.3,\"one\":1}},\"open\":%s,\"width\":%s,\"height\":900,\"across\":%s,\"down\":700}}";
        for (Object[] fine : new Object[][] {{"1", true, 1200, 900}, {"1", false, 2_000_000_000, 2_000_000_000},
            {"-1", false, 1200, 12}}) {
            MockHttpServletResponse drawn = ask(get("/pictures/" + picture.id() + "/" + addressed(String.format(warp, fine)) + "/medium"));
            assertThat(drawn.getStatus()).as("%s", List.of(fine)).isEqualTo(200);
            BufferedImage image = ImageIO.read(new ByteArrayInputStream(drawn.getContentAsByteArray()));
            assertThat(Math.max(image.getWidth(), image.getHeight())).isLessThanOrEqualTo(1280);
        }
        for (Object[] bad : new Object[][] {{"0", true, 0, 900}, {"\"NaN\"", true, 1200, 900}, {"1", true, 1200, -4},
            {"1e300", true, 1, 1}}) {
            String address = "/pictures/" + picture.id() + "/" + addressed(String.format(warp, bad)) + "/small";
            assertThat(ask(get(address)).getStatus()).as("%s", List.of(bad)).isEqualTo(404);
        }
    }

    private static String addressed(String json) {
        return Base64.getUrlEncoder().withoutPadding().encodeToString(json.getBytes(StandardCharsets.UTF_8));
    }

    /** A treatment as an address tells it: white taken out, so tolerantly. */
    private static String treated(int tolerance) {
        String json = "{\"cleared\":{\"colour\":\"#FFFFFF\",\"tolerance\":" + tolerance + ".0,\"softness\":0.0}}";
        return addressed(json);
    }

    /**
     * A kept version is listed and painted, and returned to as one step that can be undone; a name is needed, and it comes only from the
     * list.
     */
    @Test
    void versionsAreKept() throws Exception {
        String page = ask(post("/sheets/" + id + "/keeps").param("name", "Before the <cut>")).getContentAsString();
        assertThat(page).contains("Before the &lt;cut&gt;");
        Matcher keep = Pattern.compile("data-keep=\"([0-9a-f-]{36})\"").matcher(page);
        assertThat(keep.find()).isTrue();
        send("/edits", edit("{'kind':'remove','panels':['p1','p2']}", 1));
        BufferedImage then = ImageIO.read(new ByteArrayInputStream(ask(get("/sheets/" + id + "/keeps/" + keep.group(1)
                + "/painted?side=200")).getContentAsByteArray()));
        BufferedImage now = ImageIO.read(new ByteArrayInputStream(ask(get("/sheets/" + id + "/painted?side=200")).getContentAsByteArray()));
        assertThat(then.getWidth()).isEqualTo(200);
        assertThat(then.getRGB(30, 50)).isNotEqualTo(now.getRGB(30, 50));
        JsonNode answer = answer(ask(post("/sheets/" + id + "/keeps/" + keep.group(1) + "/return").contentType(MediaType.APPLICATION_JSON)
                .content("{\"stage\":\"fill\",\"selected\":[]}")));
        assertThat(answer.path("order").size()).isEqualTo(3);
        assertThat(answer.path("undo").asString("")).isEqualTo("Return to: Before the <cut>");
        send("/undo", edit("null", 3));
        assertThat(sheets.open(id, member.id()).sheet().panels()).hasSize(1);
        assertThat(ask(post("/sheets/" + id + "/keeps").param("name", " ")).getStatus()).isEqualTo(422);
        assertThat(ask(post("/sheets/" + id + "/keeps/" + keep.group(1) + "/forget")).getContentAsString()).doesNotContain("data-keep");
        assertThat(ask(get("/sheets/" + id + "/keeps/" + keep.group(1) + "/painted")).getStatus()).isEqualTo(404);
        assertThat(send("/edits", edit("{'kind':'return-to','name':'x','kept':" + SheetJson.write(sheets.open(id, member.id()).sheet())
                .replace('"', '\'') + "}", 4)).getStatus()).isEqualTo(422);
    }

    @Test
    void aPreviewShowsAndChangesNothing() throws Exception {
        JsonNode cells = answer(send("/preview", edit("{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':2,"
                + "'columns':2,'gapAcross':0,'gapDown':0},'margins':{'top':0,'right':0,'bottom':0,'left':0}}", 1)));
        assertThat(cells.path("cells").size()).isEqualTo(4);
        assertThat(cells.path("cells").path(0).asString("")).isEqualTo("M0 0L50 0L50 25L0 25Z");
        JsonNode sized = answer(send("/preview",
                edit("{'kind':'resize-panels','panels':['p1'],'width':10,'height':10,'anchorX':0,'anchorY':0}", 1)));
        assertThat(sized.path("changed").size()).isEqualTo(1);
        assertThat(sheets.version(id, member.id())).isEqualTo(1);
    }

    /** What would lose content is asked first, with 428; agreed to, it is made. */
    @Test
    void whatLosesContentAsksFirst() throws Exception {
        String less = "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':1,'columns':1,'gapAcross':0,"
                + "'gapDown':0}%s}";
        MockHttpServletResponse asked = send("/edits", edit(String.format(less, ""), 1));
        assertThat(asked.getStatus()).isEqualTo(428);
        assertThat(answer(asked).path("message").asString("")).contains("would go: Panel 2");
        assertThat(sheets.version(id, member.id())).isEqualTo(1);
        assertThat(answer(send("/edits", edit(String.format(less, ""), 1).replaceFirst("\\{", "{'agreed':true,"))).path("order").size())
                .isEqualTo(1);
    }

    /** Copies travel to any sheet of the account; a picture that belongs to nobody here does not come along. */
    @Test
    void copiesArePastedWithPicturesOfTheAccountAlone() throws Exception {
        String copied = ask(post("/sheets/" + id + "/copy").param("panels", "p1", "p2")).getContentAsString();
        String paste = "{'edit':{'kind':'paste'," + copied.substring(1, copied.length() - 1).replace('"', '\'')
                + ",'dx':5,'dy':0},'stage':'arrange','selected':[],'version':1}";
        JsonNode pasted = answer(send("/edits", paste));
        assertThat(pasted.path("order").size()).isEqualTo(5);
        assertThat(pasted.path("selected").size()).isEqualTo(2);
        String foreign = paste.replaceAll("[0-9a-f]{64}", "f".repeat(64));
        assertThat(send("/edits", foreign).getStatus()).isEqualTo(409);
        // Only an import puts pictures on a shelf without asking whose they are.
        String shelve = "{'kind':'shelve','pictures':[{'id':'" + "f".repeat(64) + "','name':'x','width':9,'height':9}]}";
        assertThat(send("/edits", edit(shelve, 2)).getStatus()).isEqualTo(422);
    }

    /** A request that is too long, or does not say how long it is, is turned away before anything reads it. */
    @Test
    void aRequestOfAnyLengthIsNotRead() throws Exception {
        HttpClient client = HttpClient.newHttpClient();
        HttpRequest.Builder to = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/sheets/" + id + "/edits"))
                .header("Content-Type", "application/json");
        assertThat(client.send(to.POST(HttpRequest.BodyPublishers.ofByteArray(new byte[17 << 20])).build(),
                HttpResponse.BodyHandlers.discarding()).statusCode()).isEqualTo(413);
        HttpRequest unsaid = to.POST(HttpRequest.BodyPublishers.ofInputStream(() -> new ByteArrayInputStream(new byte[100]))).build();
        assertThat(client.send(unsaid, HttpResponse.BodyHandlers.discarding()).statusCode()).isEqualTo(411);
        assertThat(client.send(to.POST(HttpRequest.BodyPublishers.ofString("{}")).build(), HttpResponse.BodyHandlers.discarding())
                .statusCode()).isIn(302, 403);
    }

    /**
     * Panels that are as they were but show something else are drawn anew: all of a vista that moves, all that show a picture whose focal
     * point is set.
     */
    @Test
    void whatAPanelShowsMayChangeWithoutThePanel() throws Exception {
        JsonNode made = answer(send("/edits", edit("{'kind':'make-vista','panels':['p1','p2','p3'],'picture':'" + picture.id() + "'}", 1)));
        assertThat(made.path("vistas").size()).isEqualTo(1);
        assertThat(made.path("vistas").path(0).path("zoom").asDouble(0)).isEqualTo(1.0);
        String turn = "{'edit':{'kind':'turn-picture','panels':['p2'],'turn':9,'whole':true},'stage':'settle','selected':['p2'],"
                + "'version':2,'whole':true}";
        JsonNode shown = answer(send("/preview", turn));
        assertThat(shown.path("changed").size()).isEqualTo(3);
        assertThat(shown.path("vistas").path(0).path("placement").path("turn").asDouble(0)).isEqualTo(9.0);
        JsonNode turned = answer(send("/edits", turn));
        assertThat(turned.path("changed").size()).isEqualTo(3);
        assertThat(turned.path("undo").asString("")).isEqualTo("Turn vista: Panel 2");
        assertThat(turned.path("bench").asString("")).contains("Covers all 3 panels.", "Whole vista", "9.0°");
        JsonNode nudged = answer(send("/edits", edit("{'kind':'move-picture','panels':['p2'],'dx':1,'dy':0}", 3)));
        assertThat(nudged.path("changed").size()).isEqualTo(1);
        JsonNode focal = answer(send("/edits", edit("{'kind':'set-focal','picture':'" + picture.id() + "','x':0.5,'y':0.25}", 4)));
        assertThat(focal.path("changed").size()).isEqualTo(3);
        assertThat(focal.path("changed").path(0).path("board").asString(""))
                .contains("\"focal\":{\"x\":0.5,\"y\":0.25,");
        assertThat(answer(send("/edits", edit("{'kind':'leave-vista','panels':['p1','p2','p3']}", 5))).path("vistas").size()).isZero();
    }

    /** A copy of a slice is a picture of its own: its vista stays behind. */
    @Test
    void aCopiedSliceLooksTheSameElsewhere() throws Exception {
        send("/edits", edit("{'kind':'make-vista','panels':['p1','p2'],'picture':'" + picture.id() + "'}", 1));
        String copied = ask(post("/sheets/" + id + "/copy").param("panels", "p1")).getContentAsString();
        assertThat(copied).contains("\"kind\":\"picture\"", picture.id()).doesNotContain("slice");
        JsonNode pasted = answer(send("/edits", "{'edit':{'kind':'paste'," + copied.substring(1, copied.length() - 1).replace('"', '\'')
                + ",'dx':0,'dy':0},'stage':'arrange','selected':[],'version':2}"));
        assertThat(pasted.path("changed").size()).isEqualTo(1);
        assertThat(pasted.path("vistas").size()).isEqualTo(1);
    }

    /** The forms of all patterns, filled with plain numbers of the sheet's unit; the numbers of one that was laid. */
    @Test
    void patternsAreAskedFor() throws Exception {
        for (Gallery.Card card : Gallery.PATTERNS) {
            String form = ask(post("/sheets/" + id + "/patterns/" + card.kind())).getContentAsString();
            assertThat(form).contains("data-kind=\"" + card.kind() + "\"", card.label(), "data-number=");
        }
        assertThat(ask(post("/sheets/" + id + "/patterns/again").param("selected", "p3")).getContentAsString())
                .contains("data-again=\"true\"", "value=\"5.00 mm\"", "data-number=\"columns\"");
        assertThat(ask(post("/sheets/" + id + "/patterns/spiral")).getStatus()).isEqualTo(422);
        assertThat(answer(ask(get("/sheets/" + id + "/seams"))).size()).isEqualTo(2);
        assertThat(answer(ask(post("/sheets/" + id + "/snaps").param("moving", "p1"))).path("lines").size()).isGreaterThan(8);
    }

    /** Eight windows at once: every edit finds its turn, none is lost. */
    @Test
    void editsAtTheSameTimeAreAllMade() {
        double before = sheets.open(id, member.id()).sheet().holder("p1").seat().centre().x();
        List<CompletableFuture<Integer>> all = IntStream.range(0, 8).mapToObj(window -> CompletableFuture.supplyAsync(() -> {
            try {
                int good = 0;
                for (int i = 0; i < 10; i++) if (send("/edits", edit("{'kind':'move-panels','panels':['p1'],'dx':0.25,'dy':0}", 0))
                        .getStatus() == 200) good++;
                return good;
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        })).toList();
        assertThat(all.stream().mapToInt(CompletableFuture::join).sum()).isEqualTo(80);
        Opened now = sheets.open(id, member.id());
        assertThat(now.version()).isEqualTo(81);
        assertThat(now.sheet().holder("p1").seat().centre().x()).isEqualTo(before + 20);
    }

    @ParameterizedTest
    @CsvSource({"png,0,ppi", "png,many,ppi", "png,99999,ppi", "svgz,300,format"})
    void deliveriesThatCannotBeAreRefusedAtTheirField(String kind, String ppi, String field) throws Exception {
        MockHttpServletResponse refused = ask(post("/sheets/" + id + "/deliveries").param("format", kind).param("ppi", ppi));
        assertThat(refused.getStatus()).isEqualTo(422);
        assertThat(answer(refused).path("field").asString("")).isEqualTo(field);
    }

    @Test
    void aBundleHoldsTheDocumentAndTheOriginals() throws Exception {
        var started = web.perform(get("/sheets/" + id + "/bundle").with(signedIn(member))).andReturn();
        started.getAsyncResult(60_000);
        byte[] zip = started.getResponse().getContentAsByteArray();
        ByteArrayOutputStream original = new ByteArrayOutputStream();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            assertThat(in.getNextEntry().getName()).isEqualTo("sheet.json");
            assertThat(in.getNextEntry().getName()).isEqualTo("pictures/" + picture.id() + ".jpg");
            in.transferTo(original);
        }
        assertThat(original.toByteArray()).isEqualTo(jpeg(900, 600, 220));
        // Another account opens it: it gets the sheet and the picture, of its own.
        member = newMember();
        MockHttpServletResponse opened = ask(multipart("/bundles").file(new MockMultipartFile("file", "card.zip", "application/zip", zip)));
        assertThat(opened.getStatus()).isEqualTo(202);
        String address = answer(opened).path("address").asString("");
        String made = until(() -> answer(ask(get(address))).path("sheet").asString(""), sheet -> !sheet.isEmpty());
        UUID copy = UUID.fromString(made.replace("/sheets/", ""));
        assertThat(sheets.open(copy, member.id()).sheet().users(picture.id())).hasSize(2);
        assertThat(ask(get("/pictures/" + picture.id() + "/small")).getStatus()).isEqualTo(200);
    }

    /** A bundle whose second picture is damaged leaves nothing of its first one behind, and says what is wrong. */
    @Test
    void aBundleComesInWholeOrNotAtAll() throws Exception {
        Picture second = pictures.add(member.id(), "High water.jpg", jpeg(300, 200, 40));
        Sheet two = sheets.open(id, member.id()).sheet().withShelf(List.of(picture, second));
        ByteArrayOutputStream zip = new ByteArrayOutputStream();
        BundleWriter.write(two, sha -> new ByteArrayInputStream(sha.equals(second.id()) ? new byte[] {1, 2, 3} : jpeg(900, 600, 220)),
                table -> Optional.empty(), zip);
        member = newMember();
        MockHttpServletResponse begun = ask(multipart("/bundles")
                .file(new MockMultipartFile("file", "card.zip", "application/zip", zip.toByteArray())));
        String address = answer(begun).path("address").asString("");
        assertThat(until(() -> answer(ask(get(address))).path("failed").asString(""), said -> !said.isEmpty()))
                .contains("was changed: High water");
        assertThat(ask(get("/pictures/" + picture.id() + "/small")).getStatus()).isEqualTo(404);
        assertThat(ask(get("/sheets")).getContentAsString()).contains("No sheets yet");
        byte[] cut = Arrays.copyOf(zip.toByteArray(), zip.size() / 2);
        MockHttpServletResponse refused = ask(multipart("/bundles")
                .file(new MockMultipartFile("file", "card.zip", "application/zip", cut)));
        assertThat(refused.getStatus()).isEqualTo(422);
        assertThat(answer(refused).path("message").asString("")).contains("damaged");
    }

    @Test
    void aPageNamesAllThatItsScriptImportsAndABrowserAsksForItOnce() throws Exception {
        for (String page : List.of("/sheets", "/sheets/" + id)) {
            String html = ask(get(page)).getContentAsString();
            List<String> named = Pattern.compile("rel=\"modulepreload\" href=\"([^\"]+)\"").matcher(html).results()
                    .map(found -> found.group(1)).toList();
            assertThat(html).contains("<script type=\"module\" src=\"" + named.get(0) + "\"");
            for (String address : named) {
                MockHttpServletResponse script = ask(get(address));
                assertThat(script.getStatus()).as(address).isEqualTo(200);
                assertThat(script.getHeader("Cache-Control")).contains("max-age=31536000").contains("immutable");
                assertThat(named).as(address).containsAll(Pattern.compile("\"(\\.[./a-z0-9-]+\\.js)\"").matcher(script.getContentAsString())
                        .results().map(found -> URI.create(address).resolve(found.group(1)).toString()).toList());
                MockHttpServletResponse elder = ask(get(address.replaceFirst("/kept/\\w+", "/kept/0123456789ab")));
                assertThat(elder.getContentAsString()).isEqualTo(script.getContentAsString());
                assertThat(elder.getHeader("Cache-Control")).isEqualTo("no-store");
            }
        }
    }

    @Test
    void thumbnailsAndPreviewsAreKeptByTheBrowserAlone() throws Exception {
        assertThat(ask(get("/sheets/" + id + "/thumbnail?v=1")).getStatus()).isEqualTo(404);
        assertThat(ask(get("/sheets")).getContentAsString()).contains("data-waits=\"" + id);
        until(() -> answer(ask(post("/thumbnails").param("of", id.toString()))).size(), count -> count == 1);
        assertThat(ask(get("/sheets")).getContentAsString()).contains("/sheets/" + id + "/thumbnail?v=1");
        MockHttpServletResponse thumbnail = ask(get("/sheets/" + id + "/thumbnail?v=1"));
        BufferedImage image = ImageIO.read(new ByteArrayInputStream(thumbnail.getContentAsByteArray()));
        assertThat(image.getWidth()).isEqualTo(560);
        assertThat(image.getHeight()).isEqualTo(280);
        MockHttpServletResponse preview = ask(get("/pictures/" + picture.id() + "/small"));
        assertThat(ImageIO.read(new ByteArrayInputStream(preview.getContentAsByteArray())).getWidth()).isEqualTo(320);
        assertThat(preview.getHeader("Cache-Control")).contains("private", "immutable");
        assertThat(ask(get("/pictures/" + picture.id() + "/original")).getStatus()).isEqualTo(404);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"'' | 100 | 100 | mm | 300 | A sheet needs a name",
            "Tide | 0 | 100 | mm | 300 | between 1 mm and 5 m wide",
        "Tide | 100 | tall | mm | 300 | is not a number", "Tide | 100 | 100 | mm | 0 | Pixels per inch go from 1 to 2400"})
    void aSheetThatMakesNoSenseIsExplainedAndWhatWasTypedStays(String name, String width, String height, String unit, String ppi,
            String words) throws Exception {
        int before = answerCount();
        MockHttpServletResponse page = ask(post("/sheets").param("name", name).param("width", width).param("height", height)
                .param("unit", unit).param("ppi", ppi));
        assertThat(page.getContentAsString()).contains(words, "value=\"" + height + "\"");
        assertThat(answerCount()).isEqualTo(before);
    }

    private int answerCount() throws Exception {
        return ask(get("/sheets")).getContentAsString().split("class=\"sheet-card\"").length;
    }

    @Test
    void aHugeSheetCanBeOpenedThoughNotDeliveredWhole() throws Exception {
        id = sheets.add(member.id(), Sheet.empty("Wall", Unit.MM, 5000, 5000, 2400), "New sheet");
        assertThat(ask(get("/sheets/" + id)).getStatus()).isEqualTo(200);
        assertThat(answer(ask(post("/sheets/" + id + "/delivery-size?format=png&ppi=2400"))).path("message").asString(""))
                .contains("Up to 332 ppi is possible");
    }
}
