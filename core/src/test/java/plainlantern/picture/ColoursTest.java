package plainlantern.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.File;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Random;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import plainlantern.Painted;

/** What the numbers of files mean, compared with littleCMS's own programs on the same files, and with published pairs. */
class ColoursTest {
    private static final String GREY = "/usr/share/color/icc/Gray-CIE_L.icc";

    @TempDir
    private File folder;

    private String run(String... command) throws Exception {
        return Painted.run(folder, command);
    }

    private byte[] file(String name) throws Exception {
        return Files.readAllBytes(folder.toPath().resolve(name));
    }

    private BufferedImage ours(String name) throws Exception {
        return PictureReader.decode(name, file(name), PictureReader.inspect(name, file(name)));
    }

    /** Writes a picture by libvips: wide, grey or inks, after the name's beginning; with 16 bits where it says so, 8 otherwise. */
    private void written(String name) throws Exception {
        ImageIO.write(Painted.scene(300, 200, BufferedImage.TYPE_3BYTE_BGR), "png", new File(folder, "in.png"));
        String options = name.endsWith("jpg") ? ",Q=98]" : name.endsWith("webp") ? ",lossless]" : "]";
        boolean deep = name.contains("16");
        if (name.startsWith("inks")) {
            run("vips", "icc_transform", "in.png", "inks.v", "cmyk", "--input-profile", "srgb", "--intent", "relative");
            run("vips", "copy", "inks.v", name + "[profile=cmyk" + options);
        } else if (name.startsWith("grey")) {
            run("vips", "colourspace", "in.png", "grey.v", deep ? "grey16" : "b-w");
            run("vips", "copy", "grey.v", name + "[profile=" + GREY + options);
        } else {
            run("vips", "colourspace", "in.png", "wide.v", deep ? "rgb16" : "srgb");
            boolean elder = name.endsWith("bmp") || name.endsWith("gif");
            run("vips", "copy", "wide.v", (elder ? "wide.png" : name) + "[profile=p3" + options);
            if (elder) run("convert", "wide.png", name);
        }
    }

    /** The same file as littleCMS sees it; a PNG or WebP by the TIFF of its pixels and its profile. Inks relative to the paper's white. */
    private BufferedImage theirs(String name) throws Exception {
        String intent = name.startsWith("inks") ? "-t1" : "-t0";
        boolean jpeg = name.endsWith("jpg");
        boolean elder = name.endsWith("bmp") || name.endsWith("gif");
        if (elder) run("convert", name, "-type", "TrueColor", "same.tif");
        else if (!jpeg) run("vips", "copy", name, "same.tif");
        if (jpeg) run("jpgicc", "-q100", intent, name, "seen.jpg");
        else run("tificc", intent, "same.tif", "seen.tif");
        run("vips", "copy", jpeg ? "seen.jpg" : "seen.tif", "seen.png[profile=none]");
        run("vips", "colourspace", "seen.png", "seen8.png", "srgb");
        return ImageIO.read(new File(folder, "seen8.png"));
    }

    /** Of the mean over all pixels, in CIE 1976 L*a*b* of D65 (CIE 15); under a half nobody sees it. */
    private static double deltaE(BufferedImage one, BufferedImage other) {
        assertThat(one.getWidth() + " x " + one.getHeight()).isEqualTo(other.getWidth() + " x " + other.getHeight());
        double sum = 0;
        for (int y = 0; y < one.getHeight(); y++) for (int x = 0; x < one.getWidth(); x++) {
            double[] a = lab(new Color(one.getRGB(x, y)));
            double[] b = lab(new Color(other.getRGB(x, y)));
            sum += Math.sqrt(Math.pow(a[0] - b[0], 2) + Math.pow(a[1] - b[1], 2) + Math.pow(a[2] - b[2], 2));
        }
        return sum / one.getWidth() / one.getHeight();
    }

