package plainlantern.studio;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.InputStream;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.locks.LockSupport;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.placing.LayOut;
import plainlantern.editing.reading.EditReader;
import plainlantern.fitting.Dealing;
import plainlantern.pattern.EvenGrid;
import plainlantern.picture.Encoder;
import plainlantern.picture.Rows;
import plainlantern.sheet.Margins;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import plainlantern.sheet.Treatment;
import plainlantern.studio.web.Busy;

/** Trials that take minutes: ./lantern trial. Their figures go into docs/running.md. */
@Tag("trial")
class TrialsTest extends StudioTest {
    @Autowired
    private JdbcClient db;
    private final ExecutorService threads = Executors.newCachedThreadPool();

    private static void told(String words, Object... values) {
        System.out.printf(Locale.ROOT, "TRIAL " + words + "%n", values);
    }

    private static double seconds(long since) {
        return (System.nanoTime() - since) / 1e9;
    }

    /** A PNG of one colour, so many pixels in so few bytes; {@code shade} makes it another file. */
    private static byte[] png(int width, int height, int shade) throws Exception {
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (DeflaterOutputStream deflate = new DeflaterOutputStream(packed)) {
            byte[] row = new byte[1 + 3 * width];
            Arrays.fill(row, 1, row.length, (byte) shade);
            for (int y = 0; y < height; y++) deflate.write(row);
        }
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        DataOutputStream out = new DataOutputStream(file);
        out.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n'});
        chunk(out, "IHDR", ByteBuffer.allocate(13).putInt(width).putInt(height).put(new byte[] {8, 2, 0, 0, 0}).array());
        chunk(out, "IDAT", packed.toByteArray());
        chunk(out, "IEND", new byte[0]);
        return file.toByteArray();
    }

    private static void chunk(DataOutputStream out, String name, byte[] data) throws Exception {
        CRC32 sum = new CRC32();
        sum.update(name.getBytes(StandardCharsets.US_ASCII));
        sum.update(data);
        out.writeInt(data.length);
        out.writeBytes(name);
        out.write(data);
        out.writeInt((int) sum.getValue());
    }

    private static HttpResponse<String> upload(Visitor visitor, String name, byte[] file) throws Exception {
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        body.writeBytes(("--b\r\nContent-Disposition: form-data; name=\"file\"; filename=\"" + name
                + "\"\r\nContent-Type: application/octet-stream\r\n\r\n").getBytes(StandardCharsets.US_ASCII));
        body.writeBytes(file);
        body.writeBytes("\r\n--b--\r\n".getBytes(StandardCharsets.US_ASCII));
        return visitor.send(HttpRequest.newBuilder(visitor.request("/pictures").build().uri())
                .header("Content-Type", "multipart/form-data; boundary=b")
                .header("X-CSRF-TOKEN", visitor.token()).POST(BodyPublishers.ofByteArray(body.toByteArray())).build());
    }

    private Visitor member(Node node, String name) throws Exception {
        Visitor visitor = new Visitor(node.port());
        member = accounts.find(visitor.signUp(name, "reeds and water")).orElseThrow();
        visitor.get("/account");
        return visitor;
    }

    private <T> List<T> atOnce(List<Callable<T>> work) throws Exception {
        List<T> all = new ArrayList<>();
        for (Future<T> one : threads.invokeAll(work)) all.add(one.get());
        return all;
    }

