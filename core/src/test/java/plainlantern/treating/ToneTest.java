package plainlantern.treating;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.File;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.function.Consumer;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import plainlantern.Painted;
import plainlantern.asking.BadInput;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Resample;
import plainlantern.sheet.Balance;
import plainlantern.sheet.Blend;
import plainlantern.sheet.ByBrightness;
import plainlantern.sheet.Colour;
import plainlantern.sheet.ColourTable;
import plainlantern.sheet.Colouring;
import plainlantern.sheet.HueRange;
import plainlantern.sheet.Levels;
import plainlantern.sheet.Light;
import plainlantern.sheet.Lying;
import plainlantern.sheet.Stop;
import plainlantern.sheet.Texture;
import plainlantern.sheet.Tone;
import plainlantern.sheet.Toned;
import plainlantern.sheet.Treated;
import plainlantern.sheet.Vignette;

/** Tones against published values, other programs, and their own definitions. */
class ToneTest {
    private static final Tone LIT = Tone.NEUTRAL.balanced(new Balance(40, -0.2, 0.6)).levelled(new Levels(0.06, 0.08, 0.5, 0, 0, 0, 0))
            .coloured(new Colouring(0.2, 0.3, false, List.of()).with(HueRange.Name.BLUE, new HueRange(15, 0.3, -0.4, 0)));
    private static final Tone LOCAL = LIT.levelled(new Levels(0.06, 0.08, 0.3, 0.6, -0.5, 0.4, 0.3));
    private static final Tone GREY = Tone.NEUTRAL.coloured(new Colouring(0, 0, true, List.of())
            .with(HueRange.Name.RED, new HueRange(0, 0, 0, 0.8)).with(HueRange.Name.BLUE, new HueRange(0, 0, 0, -0.6)));
    private static final Tone AMBER = GREY.brightened(Optional.of(ByBrightness.about(new Colour(0xE09A17))));

    /** Ottosson 2020, "A perceptual color space for image processing": his table of XYZ and OKLab pairs, three digits. */
    @Test
    void okLabIsAsPublished() {
        double[][] pairs = {{0.950, 1, 1.089, 1, 0, 0}, {1, 0, 0, 0.450, 1.236, -0.019}, {0, 1, 0, 0.922, -0.671, 0.263},
            {0, 0, 1, 0.153, -1.415, -0.449}};
        for (double[] pair : pairs) {
            float[] c = new float[3];
            // IEC 61966-2-1's matrix from XYZ to linear sRGB, with the digits that Lindbloom publishes.
            c[0] = (float) (3.2404542 * pair[0] - 1.5371385 * pair[1] - 0.4985314 * pair[2]);
            c[1] = (float) (-0.9692660 * pair[0] + 1.8760108 * pair[1] + 0.0415560 * pair[2]);
            c[2] = (float) (0.0556434 * pair[0] - 0.2040259 * pair[1] + 1.0572252 * pair[2]);
            float[] linear = c.clone();
            OkLab.of(c);
            for (int i = 0; i < 3; i++) assertThat(c[i]).isCloseTo((float) pair[3 + i], within(0.003f));
            OkLab.linear(c);
            for (int i = 0; i < 3; i++) assertThat(c[i]).isCloseTo(linear[i], within(0.001f));
        }
    }

    /** Lindbloom, "Chromatic Adaptation": Bradford from illuminant A to D65, as he tabulates it. */
    @Test
    void bradfordIsAsPublished() {
        assertThat(WhiteBalance.adaptation(new double[] {1.09850, 1, 0.35585}, new double[] {0.95047, 1, 1.08883})).containsExactly(
                new double[] {0.8446965, -0.1179225, 0.3948108, -0.1366303, 1.1041226, 0.1291718, 0.0798489, -0.1348999, 3.1924009},
                within(2e-6));
    }

    /**
     * Fifty mired warmer than D65 is 4908 K; on the Planckian locus of CIE 1931 that is x 0.3477, y 0.3530 (from memory), which lies as far
     * from D65's place there, 0.3134 0.3235, as white moves.
     */
    @Test
    void whitesGoAlongThePlanckianLocus() {
        double[] white = WhiteBalance.white(new Balance(50, 0, 0));
        double sum = white[0] + white[1] + white[2];
        assertThat(white[0] / sum - 0.3127).isCloseTo(0.3477 - 0.3134, within(0.002));
        assertThat(white[1] / sum - 0.3290).isCloseTo(0.3530 - 0.3235, within(0.002));
        float[] grey = {0.5f, 0.5f, 0.5f};
        Colouration.before(new Balance(0, 1, 0), Levels.NEUTRAL).accept(grey);
        assertThat(grey[1]).as("a tint above 0 is magenta").isLessThan(Math.min(grey[0], grey[2]));
        Colouration.before(new Balance(0, 0, 1), Levels.NEUTRAL).accept(grey = new float[] {Curve.stored(0.2f), 0, 0});
        assertThat(Curve.light(grey[0])).as("a stop is twice the light").isCloseTo(0.4f, within(1e-4f));
    }

