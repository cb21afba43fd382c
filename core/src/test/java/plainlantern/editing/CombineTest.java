package plainlantern.editing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static plainlantern.Sheets.after;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import plainlantern.Chance;
import plainlantern.Sheets;
import plainlantern.Tried;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.geometry.Polygons;
import plainlantern.geometry.Regions;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Sheet;

/** Forms combined, parted into regions, and the small operations on corners and edges. */
class CombineTest {
    private static final Sheet EMPTY = Sheet.empty("Forms", Unit.MM, 200, 120, 300);
    /** Two circles of radius 20, their centres 20 apart. */
    private static final Sheet CIRCLES = after(EMPTY, circle(60, 60, 20), circle(80, 60, 20),
            "{'kind':'rename','panel':'p2','name':'Lens'}");
    /** Four cubic curves are as near to it as 0.03 %. */
    private static final double CIRCLE = Math.PI * 400;
    /** Of two circles of radius r, d apart: 2·r²·acos(d/2r) − d/2·√(4r² − d²). */
    private static final double LENS = 2 * 400 * Math.acos(0.5) - 10 * Math.sqrt(1600 - 400);

    private static String circle(double x, double y, double radius) {
        return "{'kind':'add-panel','outline':{'kind':'ellipse'},'x':" + x + ",'y':" + y + ",'width':" + 2 * radius + ",'height':"
                + 2 * radius
                + "}";
    }

    private static String box(double left, double top, double width, double height) {
        return "{'kind':'add-panel','outline':{'kind':'rectangle','topLeft':0,'topRight':0,'bottomRight':0,'bottomLeft':0},'x':"
                + (left + width / 2) + ",'y':" + (top + height / 2) + ",'width':" + width + ",'height':" + height + "}";
    }

    private static double area(Holder panel) {
        return Polygons.area(panel.ownPath());
    }

    private static Path onSheet(Sheet sheet, String id) {
        return sheet.holder(id).pathOnSheet();
    }

    /** The four ways on two circles, by closed forms; the one clicked last stays, with name and depth; curves stay curves. */
    @Test
    void twoCircles() {
        List<Double> wanted = List.of(2 * CIRCLE - LENS, CIRCLE - LENS, LENS, 2 * CIRCLE - 2 * LENS);
        List<String> ways = List.of("together", "less-front", "common", "less-common");
        for (int i = 0; i < 4; i++) {
            Sheet sheet = after(CIRCLES, "{'kind':'combine','panels':['p1','p2'],'how':'" + ways.get(i) + "','key':'p2'}");
            assertThat(sheet.panels()).extracting(Panel::name).containsExactly("Lens");
            assertThat(area(sheet.panels().get(0))).as(ways.get(i)).isCloseTo(wanted.get(i), within(CIRCLE * 4e-4));
            assertThat(sheet.panels().get(0).ownPath().segments()).noneMatch(s -> s instanceof Path.Segment.Line).hasSizeLessThan(20);
        }
        assertThatThrownBy(() -> after(CIRCLES, "{'kind':'combine','panels':['p1'],'how':'common'}")).isInstanceOf(BadInput.class);
        Sheet apart = after(EMPTY, circle(30, 60, 20), circle(130, 60, 20));
        assertThatThrownBy(() -> after(apart, "{'kind':'combine','panels':['p1','p2'],'how':'common'}")).isInstanceOf(BadInput.class)
                .hasMessageContaining("no part in common");
    }

