package plainlantern.fitting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import plainlantern.Chance;
import plainlantern.Tried;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.outline.Ellipse;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Pose;

class SittingTest {
    private static final Path SQUARE = Rectangle.SHARP.path(100, 100);

    /** Whatever is asked for, the nearest covering placement covers, and asking again changes nothing. */
    @Tried(400)
    void aHeldPictureIsCovered(Chance chance) {
        double width = chance.between(5, 300);
        double height = chance.between(5, 300);
        int across = chance.whole(1, 8000);
        int down = chance.whole(1, 8000);
        double x = chance.between(-400, 400);
        double y = chance.between(-400, 400);
        double scale = chance.between(0.0005, 3);
        double turn = chance.between(-180, 180);
        boolean ellipse = chance.flag();
        boolean mirrored = chance.flag();
        Sitting sitting = new Sitting(ellipse ? new Ellipse().path(width, height) : Rectangle.SHARP.path(width, height), across, down);
        Pose held = sitting.covering(new Pose(new Point(x, y), scale, scale, turn, mirrored));
        Coverage coverage = Coverage.of(sitting, held);
        assertThat(coverage.covered()).isTrue();
        assertThat(coverage.bareShare()).isZero();
        assertThat(held.turn()).isEqualTo(turn);
        assertThat(held.scaleX()).isGreaterThanOrEqualTo(scale);
        assertThat(sitting.covering(held)).isEqualTo(held);
    }

    /** Zooming about a spot leaves the pixel that is under it where it is. */
    @Tried(100)
    void zoomKeepsWhatIsUnderThePointer(Chance chance) {
        double x = chance.between(-40, 40);
        double y = chance.between(-40, 40);
        double zoom = chance.between(1, 8);
        double turn = chance.between(-90, 90);
        Sitting sitting = new Sitting(SQUARE, 600, 400);
        Pose before = sitting.fitted(Fit.COVER, turn, true, 300);
        Pose after = sitting.zoomed(before, zoom, new Point(x, y));
        Point pixel = before.toPanel(600, 400).inverse().apply(new Point(x, y));
        Point now = after.toPanel(600, 400).apply(pixel);
        assertThat(now.x()).isCloseTo(x, within(1e-9));
        assertThat(now.y()).isCloseTo(y, within(1e-9));
        assertThat(sitting.zoom(after)).isCloseTo(zoom, within(1e-9));
    }

    /** A square turned by 45° reaches √2 of its side (Pythagoras). */
    @Test
    void coverOfATurnedPicture() {
        Sitting sitting = new Sitting(SQUARE, 1000, 1000);
        assertThat(sitting.coverScale(45)).isCloseTo(Math.sqrt(2) * 0.1, within(1e-12));
        assertThat(sitting.zoom(sitting.fitted(Fit.COVER, 45, false, 300))).isCloseTo(1, within(1e-12));
    }

    @Test
    void slackAndBareShareSayHowMuchAndWhere() {
        Sitting sitting = new Sitting(SQUARE, 300, 200);
        Coverage cover = Coverage.of(sitting, sitting.fitted(Fit.COVER, 0, false, 300));
        assertThat(cover.covered()).isTrue();
        assertThat(cover.left()).isCloseTo(25, within(1e-9));
        assertThat(cover.top()).isCloseTo(0, within(1e-9));
        Pose moved = sitting.fitted(Fit.COVER, 0, false, 300).at(new Point(35, 0));
        Coverage bare = Coverage.of(sitting, moved);
        assertThat(bare.covered()).isFalse();
        assertThat(bare.left()).isCloseTo(-10, within(1e-9));
        assertThat(bare.bareShare()).isCloseTo(0.1, within(1e-9));
        assertThat(sitting.covering(moved).centre().x()).isCloseTo(25, within(1e-9));
    }

    /** A picture of 150 mm by 100 mm moved by 35 mm leaves 10 mm bare at the side it comes from, upright as level. */
    @Test
    void theWorstSideIsNamed() {
        for (int turn = 0; turn < 4; turn++) {
            boolean level = turn % 2 == 0;
            Sitting sitting = new Sitting(SQUARE, level ? 300 : 200, level ? 200 : 300);
            double by = turn < 2 ? 35 : -35;
            Coverage bare = Coverage.of(sitting, sitting.fitted(Fit.COVER, 0, false, 300).at(level ? new Point(by, 0) : new Point(0, by)));
            assertThat(bare.missing()).isCloseTo(10, within(1e-9));
            assertThat(bare.worst()).isEqualTo(new String[] {"left", "top", "right", "bottom"}[turn]);
        }
    }

    /** Common practice: 3/4 in at 300 ppi is 225 px, so 225 px over 19.05 mm print at 300 ppi. */
    @Test
    void effectivePpi() {
        Sitting sitting = new Sitting(Rectangle.SHARP.path(19.05, 19.05), 225, 450);
        assertThat(Coverage.of(sitting, sitting.fitted(Fit.COVER, 0, false, 300)).ppi()).isCloseTo(300, within(1e-9));
        Coverage stretched = Coverage.of(sitting, sitting.fitted(Fit.STRETCH, 0, false, 300));
        assertThat(stretched.ppi()).isCloseTo(300, within(1e-9));
        assertThat(stretched.stretch()).isCloseTo(2, within(1e-12));
    }
}
