package plainlantern.outline;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonIgnore;
import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.FillRule;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;

/**
 * Any form, as a path whose bounds are the unit square around the origin. In documents it is written as SVG path data with all digits.
 */
@JsonTypeName("free")
public record FreeForm(@JsonIgnore Path path) implements Outline {
    private static final int MOST_SEGMENTS = 20_000;

    public FreeForm {
        BadInput.unless(path.segments().size() >= 3 && path.segments().size() <= MOST_SEGMENTS, "outline", "A free form has 3 to "
                + MOST_SEGMENTS + " steps.");
    }

    @JsonCreator
    static FreeForm read(@JsonProperty("d") String d, @JsonProperty("rule") FillRule rule) {
        return new FreeForm(PathData.read(d == null ? "" : d, rule == null ? FillRule.EVEN_ODD : rule));
    }

    @JsonProperty("d")
    String written() {
        return PathData.exact(path);
    }

    /** The path's fill rule; documents leave out the usual one. */
    @JsonProperty("rule")
    @JsonInclude(JsonInclude.Include.NON_ABSENT)
    Optional<FillRule> filled() {
        return path.rule() == FillRule.EVEN_ODD ? Optional.empty() : Optional.of(path.rule());
    }

    /** The form of a path of any place and size; it must have a width and a height. */
    public static FreeForm of(Path drawn) {
        Box box = drawn.bounds();
        return new FreeForm(drawn.mapped(toUnit(box)));
    }

    /** From a box to the unit square around the origin. */
    static Affine toUnit(Box box) {
        return Affine.scale(1 / box.width(), 1 / box.height()).after(Affine.move(-box.centre().x(), -box.centre().y()));
    }

    @Override
    public Path path(double width, double height) {
        return path.mapped(Affine.scale(width, height));
    }

    @Override
    public String label() {
        return "free form";
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
    public boolean drawn() {
        return true;
    }

    @Override
    public boolean ownSides() {
        return true;
    }

    /** It has no lengths. */
    @Override
    public FreeForm scaled(double factor) {
        return this;
    }
}
