package plainlantern.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Random;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import plainlantern.Chance;
import plainlantern.Painted;
import plainlantern.Tried;

/** Filter weights, and what the encoders keep. */
class KernelTest {
    @Tried(300)
    void weightsOfAPixelSumToOneAndStayInside(Chance chance) {
        int size = chance.whole(1, 500);
        double scale = chance.between(0.02, 9);
        double shift = chance.between(-80, 80);
        boolean mirrored = chance.flag();
        Kernel kernel = new Kernel(-5, 40, mirrored ? -scale : scale, shift, size);
        for (int i = 0; i < 40; i++) {
            float sum = 0;
            for (float weight : kernel.weights[i]) sum += weight;
            assertThat(sum).isCloseTo(1f, within(1e-4f));
            assertThat(kernel.start[i]).isGreaterThanOrEqualTo(0);
            assertThat(kernel.start[i] + kernel.weights[i].length).isLessThanOrEqualTo(size);
        }
    }

    /** Duchon 1979 and Keys 1981: 1 in the middle, 0 at every other pixel, and Keys' weights sum to 1 wherever one looks. */
    @Test
    void filtersInterpolate() {
        assertThat(Kernel.lanczos(0)).isEqualTo(1);
        assertThat(Kernel.catmullRom(0)).isEqualTo(1);
        for (int n = 1; n <= 4; n++) {
            assertThat(Kernel.lanczos(n)).isCloseTo(0, within(1e-15));
            assertThat(Kernel.catmullRom(-n)).isZero();
        }
        for (double t = 0; t < 1; t += 0.07) {
            assertThat(Kernel.catmullRom(t + 1) + Kernel.catmullRom(t) + Kernel.catmullRom(t - 1) + Kernel.catmullRom(t - 2))
                    .isCloseTo(1, within(1e-12));
        }
        // Keys' cubic at a half, by hand: 9/16.
        assertThat(Kernel.catmullRom(0.5)).isEqualTo(0.5625);
    }

    /** PNG keeps every value, with alpha; sizes that divide badly among threads too. */
    @Test
    void pngKeepsEveryPixel() throws IOException {
        Random random = new Random(3);
        for (int[] size : new int[][] {{1, 1}, {1, 700}, {701, 3}, {333, 517}}) {
            BufferedImage image = new BufferedImage(size[0], size[1], BufferedImage.TYPE_INT_ARGB);
            for (int y = 0; y < size[1]; y++) for (int x = 0; x < size[0]; x++) image.setRGB(x, y, random.nextInt());
            BufferedImage back = ImageIO.read(new ByteArrayInputStream(Encoder.png(image, 300)));
            for (int y = 0; y < size[1]; y++) for (int x = 0; x < size[0]; x++) assertThat(back.getRGB(x, y)).isEqualTo(image.getRGB(x, y));
        }
    }

    /** The JPEG quality is the file's: better is larger and nearer, and from 90 on colour is not thinned out. */
    @Test
    void jpegQualityMeansSomething() throws IOException {
        BufferedImage image = Painted.scene(600, 400, BufferedImage.TYPE_INT_RGB);
        double nearer = 255;
        int larger = 0;
        for (float quality : new float[] {0.3f, 0.6f, 0.85f, 0.95f}) {
            byte[] file = Encoder.jpeg(image, quality, 300);
            double difference = Painted.difference(ImageIO.read(new ByteArrayInputStream(file)), image);
            assertThat(difference).isLessThan(nearer);
            assertThat(file.length).isGreaterThan(larger);
            nearer = difference;
            larger = file.length;
        }
        assertThat(nearer).isLessThan(1.5);
    }

    /** 16-bit greys and colours and palettes come in as the 8-bit values they stand for. */
    @Test
    void deepAndIndexedFilesAreRead() {
        BufferedImage deep = new BufferedImage(3, 2, BufferedImage.TYPE_USHORT_GRAY);
        deep.getRaster().setSample(1, 1, 0, 0x8000);
        assertThat(read("deep.png", Painted.encoded(deep, "png")).getRGB(1, 1)).isEqualTo(0xFF808080);
        BufferedImage palette = new BufferedImage(3, 2, BufferedImage.TYPE_BYTE_INDEXED);
        palette.setRGB(2, 0, 0xFF3366CC);
        assertThat(read("few.png", Painted.encoded(palette, "png")).getRGB(2, 0)).isEqualTo(0xFF3366CC);
        BufferedImage bits = new BufferedImage(9, 2, BufferedImage.TYPE_BYTE_BINARY);
        bits.setRGB(8, 1, 0xFFFFFFFF);
        assertThat(read("bits.png", Painted.encoded(bits, "png")).getRGB(8, 1)).isEqualTo(0xFFFFFFFF);
    }

    private static BufferedImage read(String name, byte[] bytes) {
        return PictureReader.decode(name, bytes, PictureReader.inspect(name, bytes));
    }
}
