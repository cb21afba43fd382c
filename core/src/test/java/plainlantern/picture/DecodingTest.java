package plainlantern.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.File;
import java.nio.file.Files;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;
import plainlantern.Painted;
import plainlantern.asking.BadInput;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;

/** The fast decoders of JPEG and WebP, the pictures of a rendering, and previews. */
class DecodingTest {
    private static final BufferedImage PAINTED = Painted.scene(801, 535, BufferedImage.TYPE_3BYTE_BGR);
    private static final byte[] JPEG = Encoder.jpeg(PAINTED, 0.92f, 300);

    /** Both decoders give the same picture; at a half it is the block average that Resample would make (within the JPEG's own blocks). */
    @Test
    void theFastDecoderAgreesWithTheGeneralOne() throws Exception {
        assertThat(FastJpeg.available()).as("libturbojpeg0 is installed by ./lantern test").isTrue();
        BufferedImage general = ImageIO.read(new ByteArrayInputStream(JPEG));
        assertThat(Painted.difference(FastJpeg.decode(JPEG, 1).orElseThrow(), general)).isLessThan(0.5);
        BufferedImage half = FastJpeg.decode(JPEG, 2).orElseThrow();
        assertThat(half.getWidth()).isEqualTo(401);
        assertThat(half.getHeight()).isEqualTo(268);
        assertThat(Painted.difference(half, Resample.toSize(general, 401, 268))).isLessThan(4);
    }

    /** libwebp as libvips asks it, pixel by pixel; where every pixel is kept, the general reader sees the same. */
    @Test
    void aWebpIsWhatLibvipsReads(@TempDir File folder) throws Exception {
        assertThat(FastWebp.available()).as("libwebp7 is installed by ./lantern test").isTrue();
        BufferedImage clear = Painted.scene(333, 201, BufferedImage.TYPE_4BYTE_ABGR);
        for (int x = 0; x < 333; x++) for (int y = 0; y < 201; y++) clear.setRGB(x, y, clear.getRGB(x, y) & 0xFFFFFF | x % 256 << 24);
        ImageIO.write(PAINTED, "png", new File(folder, "full.png"));
        ImageIO.write(clear, "png", new File(folder, "clear.png"));
        for (String name : List.of("full", "clear")) for (String how : List.of("[Q=70]", "[lossless]")) {
            Painted.run(folder, "vips", "copy", name + ".png", "in.webp" + how);
            Painted.run(folder, "vips", "copy", "in.webp", "out.png");
            byte[] webp = Files.readAllBytes(new File(folder, "in.webp").toPath());
            BufferedImage ours = PictureReader.decode("in.webp", webp, PictureReader.inspect("in.webp", webp));
            BufferedImage theirs = ImageIO.read(new File(folder, "out.png"));
            for (int y = 0; y < ours.getHeight(); y++) for (int x = 0; x < ours.getWidth(); x++)
                if (theirs.getRGB(x, y) >>> 24 > 0) assertThat(ours.getRGB(x, y)).isEqualTo(theirs.getRGB(x, y));
            if (how.equals("[lossless]")) assertThat(Painted.worst(ours, ImageIO.read(new ByteArrayInputStream(webp)))).as(name).isZero();
            assertThat(FastWebp.decode(Arrays.copyOf(webp, webp.length * 2 / 3), 1)).isEmpty();
        }
    }

    /** Of an animation, however it may lie on its canvas, the first picture: pixel by pixel what libvips reads there. */
    @Test
    void anAnimatedWebpIsItsFirstPicture(@TempDir File folder) throws Exception {
        ImageIO.write(PAINTED, "png", new File(folder, "one.png"));
        Painted.run(folder, "vips", "invert", "one.png", "two.png");
        Painted.run(folder, "vips", "join", "one.png", "two.png", "both.v", "vertical");
        for (String how : List.of("--lossless", "--Q=70")) {
            Painted.run(folder, "vips", "webpsave", "both.v", "in.webp", "--page-height", "535", how);
            Painted.run(folder, "vips", "copy", "in.webp[page=0]", "out.png");
            byte[] webp = Files.readAllBytes(new File(folder, "in.webp").toPath());
            BufferedImage theirs = ImageIO.read(new File(folder, "out.png"));
            PictureFile file = PictureReader.inspect("in.webp", webp);
            assertThat(Painted.worst(FastWebp.decode(webp, 1).orElseThrow(), theirs)).isZero();
            assertThat(Painted.worst(PictureReader.decode("in.webp", webp, file), theirs)).isZero();
            // The canvas (RFC 9649, 2.7.1): larger than the picture, which lies at 20, 10.
            webp[25]++;
            int frame = WebpChunk.find(webp, "ANMF").orElseThrow().from();
            webp[frame] = 10;
            webp[frame + 3] = 5;
            assertThat(Painted.worst(FastWebp.decode(webp, 1).orElseThrow(), theirs)).isZero();
            for (int length : new int[] {13, 30, frame - 3, frame + 3, frame + 20, webp.length / 4})
                assertThat(FastWebp.decode(Arrays.copyOf(webp, length), 1)).as("%d bytes", length).isEmpty();
        }
    }

