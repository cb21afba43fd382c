package plainlantern.editing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.lang.reflect.Proxy;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import plainlantern.Sheets;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.editing.placing.LayOut;
import plainlantern.editing.placing.Paste;
import plainlantern.editing.reading.EditReader;
import plainlantern.fitting.Bends;
import plainlantern.fitting.Veils;
import plainlantern.geometry.Point;
import plainlantern.pattern.EvenGrid;
import plainlantern.scene.Scene;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Margins;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import plainlantern.sheet.Veil;
import plainlantern.sheet.VeilPart;
import plainlantern.sheet.Veiled;

/** What becomes of veils, and of how pictures are bent and blurred, when all about them changes. */
class VeilsTest {
    private static final String STROKE = "{'kind':'veil','panels':['p1'],'part':{'kind':'stroke','dots':[[20,20,1],[40,30,1]],'size':6,"
            + "'softness':'50 %','strength':1}}";

    /** Three panels of 60 by 40 mm in a row, the first two with pictures. */
    private static Sheet sheet(String... edits) {
        Sheet shelved = new ShelvePictures(List.of(Sheets.DAWN, Sheets.TALL)).apply(Sheet.empty("Tide", Unit.MM, 220, 60, 150));
        Sheet laid = LayOut.replacing(new EvenGrid(1, 3, 10, 0), new Margins(10, 10, 10, 10)).on(shelved);
        return Sheets.after(Sheets.after(laid, "{'kind':'fill','panels':['p1','p2'],'picture':'" + Sheets.DAWN.id() + "'}"), edits);
    }

    private static Optional<Veil> veil(Sheet sheet, String panel) {
        return Veils.of(sheet.holder(panel), -1);
    }

    private static List<VeilPart> parts(Sheet sheet, String panel) {
        return veil(sheet, panel).map(Veil::parts).orElse(List.of());
    }

    /** Where the first place of the first stroke is on the sheet, as the scene has it. */
    private static Point place(Sheet sheet, String panel) {
        Scene.PaintedPicture picture = Scene.item(sheet, sheet.element(panel)).pictures().get(0);
        Veiled veil = picture.treated().veil().orElseThrow();
        Point share = veil.toFrame().inverse().apply(((VeilPart.Stroke) veil.parts().get(0)).dots().get(0).at());
        return picture.pixelsToSheet().apply(new Point(share.x() * picture.width(), share.y() * picture.height()));
    }

    private static void isAt(Sheet sheet, double x, double y) {
        assertThat(place(sheet, "p1").x()).isCloseTo(x, within(0.05));
        assertThat(place(sheet, "p1").y()).isCloseTo(y, within(0.05));
    }

    /** Turned and moved panels take it along; a moved picture does where it rests on that; a larger sheet has all of it larger. */
    @Test
    void aVeilGoesWithWhatItRestsOn() {
        Sheet painted = sheet(STROKE);
        isAt(painted, 20, 20);
        isAt(Sheets.after(painted, "{'kind':'move-panels','panels':['p1'],'dx':7,'dy':-2}"), 27, 18);
        Sheet onPanel = Sheets.after(painted, "{'kind':'set-veil','panels':['p1'],'rests':'panel'}");
        isAt(onPanel, 20, 20);
        String zoom = "{'kind':'zoom-picture','panels':['p1'],'zoom':150}";
        isAt(Sheets.after(onPanel, zoom), 20, 20);
        Point middle = painted.element("p1").seat().centre();
        Sheet zoomed = Sheets.after(painted, zoom);
        double by = zoomed.holder("p1").pictures().get(0).flat().pose().scaleX()
                / painted.holder("p1").pictures().get(0).flat().pose().scaleX();
        isAt(zoomed, middle.x() + (20 - middle.x()) * by, middle.y() + (20 - middle.y()) * by);
        Sheet larger = onPanel.with(onPanel.elements().stream().map(e -> e.holder().<plainlantern.sheet.Element>map(h -> h.scaled(2))
                .orElse(e)).toList(), onPanel.lastId());
        VeilPart.Stroke twice = (VeilPart.Stroke) parts(larger, "p1").get(0);
        assertThat(twice.size()).isCloseTo(12, within(1e-6));
    }

