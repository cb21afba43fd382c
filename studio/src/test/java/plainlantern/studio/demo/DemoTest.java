package plainlantern.studio.demo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.entry;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import plainlantern.checking.Report;
import plainlantern.checking.Told;
import plainlantern.checking.Weight;
import plainlantern.fitting.PanelState;
import plainlantern.geometry.Box;
import plainlantern.geometry.Polygons;
import plainlantern.picture.Encoder;
import plainlantern.picture.Orientation;
import plainlantern.picture.PictureFile;
import plainlantern.picture.PictureReader;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Sheet;
import plainlantern.studio.demo.DemoSheets.Plan;

class DemoTest {
    @Test
    void thereAreEnoughPicturesOfManyKinds() {
        assertThat(DemoPictures.ALL).hasSizeGreaterThanOrEqualTo(12);
        assertThat(DemoPictures.ALL.stream().map(p -> p.file().replaceFirst(".*\\.", "")).distinct()).contains("jpg", "png", "tif");
        assertThat(DemoPictures.ALL.stream().filter(p -> p.file().endsWith(".png"))).hasSize(2);
    }

    /**
     * The finished sheets are finished: no panel empty, bare or soft, none beyond the sheet, none over another; one is made to have faults
     * to be found.
     */
    @Test
    void theSheetsHaveNoFault() {
        assertThat(DemoSheets.ALL).hasSize(15);
        for (Plan plan : DemoSheets.ALL) {
            Sheet sheet = DemoSamples.made(plan);
            if (plan.empty().name().equals("Leaflet to be checked")) {
                assertThat(Report.of(sheet, Told.NOTHING).kinds()).extracting(Report.Kind::title)
                        .contains("Bare areas", "Stretched pictures", "Nearly aligned", "Stops at the trim", "Thin lines", "Unequal gaps",
                        "Words beyond their box");
                continue;
            }
            assertThat(Report.of(sheet, Told.NOTHING).warning()).as(plan.empty().name()).isEmpty();
            Box whole = new Box(0, 0, sheet.width(), sheet.height());
            for (Panel panel : sheet.panels().stream().filter(p -> p.panel().isPresent()).toList()) {
                assertThat(PanelState.of(sheet, panel)).as(plan.empty().name() + ", " + panel.name()).isEqualTo(PanelState.COVERED);
                assertThat(whole.union(panel.boundsOnSheet())).isEqualTo(whole);
                for (Panel other : sheet.panels()) {
                    boolean near = other != panel && other.panel().isPresent() && other.boundsOnSheet().meets(panel.boundsOnSheet());
                    if (near) assertThat(Polygons.sharedArea(other.pathOnSheet(), panel.pathOnSheet())).isLessThan(1e-3);
                }
            }
        }
    }

    /** Each sheet with its panels; every one that came from a pattern can be laid again. */
    @Test
    void theSheetsShowWhatCanBeLaidOut() {
        Map<String, Integer> panels = new LinkedHashMap<>();
        for (Plan plan : DemoSheets.ALL)
            panels.put(plan.empty().name(), (int) DemoSamples.made(plan).panels().stream().filter(p -> p.panel().isPresent()).count());
        assertThat(panels).containsOnly(entry("Nine mornings", 9), entry("Season postcard", 4), entry("Tide triptych", 3),
                entry("Bird hide wall", 12),
                entry("Mill puzzle", 12), entry("Warden badges", 24), entry("Open day poster", 7), entry("Sixty looks at the mill", 60),
                        entry("Leaflet to be checked", 8), entry("High water poster", 70), entry("Four quarters of the day", 4),
                entry("Open day in two inks", 7), entry("Open day, finished", 7),
                entry("Four evenings in one light", 4), entry("Three frames in the gallery", 4));
        for (Plan plan : DemoSheets.ALL) {
            Sheet sheet = DemoSamples.made(plan);
            assertThat(sheet.layouts()).hasSize(List.of("Season postcard", "Three frames in the gallery").contains(plan.empty()
                    .name()) ? 0 : 1);
        }
    }

    /** The same numbers paint the same picture, so that a demo made twice stores its pictures once. */
    @Test
    void landscapesDependOnTheirNumbersAlone() {
        Landscape bay = new Landscape(120, 80, Light.DUSK, 0.55, 0.5, 0.4, 0.04, 4, 0.25, 0.5, 7);
        byte[] once = Encoder.png(new Figures(bay.paint()).reeds(0.3, Color.BLACK, 12, 5).image(), 72);
        assertThat(Encoder.png(new Figures(bay.paint()).reeds(0.3, Color.BLACK, 12, 5).image(), 72)).isEqualTo(once);
        Landscape other = new Landscape(120, 80, Light.DUSK, 0.55, 0.5, 0.4, 0.04, 4, 0.25, 0.5, 8);
        assertThat(Encoder.png(other.paint(), 72)).isNotEqualTo(once);
    }

    /** A picture stored sideways says so in its EXIF, and stands upright when it is read. */
    @Test
    void sidewaysPicturesSaySo() {
        BufferedImage tall = new BufferedImage(40, 90, BufferedImage.TYPE_3BYTE_BGR);
        byte[] file = DemoPictures.withOrientation(Encoder.jpeg(Orientation.of(8).upright(tall), 0.9f, 300), 6);
        PictureFile read = PictureReader.inspect("tall.jpg", file);
        assertThat(read.orientation()).isEqualTo(Orientation.RIGHT_TOP);
        assertThat(read.width()).isEqualTo(40);
        assertThat(read.height()).isEqualTo(90);
    }
}