    /**
     * Four rectangles and circles across their shared sides become four pieces that interlock and fill the whole without gap or overlap.
     */
    @Test
    void fourPiecesInterlock() {
        Sheet sheet = after(EMPTY, box(10, 10, 60, 40), box(70, 10, 60, 40), box(10, 50, 60, 40), box(70, 50, 60, 40),
                circle(70, 30, 8), circle(70, 70, 8), circle(40, 50, 8), circle(100, 50, 8));
        Overlaps overlaps = new Overlaps(sheet);
        assertThat(overlaps.regions.count()).isEqualTo(12);
        // Each rectangle takes the halves of one circle beside it: the tab, and what is left of it.
        List<List<Integer>> groups = IntStream.range(0, 4).<List<Integer>>mapToObj(i -> new ArrayList<>()).toList();
        int[] circles = {0, 3, 2, 1};
        for (int region = 0; region < 12; region++) {
            var owners = overlaps.regions.owners(region);
            int circle = owners.length() - 1 - 4;
            groups.get(circle < 0 ? owners.nextSetBit(0) : circles[circle]).add(region);
        }
        Sheet made = after(sheet, "{'kind':'make-regions','panels':['p1','p2','p3','p4','p5','p6','p7','p8'],'groups':" + groups + "}");
        assertThat(made.panels()).hasSize(4).extracting(Panel::name).containsExactly("Panel 1", "Panel 2", "Panel 3", "Panel 4");
        double sum = made.panels().stream().mapToDouble(CombineTest::area).sum();
        Path whole = Path.box(new Box(10, 10, 120, 80));
        assertThat(sum).isCloseTo(120 * 80, within(1e-4 * 120 * 80));
        assertThat(Polygons.unionShare(made.panels().stream().map(Holder::pathOnSheet).toList(), whole)).isCloseTo(1, within(1e-6));
        for (int i = 0; i < 4; i++) for (int j = 0; j < i; j++)
            assertThat(Polygons.sharedArea(onSheet(made, "p" + (i + 1)), onSheet(made, "p" + (j + 1)))).isLessThan(0.001);
    }

    private record Overlaps(Sheet sheet, Regions regions) {
        Overlaps(Sheet sheet) {
            this(sheet, new Regions(sheet.panels().stream().map(Holder::pathOnSheet).toList(), 0.01));
        }
    }

    /** Whatever the forms: the regions are the union, parted; owners tell the truth; JTS has the same areas of the flattened forms. */
    @Tried(30)
    void regionsAreTheWhole(Chance chance) {
        List<Path> forms = chance.list(2, 9, c -> Sheets.outline(c).path(c.between(5, 60), c.between(5, 60))
                .mapped(Affine.move(c.between(0, 80), c.between(0, 60)).after(Affine.turn(c.between(0, 90)))));
        Regions regions = new Regions(forms, 0.01);
        double sum = regions.small();
        double[] each = new double[forms.size()];
        for (int i = 0; i < regions.count(); i++) {
            double area = Polygons.area(regions.path(i));
            sum += area;
            regions.owners(i).stream().forEach(owner -> each[owner] += area);
            Point inside = regions.inside(i);
            for (int f = 0; f < forms.size(); f++)
                assertThat(Polygons.contains(forms.get(f), inside)).isEqualTo(regions.owners(i).get(f));
        }
        List<Geometry> flat = forms.stream().map(CombineTest::flat).toList();
        double whole = OverlayNGRobust.union(flat).getArea();
        assertThat(sum).isCloseTo(whole, within(1e-4 * whole + 0.02));
        for (int f = 0; f < forms.size(); f++)
            assertThat(each[f]).isCloseTo(flat.get(f).getArea(), within(1e-4 * whole + 0.01 * regions.count()));
    }

    private static Geometry flat(Path path) {
        GeometryFactory factory = new GeometryFactory();
        Geometry area = factory.createPolygon();
        for (List<Point> ring : path.flattened(200)) {
            List<Coordinate> all = new ArrayList<>(ring.stream().map(p -> new Coordinate(p.x(), p.y())).toList());
            all.add(all.get(0).copy());
            area = area.symDifference(factory.createPolygon(all.toArray(Coordinate[]::new)));
        }
        return area;
    }

