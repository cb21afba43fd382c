package plainlantern.outline;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.Asked;
import plainlantern.asking.BadInput;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;

/**
 * A quadrilateral with level top and bottom whose left and right sides lean: how far the upper end is to the right of the lower
 * one, as a share of the width. Equal leans make a parallelogram, opposite ones a trapezoid.
 */
@JsonTypeName("slanted")
public record Slanted(@Typed.Share @Asked(value = "Left side leans", first = "0.25", least = -0.9, most = 0.9) double left,
                      @Typed.Share @Asked(value = "Right side leans", first = "0.25", least = -0.9, most = 0.9) double right)
                              implements Outline {
    /** The narrowest that top and bottom may become, as a share of the width. */
    private static final double NARROWEST = 0.05;

    public Slanted {
        Questions.check(Slanted.class, left, right);
        BadInput.unless(top(left, right) >= NARROWEST - 1e-9 && bottom(left, right) >= NARROWEST - 1e-9, "right",
                "With these leans the sides would cross.");
    }

    private static double top(double left, double right) {
        return 1 - Math.max(0, left) - Math.max(0, -right);
    }

    private static double bottom(double left, double right) {
        return 1 - Math.max(0, -left) - Math.max(0, right);
    }

    @Override
    public Path path(double width, double height) {
        return Path.polygon(tips(width, height));
    }

    private List<Point> tips(double width, double height) {
        double x = width / 2;
        double y = height / 2;
        return List.of(new Point(-x + Math.max(0, left) * width, -y), new Point(x - Math.max(0, -right) * width, -y),
                new Point(x - Math.max(0, right) * width, y), new Point(-x + Math.max(0, -left) * width, y));
    }

    /** On the middle of the left and the right side. */
    @Override
    public List<Grip> grips(double width, double height) {
        List<Point> c = tips(width, height);
        return List.of(Grip.ofShare("left", c.get(0).plus(c.get(3)).times(0.5), left),
                Grip.ofShare("right", c.get(1).plus(c.get(2)).times(0.5), right));
    }

    /** A side's middle pulled by a share of the width gives it twice the lean, in the direction it has. Both lean alike unless alone. */
    @Override
    public Outline pulled(String grip, Point to, boolean alone, double width, double height) {
        BadInput.unless(grip.equals("left") || grip.equals("right"), "left", "A slanted form has no handle " + grip + ".");
        boolean isLeft = grip.equals("left");
        double was = isLeft ? left : right;
        double inward = Math.max(0, isLeft ? to.x() / width + 0.5 : 0.5 - to.x() / width) * 2;
        double lean = Math.copySign(Math.min(0.9, inward), was == 0 ? 1 : was);
        double other = alone ? isLeft ? right : left : Math.copySign(lean, isLeft ? right : left);
        double most = 1 - NARROWEST;
        if (!alone && Math.signum(lean) != Math.signum(other)) lean = Math.copySign(Math.min(Math.abs(lean), most / 2), lean);
        if (!alone) other = Math.copySign(lean, other);
        return isLeft ? new Slanted(lean, other) : new Slanted(other, lean);
    }

    @Override
    public double aspect() {
        return 1.4;
    }

    @Override
    public String label() {
        return "slanted";
    }

    @Override
    public Optional<List<Point>> corners(double width, double height) {
        return path(width, height).corners();
    }

    @Override
    public Optional<List<Point>> sides(double width, double height) {
        return corners(width, height);
    }

    @Override
    public boolean ownSides() {
        return true;
    }
}