    @Test
    void contrastTurnsAboutMidGreyAndHuesShareEveryColour() {
        Levels steep = new Levels(0, 0, 1, 0, 0, 0, 0);
        float mid = Colouration.MID;
        for (float fixed : new float[] {0, mid, 1}) assertThat(Colouration.levelled(steep, fixed)).isCloseTo(fixed, within(1e-6f));
        assertThat((Colouration.levelled(steep, mid + 0.001f) - Colouration.levelled(steep, mid - 0.001f)) / 0.002f)
                .isCloseTo(2, within(0.01f));
        assertThat(Colouration.levelled(new Levels(0.2, 0.1, 0, 0, 0, 0, 0), 0.9f)).isCloseTo(1, within(1e-6f));
        for (double hue = -180; hue <= 540; hue += 3.7) {
            double sum = 0;
            for (double weight : Colouration.weights(hue)) {
                assertThat(weight).isBetween(0.0, 1.0);
                sum += weight;
            }
            assertThat(sum).isCloseTo(1, within(1e-12));
        }
    }

    /** What is baked is off by less than half a level of 255 in the mean, over all colours alike. */
    @Test
    void bakedTablesAreNearlyExact() {
        for (Tone tone : List.of(LIT, GREY, AMBER)) {
            Consumer<float[]> exact = Colouration.before(tone.balance(), tone.levels()).andThen(Colouration.after(tone, Optional.empty()));
            Lattice baked = Lattice.baked(Toning.SIZE, exact);
            Random random = new Random(5);
            double off = 0;
            int count = 20000;
            for (int i = 0; i < count; i++) {
                float[] c = {random.nextFloat(), random.nextFloat(), random.nextFloat()};
                float[] looked = baked.at(c[0], c[1], c[2]);
                exact.accept(c);
                for (int k = 0; k < 3; k++) off += Math.abs(Math.max(0, Math.min(1, c[k])) - Math.max(0, Math.min(1, looked[k]))) * 255;
            }
            assertThat(off / count / 3).isLessThan(0.5);
        }
    }

    /** The definition of He, Sun and Tang 2010, section 3.3, window by window. */
    @Test
    void theGuidedFilterIsItsDefinition() {
        int width = 23;
        int height = 17;
        int radius = 3;
        float edge = 0.01f;
        float[] values = new float[width * height];
        Random random = new Random(3);
        for (int i = 0; i < values.length; i++) values[i] = (i % width > 11 ? 0.7f : 0.2f) + random.nextFloat() * 0.1f;
        double[] slope = new double[values.length];
        double[] base = new double[values.length];
        for (int k = 0; k < values.length; k++) {
            double[] sums = window(k, width, height, radius, i -> new double[] {values[i], values[i] * values[i]});
            double variance = sums[1] - sums[0] * sums[0];
            slope[k] = variance / (variance + edge);
            base[k] = (1 - slope[k]) * sums[0];
        }
        Guided guided = Guided.of(values, width, height, radius, edge);
        for (int i = 0; i < values.length; i++) {
            double[] mean = window(i, width, height, radius, k -> new double[] {slope[k], base[k]});
            float x = (i % width + 0.5f) / width;
            float y = (i / width + 0.5f) / height;
            assertThat(guided.at(x, y, values[i])).isCloseTo((float) (mean[0] * values[i] + mean[1]), within(1e-4f));
        }
    }

    private interface Two {
        double[] at(int index);
    }

    private static double[] window(int of, int width, int height, int radius, Two values) {
        double[] sums = new double[2];
        int count = 0;
        for (int y = Math.max(0, of / width - radius); y <= Math.min(height - 1, of / width + radius); y++) {
            for (int x = Math.max(0, of % width - radius); x <= Math.min(width - 1, of % width + radius); x++, count++) {
                double[] value = values.at(y * width + x);
                sums[0] += value[0];
                sums[1] += value[1];
            }
        }
        return new double[] {sums[0] / count, sums[1] / count};
    }

