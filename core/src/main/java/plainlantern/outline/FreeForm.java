package plainlantern.outline;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonIgnore;
import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import plainlantern.geometry.Affine;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path.Segment;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;

/**
 * Any form, as a path whose bounds are the unit square around the origin. In documents it is written as SVG path data with all digits.
 */
@JsonTypeName("free")
public record FreeForm(@JsonIgnore Path path) implements Outline {
    private static final int MOST_SEGMENTS = 20_000;

    public FreeForm {
        BadInput.unless(path.segments().size() >= 3 && path.segments().size() <= MOST_SEGMENTS, "outline", "A free form has 3 to " + MOST_SEGMENTS + " steps.");
    }

    @JsonCreator
    static FreeForm read(@JsonProperty("d") String d) {
        return new FreeForm(PathData.parse(d == null ? "" : d));
    }

    @JsonProperty("d")
    String written() {
        return PathData.exact(path);
    }

    /** The form of a path of any place and size; it must have a width and a height. */
    public static FreeForm of(Path drawn) {
        Box box = drawn.bounds();
        return new FreeForm(drawn.mapped(Affine.scale(1 / box.width(), 1 / box.height()).after(Affine.move(-box.centre().x(), -box.centre().y()))));
    }

    @Override
    public Path path(double width, double height) {
        return path.mapped(Affine.scale(width, height));
    }

    /** Its corners in the unit square, where it is one polygon of straight sides. */
    public static Optional<List<Point>> corners(Path path) {
        List<Point> corners = new ArrayList<>();
        for (Segment segment : path.segments()) {
            if (segment instanceof Segment.Move m && corners.isEmpty()) corners.add(m.to());
            else if (segment instanceof Segment.Line l) corners.add(l.to());
            else if (!(segment instanceof Segment.Close)) return Optional.empty();
        }
        return Optional.of(corners);
    }

    @Override
    public String label() {
        return "free form";
    }
}
