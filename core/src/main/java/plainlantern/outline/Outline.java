package plainlantern.outline;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.Scaled;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;

/** The form of a panel. It has no size of its own: a seat stretches it. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
public sealed interface Outline permits Rectangle, Ellipse, RegularPolygon, Diamond, Star, Ring, Heart, Arch, Slanted, FreeForm, Letters {
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

    /** The corners that can be moved one by one, where it is a polygon that stays one whatever they do; empty elsewhere. */
    default Optional<List<Point>> corners(double width, double height) {
        return Optional.empty();
    }

    /**
     * The corners whose sides can be moved one by one: its own where they can be moved, else those of its box, which stretches the
     * form. Empty where moving a side makes no sense.
     */
    default Optional<List<Point>> sides(double width, double height) {
        return corners(width, height).or(() -> Optional.of(List.of(new Point(-width / 2, -height / 2), new Point(width / 2, -height / 2),
                new Point(width / 2, height / 2), new Point(-width / 2, height / 2))));
    }

    /** Whether a moved side makes another form of it; else its box is stretched. */
    default boolean ownSides() {
        return false;
    }

    /** The same in a sheet that is so many times as large: its radii. */
    default Outline scaled(double factor) {
        return Scaled.of(this, factor);
    }

    /** Whether it has points that are moved one by one, and is told by nothing else. */
    default boolean drawn() {
        return false;
    }

    /** It as letters, where it is such. */
    default Optional<Letters> letters() {
        return Optional.empty();
    }

    /** Whether it takes the proportions of any box without looking squeezed. */
    default boolean stretches() {
        return false;
    }

    /** The radii of its corners one by one, mm, from the upper left clockwise; empty where it has none of its own. */
    default List<Double> radii() {
        return List.of();
    }
}
