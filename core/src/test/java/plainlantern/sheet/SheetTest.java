package plainlantern.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import plainlantern.Chance;
import plainlantern.Sheets;
import plainlantern.Tried;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.placing.MovePanels;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.outline.Ellipse;
import plainlantern.outline.Rectangle;
import tools.jackson.core.JacksonException;

class SheetTest {
    /** ISO 216: A0 is 841 × 1189 mm; each next size halves the longer side, rounded down to the millimetre. */
    @Test
    void paperSizesAreThoseOfIso216() {
        int shorter = 841;
        int longer = 1189;
        for (int n = 1; n <= 6; n++) {
            int half = longer / 2;
            longer = shorter;
            shorter = half;
            if (n < 3) continue;
            SheetSize size = SheetSize.valueOf("A" + n);
            assertThat(size.shorter()).isEqualTo(shorter);
            assertThat(size.longer()).isEqualTo(longer);
        }
    }

    @Test
    void aSheetIsCalledByItsSize() {
        assertThat(SheetSize.describe(Sheet.empty("s", Unit.CM, 420, 297, 300))).isEqualTo("A3 landscape");
        assertThat(SheetSize.describe(Sheet.empty("s", Unit.IN, 215.9, 279.4, 300))).isEqualTo("Letter portrait");
        assertThat(SheetSize.describe(Sheet.empty("s", Unit.MM, 100, 50.5, 300))).isEqualTo("100 × 50.5 mm");
        assertThat(SheetSize.describe(Sheet.empty("s", Unit.PX, 254, 127, 300))).isEqualTo("3000 × 1500 px");
        double side = 1080 * 25.4 / 96;
        assertThat(SheetSize.describe(Sheet.empty("s", Unit.PX, side, side, 96))).isEqualTo("Square on screen");
    }

    @Test
    void whatMakesNoSenseIsRefusedAtItsField() {
        assertThatThrownBy(() -> Sheet.empty(" ", Unit.MM, 100, 100, 300)).isInstanceOf(BadInput.class).extracting("field")
                .isEqualTo("name");
        assertThatThrownBy(() -> Sheet.empty("s", Unit.MM, 0, 100, 300)).isInstanceOf(BadInput.class).extracting("field")
                .isEqualTo("width");
        assertThatThrownBy(() -> Sheet.empty("s", Unit.MM, 100, Double.NaN, 300)).isInstanceOf(BadInput.class).extracting("field")
                .isEqualTo("height");
        assertThatThrownBy(() -> Sheet.empty("s", Unit.MM, 100, 100, 0)).isInstanceOf(BadInput.class).extracting("field").isEqualTo("ppi");
    }

    /**
     * Limits that make no sense are refused at their field; a panel cannot follow a finish that is not there; a colour's link is a plain
     * id.
     */
    @Test
    void whatBelongsToTheSheetIsSound() {
        Limits first = Limits.FIRST;
        assertThat(first.rim()).isCloseTo(0.0882, within(1e-4));
        assertThatThrownBy(() -> new Limits(3, 0.7, 0.5, 2, 0.1, 4.5, 0)).isInstanceOf(BadInput.class).extracting("field")
                .isEqualTo("focal");
        assertThatThrownBy(() -> new Limits(3, 0.05, 0.5, 2, 0.1, 0.5, 0)).isInstanceOf(BadInput.class).extracting("field")
                .isEqualTo("contrast");
        assertThatThrownBy(() -> new Limits(-3, 0.05, 0.5, 2, 0.1, 4.5, 0)).isInstanceOf(BadInput.class).extracting("field")
                .isEqualTo("limits");
        Holder follower = Panel.empty("p1", "Left", new Ellipse(), Seat.upright(new Point(10, 10), 5, 5))
                .finished(Finish.NONE.following(Optional.of("f9")));
        assertThatThrownBy(() -> Sheet.empty("Tide", Unit.MM, 100, 50, 96).with(List.of(follower), 1)).isInstanceOf(BadInput.class)
                .hasMessageContaining("finish that is not there");
        assertThatThrownBy(() -> Colour.of("#FFFFFF@<script>")).isInstanceOf(BadInput.class);
        assertThatThrownBy(() -> new Foot(0.6, 0.4, 0.9)).isInstanceOf(BadInput.class);
    }

    @Test
    void jsonReadsBackWhatWasWrittenAndRefusesWhatItDoesNotKnow() {
        Picture dawn = new Picture("ab".repeat(32), "Dawn", 6000, 4000);
        Pose pose = new Pose(new Point(1, 2), 0.0123456789012345, 0.2, -12.5, true);
        Finish rimmed = Finish.NONE.rimmed(Optional.of(new Rim(0.1, Colour.WHITE, Rim.Side.CENTRED, Rim.Dash.DASHED, Rim.Join.BEVEL)));
        Basics basics = new Basics("p1", "Left “wing”", true, false, "g2", Seat.upright(new Point(0.1, 1e-7), 30, 40), rimmed);
        Panel panel = new Panel(basics, new Rectangle(1.5, 0, 2, 1 / 3.0), List.of(PictureLayer.own(dawn, Fit.ACTUAL, pose, false)));
        Sheet sheet = Sheet.empty("Tide", Unit.PX, 100, 50, 96).withPaper(new Paper.None())
                .withShelf(List.of(dawn)).with(List.of(panel), 1);
        String json = SheetJson.write(sheet);
        assertThat(SheetJson.read(json)).isEqualTo(sheet);
        assertThatThrownBy(() -> SheetJson.read(json.replaceFirst("\\{", "{\"novelty\":1,"))).hasMessageContaining("novelty");
    }