    /** ffmpeg's lut3d (tetrahedral) and lut1d apply the same files to the same picture. */
    @Test
    void colourTablesAreAppliedAsFfmpegDoes(@TempDir File folder) throws Exception {
        BufferedImage picture = Painted.scene(320, 200, BufferedImage.TYPE_3BYTE_BGR);
        ImageIO.write(picture, "png", new File(folder, "in.png"));
        StringBuilder cube = new StringBuilder("# a table\nTITLE \"Dusk\"\nLUT_3D_SIZE 9\nDOMAIN_MIN 0 0 0\nDOMAIN_MAX 1.0 1.0 1.0\n\n");
        for (int i = 0; i < 729; i++) {
            double r = i % 9 / 8.0;
            double g = i / 9 % 9 / 8.0;
            double b = i / 81 / 8.0;
            cube.append(String.format(Locale.ROOT, "%.6f %.6f %.6f%n", r * r * 0.9 + 0.1 * b, Math.sqrt(g) * (1 - 0.3 * r),
                    b * 0.7 + 0.2 * g * r));
        }
        StringBuilder line = new StringBuilder("LUT_1D_SIZE 17\n");
        for (int i = 0; i < 17; i++) line.append(String.format(Locale.ROOT, "%.6f %.6f %.6f\n", Math.sqrt(i / 16.0), i / 16.0,
                1 - i / 16.0));
        String[][] tables = {{"lut3d", cube.toString(), "tetrahedral"}, {"lut1d", line.toString(), "linear"}};
        for (String[] table : tables) {
            Files.writeString(new File(folder, "t.cube").toPath(), table[1]);
            Painted.run(folder, "ffmpeg", "-y", "-loglevel", "error", "-i", "in.png", "-vf", "format=gbrp," + table[0] + "=t.cube:interp="
                    + table[2], "-pix_fmt", "rgb24", "out.png");
            ColourMap map = CubeFile.read("t.cube", table[1].getBytes(StandardCharsets.UTF_8));
            Tone tone = Tone.NEUTRAL.tabled(Optional.of(new ColourTable(table[0].substring(3, 4).repeat(64), "Dusk", 1)));
            BufferedImage exact = new BufferedImage(320, 200, BufferedImage.TYPE_3BYTE_BGR);
            for (int i = 0; i < 64000; i++) {
                int p = picture.getRGB(i % 320, i / 320);
                float[] c = map.at((p >> 16 & 0xFF) / 255f, (p >> 8 & 0xFF) / 255f, (p & 0xFF) / 255f);
                exact.setRGB(i % 320, i / 320, Toning.pixel(255, c));
            }
            BufferedImage theirs = ImageIO.read(new File(folder, "out.png"));
            assertThat(Painted.worst(exact, theirs)).as(table[0]).isLessThanOrEqualTo(1);
            assertThat(Painted.difference(painted(tone, picture, map), theirs)).as(table[0] + ", baked").isLessThan(1);
        }
    }

    /** Whoever has no such table gets none of it, although what was made with it is kept; and the other way round. */
    @Test
    void aTableThatIsNotAtHandIsNotUsed() {
        BufferedImage picture = Painted.scene(64, 48, BufferedImage.TYPE_3BYTE_BGR);
        ColourMap negative = CubeFile.read("n.cube", "LUT_1D_SIZE 2\n1 1 1\n0 0 0\n".getBytes(StandardCharsets.UTF_8));
        for (Tone tone : List.of(Tone.NEUTRAL, LOCAL)) {
            Tone tabled = tone.tabled(Optional.of(new ColourTable("5".repeat(64), "Negative", 1)));
            BufferedImage without = painted(tone, picture, null);
            assertThat(Painted.worst(painted(tabled, picture, null), without)).isZero();
            assertThat(Painted.difference(painted(tabled, picture, negative), without)).isGreaterThan(20);
            assertThat(Painted.worst(painted(tabled, picture, null), without)).isZero();
        }
    }

