package plainlantern.outline;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import plainlantern.asking.Asked;
import plainlantern.asking.BadInput;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Path.Segment;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;

/** An ellipse with an elliptic hole; {@code inner} is the hole's size / the whole's. */
@JsonTypeName("ring")
public record Ring(@Typed.Share @Asked(value = "Inner radius", first = "0.5", least = 0.05, most = 0.95) double inner) implements Outline {
    public Ring {
        Questions.check(Ring.class, inner);
    }

    @Override
    public Path path(double width, double height) {
        Path whole = new Ellipse().path(width, height);
        List<Segment> steps = new ArrayList<>(whole.segments());
        steps.addAll(whole.mapped(Affine.scale(inner, inner)).segments());
        return new Path(steps);
    }

    @Override
    public List<Grip> grips(double width, double height) {
        return List.of(Grip.ofShare("inner", new Point(inner * width / 2, 0), inner));
    }

    @Override
    public Outline pulled(String grip, Point to, boolean alone, double width, double height) {
        BadInput.unless(grip.equals("inner"), "inner", "A ring has no handle " + grip + ".");
        return new Ring(Math.max(0.05, Math.min(0.95, Math.hypot(to.x() / width, to.y() / height) * 2)));
    }

    @Override
    public String label() {
        return "ring";
    }
}
