package plainlantern.fitting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import plainlantern.Chance;
import plainlantern.Sheets;
import plainlantern.Tried;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.geometry.Point;
import plainlantern.outline.Ellipse;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Panel;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Pose;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

class RefitTest {
    private static final Sheet SHEET = new ShelvePictures(List.of(Sheets.DAWN)).apply(Sheet.empty("s", Unit.MM, 300, 300, 300));

    private static Panel panel(double width, double height, Fit fit, Pose placement, boolean held) {
        return Panel.empty("p1", "Centre", Rectangle.SHARP, Seat.upright(new Point(100, 100), width, height))
                .withContent(List.of(PictureLayer.own(Sheets.DAWN, fit, placement, held)));
    }

    private static Coverage coverage(Holder panel) {
        return PanelState.coverage(SHEET, panel).orElseThrow();
    }

    /** A picture placed by hand keeps its zoom, and a panel sized there and back has it where it was. */
    @Tried(200)
    void zoomStaysAndSizingBackRestores(Chance chance) {
        double width = chance.between(20, 200);
        double height = chance.between(20, 200);
        double zoom = chance.between(1, 4);
        double turn = chance.between(-60, 60);
        Panel before = panel(90, 60, Fit.FREE, null, false);
        Sitting sitting = Sitting.of(before, Sheets.DAWN);
        Pose placement = sitting.zoomed(sitting.fitted(Fit.COVER, turn, false, 300), zoom, new Point(12, -7));
        before = panel(90, 60, Fit.FREE, placement, false);
        Holder sized = Refit.resized(SHEET, before, before.withSeat(before.seat().sized(width, height)));
        assertThat(coverage(sized).zoom()).isCloseTo(zoom, within(1e-9));
        Holder back = Refit.resized(SHEET, sized, sized.withSeat(before.seat()));
        Pose restored = back.picture(-1).orElseThrow().flat().pose();
        assertThat(restored.centre().x()).isCloseTo(placement.centre().x(), within(1e-9));
        assertThat(restored.centre().y()).isCloseTo(placement.centre().y(), within(1e-9));
        assertThat(restored.scaleX()).isCloseTo(placement.scaleX(), within(1e-12));
    }

    @Test
    void aRuleIsAppliedAnew() {
        Pose any = new Pose(new Point(5, 5), 1, 1, 0, true);
        for (Fit fit : List.of(Fit.COVER, Fit.CONTAIN, Fit.STRETCH)) {
            Panel before = panel(90, 60, fit, any, true);
            Holder after = Refit.resized(SHEET, before, before.withSeat(before.seat().sized(50, 80)));
            assertThat(after.picture(-1).orElseThrow().flat().pose())
                    .isEqualTo(Sitting.of(after, Sheets.DAWN).fitted(fit, 0, true, 300));
        }
    }

    /** A rectangle in place of an ellipse uncovers the corners of a turned picture: it grows if it is held, else it stays. */
    @Test
    void anotherFormCoversAgainOnlyWhatIsHeld() {
        Panel round = panel(80, 80, Fit.FREE, null, true).withOutline(new Ellipse());
        Pose tight = Sitting.of(round, Sheets.DAWN).fitted(Fit.COVER, 30, false, 300);
        for (boolean held : new boolean[] {true, false}) {
            Holder square = Refit.reformed(SHEET, panel(80, 80, Fit.FREE, tight, held).withOutline(Rectangle.SHARP));
            assertThat(coverage(square).covered()).isEqualTo(held);
            if (!held) assertThat(square.picture(-1).orElseThrow().flat().pose()).isEqualTo(tight);
        }
    }

    @Test
    void statesInOneWord() {
        assertThat(PanelState.of(SHEET, panel(90, 60, Fit.FREE, null, true).withContent(List.of()))).isEqualTo(PanelState.EMPTY);
        Panel good = panel(90, 60, Fit.COVER, new Pose(Point.ORIGIN, 0.015, 0.015, 0, false), true);
        assertThat(PanelState.of(SHEET, good)).isEqualTo(PanelState.COVERED);
        Panel soft = panel(900, 600, Fit.COVER, new Pose(Point.ORIGIN, 0.15, 0.15, 0, false), true);
        assertThat(PanelState.of(SHEET, soft)).isEqualTo(PanelState.SOFT);
        Panel bare = panel(90, 60, Fit.FREE, new Pose(new Point(1, 0), 0.015, 0.015, 0, false), false);
        assertThat(PanelState.of(SHEET, bare)).isEqualTo(PanelState.BARE);
        assertThat(coverage(bare).bareShare()).isCloseTo(1 / 90.0, within(1e-9));
    }

    /** A circle half left bare: the closed form of a half circle, within the curve's 0.03 %. */
    @Test
    void bareShareOfACircle() {
        Sitting sitting = new Sitting(new Ellipse().path(100, 100), 1000, 1000);
        Coverage half = Coverage.of(sitting, new Pose(new Point(50, 0), 0.1, 0.1, 0, false));
        assertThat(half.bareShare()).isCloseTo(0.5, within(1e-3));
        // The circle segment left of x = −25 has the share 1/3 − √3/(4π).
        Coverage segment = Coverage.of(sitting, new Pose(new Point(25, 0), 0.1, 0.1, 0, false));
        assertThat(segment.bareShare()).isCloseTo(1 / 3.0 - Math.sqrt(3) / (4 * Math.PI), within(1e-3));
    }
}