    /** By so much as it is dragged on the sheet a part moves, however its picture lies: turned, mirrored, in perspective, in the panel. */
    @Test
    void partsAreMovedOnTheSheet() {
        String mount = "{'kind':'mount-here','picture':'" + Sheets.DAWN.id()
                + "','corners':[{'x':20,'y':12},{'x':64,'y':20},{'x':60,'y':44},"
                + "{'x':16,'y':50}]}";
        for (String lies : List.of("{'kind':'turn-picture','panels':['p1'],'turn':30}", "{'kind':'turn-panels','panels':['p1'],'by':70}",
                "{'kind':'mirror-picture','panels':['p1']}", mount, "{'kind':'add-glaze','where':'over','panels':['p1']}")) {
            String of = lies.contains("mount") || lies.contains("glaze") ? "p4" : "p1";
            for (String rests : List.of("picture", "panel")) {
                Sheet veiled = Sheets.after(sheet(lies), STROKE.replace("p1", of), "{'kind':'veil','panels':['" + of + "'],'part':{"
                        + "'kind':'gradient','from':{'x':22,'y':24},'to':{'x':40,'y':30},'strength':1}}", "{'kind':'set-veil','panels':['"
                                + of
                        + "'],'rests':'" + rests + "'}");
                Sheet moved = Sheets.after(veiled, "{'kind':'move-veil','panels':['" + of + "'],'at':1,'handles':[1],'dx':3,'dy':-2}",
                        "{'kind':'move-veil','panels':['" + of + "'],'at':0,'handles':[0],'dx':-1,'dy':2}");
                held(veiled, of, 1, 0, 22, 24);
                held(moved, of, 1, 0, 22, 24);
                held(moved, of, 1, 1, 43, 28);
                held(moved, of, 0, 0, 19, 22);
                held(Sheets.after(moved, "{'kind':'move-veil','panels':['" + of + "'],'at':1,'handles':[2],'dx':1,'dy':1}"), of, 1, 0, 23,
                        25);
            }
        }
    }

    private static void held(Sheet sheet, String panel, int at, int handle, double x, double y) {
        Point there = Veils.toSheet(sheet, sheet.holder(panel), -1, veil(sheet, panel).orElseThrow().rests())
                .apply(parts(sheet, panel).get(at).handles().get(handle));
        assertThat(there.distance(new Point(x, y))).as("%s %s", parts(sheet, panel).get(at), there).isLessThan(0.02);
    }

