package plainlantern.bench;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import plainlantern.picture.Encoder;

/**
 * Times a running server over HTTP as a browser would use it, and leaves a bundle of a sheet with twelve large pictures for
 * the comparison of deliveries. Arguments: address, folder, and anything more where
 * only the bundles are wanted.
 */
public final class ServerBench {
    private final HttpClient http = HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
    private final String address;
    private String token;

    private ServerBench(String address) {
        this.address = address;
    }

    public static void main(String[] args) throws Exception {
        ServerBench bench = new ServerBench(args[0]);
        bench.signUp();
        if (args.length < 3) {
            for (int panels : new int[] {10, 50, 200, 300, 1000, 2000, 5000}) bench.sheet(panels);
            bench.shelf();
            bench.letters();
            bench.tones();
        }
        bench.pictures(Path.of(args[1]));
    }

    private void signUp() throws Exception {
        token = find(get("/sign-up"), "name=\"csrf\" content=\"([^\"]+)\"");
        form("/sign-up", "name=Bench+" + UUID.randomUUID() + "&password=only+for+timing");
        token = find(get("/sheets"), "name=\"csrf\" content=\"([^\"]+)\"");
    }

    private String newSheet(String name, int width, int height) throws Exception {
        HttpResponse<String> made = form("/sheets", "name=" + name + "&width=" + width + "&height=" + height + "&unit=mm&ppi=300");
        return made.headers().firstValue("Location").orElseThrow().replaceFirst(".*/sheets/", "");
    }

    /** Edits of one panel and of all, and opening, on a filled sheet of so many panels. */
    private void sheet(int panels) throws Exception {
        int rows = panels > 1000 ? panels / 100 : 10;
        String id = newSheet("Bench", 420, 297);
        String picture = upload(Encoder.jpeg(Pixels.photo(1200, 800, panels), 0.9f, 300));
        shelve(id, List.of(picture));
        edit(id, "{\"kind\":\"lay-out\",\"where\":\"replace\",\"pattern\":{\"kind\":\"even-grid\",\"rows\":" + rows
                + ",\"columns\":" + panels / rows + ",\"gapAcross\":0.5,\"gapDown\":0.5},"
                + "\"margins\":{\"top\":5,\"right\":5,\"bottom\":5,\"left\":5}}");
        StringBuilder all = new StringBuilder("[");
        for (int i = 1; i <= panels; i++) all.append(i > 1 ? "," : "").append("\"p").append(i).append('"');
        edit(id, "{\"kind\":\"fill\",\"panels\":" + all + "],\"picture\":\"" + picture + "\"}");
        for (int i = 0; i < 60; i++) move(id, i);
        double[] times = new double[100];
        for (int i = 0; i < times.length; i++) times[i] = move(id, i);
        row("edit one panel of " + panels, times);
        double[] both = new double[20];
        for (int i = 0; i < both.length; i++)
            both[i] = edit(id, "{\"kind\":\"move-panels\",\"panels\":" + all + "],\"dx\":" + (i % 2 * 2 - 1) + ",\"dy\":0}");
        row("edit all " + panels + " panels", both);
        if (panels == 300) patterns(id);
        if (panels >= 300) about(id, panels);
        double[] opens = new double[20];
        for (int i = 0; i < opens.length; i++) opens[i] = timed(() -> get("/sheets/" + id + "?stage=arrange"));
        row("open the page of " + panels + " panels", opens);
    }

    /** The live preview of a pattern of 300 pieces, and what a drag asks first. */
    private void patterns(String id) throws Exception {
        for (String pattern : List.of("'honeycomb','rows':15,'columns':20,'gap':1", "'shards','count':300,'gap':1,'evenness':2,'seed':1",
                "'scatter','count':300,'smallest':0.5,'proportion':1.4,'turn':20,'coverage':0.8,'seed':1")) {
            String body = ("{'edit':{'kind':'lay-out','where':'replace','pattern':{'kind':" + pattern
                    + "}},'stage':'arrange','selected':[],'version':0}").replace('\'', '"');
            double[] times = new double[20];
            for (int i = 0; i < times.length; i++) times[i] = timed(() -> preview(id, body));
            row("preview " + pattern.split("'")[1] + " of 300", times);
        }
    }

