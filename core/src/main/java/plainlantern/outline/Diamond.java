package plainlantern.outline;

import com.fasterxml.jackson.annotation.JsonTypeName;
import plainlantern.asking.Asked;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;
import plainlantern.geometry.Path;

/** Four corners in the middles of the box's sides; {@code rounding} is their radius, mm. */
@JsonTypeName("diamond")
public record Diamond(@Typed.Length @Asked("Corner radius") double rounding) implements Outline {
    public Diamond {
        Questions.check(Diamond.class, rounding);
    }

    @Override
    public Path path(double width, double height) {
        return Corners.rounded(Corners.stretched(Corners.around(4, 0, 1), width, height), rounding);
    }

    @Override
    public String label() {
        return "diamond";
    }
}
