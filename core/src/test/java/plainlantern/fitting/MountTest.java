package plainlantern.fitting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.math3.linear.Array2DRowRealMatrix;
import org.apache.commons.math3.linear.ArrayRealVector;
import org.apache.commons.math3.linear.LUDecomposition;
import org.apache.commons.math3.linear.RealVector;
import org.junit.jupiter.api.Test;
import plainlantern.Chance;
import plainlantern.Sheets;
import plainlantern.Tried;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.Pictures;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.geometry.Projective;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Plane;
import plainlantern.sheet.Sheet;

/** Planes seen at an angle: their map, their proportions, and how pictures lie in them. */
class MountTest {
    private static final String DAWN = Sheets.DAWN.id();
    /** A frame on a wall to the left, a wide one, mm. */
    private static final String FRAME = "[{'x':20,'y':30},{'x':120,'y':45},{'x':118,'y':100},{'x':22,'y':118}]";

    private static Sheet sheet(String... edits) {
        return Sheets.after(new ShelvePictures(List.of(Sheets.DAWN, Sheets.TALL)).apply(Sheet.empty("s", Unit.MM, 200, 150, 72)), edits);
    }

    private static Sheet mounted(String... more) {
        return Sheets.after(sheet("{'kind':'mount-here','picture':'" + DAWN + "','corners':" + FRAME + "}"), more);
    }

    private static List<Point> quad(Chance chance) {
        List<Point> out = new ArrayList<>();
        for (int[] at : new int[][] {{0, 0}, {1, 0}, {1, 1}, {0, 1}})
            out.add(new Point(200 * at[0] + chance.between(-50, 50), 150 * at[1] + chance.between(-40, 40)));
        return out;
    }

    /** The eight equations of Heckbert 1989, solved by Commons Math. */
    @Tried(value = 60, also = 321889580136943173L)
    void theMapIsThatOfTheEightEquations(Chance chance) {
        List<Point> to = quad(chance);
        double[][] rows = new double[8][];
        double[] right = new double[8];
        double[][] square = {{0, 0}, {1, 0}, {1, 1}, {0, 1}};
        for (int i = 0; i < 4; i++) {
            double u = square[i][0];
            double v = square[i][1];
            Point p = to.get(i);
            rows[i] = new double[] {u, v, 1, 0, 0, 0, -u * p.x(), -v * p.x()};
            rows[4 + i] = new double[] {0, 0, 0, u, v, 1, -u * p.y(), -v * p.y()};
            right[i] = p.x();
            right[4 + i] = p.y();
        }
        RealVector c = new LUDecomposition(new Array2DRowRealMatrix(rows)).getSolver().solve(new ArrayRealVector(right));
        Projective map = Projective.onto(to);
        for (int i = 0; i < 20; i++) {
            double u = chance.between(0, 1);
            double v = chance.between(0, 1);
            double w = c.getEntry(6) * u + c.getEntry(7) * v + 1;
            Point theirs = new Point((c.getEntry(0) * u + c.getEntry(1) * v + c.getEntry(2)) / w,
                    (c.getEntry(3) * u + c.getEntry(4) * v + c.getEntry(5)) / w);
            Point ours = map.apply(new Point(u, v));
            assertThat(ours.distance(theirs)).isLessThan(1e-8);
            assertThat(map.inverse().apply(ours).distance(new Point(u, v))).isLessThan(1e-9);
            // The nearest affine map is what differences tell, from both sides: how the map bends falls out of them.
            Affine local = map.local(new Point(u, v));
            Point after = new Point(u + 1e-6, v - 2e-6);
            Point before = new Point(u - 1e-6, v + 2e-6);
            assertThat(local.apply(after).minus(local.apply(before)).distance(map.apply(after).minus(map.apply(before)))).isLessThan(1e-8);
            assertThat(local.apply(new Point(u, v)).distance(ours)).isLessThan(1e-9);
        }
    }

    /** Rectangles before a camera of our own, turned every way: their proportions come back from the four corners in the photograph. */
    @Tried(80)
    void proportionsComeBackFromAPhotograph(Chance chance) {
        double width = chance.between(0.3, 3);
        double lens = chance.between(0.7, 2);
        double[] turn = {chance.between(0.25, 0.8), chance.between(0.25, 0.8), chance.between(-0.5, 0.5)};
        List<Point> corners = new ArrayList<>();
        for (int[] at : new int[][] {{-1, -1}, {1, -1}, {1, 1}, {-1, 1}})
            corners.add(photographed(at[0] * width / 2, at[1] / 2.0, turn, lens, 6));
        Onlook onlook = new Onlook(new Point(70, 40), 100);
        List<Point> there = corners.stream().map(p -> p.times(100).plus(new Point(70, 40))).toList();
        Proportions found = Proportions.of(there, onlook);
        if (!found.determined()) return;
        assertThat(found.ratio()).isCloseTo(width, within(1e-6 * width));
    }