    /** A rounded corner of a square loses r²·(1 − π/4), a bevelled one b²/2; too large a radius becomes what fits, and is said. */
    @Test
    void cornersAreRoundedAndBevelled() {
        Sheet square = after(EMPTY, box(10, 10, 40, 40), "{'kind':'turn-panels','panels':['p1'],'by':30}",
                "{'kind':'cut','x1':0,'y1':30.5,'x2':200,'y2':30.5,'gap':0,'panels':['p1']}",
                        "{'kind':'combine','panels':['p1','p2'],'how':'together'}");
        assertThat(area(square.panels().get(0))).isCloseTo(1600, within(1e-6));
        String id = square.panels().get(0).id();
        Sheet round = after(square, "{'kind':'shape-corners','panels':['" + id + "'],'size':'5 mm'}");
        assertThat(area(round.holder(id))).isCloseTo(1600 - 4 * 25 * (1 - Math.PI / 4), within(0.03));
        Sheet bevelled = after(square, "{'kind':'shape-corners','panels':['" + id + "'],'size':'5 mm','bevel':true}");
        assertThat(area(bevelled.holder(id))).isCloseTo(1600 - 4 * 12.5, within(1e-6));
        Sheet one = after(square, "{'kind':'shape-corners','panels':['" + id + "'],'size':'5 mm','bevel':true,'corner':1}");
        assertThat(area(one.holder(id))).isCloseTo(1600 - 12.5, within(1e-6));
        Sheet most = after(square, "{'kind':'shape-corners','panels':['" + id + "'],'size':'500 mm'}");
        assertThat(area(most.holder(id))).isCloseTo(CIRCLE, within(1.0));
        Sheet lens = after(CIRCLES, "{'kind':'combine','panels':['p1','p2'],'how':'common','key':'p2'}");
        Sheet soft = after(lens, "{'kind':'shape-corners','panels':['p2'],'size':'3 mm'}");
        assertThat(area(soft.holder("p2"))).isLessThan(LENS - 0.5).isGreaterThan(LENS - 40);
        // Points of the arc are 3 mm from its middle, which is 3 mm inside of both circles: 17 mm from either centre.
        double middle = Math.sqrt(17 * 17 - 100);
        assertThat(soft.holder("p2").seat().height() / 2).isCloseTo(middle + 3, within(0.01));
        assertThatThrownBy(() -> after(CIRCLES, "{'kind':'shape-corners','panels':['p1'],'size':3}")).isInstanceOf(BadInput.class);
    }

    /** Steiner's formula: a convex form grown by b has b·perimeter + π·b² more; curves come out as few curves, within a hundredth. */
    @Test
    void formsGrowAndShrink() {
        Sheet grown = after(CIRCLES, "{'kind':'grow','panels':['p1'],'by':'5 mm'}");
        assertThat(area(grown.holder("p1"))).isCloseTo(Math.PI * 625, within(2 * Math.PI * 25 * 0.01));
        assertThat(grown.holder("p1").ownPath().segments()).hasSizeLessThan(20);
        Sheet shrunk = after(grown, "{'kind':'grow','panels':['p1'],'by':'-5 mm'}");
        assertThat(area(shrunk.holder("p1"))).isCloseTo(CIRCLE, within(2 * Math.PI * 20 * 0.02));
        Sheet square = after(EMPTY, box(10, 10, 40, 40));
        assertThat(after(square, "{'kind':'grow','panels':['p1'],'by':3}").holder("p1").outline()).isEqualTo(Rectangle.SHARP);
        Sheet round = after(square, "{'kind':'grow','panels':['p1'],'by':3,'round':true}");
        assertThat(area(round.holder("p1"))).isCloseTo(1600 + 4 * 40 * 3 + Math.PI * 9, within(0.2));
        assertThat(round.holder("p1").ownPath().segments().stream().filter(s -> s instanceof Path.Segment.Line).count()).isEqualTo(4);
        assertThatThrownBy(() -> after(CIRCLES, "{'kind':'grow','panels':['p1'],'by':-20}")).isInstanceOf(BadInput.class)
                .hasMessageContaining("Nothing would be left");
    }

    /** Six around a point stand 60 degrees apart; the pictures' panels turn along. */
    @Test
    void panelsStandAroundAPoint() {
        Sheet sheet = after(EMPTY, box(95, 20, 10, 20), "{'kind':'repeat-around','panels':['p1'],'x':100,'y':60,'count':6}");
        assertThat(sheet.panels()).hasSize(6);
        for (int i = 0; i < 6; i++) {
            assertThat(sheet.panels().get(i).seat().centre().distance(new Point(100, 60))).isCloseTo(30, within(1e-9));
            assertThat(Math.floorMod(Math.round(sheet.panels().get(i).seat().turn()), 360)).isEqualTo(60 * i);
        }
    }
}