    private static double[] lab(Color colour) {
        double[] light = Arrays.stream(new int[] {colour.getRed(), colour.getGreen(), colour.getBlue()})
                .mapToDouble(v -> v / 255.0 <= 0.04045 ? v / 255.0 / 12.92 : Math.pow((v / 255.0 + 0.055) / 1.055, 2.4)).toArray();
        double x = cube((0.4124 * light[0] + 0.3576 * light[1] + 0.1805 * light[2]) / 0.9505);
        double y = cube(0.2126 * light[0] + 0.7152 * light[1] + 0.0722 * light[2]);
        double z = cube((0.0193 * light[0] + 0.1192 * light[1] + 0.9505 * light[2]) / 1.089);
        return new double[] {116 * y - 16, 500 * (x - y), 200 * (y - z)};
    }

    private static double cube(double t) {
        return t > 216 / 24389.0 ? Math.cbrt(t) : (24389 / 27.0 * t + 16) / 116;
    }

    @ParameterizedTest
    @ValueSource(strings = {"wide.jpg", "wide.png", "wide16.png", "wide.tif", "wide16.tif", "wide.webp", "grey.jpg", "grey.png",
        "grey16.png", "grey.tif", "grey16.tif", "inks.jpg", "inks.tif", "wide.bmp", "wide.gif"})
    void coloursAreThoseOfTheProfile(String name) throws Exception {
        written(name);
        assertThat(deltaE(ours(name), theirs(name))).isLessThan(0.5);
        assertThat(PictureReader.inspect(name, file(name)).srgb()).isFalse();
    }

    /** Inks coded as luminance and chrominance, as littleCMS writes them; inks without the marker that says they are turned round. */
    @Test
    void inksAreStoredInThreeWays() throws Exception {
        written("inks.jpg");
        run("vips", "copy", "in.png", "plain.jpg[Q=98]");
        run("vips", "copy", "inks.jpg", "ink.tif");
        Path profile = folder.toPath().resolve("press.icc");
        Files.write(profile, JpegColours.profile(file("inks.jpg"), 4).orElseThrow().getData());
        run("jpgicc", "-q98", "-t1", "-e", "-opress.icc", "plain.jpg", "inks-coded.jpg");
        byte[] coded = file("inks-coded.jpg");
        assertThat(coded[marker(coded) + 15]).isEqualTo((byte) 2);
        assertThat(deltaE(ours("inks-coded.jpg"), theirs("inks-coded.jpg"))).isLessThan(0.5);
        byte[] whole = file("inks.jpg");
        int marker = marker(whole);
        byte[] bare = new byte[whole.length - 16];
        System.arraycopy(whole, 0, bare, 0, marker);
        System.arraycopy(whole, marker + 16, bare, marker, bare.length - marker);
        Files.write(folder.toPath().resolve("inks-bare.jpg"), bare);
        assertThat(deltaE(ours("inks-bare.jpg"), theirs("inks-bare.jpg"))).isLessThan(0.5);
    }

    /** Where the APP14 segment of 16 bytes begins. */
    private static int marker(byte[] jpeg) {
        return new String(jpeg, StandardCharsets.ISO_8859_1).indexOf("\u00ff\u00ee\0\u000e");
    }

    /** Without a profile: what an ink and the black leave of the paper; ImageMagick's own rule for such files is the same. */
    @Test
    void inksOfNoPress() throws Exception {
        written("inks.jpg");
        run("vips", "copy", "inks.jpg", "bare.jpg[profile=none,Q=100]");
        run("convert", "bare.jpg", "-colorspace", "sRGB", "-depth", "8", "theirs.png");
        assertThat(Painted.difference(ours("bare.jpg"), ImageIO.read(new File(folder, "theirs.png")))).isLessThan(1.5);
        assertThat(PictureReader.inspect("bare.jpg", file("bare.jpg")).srgb()).isFalse();
    }

