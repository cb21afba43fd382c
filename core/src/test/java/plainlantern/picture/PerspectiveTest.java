package plainlantern.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Polygon;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.File;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import plainlantern.Painted;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.geometry.Projective;
import plainlantern.sheet.Treated;
import plainlantern.sheet.Warp;

/** Pictures drawn in perspective, and frames found in them. */
class PerspectiveTest {
    private static final int WIDTH = 700;
    private static final int HEIGHT = 500;
    private static final List<Point> QUAD = List.of(new Point(40, 90), new Point(660, 20), new Point(590, 470), new Point(110, 400));

    private static Tile drawn(BufferedImage image, List<Point> quad, boolean open, Box part) {
        Projective toPicture = Projective.onto(quad).inverse().after(Affine.scale(WIDTH, HEIGHT));
        Warp warp = new Warp(toPicture, open, image.getWidth(), image.getHeight(), WIDTH, HEIGHT);
        PictureSource source = (id, share) -> image;
        return source.onto(Treated.plain("d".repeat(64)).warped(Optional.of(warp)), WIDTH, HEIGHT, Affine.IDENTITY, part);
    }

    private static Tile drawn(BufferedImage image) {
        return drawn(image, QUAD, true, new Box(0, 0, WIDTH, HEIGHT));
    }

    /** ImageMagick draws the same map with the same kind of filter: in linear light where the picture gets smaller, else as stored. */
    @Test
    void drawsAsImageMagickDoes(@TempDir File folder) throws Exception {
        for (int[] size : new int[][] {{2400, 1800}, {900, 700}, {240, 180}}) {
            BufferedImage image = Painted.scene(size[0], size[1], BufferedImage.TYPE_3BYTE_BGR);
            ImageIO.write(image, "png", new File(folder, "in.png"));
            StringBuilder places = new StringBuilder();
            int[][] own = {{0, 0}, {size[0], 0}, {size[0], size[1]}, {0, size[1]}};
            for (int i = 0; i < 4; i++) places.append(own[i][0]).append(',').append(own[i][1]).append(' ').append(QUAD.get(i).x())
                    .append(',')
                    .append(QUAD.get(i).y()).append(' ');
            boolean light = size[0] > 600;
            Painted.run(folder, "convert", "in.png", "-virtual-pixel", "transparent", "-colorspace", light ? "RGB" : "sRGB", "-define",
                    "distort:viewport=" + WIDTH + "x" + HEIGHT + "+0+0", "-distort", "Perspective", places.toString(), "-colorspace",
                    "sRGB",
                    "-depth", "8", "PNG32:theirs.png");
            BufferedImage ours = drawn(image).straight();
            assertThat(Painted.difference(ours, ImageIO.read(new File(folder, "theirs.png")))).as("%d", size[0]).isLessThan(1.5);
        }
    }

    /** A fine pattern is an even grey at every distance, the grey of half the light (IEC 61966-2-1: 188), up to the horizon. */
    @Test
    void finePatternsDoNotShimmer() {
        BufferedImage lines = new BufferedImage(2000, 2000, BufferedImage.TYPE_3BYTE_BGR);
        for (int y = 0; y < 2000; y++) for (int x = 0; x < 2000; x++) lines.setRGB(x, y, (x + y) % 2 == 0 ? 0 : 0xFFFFFF);
        List<Point> floor = List.of(new Point(300, 200), new Point(400, 200), new Point(680, 480), new Point(20, 480));
        Tile tile = drawn(lines, floor, true, new Box(0, 0, WIDTH, HEIGHT));
        for (int y = 206; y < 470; y += 3) {
            int from = (int) (300 - (y - 200)) + 8;
            for (int x = from; x < WIDTH - from; x++)
                assertThat(tile.argb()[y * WIDTH + x] & 0xFF).as("%d, %d", x, y).isBetween(180, 196);
        }
    }

    /** Edges are as soft as their pixels are covered: all of them together have the area of the frame. Parts fit together (1 of 255). */
    @Test
    void edgesAndPartsFit() {
        BufferedImage white = new BufferedImage(300, 200, BufferedImage.TYPE_3BYTE_BGR);
        white.createGraphics().fillRect(0, 0, 300, 200);
        Tile whole = drawn(white);
        double alpha = 0;
        for (int pixel : whole.argb()) alpha += (pixel >>> 24) / 255.0;
        double area = 0;
        for (int i = 0; i < 4; i++) {
            Point a = QUAD.get(i);
            Point b = QUAD.get((i + 1) % 4);
            area += (a.x() * b.y() - b.x() * a.y()) / 2;
        }
        assertThat(alpha).isCloseTo(area, within(0.001 * area));
        BufferedImage scene = Painted.scene(1500, 1100, BufferedImage.TYPE_4BYTE_ABGR);
        Tile all = drawn(scene);
        Tile part = drawn(scene, QUAD, true, new Box(333, 127, 90, 61));
        assertThat(Painted.worst(part.straight(), all.straight().getSubimage(333, 127, 90, 61))).isLessThanOrEqualTo(1);
    }

