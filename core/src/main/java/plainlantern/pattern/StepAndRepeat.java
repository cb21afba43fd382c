package plainlantern.pattern;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import plainlantern.asking.Asked;
import plainlantern.asking.BadInput;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;
import plainlantern.geometry.Box;
import plainlantern.outline.Ellipse;
import plainlantern.outline.Rectangle;

/** An item of fixed size as often as it fits, in the middle of the area; {@code round} makes it an ellipse. */
@JsonTypeName("step-and-repeat")
public record StepAndRepeat(@Typed.Length @Asked(value = "Item width", first = "0.25", least = 0.1) double width,
                            @Typed.Length @Asked(value = "Item height", first = "0.25", least = 0.1) double height,
                            @Typed.Length @Asked(value = "Gap across", first = "0.02") double gapAcross,
                            @Typed.Length @Asked(value = "Gap down", first = "0.02") double gapDown,
                            @Typed.Switch @Asked(value = "Round items", first = "true") boolean round) implements Pattern {
    /** So much too long an item may be, mm, and still fit: rounding must not lose the last one. */
    private static final double TOLERANCE = 1e-6;

    public StepAndRepeat {
        Questions.check(StepAndRepeat.class, width, height, gapAcross, gapDown, round);
    }

    @Override
    public List<Piece> pieces(Box area, List<Double> aspects) {
        long columns = fits(area.width(), width, gapAcross);
        long rows = fits(area.height(), height, gapDown);
        BadInput.unless(columns > 0, "width", "The item is wider than the area.");
        BadInput.unless(rows > 0, "height", "The item is higher than the area.");
        Pattern.few(rows * columns, "width");
        double left = area.centre().x() - (columns * (width + gapAcross) - gapAcross) / 2;
        double top = area.centre().y() - (rows * (height + gapDown) - gapDown) / 2;
        List<Piece> pieces = new ArrayList<>();
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                Box box = new Box(left + column * (width + gapAcross), top + row * (height + gapDown), width, height);
                pieces.add(Piece.of(round ? new Ellipse() : Rectangle.SHARP, box));
            }
        }
        return pieces;
    }

    private static long fits(double room, double size, double gap) {
        return (long) Math.floor((room + gap + TOLERANCE) / (size + gap));
    }

    @Override
    public String says(Box area, List<Piece> pieces) {
        long columns = fits(area.width(), width, gapAcross);
        return pieces.size() + " fit: " + columns + " across, " + pieces.size() / columns + " down.";
    }

    @Override
    public String label() {
        return "Step and repeat";
    }
}