    /** A profile is known by what it does, not by its name. */
    @Test
    void sRgbIsKnown() throws Exception {
        written("wide.jpg");
        run("vips", "copy", "in.png", "plain.jpg[profile=srgb]");
        assertThat(PictureReader.inspect("plain.jpg", file("plain.jpg")).srgb()).isTrue();
        byte[] profile = JpegColours.profile(file("wide.jpg"), 3).orElseThrow().getData();
        assertThat(Srgb.is(Srgb.profile(profile).orElseThrow())).isFalse();
    }

    /** ITU-R BT.2408, table 1: the white of paper, 203 cd/m², is 58 % of a PQ signal and 75 % of an HLG one. */
    @Test
    void theWhiteOfPaperIsWhite() throws Exception {
        for (int[] signal : new int[][] {{16, 148}, {18, 191}}) {
            byte[] png = Painted.chunked(grey(signal[1]), "cICP", new byte[] {9, (byte) signal[0], 0, 1});
            assertThat(new Color(read(png).getRGB(0, 0)).getGreen()).as("transfer %d", signal[0]).isCloseTo(254, within(1));
            byte[] dark = Painted.chunked(grey(signal[1] / 2), "cICP", new byte[] {9, (byte) signal[0], 0, 1});
            assertThat(new Color(read(dark).getRGB(0, 0)).getGreen()).isBetween(20, 170);
        }
    }

    private static BufferedImage read(byte[] png) {
        return PictureReader.decode("a.png", png, PictureReader.inspect("a.png", png));
    }

    private static byte[] grey(int value) {
        BufferedImage image = new BufferedImage(4, 4, BufferedImage.TYPE_3BYTE_BGR);
        for (int i = 0; i < 16; i++) image.setRGB(i % 4, i / 4, value * 0x10101);
        return Painted.encoded(image, "png");
    }

    /** What makes no sense says nothing: the picture comes in as it did. */
    @Test
    void damagedProfilesAreIgnored() throws Exception {
        byte[] profile = new byte[400];
        Arrays.fill(profile, (byte) 7);
        for (byte[] nonsense : new byte[][] {{}, {0}, {'a', 0, 0}, named(profile), named(new byte[40 << 20])}) {
            BufferedImage read = read(Painted.chunked(grey(90), "iCCP", nonsense));
            assertThat(read.getRGB(1, 1) & 0xFF).isEqualTo(90);
        }
        for (String chunk : new String[] {"gAMA", "cHRM", "cICP"}) {
            assertThat(read(Painted.chunked(grey(90), chunk, new byte[4])).getRGB(1, 1) & 0xFF).as(chunk).isEqualTo(90);
        }
        byte[] line = new byte[32];
        Arrays.fill(line, (byte) 1);
        byte[] flat = Painted.chunked(Painted.chunked(grey(90), "cHRM", line), "gAMA", new byte[] {0, 0, (byte) 0x90, 0});
        assertThat(read(flat).getRGB(1, 1) & 0xFF).isEqualTo(90);
    }

    /** Wherever a file is cut off, and whatever stands in it, its profile is found or not; nothing is thrown. */
    @ParameterizedTest
    @ValueSource(strings = {"wide.bmp", "wide.gif"})
    void elderFilesMayEndAnywhere(String name) throws Exception {
        written(name);
        byte[] whole = file(name);
        Random random = new Random(3);
        int found = 0;
        for (int i = 0; i < 400; i++) {
            byte[] some = Arrays.copyOf(whole, i < 200 ? 4 * i : whole.length);
            if (i >= 200) some[random.nextInt(200)] = (byte) random.nextInt();
            if ((name.endsWith("gif") ? ElderColours.gif(some) : ElderColours.bmp(some)).isPresent()) found++;
        }
        assertThat(found).isBetween(50, 399);
    }

    private static byte[] named(byte[] profile) throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(new byte[] {'a', 0, 0});
        try (DeflaterOutputStream packed = new DeflaterOutputStream(out)) {
            packed.write(profile);
        }
        return out.toByteArray();
    }
}