    /** A node and its helpers with little memory: what fits is done, what does not is refused in words, and it answers throughout. */
    @ParameterizedTest
    @ValueSource(strings = {"512m", "1g"})
    void littleMemory(String heap) throws Exception {
        byte[] huge = png(15_000, 15_000, 90);
        try (Node node = new Node(List.of("-Xmx" + heap), Map.of("LANTERN_IMPORTS_HEAP", heap))) {
            node.ready();
            boolean[] over = {false};
            long[] slowest = {0};
            CompletableFuture<Integer> watching = CompletableFuture.supplyAsync(() -> {
                int silent = 0;
                while (!over[0]) {
                    long asked = System.nanoTime();
                    if (!node.answers()) silent++;
                    slowest[0] = Math.max(slowest[0], System.nanoTime() - asked);
                    LockSupport.parkNanos(100_000_000);
                }
                return silent;
            }, threads);
            Visitor visitor = member(node, "Large pictures");
            List<Callable<String>> uploads = new ArrayList<>();
            for (int i = 0; i < 5; i++) {
                byte[] file = png(15_000, 15_000, 100 + i);
                uploads.add(() -> {
                    HttpResponse<String> answer = upload(visitor, "huge.png", file);
                    return answer.statusCode() + (answer.statusCode() == 200 ? "" : " " + SheetJson.MAPPER.readTree(answer.body())
                            .path("message").asString(""));
                });
            }
            long began = System.nanoTime();
            List<String> ends = atOnce(uploads);
            told("%s: five uploads of 225 megapixels (%d kB) at once, %.0f s: %s", heap, huge.length / 1000, seconds(began), ends);
            Picture wide = pictures.add(member.id(), "wide.png", png(16_000, 15_600, 70));
            UUID wall = sheets.add(member.id(), filled(wide, 1), "New sheet");
            began = System.nanoTime();
            List<String> looks = atOnce(Collections.nCopies(3, () -> {
                HttpResponse<String> answer = visitor.get("/sheets/" + wall + "/pixels?x=100&y=100&across=800&down=600");
                return answer.statusCode() + (answer.statusCode() == 200 ? "" : " " + answer.body());
            }));
            told("%s: three looks at pixels of a 250-megapixel PNG at once, %.0f s: %s", heap, seconds(began), looks);
            began = System.nanoTime();
            Picture photo = pictures.add(member.id(), "photo.jpg", jpeg(6000, 4000, 150));
            UUID poster = sheets.add(member.id(), filled(photo, 3), "New sheet");
            visitor.get("/sheets/" + poster);
            List<String> formats = List.of("png", "tiff", "jpeg", "pdf");
            Map<String, Integer> made = new TreeMap<>();
            for (int i = 0; i < 20; i++) {
                HttpResponse<String> answer = visitor.post("/sheets/" + poster + "/deliveries", "format", formats.get(i % 4), "ppi", "300");
                if (answer.statusCode() != 200) made.merge(answer.body(), 1, Integer::sum);
            }
            until(() -> db.sql("select count(*) from delivery where account_id = :a and state in ('waiting', 'painting')")
                    .param("a", member.id()).query(Integer.class).single(), open -> open == 0, 600);
            db.sql("select state || ' ' || said as ended, count(*) as n from delivery where account_id = :a group by 1")
                    .param("a", member.id())
                    .query((row, n) -> made.merge(row.getString(1), row.getInt(2), Integer::sum)).list();
            over[0] = true;
            int silent = watching.get();
            told("%s: twenty A3 deliveries at 300 ppi, %.0f s: %s; the node lives: %s, unanswered %d, slowest answer %.1f s", heap,
                    seconds(began), made, node.alive(), silent, slowest[0] / 1e9);
            assertThat(node.alive()).isTrue();
            assertThat(silent).isZero();
            assertThat(looks).allMatch(look -> look.startsWith("200") || look.contains("of memory"));
        }
    }

    /** An A3 sheet with n × n panels of one picture. */
    private static Sheet filled(Picture picture, int n) {
        Sheet sheet = Sheet.empty("A3", Unit.MM, 420, 297, 300).withShelf(List.of(picture));
        for (String edit : List.of("{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':" + n + ",'columns':" + n
                + ",'gapAcross':4,'gapDown':4}}",
                "{'kind':'deal','to':'all','use':'evenly'}")) sheet = EditReader.read(edit.replace('\'', '"'), sheet).on(sheet);
        return sheet;
    }

