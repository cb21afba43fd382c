package plainlantern.outline;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import plainlantern.geometry.Path;

/** The form of a panel. It has no size of its own: a seat stretches it. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
public sealed interface Outline permits Rectangle, Ellipse {
    /** The form as a path around the origin, {@code width} by {@code height} mm. */
    Path path(double width, double height);

    /** The form's name as people read it, in lower case. */
    String label();
}