    /** A pinhole camera: the rectangle is turned about all three axes and moved away. */
    private static Point photographed(double x, double y, double[] turn, double lens, double far) {
        double[] p = {x, y, 0};
        for (int axis = 0; axis < 3; axis++) {
            double cos = Math.cos(turn[axis]);
            double sin = Math.sin(turn[axis]);
            int a = (axis + 1) % 3;
            int b = (axis + 2) % 3;
            double one = cos * p[a] - sin * p[b];
            p[b] = sin * p[a] + cos * p[b];
            p[a] = one;
        }
        return new Point(lens * p[0] / (p[2] + far), lens * p[1] / (p[2] + far));
    }

    /** From the front and with parallel sides the corners tell their proportions; with one pair of parallel sides they do not. */
    @Test
    void whatCornersDoNotTellIsSaid() {
        Onlook onlook = new Onlook(new Point(50, 50), 141);
        assertThat(Proportions.of(List.of(new Point(0, 0), new Point(60, 0), new Point(60, 40), new Point(0, 40)), onlook))
                .isEqualTo(new Proportions(1.5, true));
        List<Point> wall = List.of(new Point(20, 20), new Point(80, 30), new Point(80, 70), new Point(20, 80));
        assertThat(Proportions.of(wall, onlook).determined()).isFalse();
        assertThat(Proportions.of(wall, onlook).ratio()).isBetween(1.0, 4.0);
    }

    /** Four clicks in any order make one panel of that form, its picture cropped to the true proportions and covering it. */
    @Test
    void fourClicksMakeAPanel() {
        Sheet sheet = mounted();
        Holder panel = sheet.holder("p1");
        Shown shown = Vistas.shown(sheet, panel).orElseThrow();
        assertThat(PanelState.of(sheet, panel)).isEqualTo(PanelState.COVERED);
        Coverage coverage = PanelState.coverage(sheet, panel).orElseThrow();
        assertThat(coverage.zoom()).isCloseTo(1, within(1e-9));
        assertThat(coverage.stretch()).isEqualTo(1);
        Plane plane = shown.plane().orElseThrow();
        List<Point> there = plane.corners().stream().map(panel.seat().toSheet()::apply).toList();
        assertThat(there.get(0).distance(new Point(20, 30))).isLessThan(1e-9);
        assertThat(there.get(2).distance(new Point(118, 100))).isLessThan(1e-9);
        Sheet other = sheet("{'kind':'mount-here','picture':'" + DAWN
                + "','corners':[{'x':22,'y':118},{'x':120,'y':45},{'x':20,'y':30},{'x':118,'y':100}]}");
        assertThat(other.holder("p1").content()).isEqualTo(panel.content());
        // A picture that is put in its place hangs in the same plane.
        Sheet filled = Sheets.after(sheet, "{'kind':'fill','panels':['p1'],'picture':'" + Sheets.TALL.id() + "'}");
        assertThat(Vistas.shown(filled, filled.holder("p1")).orElseThrow().plane()).contains(plane);
        assertThat(PanelState.of(filled, filled.holder("p1"))).isEqualTo(PanelState.COVERED);
    }

    /** The lowest ppi is that of a dense search with differences instead of the map's slopes. */
    @Test
    void ppiIsTheLowestAnywhere() {
        Sheet sheet = mounted();
        Holder panel = sheet.holder("p1");
        Projective toPanel = Vistas.shown(sheet, panel).orElseThrow().toPanel();
        Projective back = toPanel.inverse();
        double lowest = Double.POSITIVE_INFINITY;
        Path form = panel.ownPath();
        List<Point> c = form.corners().orElseThrow();
        for (double s = 0; s <= 1; s += 0.02) for (double t = 0; t <= 1; t += 0.02) {
            Point top = c.get(0).plus(c.get(1).minus(c.get(0)).times(s));
            Point foot = c.get(3).plus(c.get(2).minus(c.get(3)).times(s));
            Point at = top.plus(foot.minus(top).times(t));
            Point here = back.apply(at);
            for (double angle = 0; angle < Math.PI; angle += 0.02) {
                Point beside = back.apply(at.plus(new Point(Math.cos(angle), Math.sin(angle)).times(1e-4)));
                lowest = Math.min(lowest, here.distance(beside) / 1e-4 * 25.4);
            }
        }
        assertThat(PanelState.coverage(sheet, panel).orElseThrow().ppi()).isCloseTo(lowest, within(0.01 * lowest));
    }

