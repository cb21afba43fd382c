package plainlantern.rendering;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import plainlantern.Chance;
import plainlantern.Painted;
import plainlantern.Sheets;
import plainlantern.Tried;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.picture.Encoder;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Rows;
import plainlantern.picture.Spool;
import plainlantern.scene.Scene;
import plainlantern.sheet.Sheet;

/** A page painted in strips is the page painted at once, and goes into the same file. */
class StripsTest {
    private static final int SIDE = 160;
    private static final BufferedImage PHOTO = Painted.scene(90, 60, BufferedImage.TYPE_3BYTE_BGR);
    private static final PictureSource PICTURES = (id, share) -> PHOTO;

    private static Strips strips(Scene scene, boolean opaque, int[] size, int high, long band, Consumer<String> passed) {
        Affine toPixels = RasterPainter.toPixels(new Box(0, 0, scene.width(), scene.height()), size);
        return new Strips(opaque ? scene.onPaper() : scene, toPixels, size, opaque, PICTURES, Progress.UNHEARD, passed, high, band,
                new Strips.Kept());
    }

    private static int[] all(Rows rows) {
        int[] pixels = new int[rows.width() * rows.height()];
        for (int at = 0; at < pixels.length;) {
            int[] some = rows.next();
            System.arraycopy(some, 0, pixels, at, some.length);
            at += some.length;
        }
        return pixels;
    }

    /**
     * Of any sheet, whatever blur, grain, perspective and text there is, strips of any height, painted element by element or strip
     * by strip.
     */
    @Tried(20)
    void stripsOfAnyHeightAreThePage(Chance chance) {
        Scene scene = Scene.of(Sheets.any(chance));
        double share = SIDE / Math.max(scene.width(), scene.height());
        int[] size = {(int) Math.max(1, scene.width() * share), (int) Math.max(1, scene.height() * share)};
        boolean opaque = chance.flag();
        int[] whole = all(strips(scene, opaque, size, size[1], Long.MAX_VALUE, id -> {}));
        for (long band : new long[] {0, SIDE * SIDE / 8, Long.MAX_VALUE}) {
            int high = chance.whole(1, size[1]);
            int[] parts = all(strips(scene, opaque, size, high, band, id -> {}));
            for (int i = 0; i < whole.length; i++) {
                // Where hardly anything is, colour has hardly any meaning.
                int off = (whole[i] >>> 24) + (parts[i] >>> 24) < 60 ? Math.abs((whole[i] >>> 24) - (parts[i] >>> 24))
                : worst(whole[i], parts[i]);
                assertThat(off).as("%d, %d of strips of %d", i % size[0], i / size[0], high).isZero();
            }
        }
    }

    private static int worst(int one, int other) {
        int worst = 0;
        for (int shift = 0; shift < 32; shift += 8) worst = Math.max(worst, Math.abs((one >>> shift & 0xFF) - (other >>> shift & 0xFF)));
        return worst;
    }

    /** Every writer that takes rows writes the same file from few of them as from all. */
    @Test
    void filesAreTheSameHoweverTheirRowsCome() throws Exception {
        Sheet sheet = Sheets.after(new ShelvePictures(List.of(Sheets.DAWN)).apply(Sheet.empty("Wall", Unit.MM, 60, 45, 100)),
                "{'kind':'lay-out','where':'replace','agreed':true,'pattern':"
                + "{'kind':'even-grid','rows':2,'columns':3,'gapAcross':4,'gapDown':4}}",
                "{'kind':'set-shadow','panels':['p3'],'distance':'2 mm','blur':'3 mm','colour':'#203040','opacity':'60 %'}",
                "{'kind':'fill','panels':['p1'],'picture':'" + Sheets.DAWN.id() + "'}");
        Scene scene = Scene.of(sheet);
        int[] size = {301, 226};
        for (boolean opaque : new boolean[] {true, false}) {
            List<byte[]> before = new ArrayList<>();
            for (int high : new int[] {226, 64, 7, 1}) {
                List<byte[]> files = new ArrayList<>();
                files.add(written(out -> Encoder.png(strips(scene, opaque, size, high, 0, id -> {}), 300, out)));
                files.add(written(out -> Encoder.tiff(strips(scene, opaque, size, high, 0, id -> {}), 300, out)));
                if (opaque) files.add(written(out -> Encoder.jpeg(strips(scene, true, size, high, 0, id -> {}), 0.9f, true, 300, out)));
                BufferedImage png = ImageIO.read(new ByteArrayInputStream(files.get(0)));
                int[] pixels = all(strips(scene, opaque, size, high, 0, id -> {}));
                for (int i = 0; i < pixels.length; i++) if (pixels[i] >>> 24 > 0 || opaque)
                    assertThat(png.getRGB(i % size[0], i / size[0])).isEqualTo(opaque ? pixels[i] | 0xFF000000 : pixels[i]);
                if (before.isEmpty()) before.addAll(files);
                else for (int i = 1; i < files.size(); i++) assertThat(files.get(i)).isEqualTo(before.get(i));
            }
        }
    }