    /** What looks at all panels at once. */
    private void about(String id, int panels) throws Exception {
        double[] snaps = new double[20];
        for (int i = 0; i < snaps.length; i++) snaps[i] = timed(() -> form("/sheets/" + id + "/snaps", "moving=p7"));
        row("what catches one panel of " + panels, snaps);
        double[] seams = new double[20];
        for (int i = 0; i < seams.length; i++) seams[i] = timed(() -> get("/sheets/" + id + "/seams"));
        row("the seams of " + panels + " panels", seams);
        double[] checks = new double[20];
        for (int i = 0; i < checks.length; i++) checks[i] = timed(() -> get("/sheets/" + id + "/faults"));
        row("check " + panels + " panels", checks);
    }

    private double move(String id, int i) throws Exception {
        return edit(id, "{\"kind\":\"move-picture\",\"panels\":[\"p" + (i % 9 + 1) + "\"],\"dx\":0.0" + (i % 7 + 1) + ",\"dy\":0}");
    }

    /** A panel of 200 letters with a picture: moved, set anew, and moved once more with the answer compressed, as browsers ask for it. */
    private void letters() throws Exception {
        String id = newSheet("Letters", 420, 297);
        String picture = upload(Encoder.jpeg(Pixels.photo(1200, 800, 7), 0.9f, 300));
        shelve(id, List.of(picture));
        String text = FormsBenchmarks.twoHundredLetters().replace("\n", "\\n");
        edit(id, "{\"kind\":\"add-letters\",\"panel\":\"\",\"spelling\":{\"text\":\"" + text
                + "\",\"face\":{\"family\":\"EB Garamond\",\"weight\":400,\"own\":\"\"},\"side\":\"left\",\"leading\":1,\"tracking\":0}}");
        edit(id, "{\"kind\":\"fill\",\"panels\":[\"p1\"],\"picture\":\"" + picture + "\"}");
        String move = "{\"kind\":\"move-panels\",\"panels\":[\"p1\"],\"dx\":1,\"dy\":0}";
        for (int i = 0; i < 60; i++) edit(id, move);
        double[] moves = new double[60];
        for (int i = 0; i < moves.length; i++) moves[i] = edit(id, move);
        row("move a panel of 200 letters", moves);
        double[] sets = new double[60];
        for (int i = 0; i < sets.length; i++)
            sets[i] = edit(id, "{\"kind\":\"set-letters\",\"panels\":[\"p1\"],\"tracking\":" + (i % 2 * 10) + "}");
        row("set 200 letters anew", sets);
        double[] packed = new double[60];
        for (int i = 0; i < packed.length; i++) packed[i] = packed(id, move);
        row("move a panel of 200 letters, the answer compressed", packed);
    }

    /** A slider of a tone on a picture of twelve megapixels: what it would give, its painting while it moves, and as it stays. */
    private void tones() throws Exception {
        String id = newSheet("Tones", 420, 297);
        String picture = upload(Encoder.jpeg(Pixels.photo(4200, 2800, 7), 0.9f, 300));
        shelve(id, List.of(picture));
        edit(id, "{\"kind\":\"lay-out\",\"where\":\"replace\",\"pattern\":{\"kind\":\"even-grid\",\"rows\":1,\"columns\":1,"
                + "\"gapAcross\":0,\"gapDown\":0},\"margins\":{\"top\":5,\"right\":5,\"bottom\":5,\"left\":5}}");
        edit(id, "{\"kind\":\"fill\",\"panels\":[\"p1\"],\"picture\":\"" + picture + "\"}");
        slider(id, "each pixel by itself", "exposure", 0.01);
        edit(id, "{\"kind\":\"set-tone\",\"of\":{\"panels\":[\"p1\"]},\"contrast\":0.3,\"fine\":0.3,\"saturation\":0.2}");
        slider(id, "shadows", "shadows", 0.005);
        slider(id, "exposure under shadows", "exposure", 0.01);
    }