    /** Corners move with their panel's form; zoom and shift stay in the plane; said proportions stay; flat again it covers. */
    @Test
    void cornersAreMoved() {
        Sheet zoomed = mounted("{'kind':'zoom-picture','panels':['p1'],'zoom':140}",
                "{'kind':'move-picture','panels':['p1'],'dx':3,'dy':-2}");
        Sheet moved = Sheets.after(zoomed, "{'kind':'set-corner','panels':['p1'],'corner':1,'across':130,'down':'40 mm'}");
        Holder panel = moved.holder("p1");
        assertThat(panel.pathOnSheet().corners().orElseThrow()).anyMatch(p -> p.distance(new Point(130, 40)) < 1e-9)
                .anyMatch(p -> p.distance(new Point(22, 118)) < 1e-9);
        assertThat(PanelState.coverage(moved, panel).orElseThrow().zoom()).isCloseTo(1.4, within(1e-9));
        Sheet centred = Sheets.after(moved, "{'kind':'centre-picture','panels':['p1'],'across':1.5}");
        assertThat(Pictures.centre(centred, centred.holder("p1"), false, -1).x()).isCloseTo(1.5, within(1e-9));
        Sheet said = Sheets.after(moved, "{'kind':'set-proportions','panels':['p1'],'proportions':'3 : 2'}",
                "{'kind':'set-corner','panels':['p1'],'corner':0,'across':25}");
        Plane plane = Vistas.shown(said, said.holder("p1")).orElseThrow().plane().orElseThrow();
        assertThat(plane.proportions()).isEqualTo(1.5);
        Sheet told = Sheets.after(said, "{'kind':'set-proportions','panels':['p1'],'proportions':''}");
        assertThat(Vistas.shown(told, told.holder("p1")).orElseThrow().plane().orElseThrow().fixed()).isFalse();
        Sheet flat = Sheets.after(told, "{'kind':'lay-flat','panels':['p1']}");
        assertThat(Vistas.shown(flat, flat.holder("p1")).orElseThrow().plane()).isEmpty();
        assertThat(PanelState.of(flat, flat.holder("p1"))).isEqualTo(PanelState.COVERED);
        // Mounted in a rectangle, a picture looks as it did.
        Sheet box = sheet("{'kind':'add-panel','outline':{'kind':'rectangle','topLeft':0,'topRight':0,'bottomRight':0,'bottomLeft':0}}",
                "{'kind':'fill','panels':['p1'],'picture':'" + DAWN + "'}", "{'kind':'move-picture','panels':['p1'],'dx':4,'dy':2}");
        Holder was = box.holder("p1");
        Sheet hung = Sheets.after(box, "{'kind':'mount','panels':['p1']}");
        Point corner = new Point(1200, 700);
        assertThat(Vistas.shown(hung, hung.holder("p1")).orElseThrow().toPanel().apply(corner)
                .distance(Vistas.shown(box, was).orElseThrow().toPanel().apply(corner))).isLessThan(1e-9);
    }

    /** What makes no frame is refused at its field, and nothing changes. */
    @Test
    void whatMakesNoFrameIsRefused() {
        for (String[] bad : new String[][] {
            {"[{'x':20,'y':30},{'x':70,'y':30},{'x':120,'y':30},{'x':22,'y':118}]", "line"},
            {"[{'x':20,'y':30},{'x':120,'y':30},{'x':60,'y':50},{'x':22,'y':118}]", "within"},
            {"[{'x':20,'y':30},{'x':20,'y':30},{'x':20,'y':30},{'x':20,'y':30}]", "line"},
            {"[{'x':20,'y':30},{'x':120,'y':30}]", "four corners"}}) {
            assertThatThrownBy(() -> sheet("{'kind':'mount-here','picture':'" + DAWN + "','corners':" + bad[0] + "}"))
                    .isInstanceOf(BadInput.class).hasMessageContaining(bad[1]);
        }
        assertThatThrownBy(() -> mounted("{'kind':'set-corner','panels':['p1'],'corner':0,'across':140,'down':70}"))
                .isInstanceOf(BadInput.class).hasMessageContaining("cross");
        assertThatThrownBy(() -> mounted("{'kind':'set-corner','panels':['p1'],'corner':0,'across':'NaN'}")).isInstanceOf(BadInput.class);
        assertThatThrownBy(() -> mounted("{'kind':'set-proportions','panels':['p1'],'proportions':'3 : 0'}"))
                .isInstanceOf(BadInput.class).satisfies(e -> assertThat(((BadInput) e).field()).isEqualTo("proportions"));
        // A large panel in a plane that ends within it.
        assertThatThrownBy(() -> sheet("{'kind':'add-panel','outline':{'kind':'ellipse'}}",
                "{'kind':'seat-panels','panels':['p1'],'left':0,'top':0,'width':200,'height':150}",
                "{'kind':'fill','panels':['p1'],'picture':'" + DAWN + "'}", "{'kind':'mount','panels':['p1']}",
                "{'kind':'set-corner','panels':['p1'],'corner':1,'across':100,'down':70}"))
                .isInstanceOf(BadInput.class).hasMessageContaining("horizon");
    }

