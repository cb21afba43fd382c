package plainlantern.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import plainlantern.Chance;
import plainlantern.Tried;
import plainlantern.outline.Ellipse;
import plainlantern.outline.Outline;
import plainlantern.outline.Outlines;

/** Dividing forms by a line. */
class HalfPlaneTest {
    /** Both sides of a line together are the whole, for straight and curved, hollow and jagged forms, and each stays on its side. */
    @Tried(300)
    void twoSidesAreTheWhole(Chance chance) {
        Outline outline = chance.of(Outlines.KINDS);
        double heading = chance.between(-180, 180);
        double off = chance.between(-60, 60);
        Path whole = outline.path(120, 90);
        HalfPlane one = new HalfPlane(new Point(1, 0).turned(heading), off);
        HalfPlane other = new HalfPlane(one.normal().times(-1), -off);
        double sum = 0;
        for (HalfPlane side : new HalfPlane[] {one, other}) {
            if (side.clip(whole).isEmpty()) continue;
            Path part = side.clip(whole).get();
            sum += Polygons.area(part);
            for (var ring : part.flattened(8)) for (Point p : ring) assertThat(p.dot(side.normal())).isLessThanOrEqualTo(side.limit() + 1e-6);
        }
        assertThat(sum).isCloseTo(Polygons.area(whole), within(Polygons.area(whole) * 2e-4));
    }

    /** Closed form: a segment of a circle of radius r whose chord is seen under the angle φ has the area r²·(φ − sin φ)/2. */
    @Test
    void aSegmentOfACircle() {
        Path circle = new Ellipse().path(100, 100);
        double phi = 2 * Math.acos(20 / 50.0);
        Path segment = new HalfPlane(new Point(0, -1), -20).clip(circle).orElseThrow();
        assertThat(Polygons.area(segment)).isCloseTo(2500 * (phi - Math.sin(phi)) / 2, within(1.5));
        assertThat(segment.segments().stream().filter(Path.Segment.Cubic.class::isInstance)).isNotEmpty();
        assertThat(segment.bounds().y()).isCloseTo(20, within(1e-9));
        assertThat(new HalfPlane(new Point(0, -1), -50).clip(circle)).isEmpty();
        assertThat(new HalfPlane(new Point(0, 1), 50).clip(circle).orElseThrow().bounds()).isEqualTo(circle.bounds());
    }

    /** A line through two corners makes two triangles, with no corner twice. */
    @Test
    void aLineThroughCorners() {
        Path square = Path.polygon(Convex.of(new Box(0, 0, 10, 10)));
        Path half = HalfPlane.rightOf(new Point(0, 0), new Point(10, 10), 0).clip(square).orElseThrow();
        assertThat(half.segments()).hasSize(4);
        assertThat(Polygons.area(half)).isCloseTo(50, within(1e-9));
    }
}
