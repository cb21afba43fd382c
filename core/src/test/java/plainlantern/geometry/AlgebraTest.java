package plainlantern.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import plainlantern.Chance;
import plainlantern.Tried;
import plainlantern.lettering.LetterStyle;
import plainlantern.lettering.Setting;
import plainlantern.lettering.Typeface;
import plainlantern.outline.Ellipse;
import plainlantern.outline.Heart;
import plainlantern.outline.Outlines;
import plainlantern.outline.Ring;
import plainlantern.outline.Star;

/** Forms combined and divided, their curves kept. */
class AlgebraTest {
    private static final GeometryFactory FACTORY = new GeometryFactory();

    private static Path form(Chance chance) {
        Affine map = Affine.move(chance.between(-60, 60), chance.between(-60, 60)).after(Affine.turn(chance.between(-180, 180)));
        return chance.of(Outlines.KINDS).path(chance.between(5, 150), chance.between(5, 150)).mapped(map);
    }

    /** By JTS alone, every curve in a thousand chords. */
    private static double area(Path one, Path other, int operation) {
        return OverlayNGRobust.overlay(fine(one), fine(other), operation).getArea();
    }

    private static Geometry fine(Path path) {
        Geometry whole = FACTORY.createPolygon();
        for (List<Point> ring : path.flattened(1000)) {
            List<Coordinate> corners = new ArrayList<>(ring.stream().map(p -> new Coordinate(p.x(), p.y())).toList());
            corners.add(corners.get(0).copy());
            Geometry drawn = FACTORY.createPolygon(corners.toArray(Coordinate[]::new)).buffer(0);
            whole = OverlayNGRobust.overlay(whole, drawn, OverlayNG.SYMDIFFERENCE);
        }
        return whole;
    }

    private static double area(Optional<Path> path) {
        return path.map(p -> fine(p).getArea()).orElse(0.0);
    }

    /** Areas of union, intersection and difference against JTS to 1e-4, for any two forms; every curve is a part of one of theirs. */
    @Tried(200)
    void areasAreThoseOfJts(Chance chance) {
        Path one = form(chance);
        Path other = form(chance);
        double most = 1e-4 * Math.max(fine(one).getArea(), fine(other).getArea());
        assertThat(area(Algebra.union(one, other))).isCloseTo(area(one, other, OverlayNG.UNION), within(most));
        assertThat(area(Algebra.intersection(one, other))).isCloseTo(area(one, other, OverlayNG.INTERSECTION), within(most));
        assertThat(area(Algebra.difference(one, other))).isCloseTo(area(one, other, OverlayNG.DIFFERENCE), within(most));
        int steps = one.segments().size() + other.segments().size();
        Algebra.union(one, other).ifPresent(path -> assertThat(path.segments().size()).isLessThan(4 * steps + 60));
    }

    /** Combined with itself a form stays itself, turned into nothing or all; combined with a part of its own, too. */
    @Tried(value = 100, also = 4381736279656227912L)
    void whatRunsAlongOneCurveIsOne(Chance chance) {
        Path whole = form(chance);
        Point a = new Point(chance.between(-70, 70), chance.between(-70, 70));
        Optional<Path> half = Algebra.rightOf(whole, a, a.plus(new Point(1, 0).turned(chance.between(-180, 180))), 0);
        if (half.isEmpty()) return;
        double area = fine(whole).getArea();
        assertThat(area(Algebra.intersection(whole, half.get()))).isCloseTo(area(half), within(1e-4 * area));
        assertThat(area(Algebra.union(whole, half.get()))).isCloseTo(area, within(1e-4 * area));
        Optional<Path> rest = Algebra.difference(whole, half.get());
        assertThat(area(rest) + area(half)).isCloseTo(area, within(1e-4 * area));
        rest.ifPresent(path -> assertThat(area(Algebra.union(path, half.get()))).isCloseTo(area, within(1e-4 * area)));
    }

    /** What lies side by side is one form when it is united, without a line between; what is cut off leaves no way along what it shared. */
    @Test
    void whatTouchesIsOne() {
        Path left = Path.box(new Box(0, 0, 10, 10));
        Path right = Path.polygon(List.of(new Point(10, 0), new Point(20, 5), new Point(10, 10)));
        assertThat(Algebra.union(left, Path.box(new Box(10, 0, 15, 10))).orElseThrow().contours()).hasSize(1).allMatch(c -> c.size() == 4);
        assertThat(Algebra.union(left, right).orElseThrow().contours()).hasSize(1).allMatch(c -> c.size() == 5);
        Path star = new Star(5, 0.5, 0).path(5, 111).mapped(Affine.move(-60, -15).after(Affine.turn(27)));
        Path tips = Algebra.difference(star, Algebra.rightOf(star, new Point(-70, 28), new Point(-71, 28), 0).orElseThrow()).orElseThrow();
        assertThat(tips.contours()).hasSize(2).allMatch(contour -> contour.size() == 3);
    }