    private static Sheet triptych() {
        Sheet sheet = sheet();
        for (int[] f : new int[][] {{20, 30, 60, 36, 104, 118}, {70, 38, 100, 43, 95, 101}, {108, 44, 130, 47, 87, 93}}) {
            String corners = String.format("[{'x':%d,'y':%d},{'x':%d,'y':%d},{'x':%d,'y':%d},{'x':%d,'y':%d}]", f[0], f[1], f[2], f[3],
                    f[2], f[4], f[0], f[5]);
            sheet = Sheets.after(sheet, "{'kind':'mount-here','picture':'" + DAWN + "','corners':" + corners + "}");
        }
        return Sheets.after(sheet, "{'kind':'make-vista','panels':['p1','p2','p3'],'picture':'" + Sheets.TALL.id() + "'}",
                "{'kind':'mount','panels':['p1'],'whole':true}");
    }

    private static Point seen(Sheet sheet, String id, Point pixel) {
        Holder panel = sheet.holder(id);
        return panel.seat().toSheet().apply(Vistas.shown(sheet, panel).orElseThrow().toPanel().apply(pixel));
    }

    /** A vista in a wall's plane: one picture through all three, wherever they move; carried along, nudged and left it keeps its place. */
    @Test
    void aVistaHangsInAWall() {
        Sheet sheet = triptych();
        Point pixel = new Point(1700, 2600);
        for (String id : List.of("p2", "p3")) assertThat(seen(sheet, id, pixel).distance(seen(sheet, "p1", pixel))).isLessThan(1e-9);
        for (Holder member : sheet.members(sheet.vistas().get(0).id())) assertThat(PanelState.of(sheet, member))
                .isEqualTo(PanelState.COVERED);
        Sheet moved = Sheets.after(sheet, "{'kind':'move-panels','panels':['p2'],'dx':-3,'dy':4}");
        assertThat(seen(moved, "p2", pixel).distance(seen(sheet, "p2", pixel))).isLessThan(1e-9);
        Sheet carried = Sheets.after(sheet, "{'kind':'carry','panels':['p2'],'carried':true}",
                "{'kind':'move-panels','panels':['p2'],'dx':-3,'dy':4}");
        assertThat(seen(carried, "p2", pixel).distance(seen(sheet, "p2", pixel).plus(new Point(-3, 4)))).isLessThan(1e-9);
        Sheet nudged = Sheets.after(sheet, "{'kind':'move-picture','panels':['p2'],'dx':2,'dy':1}",
                "{'kind':'turn-picture','panels':['p2'],'turn':3}");
        Sheet left = Sheets.after(nudged, "{'kind':'leave-vista','panels':['p2']}");
        assertThat(left.holder("p2").slice()).isEmpty();
        assertThat(seen(left, "p2", pixel).distance(seen(nudged, "p2", pixel))).isLessThan(1e-9);
        assertThat(seen(nudged, "p2", pixel).distance(seen(sheet, "p2", pixel))).isGreaterThan(0.5);
        // All of it shifts, turns and covers in its plane.
        Sheet zoomed = Sheets.after(sheet, "{'kind':'zoom-picture','panels':['p1'],'zoom':150,'whole':true}",
                "{'kind':'move-picture','panels':['p1'],'dx':4000,'dy':0,'whole':true}");
        assertThat(PanelState.of(zoomed, zoomed.holder("p3"))).isEqualTo(PanelState.COVERED);
        assertThatThrownBy(() -> Sheets.after(sheet, "{'kind':'mount','panels':['p1']}")).isInstanceOf(BadInput.class);
        Sheet flat = Sheets.after(sheet, "{'kind':'lay-flat','panels':['p1'],'whole':true}");
        assertThat(flat.vistas().get(0).plane()).isEqualTo(Optional.empty());
    }
}
