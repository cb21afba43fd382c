package plainlantern.studio;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.springframework.security.test.web.servlet.setup.SecurityMockMvcConfigurers.springSecurity;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.io.ByteArrayInputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.AbstractMockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.web.context.WebApplicationContext;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.editing.reading.EditReader;
import plainlantern.sheet.Sheet;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Deliveries from the order to the file, as jobs of the running application. */
class DeliverTest extends StudioTest {
    @Autowired
    private WebApplicationContext context;
    private MockMvc web;
    private UUID id;

    @BeforeEach
    void aSheetWithTwoPanels() {
        web = MockMvcBuilders.webAppContextSetup(context).apply(springSecurity()).build();
        Sheet sheet = Sheet.empty("Season/card:2", Unit.MM, 100, 50, 127);
        for (String edit : List.of("{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':1,'columns':2,"
                + "'gapAcross':4,'gapDown':0}}", "{'kind':'add-caption','text':'High water'}")) {
            sheet = EditReader.read(edit.replace('\'', '"'), sheet).apply(sheet);
        }
        String picture = pictures.add(member.id(), "Low water.jpg", jpeg(900, 600, 220)).id();
        id = sheets.add(member.id(), sheet.withShelf(pictures.owned(member.id(), Map.of(picture, "Low water"))), "New sheet");
        sheets.apply(id, member.id(), now -> EditReader.read(("{'kind':'fill','panels':['p1','p2'],'picture':'" + picture + "'}")
                .replace('\'', '"'), now));
    }

    private MockHttpServletResponse ask(AbstractMockHttpServletRequestBuilder<?> request) throws Exception {
        return web.perform(request.with(signedIn(member)).with(csrf())).andReturn().getResponse();
    }

    private static JsonNode answer(MockHttpServletResponse response) throws Exception {
        return JsonMapper.shared().readTree(response.getContentAsByteArray());
    }

    /** Orders what a form says and waits until all of it is done: the files, by the ids of their deliveries. */
    private List<String> delivered(String... fields) throws Exception {
        var request = post("/sheets/" + id + "/deliveries");
        for (int i = 0; i < fields.length; i += 2) request.param(fields[i], fields[i + 1]);
        List<String> ids = answer(ask(request)).path("ids").valueStream().map(node -> node.asString("")).toList();
        assertThat(ids).isNotEmpty();
        for (int tries = 0; tries < 600; tries++) {
            String list = ask(get("/sheets/" + id + "/deliveries")).getContentAsString();
            assertThat(list).doesNotContain("failed");
            if (ids.stream().allMatch(one -> list.contains("/deliveries/" + one + "/file"))) return ids;
            Thread.sleep(100);
        }
        throw new AssertionError("never done");
    }

    private MockHttpServletResponse file(String delivery) throws Exception {
        var started = web.perform(get("/deliveries/" + delivery + "/file").with(signedIn(member))).andReturn();
        started.getAsyncResult(60_000);
        return started.getResponse();
    }

    /** 100 x 50 mm at 127 ppi are 500 x 250 px. */
    @Test
    void deliveriesAreFilesOfTheRightSizeAndName() throws Exception {
        MockHttpServletResponse png = file(delivered("format", "png", "ppi", "127", "paper", "false").get(0));
        var image = ImageIO.read(new ByteArrayInputStream(png.getContentAsByteArray()));
        assertThat(image.getWidth()).isEqualTo(500);
        assertThat(image.getRGB(3, 3) >>> 24).isZero();
        assertThat(png.getHeader("Content-Disposition")).contains("attachment", "Season-card-2.png");
        assertThat(png.getContentLengthLong()).isEqualTo(png.getContentAsByteArray().length);
        MockHttpServletResponse half = file(delivered("format", "jpeg", "ppi", "254", "scale", "50 %", "quality", "80", "bleed", "true")
                .get(0));
        assertThat(ImageIO.read(new ByteArrayInputStream(half.getContentAsByteArray())).getWidth()).isEqualTo(530);
        assertThat(half.getContentType()).isEqualTo("image/jpeg");
        for (String[] other : new String[][] {{"tiff", "image/tiff", "tif"}, {"webp", "image/webp", "webp"},
                {"svg", "image/svg+xml", "svg"}, {"pdf", "application/pdf", "pdf"}, {"openraster", "image/openraster", "ora"}}) {
            MockHttpServletResponse file = file(delivered("format", other[0], "ppi", "60", "paper", "true").get(0));
            assertThat(file.getContentType()).startsWith(other[1]);
            assertThat(file.getHeader("Content-Disposition")).contains("Season-card-2." + other[2]);
            assertThat(file.getContentAsByteArray()).hasSizeGreaterThan(500);
        }
    }