    private void slider(String id, String what, String name, double step) throws Exception {
        double[][] times = new double[4][80];
        for (int i = 0; i < 120; i++) {
            int at = i - 40;
            String edit = String.format(Locale.ROOT, "{\"kind\":\"set-tone\",\"of\":{\"panels\":[\"p1\"]},\"%s\":%.4f}", name,
                    step * (i + 1));
            String[] answer = new String[1];
            double asked = timed(() -> answer[0] = preview(id, "{\"edit\":" + edit
                    + ",\"stage\":\"tone\",\"selected\":[\"p1\"],\"version\":0}"));
            String href = find(answer[0], "href=\\\\\"(/pictures/[^\"]+)/medium\\\\\"");
            double live = timed(() -> get(href + "/live"));
            double whole = timed(() -> get(href + "/medium"));
            if (at < 0) continue;
            times[0][at] = asked;
            times[1][at] = live;
            times[2][at] = asked + live;
            times[3][at] = whole;
        }
        row("tone, " + what + ": what it would give", times[0]);
        row("tone, " + what + ": painted while the slider moves", times[1]);
        row("**tone, " + what + ": both**", times[2]);
        row("tone, " + what + ": painted as it stays", times[3]);
        edit(id, String.format(Locale.ROOT, "{\"kind\":\"set-tone\",\"of\":{\"panels\":[\"p1\"]},\"%s\":0.3333}", name));
    }

    private double packed(String id, String edit) throws Exception {
        HttpRequest request = request("/sheets/" + id + "/edits").header("Content-Type", "application/json")
                .header("Accept-Encoding", "gzip")
                .POST(HttpRequest.BodyPublishers.ofString("{\"edit\":" + edit + ",\"stage\":\"arrange\",\"selected\":[\"p1\"],\"version\":"
                        + version++ + "}")).build();
        return timed(() -> {
            HttpResponse<byte[]> answer = http.send(request, HttpResponse.BodyHandlers.ofByteArray());
            if (answer.statusCode() != 200 || answer.headers().firstValue("Content-Encoding").isEmpty()) throw new IOException("" + answer);
        });
    }

    /** Fill with 300 pictures on the shelf, and dealing 200 of them to 40 panels. */
    private void shelf() throws Exception {
        String id = newSheet("Shelf", 420, 297);
        edit(id, "{\"kind\":\"lay-out\",\"where\":\"replace\",\"pattern\":{\"kind\":\"even-grid\",\"rows\":5,\"columns\":8,"
                + "\"gapAcross\":2,\"gapDown\":2},\"margins\":{\"top\":10,\"right\":10,\"bottom\":10,\"left\":10}}");
        List<String> shas = new ArrayList<>();
        double[] imports = new double[300];
        for (int i = 0; i < 300; i++) {
            byte[] jpeg = Encoder.jpeg(Pixels.photo(300 + i * 37 % 400, 300 + i * 53 % 400, 1000 + i), 0.9f, 300);
            imports[i] = timed(() -> shas.add(upload(jpeg)));
        }
        row("import one of 300 small pictures", imports);
        shelve(id, shas);
        double[] opens = new double[20];
        for (int i = 0; i < opens.length; i++) opens[i] = timed(() -> get("/sheets/" + id + "?stage=fill"));
        row("open Fill with 300 pictures on the shelf", opens);
        double[] fills = new double[40];
        for (int i = 0; i < fills.length; i++) {
            String fill = "{\"kind\":\"fill\",\"panels\":[\"p" + (i + 1) + "\"],\"picture\":\"" + shas.get(i) + "\"}";
            fills[i] = timed(() -> json("/sheets/" + id + "/edits", "{\"edit\":" + fill
                    + ",\"stage\":\"fill\",\"selected\":[\"p1\"],\"version\":" + version + "}"));
        }
        row("fill a panel, 300 pictures on the shelf", fills);
        String deal = "{\"edit\":{\"kind\":\"deal\",\"to\":\"all\",\"pictures\":[\"" + String.join("\",\"", shas.subList(0, 200))
                + "\"]},\"stage\":\"fill\",\"selected\":[],\"version\":0}";
        double[] deals = new double[20];
        for (int i = 0; i < deals.length; i++) deals[i] = timed(() -> preview(id, deal));
        row("look at a deal of 200 pictures to 40 panels", deals);
    }

