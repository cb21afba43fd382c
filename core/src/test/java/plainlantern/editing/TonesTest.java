package plainlantern.editing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import plainlantern.Sheets;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.scene.Scene;
import plainlantern.sheet.Balance;
import plainlantern.sheet.HueRange;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import plainlantern.sheet.Through;
import plainlantern.sheet.Tone;
import plainlantern.sheet.Treated;

/** Setting tones, following names, copying, vistas. */
class TonesTest {
    private static final String DAWN = Sheets.DAWN.id();
    private static final Sheet THREE = Sheets.after(new ShelvePictures(List.of(Sheets.DAWN, Sheets.TALL)).apply(
            Sheet.empty("s", Unit.MM, 320, 100, 300)),
            "{'kind':'lay-out','where':'replace','agreed':true,'pattern':{'kind':'even-grid','rows':1,'columns':3,'gapAcross':4,"
                    + "'gapDown':4}}",
            "{'kind':'fill','panels':['p1','p2'],'picture':'" + DAWN + "'}",
            "{'kind':'fill','panels':['p3'],'picture':'" + Sheets.TALL.id() + "'}");

    private static Tone tone(Sheet sheet, String panel) {
        return sheet.holders(List.of(panel)).get(0).picture(-1).map(PictureLayer::treatment).orElseThrow().tone();
    }

    private static Treated seen(Sheet sheet, String panel) {
        return Scene.item(sheet, sheet.element(panel)).pictures().get(0).treated();
    }

    @Test
    void valuesAreTypedAndRefusedAtTheirFields() {
        Sheet set = Sheets.after(THREE, "{'kind':'set-tone','of':{'panels':['p1','p2']},'exposure':'1/2','contrast':'30 %','edge':'-40'}");
        assertThat(tone(set, "p2").balance().exposure()).isEqualTo(0.5);
        assertThat(tone(set, "p1").levels().contrast()).isEqualTo(0.3);
        assertThat(tone(set, "p1").vignette().orElseThrow().begins()).isEqualTo(0.4);
        assertThat(SheetJson.write(set)).contains("\"tone\":{\"balance\":{\"exposure\":0.5}").doesNotContain("colouring");
        Sheet blue = Sheets.after(set, "{'kind':'set-tone','of':{'panels':['p1']},'part':'blue','hue':'20'}");
        assertThat(tone(blue, "p1").colouring().hue(HueRange.Name.BLUE).hue()).isEqualTo(20);
        assertThat(Sheets.after(blue, "{'kind':'set-tone','of':{'panels':['p1','p2']},'exposure':0,'contrast':0,'edge':0}",
                "{'kind':'set-tone','of':{'panels':['p1']},'part':'blue','hue':0}")).isEqualTo(THREE);
        for (String[] wrong : new String[][] {{"'exposure':'9'", "exposure", "from -5 to 5"}, {"'exposure':'NaN'", "exposure", ""},
            {"'black':'50','white':'50'", "white", "has to stay"}, {"'size':'0'", "size", "0.02 to 10 mm"}}) {
            assertThatThrownBy(() -> Sheets.after(THREE, "{'kind':'set-tone','of':{'panels':['p1']}," + wrong[0] + "}"))
                    .isInstanceOf(BadInput.class).hasMessageContaining(wrong[2]).extracting("field").isEqualTo(wrong[1]);
        }
        assertThatThrownBy(() -> Sheets.after(Sheet.empty("s", Unit.MM, 320, 100, 300), "{'kind':'set-tone','of':{},'exposure':1}"))
                .hasMessageContaining("no picture");
    }

    /** Switched off, nothing is seen of tones, blurs and bends, and their values stay; whatever is set of one switches it on. */
    @Test
    void treatmentsAreSwitchedOffAndOn() {
        Sheet all = Sheets.after(THREE, "{'kind':'add-glaze','where':'over','panels':['p3']}", "{'kind':'make-vista','panels':['p1','p2'],"
                + "'picture':'" + DAWN + "'}", "{'kind':'set-tone','of':{'panels':['p1','p4']},'exposure':1}",
                "{'kind':'set-tone','of':{'panels':['p2'],'whole':true},'contrast':0.3}", "{'kind':'blur','panels':['p1','p4'],'blur':2}");
        String off = "{'kind':'switch-tone','of':{'panels':['p1','p4']},'off':true}";
        String whole = "{'kind':'switch-tone','of':{'panels':['p2'],'whole':true},'off':true}";
        String bend = "{'kind':'switch-bend','panels':['p1','p4'],'off':true}";
        assertThat(seen(all, "p1").tones()).hasSize(2);
        assertThat(seen(Sheets.after(all, off), "p1").tones()).hasSize(1);
        Sheet none = Sheets.after(all, off, whole, bend);
        for (String id : List.of("p1", "p2")) assertThat(seen(none, id)).isEqualTo(Treated.plain(DAWN));
        Treated glaze = Scene.of(none).items().get(3).pictures().get(0).treated();
        assertThat(glaze.tones()).isEmpty();
        assertThat(glaze.through()).contains(Through.CLEAR);
        assertThat(SheetJson.read(SheetJson.write(none))).isEqualTo(none);
        assertThat(Sheets.after(none, off.replace("true", "false"), whole.replace("'off':true", "'off':false"), bend.replace("true",
                "false")))
                .isEqualTo(all);
        Sheet set = Sheets.after(none, "{'kind':'set-tone','of':{'panels':['p1','p4']},'black':0.1}",
                "{'kind':'set-glaze','panels':['p4'],'dx':3}");
        assertThat(seen(set, "p1").tones()).singleElement().extracting(toned -> toned.tone().balance().exposure()).isEqualTo(1.0);
        assertThat(Scene.of(set).items().get(3).pictures().get(0).treated().through()).contains(new Through(2, 3, 0, Optional.empty()));
    }

