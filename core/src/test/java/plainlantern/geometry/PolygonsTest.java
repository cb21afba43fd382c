package plainlantern.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import plainlantern.outline.Ellipse;
import plainlantern.outline.RegularPolygon;
import plainlantern.outline.Ring;

/** Places and measures of forms against closed forms. */
class PolygonsTest {
    /** The area of a regular polygon is n·s²/(4·tan(π/n)), of a circle πr²; of a ring what is left of it. */
    @Test
    void areas() {
        double side = 10;
        double hexagon = 6 * side * side / (4 * Math.tan(Math.PI / 6));
        Path path = new RegularPolygon(6, 0, false).path(side * Math.sqrt(3), 2 * side);
        assertThat(Polygons.area(path)).isCloseTo(hexagon, within(1e-6));
        assertThat(Polygons.area(new Ellipse().path(20, 20))).isCloseTo(Math.PI * 100, within(0.2));
        assertThat(Polygons.area(new Ring(0.5).path(20, 20))).isCloseTo(Math.PI * 75, within(0.2));
    }

    @Test
    void placesAndTheirDistanceFromTheEdge() {
        Path ring = new Ring(0.5).path(20, 20);
        assertThat(Polygons.contains(ring, new Point(7.5, 0))).isTrue();
        assertThat(Polygons.contains(ring, Point.ORIGIN)).isFalse();
        assertThat(Polygons.fromEdge(ring, new Point(7, 0))).isCloseTo(2, within(0.01));
        assertThat(Polygons.fromEdge(ring, new Point(13, 0))).isCloseTo(3, within(0.01));
    }

    /** A circle is as thick as its diameter, a turned rectangle as its shorter side, an equilateral triangle as its height. */
    @Test
    void thickness() {
        assertThat(Polygons.thickness(new Ellipse().path(9, 9), 20)).isCloseTo(9, within(0.1));
        Path bar = Path.box(new Box(0, 0, 40, 3)).mapped(Affine.turn(33));
        assertThat(Polygons.thickness(bar, 20)).isCloseTo(3, within(1e-9));
        Path triangle = Path.polygon(List.of(new Point(0, 0), new Point(10, 0), new Point(5, 5 * Math.sqrt(3))));
        assertThat(Polygons.thickness(triangle, 20)).isCloseTo(5 * Math.sqrt(3), within(1e-9));
        assertThat(Polygons.thickness(new Ring(0.9).path(10, 10), 2)).isCloseTo(0.5, within(0.02));
        assertThat(Polygons.narrow(Path.polygon(List.of(new Point(0, 0), new Point(20, 0), new Point(20, 10), new Point(10, 10),
                new Point(10, 0.3),
                new Point(0, 0.3))), 0.5)).isCloseTo(3, within(0.2));
    }

    /** Grown by d a convex polygon gains perimeter·d, and at its corners πd² where they are round, 4d² at right angles kept sharp. */
    @Test
    void growing() {
        Path box = Path.box(new Box(0, 0, 30, 20));
        assertThat(Polygons.area(Polygons.grown(box, 2).orElseThrow())).isCloseTo(600 + 200 + Math.PI * 4, within(0.05));
        assertThat(Polygons.area(Polygons.grownSharp(box, 2, 10).orElseThrow())).isCloseTo(34 * 24, within(1e-9));
        assertThat(Polygons.area(Polygons.grownSharp(box, -2, 10).orElseThrow())).isCloseTo(26 * 16, within(1e-9));
        assertThat(Polygons.grown(box, -10)).isEmpty();
        assertThat(Path.box(new Box(1, 2, 3, 4)).bounds()).isEqualTo(new Box(1, 2, 3, 4));
    }
}
