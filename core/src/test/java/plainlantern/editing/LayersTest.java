package plainlantern.editing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static plainlantern.Sheets.DAWN;
import static plainlantern.Sheets.TALL;
import static plainlantern.Sheets.after;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.fitting.PanelState;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.lettering.LetterStyle;
import plainlantern.lettering.Setting;
import plainlantern.lettering.Typeface;
import plainlantern.scene.Scene.PaintedLetters;
import plainlantern.scene.Scene.PaintedWash;
import plainlantern.scene.Scene;
import plainlantern.sheet.Blend;
import plainlantern.sheet.Content;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Flat;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Words;

/** Several layers in one panel. */
class LayersTest {
    /** Two panels of 60 by 40 mm, the first with a picture, a second picture, a wash and words. */
    private static Sheet sheet() {
        return after(new ShelvePictures(List.of(DAWN, TALL)).apply(Sheet.empty("Layers", Unit.MM, 200, 100, 300)),
                "{'kind':'add-panel','outline':{'kind':'ellipse'}}", "{'kind':'add-panel','outline':{'kind':'ellipse'}}",
                "{'kind':'seat-panels','panels':['p1'],'left':10,'top':20,'width':60,'height':40}",
                        "{'kind':'seat-panels','panels':['p2'],'left':110,'top':20,'width':60,'height':40}",
                "{'kind':'fill','panels':['p1'],'picture':'" + DAWN.id() + "'}",
                        "{'kind':'add-layer','panels':['p1'],'what':'picture','picture':'" + TALL.id() + "'}",
                "{'kind':'add-layer','panels':['p1'],'what':'wash'}", "{'kind':'add-layer','panels':['p1'],'what':'words'}");
    }

    private static Content layer(Sheet sheet, int at) {
        return sheet.holder("p1").content().get(at);
    }

    /** An edit of a picture means the frontmost one, unless it names a layer. */
    @Test
    void anEditMeansOnePicture() {
        Sheet before = sheet();
        Sheet front = after(before, "{'kind':'turn-picture','panels':['p1'],'turn':10}");
        Sheet back = after(before, "{'kind':'turn-picture','panels':['p1'],'turn':10,'layer':0}");
        assertThat(List.of(layer(front, 0), layer(front, 2), layer(front, 3)))
                .isEqualTo(List.of(layer(before, 0), layer(before, 2), layer(before, 3)));
        assertThat(layer(front, 1).picture().orElseThrow().flat().pose().turn()).isEqualTo(10);
        assertThat(layer(back, 0).picture().orElseThrow().flat().pose().turn()).isEqualTo(10);
        assertThat(layer(back, 1)).isEqualTo(layer(before, 1));
    }

    /** What a layer in front hid is seen when that layer goes: a held picture covers then. */
    @Test
    void whatComesToTheFrontCoversWhereItIsHeld() {
        Sheet hidden = sheet().holding(List.of("p1"), p -> p.changingLayer(0, c -> {
            PictureLayer own = c.picture().orElseThrow();
            return own.lying(new Flat(Fit.FREE, own.flat().pose().at(new Point(45, 0)), true));
        }));
        for (String gone : List.of("{'kind':'move-out','panels':['p1']}", "{'kind':'move-layer','panels':['p1'],'layer':1}")) {
            Sheet seen = after(hidden, "{'kind':'move-layer','panels':['p1'],'layer':2}", gone);
            assertThat(PanelState.coverage(seen, seen.holder("p1")).orElseThrow().covered()).isTrue();
        }
    }