    /** ImageMagick looks up a row of colours by brightness; black and white is its own definition (Rec. 709 luminance, stored). */
    @Test
    void coloursByBrightnessAreImageMagicks(@TempDir File folder) throws Exception {
        BufferedImage picture = Painted.scene(320, 200, BufferedImage.TYPE_3BYTE_BGR);
        ImageIO.write(picture, "png", new File(folder, "in.png"));
        Painted.run(folder, "convert", "(", "-size", "1x160", "gradient:#102030-#c04020", ")", "(", "-size", "1x96",
                "gradient:#c04020-#ffe8b0",
                ")", "-append", "-rotate", "-90", "+repage", "row.png");
        Painted.run(folder, "convert", "in.png", "-grayscale", "Rec709Luminance", "-type", "TrueColor", "row.png", "-clut",
                "PNG24:out.png");
        ByBrightness stops = new ByBrightness(List.of(new Stop(0, Colour.of("#102030"), 1), new Stop(159.5 / 255, Colour.of("#c04020"), 1),
                new Stop(1, Colour.of("#ffe8b0"), 1)), 1, Blend.NORMAL);
        assertThat(Painted.difference(painted(Tone.NEUTRAL.brightened(Optional.of(stops)), picture, null),
                ImageIO.read(new File(folder, "out.png")))).isLessThan(1.5);
    }

    /** What is seen on the board, a small copy that is toned, is the delivery made small: every value there is, at once and one by one. */
    @Test
    void everySizeOfAPictureGetsTheSameTone() {
        BufferedImage large = Painted.scene(1800, 1200, BufferedImage.TYPE_3BYTE_BGR);
        Tone ended = LIT.vignetted(Optional.of(new Vignette(-0.6, 0.3))).textured(Optional.of(new Texture(0.3, 0.6, 7, 0.3, 0.3)));
        for (Tone tone : List.of(LIT, LOCAL, GREY, AMBER, ended)) {
            BufferedImage small = painted(tone, Resample.toSize(large, 450, 300), null);
            BufferedImage delivered = painted(tone, large, null);
            assertThat(Painted.difference(delivered, large)).isGreaterThan(5);
            assertThat(Painted.difference(small, Resample.toSize(delivered, 450, 300))).as("%s", tone).isLessThan(2);
        }
    }

    /** A part that is painted by itself is the part of the whole painting, sharpening and grain and all. */
    @Test
    void partsFitTogether() {
        BufferedImage picture = Painted.scene(300, 200, BufferedImage.TYPE_3BYTE_BGR);
        Tone tone = LOCAL.vignetted(Optional.of(new Vignette(0.5, 0.2))).textured(Optional.of(new Texture(0.8, 0.4, 3, 1.5, 0.5)));
        PictureSource source = (id, share) -> picture;
        Affine map = Affine.move(13, 7).after(Affine.turn(20)).after(Affine.scale(1.3, 1.3));
        int[] whole = source.onto(treated(tone, 300, 200), 300, 200, map, new Box(0, 0, 200, 160)).argb();
        int[] part = source.onto(treated(tone, 300, 200), 300, 200, map, new Box(60, 50, 40, 30)).argb();
        for (int y = 0; y < 30; y++) for (int x = 0; x < 40; x++) assertThat(part[y * 40 + x]).isEqualTo(whole[(y + 50) * 200 + x + 60]);
    }

    /** IEC 61966-2-1, many at once: a hundredth of a level of 255 at most; what is beyond is cut off. */
    @Test
    void manyLightsAreStoredAtOnce() {
        float[] lights = new float[5003];
        for (int i = 0; i < lights.length; i++) lights[i] = (float) Math.pow((i - 1) / 5000.0, 3);
        float[] stored = lights.clone();
        Curve.stored(stored, 255);
        for (int i = 1; i <= 5001; i++)
            assertThat((double) stored[i]).isCloseTo(255 * Light.storing(lights[i]), within(0.01)).isNotNegative();
        assertThat(stored[0]).isZero();
        assertThat(stored[5002]).isCloseTo(255, within(0.01f));
    }

    /** A row that is level, of a picture as it is, mirrored, larger and beyond its edges, gets what each of its places does. */
    @Test
    void levelRowsAreLookedUpAtOnce() {
        Random random = new Random(3);
        float[] values = new float[20 * 12];
        for (int i = 0; i < values.length; i++) values[i] = random.nextFloat();
        Guided guided = Guided.of(values, 20, 12, 2, 0.01f);
        for (double step : new double[] {0.003, -0.004, 0.2, -0.3, 0.05}) {
            for (double from : new double[] {-0.3, 0.4, 1.2}) {
                float[] lightness = new float[400];
                for (int i = 0; i < 400; i++) lightness[i] = random.nextFloat();
                float[] out = new float[400];
                guided.along(new Patch(new int[400], 400, 1, new Affine(step, 0, 0, 1, from, 0.1)), 0, lightness, out);
                for (int x = 0; x < 400; x++)
                    assertThat(out[x]).as("%s, %s, %d", step, from, x)
                            .isCloseTo(guided.at((float) (from + step * (x + 0.5)), 0.6f, lightness[x]), within(1e-4f));
            }
        }
    }

