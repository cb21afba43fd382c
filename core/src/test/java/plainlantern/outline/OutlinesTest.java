package plainlantern.outline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import plainlantern.Chance;
import plainlantern.Tried;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.reading.EditReader;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.geometry.Polygons;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;

class OutlinesTest {
    private static final FreeForm TRIANGLE = FreeForm.of(Path.polygon(List.of(new Point(3, 0), new Point(10, 7.5), new Point(-1, 9))));

    private static Outline outlines(Chance chance) {
        return chance.flag() ? chance.of(Outlines.KINDS) : chance.of(new RegularPolygon(3, 0, true), new RegularPolygon(7, 0, false),
                new Star(9, 0.3, 0), new Ring(0.9),
                new Slanted(-0.6, 0.3), new Slanted(0.4, -0.4), TRIANGLE, new Rectangle(4, 0, 9, 2));
    }

    /** A form touches all four sides of the box that its seat gives it, and reads back from a document as it was. */
    @Tried(200)
    void everyFormFillsItsBox(Chance chance) {
        Outline outline = outlines(chance);
        double width = chance.between(0.5, 900);
        double height = chance.between(0.5, 900);
        Box box = outline.path(width, height).bounds();
        double most = 1e-9 * Math.max(width, height);
        assertThat(box.width()).isCloseTo(width, within(most));
        assertThat(box.height()).isCloseTo(height, within(most));
        assertThat(box.centre().x()).isCloseTo(0, within(most));
        assertThat(box.centre().y()).isCloseTo(0, within(most));
        assertThat(SheetJson.MAPPER.readValue(SheetJson.MAPPER.writeValueAsString(outline), Outline.class)).isEqualTo(outline);
    }

    /** Closed form: a regular polygon of n sides of length s has the area n·s²/(4·tan(π/n)); here in a circle of radius R. */
    @Tried(60)
    void regularPolygonsHaveTheirArea(Chance chance) {
        int sides = chance.whole(3, 60);
        boolean flat = chance.flag();
        RegularPolygon polygon = new RegularPolygon(sides, 0, flat);
        Path path = polygon.path(100 * polygon.aspect(), 100);
        List<Point> corners = path.corners().orElseThrow();
        double s = corners.get(0).distance(corners.get(1));
        for (int i = 0; i < sides; i++) assertThat(corners.get(i).distance(corners.get((i + 1) % sides))).isCloseTo(s, within(1e-9));
        assertThat(Polygons.area(path)).isCloseTo(sides * s * s / 4 / Math.tan(Math.PI / sides), within(1e-6));
    }

    /** Closed forms of what is left of shapes; curves are areas of chords, so within 0.1 %. */
    @Test
    void areasInClosedForm() {
        assertThat(Polygons.area(new Ring(0.5).path(80, 80))).isCloseTo(Math.PI * 1600 * 0.75, within(5.0));
        // n triangles of R·r·sin(π/n) each.
        Star star = new Star(6, 0.4, 0);
        assertThat(Polygons.area(star.path(100 * star.aspect(), 100))).isCloseTo(6 * 50 * 20 * Math.sin(Math.PI / 6), within(1e-6));
        assertThat(Polygons.area(new Diamond(0).path(60, 40))).isCloseTo(1200, within(1e-9));
        assertThat(Polygons.area(new Slanted(0.25, 0.25).path(100, 40))).isCloseTo(3000, within(1e-9));
        assertThat(Polygons.area(new Slanted(0.25, -0.25).path(100, 40))).isCloseTo(3000, within(1e-9));
        assertThat(Polygons.area(new Arch().path(40, 100))).isCloseTo(80 * 40 + Math.PI * 400 / 2, within(1.0));
        // A corner of angle θ rounded by r loses r²·(1/tan(θ/2) − (π − θ)/2).
        double lost = 4 * 25 * (1 - Math.PI / 4);
        assertThat(Polygons.area(new Diamond(5).path(100, 100))).isCloseTo(5000 - lost, within(0.1));
        double third = 3 * 25 * (1 / Math.tan(Math.PI / 6) - Math.PI / 3);
        RegularPolygon triangle = new RegularPolygon(3, 0, false);
        double whole = Polygons.area(triangle.path(100 * triangle.aspect(), 100));
        assertThat(Polygons.area(new RegularPolygon(3, 5, false).path(100 * triangle.aspect(), 100))).isCloseTo(whole - third, within(0.2));
    }

    /** A handle that is pulled to where it is changes nothing; pulled elsewhere, it is there afterwards. */
    @Tried(100)
    void handlesFollowTheirPull(Chance chance) {
        Outline outline = outlines(chance);
        double share = chance.between(0.3, 0.8);
        for (Grip grip : outline.grips(120, 80)) {
            assertThat(outline.pulled(grip.name(), grip.at(), true, 120, 80).path(120, 80).bounds().width()).isCloseTo(120, within(1e-9));
            Outline pulled = outline.pulled(grip.name(), grip.at().times(share), false, 120, 80);
            Grip again = pulled.grips(120, 80).stream().filter(g -> g.name().equals(grip.name())).findFirst().orElseThrow();
            Outline twice = pulled.pulled(grip.name(), again.at(), false, 120, 80);
            Box one = pulled.path(120, 80).bounds();
            assertThat(twice.path(120, 80).bounds().width()).isCloseTo(one.width(), within(1e-6));
            assertThat(twice.grips(120, 80).get(0).at().distance(pulled.grips(120, 80).get(0).at())).isLessThan(1e-6);
        }
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "{'kind':'polygon','sides':'0','rounding':0} | sides", "{'kind':'polygon','sides':'61','rounding':0} | sides",
                "{'kind':'polygon','sides':'5','rounding':'-1'} | rounding",
        "{'kind':'star','points':5,'inner':'0 %','rounding':0} | inner", "{'kind':'ring','inner':'many'} | inner",
                "{'kind':'slanted','left':'80 %','right':'-80 %'} | right",
        "{'kind':'free','d':'M 0 0 L 1'} | outline", "{'kind':'free','d':'M 0 0 L 1 NaN Z'} | outline"})
    void whatMakesNoFormIsRefusedAtItsField(String json, String field) {
        String edit = "{'kind':'add-panel','outline':" + json + "}";
        assertThatThrownBy(() -> EditReader.read(edit.replace('\'', '"'),
                Sheet.empty("s", Unit.MM, 100, 100, 300)))
                .isInstanceOfSatisfying(BadInput.class, e -> assertThat(e.field()).isEqualTo(field));
    }
}
