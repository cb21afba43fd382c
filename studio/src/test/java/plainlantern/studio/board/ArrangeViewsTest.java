package plainlantern.studio.board;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.reading.EditReader;
import plainlantern.outline.Star;
import plainlantern.pattern.Honeycomb;
import plainlantern.pattern.Pattern;
import plainlantern.pattern.Polyptych;
import plainlantern.sheet.Sheet;

/** What the bench shows in Arrange: fields built from what the core asks for, galleries, the pattern that panels came from. */
class ArrangeViewsTest {
    private static Sheet sheet(Unit unit, String... edits) {
        Sheet now = Sheet.empty("Tide", unit, 254, 127, 300);
        for (String json : edits) now = EditReader.read(json.replace('\'', '"'), now).apply(now);
        return now;
    }

    private static String value(List<Fields.Field> fields, String name) {
        return fields.stream().filter(f -> f.name().equals(name)).findFirst().orElseThrow().value();
    }

    /** First lengths are plain numbers of the sheet's unit: a fiftieth of 115 mm is 2 mm, a tenth of an inch, 20 px at 300 ppi, 5 pt. */
    @ParameterizedTest
    @CsvSource({"MM,2.00 mm", "CM,0.200 cm", "IN,0.100 in", "PX,20 px", "PT,5.0 pt"})
    void firstLengthsArePlainNumbers(Unit unit, String gap) {
        assertThat(value(Fields.of(Honeycomb.class, Optional.empty(), new Numbers(sheet(unit)), 115), "gap")).isEqualTo(gap);
    }

    @Test
    void plainNumbersAreOneTwoOrFive() {
        for (double mm = 0.013; mm < 900; mm *= 1.37) {
            double plain = Fields.plain(mm, 1);
            double lead = plain / Math.pow(10, Math.floor(Math.log10(plain) + 1e-9));
            assertThat(Math.rint(lead)).isIn(1.0, 2.0, 5.0);
            assertThat(lead).isCloseTo(Math.rint(lead), within(1e-9));
            assertThat(plain / mm).isBetween(0.55, 1.8);
        }
        assertThat(Fields.plain(0, 1)).isZero();
    }

    /** What is shown for a value reads back as that value. */
    @Test
    void valuesReadBack() {
        Numbers mm = new Numbers(sheet(Unit.MM));
        List<Fields.Field> polyptych = Fields.of(Polyptych.class, Optional.of(new Polyptych(List.of(1.0, 2.5), 6, -8.5, true)), mm, 100);
        assertThat(polyptych).extracting(Fields.Field::value).containsExactly("1:2.5", "6.00 mm", "-8.5°", "");
        assertThat(polyptych.get(3).on()).isTrue();
        List<Fields.Field> star = Fields.of(Star.class, Optional.of(new Star(7, 0.385, 1.25)), mm, 0);
        assertThat(star).extracting(Fields.Field::value).containsExactly("7", "38.5 %", "1.25 mm");
        Sheet sheet = sheet(Unit.MM, "{'kind':'add-panel','outline':{'kind':'star','points':'7','inner':'38.5 %','rounding':'1.25 mm'}}");
        assertThat(sheet.holder("p1").outline()).isEqualTo(new Star(7, 0.385, 1.25));
    }

    @Test
    void theGalleriesAreDrawnByTheGenerators() {
        assertThat(Gallery.PATTERNS).hasSize(Pattern.KINDS.size()).allSatisfy(card -> {
            assertThat(card.drawing()).startsWith("M").endsWith("Z");
            assertThat(card.drawing().chars().filter(c -> c == 'M').count()).isGreaterThan(2);
            assertThat(card.label()).matches("[A-Z][a-z]+( [a-z]+)*");
        });
        assertThat(Gallery.PATTERNS.stream().map(Gallery.Card::drawing).distinct()).hasSize(Pattern.KINDS.size());
        assertThat(Gallery.FORMS).hasSize(9).extracting(Gallery.Card::kind).doesNotHaveDuplicates()
                .contains("rectangle", "heart", "slanted");
    }

    @Test
    void aPatternsFormKnowsWhereItMayGo() {
        String grid = "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':1,'columns':2,'gapAcross':4,'gapDown':0,"
                + "'merged':[{'row':0,'column':0,'rows':1,'columns':1}]}}";
        PatternForm empty = PatternForm.of(sheet(Unit.MM), "shards", List.of());
        assertThat(List.of(empty.where().again(), empty.where().inside(), empty.where().filled(), empty.seeded()))
                .containsExactly(false, false, false, true);
        assertThat(empty.margins()).containsExactly("6.00", "6.00", "6.00", "6.00");
        PatternForm inside = PatternForm.of(sheet(Unit.MM, grid), "even-grid", List.of("p1"));
        assertThat(List.of(inside.where().again(), inside.where().inside(), inside.where().filled(), inside.seeded()))
                .containsExactly(false, true, true, false);
        assertThat(inside.merged()).isEqualTo("[]");
        PatternForm again = PatternForm.of(sheet(Unit.MM, grid), "again", List.of("p1"));
        assertThat(again.kind()).isEqualTo("even-grid");
        assertThat(value(again.fields(), "gapAcross")).isEqualTo("4.00 mm");
        assertThat(again.merged()).contains("\"columns\":1");
        Sheet area = sheet(Unit.MM, "{'kind':'lay-out','where':'replace','pattern':{'kind':'honeycomb','rows':1,'columns':2,'gap':4},"
                + "'area':{'x':1,'y':1,'width':90,'height':50}}");
        assertThat(PatternForm.of(area, "again", List.of("p1")).margins()).isEmpty();
        assertThatThrownBy(() -> PatternForm.of(sheet(Unit.MM), "again", List.of())).isInstanceOf(BadInput.class);
        assertThatThrownBy(() -> PatternForm.of(sheet(Unit.MM), "maze", List.of())).isInstanceOf(BadInput.class);
    }

    @Test
    void theSelectionsFormLocksAndPattern() {
        Sheet sheet = sheet(Unit.MM, "{'kind':'lay-out','where':'replace','pattern':{'kind':'honeycomb','rows':1,'columns':3,'gap':4}}",
                "{'kind':'traits','panels':['p1'],'locked':true}",
                "{'kind':'set-outline','panels':['p2'],'outline':{'kind':'ring','inner':0.4}}",
                        "{'kind':'group','panels':['p1','p2'],'together':true}");
        ArrangeView one = ArrangeView.of(sheet, List.of("p2"));
        assertThat(one.again()).contains("Honeycomb");
        assertThat(one.form()).isEqualTo("ring");
        assertThat(one.formAsked()).extracting(Fields.Field::value).containsExactly("40 %");
        assertThat(List.of(one.locked(), one.hidden(), one.grouped())).containsExactly(false, false, true);
        ArrangeView two = ArrangeView.of(sheet, List.of("p1", "p2"));
        assertThat(two.form()).isEmpty();
        assertThat(two.formAsked()).isEmpty();
        assertThat(two.locked()).isFalse();
        assertThat(ArrangeView.of(sheet, List.of("p1")).locked()).isTrue();
        assertThat(ArrangeView.of(sheet, List.of()).guideKinds()).hasSize(6).filteredOn(ArrangeView.GuideKind::shown).hasSize(4);
    }
}