    /** Each panel in an archive; two sheets in one PDF; three settings at once, one of them kept before; sizes are told before. */
    @Test
    void partsSeveralSheetsAndSets() throws Exception {
        UUID other = sheets.add(member.id(), Sheet.empty("Wall", Unit.MM, 40, 40, 127), "New sheet");
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file(delivered("format", "png", "ppi", "127", "extent",
                "boxes", "names", "{n} {panel}").get(0)).getContentAsByteArray()))) {
            assertThat(zip.getNextEntry().getName()).isEqualTo("01 Panel 1.png");
            assertThat(zip.getNextEntry().getName()).isEqualTo("02 Panel 2.png");
            assertThat(zip.getNextEntry()).isNull();
        }
        MockHttpServletResponse pdf = file(delivered("format", "pdf", "ppi", "72", "more", other.toString()).get(0));
        assertThat(pdf.getHeader("Content-Disposition")).contains("Season-card-2%20and%201%20more.pdf");
        try (PDDocument read = Loader.loadPDF(pdf.getContentAsByteArray())) {
            assertThat(read.getNumberOfPages()).isEqualTo(2);
        }
        assertThat(answer(ask(post("/sheets/" + id + "/delivery-size?format=pdf&ppi=72&scale=200&more=" + other))).path("told")
                .asString("")).isEqualTo("2 pages, the first 200.0 × 100.0 mm");
        MockHttpServletResponse kept = ask(post("/delivery-sets").param("name", "Small").param("format", "webp").param("ppi", "50")
                .param("quality", "70"));
        String set = kept.getContentAsString().replaceFirst("(?s).*data-set=\"([0-9a-f-]{36})\".*", "$1");
        assertThat(delivered("sets", "screen", "sets", "press", "sets", set)).hasSize(3);
        assertThat(ask(get("/sheets/" + id + "/deliveries")).getContentAsString())
                .contains("PDF, 300 ppi", "JPEG, 144 ppi", "WebP, 50 ppi");
        assertThat(ask(post("/delivery-sets").param("name", "press").param("ppi", "50")).getStatus()).isEqualTo(422);
        assertThat(ask(post("/delivery-sets/" + set + "/forget")).getContentAsString()).doesNotContain("Small");
    }

    /** The size of a file is within the range that is shown, apart from rounding. */
    @Test
    void sizesAreEstimated() throws Exception {
        for (String kind : List.of("png", "jpeg", "pdf", "tiff")) {
            long bytes = file(delivered("format", kind, "ppi", "400", "paper", "true").get(0)).getContentAsByteArray().length;
            String told = answer(ask(post("/sheets/" + id + "/delivery-estimate?ppi=400&paper=true&format=" + kind)))
                    .path("told").asString("");
            String[] range = told.split(" to ");
            assertThat((double) bytes).as(kind + " " + told).isBetween(0.9 * number(range[0]), 1.1 * number(range[1]));
        }
    }

    private static double number(String told) {
        return Double.parseDouble(told.replaceAll("[^0-9.]", "")) * (told.endsWith("MB") ? 1e6 : 1e3);
    }

    /** Nobody else sees, stops, saves or forgets a delivery, or delivers another's sheet along with his own. */
    @Test
    void deliveriesAreTheirOwnersAlone() throws Exception {
        String delivery = delivered("format", "png", "ppi", "50").get(0);
        UUID theirs = id;
        member = newMember();
        assertThat(ask(get("/deliveries/" + delivery + "/file")).getStatus()).isEqualTo(404);
        assertThat(ask(post("/deliveries/" + delivery + "/stop")).getStatus()).isEqualTo(404);
        assertThat(ask(get("/sheets/" + id + "/deliveries")).getStatus()).isEqualTo(404);
        assertThat(ask(post("/deliveries/" + delivery + "/forget")).getStatus()).isEqualTo(404);
        id = sheets.add(member.id(), Sheet.empty("Mine", Unit.MM, 40, 40, 127), "New sheet");
        assertThat(ask(post("/sheets/" + id + "/deliveries").param("format", "pdf").param("ppi", "72").param("more", theirs.toString()))
                .getStatus()).isEqualTo(404);
    }

    private void edit(UUID sheet, String json) {
        sheets.apply(sheet, member.id(), now -> EditReader.read(json.replace('\'', '"'), now));
    }

    /** A new sheet that shows all of another one; and the id of the picture that shows it. */
    private UUID showing(UUID inner, String name) throws Exception {
        UUID outer = sheets.add(member.id(), Sheet.empty(name, Unit.MM, 100, 50, 127), "New sheet");
        JsonNode picture = answer(ask(post("/sheets/" + outer + "/nested").param("sheet", inner.toString())));
        String sha = picture.path("id").asString("");
        sheets.apply(outer, member.id(), now -> new ShelvePictures(pictures.owned(member.id(), Map.of(sha, name))));
        edit(outer, "{'kind':'set-paper','paper':{'kind':'pictured','picture':'" + sha + "','blur':0}}");
        return outer;
    }

    /** The mean of a PNG's green channel, 0 to 255. */
    private static double brightness(MockHttpServletResponse png) throws Exception {
        var image = ImageIO.read(new ByteArrayInputStream(png.getContentAsByteArray()));
        long sum = 0;
        for (int y = 0; y < image.getHeight(); y++) for (int x = 0; x < image.getWidth(); x++) sum += image.getRGB(x, y) >> 8 & 0xFF;
        return (double) sum / image.getWidth() / image.getHeight();
    }

    /** The middle of a sheet's first panel, as it would be delivered. */
    private MockHttpServletResponse closer(UUID sheet) throws Exception {
        return ask(get("/sheets/" + sheet + "/pixels").param("x", "25").param("y", "25").param("across", "60").param("down", "60"));
    }

    /** What was changed two sheets further in a moment ago is in the file, in the closer look and in the painting; the document stays. */
    @Test
    void sheetsInSheetsAreDeliveredAsTheyAreNow() throws Exception {
        UUID inner = id;
        UUID outer = showing(showing(inner, "Middle"), "Outer");
        id = outer;
        long version = sheets.open(outer, member.id()).version();
        double light = brightness(file(delivered("format", "png", "ppi", "60", "paper", "true").get(0)));
        edit(inner, "{'kind':'set-tone','of':{'panels':['p1','p2']},'exposure':-5}");
        assertThat(brightness(file(delivered("format", "png", "ppi", "60", "paper", "true").get(0)))).isLessThan(light - 40);
        double dark = brightness(closer(outer));
        edit(inner, "{'kind':'set-tone','of':{'panels':['p1','p2']},'exposure':0}");
        assertThat(brightness(closer(outer))).isGreaterThan(dark + 20);
        assertThat(brightness(ask(get("/sheets/" + outer + "/painted").param("side", "200")))).isCloseTo(light, within(3.0));
        edit(inner, "{'kind':'set-tone','of':{'panels':['p1','p2']},'exposure':-5}");
        assertThat(brightness(ask(get("/sheets/" + outer + "/painted").param("side", "200")))).isLessThan(light - 40);
        assertThat(sheets.open(outer, member.id()).version()).isEqualTo(version);
    }

    /** A sheet that is handed over together with one that it shows is as new as that. */
    @Test
    void sheetsThatShowEachOtherAreDeliveredTogether() throws Exception {
        UUID wall = showing(id, "Wall");
        double light = brightness(closer(wall));
        edit(id, "{'kind':'set-tone','of':{'panels':['p1','p2']},'exposure':-5}");
        byte[] zip = file(delivered("format", "png", "ppi", "60", "paper", "true", "more", wall.toString()).get(0)).getContentAsByteArray();
        try (ZipInputStream files = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry entry = files.getNextEntry(); !entry.getName().equals("Wall.png");) entry = files.getNextEntry();
            MockHttpServletResponse png = new MockHttpServletResponse();
            png.getOutputStream().write(files.readAllBytes());
            assertThat(brightness(png)).isLessThan(light - 40);
        }
    }

    /** A duplicate paints the same pixels, and is another sheet all the same. */
    @Test
    void sheetsThatLookAlikeAreTwoPictures() throws Exception {
        UUID twin = sheets.add(member.id(), sheets.open(id, member.id()).sheet(), "New sheet");
        UUID wall = sheets.add(member.id(), Sheet.empty("Wall", Unit.MM, 100, 50, 127), "New sheet");
        List<String> shas = new ArrayList<>();
        for (UUID one : List.of(id, twin)) shas.add(answer(ask(post("/sheets/" + wall + "/nested").param("sheet", one.toString())))
                .path("id").asString(""));
        assertThat(shas.stream().distinct()).hasSize(2);
    }
}
