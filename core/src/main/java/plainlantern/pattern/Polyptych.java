package plainlantern.pattern;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import plainlantern.asking.Asked;
import plainlantern.asking.BadInput;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;

/**
 * Panels side by side, their dividers upright or leaning.
 *
 * @param weights  widths at half height against each other, 2 to 9 of them
 * @param gap      mm between neighbours, measured square to the divider
 * @param lean     degrees by which the dividers lean from upright, clockwise
 * @param mirrored whether the dividers right of the middle lean the other way, like the wings of an altarpiece
 */
@JsonTypeName("polyptych")
public record Polyptych(@Typed.Weights @Asked(value = "Weights", first = "1:2:1") List<Double> weights,
                        @Typed.Length @Asked(value = "Gap", first = "0.02") double gap,
                        @Typed.Turn @Asked(value = "Lean", first = "8", least = -70, most = 70) double lean,
                        @Typed.Switch @Asked(value = "Mirrored wings", first = "true") boolean mirrored) implements Pattern {
    public Polyptych {
        Questions.check(Polyptych.class, weights, gap, lean, mirrored);
        BadInput.unless(weights.size() >= 2 && weights.size() <= 9, "weights", "2 to 9 panels can be, such as 1:2:1.");
        weights = List.copyOf(weights);
    }

    /** A divider: the edges of its gap at the top and at the bottom. */
    private record Divider(double topLeft, double topRight, double bottomLeft, double bottomRight) {}

    @Override
    public List<Piece> pieces(Box area, List<Double> aspects) {
        double free = area.width();
        for (int i = 1; i < weights.size(); i++) free -= gap / Math.cos(Math.toRadians(leanOf(i, lean)));
        Pattern.room(free > weights.size() * THINNEST, "gap", weights.size() + " panels",
                area.width() / (weights.size() - 1) * Math.cos(Math.toRadians(lean)));
        List<Divider> dividers = dividers(area, lean);
        if (!apart(dividers)) {
            throw new BadInput("lean", String.format(Locale.ROOT, "With this lean the dividers cross. Up to %.1f° fits.", steepest(area)));
        }
        List<Piece> pieces = new ArrayList<>();
        for (int i = 0; i + 1 < dividers.size(); i++) {
            Divider left = dividers.get(i);
            Divider right = dividers.get(i + 1);
            pieces.add(Piece.of(Path.polygon(List.of(new Point(left.topRight(), area.y()), new Point(right.topLeft(), area.y()),
                    new Point(right.bottomLeft(), area.bottom()), new Point(left.bottomRight(), area.bottom())))));
        }
        return pieces;
    }

    private double leanOf(int divider, double degrees) {
        int side = Integer.signum(2 * divider - weights.size());
        return mirrored ? -side * degrees : degrees;
    }

    /** All dividers with the area's own sides as the first and the last. */
    private List<Divider> dividers(Box area, double degrees) {
        double free = area.width();
        for (int i = 1; i < weights.size(); i++) free -= gap / Math.cos(Math.toRadians(leanOf(i, degrees)));
        double sum = weights.stream().mapToDouble(Double::doubleValue).sum();
        List<Divider> all = new ArrayList<>(List.of(new Divider(area.x(), area.x(), area.x(), area.x())));
        double before = 0;
        double gaps = 0;
        for (int i = 1; i < weights.size(); i++) {
            double angle = Math.toRadians(leanOf(i, degrees));
            double wide = gap / Math.cos(angle);
            double reach = Math.tan(angle) * area.height() / 2;
            before += weights.get(i - 1);
            double left = area.x() + free * before / sum + gaps;
            gaps += wide;
            all.add(new Divider(left + reach, left + wide + reach, left - reach, left + wide - reach));
        }
        all.add(new Divider(area.right(), area.right(), area.right(), area.right()));
        return all;
    }

    private static boolean apart(List<Divider> dividers) {
        for (int i = 0; i + 1 < dividers.size(); i++) {
            if (dividers.get(i + 1).topLeft() - dividers.get(i).topRight() < THINNEST) return false;
            if (dividers.get(i + 1).bottomLeft() - dividers.get(i).bottomRight() < THINNEST) return false;
        }
        return true;
    }

    private double steepest(Box area) {
        double low = 0;
        double high = Math.abs(lean);
        for (int i = 0; i < 40; i++) {
            double middle = (low + high) / 2;
            if (apart(dividers(area, Math.copySign(middle, lean)))) low = middle;
            else high = middle;
        }
        return Math.floor(low * 10) / 10;
    }

    @Override
    public String label() {
        return "Polyptych";
    }
}
