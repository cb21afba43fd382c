package plainlantern.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.Random;
import org.junit.jupiter.api.Test;
import plainlantern.sheet.Focal;
import plainlantern.treating.Lab;

/** Proposed focal points, on pictures with one clear subject and on such without. */
class SubjectTest {
    private static BufferedImage evening(int width, int height, int type) {
        BufferedImage image = new BufferedImage(width, height, type);
        Graphics2D g = image.createGraphics();
        g.setPaint(new GradientPaint(0, 0, new Color(0x6E86A4), 0, height, new Color(0x8FA9B4)));
        g.fillRect(0, 0, width, height);
        Random random = new Random(2);
        for (int i = 0; i < 400; i++) {
            g.setColor(new Color(0x88, 0x9C, 0xAC, 90));
            g.fillOval(random.nextInt(width), random.nextInt(height), 14, 6);
        }
        g.dispose();
        return image;
    }

    private static void paint(BufferedImage image, Color colour, double x, double y, double size) {
        Graphics2D g = image.createGraphics();
        g.setColor(colour);
        double r = size * Math.min(image.getWidth(), image.getHeight()) / 2;
        g.fillOval((int) (x * image.getWidth() - r), (int) (y * image.getHeight() - r), (int) (2 * r), (int) (2 * r));
        g.dispose();
    }

    /** A boat's sail, a berry, a dark bird: wherever it is, whatever its colour, it is found. */
    @Test
    void oneClearSubjectIsFound() {
        Random random = new Random(11);
        for (int i = 0; i < 30; i++) {
            BufferedImage image = evening(i % 2 == 0 ? 900 : 500, i % 3 == 0 ? 900 : 600, BufferedImage.TYPE_3BYTE_BGR);
            double x = 0.2 + random.nextDouble() * 0.6;
            double y = 0.2 + random.nextDouble() * 0.6;
            paint(image, new Color[] {new Color(0xF4EBDD), new Color(0xB3261E), new Color(0x101418)}[i % 3], x, y,
                    0.12 + random.nextDouble() * 0.2);
            Focal focal = Subject.of(image).orElseThrow();
            assertThat(focal.x()).as("x of " + i).isCloseTo(x, within(0.03));
            assertThat(focal.y()).as("y of " + i).isCloseTo(y, within(0.03));
            assertThat(focal.proposed()).isTrue();
        }
    }

    @Test
    void ofTwoAlikeNeitherIsProposed() {
        BufferedImage image = evening(900, 600, BufferedImage.TYPE_3BYTE_BGR);
        paint(image, new Color(0xB3261E), 0.3, 0.5, 0.2);
        paint(image, new Color(0xB3261E), 0.7, 0.5, 0.2);
        assertThat(Subject.of(image)).isEmpty();
    }

    @Test
    void sceneryHasNone() {
        assertThat(Subject.of(evening(900, 600, BufferedImage.TYPE_3BYTE_BGR))).isEmpty();
        assertThat(Subject.of(new BufferedImage(1, 1, BufferedImage.TYPE_3BYTE_BGR))).isEmpty();
        assertThat(Subject.of(new BufferedImage(5000, 100, BufferedImage.TYPE_3BYTE_BGR))).isEmpty();
    }

    @Test
    void ofACutoutItIsWhatCanBeSeen() {
        BufferedImage image = new BufferedImage(600, 900, BufferedImage.TYPE_4BYTE_ABGR);
        paint(image, new Color(0x7A8B94), 0.7, 0.25, 0.3);
        Focal focal = Subject.of(image).orElseThrow();
        assertThat(focal.x()).isCloseTo(0.7, within(0.01));
        assertThat(focal.y()).isCloseTo(0.25, within(0.01));
        assertThat(Subject.of(new BufferedImage(60, 90, BufferedImage.TYPE_4BYTE_ABGR))).isEmpty();
    }

    /** CIE 15: white is 100, 0, 0; a published value of sRGB red is 53.24, 80.09, 67.20 (from memory, D65). */
    @Test
    void labIsThatOfCie() {
        assertThat(Lab.of(0xFFFFFF)).containsExactly(new double[] {100, 0, 0}, within(0.02));
        assertThat(Lab.of(0xFF0000)).containsExactly(new double[] {53.24, 80.09, 67.20}, within(0.05));
    }
}
