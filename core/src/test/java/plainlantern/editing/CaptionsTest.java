package plainlantern.editing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static plainlantern.Sheets.after;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import plainlantern.Chance;
import plainlantern.Tried;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.fitting.Typesetting;
import plainlantern.geometry.Box;
import plainlantern.lettering.LetterStyle;
import plainlantern.lettering.Row;
import plainlantern.lettering.Setting;
import plainlantern.lettering.Typeface;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Wash;
import plainlantern.sheet.Words;

/** Words on the sheet, set in a box, on a plate. */
class CaptionsTest {
    private static final Sheet SHEET = after(Sheet.empty("Words", Unit.MM, 240, 120, 300),
            "{'kind':'add-caption','text':'The mill turns with the tide, twice a day, as it has for four hundred years'}");

    private static Words words(Holder caption) {
        return (Words) caption.content().get(caption.content().size() - 1);
    }

    /**
     * Lines are broken at spaces and none is wider than the box; the box is as high as they need; a single long word makes it wider when it
     * is fitted.
     */
    @Test
    void wordsAreSetInTheirBox() {
        Holder caption = SHEET.holder("p1");
        double padding = words(caption).boxed().orElseThrow().padding();
        Setting.Block block = Typesetting.block(caption, words(caption));
        assertThat(block.rows().size()).isGreaterThan(1);
        assertThat(block.rows().stream().map(Row::text).collect(Collectors.joining(" "))).isEqualTo(words(caption).text());
        assertThat(block.width()).isLessThanOrEqualTo(caption.seat().width() - 2 * padding);
        assertThat(Typesetting.overflow(caption, words(caption))).isLessThan(1e-9);
        Sheet narrow = after(SHEET, "{'kind':'resize-panels','panels':['p1'],'width':60,'height':12,'anchorX':-1,'anchorY':-1}");
        assertThat(Typesetting.overflow(narrow.holder("p1"), words(narrow.holder("p1")))).isGreaterThan(10);
        Holder fitted = after(narrow, "{'kind':'fit-caption','panels':['p1']}").holder("p1");
        assertThat(Typesetting.overflow(fitted, words(fitted))).isLessThan(1e-9);
        assertThat(fitted.boundsOnSheet().y()).isCloseTo(narrow.holder("p1").boundsOnSheet().y(), within(1e-9));
        Holder wide = after(narrow, "{'kind':'set-words','panels':['p1'],'layer':1,'text':'Donaudampfschifffahrtsgesellschaft'}",
                "{'kind':'fit-caption','panels':['p1']}").holder("p1");
        assertThat(wide.seat().width()).isGreaterThan(60);
    }

    /**
     * Leading is the distance of baselines, tracking is added between letters and not after the last; words stand at the top, in the
     * middle, at the bottom.
     */
    @Test
    void leadingTrackingAndPlace() {
        LetterStyle plain = LetterStyle.of(Typeface.ZILLA_SLAB, 10, Setting.Side.LEFT);
        LetterStyle open = new LetterStyle(Typeface.ZILLA_SLAB, 10, Setting.Side.LEFT, 2, 100);
        Setting.Block one = plain.setting().block("HH\nHH", OptionalDouble.empty());
        Setting.Block other = open.setting().block("HH\nHH", OptionalDouble.empty());
        assertThat(other.width() - one.width()).isCloseTo(1, within(1e-9));
        assertThat(other.height() - one.height()).isCloseTo(8, within(1e-9));
        Holder high = after(SHEET, "{'kind':'resize-panels','panels':['p1'],'width':120,'height':100,'anchorX':0,'anchorY':0}")
                .holder("p1");
        Box box = high.ownPath().bounds();
        double padding = words(high).boxed().orElseThrow().padding();
        for (String lie : new String[] {"top", "middle", "bottom"}) {
            Sheet set = after(SHEET.with(List.of(high)), "{'kind':'box-words','panels':['p1'],'layer':1,'lie':'" + lie + "'}");
            Box ink = Typesetting.outlines(set.holder("p1"), words(set.holder("p1"))).bounds();
            double above = ink.y() - box.y() - padding;
            double below = box.bottom() - padding - ink.bottom();
            if (lie.equals("middle")) assertThat(above).isCloseTo(below, within(3.0));
            else assertThat(lie.equals("top") ? above : below).isBetween(0.0, 3.0);
        }
    }

    @Test
    void aPlateComesGoesAndRounds() {
        Sheet tinted = after(SHEET, "{'kind':'set-plate','panels':['p1'],'colour':'#1F4878','opacity':'60 %','radius':3}");
        assertThat(tinted.holder("p1").content().get(0))
                .isInstanceOfSatisfying(Wash.class, w -> assertThat(w.look().opacity()).isEqualTo(0.6));
        assertThat(after(tinted, "{'kind':'set-plate','panels':['p1'],'on':false}").holder("p1").content()).hasSize(1);
        assertThatThrownBy(() -> after(SHEET, "{'kind':'add-panel','outline':{'kind':'heart'}}", "{'kind':'set-plate','panels':['p2']}"))
                .isInstanceOf(BadInput.class).hasMessageContaining("captions");
    }

    /** Ten thousand letters are refused with their number and what is possible; so is a size of nothing. */
    @Test
    void whatCannotBeSetSaysSo() {
        assertThatThrownBy(() -> after(SHEET, "{'kind':'set-words','panels':['p1'],'layer':1,'text':'" + "tide ".repeat(2000) + "'}"))
                .isInstanceOf(BadInput.class).hasMessageContaining("10000 letters").hasMessageContaining("2000");
        assertThatThrownBy(() -> after(SHEET, "{'kind':'set-words','panels':['p1'],'layer':1,'size':0}")).isInstanceOf(BadInput.class)
                .extracting("field").isEqualTo("size");
        assertThatThrownBy(() -> after(SHEET, "{'kind':'set-words','panels':['p1'],'layer':1,'leading':'-5 %'}"))
                .isInstanceOf(BadInput.class).extracting("field").isEqualTo("leading");
    }

    /**
     * Whatever the words and the measure: no line is wider unless it is a single word, no line could take the next word, and nothing is
     * lost.
     */
    @Tried(200)
    void linesAreFull(Chance chance) {
        List<String> words = chance.list(1, 30, c -> "x".repeat(c.whole(0, 4)) + c.of("mill", "Tide", "W", "reeds", "i"));
        double measure = chance.between(5, 120);
        double tracking = chance.between(-50, 300);
        LetterStyle style = new LetterStyle(Typeface.EB_GARAMOND, 6, Setting.Side.LEFT, 1.2, tracking);
        Setting.Block block = style.setting().block(String.join(" ", words), OptionalDouble.of(measure));
        assertThat(block.rows().stream().map(Row::text).collect(Collectors.joining(" "))).isEqualTo(String.join(" ", words));
        for (int i = 0; i < block.rows().size(); i++) {
            String line = block.rows().get(i).text();
            double wide = style.setting().block(line, OptionalDouble.empty()).width();
            if (line.contains(" ")) assertThat(wide).isLessThanOrEqualTo(measure + 1e-6);
            if (i == 0) continue;
            String tried = block.rows().get(i - 1).text() + " " + line.split(" ")[0];
            assertThat(style.setting().block(tried, OptionalDouble.empty()).width()).isGreaterThan(measure - 1e-6);
        }
    }
}
