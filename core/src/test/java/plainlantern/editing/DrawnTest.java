package plainlantern.editing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static plainlantern.Sheets.after;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import plainlantern.Chance;
import plainlantern.Sheets;
import plainlantern.Tried;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Curve;
import plainlantern.geometry.CurveFit;
import plainlantern.geometry.FillRule;
import plainlantern.geometry.Nodes;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.geometry.Polygons;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;

/** Forms that are drawn, and their points. */
class DrawnTest {
    private static final Sheet EMPTY = Sheet.empty("Drawn", Unit.MM, 200, 120, 300);
    /** Two triangles that share a side. */
    private static final Sheet TRIANGLES = after(EMPTY, drawn("M20 20L80 20L50 90Z"), drawn("M80 20L50 90L110 90Z"));

    private static String drawn(String d) {
        return "{'kind':'add-drawn','d':'" + d + "'}";
    }

    private static Nodes nodes(Sheet sheet, String panel) {
        return Nodes.of(sheet.holder(panel).pathOnSheet());
    }

    /** The number of the point at a place. */
    private static int at(Sheet sheet, String panel, double x, double y) {
        Nodes nodes = nodes(sheet, panel);
        return IntStream.range(0, nodes.count()).filter(i -> nodes.get(i).at().distance(new Point(x, y)) < 0.01).findFirst().orElseThrow();
    }

    /** A drawn form lies where it was drawn; corners of neighbours stay together when one is moved, unless they are to part. */
    @Test
    void neighboursShareCorners() {
        assertThat(Polygons.area(TRIANGLES.holder("p1").ownPath())).isCloseTo(60 * 70 / 2.0, within(1e-9));
        String move = "{'kind':'move-point','panel':'p1','point':" + at(TRIANGLES, "p1", 50, 90) + ",'part':'point','dx':-10,'dy':5";
        Sheet moved = after(TRIANGLES, move + "}");
        assertThat(nodes(moved, "p1").get(at(moved, "p1", 40, 95)).at().distance(nodes(moved, "p2").get(at(moved, "p2", 40, 95)).at()))
                .isLessThan(1e-9);
        assertThat(Polygons.sharedArea(moved.holder("p1").pathOnSheet(), moved.holder("p2").pathOnSheet())).isLessThan(1e-6);
        Sheet apart = after(TRIANGLES, move + ",'apart':true}");
        assertThat(at(apart, "p2", 50, 90)).isNotNegative();
        Sheet placed = after(TRIANGLES, "{'kind':'set-point','panel':'p2','point':" + at(TRIANGLES, "p2", 80, 20) + ",'across':'8.5 cm'}");
        assertThat(at(placed, "p1", 85, 20)).isEqualTo(at(TRIANGLES, "p1", 80, 20));
    }

    /** A point more changes nothing; one less makes one side of two; smooth and corner; handles turn together, or alone. */
    @Test
    void pointsAreEdited() {
        Sheet round = after(EMPTY, "{'kind':'add-panel','outline':{'kind':'ellipse'},'x':60,'y':60,'width':40,'height':40}");
        double area = Polygons.area(round.holder("p1").ownPath());
        Sheet more = after(round, "{'kind':'add-point','panel':'p1','x':76,'y':75}");
        assertThat(nodes(more, "p1").count()).isEqualTo(5);
        assertThat(Polygons.area(more.holder("p1").ownPath())).isCloseTo(area, within(area * 1e-4));
        Nodes five = nodes(more, "p1");
        int added = IntStream.range(0, 5).filter(i -> five.get(i).at().distance(new Point(74.5, 73.8)) < 1).findFirst().orElseThrow();
        assertThat(five.get(added).at().distance(new Point(60, 60))).isCloseTo(20, within(0.02));
        assertThat(nodes(after(more, "{'kind':'remove-point','panel':'p1','point':" + added + "}"), "p1").count()).isEqualTo(4);
        int right = at(round, "p1", 80, 60);
        Sheet corner = after(round, "{'kind':'set-point','panel':'p1','point':" + right + ",'becomes':'corner'}");
        assertThat(nodes(corner, "p1").get(at(corner, "p1", 80, 60)).hasOut()).isFalse();
        Sheet smooth = after(corner, "{'kind':'set-point','panel':'p1','point':" + at(corner, "p1", 80, 60) + ",'becomes':'smooth'}");
        assertThat(nodes(smooth, "p1").get(at(smooth, "p1", 80, 60)).smooth()).isTrue();
        String handle = "{'kind':'move-point','panel':'p1','point':" + right + ",'part':'out','dx':-5,'dy':0";
        Nodes.Node was = nodes(round, "p1").get(right);
        Sheet turned = after(round, handle + "}");
        Nodes.Node both = nodes(turned, "p1").get(at(turned, "p1", 80, 60));
        assertThat(both.smooth()).isTrue();
        assertThat(both.in().distance(both.at())).isCloseTo(was.in().distance(was.at()), within(1e-9));
        Sheet broken = after(round, handle + ",'apart':true}");
        Nodes.Node alone = nodes(broken, "p1").get(at(broken, "p1", 80, 60));
        assertThat(alone.smooth()).isFalse();
        assertThat(alone.in().distance(was.in())).isLessThan(1e-9);
    }