    /** Filling, a vista and leaving it exchange one picture; what lies around it, and its own look, stay. */
    @Test
    void whatLiesAroundAPictureStays() {
        Sheet looked = after(sheet(), "{'kind':'set-look','panels':['p1'],'layer':1,'opacity':'40 %','blend':'soft-light'}");
        Sheet vista = after(looked, "{'kind':'make-vista','panels':['p1','p2'],'picture':'" + DAWN.id() + "'}");
        Sheet left = after(vista, "{'kind':'leave-vista','panels':['p1']}");
        Sheet filled = after(left, "{'kind':'fill','panels':['p1'],'picture':'" + TALL.id() + "'}");
        for (Sheet now : List.of(vista, left, filled)) {
            assertThat(now.holder("p1").content()).hasSize(4);
            assertThat(layer(now, 1).look().opacity()).isEqualTo(0.4);
            assertThat(layer(now, 1).look().blend()).isEqualTo(Blend.SOFT_LIGHT);
            assertThat(List.of(layer(now, 0), layer(now, 3))).isEqualTo(List.of(layer(looked, 0), layer(looked, 3)));
        }
        assertThat(layer(vista, 1).picture().orElseThrow().slice()).isPresent();
        assertThat(vista.users(DAWN.id())).hasSize(2);
        assertThatThrownBy(() -> after(filled, "{'kind':'unshelve','pictures':['" + DAWN.id() + "']}")).isInstanceOf(BadInput.class)
                .hasMessageContaining("Panel 1");
    }

    @Test
    void layersChangeDepthAndAreTakenOut() {
        Sheet before = sheet();
        Sheet moved = after(before, "{'kind':'move-layer','panels':['p1','p2'],'layer':3,'to':0}");
        assertThat(layer(moved, 0)).isEqualTo(layer(before, 3));
        assertThat(after(moved, "{'kind':'move-layer','panels':['p1'],'layer':0,'to':3}")).isEqualTo(before);
        assertThat(after(before, "{'kind':'move-layer','panels':['p1'],'layer':2}").holder("p1").content()).hasSize(3)
                .doesNotContain(layer(before, 2));
        assertThatThrownBy(() -> after(before, "{'kind':'move-layer','panels':['p2'],'layer':0}")).isInstanceOf(BadInput.class);
        assertThatThrownBy(() -> after(before, "{'kind':'set-words','panels':['p1'],'layer':3,'text':'  '}")).isInstanceOf(BadInput.class)
                .hasMessageContaining("Type the words");
        assertThatThrownBy(() -> after(before, "{'kind':'set-look','panels':['p1'],'layer':3,'opacity':'140'}"))
                .isInstanceOf(BadInput.class).hasMessageContaining("100 %");
    }

    /** A picture that leaves a part bare is no fault while another one, or a wash, fills the panel. */
    @Test
    void aPanelIsBareWhenNothingFillsIt() {
        Sheet bare = after(sheet(), "{'kind':'set-fit','panels':['p1'],'fit':'contain'}",
                "{'kind':'move-layer','panels':['p1'],'layer':2}");
        assertThat(PanelState.of(bare, bare.holder("p1"))).isEqualTo(PanelState.COVERED);
        Sheet alone = after(bare, "{'kind':'move-layer','panels':['p1'],'layer':0}");
        assertThat(PanelState.of(alone, alone.holder("p1"))).isEqualTo(PanelState.BARE);
        Sheet words = after(alone, "{'kind':'move-layer','panels':['p1'],'layer':0}");
        assertThat(PanelState.of(words, words.holder("p1"))).isEqualTo(PanelState.COVERED);
    }

    /**
     * CSS Images 3, 3.1.2: at 90 degrees the line runs from the left edge to the right one; at 45 in a 60 by 40 box it is (60 + 40)/√2
     * long.
     */
    @Test
    void theLineOfAWashIsThatOfCss() {
        Sheet across = after(sheet(), "{'kind':'set-wash','panels':['p1'],'layer':2,'stops':[{'at':0,'colour':'#000','opacity':1}],"
                + "'turn':90}");
        PaintedWash wash = (PaintedWash) Scene.of(across).items().get(0).layers().get(2);
        assertThat(wash.from().x()).isCloseTo(10, within(1e-9));
        assertThat(wash.to().x()).isCloseTo(70, within(1e-9));
        Sheet slanted = after(across, "{'kind':'set-wash','panels':['p1'],'layer':2,'stops':[{'at':0,'colour':'#000','opacity':1}],"
                + "'turn':45}");
        PaintedWash line = (PaintedWash) Scene.of(slanted).items().get(0).layers().get(2);
        assertThat(line.from().distance(line.to())).isCloseTo(100 / Math.sqrt(2), within(1e-9));
        assertThat(line.to().x()).isGreaterThan(line.from().x());
        assertThat(line.to().y()).isLessThan(line.from().y());
    }

