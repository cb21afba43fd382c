package plainlantern.editing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static plainlantern.Sheets.after;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.placing.Paste;
import plainlantern.geometry.Point;
import plainlantern.scene.Scene;
import plainlantern.sheet.Blend;
import plainlantern.sheet.Finish;
import plainlantern.sheet.Rim;
import plainlantern.sheet.Shadow;
import plainlantern.sheet.Sheet;

/** What surrounds panels, and its way from one to others. */
class FinishTest {
    private static Sheet three() {
        return after(Sheet.empty("Rims", Unit.MM, 300, 100, 300), "{'kind':'add-panel','outline':{'kind':'ellipse'}}",
                "{'kind':'add-panel','outline':{'kind':'heart'}}",
                "{'kind':'add-panel','outline':{'kind':'ellipse'}}");
    }

    private static Finish finish(Sheet sheet, String panel) {
        return sheet.holder(panel).finish();
    }

    /** 1 pt is 1/72 in; what is not named stays; nothing is drawn before a rim is asked for, and an empty panel with one is painted. */
    @Test
    void aRimIsALength() {
        Sheet before = three();
        assertThat(Scene.of(before).items()).isEmpty();
        Sheet rimmed = after(before, "{'kind':'set-finish','panels':['p1'],'width':'1 pt','colour':'#123456'}",
                "{'kind':'set-finish','panels':['p1'],'dash':'dashed'}");
        Rim rim = finish(rimmed, "p1").rim().orElseThrow();
        assertThat(rim.width()).isCloseTo(25.4 / 72, within(1e-12));
        assertThat(rim.colour().hex()).isEqualTo("#123456");
        assertThat(Scene.of(rimmed).items()).hasSize(1);
        assertThat(finish(after(rimmed, "{'kind':'resize-panels','panels':['p1'],'width':200,'height':10,'anchorX':0,'anchorY':0}"), "p1")
                .rim()).contains(rim);
        assertThat(finish(after(rimmed, "{'kind':'set-finish','panels':['p1'],'width':0}"), "p1").rim()).isEmpty();
        assertThatThrownBy(() -> after(before, "{'kind':'set-finish','panels':['p1'],'width':'-1'}")).isInstanceOf(BadInput.class)
                .hasMessageContaining("0 takes it away");
        assertThatThrownBy(() -> after(before, "{'kind':'set-finish','panels':['p1'],'width':'2 m'}")).isInstanceOf(BadInput.class);
    }

    /** A rim wider than its panel fills it: nothing is drawn outside, nothing fails. */
    @Test
    void aRimMayBeWiderThanItsPanel() {
        for (String dash : new String[] {"solid", "dashed", "dotted"}) {
            Sheet wide = after(three(), "{'kind':'set-finish','panels':['p1'],'width':300,'dash':'" + dash + "'}");
            assertThat(Scene.of(wide).items()).hasSize(1);
        }
    }

    @Test
    void aFinishIsCopiedWholeOrInPart() {
        Sheet one = after(three(), "{'kind':'set-finish','panels':['p1'],'width':2,'opacity':'60 %','blend':'multiply'}");
        Sheet all = after(one, "{'kind':'copy-finish','from':'p1','to':'all'}");
        assertThat(finish(all, "p2")).isEqualTo(finish(one, "p1"));
        Sheet alike = after(one, "{'kind':'copy-finish','from':'p1','to':'alike','parts':['rim']}");
        assertThat(finish(alike, "p2")).isEqualTo(Finish.NONE);
        assertThat(finish(alike, "p3").rim()).isEqualTo(finish(one, "p1").rim());
        assertThat(finish(alike, "p3").look().blend()).isEqualTo(Blend.NORMAL);
        assertThatThrownBy(() -> after(one, "{'kind':'copy-finish','from':'p1','to':'selected','panels':['p1']}"))
                .isInstanceOf(BadInput.class).hasMessageContaining("the first keeps");
        assertThat(finish(after(all, "{'kind':'clear-finish','panels':['p1','p2','p3']}"), "p3")).isEqualTo(Finish.NONE);
    }

