package plainlantern.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import plainlantern.Chance;
import plainlantern.Tried;
import plainlantern.outline.Ellipse;
import plainlantern.outline.PathData;
import plainlantern.outline.Rectangle;

class PathTest {
    /** Closed form: a regular polygon of n sides s has the area n·s²/(4·tan(π/n)). */
    @Test
    void areaOfARegularPolygon() {
        for (int n : new int[] {3, 5, 6, 12}) {
            List<Point> corners = new ArrayList<>();
            for (int i = 0; i < n; i++) corners.add(new Point(10, 0).turned(360.0 * i / n));
            double side = 2 * 10 * Math.sin(Math.PI / n);
            assertThat(Polygons.area(Path.polygon(corners))).isCloseTo(n * side * side / (4 * Math.tan(Math.PI / n)), within(1e-9));
        }
    }

    /** A circle's area, within the 0.03 % of the cubic approximation. */
    @Test
    void areaAndBoundsOfACircle() {
        Path circle = new Ellipse().path(20, 20);
        assertThat(Polygons.area(circle)).isCloseTo(Math.PI * 100, within(0.1));
        // Whatever way it is turned, a circle's exact bounds stay (its control points would say up to 10 % more).
        for (double turn : new double[] {0, 10, 30, 45, 77}) {
            Box box = circle.mapped(Affine.turn(turn)).bounds();
            assertThat(box.width()).isCloseTo(20, within(0.006));
            assertThat(box.height()).isCloseTo(20, within(0.006));
        }
    }

    /** CSS Backgrounds 3, 4.5: radii of 30 on sides of 40 shrink by 40/60 to 20, so the form becomes a circle. */
    @Test
    void overlappingRadiiShrinkTogether() {
        double area = Polygons.area(new Rectangle(30, 30, 30, 30).path(40, 40));
        assertThat(area).isCloseTo(Math.PI * 400, within(0.4));
    }

    @Test
    void numbersAreWrittenShort() {
        assertThat(PathData.number(12.5, 5)).isEqualTo("12.5");
        assertThat(PathData.number(-0.000004, 5)).isEqualTo("0");
        assertThat(PathData.number(-3.000049, 4)).isEqualTo("-3");
        assertThat(PathData.number(0.0875, 9)).isEqualTo("0.0875");
        assertThat(PathData.number(99.999996, 5)).isEqualTo("100");
        assertThat(PathData.of(Rectangle.SHARP.path(3, 2))).isEqualTo("M-1.5 -1L1.5 -1L1.5 1L-1.5 1Z");
        assertThat(PathData.brief(Rectangle.SHARP.path(3.04, 2), 2)).isEqualTo("M-1.52-1l3.04 0l0 2l-3.04 0z");
        assertThat(PathData.brief(Path.polygon(List.of(new Point(20, 0.4), new Point(20.05, -0.6), new Point(20.06, -0.6))), 1))
                .isEqualTo("M20 .4l.1-1z");
    }

    /** What is left out of one step is in the next: after a thousand of them no place is off by more than half a unit. */
    @Test
    void shortPathsDriftNowhere() {
        List<Point> corners = IntStream.range(0, 1000).mapToObj(i -> new Point(Math.sin(i) * i, i * 0.333)).toList();
        Path read = PathData.read(PathData.brief(Path.polygon(corners), 2), FillRule.EVEN_ODD);
        List<Point> again = read.corners().orElseThrow();
        for (int i = 0; i < corners.size(); i++) assertThat(again.get(i).minus(corners.get(i)).length()).isLessThan(0.0071);
    }

    @Test
    void whatTwoFormsShare() {
        Path a = Rectangle.SHARP.path(10, 10);
        assertThat(Polygons.sharedArea(a, a.mapped(Affine.move(4, 3)))).isCloseTo(42, within(1e-9));
    }

    @Test
    void aMapAndItsInverseUndoEachOther() {
        Affine map = Affine.move(3, -7).after(Affine.turn(33)).after(Affine.scale(-2, 0.5));
        Point p = map.inverse().apply(map.apply(new Point(12.5, 8)));
        assertThat(p.x()).isCloseTo(12.5, within(1e-12));
        assertThat(p.y()).isCloseTo(8, within(1e-12));
    }

    /** Of curves that are quadratic but for rounding, at 1, 2 and 5 m; the extreme of a parabola is a closed form. */
    @Tried(60)
    void boundsOfLargeCurvesAreExact(Chance chance) {
        double size = chance.of(1000.0, 2000.0, 5000.0);
        double y0 = chance.between(0, size / 3);
        double y1 = chance.between(size / 2, size);
        double y2 = chance.between(0, size / 3);
        Point from = new Point(0, y0);
        Path path = new Path(List.of(new Path.Segment.Move(from), Path.raised(from, new Point(size / 3, y1), new Point(size, y2)),
                new Path.Segment.Close()));
        double t = (y0 - y1) / (y0 - 2 * y1 + y2);
        double top = (1 - t) * (1 - t) * y0 + 2 * t * (1 - t) * y1 + t * t * y2;
        assertThat(path.bounds().bottom()).isCloseTo(top, within(1e-9 * size));
        assertThat(path.bounds().y()).isCloseTo(Math.min(y0, y2), within(1e-9 * size));
    }

    /** Rounding one corner leaves all others as they are, in other contours, too. */
    @Test
    void oneCornerIsRoundedAlone() {
        Path frame = new Path(Stream.of(new Box(0, 0, 40, 30), new Box(10, 10, 9, 8), new Box(25, 5, 4, 4))
                .flatMap(box -> Path.box(box).segments().stream()).toList());
        for (int corner = 0; corner < 12; corner++) {
            CornerCuts.Cut cut = CornerCuts.of(frame, 1, true, corner);
            assertThat(cut.made()).isEqualTo(1);
            assertThat(cut.path().segments().stream().filter(Path.Segment.Cubic.class::isInstance)).hasSize(1);
        }
        assertThat(CornerCuts.of(frame, 1, true, -1).made()).isEqualTo(12);
    }

    /** A stroke that turns back on itself has a cusp there, and no curve that leaves it sideways. */
    @Test
    void aStrokeThatReversesStaysOnItsWay() {
        List<Point> stroke = Stream.of(0, 1, 2, 3, 4, 5, 6, 5, 4, 3, 2, 1).map(i -> new Point(20, 10.0 * i)).toList();
        for (Curve curve : CurveFit.stroke(stroke, 0.1)) for (int i = 0; i <= 10; i++) {
            assertThat(curve.at(i / 10.0).x()).isCloseTo(20, within(0.1));
            assertThat(curve.at(i / 10.0).y()).isBetween(-0.1, 60.1);
        }
    }

    @Test
    void degenerateInputHasAnAnswer() {
        assertThat(Polygons.thickness(Path.EMPTY, 1)).isZero();
        assertThatThrownBy(() -> Algebra.rightOf(Path.box(new Box(0, 0, 2, 2)), new Point(1, 1), new Point(1, 1), 0))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