    /**
     * Files that are slow on purpose, from one account; how long each takes to its end, and how long another account's photo waits beside
     * them.
     */
    @Test
    void slowFiles() throws Exception {
        Map<String, byte[]> slow = new TreeMap<>();
        slow.put("sixty scans.jpg", scans(16_000, 15_000, 60));
        slow.put("lossless.webp", webp(new BufferedImage(16_383, 15_200, BufferedImage.TYPE_3BYTE_BGR), 1));
        slow.put("wide.bmp", rle(60_000, 4_000));
        UUID attacker = newMember().id();
        for (Map.Entry<String, byte[]> file : slow.entrySet()) {
            List<Callable<String>> same = new ArrayList<>();
            for (int i = 0; i < 3; i++) same.add(() -> brought(attacker, file.getKey(), file.getValue()));
            byte[] fresh = jpeg(6000, 4000, (int) (System.nanoTime() % 360));
            long began = System.nanoTime();
            Future<List<String>> all = threads.submit(() -> atOnce(same));
            Thread.sleep(1000);
            long mine = System.nanoTime();
            String photo = brought(member.id(), "photo.jpg", fresh);
            double waited = seconds(mine);
            told("%s, %d kB, three at once: %s after %.1f s; a 24-megapixel photo of another account beside them: %s in %.1f s",
                    file.getKey(), file.getValue().length / 1000, all.get().get(0),
                    seconds(began), photo, waited);
            assertThat(waited).isLessThan(60);
        }
    }

    private String brought(UUID account, String name, byte[] file) {
        try {
            return "read, " + pictures.add(account, name, file).width() + " px wide";
        } catch (BadInput | Busy refused) {
            return refused.getMessage();
        }
    }

