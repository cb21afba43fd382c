package plainlantern.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.File;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.Base64;
import java.util.zip.CRC32;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import plainlantern.Painted;
import plainlantern.asking.BadInput;

class PictureReaderTest {
    /** A lossless WebP of 2 by 2 red pixels, made once by libwebp's encoder. */
    private static final byte[] WEBP = Base64.getDecoder().decode("UklGRhwAAABXRUJQVlA4TA8AAAAvAUAAAAcQ/Y/+ByKi/wEA");

    private static BufferedImage read(String name, byte[] bytes) {
        return PictureReader.decode(name, bytes, PictureReader.inspect(name, bytes));
    }

    /** EXIF 2.32, tag 0x0112: all eight values, against libvips' own turning. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void picturesStandUpright(int orientation, @TempDir File folder) throws Exception {
        byte[] jpeg = Painted.withOrientation(Painted.encoded(Painted.scene(96, 64, BufferedImage.TYPE_3BYTE_BGR), "jpeg"), orientation);
        Files.write(folder.toPath().resolve("in.jpg"), jpeg);
        Painted.run(folder, "vips", "autorot", "in.jpg", "out.png");
        BufferedImage expected = ImageIO.read(new File(folder, "out.png"));
        PictureFile file = PictureReader.inspect("in.jpg", jpeg);
        assertThat(file.width()).isEqualTo(expected.getWidth());
        assertThat(file.height()).isEqualTo(expected.getHeight());
        // Two decoders may differ by a level; a wrong turn differs by tens.
        assertThat(Painted.difference(PictureReader.decode("in.jpg", jpeg, file), expected)).isLessThan(1);
    }

    @ParameterizedTest
    @CsvSource({"jpeg,3", "png,0", "gif,12", "bmp,0", "tiff,0"})
    void everyKindIsRead(String kind, double tolerance) {
        BufferedImage painted = Painted.scene(400, 300, BufferedImage.TYPE_3BYTE_BGR);
        byte[] file = kind.equals("jpeg") ? Encoder.jpeg(painted, 0.95f, 72) : Painted.encoded(painted, kind);
        assertThat(Painted.difference(read("a." + kind, file), painted)).isLessThanOrEqualTo(tolerance);
    }

    @Test
    void webpIsRead() {
        BufferedImage image = read("a.webp", WEBP);
        assertThat(image.getWidth()).isEqualTo(2);
        assertThat(image.getRGB(1, 1)).isEqualTo(0xFFFF0000);
    }

    @Test
    void transparencyAndGreysStay() {
        BufferedImage clear = new BufferedImage(4, 4, BufferedImage.TYPE_INT_ARGB);
        clear.setRGB(1, 2, 0x80336699);
        assertThat(read("a.png", Painted.encoded(clear, "png")).getRGB(1, 2)).isEqualTo(0x80336699);
        BufferedImage grey = new BufferedImage(2, 1, BufferedImage.TYPE_BYTE_GRAY);
        grey.getRaster().setSample(0, 0, 0, 77);
        assertThat(read("g.png", Painted.encoded(grey, "png")).getRGB(0, 0)).isEqualTo(0xFF4D4D4D);
    }

    /** GIF89a: of an animation the first frame counts. */
    @Test
    void ofAnAnimationTheFirstFrameCounts() throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageWriter writer = ImageIO.getImageWritersByFormatName("gif").next();
        try (ImageOutputStream stream = ImageIO.createImageOutputStream(out)) {
            writer.setOutput(stream);
            writer.prepareWriteSequence(null);
            for (int colour : new int[] {0xFFFF0000, 0xFF0000FF}) {
                BufferedImage frame = new BufferedImage(5, 4, BufferedImage.TYPE_INT_RGB);
                for (int i = 0; i < 20; i++) frame.setRGB(i % 5, i / 5, colour);
                writer.writeToSequence(new IIOImage(frame, null, null), null);
            }
            writer.endWriteSequence();
        }
        assertThat(read("two.gif", out.toByteArray()).getRGB(2, 2)).isEqualTo(0xFFFF0000);
    }

    @ParameterizedTest
    @ValueSource(strings = {"jpeg", "png", "gif", "bmp", "tiff", "webp"})
    void aFileThatIsCutOffIsRefusedByName(String kind) {
        byte[] whole = kind.equals("webp") ? WEBP : Painted.encoded(Painted.scene(300, 200, BufferedImage.TYPE_3BYTE_BGR), kind);
        byte[] cut = Arrays.copyOf(whole, kind.equals("webp") ? whole.length - 9 : whole.length * 2 / 3);
        assertThatThrownBy(() -> read("ridge." + kind, cut)).isInstanceOf(BadInput.class).hasMessageStartingWith("ridge." + kind);
    }

    @Test
    void whatIsNoPictureOrSaysItIsAnotherIsRefused() {
        byte[] jpeg = Painted.encoded(Painted.scene(8, 8, BufferedImage.TYPE_3BYTE_BGR), "jpeg");
        assertThatThrownBy(() -> PictureReader.inspect("mill.png", jpeg)).hasMessageContaining("says it is PNG but holds JPEG");
        assertThatThrownBy(() -> PictureReader.inspect("notes.txt", "reeds".getBytes())).hasMessageContaining("is not a picture");
        assertThatThrownBy(() -> PictureReader.inspect("none.jpg", new byte[0])).hasMessageContaining("is empty");
        assertThatThrownBy(() -> PictureReader.inspect("big.jpg", new byte[(80 << 20) + 1])).hasMessageContaining("at most 80 MB");
    }

    /**
     * A JPEG of 240 megapixels whose scan comes twelve times is refused by its markers (ITU-T T.81): SOF0 has its sides, SOS begins each
     * scan.
     */
    @Test
    void tooManyScansAreRefusedFromTheMarkers() {
        byte[] jpeg = Painted.encoded(Painted.scene(64, 64, BufferedImage.TYPE_3BYTE_BGR), "jpeg");
        assertThat(JpegScans.count(jpeg)).isOne();
        int frame = marker(jpeg, 0xC0);
        ByteBuffer.wrap(jpeg).putShort(frame + 5, (short) 15_000).putShort(frame + 7, (short) 16_000);
        int scan = marker(jpeg, 0xDA);
        ByteArrayOutputStream many = new ByteArrayOutputStream();
        many.write(jpeg, 0, jpeg.length - 2);
        for (int i = 0; i < 11; i++) many.write(jpeg, scan, jpeg.length - 2 - scan);
        many.write(jpeg, jpeg.length - 2, 2);
        assertThat(JpegScans.count(many.toByteArray())).isEqualTo(12);
        assertThat(PictureReader.inspect("once.jpg", jpeg).width()).isEqualTo(16_000);
        assertThatThrownBy(() -> PictureReader.inspect("many.jpg", many.toByteArray())).hasMessageContaining("too many passes");
    }

    private static int marker(byte[] jpeg, int code) {
        int at = 2;
        while ((jpeg[at + 1] & 0xFF) != code) at += 2 + ((jpeg[at + 2] & 0xFF) << 8 | jpeg[at + 3] & 0xFF);
        return at;
    }

    /** A PNG head that claims 20,000 by 20,000 pixels is refused before anything is decoded. */
    @Test
    void tooManyPixelsAreRefusedFromTheHead() {
        byte[] png = Painted.encoded(new BufferedImage(1, 1, BufferedImage.TYPE_INT_RGB), "png");
        ByteBuffer head = ByteBuffer.wrap(png);
        head.putInt(16, 20_000).putInt(20, 20_000);
        CRC32 crc = new CRC32();
        crc.update(png, 12, 17);
        head.putInt(29, (int) crc.getValue());
        assertThatThrownBy(() -> PictureReader.inspect("wide.png", png)).hasMessageContaining("400 megapixels; at most 250");
    }

    /** 16 bits a channel come in as the 8 that libvips makes of them. */
    @ParameterizedTest
    @ValueSource(strings = {"deep.png", "deep.tif"})
    void deepPicturesComeInRight(String name, @TempDir File folder) throws Exception {
        BufferedImage original = Painted.scene(300, 200, BufferedImage.TYPE_3BYTE_BGR);
        ImageIO.write(original, "png", new File(folder, "in.png"));
        Painted.run(folder, "vips", "colourspace", "in.png", name, "rgb16");
        assertThat(Painted.difference(read(name, Files.readAllBytes(folder.toPath().resolve(name))), original)).isLessThan(0.6);
    }

    /** EXIF 2.32, tag 0x9003 in the Exif IFD (tag 0x8769); a date that makes no sense says nothing. */
    @Test
    void itIsKnownWhenAPictureWasTaken() {
        byte[] jpeg = Encoder.jpeg(Painted.scene(60, 40, BufferedImage.TYPE_3BYTE_BGR), 0.9f, 72);
        assertThat(PictureReader.inspect("in.jpg", jpeg).taken()).isEmpty();
        assertThat(PictureReader.inspect("in.jpg", taken(jpeg, "2026:05:01 06:12:30")).taken())
                .contains(LocalDateTime.of(2026, 5, 1, 6, 12, 30));
        assertThat(PictureReader.inspect("in.jpg", taken(jpeg, "0000:00:00 00:00:00")).taken()).isEmpty();
    }

    private static byte[] taken(byte[] jpeg, String when) {
        ByteBuffer out = ByteBuffer.allocate(jpeg.length + 74).order(ByteOrder.LITTLE_ENDIAN);
        out.put(jpeg, 0, 2).put(new byte[] {(byte) 0xFF, (byte) 0xE1, 0, 72}).put("Exif\0\0II".getBytes(StandardCharsets.US_ASCII))
                .putShort((short) 42).putInt(8);
        out.putShort((short) 1).putShort((short) 0x8769).putShort((short) 4).putInt(1).putInt(26).putInt(0);
        out.putShort((short) 1).putShort((short) 0x9003).putShort((short) 2).putInt(20).putInt(44).putInt(0);
        return out.put((when + "\0").getBytes(StandardCharsets.US_ASCII)).put(jpeg, 2, jpeg.length - 2).array();
    }

    /** Panoramas of one to fifty and single pixels are pictures like others, previews and all. */
    @ParameterizedTest
    @CsvSource({"5000,100", "100,5000", "1,1", "3,1"})
    void extremeShapesAreRead(int width, int height) {
        byte[] png = Painted.encoded(Painted.scene(width, height, BufferedImage.TYPE_3BYTE_BGR), "png");
        BufferedImage image = read("wide.png", png);
        assertThat(image.getWidth()).isEqualTo(width);
        Previews.of(image).forEach((level, data) -> {
            PictureFile preview = PictureReader.inspect("preview", data);
            assertThat(Math.max(preview.width(), preview.height())).isEqualTo(Math.min(level.side(), Math.max(width, height)));
            assertThat(Math.min(preview.width(), preview.height())).isPositive();
        });
    }
}
