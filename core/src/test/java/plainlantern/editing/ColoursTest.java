package plainlantern.editing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static plainlantern.Sheets.after;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import plainlantern.Sheets;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ClearBackground;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Foot;
import plainlantern.sheet.Paper;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import plainlantern.sheet.Treatment;

/** Colours as they are typed, the palette that they follow, and what lies behind everything. */
class ColoursTest {
    /** CSS Color 4, example 8 and 7.1: the same colours in three notations (values from memory). */
    @Test
    void coloursAreReadAsCssHasThem() {
        for (String text : new String[] {"#F80", "ff8800", "rgb(255, 136, 0)", "rgb(100% 53.3333% 0%)", "hsl(32 100% 50%)"})
            assertThat(Colour.of(text).hex()).as(text).isEqualTo("#FF8800");
        assertThat(Colour.of("hsl(120deg, 100%, 25%)").hex()).isEqualTo("#008000");
        assertThat(Colour.of("hsl(210, 50%, 40%)").hex()).isEqualTo("#336699");
        for (String text : new String[] {"tide", "#12345", "rgb(300, 0, 0)", "hsl(20, 120%, 10%)", "rgb(1.2.3, 0, 0)"}) {
            assertThatThrownBy(() -> Colour.of(text)).as(text).isInstanceOf(BadInput.class).hasMessageContaining("Write it like");
        }
    }

    /**
     * A swatch that changes takes everything along that is painted in it: rims, shadows, washes, words, paper, named finishes. Taken off it
     * leaves the colours.
     */
    @Test
    void whatIsPaintedInASwatchFollowsIt() {
        Sheet sheet = after(Sheet.empty("Palette", Unit.MM, 100, 100, 300), "{'kind':'add-swatches','colours':['#111111','#222222']}",
                "{'kind':'add-caption'}",
                "{'kind':'set-plate','panels':['p1'],'colour':'#111111@s1'}",
                        "{'kind':'set-words','panels':['p1'],'layer':1,'colour':'#111111@s1'}",
                "{'kind':'set-finish','panels':['p1'],'width':1,'colour':'#111111@s1'}",
                        "{'kind':'set-shadow','panels':['p1'],'colour':'#111111@s1'}",
                "{'kind':'name-finish','panels':['p1'],'name':'Hall'}", "{'kind':'set-paper','paper':{'kind':'washed','stops':[{'at':0,"
                        + "'colour':'#111111@s1','opacity':1},{'at':1,'colour':'#222222@s2','opacity':1}],'turn':90,'round':false}}");
        assertThat(SheetJson.read(SheetJson.write(sheet))).isEqualTo(sheet);
        Sheet changed = after(sheet, "{'kind':'set-swatch','swatch':'s1','colour':'hsl(210, 50%, 40%)','name':'Slate'}");
        String was = SheetJson.write(sheet);
        assertThat(SheetJson.write(changed)).isEqualTo(was.replace("#111111@s1", "#336699@s1")
                .replace("\"name\":\"Colour 1\"", "\"name\":\"Slate\""));
        assertThat(was.split("#111111@s1", -1).length - 1).as("places").isEqualTo(8);
        Sheet off = after(changed, "{'kind':'remove-swatch','swatch':'s1'}");
        assertThat(SheetJson.write(off)).contains("#336699").doesNotContain("@s1");
        assertThatThrownBy(() -> after(sheet, "{'kind':'add-swatches','colours':['#111']}")).isInstanceOf(BadInput.class)
                .hasMessageContaining("has this colour");
    }

    /** A picture behind everything is in use; paper is never half clear; a blur is not negative. */
    @Test
    void paperMayBeAPicture() {
        Sheet sheet = Sheet.empty("Paper", Unit.MM, 100, 100, 300).withShelf(List.of(Sheets.DAWN, Sheets.TALL));
        Sheet behind = after(sheet, "{'kind':'set-paper','paper':{'kind':'pictured','picture':'" + Sheets.DAWN.id() + "','blur':'4 mm'}}");
        assertThatThrownBy(() -> after(behind, "{'kind':'unshelve','pictures':['" + Sheets.DAWN.id() + "']}")).isInstanceOf(BadInput.class)
                .hasMessageContaining("it is the paper");
        Sheet other = after(behind, "{'kind':'replace-picture','picture':'" + Sheets.DAWN.id() + "','by':'" + Sheets.TALL.id() + "'}");
        assertThat(other.paper()).isEqualTo(new Paper.Pictured(Sheets.TALL.id(), 4, Treatment.NONE));
        assertThatThrownBy(() -> after(sheet, "{'kind':'set-paper','paper':{'kind':'pictured','picture':'" + Sheets.DAWN.id()
                + "','blur':-1}}")).isInstanceOf(BadInput.class).extracting("field").isEqualTo("blur");
        assertThatThrownBy(() -> after(sheet,
                "{'kind':'set-paper','paper':{'kind':'washed','stops':[{'at':0,'colour':'#FFF','opacity':0.5}],'turn':0,'round':true}}"))
                .isInstanceOf(BadInput.class);
    }

    @Test
    void aBackgroundIsTakenOutAndComesBack() {
        Sheet sheet = Sheet.empty("Clear", Unit.MM, 100, 100, 300).withShelf(List.of(Sheets.DAWN));
        Foot foot = new Foot(0.2, 0.4, 0.9);
        Sheet clear = new ClearBackground(Sheets.DAWN.id(), Optional.of(foot), Map.of("colour", "#FFFFFF")).on(sheet);
        assertThat(clear.shelf().get(0).treatment().cleared().orElseThrow().tolerance()).isEqualTo(ClearBackground.FIRST.tolerance());
        assertThat(clear.shelf().get(0).foot()).contains(foot);
        assertThat(after(clear, "{'kind':'clear-background','picture':'" + Sheets.DAWN.id() + "'}")).isEqualTo(sheet);
        assertThatThrownBy(() -> after(sheet, "{'kind':'clear-background','picture':'" + Sheets.DAWN.id()
                + "','colour':'#FFF','tolerance':'120 %'}")).isInstanceOf(BadInput.class).extracting("field").isEqualTo("tolerance");
    }
}