    /** A picture is let go as soon as no element needs it any more, and not before. */
    @Test
    void picturesGoWhenTheyWerePainted() {
        Sheet wall = new ShelvePictures(List.of(Sheets.DAWN, Sheets.TALL)).apply(Sheet.empty("Wall", Unit.MM, 60, 60, 100));
        Scene scene = Scene.of(Sheets.after(wall,
                "{'kind':'lay-out','where':'replace','agreed':true,'pattern':{'kind':'even-grid','rows':3,"
                + "'columns':1,'gapAcross':0,'gapDown':4}}", "{'kind':'fill','panels':['p1','p3'],'picture':'" + Sheets.DAWN.id() + "'}",
                "{'kind':'fill','panels':['p2'],'picture':'" + Sheets.TALL.id() + "'}"));
        for (long band : new long[] {0, Long.MAX_VALUE}) {
            List<String> passed = new CopyOnWriteArrayList<>();
            PictureSource watched = (id, share) -> {
                assertThat(passed).doesNotContain(id);
                return PHOTO;
            };
            Strips strips = new Strips(scene, Affine.scale(2, 2), new int[] {120, 120}, false, watched, Progress.UNHEARD, passed::add,
                    10, band, new Strips.Kept());
            for (int row = 0; row < 40; row += 10) strips.next();
            assertThat(passed).doesNotContain(Sheets.DAWN.id());
            for (int row = 40; row < 120; row += 10) strips.next();
            assertThat(passed).containsExactlyInAnyOrder(Sheets.TALL.id(), Sheets.DAWN.id());
        }
    }

    /** Who stops a delivery while its rows go into a file hears of nothing else. */
    @Test
    void aStoppedPaintingEndsEveryWriter() {
        Progress stopped = share -> {
            if (share > 0.4) throw new Progress.Cancelled();
        };
        for (BiConsumer<Rows, OutputStream> writer : List.<BiConsumer<Rows, OutputStream>>of((rows, out) -> Encoder.png(rows, 300, out),
                (rows, out) -> Encoder.tiff(rows, 300, out), (rows, out) -> Encoder.jpeg(rows, 0.9f, true, 300, out),
                (rows, out) -> Encoder.webp(rows, 0.9f, out, share -> {}))) {
            Rows rows = new Strips(Scene.of(Sheet.empty("Wall", Unit.MM, 60, 60, 100)), Affine.IDENTITY, new int[] {60, 60}, true, PICTURES,
                    stopped, id -> {}, 10, 0, new Strips.Kept());
            assertThatThrownBy(() -> writer.accept(rows, new ByteArrayOutputStream())).isInstanceOf(Progress.Cancelled.class);
        }
    }

    /** A WebP is packed when all of it is there: who listens can end that, and so does a stream that takes no more. */
    @Test
    void aStoppedPackingEndsInTheSameWay() {
        List<Double> heard = new ArrayList<>();
        Encoder.webp(Rows.of(PHOTO), 0.9f, new ByteArrayOutputStream(), heard::add);
        assertThat(heard).isSorted().hasSizeGreaterThan(10).allMatch(share -> share > 0 && share <= 1);
        DoubleConsumer stopping = share -> {
            if (share > 0.4) throw new Progress.Cancelled();
        };
        assertThatThrownBy(() -> Encoder.webp(Rows.of(PHOTO), 0.9f, new ByteArrayOutputStream(), stopping))
                .isInstanceOf(Progress.Cancelled.class);
        OutputStream full = new OutputStream() {
            @Override
            public void write(int one) throws IOException {
                throw new IOException("No space left on device");
            }
        };
        assertThatThrownBy(() -> Encoder.webp(Rows.of(PHOTO), 0.9f, full, share -> {})).isInstanceOf(UncheckedIOException.class)
                .hasMessageContaining("No space left");
    }

    /** What was put on disk is told as often as wanted, and is gone afterwards, also where the painting broke off. */
    @Test
    void spooledRowsLeaveNothingBehind() throws Exception {
        long before = spooled();
        try (Spool spool = Spool.of(Rows.of(PHOTO))) {
            assertThat(spooled()).isEqualTo(before + 1);
            for (int i = 0; i < 2; i++) assertThat(all(spool.rows())).isEqualTo(all(Rows.of(PHOTO)));
        }
        Rows broken = new Strips(Scene.of(Sheet.empty("Wall", Unit.MM, 60, 60, 100)), Affine.IDENTITY, new int[] {60, 60}, false, PICTURES,
                share -> BadInput.unless(share < 0.5, "disk", "No more."), id -> {}, 10, 0, new Strips.Kept());
        assertThatThrownBy(() -> Spool.of(broken)).isInstanceOf(BadInput.class);
        assertThat(spooled()).isEqualTo(before);
    }

    private static long spooled() throws Exception {
        try (Stream<Path> files = Files.list(Path.of(System.getProperty("java.io.tmpdir")))) {
            return files.filter(file -> file.getFileName().toString().endsWith(".rows")).count();
        }
    }

    private static byte[] written(Consumer<ByteArrayOutputStream> writing) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        writing.accept(out);
        return out.toByteArray();
    }
}