    /**
     * Reinhard and others 2001: means and deviations in their space become those of the other picture. One that was only exposed, tinted
     * and flattened otherwise comes back, and at half strength half the way.
     */
    @Test
    void matchingBringsMeansAndDeviationsTogether() {
        BufferedImage picture = Painted.scene(240, 160, BufferedImage.TYPE_3BYTE_BGR);
        Tone other = Tone.NEUTRAL.balanced(new Balance(-40, 0.3, -0.8)).levelled(new Levels(0, 0, -0.3, 0, 0, 0, 0))
                .coloured(new Colouring(-0.4, 0, false, List.of()));
        Patch taker = patch(painted(other, picture, null));
        Matching.Spread aim = spread(patch(picture), Tone.NEUTRAL);
        Matching.Spread was = spread(taker, Tone.NEUTRAL);
        Tone whole = Matching.matched(patch(picture), taker, Tone.NEUTRAL, 1);
        assertThat(off(spread(taker, whole), aim)).isLessThan(0.2 * off(was, aim));
        assertThat(whole.balance().exposure()).isBetween(0.5, 1.2);
        assertThat(Matching.matched(patch(picture), taker, Tone.NEUTRAL, 0.5).balance().exposure())
                .isCloseTo(whole.balance().exposure() / 2, within(0.011));
        assertThat(Matching.matched(patch(picture), taker, GREY, 0)).isEqualTo(GREY);
    }

    private static Matching.Spread spread(Patch patch, Tone tone) {
        return Matching.Spread.of(patch, Colouration.before(tone.balance(), tone.levels()).andThen(Colouration.after(tone,
                Optional.empty())));
    }

    private static double off(Matching.Spread one, Matching.Spread other) {
        double sum = Math.abs(one.lightness() - other.lightness()) + Math.abs(one.colour() - other.colour());
        for (int i = 0; i < 3; i++) sum += Math.abs(one.mean()[i] - other.mean()[i]);
        return sum;
    }

    private static Patch patch(BufferedImage picture) {
        int[] argb = picture.getRGB(0, 0, picture.getWidth(), picture.getHeight(), null, 0, picture.getWidth());
        return new Patch(argb, picture.getWidth(), picture.getHeight(), Affine.scale(1.0 / picture.getWidth(), 1.0 / picture.getHeight()));
    }

    /** A flat picture from OKLab's lightness 0.3 to 0.8 is evened to just that, but for the thousandth that may be lost. */
    @Test
    void eveningFindsTheDarkestAndTheLightest() {
        int[] ramp = new int[1000];
        for (int i = 0; i < ramp.length; i++) {
            float[] c = {0.3f + 0.5f * i / 999, 0, 0};
            OkLab.linear(c);
            for (int k = 0; k < 3; k++) c[k] = Curve.stored(c[k]);
            ramp[i] = Toning.pixel(255, c);
        }
        Patch patch = new Patch(ramp, 1000, 1, Affine.IDENTITY);
        Levels found = Histogram.evened(patch, Balance.NEUTRAL);
        assertThat(found.black()).isCloseTo(0.3, within(0.011));
        assertThat(found.white()).isCloseTo(0.2, within(0.011));
        Histogram histogram = Histogram.of(new Patch(new int[] {0xFF000000, 0xFFFF8000, 0xFF808080, 0}, 4, 1, Affine.IDENTITY));
        assertThat(histogram.dark()).isCloseTo(2 / 3.0, within(1e-9));
        assertThat(histogram.light()).isCloseTo(1 / 3.0, within(1e-9));
        assertThat(histogram.counts()[1][32]).isEqualTo(2);
    }

