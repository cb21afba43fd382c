package plainlantern.series;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import plainlantern.Chance;
import plainlantern.Sheets;
import plainlantern.Tried;
import plainlantern.asking.Unit;
import plainlantern.sheet.Fields;
import plainlantern.sheet.Sheet;

class FieldsTest {
    @Test
    void namesInBracesAreFields() {
        assertThat(Fields.in("{Title}, {place of}\n{ title } {} {a{b}c}")).containsExactly("title", "place of", "b");
        assertThat(Fields.in("{" + "x".repeat(61) + "} {two\nlines}")).isEmpty();
    }

    /** A value that looks like a field, or like a replacement of a pattern, is only text. */
    @Tried(80)
    void valuesAreText(Chance chance) {
        String value = chance.of("{n}", "$1 \\0", "{title}", "", "\\", "a{b", "Ebb & flow");
        String filled = Fields.filled("{Title}: {title} {other}", Map.of("title", value));
        assertThat(filled).isEqualTo(value + ": " + value + " {other}");
    }

    /** Words that come to nothing are gone, and only those. */
    @Test
    void emptyWordsAreGone() {
        Sheet template = Sheets.after(Sheet.empty("Card", Unit.MM, 100, 60, 96).withShelf(List.of(Sheets.DAWN)),
                "{'kind':'add-caption','text':'{title}'}", "{'kind':'add-caption','text':'Bay, {title}'}");
        Sheet made = new Filling("Card", Map.of(), Map.of("title", ""), Map.of()).on(template, Map.of());
        assertThat(made.holder("p1").content()).hasSize(template.holder("p1").content().size() - 1).noneMatch(c -> c.words().isPresent());
        assertThat(made.holder("p2").content().get(1).words().orElseThrow().text()).isEqualTo("Bay, ");
        assertThat(made.shelf()).isEmpty();
    }

    /** What is locked or blended, or lies behind all, belongs to the layout. */
    @Test
    void whatMostLikelyStays() {
        Sheet sheet = Sheets.after(Sheet.empty("Card", Unit.MM, 100, 60, 96).withShelf(List.of(Sheets.DAWN, Sheets.TALL)),
                "{'kind':'frame-picture','picture':'" + Sheets.DAWN.id() + "'}", "{'kind':'frame-picture','picture':'" + Sheets.TALL.id()
                        + "'}");
        assertThat(Filling.staying(sheet)).isEmpty();
        assertThat(Filling.staying(Sheets.after(sheet, "{'kind':'traits','panels':['p1'],'locked':true}"))).isEqualTo(Set.of(
                Sheets.DAWN.id()));
        assertThat(Filling.staying(Sheets.after(sheet, "{'kind':'set-finish','panels':['p2'],'blend':'multiply'}"))).isEqualTo(Set.of(
                Sheets.TALL.id()));
        assertThat(Filling.staying(Sheets.after(sheet, "{'kind':'set-look','panels':['p2'],'layer':0,'blend':'screen'}"))).isEqualTo(
                Set.of(Sheets.TALL.id()));
    }
}