    /** A shadow begins with sound values, keeps what is not named, and goes again; what cannot be says so. */
    @Test
    void shadowsAndSoftEdges() {
        Sheet cast = after(three(), "{'kind':'set-shadow','panels':['p1'],'blur':'6 pt'}",
                "{'kind':'set-shadow','panels':['p1'],'direction':-90,'distance':4}",
                "{'kind':'set-shadow','panels':['p1'],'inside':true,'opacity':'25 %'}",
                        "{'kind':'set-finish','panels':['p1'],'feather':'2 mm'}");
        Shadow shadow = finish(cast, "p1").shadow().orElseThrow();
        assertThat(shadow.blur()).isCloseTo(6 * 25.4 / 72, within(1e-12));
        assertThat(shadow.offset().distance(new Point(-4, 0))).isLessThan(1e-9);
        assertThat(finish(cast, "p1").inner().orElseThrow().opacity()).isEqualTo(0.25);
        assertThat(finish(cast, "p1").feather()).isEqualTo(2);
        Sheet bare = after(cast, "{'kind':'set-shadow','panels':['p1'],'on':false}",
                "{'kind':'set-shadow','panels':['p1'],'inside':true,'on':false}", "{'kind':'set-finish','panels':['p1'],'feather':0}");
        assertThat(finish(bare, "p1")).isEqualTo(Finish.NONE);
        assertThatThrownBy(() -> after(cast, "{'kind':'set-shadow','panels':['p1'],'blur':-1}")).isInstanceOf(BadInput.class)
                .extracting("field").isEqualTo("blur");
        assertThatThrownBy(() -> after(cast, "{'kind':'set-finish','panels':['p1'],'feather':-1}")).isInstanceOf(BadInput.class)
                .extracting("field").isEqualTo("feather");
        assertThatThrownBy(() -> after(cast, "{'kind':'set-ground','panels':['p1']}")).isInstanceOf(BadInput.class)
                .hasMessageContaining("no picture");
    }

    /** A change of one panel that follows a named finish goes to all that do; one set free, or given a part of another, stays as it is. */
    @Test
    void namedFinishesAreFollowed() {
        Sheet named = after(three(), "{'kind':'set-finish','panels':['p1'],'width':2}",
                "{'kind':'name-finish','panels':['p1','p2'],'name':'Gallery'}");
        assertThat(finish(named, "p2")).isEqualTo(finish(named, "p1"));
        String id = finish(named, "p1").named().orElseThrow();
        Sheet all = after(named, "{'kind':'follow-finish','panels':['p3'],'finish':'" + id + "'}",
                "{'kind':'set-shadow','panels':['p2'],'blur':1}");
        assertThat(finish(all, "p3").shadow()).isPresent().isEqualTo(finish(all, "p1").shadow());
        assertThat(all.styles().finish(id).finish()).isEqualTo(finish(all, "p2"));
        Sheet free = after(all, "{'kind':'follow-finish','panels':['p1']}", "{'kind':'set-finish','panels':['p2'],'width':3}");
        assertThat(finish(free, "p1").rim().orElseThrow().width()).isEqualTo(2);
        assertThat(finish(free, "p3").rim().orElseThrow().width()).isEqualTo(3);
        assertThat(finish(after(free, "{'kind':'copy-finish','from':'p1','to':'all','parts':['shadow']}"), "p2").named()).isEmpty();
        assertThat(finish(after(free, "{'kind':'copy-finish','from':'p2','to':'all'}"), "p1")).isEqualTo(finish(free, "p2"));
        Sheet pasted = new Paste(free.elements(List.of("p3")), List.of(), 1, 1).on(three());
        assertThat(finish(pasted, "p4").named()).as("on a sheet without that finish").isEmpty();
        assertThat(finish(new Paste(free.elements(List.of("p3")), List.of(), 1, 1).on(free), "p4")).isEqualTo(finish(free, "p3"));
        Sheet forgotten = after(free, "{'kind':'forget-finish','finish':'" + id + "'}");
        assertThat(forgotten.styles().finishes()).isEmpty();
        assertThat(finish(forgotten, "p3")).isEqualTo(finish(free, "p3").following(Optional.empty()));
        assertThat(after(free, "{'kind':'name-finish','finish':'" + id + "','name':'Hall'}").styles().finish(id).name()).isEqualTo("Hall");
        assertThatThrownBy(() -> after(three(), "{'kind':'name-finish','panels':['p1'],'name':' '}")).isInstanceOf(BadInput.class)
                .extracting("field").isEqualTo("name");
    }
}
