package plainlantern.outline;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.Asked;
import plainlantern.asking.BadInput;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;

/**
 * A star that touches all four sides of its box.
 *
 * @param inner    distance of the inner corners / distance of the outer ones, from the centre
 * @param rounding radius of all corners, mm
 */
@JsonTypeName("star")
public record Star(@Typed.Whole @Asked(value = "Points", first = "5", least = 3, most = 60) int points,
                   @Typed.Share @Asked(value = "Inner radius", first = "0.5", least = 0.05, most = 0.95) double inner,
                   @Typed.Length @Asked("Corner radius") double rounding) implements Outline {
    public Star {
        Questions.check(Star.class, points, inner, rounding);
    }

    @Override
    public Path path(double width, double height) {
        return Corners.rounded(Corners.stretched(corners(), width, height), rounding);
    }

    private List<Point> corners() {
        return Corners.around(2 * points, 0, 1, inner);
    }

    @Override
    public double aspect() {
        var box = Path.polygon(corners()).bounds();
        return box.width() / box.height();
    }

    /** On the first inner corner, clockwise from the top. */
    @Override
    public List<Grip> grips(double width, double height) {
        return List.of(Grip.ofShare("inner", Corners.stretched(corners(), width, height).get(1), inner));
    }

    @Override
    public Outline pulled(String grip, Point to, boolean alone, double width, double height) {
        BadInput.unless(grip.equals("inner"), "inner", "A star has no handle " + grip + ".");
        // The centre of the star is not the middle of its box where points are odd.
        var box = Path.polygon(corners()).bounds();
        double x = to.x() / width * box.width() + box.centre().x();
        double y = to.y() / height * box.height() + box.centre().y();
        return new Star(points, Math.max(0.05, Math.min(0.95, Math.hypot(x, y))), rounding);
    }

    @Override
    public String label() {
        return "star";
    }
}