    /** Beyond 32 megapixels the decoder halves, whose means of stored values are those of light where colours are even. */
    @Test
    void aVeryLargeWebpIsHalvedWhileItIsRead(@TempDir File folder) throws Exception {
        Painted.run(folder, "vips", "gaussnoise", "noise.v", "33", "17", "--mean", "128", "--sigma", "40");
        Painted.run(folder, "vips", "zoom", "noise.v", "large.v", "256", "256");
        Painted.run(folder, "vips", "webpsave", "large.v", "in.webp", "--lossless", "--effort", "0");
        Painted.run(folder, "vips", "zoom", "noise.v", "small.png", "32", "32");
        byte[] webp = Files.readAllBytes(new File(folder, "in.webp").toPath());
        BufferedImage ours = FastWebp.decode(webp, 8).orElseThrow();
        assertThat(Painted.worst(ours, ImageIO.read(new File(folder, "small.png")))).isLessThanOrEqualTo(1);
    }

    @Test
    void whatItCannotDoIsLeftToTheGeneralOne() {
        assertThat(FastJpeg.decode(Arrays.copyOf(JPEG, JPEG.length / 2), 1)).isEmpty();
        assertThat(FastJpeg.decode("no JPEG at all".getBytes(), 1)).isEmpty();
        assertThatThrownBy(() -> PictureReader.decode("cut.jpg", Arrays.copyOf(JPEG, JPEG.length / 2),
                PictureReader.inspect("cut.jpg", JPEG)))
                .isInstanceOf(BadInput.class).hasMessageStartingWith("cut.jpg");
    }

    /** The same delivery from full and from reduced decoding: libvips scales the file itself as a third opinion. */
    @Test
    void reducedDecodingGivesTheSamePicture(@TempDir File folder) throws Exception {
        BufferedImage large = Painted.scene(4000, 2400, BufferedImage.TYPE_3BYTE_BGR);
        byte[] file = Encoder.jpeg(large, 0.95f, 300);
        Files.write(folder.toPath().resolve("in.jpg"), file);
        Painted.run(folder, "vips", "resize", "in.jpg", "out.png", "0.2");
        PictureSource source = new DecodedPictures(id -> file);
        BufferedImage reduced = source.image("dawn", 0.2);
        assertThat(reduced.getWidth()).isEqualTo(2000);
        assertThat(Painted.difference(Resample.toSize(reduced, 800, 480), ImageIO.read(new File(folder, "out.png")))).isLessThan(1.5);
        assertThat(source.image("dawn", 0.9).getWidth()).isEqualTo(4000);
    }

    @Test
    void aPictureInManyPanelsIsReadOnce() {
        AtomicInteger reads = new AtomicInteger();
        DecodedPictures pictures = new DecodedPictures(id -> {
            reads.incrementAndGet();
            return JPEG;
        });
        List<CompletableFuture<BufferedImage>> all = Stream.generate(() -> CompletableFuture.supplyAsync(() -> pictures.image("a", 1)))
                .limit(12).toList();
        assertThat(all.stream().map(CompletableFuture::join).distinct()).hasSize(1);
        assertThat(reads).hasValue(1);
    }

    @Test
    void aPictureThatCannotBeReadFailsEveryTimeInWords() {
        DecodedPictures pictures = new DecodedPictures(id -> new byte[] {1, 2, 3});
        assertThatThrownBy(() -> pictures.image("a", 1)).isInstanceOf(BadInput.class);
        assertThatThrownBy(() -> pictures.image("a", 1)).isInstanceOf(BadInput.class).hasMessageContaining("is not a picture");
    }

    @Test
    void previewsAreNeverLargerThanThePictureAndKeepTransparency() throws Exception {
        Map<Previews.Level, byte[]> small = Previews.of(PAINTED);
        assertThat(ImageIO.read(new ByteArrayInputStream(small.get(Previews.Level.LARGE))).getWidth()).isEqualTo(801);
        assertThat(ImageIO.read(new ByteArrayInputStream(small.get(Previews.Level.SMALL))).getWidth()).isEqualTo(320);
        assertThat(FileKind.of(small.get(Previews.Level.SMALL))).contains(FileKind.JPEG);
        BufferedImage clear = new BufferedImage(400, 2000, BufferedImage.TYPE_4BYTE_ABGR);
        clear.setRGB(200, 1000, 0xFF112233);
        Map<Previews.Level, byte[]> cutout = Previews.of(clear);
        assertThat(FileKind.of(cutout.get(Previews.Level.MEDIUM))).contains(FileKind.PNG);
        BufferedImage medium = ImageIO.read(new ByteArrayInputStream(cutout.get(Previews.Level.MEDIUM)));
        assertThat(medium.getHeight()).isEqualTo(1280);
        assertThat(medium.getRGB(0, 0) >>> 24).isZero();
    }

