package plainlantern.rendering;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.File;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import plainlantern.Painted;
import plainlantern.Sheets;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Tile;
import plainlantern.scene.Extent;
import plainlantern.scene.Page;
import plainlantern.scene.Pages;
import plainlantern.scene.Scene;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Treated;

/** A delivery takes no more memory than was counted for it, and when it ends, in whatever way, nothing of it is left. */
class MemoryTest {
    /** For the program itself, its classes and fonts. */
    private static final long ITSELF = 30L << 20;
    private static final int SIDE = 300;
    private static final Cost.Pictures SMALL = new Cost.Pictures() {
        @Override
        public long reading(PaintedPicture picture, double share) {
            return SIDE * SIDE * 4L;
        }

        @Override
        public long held(PaintedPicture picture, double share) {
            return SIDE * SIDE * 4L;
        }

        @Override
        public long mostHeld() {
            return 1 << 20;
        }
    };

    /** Deliveries of large pages that are hard on memory. */
    enum Hard {
        SHADOWS(Format.PNG, 220, "{'kind':'set-shadow','panels':['p1','p2','p3','p4'],'distance':3,'blur':4,'opacity':0.5}"),
        GLAZES(Format.PNG, 150, "{'kind':'set-shadow','panels':['p1','p2','p3','p4'],'distance':3,'blur':4,'opacity':0.5}",
                glazes(9)),
        SOFT_EDGES(Format.PDF, 220, "{'kind':'set-finish','panels':['p1','p2','p3','p4'],'feather':2}"),
        SHADOWS_IN_A_DOCUMENT(Format.PDF, 220,
                "{'kind':'set-shadow','panels':['p1','p2','p3','p4'],'distance':3,'blur':0.2,'opacity':0.5}");

        private final Format format;
        private final double ppi;
        private final String[] edits;

        Hard(Format format, double ppi, String... edits) {
            this.format = format;
            this.ppi = ppi;
            this.edits = edits;
        }

        private static String glazes(int count) {
            return IntStream.range(0, count).mapToObj(i -> "{'kind':'add-glaze','where':'sheet'}/{'kind':'set-glaze','panels':['p"
                    + (5 + i) + "'],'blur':" + (i % 3) + "}").reduce((a, b) -> a + "/" + b).orElseThrow();
        }

        Delivery delivery() {
            return Delivery.of(format, ppi);
        }

        List<Page> pages() {
            Sheet empty = new ShelvePictures(List.of(Sheets.DAWN)).apply(Sheet.empty("Wall", Unit.MM, 420, 400, 300));
            Sheet grid = Sheets.after(empty, "{'kind':'lay-out','where':'replace','agreed':true,'pattern':{'kind':'even-grid','rows':2,"
                    + "'columns':2,'gapAcross':6,'gapDown':6}}", "{'kind':'fill','panels':['p1','p2','p3','p4'],'picture':'"
                    + Sheets.DAWN.id() + "'}");
            return Pages.of(Sheets.after(grid, String.join("/", edits).split("/")), Extent.SHEET, List.of(), false);
        }
    }

    /** In a process that has just the memory that was counted, and what the program takes itself. */
    @ParameterizedTest
    @EnumSource
    void whatWasCountedIsEnough(Hard hard, @TempDir File folder) throws Exception {
        long counted = Cost.delivery(hard.delivery(), hard.pages(), SMALL);
        assertThat(Painted.run(folder, Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Xmx" + (ITSELF + counted) / 1024 + "k", "-XX:+UseSerialGC", "-cp", System.getProperty("java.class.path"),
                MemoryTest.class.getName(), hard.name())).contains("done");
    }

    /** The process above. */
    public static void main(String[] arguments) throws IOException {
        RasterPainter.prepare();
        BufferedImage photo = Painted.scene(SIDE, SIDE, BufferedImage.TYPE_3BYTE_BGR);
        Hard hard = Hard.valueOf(arguments[0]);
        hard.delivery().write(hard.pages(), (id, share) -> photo, Progress.UNHEARD, OutputStream.nullOutputStream());
        System.out.println("done");
    }