    /** Import of 24 megapixels, and the sheet for the deliveries. */
    private void pictures(Path folder) throws Exception {
        String id = newSheet("Twelve", 420, 297);
        edit(id, "{\"kind\":\"lay-out\",\"where\":\"replace\",\"pattern\":{\"kind\":\"even-grid\",\"rows\":3,\"columns\":4,"
                + "\"gapAcross\":6,\"gapDown\":6},\"margins\":{\"top\":10,\"right\":10,\"bottom\":10,\"left\":10}}");
        List<String> shas = new ArrayList<>();
        double[] times = new double[12];
        for (int i = 0; i < 12; i++) {
            byte[] jpeg = Encoder.jpeg(Pixels.photo(6000, 4000, 100 + i), 0.92f, 300);
            Files.write(folder.resolve(String.format("p%02d.jpg", i)), jpeg);
            times[i] = timed(() -> shas.add(upload(jpeg)));
        }
        row("import a 24-megapixel JPEG", times);
        shelve(id, shas);
        for (int i = 0; i < 12; i++) edit(id, "{\"kind\":\"fill\",\"panels\":[\"p" + (i + 1) + "\"],\"picture\":\"" + shas.get(i) + "\"}");
        bundle(id, folder.resolve("twelve.lantern.zip"));
        jobs(id);
        String twelve = "{\"kind\":\"set-tone\",\"of\":{\"panels\":[" + IntStream.rangeClosed(1, 12).mapToObj(i -> "\"p" + i + "\"")
                .collect(Collectors.joining(",")) + "]},";
        edit(id, twelve + "\"temperature\":20,\"exposure\":0.3,\"contrast\":0.3,\"saturation\":0.2}");
        bundle(id, folder.resolve("toned.lantern.zip"));
        edit(id, twelve + "\"shadows\":0.4,\"fine\":0.3}");
        bundle(id, folder.resolve("local.lantern.zip"));
        edit(id, "{\"kind\":\"clear-tone\",\"of\":{\"panels\":[" + IntStream.rangeClosed(1, 12).mapToObj(i -> "\"p" + i + "\"")
                .collect(Collectors.joining(",")) + "]}}");
        glazed(id, folder);
        for (int i = 0; i < 12; i++) edit(id, stroke(i));
        bundle(id, folder.resolve("veiled.lantern.zip"));
        edit(id, "{\"kind\":\"lay-out\",\"where\":\"replace\",\"agreed\":true,\"pattern\":{\"kind\":\"even-grid\",\"rows\":6,"
                + "\"columns\":10,\"gapAcross\":6,\"gapDown\":6},"
                + "\"margins\":{\"top\":10,\"right\":10,\"bottom\":10,\"left\":10}}");
        List<String> all = new ArrayList<>();
        Matcher ids = Pattern.compile("<g class=\"panel [^>]* data-id=\"(p[0-9]+)\"").matcher(get("/sheets/" + id));
        while (ids.find()) all.add("\"" + ids.group(1) + "\"");
        for (int i = 0; i < 12; i++) edit(id, "{\"kind\":\"fill\",\"panels\":[" + String.join(",", all.subList(i * 5, i * 5 + 5))
                + "],\"picture\":\"" + shas.get(i) + "\"}");
        bundle(id, folder.resolve("sixty.lantern.zip"));
        edit(id, "{\"kind\":\"set-shadow\",\"panels\":[" + String.join(",", all) + "],\"distance\":1.5,\"direction\":135,\"blur\":4}");
        bundle(id, folder.resolve("shadowed.lantern.zip"));
        large(folder, shas);
        gigapixel(folder, shas);
    }