    /** An address may tell any place: what it says of it costs no more for that. */
    @Test
    void absurdPlacesAreHarmless() {
        BufferedImage picture = Painted.scene(30, 20, BufferedImage.TYPE_3BYTE_BGR);
        Tone tone = Tone.NEUTRAL.vignetted(Optional.of(new Vignette(1, 0))).textured(Optional.of(new Texture(1, 0.02, 1, 3, 2)));
        PictureSource source = (id, share) -> picture;
        for (double scale : new double[] {0, 1e-300, 1e300}) {
            Lying lying = new Lying(Affine.scale(scale, scale), Affine.scale(scale, scale));
            Treated treated = new Treated("dawn", Optional.empty(), List.of(new Toned(tone, Optional.of(lying))), Optional.empty());
            assertThat(source.sized(treated, 1, 30, 20, new int[] {30, 20}).getWidth()).isEqualTo(30);
        }
        List<Toned> many = List.of(new Toned(LIT, null), new Toned(LIT, null), new Toned(LIT, null));
        assertThatThrownBy(() -> new Treated("dawn", Optional.empty(), many, Optional.empty())).isInstanceOf(BadInput.class);
    }

    @Test
    void damagedTablesAreRefusedInWords() {
        String[][] files = {{"LUT_3D_SIZE 2\n0 0 0\n", "cut off"}, {"0 0 0", "size is missing"}, {"LUT_3D_SIZE 66", "from 2 to 65"},
            {"LUT_3D_SIZE 2\nLUT_1D_SIZE 4", "told twice"}, {"LUT_1D_SIZE 2\n0 0 NaN\n1 1 1", "no number"},
            {"LUT_1D_SIZE 2\n0 0 0\n1 1", "three numbers"}, {"LUT_1D_SIZE 2\n0 0 0\n1 1 1\n1 1 1", "more colours"},
            {"LUT_1D_SIZE 2\nDOMAIN_MIN 1 0 0\n0 0 0\n1 1 1", "begins where it ends"}, {"LUT_1D_SIZE 2\n0 0 1e9\n1 1 1", "no number"}};
        for (String[] file : files) assertThatThrownBy(() -> CubeFile.read("dusk.cube", file[0].getBytes(StandardCharsets.UTF_8)))
                .as(file[0]).isInstanceOf(BadInput.class).hasMessageContaining(file[1]).hasMessageContaining("dusk.cube");
        assertThatThrownBy(() -> CubeFile.read("dusk.cube", new byte[] {(byte) 0xFF, 0, 1})).hasMessageContaining("not text");
        assertThatThrownBy(() -> new Balance(0, 0, 9)).isInstanceOf(BadInput.class).hasMessage("Type a number from -5 to 5.");
    }

    /** A picture of 150 mm that fills its form. */
    private static Treated treated(Tone tone, int width, int height) {
        Affine shares = Affine.scale(1.0 / width, 1.0 / height);
        Lying lying = new Lying(Affine.scale(150, 100).after(shares), Affine.move(-1, -1).after(Affine.scale(2, 2)).after(shares));
        return new Treated("dawn", Optional.empty(), List.of(new Toned(tone, Optional.of(lying))), Optional.empty());
    }

    private static BufferedImage painted(Tone tone, BufferedImage picture, ColourMap map) {
        PictureSource source = new PictureSource() {
            @Override
            public BufferedImage image(String id, double share) {
                return picture;
            }

            @Override
            public Optional<ColourMap> table(String id) {
                return Optional.ofNullable(map);
            }
        };
        int[] size = {picture.getWidth(), picture.getHeight()};
        return source.sized(treated(tone, size[0], size[1]), 1, size[0], size[1], size);
    }

    /** Of what is transparent around a cutout there is no brightness to compare with: a plain one stays plain up to its edge. */
    @Test
    void sharpeningLeavesTheEdgesOfCutoutsAlone() {
        int[] argb = new int[60 * 20];
        for (int i = 0; i < argb.length; i++) {
            int alpha = Math.max(0, Math.min(255, (i % 60 - 20) * 40));
            argb[i] = Alpha.multiplied(alpha << 24 | 0x808080);
        }
        Patch patch = new Patch(argb.clone(), 60, 20, Affine.IDENTITY);
        Ending.texture(new Texture(0, 0.02, 1, 3, 2), patch, Affine.scale(0.5, 0.5));
        for (int i = 0; i < argb.length; i++) {
            int off = Math.abs((patch.argb()[i] & 0xFF) - (argb[i] & 0xFF));
            assertThat(off).as("alpha %d", argb[i] >>> 24).isLessThanOrEqualTo(2);
        }
    }

    @Test
    void whatCannotBeSeenIsEvenAlready() {
        assertThat(Histogram.evened(new Patch(new int[12], 4, 3, Affine.IDENTITY), Balance.NEUTRAL)).isEqualTo(Levels.NEUTRAL);
    }
}
