package plainlantern.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Transparency;
import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.WritableRaster;
import java.io.File;
import java.nio.file.Files;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import plainlantern.Painted;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.sheet.Balance;
import plainlantern.sheet.Light;
import plainlantern.sheet.Tone;
import plainlantern.sheet.Toned;
import plainlantern.sheet.Treated;
import plainlantern.treating.Patch;
import plainlantern.treating.Treating;

/** Pictures of sixteen bits a channel have them until after their tones. */
class DeepTest {
    private static final int WIDTH = 1200;
    private static final int HEIGHT = 12;
    private static final double DARK = 0.1;
    private static final double BRIGHT = 0.25;
    private static final double ALPHA = 0.8;
    private static final Treated BRIGHTER = new Treated("dusk", Optional.empty(), List.of(new Toned(
            Tone.NEUTRAL.balanced(new Balance(0, 0, 2)), Optional.empty())), Optional.empty());

    @TempDir
    File folder;

    /** A dusk: a smooth ramp in the shadows of so many bits, with so many channels, alpha even. */
    private byte[] ramp(String kind, int bands, int bits) throws Exception {
        ColorSpace space = ColorSpace.getInstance(bands < 3 ? ColorSpace.CS_GRAY : ColorSpace.CS_sRGB);
        boolean alpha = bands % 2 == 0;
        ComponentColorModel model = new ComponentColorModel(space, alpha, false, alpha ? Transparency.TRANSLUCENT : Transparency.OPAQUE,
                bits == 16 ? DataBuffer.TYPE_USHORT : DataBuffer.TYPE_BYTE);
        WritableRaster raster = model.createCompatibleWritableRaster(WIDTH, HEIGHT);
        int most = (1 << bits) - 1;
        for (int y = 0; y < HEIGHT; y++) for (int x = 0; x < WIDTH; x++) for (int b = 0; b < bands; b++)
            raster.setSample(x, y, b, alpha && b == bands - 1 ? (int) Math.round(ALPHA * most) : (int) Math.round(stored(x) * most));
        ImageIO.write(new BufferedImage(model, raster, false, null), "png", new File(folder, "dusk.png"));
        if (!kind.equals("png")) Painted.run(folder, "vips", "copy", "dusk.png", "dusk." + kind);
        return Files.readAllBytes(folder.toPath().resolve("dusk." + kind));
    }

    private static double stored(double x) {
        return DARK + (BRIGHT - DARK) * x / WIDTH;
    }

    /** Four times the light, of 255. */
    private static double wanted(double x) {
        return 255 * Light.storing(4 * Light.behind(stored(x)));
    }

    /** The reds of a brightened dusk where it is drawn by a map, each no more than so far from what IEC 61966-2-1 says. */
    private static Set<Integer> reds(byte[] file, Affine map, double off) {
        Tile tile = new DecodedPictures(id -> file).onto(BRIGHTER, WIDTH, HEIGHT, map, Path.box(new Box(0, 0, WIDTH, HEIGHT)).mapped(map)
                .bounds());
        Affine back = map.inverse();
        Set<Integer> reds = new TreeSet<>();
        for (int i = 0; i < tile.argb().length; i++) {
            Point at = back.apply(new Point(tile.x() + i % tile.width() + 0.5, tile.y() + i / tile.width() + 0.5));
            if (at.x() < 4 || at.x() > WIDTH - 4 || at.y() < 4 || at.y() > HEIGHT - 4) continue;
            int red = tile.argb()[i] >> 16 & 0xFF;
            assertThat(red * 255.0 / (tile.argb()[i] >>> 24)).isCloseTo(wanted(at.x() - 0.5), within(off));
            reds.add(red);
        }
        return reds;
    }

    /** All the steps that brightened shadows have are there, at any size and turned; of eight bits half of them are missing. */
    @ParameterizedTest
    @ValueSource(strings = {"png 3", "png 1", "tiff 3", "tiff 1", "png 4", "png 2"})
    void shadowsKeepTheirSteps(String told) throws Exception {
        String kind = told.split(" ")[0];
        int bands = told.charAt(told.length() - 1) - '0';
        int steps = (int) ((wanted(WIDTH) - wanted(0)) * (bands % 2 == 0 ? ALPHA : 1));
        byte[] deep = ramp(kind, bands, 16);
        byte[] shallow = ramp(kind, bands, 8);
        for (Affine map : List.of(Affine.IDENTITY, Affine.scale(0.75, 0.75), Affine.scale(0.25, 0.25), Affine.scale(2, 2), Affine.turn(90),
                Affine.turn(0.5))) {
            assertThat(reds(deep, map, bands % 2 == 0 ? 1.3 : 1)).hasSizeGreaterThan(steps - 3);
            if (map.equals(Affine.IDENTITY)) assertThat(reds(shallow, map, 5)).hasSizeLessThan(steps * 2 / 3);
        }
    }

    /** Pictures that go whole into a document, and those that are not toned at all, are the same picture. */
    @Test
    void depthMakesNoOtherPicture() throws Exception {
        for (int bands = 1; bands <= 4; bands++) {
            byte[] file = ramp("png", bands, 16);
            DecodedPictures pictures = new DecodedPictures(id -> file);
            BufferedImage plain = pictures.image("dusk", 1);
            BufferedImage deep = pictures.deep("dusk", 1);
            assertThat(Srgb.deep(deep)).isTrue();
            assertThat(Painted.worst(drawn(deep), drawn(plain))).isLessThanOrEqualTo(1);
            for (Orientation orientation : Orientation.values())
                assertThat(Painted.worst(drawn(orientation.upright(deep)), drawn(orientation.upright(plain)))).isLessThanOrEqualTo(1);
            int[] size = {WIDTH / 2, HEIGHT / 2};
            BufferedImage sized = pictures.sized(BRIGHTER, 0.5, WIDTH, HEIGHT, size);
            for (int x = 2; x < size[0] - 2; x++)
                assertThat((double) (sized.getRGB(x, 3) >> 16 & 0xFF)).isCloseTo(wanted(2 * x + 0.5), within(1.5));
        }
    }

    private static BufferedImage drawn(BufferedImage image) {
        Patch patch = Patch.of(image);
        return Treating.treated(new Treated("dusk", Optional.empty(), List.of(), Optional.empty()), patch, false, null);
    }
}