    /** Whatever the form: as points and back it is the same, and a point put on its outline leaves it as it is. */
    @Tried(100)
    void pointsAreTheForm(Chance chance) {
        Path path = Sheets.outline(chance).path(chance.between(5, 90), chance.between(5, 90)).mapped(Affine.turn(chance.between(0, 360)));
        Nodes nodes = Nodes.of(path);
        assertThat(Polygons.area(nodes.path())).isCloseTo(Polygons.area(path), within(1e-9));
        Nodes.On on = nodes.nearest(new Point(chance.between(-50, 50), chance.between(-50, 50))).orElseThrow();
        assertThat(Polygons.fromEdge(path, on.at())).isLessThan(0.02);
        double area = Polygons.area(path);
        assertThat(Polygons.area(nodes.parted(on).path())).isCloseTo(area, within(area * 1e-3));
    }

    /** Schneider's fit: no point of the stroke is farther from the curves than the tolerance, and curves are far fewer than points. */
    @Tried(40)
    void strokesBecomeCurves(Chance chance) {
        double a = chance.between(5, 30);
        double b = chance.between(0, 1);
        int count = chance.whole(40, 200);
        List<Point> stroke = IntStream.range(0, count).mapToObj(i -> {
            double t = 2 * Math.PI * i / count;
            return new Point(60 + a * Math.cos(t) * (1 + b * 0.3 * Math.cos(3 * t)), 60 + a * Math.sin(t));
        }).toList();
        List<Curve> curves = CurveFit.stroke(stroke, 0.2);
        assertThat(curves.size()).isLessThan(Math.max(5, count / 2));
        Nodes fitted = Nodes.of(Path.closed(curves, FillRule.NON_ZERO));
        for (Point point : stroke) assertThat(fitted.nearest(point).orElseThrow().at().distance(point)).isLessThan(0.2001);
        Sheet sheet = after(EMPTY, "{'kind':'add-drawn','tolerance':0.2,'hand':[" + stroke.stream().map(p -> p.x() + "," + p.y())
                .collect(Collectors.joining(",")) + "]}");
        assertThat(sheet.panels()).hasSize(1);
        Holder panel = sheet.panels().get(0);
        assertThat(panel.boundsOnSheet().centre().distance(new Point(60, 60))).isLessThan(a);
    }

    /** Drawings that cross themselves are filled; flat, empty, open and broken ones are told of, and nothing is lost. */
    @Test
    void oddDrawings() {
        Sheet bow = after(EMPTY, drawn("M20 20L60 60L60 20L20 60Z"));
        assertThat(Polygons.area(bow.holder("p1").ownPath())).isCloseTo(2 * 40 * 20 / 2.0, within(1e-6));
        Sheet twice = after(EMPTY, drawn("M20 20L60 20L60 60L20 60L20 20L60 20L60 60L20 60Z"));
        assertThat(Polygons.area(twice.holder("p1").ownPath())).isCloseTo(1600, within(1e-6));
        assertThat(after(EMPTY, drawn("M20 20L60 20L40 60")).panels()).hasSize(1);
        for (String no : List.of("", "M20 20", "M20 20L60 20Z", "M20 20L60 20L100 20Z", "M20 20L60", "M0 0L1e300 0L5 5Z",
                "M0 0L20000 0L5 5Z",
                "hello", "M0 0L9 9L0 9A1 1 2 2Z"))
            assertThatThrownBy(() -> after(EMPTY, drawn(no))).as(no).isInstanceOf(BadInput.class);
        assertThatThrownBy(() -> after(TRIANGLES, "{'kind':'move-point','panel':'p1','point':9,'part':'point','dx':1,'dy':1}"))
                .isInstanceOf(BadInput.class).hasMessageContaining("no such point");
        assertThatThrownBy(() -> after(TRIANGLES, "{'kind':'remove-point','panel':'p1','point':0}")).isInstanceOf(BadInput.class);
    }
}
