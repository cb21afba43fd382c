package plainlantern.rendering;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import plainlantern.Sheets;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.geometry.Box;
import plainlantern.scene.Extent;
import plainlantern.scene.Pages;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.scene.Scene;
import plainlantern.sheet.Sheet;

/**
 * What a painting says that it takes grows with what it takes; that it is enough is tried with little memory: ./lantern trial littleMemory.
 */
class CostTest {
    private static final long HELD = 1_000_000_000L;
    private static final long READING = 3_000_000_000L;
    private static final Cost.Pictures PICTURES = new Cost.Pictures() {
        @Override
        public long reading(PaintedPicture picture, double share) {
            return READING;
        }

        @Override
        public long held(PaintedPicture picture, double share) {
            return HELD;
        }

        @Override
        public long mostHeld() {
            return HELD;
        }
    };

    /** 254 × 254 mm at 100 ppi are a million pixels. */
    private static final Sheet BARE = Sheet.empty("Wall", Unit.MM, 254, 254, 100);

    @Test
    void aPageCostsItsPixelsAndMoreWithEachShadow() {
        long bare = cost(BARE);
        assertThat(bare).isBetween(4_000_000L, 60_000_000L);
        Sheet framed = filled(200);
        Sheet shaded = Sheets.after(framed,
                "{'kind':'set-shadow','panels':['p1'],'distance':'2 mm','blur':'3 mm','colour':'#000000','opacity':'40 %'}");
        assertThat(cost(shaded)).isGreaterThan(cost(framed));
        // Four times the pixels, of which each is four bytes at least while it is painted.
        assertThat(cost(BARE, 200) - bare).isGreaterThan(3 * 4_000_000L);
        // A page that goes into its file in strips costs no more than they do, however large it is.
        assertThat(cost(BARE, 2400)).isLessThan(2 * cost(BARE, 800)).isLessThan(300_000_000L);
        assertThat(Cost.delivery(Delivery.of(Format.WEBP, 800), Pages.of(BARE, Extent.SHEET, List.of(), false), PICTURES))
                .isGreaterThan(64_000_000L * 4);
    }

    /** A picture costs what it holds and, while it is read, what that takes; one that is not on the part that is painted costs nothing. */
    @Test
    void onlyPicturesThatAreSeenAreCounted() {
        Sheet filled = filled(50);
        assertThat(cost(filled) - cost(BARE)).isBetween(READING, HELD + READING + 60_000_000L);
        Scene scene = Scene.of(filled);
        assertThat(Cost.part(scene, new Box(200, 200, 20, 20), 100, PICTURES)).isLessThan(HELD);
        assertThat(Cost.part(scene, new Box(0, 0, 20, 20), 100, PICTURES)).isGreaterThan(READING);
    }

    /** A panel of so many mm with a picture, at the upper left. */
    private static Sheet filled(int mm) {
        return Sheets.after(new ShelvePictures(List.of(Sheets.DAWN)).apply(BARE), "{'kind':'add-panel','outline':{'kind':'ellipse'}}",
                "{'kind':'seat-panels','panels':['p1'],'width':" + mm + ",'height':" + mm + ",'left':0,'top':0}",
                "{'kind':'fill','panels':['p1'],'picture':'" + Sheets.DAWN.id() + "'}");
    }

    private static long cost(Sheet sheet) {
        return cost(sheet, 100);
    }

    private static long cost(Sheet sheet, double ppi) {
        return Cost.delivery(Delivery.of(Format.PNG, ppi), Pages.of(sheet, Extent.SHEET, List.of(), false), PICTURES);
    }
}
