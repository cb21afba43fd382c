package plainlantern.picture;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.File;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import plainlantern.Painted;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;

class ResampleTest {
    /** 24 megapixels scaled down by libvips (Lanczos, three lobes, in linear light) and by us: the same picture. */
    @Test
    void scalesDownAsLibvipsDoes(@TempDir File folder) throws Exception {
        BufferedImage large = Painted.scene(6000, 4000, BufferedImage.TYPE_3BYTE_BGR);
        ImageIO.write(large, "bmp", new File(folder, "in.bmp"));
        ImageIO.write(large, "png", new File(folder, "in.png"));
        for (int width : new int[] {2750, 900}) {
            int height = width * 2 / 3;
            Painted.run(folder, "vips", "colourspace", "in.png", "light.v", "scrgb");
            Painted.run(folder, "vips", "resize", "light.v", "small.v", String.valueOf(width / 6000.0), "--vscale",
                    String.valueOf(height / 4000.0));
            Painted.run(folder, "vips", "colourspace", "small.v", "out.png", "srgb");
            BufferedImage theirs = ImageIO.read(new File(folder, "out.png"));
            assertThat(Painted.difference(Resample.toSize(large, width, height), theirs)).isLessThan(1.5);
        }
    }

    /** Half black, half white is half the light, which IEC 61966-2-1 stores as 188, whatever the pattern and the size. */
    @Test
    void finePatternsKeepTheirBrightness() {
        BufferedImage lines = new BufferedImage(480, 480, BufferedImage.TYPE_3BYTE_BGR);
        for (int y = 0; y < 480; y++) for (int x = 0; x < 480; x++) lines.setRGB(x, y, (x + y) % 2 == 0 ? 0 : 0xFFFFFF);
        for (int size : new int[] {240, 120, 60, 37}) {
            BufferedImage small = Resample.toSize(lines, size, size);
            for (int i = 3; i < size - 3; i++) assertThat(small.getRGB(i, size / 2) & 0xFF).as("%d", size).isBetween(187, 189);
        }
        byte[] jpeg = Encoder.jpeg(lines, 1, 72);
        for (int shrink : new int[] {2, 4, 8}) {
            BufferedImage small = PictureReader.decode("lines.jpg", jpeg, PictureReader.inspect("lines.jpg", jpeg), shrink);
            assertThat(small.getWidth()).isEqualTo(480 / shrink);
            assertThat(small.getRGB(20, 20) & 0xFF).as("%d", shrink).isBetween(187, 189);
        }
    }

    /** Moved by whole pixels they stay what they are; beyond an edge, wherever, it goes on. */
    @Test
    void pixelForPixelNothingChanges() {
        for (int type : new int[] {BufferedImage.TYPE_3BYTE_BGR, BufferedImage.TYPE_4BYTE_ABGR}) {
            BufferedImage image = Painted.scene(50, 40, type);
            for (int x : new int[] {-80, -13, 10, 40, 90}) {
                Tile tile = Resample.onto(image, Affine.move(7, 3), new Box(x, 30, 30, 20));
                for (int i = 0; i < tile.argb().length; i++) {
                    int fromX = Math.max(0, Math.min(49, x + i % 30 - 7));
                    assertThat(tile.argb()[i]).as("%d, %d", x, i).isEqualTo(image.getRGB(fromX, Math.min(39, 30 + i / 30 - 3)));
                }
            }
        }
    }

    /** Quarter turns and mirrors only move pixels about. */
    @Test
    void quarterTurnsAndMirrorsAreExact() {
        BufferedImage image = Painted.scene(6, 4, BufferedImage.TYPE_3BYTE_BGR);
        Tile turned = Resample.onto(image, Affine.move(4, 0).after(Affine.turn(90)), new Box(0, 0, 4, 6));
        assertThat(turned.argb()[0]).isEqualTo(image.getRGB(0, 3));
        assertThat(turned.argb()[4 * 5 + 3]).isEqualTo(image.getRGB(5, 0));
        Tile mirrored = Resample.onto(image, Affine.move(6, 0).after(Affine.scale(-1, 1)), new Box(0, 0, 6, 4));
        assertThat(mirrored.argb()[0]).isEqualTo(image.getRGB(5, 0));
    }

    /** One colour stays that colour, however it is scaled and turned; half transparent stays half transparent. */
    @Test
    void oneColourStaysOneColour() {
        for (int type : new int[] {BufferedImage.TYPE_3BYTE_BGR, BufferedImage.TYPE_4BYTE_ABGR}) {
            BufferedImage image = new BufferedImage(300, 300, type);
            int colour = type == BufferedImage.TYPE_3BYTE_BGR ? 0xFF66CC33 : 0x80FFFFFF;
            for (int y = 0; y < 300; y++) for (int x = 0; x < 300; x++) image.setRGB(x, y, colour);
            for (double scale : new double[] {0.11, 0.5, 0.83, 1.7}) {
                for (double turn : new double[] {0, 30, 90}) {
                    Affine map = Affine.move(20, 20).after(Affine.turn(turn)).after(Affine.scale(scale, scale))
                            .after(Affine.move(-150, -150));
                    int expected = type == BufferedImage.TYPE_3BYTE_BGR ? colour : 0x80808080;
                    assertThat(Resample.onto(image, map, new Box(18, 18, 4, 4)).argb()).containsOnly(expected);
                }
            }
        }
    }
}