    @Test
    void whatFollowsANameChangesTogetherAndPartsAreCopied() {
        Sheet named = Sheets.after(THREE, "{'kind':'set-tone','of':{'panels':['p1']},'exposure':1,'saturation':0.2}",
                "{'kind':'name-tone','of':{'panels':['p1','p2']},'name':'Dusk'}");
        String id = named.styles().tones().get(0).id();
        assertThat(tone(named, "p2").named()).contains(id);
        Sheet changed = Sheets.after(named, "{'kind':'set-tone','of':{'panels':['p2']},'exposure':-1}");
        assertThat(tone(changed, "p1").balance()).isEqualTo(new Balance(0, 0, -1)).isEqualTo(changed.styles().tones().get(0).tone()
                .balance());
        Sheet copied = Sheets.after(changed, "{'kind':'copy-tone','from':'p1','to':'all','parts':['colour']}");
        assertThat(tone(copied, "p3").colouring().saturation()).isEqualTo(0.2);
        assertThat(tone(copied, "p3").balance()).isEqualTo(Balance.NEUTRAL);
        assertThat(tone(copied, "p2").named()).as("a part of another makes it its own").isEmpty();
        Sheet alike = Sheets.after(changed, "{'kind':'follow-tone','of':{'panels':['p2']}}",
                "{'kind':'clear-tone','of':{'panels':['p2']}}", "{'kind':'copy-tone','from':'p1','to':'alike'}");
        assertThat(tone(alike, "p2")).isEqualTo(tone(alike, "p1"));
        assertThat(tone(alike, "p3")).isEqualTo(Tone.NEUTRAL);
        Sheet replaced = Sheets.after(changed, "{'kind':'replace-picture','panels':['p1'],'by':'" + Sheets.TALL.id() + "'}");
        assertThat(tone(replaced, "p1")).as("another picture in its place follows the name, too").isEqualTo(tone(changed, "p1"));
        Sheet forgotten = Sheets.after(changed, "{'kind':'forget-tone','tone':'" + id + "'}");
        assertThat(tone(forgotten, "p1")).isEqualTo(tone(changed, "p1").following(Optional.empty()));
    }

    /** A vista has one tone, a slice its own on top; one that leaves looks as before. */
    @Test
    void slicesAddTheirOwnTone() {
        Sheet vista = Sheets.after(THREE, "{'kind':'make-vista','panels':['p1','p2','p3'],'picture':'" + DAWN + "'}",
                "{'kind':'set-tone','of':{'panels':['p1'],'whole':true},'exposure':1}",
                "{'kind':'set-tone','of':{'panels':['p2']},'contrast':0.5}");
        assertThat(seen(vista, "p1").tones()).hasSize(1).isEqualTo(seen(vista, "p3").tones());
        assertThat(seen(vista, "p2").tones()).hasSize(2);
        Sheet left = Sheets.after(vista, "{'kind':'leave-vista','panels':['p1','p2']}");
        for (String panel : List.of("p1", "p2")) assertThat(seen(left, panel)).isEqualTo(seen(vista, panel));
        assertThat(tone(left, "p1").balance().exposure()).isEqualTo(1);
        assertThat(tone(left, "p2").levels().contrast()).isEqualTo(0.5);
    }

    /** Grain grows with the sheet, a colour of the palette is followed, and another sheet's name is left behind. */
    @Test
    void tonesGoAlongWithTheSheet() {
        Sheet toned = Sheets.after(THREE, "{'kind':'add-swatches','colours':['#446688']}",
                "{'kind':'set-tone','of':{'panels':['p1']},'grain':'40','size':'0.5 mm'}",
                "{'kind':'recolour-tone','of':{'panels':['p1']},'colour':'#446688@s1'}");
        String swatch = toned.styles().swatches().get(0).id();
        Sheet followed = Sheets.after(THREE, "{'kind':'add-swatches','colours':['#446688']}",
                "{'kind':'recolour-tone','of':{'panels':['p1']},'colour':'#446688@" + swatch + "'}",
                "{'kind':'set-swatch','swatch':'" + swatch + "','colour':'#AA3311'}");
        assertThat(tone(followed, "p1").brightness().orElseThrow().stops().get(1).colour().rgb()).isEqualTo(0xAA3311);
        Sheet large = Sheets.after(toned, "{'kind':'set-up-sheet','width':'640 mm','height':'200 mm','panels':'scale'}");
        assertThat(tone(large, "p1").texture().orElseThrow().size()).isEqualTo(1);
    }
}
