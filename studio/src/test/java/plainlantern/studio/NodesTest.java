package plainlantern.studio;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import plainlantern.asking.Unit;
import plainlantern.editing.placing.LayOut;
import plainlantern.pattern.EvenGrid;
import plainlantern.sheet.Margins;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import tools.jackson.databind.JsonNode;

/** Nodes as processes: killed without a word while edits come in, two at once on one sheet, behind a proxy. */
class NodesTest extends StudioTest {
    private static final List<String> SMALL = List.of("-Xmx512m", "-XX:TieredStopAtLevel=1");
    /** What starts faster: parts that no request asked for are made later, and the schema is known to be the present one. */
    private static final Map<String, String> SOON = Map.of("SPRING_MAIN_LAZYINITIALIZATION", "true", "SPRING_FLYWAY_ENABLED", "false",
            "LANTERN_PASSWORD_STRENGTH", "4");

    private static Node one;
    private static Node two;

    @BeforeAll
    static void start() throws Exception {
        one = new Node(SMALL, SOON);
        two = new Node(SMALL, SOON);
        one.ready();
        two.ready();
    }

    @AfterAll
    static void end() {
        one.close();
        two.close();
    }

    private UUID sheet(Visitor visitor, String name) throws Exception {
        member = accounts.find(visitor.signUp(name, "reeds and water")).orElseThrow();
        return sheets.add(member.id(), LayOut.replacing(new EvenGrid(1, 2, 5, 5), new Margins(5, 5, 5, 5))
                .apply(Sheet.empty("Tide", Unit.MM, 400, 100, 96)), "New sheet");
    }

    /** Moves the first panel by 0.25 mm, the same edit under its name however often it is sent; the version then. */
    private static long move(Visitor visitor, UUID id, UUID edit) throws Exception {
        HttpResponse<String> answer = visitor.json("/sheets/" + id + "/edits",
                "{'edit':{'kind':'move-panels','panels':['p1'],'dx':0.25,'dy':0},'name':'" + edit
                        + "','stage':'arrange','selected':[],'version':0}");
        if (answer.statusCode() != 200) throw new IOException("answered " + answer.statusCode());
        JsonNode read = SheetJson.MAPPER.readTree(answer.body());
        return read.path("version").asLong(0);
    }

    /**
     * Up to twenty kills at random moments, of one of two nodes in turn, so that one answers while the other starts: every edit that was
     * answered is there, each once. A slow machine makes fewer in the same time.
     */
    @Test
    void noAnsweredEditIsLostWhenNodesAreKilled() throws Exception {
        Random random = new Random(7);
        List<Node> nodes = List.of(one, two);
        Visitor visitor = new Visitor(one.port());
        UUID id = sheet(visitor, "Kills");
        visitor.get("/sheets/" + id);
        double before = sheets.open(id, member.id()).sheet().holder("p1").seat().centre().x();
        boolean[] over = {false};
        CompletableFuture<Integer> editing = CompletableFuture.supplyAsync(() -> edits(visitor, id, nodes, over));
        int kills = 0;
        for (long end = System.nanoTime() + 1_000_000_000L * Long.getLong("lantern.seconds", 15); kills < 3
                || kills < 20 && System.nanoTime() < end; kills++) {
            nodes.get((kills + 1) % 2).ready();
            Node victim = nodes.get(kills % 2);
            Thread.sleep(random.nextInt(400));
            victim.kill();
            victim.start();
        }
        over[0] = true;
        int made = editing.get();
        for (Node node : nodes) node.ready();
        System.out.println(kills + " kills, " + made + " edits answered");
        assertThat(made).isGreaterThan(kills);
        assertThat(sheets.open(id, member.id()).sheet().holder("p1").seat().centre().x()).isEqualTo(before + 0.25 * made);
    }

    /** One edit after the other, each sent until it is answered, wherever somebody answers. */
    private static int edits(Visitor visitor, UUID id, List<Node> nodes, boolean[] over) {
        int made = 0;
        int turn = 0;
        while (!over[0]) {
            UUID edit = UUID.randomUUID();
            for (boolean answered = false; !answered;) {
                try {
                    move(visitor.to(nodes.get(turn++ / 3 % 2).port()), id, edit);
                    answered = true;
                    made++;
                    pause();
                } catch (Exception e) {
                    turn += 3;
                    pause();
                }
            }
        }
        return made;
    }

    private static void pause() {
        try {
            Thread.sleep(50);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Eight clients at two nodes, three hundred edits of one sheet: none is lost, and versions only grow. */
    @Test
    void twoNodesShareASheet() throws Exception {
        Visitor first = new Visitor(one.port());
        UUID id = sheet(first, "Two nodes");
        double before = sheets.open(id, member.id()).sheet().holder("p1").seat().centre().x();
        List<Visitor> visitors = new ArrayList<>();
        // One after the other: passwords take their time, and a node lets nobody wait for long.
        for (int i = 0; i < 8; i++) {
            Visitor visitor = new Visitor(i % 2 == 0 ? one.port() : two.port());
            visitor.get("/sign-in");
            visitor.post("/sign-in", "name", member.signIn(), "password", "reeds and water");
            assertThat(visitor.get("/sheets/" + id).statusCode()).isEqualTo(200);
            visitors.add(visitor);
        }
        List<CompletableFuture<List<Long>>> clients = IntStream.range(0, 8).mapToObj(i -> CompletableFuture.supplyAsync(() -> {
            try {
                Visitor visitor = visitors.get(i);
                List<Long> versions = new ArrayList<>();
                for (int n = 0; n < (i < 4 ? 38 : 37); n++) versions.add(move(visitor, id, UUID.randomUUID()));
                return versions;
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        })).toList();
        List<Long> all = new ArrayList<>();
        for (CompletableFuture<List<Long>> client : clients) {
            assertThat(client.get()).isSorted().doesNotHaveDuplicates();
            all.addAll(client.get());
        }
        assertThat(all).hasSize(300).doesNotHaveDuplicates();
        assertThat(sheets.version(id, member.id())).isEqualTo(301);
        assertThat(sheets.open(id, member.id()).sheet().holder("p1").seat().centre().x()).isEqualTo(before + 75);
    }

    /** Behind a proxy that ends TLS: redirects to https, a Secure cookie, HSTS (RFC 6797); its word for the address is taken. */
    @Test
    void behindAProxyEverythingIsSecure() throws Exception {
        try (Node node = new Node(SMALL, Map.of("LANTERN_FORWARDED", "native"))) {
            Visitor visitor = new Visitor(node.ready().port());
            String[] proxy = {"X-Forwarded-Proto", "https", "X-Forwarded-For", "192.0.2.99", "X-Forwarded-Host", "lantern.example",
                    "X-Forwarded-Port", "443"};
            HttpResponse<String> turnedAway = visitor.send(visitor.request("/sheets").headers(proxy).build());
            assertThat(turnedAway.headers().firstValue("Location")).contains("https://lantern.example/sign-in");
            assertThat(turnedAway.headers().firstValue("Strict-Transport-Security").orElse("")).contains("max-age=31536000");
            HttpResponse<String> door = visitor.send(visitor.request("/sign-in").headers(proxy).build());
            assertThat(door.headers().allValues("Set-Cookie")).isNotEmpty().allMatch(cookie -> cookie.contains("Secure")
                    && cookie.contains("HttpOnly"));
        }
    }
}
