package plainlantern.rendering;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static plainlantern.Sheets.after;

import java.awt.image.BufferedImage;
import org.junit.jupiter.api.Test;
import plainlantern.asking.Unit;
import plainlantern.checking.Legibility;
import plainlantern.picture.PictureSource;
import plainlantern.sheet.Sheet;

/** Words against what is behind them. */
class ContrastTest {
    private static final PictureSource NONE = (id, share) -> new BufferedImage(1, 1, BufferedImage.TYPE_3BYTE_BGR);

    /**
     * WCAG 2.2: 21 for black on white, 1 for a colour on itself; #767676 on white is the lightest grey of 4.5, #777777 falls short
     * (commonly published values).
     */
    @Test
    void ratiosAreThoseOfWcag() {
        assertThat(Contrast.ratio(0x000000, 0xFFFFFF)).isCloseTo(21, within(1e-9));
        assertThat(Contrast.ratio(0x336699, 0x336699)).isEqualTo(1);
        assertThat(Contrast.ratio(0xFFFFFF, 0x767676)).isCloseTo(4.54, within(0.005));
        assertThat(Contrast.ratio(0x777777, 0xFFFFFF)).isCloseTo(4.48, within(0.005));
        assertThat(Contrast.ratio(0xFF0000, 0xFFFFFF)).isCloseTo(4.0, within(0.005));
    }

    private static Legibility read(Sheet sheet) {
        return Contrast.of(sheet, sheet.element("p1").caption().orElseThrow(), NONE).orElseThrow();
    }

    /**
     * What lies behind counts, paper, panels and plate as they are really painted, and what lies in front does not; the proposed plate is
     * the smallest that is enough.
     */
    @Test
    void wordsAreReadAgainstWhatIsBehind() {
        Sheet bare = after(Sheet.empty("Read", Unit.MM, 200, 100, 300), "{'kind':'add-caption','text':'High water'}",
                "{'kind':'set-plate','panels':['p1'],'on':false}",
                "{'kind':'set-words','panels':['p1'],'layer':0,'colour':'#777777'}");
        assertThat(read(bare).ratio()).isCloseTo(4.48, within(0.005));
        Sheet dark = after(bare, "{'kind':'add-panel','outline':{'kind':'rectangle','topLeft':0,'topRight':0,'bottomRight':0,"
                + "'bottomLeft':0}}", "{'kind':'seat-panels','panels':['p2'],'left':0,'top':0,'width':100,'height':100}",
                "{'kind':'add-layer','panels':['p2'],'what':'wash'}",
                        "{'kind':'set-wash','panels':['p2'],'layer':0,'stops':[{'at':0,'colour':'#777777','opacity':1}],'turn':0}");
        assertThat(read(dark).ratio()).as("in front").isCloseTo(4.48, within(0.005));
        Sheet behind = after(dark, "{'kind':'raise','panels':['p2'],'to':'bottom'}");
        assertThat(read(behind).ratio()).as("behind").isEqualTo(1);
        assertThat(read(behind).colour().hex()).isEqualTo("#000000");
        double least = read(behind).plate().orElseThrow();
        Sheet legible = after(behind, "{'kind':'set-plate','panels':['p1'],'colour':'#000','opacity':" + least + "}");
        assertThat(read(legible).ratio()).isGreaterThanOrEqualTo(4.5);
        assertThat(read(after(legible, "{'kind':'set-plate','panels':['p1'],'opacity':" + (least - 0.01) + "}")).ratio()).isLessThan(4.5);
        Legibility grey = read(after(behind, "{'kind':'set-plate','panels':['p1'],'colour':'#808080'}"));
        assertThat(grey.colour().hex()).as("no grey plate is enough").isEqualTo("#000000");
        assertThat(grey.plate()).contains(least);
        assertThat(read(after(behind, "{'kind':'set-look','panels':['p1'],'layer':0,'opacity':'30 %'}")).plate())
                .as("words that are half clear").isEmpty();
    }
}
