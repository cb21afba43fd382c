package plainlantern.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import plainlantern.asking.BadInput;
import plainlantern.asking.Lengths;
import plainlantern.asking.Unit;

class LengthsTest {
    /** CSS Values 4, absolute lengths: 1in = 2.54cm = 25.4mm = 72pt; the sheet has 300 ppi. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "12.5 | 12.5", "12,5 | 12.5", "1in | 25.4", "1\" | 25.4", "2.54 cm | 25.4", "72pt | 25.4", "300 px | 25.4",
        "210/3 - 2mm | 68", "(3+4)*2 cm | 140", "-5 | -5", "−5 mm | -5", "1in - 1cm | 15.4", "2 × 3 | 6", "10mm/2mm | 5",
        "2 + 1in | 27.4", "1/4 in | 6.35", "3/(2 in) | 38.1"})
    void readsSumsWithUnits(String text, double mm) {
        assertThat(Lengths.mm(text, "width", Unit.MM, 300)).isCloseTo(mm, within(1e-9));
    }

    @Test
    void aBareNumberIsInTheSheetsUnit() {
        assertThat(Lengths.mm("3/4", "width", Unit.IN, 300)).isCloseTo(19.05, within(1e-12));
        assertThat(Lengths.mm("225", "width", Unit.PX, 300)).isCloseTo(19.05, within(1e-12));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "abc", "12 ells", "1/0", "3mm*2mm", "(1+2", "1 2", "1e999", "9999999999", "--", "5mm mm"})
    void whatIsNoLengthIsRefusedAtItsField(String text) {
        assertThatThrownBy(() -> Lengths.mm(text, "width", Unit.MM, 300)).isInstanceOfSatisfying(BadInput.class,
                e -> assertThat(e.field()).isEqualTo("width"));
    }

    @Test
    void numbersMayCarryTheirSignButNoUnit() {
        assertThat(Lengths.number(" 118 %", "zoom")).isEqualTo(118);
        assertThat(Lengths.number("−12.5°", "turn")).isEqualTo(-12.5);
        assertThatThrownBy(() -> Lengths.number("3 mm", "zoom")).isInstanceOf(BadInput.class);
        assertThatThrownBy(() -> Lengths.number("1" + " ".repeat(20_000) + "x", "turn")).isInstanceOf(BadInput.class)
                .hasMessageContaining("too long");
    }
}
