package plainlantern.outline;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.Asked;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;

/**
 * A regular polygon that touches all four sides of its box; regular where the box has its {@link #aspect}.
 *
 * @param rounding radius of the corners, mm
 * @param flat     whether a side, not a corner, is on top
 */
@JsonTypeName("polygon")
public record RegularPolygon(@Typed.Whole @Asked(value = "Sides", first = "6", least = 3, most = 60) int sides,
                             @Typed.Length @Asked("Corner radius") double rounding,
                             @Typed.Switch @Asked(value = "Side on top", first = "false") boolean flat) implements Outline {
    public RegularPolygon {
        Questions.check(RegularPolygon.class, sides, rounding, flat);
    }

    @Override
    public Path path(double width, double height) {
        return Corners.rounded(Corners.stretched(corners(), width, height), rounding);
    }

    private List<Point> corners() {
        return Corners.around(sides, flat ? 0.5 : 0, 1);
    }

    @Override
    public double aspect() {
        var box = Path.polygon(corners()).bounds();
        return box.width() / box.height();
    }

    @Override
    public String label() {
        return "polygon";
    }

    @Override
    public Optional<List<Point>> sides(double width, double height) {
        return Optional.empty();
    }
}
