package plainlantern.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.File;
import java.nio.file.Files;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import plainlantern.Painted;
import plainlantern.asking.BadInput;

/** PNG, TIFF and WebP files are made smaller while they are read: as libvips' own mean over areas of light makes them. */
class BandsTest {
    private static BufferedImage decoded(byte[] bytes, PictureFile file, double shrink) {
        return PictureReader.decode("in", bytes, file, shrink);
    }

    @Test
    void aMeanOverAreasAsLibvipsHasIt(@TempDir File folder) throws Exception {
        ImageIO.write(Painted.scene(1200, 800, BufferedImage.TYPE_3BYTE_BGR), "png", new File(folder, "rgb.png"));
        Painted.run(folder, "vips", "colourspace", "rgb.png", "grey.png", "b-w");
        Painted.run(folder, "vips", "colourspace", "rgb.png", "deep.png", "rgb16");
        Painted.run(folder, "vips", "copy", "rgb.png", "strips.tif[compression=lzw]");
        Painted.run(folder, "vips", "copy", "rgb.png", "tiles.tif[tile,compression=deflate]");
        Painted.run(folder, "vips", "copy", "rgb.png", "lossy.webp[Q=85]");
        for (String name : new String[] {"rgb.png", "grey.png", "deep.png", "strips.tif", "tiles.tif", "lossy.webp"}) {
            byte[] bytes = Files.readAllBytes(new File(folder, name).toPath());
            PictureFile file = PictureReader.inspect(name, bytes);
            assertThat(file.banded() || file.shrinks()).as(name).isTrue();
            Painted.run(folder, "vips", "colourspace", name, "light.v", "scrgb");
            for (int shrink : new int[] {2, 4, 8}) {
                Painted.run(folder, "vips", "shrink", "light.v", "small.v", "" + shrink, "" + shrink);
                Painted.run(folder, "vips", "colourspace", "small.v", "out.png", "srgb");
                BufferedImage theirs = ImageIO.read(new File(folder, "out.png"));
                BufferedImage ours = decoded(bytes, file, shrink);
                assertThat(ours.getWidth()).isEqualTo(1200 / shrink);
                assertThat(Painted.difference(ours, theirs)).as("%s by %d", name, shrink).isLessThan(0.3);
                PictureFile huge = new PictureFile(file.kind(), 20_000, 12_000, file.orientation(), file.srgb(), file.taken(),
                        file.stored());
                assertThat(huge.reading(shrink)).isLessThan(huge.reading(1) / shrink);
            }
            BufferedImage deep = PictureReader.deep(name, bytes, file, 2);
            assertThat(Srgb.deep(deep)).isEqualTo(name.equals("deep.png"));
            if (Srgb.deep(deep)) {
                BufferedImage flat = decoded(bytes, file, 2);
                int[] fine = deep.getRaster().getPixels(0, 0, 600, 400, (int[]) null);
                int[] coarse = flat.getRaster().getPixels(0, 0, 600, 400, (int[]) null);
                for (int i = 0; i < fine.length; i++) assertThat(fine[i] / 257.0).isBetween(coarse[i] - 1.0, coarse[i] + 1.0);
            }
        }
    }

    /** What is transparent has no share in the colour, and sides that cannot be divided are covered to their last pixel. */
    @Test
    void transparencyAndOddSides(@TempDir File folder) throws Exception {
        BufferedImage image = new BufferedImage(701, 333, BufferedImage.TYPE_4BYTE_ABGR);
        for (int y = 0; y < 333; y++) for (int x = 0; x < 701; x++) image.setRGB(x, y, x % 2 == 0 ? 0xFF3366CC : 0x00FFFFFF);
        for (int x = 690; x < 701; x++) for (int y = 0; y < 333; y++) image.setRGB(x, y, 0xFFFFFFFF);
        Files.write(folder.toPath().resolve("in.png"), Encoder.png(image, 72));
        Painted.run(folder, "vips", "copy", "in.png", "in.webp[lossless]");
        for (String name : new String[] {"in.png", "in.webp"}) {
            byte[] bytes = Files.readAllBytes(new File(folder, name).toPath());
            BufferedImage small = decoded(bytes, PictureReader.inspect(name, bytes), 2);
            assertThat(small.getWidth()).as(name).isEqualTo(351);
            assertThat(small.getHeight()).isEqualTo(167);
            assertThat(small.getRGB(20, 90) & 0xFFFFFF).as(name).isEqualTo(0x3366CC);
            assertThat(small.getRGB(20, 90) >>> 24).isBetween(126, 129);
            assertThat(small.getRGB(350, 166)).as(name).isEqualTo(0xFFFFFFFF);
        }
    }