    /** Finished, cancelled, or failed because of a picture that cannot be read: no file is open, and nothing is being painted. */
    @Test
    void nothingIsLeftOfADelivery() throws Exception {
        AtomicInteger painting = new AtomicInteger();
        BufferedImage photo = Painted.scene(SIDE, SIDE, BufferedImage.TYPE_3BYTE_BGR);
        PictureSource source = new PictureSource() {
            @Override
            public BufferedImage image(String id, double share) {
                return photo;
            }

            @Override
            public Tile onto(Treated what, int width, int height, Affine map, Box wanted) {
                painting.incrementAndGet();
                try {
                    return PictureSource.super.onto(what, width, height, map, wanted);
                } finally {
                    painting.decrementAndGet();
                }
            }
        };
        PictureSource broken = (id, share) -> {
            throw new BadInput("picture", "It cannot be read.");
        };
        Progress stopped = share -> {
            if (share > 0.2) throw new Progress.Cancelled();
        };
        List<Page> pages = Hard.SHADOWS.pages();
        for (Format format : Format.values()) {
            Delivery delivery = Delivery.of(format, 60);
            delivery.write(pages, source, Progress.UNHEARD, new ByteArrayOutputStream());
            assertThat(painting).hasValue(0);
            if (format != Format.SVG) assertThatThrownBy(() -> delivery.write(pages, source, stopped, new ByteArrayOutputStream()))
                    .isInstanceOf(Progress.Cancelled.class);
            assertThat(painting).hasValue(0);
            if (format != Format.SVG) assertThatThrownBy(() -> delivery.write(pages, broken, Progress.UNHEARD, new ByteArrayOutputStream()))
                    .isInstanceOf(BadInput.class);
            assertThat(open()).as(format.name()).isZero();
        }
        Scene scene = pages.get(0).scene();
        int[] size = {30_000, 4000};
        try (Strips strips = new Strips(scene, RasterPainter.toPixels(pages.get(0).box(), size), size, true, source, Progress.UNHEARD,
                id -> {}, 40, 1 << 20, full())) {
            strips.next();
            assertThat(open()).isEqualTo(1);
        }
        assertThat(open()).isZero();
        assertThat(painting).hasValue(0);
    }

    /** Slots of one size that were given back are all used again. */
    @Test
    void aSpillGrowsNoLargerThanWhatItHolds() {
        try (Spill spill = new Spill()) {
            for (int round = 0; round < 3; round++) {
                List<Spill.Place> places = IntStream.range(0, 5).mapToObj(i -> spill.put(new int[1000])).toList();
                assertThat(places).allMatch(place -> place.from() + place.bytes() <= 5 * 4000).doesNotHaveDuplicates();
                places.forEach(spill::free);
            }
        }
    }

    /** More pixels than an image can have are refused with the resolution that is possible, before anything is painted. */
    @Test
    void pixelsThatAreTooManyAreRefused() {
        List<Page> pages = Hard.SOFT_EDGES.pages();
        assertThatThrownBy(() -> Delivery.of(Format.PDF, 4800).check(pages)).isInstanceOf(BadInput.class).hasMessageContaining("ppi");
        assertThatThrownBy(() -> Tile.over(new Box(0, 0, 60_000, 60_000)))
                .isInstanceOf(BadInput.class);
    }

    private static Strips.Kept full() {
        Strips.Kept kept = new Strips.Kept();
        kept.takes(Strips.KEPT);
        return kept;
    }

    /** Files on disk that hold pixels of paintings: they have no names any more, but this process has them open. */
    private static long open() throws IOException {
        try (Stream<Path> files = Files.list(Path.of("/proc/self/fd"))) {
            return files.filter(file -> {
                try {
                    return Files.readSymbolicLink(file).toString().matches(".*(\\.spill|\\.rows)( \\(deleted\\))?");
                } catch (IOException e) {
                    return false;
                }
            }).count();
        }
    }
}