    /** The same with three glazes over the whole sheet: a blur, a shift, a light. */
    private void glazed(String id, Path folder) throws Exception {
        String[] sets = {"set-glaze','panels':['p13'],'blur':'1 mm'", "set-glaze','panels':['p14'],'dx':'12 mm'",
                "set-tone','of':{'panels':['p15']},'exposure':0.2,'shadows':0.3"};
        for (String set : sets) {
            edit(id, "{\"kind\":\"add-glaze\",\"where\":\"sheet\",\"panels\":[]}");
            edit(id, ("{'kind':'" + set + "}").replace('\'', '"'));
        }
        bundle(id, folder.resolve("glazed.lantern.zip"));
        edit(id, "{\"kind\":\"remove\",\"panels\":[\"p13\",\"p14\",\"p15\"]}");
    }

    /** A soft stroke of forty places to and fro over one of the twelve panels, which hides what it covers. */
    private static String stroke(int panel) {
        double left = 10 + panel % 4 * 101.5;
        double top = 10 + panel / 4 * 94.33;
        String dots = IntStream.range(0, 40).mapToObj(i -> String.format(Locale.ROOT, "[%.2f,%.2f,1]", left + 95.5 * (i % 8) / 7,
                top + 88.0 * i / 39)).collect(Collectors.joining(","));
        return ("{'kind':'veil','panels':['p" + (panel + 1) + "'],'layer':0,'part':{'kind':'stroke','dots':[" + dots
                + "],'size':'10 mm','softness':'60 %','strength':1,'shows':false}}").replace('\'', '"');
    }

    /** The sheet as PNG at 300 ppi, as jobs of the running server. */
    private void jobs(String id) throws Exception {
        row("A3 PNG as a job, the first", new double[] {job(id, 1)});
        row("A3 PNG as a job, again", new double[] {job(id, 1), job(id, 1), job(id, 1)});
        row("two, one after the other", new double[] {job(id, 1) + job(id, 1), job(id, 1) + job(id, 1), job(id, 1) + job(id, 1)});
        row("two at once", new double[] {job(id, 2), job(id, 2), job(id, 2)});
    }

    /** Until so many of them, ordered at once, are done. */
    private double job(String id, int count) throws Exception {
        return timed(() -> {
            for (int i = 0; i < count; i++) form("/sheets/" + id + "/deliveries", "format=png&ppi=300&paper=on&extent=sheet");
            while (Pattern.compile("data-state=\"(waiting|painting)\"").matcher(get("/sheets/" + id + "/deliveries")).find())
                Thread.sleep(250);
        });
    }

    /** One gigapixel at 300 ppi: 300 panels that cast shadows. */
    private void gigapixel(Path folder, List<String> shas) throws Exception {
        String id = newSheet("Hall", 3234, 2287);
        edit(id, "{\"kind\":\"lay-out\",\"where\":\"replace\",\"pattern\":{\"kind\":\"even-grid\",\"rows\":15,\"columns\":20,"
                + "\"gapAcross\":4,\"gapDown\":4}}");
        shelve(id, shas);
        for (int i = 0; i < shas.size(); i++) {
            int first = i;
            edit(id, "{\"kind\":\"fill\",\"panels\":[" + IntStream.range(0, 300).filter(n -> n % shas.size() == first)
                    .mapToObj(n -> "\"p" + (n + 1) + "\"").collect(Collectors.joining(",")) + "],\"picture\":\"" + shas.get(i) + "\"}");
        }
        edit(id, "{\"kind\":\"set-shadow\",\"panels\":[" + IntStream.rangeClosed(1, 300).mapToObj(n -> "\"p" + n + "\"")
                .collect(Collectors.joining(",")) + "],\"distance\":1.5,\"direction\":135,\"blur\":2}");
        bundle(id, folder.resolve("gigapixel.lantern.zip"));
    }

    /** A1 with a hundred panels. */
    private void large(Path folder, List<String> shas) throws Exception {
        String id = newSheet("Wall", 594, 841);
        edit(id, "{\"kind\":\"lay-out\",\"where\":\"replace\",\"pattern\":{\"kind\":\"even-grid\",\"rows\":10,\"columns\":10,"
                + "\"gapAcross\":6,\"gapDown\":6},\"margins\":{\"top\":10,\"right\":10,\"bottom\":10,\"left\":10}}");
        shelve(id, shas);
        for (int i = 0; i < 100; i++) edit(id, "{\"kind\":\"fill\",\"panels\":[\"p" + (i + 1) + "\"],\"picture\":\""
                + shas.get(i % shas.size()) + "\"}");
        bundle(id, folder.resolve("hundred.lantern.zip"));
    }

