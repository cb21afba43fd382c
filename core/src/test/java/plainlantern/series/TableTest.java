package plainlantern.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import plainlantern.Chance;
import plainlantern.Tried;
import plainlantern.asking.BadInput;

class TableTest {
    private static Table read(String text) {
        return Table.read(text.getBytes(StandardCharsets.UTF_8));
    }

    /** RFC 4180 (Shafranovich, 2005), section 2: its examples under 5, 6 and 7, below a line with names. */
    @Test
    void whatTheStandardShows() {
        Table table = read("a,b,c\r\n\"aaa\",\"b \r\nbb\",\"ccc\"\r\nzzz,yyy,xxx\r\n\"aaa\",\"b\"\"bb\",\"ccc\"\r\n");
        assertThat(table.columns()).containsExactly("a", "b", "c");
        assertThat(table.rows()).containsExactly(new Table.Row(2, Map.of("a", "aaa", "b", "b \r\nbb", "c", "ccc")),
                new Table.Row(4, Map.of("a", "zzz", "b", "yyy", "c", "xxx")), new Table.Row(5, Map.of("a", "aaa", "b", "b\"bb", "c",
                        "ccc")));
    }

    /** Whatever is in the values, however lines end and values are parted: what was written is read (as spreadsheets write it). */
    @Tried(60)
    void whatSpreadsheetsWriteIsRead(Chance chance) {
        String by = chance.of(",", ";", "\t");
        String end = chance.of("\r\n", "\n", "\r");
        List<String> values = chance.list(3, 3, c -> c.of("Low water", "High, higher", "8 o'clock; rain", "say \"ebb\"", "Düne\tWatt", "",
                "two\nlines", "{title}"));
        String line = String.join(by, values.stream().map(v -> v.matches("[\\w ]*") && chance.flag() ? v : "\"" + v.replace("\"", "\"\"")
                + "\"").toList());
        String text = (chance.flag() ? "\uFEFF" : "") + String.join(by, "Title", "“Where when”", "n") + end + end + line
                + (chance.flag() ? end : "");
        Table table = read(text);
        assertThat(table.columns()).containsExactly("Title", "“Where when”", "n");
        assertThat(table.rows()).hasSize(1);
        assertThat(table.rows().get(0).values()).containsEntry("title", values.get(0)).containsEntry("“where when”", values.get(1))
                .containsEntry("n", values.get(2));
    }

    @ParameterizedTest
    @ValueSource(strings = {"| is empty", "a,b|no line below", "a,a\n1,2|called “a”", "a,b\n1,2,3|Line 2 has 3 values",
        "a,b\n1,2\n\"x\" y,2|Line 3 can’t be read", "a\nb\n\"open|Line 3 can’t be read", ",\n1,2|names no column"})
    void whatIsNoTableIsRefusedWithItsPlace(String told) {
        String[] parts = told.split("\\|");
        assertThatThrownBy(() -> read(parts[0])).isInstanceOf(BadInput.class).hasMessageContaining(parts[1].strip());
    }

    @Test
    void otherLettersAreNotGuessed() {
        assertThatThrownBy(() -> Table.read("Titel\nD\u00fcne".getBytes(StandardCharsets.ISO_8859_1))).isInstanceOf(BadInput.class)
                .hasMessageContaining("UTF-8");
    }
}