    /** A picture that lets half through is drawn as one that lets nothing through is, of colours that half of all levels can tell. */
    @Test
    void whatIsSeenThroughIsDrawnAsWhatIsNot() {
        BufferedImage scene = Painted.scene(1300, 1000, BufferedImage.TYPE_3BYTE_BGR);
        BufferedImage half = new BufferedImage(1300, 1000, BufferedImage.TYPE_4BYTE_ABGR);
        for (int y = 0; y < 1000; y++) {
            for (int x = 0; x < 1300; x++) {
                int colour = 0;
                for (int shift = 0; shift < 24; shift += 8)
                    colour |= (((scene.getRGB(x, y) >> shift & 0xFF) * 128 + 127) / 255 * 255 + 64) / 128 << shift;
                scene.setRGB(x, y, colour);
                half.setRGB(x, y, colour | 0x80000000);
            }
        }
        Tile whole = drawn(scene);
        Tile seenThrough = drawn(half);
        for (int i = 0; i < whole.argb().length; i++) {
            if (whole.argb()[i] >>> 24 < 255) continue;
            assertThat(seenThrough.argb()[i] >>> 24).isEqualTo(128);
            for (int shift = 0; shift < 24; shift += 8)
                assertThat((double) (seenThrough.argb()[i] >> shift & 0xFF)).isCloseTo((whole.argb()[i] >> shift & 0xFF) * 128 / 255.0,
                        within(1.5));
        }
    }

    /**
     * Frames of known corners, blurred and noisy, are found from corners that were only about there; where there are none, that is
     * said.
     */
    @Test
    void framesAreFound() {
        Random random = new Random(11);
        for (int round = 0; round < 6; round++) {
            List<Point> frame = new ArrayList<>();
            List<Point> about = new ArrayList<>();
            for (Point p : QUAD) {
                Point at = p.plus(new Point(random.nextInt(31) - 15, random.nextInt(31) - 15));
                frame.add(at);
                about.add(at.plus(new Point(random.nextInt(25) - 12, random.nextInt(25) - 12)));
            }
            BufferedImage image = photographed(frame, round % 2 == 0 ? 120 : 60, random);
            List<Point> found = FrameEdges.near(image, about, 20).orElseThrow();
            for (int i = 0; i < 4; i++) assertThat(found.get(i).distance(frame.get(i))).as("round %d, corner %d", round, i)
                    .isLessThan(0.75);
        }
        assertThat(FrameEdges.near(photographed(List.of(), 0, random), QUAD, 20)).isEmpty();
    }

    /** A darker frame on a wall that gets lighter, with a little blur and noise. */
    private static BufferedImage photographed(List<Point> frame, int darker, Random random) {
        int fine = 4;
        BufferedImage large = new BufferedImage(WIDTH * fine, HEIGHT * fine, BufferedImage.TYPE_3BYTE_BGR);
        Graphics2D g = large.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        for (int x = 0; x < large.getWidth(); x++) {
            g.setColor(new Color(150 + 60 * x / large.getWidth(), 150 + 50 * x / large.getWidth(), 140));
            g.drawLine(x, 0, x, large.getHeight());
        }
        Polygon polygon = new Polygon();
        frame.forEach(p -> polygon.addPoint((int) Math.round(p.x() * fine), (int) Math.round(p.y() * fine)));
        g.setColor(new Color(180 - darker, 170 - darker, 150 - darker));
        g.fillPolygon(polygon);
        BufferedImage image = Resample.toSize(large, WIDTH, HEIGHT);
        for (int y = 0; y < HEIGHT; y++) for (int x = 0; x < WIDTH; x++) {
            int noise = random.nextInt(17) - 8;
            Color c = new Color(image.getRGB(x, y));
            image.setRGB(x, y, new Color(clamp(c.getRed() + noise), clamp(c.getGreen() + noise), clamp(c.getBlue() + noise)).getRGB());
        }
        return image;
    }

    private static int clamp(int value) {
        return Math.max(0, Math.min(255, value));
    }
}
