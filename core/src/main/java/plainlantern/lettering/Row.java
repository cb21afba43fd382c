package plainlantern.lettering;

import java.text.Bidi;
import java.text.BreakIterator;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.ToDoubleFunction;

/**
 * The text of one line.
 *
 * @param rightToLeft whether its paragraph runs from right to left
 */
public record Row(String text, boolean rightToLeft) {
    /** A paragraph in one line; its first letter that has a direction says which way it runs. */
    static Row of(String paragraph) {
        return new Row(paragraph, Bidi.requiresBidi(paragraph.toCharArray(), 0, paragraph.length())
                && !new Bidi(paragraph, Bidi.DIRECTION_DEFAULT_LEFT_TO_RIGHT).baseIsLeftToRight());
    }

    /**
     * The paragraph in lines of which none is wider than the measure, unless by what cannot be broken. They are broken where
     * {@link BreakIterator} allows it (Unicode Line Breaking, UAX 14); spaces at a line's end take no room.
     */
    List<Row> broken(double measure, ToDoubleFunction<Row> width) {
        List<Integer> breaks = breaks();
        List<Row> rows = new ArrayList<>();
        int start = 0;
        int at = 0;
        while (at < breaks.size()) {
            int end = last(start, at, breaks, measure, width);
            rows.add(part(start, breaks.get(end)));
            start = breaks.get(end);
            at = end + 1;
        }
        return rows.isEmpty() ? List.of(this) : rows;
    }

    private List<Integer> breaks() {
        BreakIterator lines = BreakIterator.getLineInstance(Locale.ROOT);
        lines.setText(text);
        List<Integer> breaks = new ArrayList<>();
        for (int at = lines.next(); at != BreakIterator.DONE; at = lines.next()) breaks.add(at);
        return breaks;
    }

    /** The last of the breaks from {@code first} on up to which the line fits; {@code first} where none does. Doubling, then halving. */
    private int last(int start, int first, List<Integer> breaks, double measure, ToDoubleFunction<Row> width) {
        int fits = first;
        int over = breaks.size();
        for (int step = 1; fits + step < over; step *= 2) {
            if (width.applyAsDouble(part(start, breaks.get(fits + step))) > measure + 1e-9) over = fits + step;
            else fits += step;
        }
        while (over - fits > 1) {
            int middle = (fits + over) / 2;
            if (width.applyAsDouble(part(start, breaks.get(middle))) > measure + 1e-9) over = middle;
            else fits = middle;
        }
        return fits;
    }

    private Row part(int from, int to) {
        return new Row(text.substring(from, to).stripTrailing(), rightToLeft);
    }
}