    @Test
    void numbersAreShownInTheSheetsUnit() {
        assertThat(Unit.MM.show(-12.4, 300)).isEqualTo("\u221212.40");
        assertThat(Unit.MM.show(-0.001, 300)).isEqualTo("0.00");
        assertThat(Unit.IN.show(19.05, 300)).isEqualTo("0.750");
        assertThat(Unit.PX.show(19.05, 300)).isEqualTo("225");
        assertThat(Unit.PT.show(25.4, 300)).isEqualTo("72.0");
        assertThatThrownBy(() -> Unit.of("ell")).isInstanceOf(BadInput.class);
    }

    @Test
    void coloursAreReadAsPeopleWriteThem() {
        assertThat(Colour.of("#fa8").hex()).isEqualTo("#FFAA88");
        assertThat(Colour.of(" FAF8F4 ").rgb()).isEqualTo(0xFAF8F4);
        for (String bad : List.of("", "#12", "red", "#12345678")) assertThatThrownBy(() -> Colour.of(bad)).isInstanceOf(BadInput.class);
    }

    @Test
    void marginsLeaveAnAreaOrNone() {
        Sheet sheet = Sheet.empty("s", Unit.MM, 100, 60, 300);
        assertThat(sheet.withMargins(new Margins(10, 20, 5, 1)).area().orElseThrow()).isEqualTo(new Box(1, 10, 79, 45));
        assertThat(sheet.withMargins(Margins.all(30)).area()).isEmpty();
        assertThatThrownBy(() -> new Margins(0, 0, -1, 0)).isInstanceOf(BadInput.class).extracting("field").isEqualTo("bottom");
    }

    @Test
    void seatsMapTheirOwnFrameToTheSheet() {
        Seat seat = new Seat(new Point(50, 40), 20, 10, 90, true);
        // Mirrored first, then turned clockwise: the right side's middle ends up at the top.
        Point p = seat.toSheet().apply(new Point(10, 0));
        assertThat(p.x()).isEqualTo(50);
        assertThat(p.y()).isEqualTo(30);
        for (double bad : new double[] {0, -1, Double.NaN, 1e9}) assertThatThrownBy(() -> seat.sized(bad, 5)).isInstanceOf(BadInput.class);
    }

    /** What stays on a sheet is not written again, and the whole is what it would be if all were. */
    @Tried(3)
    void whatAnEditLeavesAsItWasKeepsItsText(Chance chance) {
        Sheet before = Sheets.any(chance);
        Optional<Element> free = before.elements().stream().filter(e -> !e.locked()).findFirst();
        // There may be none to be moved.
        if (free.isEmpty()) return;
        SheetText text = SheetText.of(before, SheetText.Elements.NONE);
        assertThat(text.json()).isEqualTo(SheetJson.write(before));
        Sheet after = MovePanels.along(List.of(free.get().id()), 1, 2).on(before);
        SheetText next = SheetText.of(after, text.elements());
        assertThat(SheetJson.read(next.json())).isEqualTo(after);
        for (Element element : after.elements()) {
            if (before.elements().stream().noneMatch(e -> e == element)) continue;
            assertThat(next.elements().of(element)).containsSame(text.elements().of(element).orElseThrow());
        }
        assertThat(next.elements().of(free.get())).isEmpty();
    }

    /**
     * Whatever a number or a text of a document becomes: it is refused when it is read, or it can be stored; ids are words and nothing
     * else. Of members with one name up to four are changed, all through the document.
     */
    @Tried(2)
    void hostileDocumentsAreRefusedOrSound(Chance chance) {
        String document = SheetJson.write(Sheets.any(chance));
        Pattern members = Pattern.compile("\"(\\w+)\":(\"[^\"]*\"|-?[0-9.E-]+)");
        Map<String, Long> named = members.matcher(document).results()
                .collect(Collectors.groupingBy(result -> result.group(1), Collectors.counting()));
        Map<String, Long> met = new HashMap<>();
        Matcher member = members.matcher(document);
        int refused = 0;
        while (member.find()) {
            if (met.merge(member.group(1), 1L, Long::sum) % (1 + named.get(member.group(1)) / 4) != 0) continue;
            for (String value : Sheets.HOSTILE) {
                String hostile = document.substring(0, member.start(2)) + value + document.substring(member.end());
                try {
                    Sheet read = SheetJson.read(hostile);
                    String written = SheetJson.write(read);
                    assertThat(written).as(member.group(1)).doesNotContain("Infinity", "NaN", "\\u0000");
                    assertThat(written.codePoints().noneMatch(c -> Character.getType(c) == Character.SURROGATE))
                            .as(member.group(1)).isTrue();
                    assertThat(SheetJson.read(written)).as(member.group(1)).isEqualTo(read);
                    assertThat(read.elements()).extracting(Element::id).allMatch(id -> id.matches("[\\w-]{1,40}"));
                } catch (JacksonException refusal) {
                    refused++;
                }
            }
        }
        assertThat(refused).isPositive();
    }
}