    /** Both sides of a line together are the whole, and each stays on its side. */
    @Tried(300)
    void twoSidesAreTheWhole(Chance chance) {
        Path whole = chance.of(Outlines.KINDS).path(120, 90);
        Point way = new Point(1, 0).turned(chance.between(-180, 180));
        Point a = new Point(-way.y(), way.x()).times(chance.between(-60, 60));
        double sum = 0;
        for (int side : new int[] {1, -1}) {
            Point to = a.plus(way.times(side));
            Optional<Path> part = Algebra.rightOf(whole, a, to, 0);
            if (part.isEmpty()) continue;
            sum += fine(part.get()).getArea();
            Point right = new Point(-way.y(), way.x()).times(side);
            for (var ring : part.get().flattened(8)) for (Point p : ring) assertThat(p.minus(a).dot(right)).isGreaterThanOrEqualTo(-1e-6);
        }
        assertThat(sum).isCloseTo(fine(whole).getArea(), within(fine(whole).getArea() * 1e-4));
    }

    /**
     * Closed form: a segment of a circle of radius r whose chord is seen under the angle φ has the area r²·(φ − sin φ)/2;
     * it is an arc and a chord.
     */
    @Test
    void aSegmentOfACircle() {
        Path circle = new Ellipse().path(100, 100);
        double phi = 2 * Math.acos(20 / 50.0);
        Path segment = Algebra.rightOf(circle, new Point(-9, 20), new Point(9, 20), 0).orElseThrow();
        assertThat(fine(segment).getArea()).isCloseTo(2500 * (phi - Math.sin(phi)) / 2, within(1.5));
        assertThat(segment.segments()).hasSize(4);
        assertThat(segment.bounds().y()).isCloseTo(20, within(1e-9));
        assertThat(segment.bounds().width()).isCloseTo(2 * Math.sqrt(2500 - 400), within(0.05));
        assertThat(Algebra.rightOf(circle, new Point(0, 50), new Point(9, 50), 0)).isEmpty();
        assertThat(Algebra.rightOf(circle, new Point(0, -50), new Point(9, -50), 0).orElseThrow().bounds()).isEqualTo(circle.bounds());
    }

    /** A line through two corners makes two triangles, with no corner twice. */
    @Test
    void aLineThroughCorners() {
        Path half = Algebra.rightOf(Path.box(new Box(0, 0, 10, 10)), new Point(0, 0), new Point(10, 10), 0).orElseThrow();
        assertThat(half.corners().orElseThrow()).hasSize(3);
        assertThat(fine(half).getArea()).isCloseTo(50, within(1e-9));
    }

    /** A rectangle trimmed to a circle has an arc where the circle trims it, and few corners. */
    @Test
    void aPieceTrimmedToACircleHasAnArc() {
        Path piece = Algebra.intersection(new Ellipse().path(100, 100), Path.box(new Box(0, 0, 60, 60))).orElseThrow();
        assertThat(piece.segments()).hasSize(4);
        assertThat(piece.contours().get(0)).filteredOn(c -> !c.straight()).hasSize(1);
    }

    /**
     * Cut through its hole a ring is two arcs on either side, a heart below its dent two humps: each a contour of its own, with no bridge
     * between.
     */
    @Test
    void whatACutPartsHasContoursOfItsOwn() {
        Path ring = new Ring(0.5).path(100, 100);
        assertThat(Algebra.rightOf(ring, new Point(0, 0), new Point(1, 0), 0).orElseThrow().contours()).hasSize(1);
        Path sides = Algebra.difference(ring, Path.box(new Box(-60, -10, 120, 20))).orElseThrow();
        assertThat(sides.contours()).hasSize(2);
        Box heart = new Heart().path(100, 100).bounds();
        Path humps = Algebra.rightOf(new Heart().path(100, 100), new Point(0, heart.y() + 2), new Point(-1, heart.y() + 2), 0)
                .orElseThrow();
        assertThat(humps.contours()).hasSize(2);
        assertThat(Algebra.difference(new Ellipse().path(100, 100), new Ellipse().path(40, 40)).orElseThrow().contours()).hasSize(2);
    }

    /** Letters whose contours overlap are filled by the non-zero rule: where two strokes cross there is no hole. */
    @Test
    void theFillRuleIsKept() {
        List<Path.Segment> both = new ArrayList<>(Path.box(new Box(0, 0, 30, 10)).segments());
        both.addAll(Path.box(new Box(10, -10, 10, 30)).segments());
        assertThat(Polygons.area(new Path(both, FillRule.NON_ZERO))).isCloseTo(500, within(1e-9));
        assertThat(Polygons.area(new Path(both, FillRule.EVEN_ODD))).isCloseTo(400, within(1e-9));
        assertThat(area(Algebra.intersection(new Path(both, FillRule.NON_ZERO), Path.box(new Box(5, 0, 20, 10)))))
                .isCloseTo(200, within(1e-9));
        LetterStyle style = LetterStyle.of(Typeface.HANKEN_GROTESK, 40, Setting.Side.LEFT);
        Path letters = style.setting().of(style.setting().block("eight", OptionalDouble.empty()));
        assertThat(letters.rule()).isEqualTo(FillRule.NON_ZERO);
        Path cut = Algebra.difference(letters, Path.box(new Box(-200, -1, 400, 2))).orElseThrow();
        assertThat(Polygons.area(cut)).isBetween(0.8 * Polygons.area(letters), 0.99 * Polygons.area(letters));
    }
}
