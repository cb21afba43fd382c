package plainlantern.outline;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.List;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;

/** The form of a panel. It has no size of its own: a seat stretches it. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
public sealed interface Outline permits Rectangle, Ellipse, RegularPolygon, Diamond, Star, Ring, Heart, Arch, Slanted, FreeForm, Straight {
    /** The form as a path around the origin, {@code width} by {@code height} mm. */
    Path path(double width, double height);

    /** The form's name as people read it, in lower case. */
    String label();

    /** Width / height at which the form looks as it is meant to. */
    default double aspect() {
        return 1;
    }

    /** The handles of a form of that size: what has a natural place on the form and changes one of its numbers. */
    default List<Grip> grips(double width, double height) {
        return List.of();
    }

    /**
     * The form after one of its {@link #grips} was pulled to a place in the panel's own frame.
     *
     * @param alone whether only the number of that very handle changes, where several share one
     */
    default Outline pulled(String grip, Point to, boolean alone, double width, double height) {
        throw new IllegalArgumentException("no handle " + grip + " on " + label());
    }
}