    /**
     * Handles of bends go by so much on the sheet, in a turned panel, too; a mesh stops before it folds; other handles keep the surface.
     */
    @Test
    void bendsAreMovedOnTheSheet() {
        Sheet flat = sheet("{'kind':'turn-panels','panels':['p1'],'by':30}", "{'kind':'bend','panels':['p1'],'bend':{'kind':'mesh',"
                + "'columns':3,'rows':2}}");
        Sheet moved = Sheets.after(flat, "{'kind':'move-bend','panels':['p1'],'handles':[1,2],'dx':4,'dy':-3}");
        for (int i = 0; i < 6; i++)
            assertThat(handle(moved, i).distance(handle(flat, i).plus(i == 1 || i == 2 ? new Point(4, -3) : Point.ORIGIN)))
                    .isLessThan(1e-3);
        assertThat(handle(Sheets.after(moved, "{'kind':'move-bend','panels':['p1'],'handles':[4],'across':'33 mm'}"), 4).x())
                .isCloseTo(33, within(1e-3));
        Edit far = EditReader.read("{\"kind\":\"move-bend\",\"panels\":[\"p1\"],\"handles\":[1],\"dx\":90,\"dy\":0}", moved);
        assertThat(far.remark(moved, far.on(moved)).orElseThrow().says()).contains("fold over itself");
        assertThat(handle(far.on(moved), 1).x()).isBetween(handle(moved, 1).x() + 3, handle(moved, 1).x() + 60);
        Sheet finer = Sheets.after(moved, "{'kind':'bend','panels':['p1'],'bend':{'kind':'mesh','columns':5,'rows':3}}");
        assertThat(handle(finer, 2).distance(handle(moved, 1))).isLessThan(1e-3);
        assertThat(handle(finer, 4).distance(handle(moved, 2))).isLessThan(1e-3);
        assertThat(Sheets.after(moved, "{'kind':'move-bend','panels':['p1'],'home':true}")).isEqualTo(flat);
        Sheet twirled = Sheets.after(flat, "{'kind':'bend','panels':['p1'],'bend':{'kind':'twirl','turn':90,'x':0.5,'y':0.5,'radius':1}}");
        Sheet aside = Sheets.after(twirled, "{'kind':'move-bend','panels':['p1'],'handles':[0],'dx':4,'dy':-3}",
                "{'kind':'move-bend','panels':['p1'],'handles':[1],'dx':-4,'dy':0}");
        assertThat(handle(aside, 0).distance(handle(twirled, 0).plus(new Point(4, -3)))).isLessThan(1e-6);
        assertThat(handle(aside, 1).distance(handle(aside, 0))).isLessThan(handle(twirled, 1).distance(handle(twirled, 0)) - 3);
        for (Map.Entry<String, String> wrong : Map.of("{'kind':'move-bend','panels':['p1'],'handles':[6],'dx':1}", "no longer there",
                "{'kind':'move-bend','panels':['p1'],'dx':1}", "Choose a handle", "{'kind':'bend','panels':['p1'],'bend':{'kind':'mesh',"
                + "'columns':2,'rows':2,'moved':[0,0,-1.5,0,0,0,0,0]}}", "folded over itself", "{'kind':'bend','panels':['p1'],'bend':{"
                + "'kind':'mesh','columns':2,'rows':2,'moved':[0,0,3,0,0,0,0,0]}}", "twice the form").entrySet())
            assertThatThrownBy(() -> Sheets.after(moved, wrong.getKey())).as(wrong.getKey()).isInstanceOf(BadInput.class)
                    .hasMessageContaining(wrong.getValue());
    }

    private static Point handle(Sheet sheet, int at) {
        return Bends.of(sheet.holder("p1"), -1).orElseThrow().handles().get(at);
    }

    /** Another picture: one on the panel stays, one on the picture goes; what is bent stays. Moved out, the picture takes its own along. */
    @Test
    void otherPicturesAndPlaces() {
        String other = "{'kind':'fill','panels':['p1'],'picture':'" + Sheets.TALL.id() + "'}";
        String blur = "{'kind':'blur','panels':['p1'],'blur':2}";
        Sheet painted = sheet(STROKE, blur);
        Sheet onPanel = Sheets.after(painted, "{'kind':'set-veil','panels':['p1'],'rests':'panel'}");
        assertThat(parts(Sheets.after(painted, other), "p1")).isEmpty();
        assertThat(parts(Sheets.after(onPanel, other), "p1")).hasSize(1);
        assertThat(Sheets.after(painted, other).holder("p1").pictures().get(0).through()).isPresent();
        Sheet out = Sheets.after(painted, "{'kind':'move-out','panels':['p1']}");
        String afloat = out.elements().get(out.elements().size() - 1).id();
        assertThat(out.elements().stream().anyMatch(e -> !Veils.all(e).isEmpty())).as(afloat).isTrue();
        Sheet panelOut = Sheets.after(onPanel, "{'kind':'move-out','panels':['p1']}");
        assertThat(panelOut.elements().stream().allMatch(e -> Veils.all(e).isEmpty())).isTrue();
    }