    /** Turning one way and then the other gives the same pixels back: 6 and 8 undo each other, all others themselves. */
    @Test
    void orientationsUndoEachOther() {
        BufferedImage image = Painted.scene(7, 5, BufferedImage.TYPE_4BYTE_ABGR);
        for (int value = 1; value <= 8; value++) {
            int back = value == 6 ? 8 : value == 8 ? 6 : value;
            BufferedImage there = Orientation.of(value).upright(image);
            assertThat(there.getWidth()).isEqualTo(value >= 5 ? 5 : 7);
            assertThat(Painted.difference(Orientation.of(back).upright(there), image)).isZero();
        }
        assertThat(Orientation.of(0)).isEqualTo(Orientation.TOP_LEFT);
        assertThat(Orientation.of(99)).isEqualTo(Orientation.TOP_LEFT);
    }

    /**
     * Enlarging by cubic convolution (Keys 1981, a = −1/2), against libvips' cubic kernel, which is the same. libvips 8.14 puts
     * enlarged pixels half an output pixel further; that ours stand where they must, the mirror shows.
     */
    @Test
    void scalesUpAsLibvipsDoes(@TempDir File folder) throws Exception {
        BufferedImage small = Painted.scene(200, 150, BufferedImage.TYPE_3BYTE_BGR);
        ImageIO.write(small, "png", new File(folder, "in.png"));
        Painted.run(folder, "vips", "resize", "in.png", "out.png", "3", "--kernel", "cubic");
        Tile tile = Resample.onto(small, Affine.move(0.5, 0.5).after(Affine.scale(3, 3)), new Box(0, 0, 600, 450));
        BufferedImage ours = new BufferedImage(600, 450, BufferedImage.TYPE_INT_RGB);
        ours.setRGB(0, 0, 600, 450, tile.argb(), 0, 600);
        assertThat(Painted.difference(ours, ImageIO.read(new File(folder, "out.png")))).isLessThan(0.5);
        BufferedImage mirrored = Orientation.BOTTOM_RIGHT.upright(Resample.toSize(Orientation.BOTTOM_RIGHT.upright(small), 600, 450));
        assertThat(Painted.difference(Resample.toSize(small, 600, 450), mirrored)).isLessThan(0.01);
    }

    /** FIPS 180-4's example: SHA-256 of "abc". */
    @Test
    void idsAreSha256() {
        assertThat(Sha256.of("abc".getBytes())).isEqualTo("ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad");
    }

    /** What failed once, as the memory was short or the file was not there yet, is tried again. */
    @Test
    void aFailedReadingIsForgotten() {
        AtomicInteger reads = new AtomicInteger();
        DecodedPictures pictures = new DecodedPictures(id -> {
            if (reads.incrementAndGet() == 1) throw new OutOfMemoryError("once");
            return JPEG;
        });
        assertThatThrownBy(() -> pictures.image("a", 1)).isInstanceOf(OutOfMemoryError.class);
        assertThat(pictures.image("a", 1).getWidth()).isPositive();
    }

    /** A thread that waits for another one's picture takes up no work that waits for its own. */
    @Test
    @Timeout(60)
    void waitingForAPictureTakesUpNoOtherWork() throws Exception {
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch go = new CountDownLatch(1);
        DecodedPictures pictures = new DecodedPictures(id -> {
            if (Thread.currentThread().getName().equals("other")) {
                begun.countDown();
                try {
                    go.await();
                } catch (InterruptedException e) {
                    throw new IllegalStateException(e);
                }
            }
            return JPEG;
        });
        Thread other = new Thread(() -> pictures.image("a", 1), "other");
        ForkJoinPool pool = new ForkJoinPool(1, ForkJoinPool.defaultForkJoinWorkerThreadFactory, null, true);
        CompletableFuture<BufferedImage> first = CompletableFuture.supplyAsync(() -> {
            // While this thread is in the middle of "a/1/deep" it has to wait for "a/1", and the next task in line wants "a/1/deep", too.
            other.start();
            await(begun);
            CompletableFuture.supplyAsync(() -> pictures.deep("a", 1), pool);
            Thread waiting = Thread.currentThread();
            new Thread(() -> {
                while (waiting.getState() != Thread.State.WAITING) Thread.onSpinWait();
                go.countDown();
            }).start();
            return pictures.deep("a", 1);
        }, pool);
        assertThat(first.get(50, TimeUnit.SECONDS).getWidth()).isPositive();
        pool.shutdown();
    }

    private static void await(CountDownLatch latch) {
        try {
            latch.await();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