    /** A progressive JPEG whose last scan comes again and again. */
    private static byte[] scans(int width, int height, int scans) throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Process made = new ProcessBuilder("vips", "black", "/dev/shm/black.v", "" + width, "" + height).start();
        assertThat(made.waitFor()).isZero();
        assertThat(new ProcessBuilder("vips", "jpegsave", "/dev/shm/black.v", "/dev/shm/black.jpg", "--interlace").start().waitFor())
                .isZero();
        byte[] plain = Files.readAllBytes(Path.of("/dev/shm/black.jpg"));
        int last = plain.length - 2;
        while (!((plain[last] & 0xFF) == 0xFF && (plain[last + 1] & 0xFF) == 0xDA)) last--;
        out.write(plain, 0, plain.length - 2);
        for (int i = 10; i < scans; i++) out.write(plain, last, plain.length - 2 - last);
        out.write(plain, plain.length - 2, 2);
        return out.toByteArray();
    }

    private static byte[] webp(BufferedImage image, float quality) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Encoder.webp(Rows.of(image), quality, out, share -> {});
        return out.toByteArray();
    }

    /** A BMP of 8 bits, run-length encoded, that says where each row ends and nothing else. */
    private static byte[] rle(int width, int height) {
        ByteBuffer out = ByteBuffer.allocate(54 + 1024 + 2 * height + 2).order(ByteOrder.LITTLE_ENDIAN);
        out.put((byte) 'B').put((byte) 'M').putInt(out.capacity()).putInt(0).putInt(54 + 1024);
        out.putInt(40).putInt(width).putInt(height).putShort((short) 1).putShort((short) 8).putInt(1).putInt(2 * height + 2).putInt(0)
                .putInt(0).putInt(256).putInt(0);
        for (int i = 0; i < 256; i++) out.putInt(i * 0x010101);
        for (int y = 0; y < height; y++) out.putShort((short) 0);
        return out.put((byte) 0).put((byte) 1).array();
    }

    /** Ten thousand photographs with bytes changed at random, read by helpers: how many came in, were refused, or ended their helper. */
    @Test
    void mutatedFiles() throws Exception {
        Random random = new Random(5);
        BufferedImage photo = ImageIO.read(new ByteArrayInputStream(jpeg(640, 480, 20)));
        BufferedImage clear = new BufferedImage(640, 480, BufferedImage.TYPE_INT_ARGB);
        for (int y = 0; y < 480; y++) for (int x = 0; x < 640; x++) clear.setRGB(x, y, photo.getRGB(x, y) & 0xFFFFFF | (x + y) % 256 << 24);
        List<byte[]> seeds = List.of(jpeg(640, 480, 20), Files.readAllBytes(progressive()),
                Encoder.png(new BufferedImage(320, 200, BufferedImage.TYPE_4BYTE_ABGR), 72), webp(photo, 0.8f), webp(clear, 0.8f),
                webp(clear, 1));
        List<String> names = List.of("a.jpg", "b.jpg", "c.png", "d.webp", "e.webp", "f.webp");
        UUID[] all = {member.id(), newMember().id(), newMember().id()};
        Map<String, Integer> ends = new TreeMap<>();
        long began = System.nanoTime();
        List<Callable<String>> work = new ArrayList<>();
        int files = Integer.getInteger("lantern.files", 10_000);
        for (int i = 0; i < files; i++) {
            int seed = random.nextInt(seeds.size());
            byte[] file = seeds.get(seed).clone();
            for (int n = 1 + random.nextInt(12); n > 0; n--)
                file[2 + random.nextInt(random.nextBoolean() ? Math.min(700, file.length - 2) : file.length - 2)] =
                        (byte) random.nextInt(256);
            byte[] given = random.nextInt(5) == 0 ? Arrays.copyOf(file, 20 + random.nextInt(file.length - 20)) : file;
            UUID who = all[i % 3];
            work.add(() -> {
                String end = brought(who, names.get(seed), given);
                return end.startsWith("read") ? "read" : end.contains("damaged and cannot be read") ? "helper ended" : "refused";
            });
        }
        ExecutorService six = Executors.newFixedThreadPool(6);
        for (Future<String> one : six.invokeAll(work)) ends.merge(one.get(), 1, Integer::sum);
        six.shutdown();
        told("%d mutated files in %.0f s: %s", files, seconds(began), ends);
        assertThat(brought(member.id(), "a.jpg", jpeg(640, 480, 222))).startsWith("read");
    }

    private static Path progressive() throws Exception {
        Path plain = Files.write(Path.of("/dev/shm/seed.jpg"), jpeg(640, 480, 60));
        assertThat(new ProcessBuilder("vips", "jpegsave", plain.toString(), "/dev/shm/progressive.jpg", "--interlace").start().waitFor())
                .isZero();
        return Path.of("/dev/shm/progressive.jpg");
    }

    /** Ten thousand sheets of one account: how long a page of them takes. */
    @Test
    void manySheets() throws Exception {
        try (Node node = new Node(List.of("-Xmx1g"), Map.of())) {
            node.ready();
            Visitor visitor = member(node, "Many sheets");
            UUID one = sheets.add(member.id(), Sheet.empty("Wall", Unit.MM, 100, 100, 96), "New sheet");
            db.sql("""
                    insert into sheet (id, account_id, name, size, panels, head, version, changed_at)
                    select gen_random_uuid(), :a, 'Wall ' || n, '100 × 100 mm', 0, 0, 1, now() - n * interval '1 minute'
                    from generate_series(1, 9999) n""").param("a", member.id()).update();
            db.sql("""
                    insert into revision (sheet_id, number, title, document) select s.id, 0, 'New sheet', r.document
                    from sheet s, revision r where s.account_id = :a and r.sheet_id = :one and s.id <> :one""")
                    .param("a", member.id()).param("one", one).update();
            for (String page : List.of("/sheets", "/sheets?page=400", "/sheets?find=999", "/sheets?order=name&page=200")) {
                List<Double> times = new ArrayList<>();
                for (int i = 0; i < 30; i++) {
                    long began = System.nanoTime();
                    assertThat(visitor.get(page).statusCode()).isEqualTo(200);
                    if (i >= 10) times.add(seconds(began) * 1000);
                }
                times.sort(null);
                told("10,000 sheets, %s: median %.0f ms, slowest of 20 %.0f ms, %d kB", page, times.get(10), times.get(19),
                        visitor.get(page).body().length() / 1000);
                assertThat(times.get(10)).isLessThan(200);
            }
        }
    }

    /**
     * A hundred designers, each with a sheet of fifty panels and a second's thought between edits, ten of whom bring 24-megapixel photos as
     * well.
     */
    @Test
    void manyDesigners() throws Exception {
        try (Node node = new Node(List.of("-Xmx1g"), Map.of())) {
            node.ready();
            List<Visitor> designers = new ArrayList<>();
            List<UUID> own = new ArrayList<>();
            for (int i = 0; i < 100; i++) {
                designers.add(member(node, "Designer"));
                own.add(sheets.add(member.id(), LayOut.replacing(new EvenGrid(5, 10, 2, 2), new Margins(5, 5, 5, 5))
                        .apply(Sheet.empty("Wall", Unit.MM, 420, 297, 300)), "New sheet"));
                designers.get(i).get("/sheets/" + own.get(i));
            }
            long end = System.nanoTime() + 60_000_000_000L;
            List<Double> edits = Collections.synchronizedList(new ArrayList<>());
            List<Double> uploads = Collections.synchronizedList(new ArrayList<>());
            List<Callable<Integer>> work = new ArrayList<>();
            for (int i = 0; i < 100; i++) {
                Visitor designer = designers.get(i);
                UUID sheet = own.get(i);
                if (i < 10) {
                    byte[] photo = jpeg(6000, 4000, 3 * i);
                    work.add(() -> {
                        int n = 0;
                        for (; System.nanoTime() < end; n++) {
                            photo[photo.length - 3 - n] ^= 1;
                            long began = System.nanoTime();
                            if (upload(designer, "photo.jpg", photo).statusCode() == 200) uploads.add(seconds(began));
                        }
                        return n;
                    });
                }
                work.add(() -> {
                    int n = 0;
                    for (; System.nanoTime() < end; n++) {
                        long began = System.nanoTime();
                        String move = "{'edit':{'kind':'move-panels','panels':['p7'],'dx':0.01,'dy':0},'stage':'arrange','selected':['p7'],"
                                + "'version':" + (n + 1) + "}";
                        assertThat(designer.json("/sheets/" + sheet + "/edits", move).statusCode()).isEqualTo(200);
                        edits.add(seconds(began) * 1000);
                        Thread.sleep(1000);
                    }
                    return n;
                });
            }
            atOnce(work);
            edits.sort(null);
            uploads.sort(null);
            told("100 designers for a minute: %d edits, median %.0f ms, 95 of 100 below %.0f ms, slowest %.0f ms; "
                    + "beside them %d uploads of 24 megapixels, median %.1f s", edits.size(), edits.get(edits.size() / 2),
                    edits.get(edits.size() * 95 / 100), edits.get(edits.size() - 1), uploads.size(), uploads.isEmpty() ? 0
                            : uploads.get(uploads.size() / 2));
        }
    }

    /** Forty panels and two thousand pictures dealt. */
    @Test
    void dealing() {
        Random random = new Random(9);
        List<Picture> shelf = new ArrayList<>();
        for (int i = 0; i < 2000; i++)
            shelf.add(new Picture(String.format("%064x", i), "p" + i, 1000 + random.nextInt(5000), 1000 + random.nextInt(5000),
                    Optional.empty(), Optional.empty(), Optional.empty(), Treatment.NONE));
        Sheet wall = LayOut.replacing(new EvenGrid(5, 8, 2, 2), new Margins(5, 5, 5, 5))
                .apply(Sheet.empty("Wall", Unit.MM, 420, 297, 300).withShelf(shelf));
        var memory = (com.sun.management.ThreadMXBean) java.lang.management.ManagementFactory.getThreadMXBean();
        for (int i = 0; i < 3; i++) {
            long before = memory.getCurrentThreadAllocatedBytes();
            long began = System.nanoTime();
            int dealt = Dealing.deal(wall.panels(), wall.shelf(), 300, false, Dealing.Use.ONCE).size();
            told("%d panels and 2000 pictures dealt in %.0f ms, %.0f MB taken on the way", dealt, seconds(began) * 1000,
                    (memory.getCurrentThreadAllocatedBytes() - before) / 1e6);
        }
    }

    /** 500 MB read at 1 MB a second beside a hundred slower readers, while somebody edits. */
    @Test
    void slowReaders() throws Exception {
        long size = Long.getLong("lantern.download", 500L << 20);
        try (Node node = new Node(List.of("-Xmx1g"), Map.of())) {
            node.ready();
            List<CompletableFuture<Long>> others = new ArrayList<>();
            boolean[] over = {false};
            for (int account = 0; account < 13; account++) {
                Visitor visitor = member(node, "Reader");
                UUID file = finished(size / 10);
                for (int i = 0; i < 8; i++) others.add(CompletableFuture.supplyAsync(() -> read(visitor, file, 100_000, over), threads));
            }
            Visitor visitor = member(node, "Last reader");
            UUID file = finished(size);
            long began = System.nanoTime();
            CompletableFuture<Long> whole = CompletableFuture.supplyAsync(() -> read(visitor, file, 1_000_000, new boolean[1]), threads);
            UUID sheet = sheets.add(member.id(), filled(pictures.add(member.id(), "photo.jpg", jpeg(900, 600, 11)), 2), "New sheet");
            visitor.get("/sheets/" + sheet);
            List<Double> edits = new ArrayList<>();
            while (!whole.isDone()) {
                long sent = System.nanoTime();
                assertThat(visitor.json("/sheets/" + sheet + "/edits",
                        "{'edit':{'kind':'move-panels','panels':['p1'],'dx':0.01,'dy':0},'stage':'arrange','selected':[],'version':0}")
                        .statusCode()).isEqualTo(200);
                edits.add(seconds(sent) * 1000);
                Thread.sleep(200);
            }
            edits.sort(null);
            told("%d MB at 1 MB a second beside %d readers at 0.1 MB: %d bytes in %.0f s; "
                    + "%d edits meanwhile, median %.0f ms, 95 of 100 below %.0f ms", size >> 20, others.size(), whole.get(),
                            seconds(began), edits.size(),
                    edits.get(edits.size() / 2), edits.get(edits.size() * 95 / 100));
            over[0] = true;
            assertThat(whole.get()).isEqualTo(size);
        }
    }

    /** A finished file of the member's, of so many bytes. */
    private UUID finished(long size) {
        UUID sheet = sheets.add(member.id(), Sheet.empty("Wall", Unit.MM, 100, 100, 96), "New sheet");
        UUID id = UUID.randomUUID();
        db.sql("""
                insert into delivery (id, account_id, sheet_id, file, title, settings, documents, selected, state, media_type, bytes)
                values (:id, :a, :s, 'wall.png', 'PNG', '{}', '[]', '{}', 'done', 'image/png', :bytes)""")
                .param("id", id).param("a", member.id()).param("s", sheet).param("bytes", size).update();
        db.sql("alter table delivery_file alter column bytes set storage external").update();
        byte[] part = new byte[1 << 20];
        for (int i = 0; i < size >> 20; i++)
            db.sql("insert into delivery_file (delivery_id, part, bytes) values (:id, :n, :bytes)").param("id", id).param("n", i)
                    .param("bytes", part).update();
        return id;
    }

    private static Long read(Visitor visitor, UUID file, int perSecond, boolean[] over) {
        try (InputStream in = visitor.open("/deliveries/" + file + "/file")) {
            byte[] piece = new byte[Math.min(perSecond / 5, 1 << 16)];
            long began = System.nanoTime();
            long all = 0;
            for (int n = in.read(piece); n > 0 && !over[0]; n = in.read(piece)) {
                all += n;
                double ahead = all / (double) perSecond - seconds(began);
                if (ahead > 0) Thread.sleep((long) (ahead * 1000));
            }
            return all;
        } catch (Exception e) {
            return over[0] ? 0L : -1L;
        }
    }
}