    /** On the same sheet a copy hides where the same panel lies; with the panel copied, where that copy lies; on another sheet nowhere. */
    @Test
    void copiesHideWhereTheirOwnFormsLie() {
        Sheet hidden = sheet("{'kind':'veil','panels':['p1'],'part':{'kind':'form','panel':'p3','softness':1,'strength':1}}");
        assertThat(form(new Paste(hidden.elements(List.of("p1")), List.of(), 5, 5).on(hidden))).isEqualTo("p3");
        Sheet both = new Paste(hidden.elements(List.of("p1", "p3")), List.of(), 5, 5).on(hidden);
        assertThat(form(both)).isEqualTo("p5");
        Sheet elsewhere = new Paste(hidden.elements(List.of("p1")), List.of(Sheets.DAWN), 5, 5).on(Sheets.after(sheet(),
                "{'kind':'rename','panel':'p3','name':'Reeds'}"));
        assertThat(parts(elsewhere, "p4")).isEmpty();
        // Gone, it covers nothing, and the veil is as it was when it comes back.
        Sheet gone = Sheets.after(hidden, "{'kind':'remove','panels':['p3']}");
        assertThat(Scene.item(gone, gone.element("p1")).pictures().get(0).treated().veil().orElseThrow().forms()).isEmpty();
        assertThat(parts(gone, "p1")).isEqualTo(parts(hidden, "p1"));
    }

    private static String form(Sheet sheet) {
        return ((VeilPart.Form) parts(sheet, "p4").get(0)).panel();
    }

    /** The colour is asked for where the click is on the picture, whatever the picture's place; beside it there is none. */
    @Test
    void aColourIsPickedFromThePicture() {
        Sheet sheet = sheet();
        List<Object> asked = new ArrayList<>();
        Outside outside = (Outside) Proxy.newProxyInstance(Outside.class.getClassLoader(), new Class<?>[] {Outside.class},
                (proxy, method, arguments) -> {
            asked.addAll(List.of(method.getName(), arguments[0], arguments[1]));
            return Colour.of("#3355AA");
        });
        Point middle = sheet.element("p1").seat().centre();
        String pick = "{\"kind\":\"veil\",\"panels\":[\"p1\"],\"part\":{\"kind\":\"colours\",\"colour\":\"#000000\",\"tolerance\":0.1,"
                + "\"softness\":0.1,\"strength\":1},\"pick\":{\"x\":%s,\"y\":%s}}";
        Edit edit = EditReader.read(pick.formatted(middle.x(), middle.y()), sheet).completed(outside, sheet);
        assertThat(((VeilPart.Colours) parts(edit.on(sheet), "p1").get(0)).colour()).isEqualTo(Colour.of("#3355AA"));
        assertThat(asked.subList(0, 2)).containsExactly("colour", Sheets.DAWN.id());
        assertThat(((Point) asked.get(2)).distance(new Point(0.5, 0.5))).isLessThan(1e-9);
        Edit beside = EditReader.read(pick.formatted(middle.x() + 500, middle.y()), sheet);
        assertThatThrownBy(() -> beside.completed(outside, sheet)).isInstanceOf(BadInput.class).hasMessageContaining("on the picture");
        Sheet glazed = Sheets.after(sheet, "{'kind':'add-glaze','where':'over','panels':['p1']}");
        Edit ofGlaze = EditReader.read(pick.formatted(middle.x(), middle.y()).replace("p1", "p4"), glazed);
        assertThatThrownBy(() -> ofGlaze.completed(outside, glazed)).isInstanceOf(BadInput.class).hasMessageContaining("Type the colour");
    }