    private void bundle(String id, Path to) throws Exception {
        Files.write(to, http.send(request("/sheets/" + id + "/bundle").build(), HttpResponse.BodyHandlers.ofByteArray()).body());
    }

    private interface Work {
        void run() throws Exception;
    }

    private static double timed(Work work) throws Exception {
        long start = System.nanoTime();
        work.run();
        return (System.nanoTime() - start) / 1e6;
    }

    private static void row(String what, double[] times) {
        double[] sorted = times.clone();
        Arrays.sort(sorted);
        System.out.printf(Locale.ROOT, "| %s | %.1f | %.1f |%n", what, sorted[sorted.length / 2],
                sorted[(int) Math.ceil(sorted.length * 0.95) - 1]);
    }

    private double edit(String id, String edit) throws Exception {
        return timed(() -> json("/sheets/" + id + "/edits", "{\"edit\":" + edit
                + ",\"stage\":\"arrange\",\"selected\":[\"p1\"],\"version\":" + version + "}"));
    }

    private String preview(String id, String body) throws Exception {
        HttpResponse<String> answer = http.send(request("/sheets/" + id + "/preview").header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(body)).build(), HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() != 200) throw new IOException(answer.body());
        return answer.body();
    }

    /** The version that the last answer named: an edit that knows it gets only what changed. */
    private long version;

    private void json(String path, String body) throws Exception {
        HttpResponse<String> answer = http.send(request(path).header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(body)).build(), HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() != 200) throw new IOException(path + ": " + answer.statusCode() + " " + answer.body());
        version = Long.parseLong(find(answer.body(), "\"version\":(\\d+)"));
    }

    private void shelve(String id, List<String> shas) throws Exception {
        StringBuilder names = new StringBuilder();
        for (String sha : shas) names.append(names.isEmpty() ? "" : ",").append('"').append(sha).append("\":\"picture\"");
        json("/sheets/" + id + "/shelf", "{\"pictures\":{" + names + "},\"stage\":\"arrange\",\"selected\":[],\"version\":0}");
    }

    private String upload(byte[] jpeg) throws IOException, InterruptedException {
        String edge = "edge" + UUID.randomUUID();
        byte[] head = ("--" + edge + "\r\nContent-Disposition: form-data; name=\"file\"; filename=\"picture.jpg\"\r\n\r\n")
                .getBytes(StandardCharsets.UTF_8);
        byte[] tail = ("\r\n--" + edge + "--\r\n").getBytes(StandardCharsets.UTF_8);
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        for (byte[] part : List.of(head, jpeg, tail)) body.writeBytes(part);
        HttpResponse<String> answer = http.send(request("/pictures").header("Content-Type", "multipart/form-data; boundary=" + edge)
                .POST(HttpRequest.BodyPublishers.ofByteArray(body.toByteArray())).build(), HttpResponse.BodyHandlers.ofString());
        return find(answer.body(), "\"id\":\"([0-9a-f]{64})\"");
    }

    private String get(String path) throws IOException, InterruptedException {
        return http.send(request(path).build(), HttpResponse.BodyHandlers.ofString()).body();
    }

    private HttpResponse<String> form(String path, String body) throws IOException, InterruptedException {
        return http.send(request(path).header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(body + "&_csrf=" + URLEncoder.encode(token, StandardCharsets.UTF_8))).build(),
                HttpResponse.BodyHandlers.ofString());
    }

    private HttpRequest.Builder request(String path) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path)).header("Accept", "application/json, text/html");
        return token == null ? request : request.header("X-CSRF-TOKEN", token);
    }

    private static String find(String text, String pattern) throws IOException {
        Matcher matcher = Pattern.compile(pattern).matcher(text);
        if (!matcher.find()) throw new IOException("no " + pattern + " in " + text.substring(0, Math.min(300, text.length())));
        return matcher.group(1);
    }
}