    /** Words keep their size when their panel grows, and their place in it; when the picture stays on the sheet they stay too. */
    @Test
    void wordsGoAlongWithTheirPanel() {
        Sheet before = after(sheet(), "{'kind':'set-words','panels':['p1'],'layer':3,'size':'24 pt'}",
                "{'kind':'place-words','panels':['p1'],'layer':3,'across':15,'down':-10,'turn':20}");
        Words grown = (Words) layer(after(before,
                "{'kind':'resize-panels','panels':['p1'],'width':120,'height':40,'anchorX':0,'anchorY':0}"), 3);
        assertThat(grown.centre()).isEqualTo(new Point(30, -10));
        assertThat(grown.style().size()).isCloseTo(24 * 25.4 / 72, within(1e-12));
        Sheet still = after(before, "{'kind':'resize-panels','panels':['p1'],'width':120,'height':44,'anchorX':-1,'anchorY':0,"
                + "'still':true}");
        assertThat(outlines(still).centre().distance(outlines(before).centre())).isLessThan(1e-9);
    }

    private static Box outlines(Sheet sheet) {
        return ((PaintedLetters) Scene.of(sheet).items().get(0).layers().get(3)).outlines().bounds();
    }

    /** Lines stand one below the other at 1.2 of their size, at the side asked for; signs that the typeface lacks are named. */
    @Test
    void wordsAreSet() {
        Setting mono = LetterStyle.of(Typeface.SPACE_MONO, 10, Setting.Side.LEFT).setting();
        double wide = mono.block("mm", OptionalDouble.empty()).width();
        assertThat(mono.block("iiii", OptionalDouble.empty()).width()).isCloseTo(2 * wide, within(1e-5));
        double left = outlines(Typeface.SPACE_MONO, "l\nmmmm", Setting.Side.LEFT).bounds().x();
        double right = outlines(Typeface.SPACE_MONO, "l\nmmmm", Setting.Side.RIGHT).bounds().right();
        assertThat(left).isBetween(-wide, -wide + 2);
        assertThat(right).isBetween(wide - 2, wide);
        double one = outlines(Typeface.CAVEAT, "H", Setting.Side.LEFT).bounds().height();
        assertThat(outlines(Typeface.CAVEAT, "H\nH", Setting.Side.LEFT).bounds().height()).isCloseTo(one + 12, within(1e-5));
        assertThat(Typeface.CAVEAT.face(0).missing("Tide \uD83C\uDF0A \u6F6E")).contains("\uD83C\uDF0A").contains("\u6F6E")
                .doesNotContain("T");
    }

    private static Path outlines(Typeface face, String text, Setting.Side side) {
        Setting setting = LetterStyle.of(face, 10, side).setting();
        return setting.of(setting.block(text, OptionalDouble.empty()));
    }

    /**
     * A layer that is switched off is kept and not painted, and what is behind it is meant by edits; switched on again all is as before.
     */
    @Test
    void layersAreSwitchedOff() {
        Sheet off = after(sheet(), "{'kind':'set-look','panels':['p1'],'layer':1,'off':true}");
        assertThat(Scene.item(off, off.holder("p1")).layers()).extracting(Scene.Layer::at).containsExactly(0, 2, 3);
        assertThat(off.holder("p1").acting(-1)).isZero();
        assertThat(after(off, "{'kind':'set-look','panels':['p1'],'layer':1,'off':false}")).isEqualTo(sheet());
        Sheet none = after(off, "{'kind':'set-look','panels':['p1'],'layer':0,'off':true}",
                "{'kind':'set-look','panels':['p1'],'layer':2,'off':true}", "{'kind':'set-look','panels':['p1'],'layer':3,'off':true}");
        assertThat(PanelState.of(none, none.holder("p1"))).isEqualTo(PanelState.EMPTY);
    }
}