    /**
     * A wash and words have veils of their own, which rest on the panel: the layer that is chosen is meant, else the frontmost picture,
     * else the frontmost layer. Other colours, words and sizes keep them; bundles do.
     */
    @Test
    void washesAndWordsAreHiddenToo() {
        String third = STROKE.replace("p1", "p3");
        Sheet layers = sheet("{'kind':'add-layer','panels':['p1','p3'],'what':'wash'}", "{'kind':'add-layer','panels':['p3'],"
                + "'what':'words'}", STROKE, third, third.replace("'panels'", "'layer':0,'panels'"));
        assertThat(layers.holder("p1").content()).extracting(c -> c.veil().isPresent()).containsExactly(true, false);
        assertThat(layers.holder("p3").content()).extracting(c -> c.veil().map(Veil::rests)).containsExactly(
                Optional.of(Veil.Rests.PANEL), Optional.of(Veil.Rests.PANEL));
        Sheet other = Sheets.after(layers, "{'kind':'set-wash','panels':['p3'],'layer':0,'turn':0,'round':false,"
                + "'stops':[{'at':0,'colour':'#fff','opacity':1}]}",
                "{'kind':'set-words','panels':['p3'],'layer':1,'text':'Ebb'}", "{'kind':'set-veil','panels':['p3'],'rests':'picture'}");
        assertThat(Veils.all(other.element("p3"))).isEqualTo(Veils.all(layers.element("p3")));
        assertThat(other.holder("p3").content().get(0).wash().orElseThrow().opaque()).isFalse();
        assertThat(SheetJson.read(SheetJson.write(other))).isEqualTo(other);
        assertThat(Veils.all(other.holder("p3").scaled(2))).extracting(v -> ((VeilPart.Stroke) v.parts().get(0)).size())
                .containsExactly(12.0, 12.0);
        Sheet plate = Sheets.after(sheet(), "{'kind':'add-caption','text':'Ebb'}", third.replace("p3", "p4").replace("'panels'",
                "'layer':0,'panels'"), "{'kind':'set-plate','panels':['p4'],'colour':'#E09A17'}");
        assertThat(plate.element("p4").caption().orElseThrow().plate().orElseThrow().veil()).isPresent();
        for (Map.Entry<String, String> wrong : Map.of("{'kind':'copy-veil','from':'p1','panels':['p3']}", "rests on a picture",
                "{'kind':'veil','panels':['p3'],'part':{'kind':'colours','colour':'#fff','tolerance':0.1,'softness':0.1,'strength':1}}",
                "hidden by a colour").entrySet())
            assertThatThrownBy(() -> Sheets.after(layers, wrong.getKey())).as(wrong.getKey()).isInstanceOf(BadInput.class)
                    .hasMessageContaining(wrong.getValue());
    }

    /** Parts are changed, removed and copied one by one; what is not there is said. */
    @Test
    void partsByThemselves() {
        Sheet two = sheet(STROKE, STROKE.replace("'strength':1", "'strength':'30 %','shows':true"));
        assertThat(parts(two, "p1")).extracting(VeilPart::shows).containsExactly(false, true);
        Sheet weaker = Sheets.after(two, "{'kind':'set-veil','panels':['p1'],'at':0,'strength':'45 %','softness':0}");
        assertThat(parts(weaker, "p1").get(0).strength()).isEqualTo(0.45);
        assertThat(parts(weaker, "p1").get(1)).isEqualTo(parts(two, "p1").get(1));
        Sheet copied = Sheets.after(weaker, "{'kind':'copy-veil','from':'p1','panels':['p1','p2']}");
        assertThat(veil(copied, "p2")).isEqualTo(veil(weaker, "p1"));
        Sheet less = Sheets.after(copied, "{'kind':'unveil','panels':['p1'],'at':0}");
        assertThat(parts(less, "p1")).hasSize(1);
        assertThat(parts(Sheets.after(less, "{'kind':'unveil','panels':['p1','p2']}"), "p2")).isEmpty();
        for (Map.Entry<String, String> wrong : Map.of("{'kind':'unveil','panels':['p1'],'at':7}", "no longer there",
                "{'kind':'set-veil','panels':['p1'],'at':0,'strength':'300 %'}", "0 to 100", "{'kind':'set-veil','panels':['p1']}",
                "Nothing is set", "{'kind':'copy-veil','from':'p1','panels':['p1']}", "Select the others",
                "{'kind':'unveil','panels':['p3']}", "Select a picture").entrySet())
            assertThatThrownBy(() -> Sheets.after(two, wrong.getKey())).as(wrong.getKey()).isInstanceOf(BadInput.class)
                    .hasMessageContaining(wrong.getValue());
    }
}
