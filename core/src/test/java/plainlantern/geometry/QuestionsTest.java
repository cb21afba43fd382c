package plainlantern.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import plainlantern.asking.BadInput;
import plainlantern.asking.Questions.Kind;
import plainlantern.asking.Questions;
import plainlantern.outline.Outlines;
import plainlantern.pattern.EvenGrid;
import plainlantern.pattern.Honeycomb;
import plainlantern.pattern.Pattern;
import plainlantern.pattern.Polyptych;
import plainlantern.pattern.Scatter;

/** What records ask for, and the words with which they refuse. */
class QuestionsTest {
    @Test
    void aRecordSaysWhatItAsksFor() {
        assertThat(Questions.of(Honeycomb.class)).extracting(Questions.Question::name).containsExactly("rows", "columns", "gap", "flat");
        assertThat(Questions.of(Honeycomb.class)).extracting(Questions.Question::kind)
                .containsExactly(Kind.WHOLE, Kind.WHOLE, Kind.LENGTH, Kind.SWITCH);
        assertThat(Questions.of(Polyptych.class)).extracting(Questions.Question::kind)
                .containsExactly(Kind.WEIGHTS, Kind.LENGTH, Kind.TURN, Kind.SWITCH);
        assertThat(Questions.of(EvenGrid.class)).extracting(Questions.Question::name).doesNotContain("merged");
        assertThat(Questions.value(new EvenGrid(2, 3, 4, 5), "gapDown")).isEqualTo(5.0);
        assertThatThrownBy(() -> Questions.value(new EvenGrid(2, 3, 4, 5), "tilt")).isInstanceOf(IllegalArgumentException.class);
    }

    /** Every pattern and form can be built from its first values: they are within their own limits, and no label is missing or cut. */
    @Test
    void firstValuesAreWithinTheirLimits() {
        for (Class<? extends Pattern> type : Pattern.KINDS) assertThat(Questions.of(type)).isNotEmpty().allSatisfy(QuestionsTest::sound);
        for (var outline : Outlines.KINDS) assertThat(Questions.of(outline.getClass())).allSatisfy(QuestionsTest::sound);
    }

    private static void sound(Questions.Question question) {
        assertThat(question.label()).hasSizeBetween(3, 30);
        assertThat(question.least()).isLessThan(question.most());
        if (question.kind() == Kind.SWITCH || question.kind() == Kind.WEIGHTS) return;
        double first = Double.parseDouble(question.first());
        if (question.kind() != Kind.LENGTH) assertThat(first).isBetween(question.least(), question.most());
        else assertThat(first).isBetween(0.0, 0.5);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"1 | 0.5 | 1.4 | count | Type a number from 2 to 300.",
            "9 | 0.05 | 1.4 | smallest | Type a share from 10 to 100 %.",
        "9 | 0.5 | 0.5 | proportion | Type a number from 1 to 5.", "9 | 0.5 | NaN | proportion | Type a number from 1 to 5."})
    void whatIsOutOfLimitsIsNamedWithThem(int count, double smallest, double proportion, String field, String words) {
        assertThatThrownBy(() -> new Scatter(count, smallest, proportion, 0, 0.5, true, 1))
                .isInstanceOfSatisfying(BadInput.class, e -> assertThat(e.field()).isEqualTo(field)).hasMessage(words);
    }

    @Test
    void lengthsAndTurnsSayTheirUnit() {
        assertThatThrownBy(() -> new Honeycomb(1, 1, -1, false)).hasMessage("Gap cannot be negative.");
        assertThatThrownBy(() -> new Honeycomb(1, 1, 9000, false)).hasMessage("Type a length from 0 to 5000 mm.");
        assertThatThrownBy(() -> new Polyptych(List.of(1.0, 1.0), 0, 80, false)).hasMessage("Type a turn from -70 to 70°.");
    }
}
