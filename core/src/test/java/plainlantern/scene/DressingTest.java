package plainlantern.scene;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static plainlantern.Sheets.after;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.geometry.Polygons;
import plainlantern.scene.Scene.Item;
import plainlantern.scene.Scene.Shade;
import plainlantern.sheet.Cleared;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Foot;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Treatment;

/** A finish resolved to what is painted: what casts a shadow, from where, and where things stand. */
class DressingTest {
    private static final Picture TIDE = new Picture("aa".repeat(32), "tide", 600, 400);
    private static final Picture HERON = new Picture("bb".repeat(32), "heron", 300, 400)
            .treated(Treatment.NONE, Optional.of(new Foot(0.4, 0.6, 0.95)));
    private static final Picture CLEARED = new Picture("cc".repeat(32), "mill", 600, 400)
            .treated(Treatment.NONE.clearing(Optional.of(new Cleared(Colour.WHITE, 0.1, 0.1))), Optional.empty());

    /** One panel, 60 by 40 mm from 20, 10 on. */
    private static Item dressed(Picture picture, String... edits) {
        Sheet sheet = new ShelvePictures(List.of(TIDE, HERON, CLEARED)).apply(Sheet.empty("Dress", Unit.MM, 100, 60, 300));
        sheet = sheet.withShelf(List.of(TIDE, HERON, CLEARED));
        sheet = after(sheet, "{'kind':'add-panel','outline':{'kind':'rectangle','topLeft':0,'topRight':0,'bottomRight':0,'bottomLeft':0}}",
                "{'kind':'seat-panels','panels':['p1'],'left':20,'top':10,'width':60,'height':40}",
                        "{'kind':'fill','panels':['p1'],'picture':'" + picture.id() + "'}");
        return Scene.of(after(sheet, edits)).items().get(0);
    }

    private static final String SHADOW = "{'kind':'set-shadow','panels':['p1'],'distance':2,'direction':90,'blur':4,'spread':1.5}";

    /** A form that is wholly filled casts by itself, grown by its spread and its rim, corners kept, moved where the light has it. */
    @Test
    void aSolidFormCasts() {
        Shade shade = dressed(TIDE, SHADOW).shades().get(0);
        assertThat(shade.deviation()).isEqualTo(2);
        Box box = shade.form().orElseThrow().bounds();
        assertThat(List.of(box.x(), box.y(), box.right(), box.bottom())).usingElementComparator((a, b) -> Math.abs(a - b) < 1e-9 ? 0 : 1)
                .containsExactly(20.5, 8.5, 83.5, 51.5);
        assertThat(Polygons.area(shade.form().orElseThrow())).as("sharp corners").isCloseTo(63 * 43, within(1e-6));
        Path rimmed = dressed(TIDE, SHADOW, "{'kind':'set-finish','panels':['p1'],'width':2,'side':'centred'}").shades().get(0)
                .form().orElseThrow();
        assertThat(rimmed.bounds().width()).isCloseTo(65, within(1e-9));
        Path turned = dressed(TIDE, SHADOW, "{'kind':'turn-panels','panels':['p1'],'by':180}").shades().get(0).form().orElseThrow();
        assertThat(turned.bounds().centre().distance(box.centre())).as("the light belongs to the sheet").isLessThan(1e-9);
    }

    /** Where something can be seen through, or the edge is not the form's, what is painted casts. */
    @Test
    void whatIsPaintedCastsElsewhere() {
        assertThat(dressed(HERON, SHADOW).shades().get(0).form()).as("a cutout").isEmpty();
        assertThat(dressed(CLEARED, SHADOW).shades().get(0).form()).as("a background taken out").isEmpty();
        assertThat(dressed(TIDE, SHADOW, "{'kind':'set-finish','panels':['p1'],'feather':3}").shades().get(0).form())
                .as("a soft edge").isEmpty();
        assertThat(dressed(TIDE, SHADOW, "{'kind':'set-finish','panels':['p1'],'width':2,'side':'outside','dash':'dashed'}").shades().get(0)
                .form()).as("a rim with gaps").isEmpty();
        assertThat(dressed(TIDE, SHADOW, "{'kind':'set-look','panels':['p1'],'layer':0,'opacity':'50 %'}").shades().get(0).form())
                .as("half clear").isEmpty();
        Shade shade = dressed(HERON, SHADOW).shades().get(0);
        assertThat(shade.by().distance(new Point(2, 0))).isLessThan(1e-9);
        assertThat(shade.spread()).isEqualTo(1.5);
        assertThat(dressed(HERON, SHADOW, "{'kind':'add-layer','panels':['p1'],'what':'wash'}",
                "{'kind':'set-wash','panels':['p1'],'layer':1,'stops':[{'at':0,'colour':'#FFF','opacity':1}],'turn':0}")
                .shades().get(0).form()).as("a wash in front fills it").isPresent();
    }

    /**
     * An inner shadow falls from the form made smaller; spread beyond all of it darkens everything. The soft edge is half strong a quarter
     * in.
     */
    @Test
    void insideTheForm() {
        Item item = dressed(TIDE, "{'kind':'set-shadow','panels':['p1'],'inside':true,'distance':0,'spread':4}",
                "{'kind':'set-finish','panels':['p1'],'width':1}");
        assertThat(item.shades()).isEmpty();
        assertThat(item.inner().orElseThrow().form().orElseThrow().bounds().width()).isCloseTo(52, within(1e-9));
        assertThat(dressed(TIDE, "{'kind':'set-shadow','panels':['p1'],'inside':true,'spread':40}").inner().orElseThrow().form()
                .orElseThrow().segments()).isEmpty();
        Item soft = dressed(TIDE, "{'kind':'set-finish','panels':['p1'],'feather':8}");
        assertThat(soft.soft().orElseThrow().deviation()).isEqualTo(2);
        assertThat(soft.soft().orElseThrow().form().bounds().width()).isCloseTo(52, within(1e-6));
        assertThat(item.unshaded().shades()).isEmpty();
    }

    /**
     * The ellipse lies along the foot, as wide as was asked, behind all other shadows; mirrored or upside down it stays where the foot is.
     */
    @Test
    void aGroundShadowLiesAtTheFoot() {
        String ground = "{'kind':'set-ground','panels':['p1'],'width':'200 %','flatness':'20 %'}";
        Item item = dressed(HERON, SHADOW, ground);
        assertThat(item.shades()).hasSize(2);
        // The heron covers 60 by 80 mm, its foot is a fifth of that wide and 45 % below its middle.
        Box box = item.shades().get(0).form().orElseThrow().bounds();
        assertThat(box.width()).isCloseTo(24, within(1e-6));
        assertThat(box.height()).isCloseTo(4.8, within(1e-6));
        assertThat(box.centre().distance(new Point(50, 30 + 0.45 * 80))).isLessThan(1e-6);
        Box lower = dressed(HERON, ground, "{'kind':'set-ground','panels':['p1'],'down':'100 %'}").shades().get(0).form()
                .orElseThrow().bounds();
        assertThat(lower.y() - box.y()).isCloseTo(4.8, within(1e-6));
        Box mirrored = dressed(HERON, ground, "{'kind':'mirror-picture','panels':['p1']}").shades().get(0).form().orElseThrow().bounds();
        assertThat(mirrored.centre().distance(box.centre())).isLessThan(1e-6);
        assertThat(dressed(TIDE, ground).shades().get(0).form().orElseThrow().bounds().centre().y())
                .as("an opaque picture stands on its lower edge").isCloseTo(50, within(1e-6));
    }
}