    /** A picture whose rows come in seven passes is the same one, whatever its samples, and keeps them on disk meanwhile. */
    @Test
    void interlacedOnesWaitOnDisk(@TempDir File folder) throws Exception {
        ImageIO.write(Painted.scene(603, 397, BufferedImage.TYPE_4BYTE_ABGR), "png", new File(folder, "in.png"));
        Painted.run(folder, "vips", "copy", "in.png", "plain clear.png");
        Painted.run(folder, "vips", "colourspace", "in.png", "plain deep.png", "rgb16");
        Painted.run(folder, "vips", "flatten", "in.png", "plain full.png");
        Painted.run(folder, "vips", "extract_band", "in.png", "plain grey.png", "1");
        for (String kind : List.of("plain palette.png[palette]", "plain bits.png[bitdepth=1]"))
            Painted.run(folder, "vips", "copy", "plain grey.png", kind);
        for (String kind : List.of("clear", "deep", "full", "grey", "palette", "bits")) {
            Painted.run(folder, "vips", "copy", "plain " + kind + ".png", "laced.png[interlace" + (kind.equals("palette") ? ",palette]"
                    : kind.equals("bits") ? ",bitdepth=1]" : "]"));
            byte[] plain = Files.readAllBytes(new File(folder, "plain " + kind + ".png").toPath());
            byte[] laced = Files.readAllBytes(new File(folder, "laced.png").toPath());
            assertThat(laced[28]).as("its interlace method, PNG 3, 11.2.1").isEqualTo((byte) 1);
            PictureFile file = PictureReader.inspect("laced.png", laced);
            for (int shrink : new int[] {2, 8}) {
                BufferedImage expected = PictureReader.deep("in.png", plain, PictureReader.inspect("in.png", plain), shrink);
                BufferedImage ours = PictureReader.deep("laced.png", laced, file, shrink);
                assertThat(Srgb.samples(ours.getRaster())).as("%s by %d", kind, shrink).isEqualTo(Srgb.samples(expected.getRaster()));
            }
        }
    }

    /** What stands in one piece is read in parts beyond 32 megapixels: the same rows, whichever part they are in. */
    @Test
    void veryLargeOnesInOnePieceAreReadInParts(@TempDir File folder) throws Exception {
        BufferedImage small = new BufferedImage(100, 5500, BufferedImage.TYPE_BYTE_GRAY);
        for (int y = 0; y < 5500; y++) for (int x = 0; x < 100; x++) small.getRaster().setSample(x, y, 0, y * 7 + x & 0xFF);
        ImageIO.write(small, "png", new File(folder, "small.png"));
        Painted.run(folder, "vips", "bandjoin", "small.png small.png small.png small.png", "small.v");
        Painted.run(folder, "vips", "copy", "small.v", "inks.v", "--interpretation", "cmyk");
        Painted.run(folder, "vips", "zoom", "inks.v", "in.jpg[Q=100]", "8", "8");
        Painted.run(folder, "vips", "zoom", "small.png", "in.gif", "8", "8");
        inOneStrip(ImageIO.read(new File(folder, "in.gif")), new File(folder, "in.tif"));
        for (String name : List.of("in.gif", "in.jpg", "in.tif")) {
            byte[] bytes = Files.readAllBytes(new File(folder, name).toPath());
            BufferedImage ours = decoded(bytes, PictureReader.inspect(name, bytes), 8);
            assertThat(ours.getHeight()).isEqualTo(5500);
            for (int y = 0; y < 5500; y += 31) for (int x = 0; x < 100; x++) {
                int left = y * 7 + x & 0xFF;
                // Of black and a colour's ink alike is left what each leaves of the other, the file telling what that is.
                assertThat(ours.getRGB(x, y) & 0xFF).as("%s %d %d", name, x, y).isCloseTo(name.equals("in.jpg")
                        ? (255 - left) * (255 - left) / 255 : left, within(2));
            }
        }
    }

    private static void inOneStrip(BufferedImage image, File tiff) throws Exception {
        Iterator<ImageWriter> writers = ImageIO.getImageWritersByFormatName("tiff");
        ImageWriter writer = writers.next();
        while (!writer.getClass().getName().startsWith("com.sun.")) writer = writers.next();
        ImageWriteParam param = writer.getDefaultWriteParam();
        param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
        param.setCompressionType("LZW");
        param.setTilingMode(ImageWriteParam.MODE_EXPLICIT);
        param.setTiling(image.getWidth(), image.getHeight(), 0, 0);
        try (ImageOutputStream out = ImageIO.createImageOutputStream(tiff)) {
            writer.setOutput(out);
            writer.write(null, new IIOImage(image, null, null), param);
        }
    }

    /** Half a file is refused in bands as it is whole. */
    @Test
    void cutOff() {
        byte[] plain = Encoder.png(Painted.scene(600, 400, BufferedImage.TYPE_3BYTE_BGR), 72);
        byte[] half = Arrays.copyOf(plain, plain.length / 2);
        assertThatThrownBy(() -> decoded(half, PictureReader.inspect("in.png", half), 4)).isInstanceOf(BadInput.class)
                .hasMessageContaining("cut off");
    }
}
