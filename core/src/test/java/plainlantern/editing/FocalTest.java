package plainlantern.editing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static plainlantern.Sheets.DAWN;
import static plainlantern.Sheets.after;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import plainlantern.Chance;
import plainlantern.Tried;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.CentrePicture;
import plainlantern.editing.filling.PlaceFocal;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.fitting.Coverage;
import plainlantern.fitting.FocalPlace;
import plainlantern.fitting.Shown;
import plainlantern.fitting.Sitting;
import plainlantern.fitting.Vistas;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Focal;
import plainlantern.sheet.Sheet;

/** The spot of a picture that must be seen. */
class FocalTest {
    private static Sheet sheet(double x, double y) {
        return after(new ShelvePictures(List.of(DAWN)).apply(Sheet.empty("Bay", Unit.MM, 400, 300, 300)),
                "{'kind':'add-panel','outline':{'kind':'ellipse'}}",
                "{'kind':'seat-panels','panels':['p1'],'left':50,'top':50,'width':90,'height':150,'turn':20}",
                        "{'kind':'set-focal','picture':'" + DAWN.id() + "','x':" + x + ",'y':" + y + "}",
                "{'kind':'fill','panels':['p1'],'picture':'" + DAWN.id() + "'}");
    }

    private static Point focal(Sheet sheet) {
        Shown own = Vistas.shown(sheet, sheet.holder("p1")).orElseThrow();
        return FocalPlace.now(Sitting.of(sheet.holder("p1"), DAWN), own.pose(), sheet.picture(DAWN.id()).focal().orElseThrow());
    }

    /** A filled panel is covered, and no covering place of the picture at that size has its focal point nearer to the middle. */
    @Tried(80)
    void fillingBringsItAsNearToTheMiddleAsCoveringAllows(Chance chance) {
        double x = chance.between(0, 1);
        double y = chance.between(0, 1);
        double aside = chance.between(-1, 1);
        Sheet sheet = sheet(x, y);
        Shown own = Vistas.shown(sheet, sheet.holder("p1")).orElseThrow();
        Sitting sitting = Sitting.of(sheet.holder("p1"), DAWN);
        assertThat(Coverage.of(sitting, own.pose()).covered()).isTrue();
        assertThat(sitting.zoom(own.pose())).isCloseTo(1, within(1e-9));
        double off = focal(sheet).distance(Point.ORIGIN);
        var other = own.pose().at(own.pose().centre().plus(new Point(aside * 60, 0)));
        if (Coverage.of(sitting, other).covered())
            assertThat(FocalPlace.now(sitting, other, new Focal(x, y)).distance(Point.ORIGIN)).isGreaterThanOrEqualTo(off - 1e-9);
    }

    /** Free to show an edge, it comes exactly to the place; the nearest of four crossings, of nine middles. */
    @Tried(80)
    void itComesToTheNearestPlace(Chance chance) {
        double x = chance.between(0, 1);
        double y = chance.between(0, 1);
        FocalPlace place = chance.of(FocalPlace.values());
        Sheet free = after(sheet(x, y), "{'kind':'hold-covered','panels':['p1'],'held':false}");
        Point was = focal(free);
        Sheet brought = new PlaceFocal(List.of("p1"), place, false, Typed.FRONTMOST, false).apply(free);
        Point is = focal(brought);
        double[] shares = place == FocalPlace.CENTRE ? new double[] {0.5} : place == FocalPlace.THIRDS ? new double[] {1 / 3.0, 2 / 3.0}
                : new double[] {1 / 6.0, 0.5, 5 / 6.0};
        Box box = free.holder("p1").ownPath().bounds();
        double nearest = Double.MAX_VALUE;
        for (double u : shares) {
            for (double v : shares) {
                Point spot = new Point(box.x() + u * box.width(), box.y() + v * box.height());
                nearest = Math.min(nearest, spot.distance(was));
                if (spot.distance(is) < 1e-9) nearest = Math.min(nearest, is.distance(was));
            }
        }
        assertThat(is.distance(was)).isCloseTo(nearest, within(1e-9));
        assertThat(brought.holder("p1").picture(-1).orElseThrow().flat().fit()).isEqualTo(Fit.FREE);
    }

    @Test
    void itIsSetTakenAwayAndRefusedBesideThePicture() {
        Sheet sheet = sheet(0.25, 0.5);
        assertThat(sheet.picture(DAWN.id()).focal()).contains(new Focal(0.25, 0.5));
        Sheet none = after(sheet, "{'kind':'set-focal','picture':'" + DAWN.id() + "'}");
        assertThat(none.picture(DAWN.id())).isEqualTo(DAWN);
        assertThatThrownBy(() -> after(none, "{'kind':'place-focal','panels':['p1'],'to':'centre'}")).isInstanceOf(BadInput.class)
                .hasMessageContaining("press f");
        assertThatThrownBy(() -> after(sheet, "{'kind':'set-focal','picture':'" + DAWN.id() + "','x':1.2,'y':0}"))
                .isInstanceOf(BadInput.class);
        assertThat(after(none, "{'kind':'fill','panels':['p1'],'picture':'" + DAWN.id() + "'}").holder("p1").picture(-1).orElseThrow()
                .flat().fit()).isEqualTo(Fit.COVER);
    }

    /** Held, it may stop short of the centre: that is said, and enlarging just so far gets there and leaves nothing bare. */
    @Test
    void itSaysThatItStopsShortAndEnlargesOnRequest() {
        Sheet sheet = sheet(0.1, 0.5);
        PlaceFocal centre = new PlaceFocal(List.of("p1"), FocalPlace.CENTRE, false, Typed.FRONTMOST, false);
        Sheet stopped = centre.apply(sheet);
        double short0 = focal(stopped).distance(Point.ORIGIN);
        Remark remark = centre.remark(sheet, stopped).orElseThrow();
        assertThat(short0).isGreaterThan(1);
        assertThat(remark.says()).contains("stops " + sheet.length(short0) + " short of the centre");
        Sheet there = remark.offer().orElseThrow().edit().apply(stopped);
        assertThat(focal(there).distance(Point.ORIGIN)).isLessThan(1e-6);
        Coverage coverage = Coverage.of(Sitting.of(there.holder("p1"), DAWN), there.holder("p1").picture(-1).orElseThrow().flat().pose());
        assertThat(coverage.covered()).isTrue();
        assertThat(Math.min(coverage.left(), coverage.right())).as("no farther than needed").isLessThan(1e-3);
        CentrePicture far = new CentrePicture(List.of("p1"), OptionalDouble.of(500), OptionalDouble.empty(), false, Typed.FRONTMOST);
        assertThat(far.remark(sheet, far.apply(sheet)).orElseThrow().says()).startsWith("It stops at ").contains("Stay covered");
    }
}
