package plainlantern.picture;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import plainlantern.geometry.Affine;
import plainlantern.sheet.Cleared;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Foot;
import plainlantern.treating.Backdrop;
import plainlantern.treating.Patch;

/** What is read out of pixels, and what is taken out of them. */
class PixelsTest {
    /** Half-clear pixels get their own colour back; fully clear ones have none. */
    @Test
    void finishedPixelsBecomeAnImage() {
        BufferedImage image = new Tile(7, 9, 2, 2, new int[] {0x80800000, 0x80404040, 0, 0xFF336699}).image(BufferedImage.TYPE_4BYTE_ABGR);
        assertThat(image.getRGB(0, 0)).isEqualTo(0x80FF0000);
        assertThat(image.getRGB(1, 0)).isIn(0x807F7F7F, 0x80808080);
        assertThat(image.getRGB(0, 1) >>> 24).isZero();
        assertThat(image.getRGB(1, 1)).isEqualTo(0xFF336699);
    }

    /**
     * Within the tolerance clear, beyond the soft edge untouched; a mix of subject and background at the edge gives the subject's own
     * colour back.
     */
    @Test
    void aPlainBackgroundIsTakenOut() {
        int green = 0xFF00B140;
        Cleared clear = new Cleared(new Colour(green & 0xFFFFFF), 0.1, 0.3);
        int[] pixels = {green, 0xFF04B044, 0xFF8A1C1C, 0, 0x80000000};
        int[] kept = pixels.clone();
        Backdrop.remove(clear, new Patch(pixels, pixels.length, 1, Affine.IDENTITY));
        assertThat(pixels[0]).isZero();
        assertThat(pixels[1]).isZero();
        assertThat(pixels[2]).isEqualTo(kept[2]);
        assertThat(pixels[3]).isZero();
        assertThat(pixels[4]).isEqualTo(kept[4]);
        int[] edge = new int[256];
        for (int i = 0; i < 256; i++) edge[i] = 0xFF000000 | i << 16 | (0xB1 - 0xB1 * i / 255) << 8 | 0x40 - 0x40 * i / 255;
        Backdrop.remove(clear, new Patch(edge, edge.length, 1, Affine.IDENTITY));
        assertThat(Arrays.stream(edge).map(p -> p >>> 24).filter(a -> a > 0 && a < 255).count()).isGreaterThan(10);
        for (int pixel : edge) assertThat(pixel >> 8 & 0xFF).as("no channel above its alpha").isLessThanOrEqualTo(pixel >>> 24);
    }

    /** Two legs in the lowest rows are the foot, not the wide body above; an opaque picture has none. */
    @Test
    void theFootIsWhatStandsLowest() {
        int[] pixels = new int[100 * 200];
        for (int y = 20; y < 180; y++)
            for (int x = 0; x < 100; x++) if (y < 120 || x >= 30 && x < 35 || x >= 60 && x < 64) pixels[y * 100 + x] = 0xFF336699;
        assertThat(Footing.of(pixels, 100, 200)).contains(new Foot(0.3, 0.64, 0.9));
        Arrays.fill(pixels, 0xFF000000);
        assertThat(Footing.of(pixels, 100, 200)).isEmpty();
    }

    /** Four well parted clusters give their four colours, the largest first; fewer colours than asked for are given once each. */
    @Test
    void leadingColoursAreThoseOfTheClusters() {
        Random random = new Random(3);
        int[] centres = {0x203040, 0xE0C080, 0xC02020, 0x30A060};
        int[] pixels = new int[10_000];
        for (int i = 0; i < pixels.length; i++) {
            int centre = centres[i % 10 < 4 ? 0 : i % 10 < 7 ? 1 : i % 10 < 9 ? 2 : 3];
            pixels[i] = centre + (random.nextInt(9) << 16) + (random.nextInt(9) << 8) + random.nextInt(9);
        }
        List<Colour> found = Palette.of(pixels, 4);
        assertThat(found).hasSize(4);
        for (int i = 0; i < 4; i++) for (int shift : new int[] {16, 8, 0}) assertThat((found.get(i)
                .rgb() >> shift & 0xFF) - (centres[i] >> shift & 0xFF)).isBetween(2, 6);
        assertThat(Palette.of(new int[] {0x111111, 0x111111, 0xEEEEEE}, 6)).containsExactly(new Colour(0x111111), new Colour(0xEEEEEE));
        assertThat(Palette.of(new int[0], 6)).isEmpty();
    }
}
