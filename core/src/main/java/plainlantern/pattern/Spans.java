package plainlantern.pattern;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import plainlantern.asking.BadInput;

/** A length divided into pieces with gaps; pieces and gaps together are the whole. */
record Spans(double from, double length, int count, double gap, List<Double> weights) {
    /** The start and end of each piece. Positions come from the sum of the weights so far, so that nothing drifts. */
    List<double[]> all(String field, String what, String weightsField) {
        List<Double> shares = weights.isEmpty() ? Collections.nCopies(count, 1.0) : weights;
        BadInput.unless(shares.size() == count, weightsField, count + " " + what + " need " + count
                + " weights, such as 1:2:1; an empty field makes them alike.");
        double free = length - (count - 1) * gap;
        double sum = shares.stream().mapToDouble(Double::doubleValue).sum();
        double least = shares.stream().mapToDouble(Double::doubleValue).min().orElseThrow();
        double widest = count > 1 ? (length - Pattern.THINNEST * sum / least) / (count - 1) : length;
        Pattern.room(free * least / sum >= Pattern.THINNEST, field, count + " " + what, widest);
        List<double[]> spans = new ArrayList<>();
        double before = 0;
        for (int i = 0; i < count; i++) {
            double start = from + free * before / sum + i * gap;
            before += shares.get(i);
            spans.add(new double[] {start, from + free * before / sum + i * gap});
        }
        return spans;
    }
}
