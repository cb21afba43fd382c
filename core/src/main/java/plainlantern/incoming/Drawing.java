package plainlantern.incoming;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.outline.Letters;
import plainlantern.sheet.Rim;

/**
 * What was drawn elsewhere, mm, from where its own coordinates begin.
 *
 * @param page   the part that it shows
 * @param things from back to front
 * @param images files that stand in it, by their names here
 * @param missed what cannot be taken, and how often it was met
 */
public record Drawing(Box page, List<Thing> things, Map<String, byte[]> images, Map<String, Integer> missed) {
    public Drawing {
        things = List.copyOf(things);
    }

    /**
     * One element to be.
     *
     * @param group those with the same number here belong together; 0 for none
     */
    public record Thing(String name, int group, Kind kind) {}

    /** What it becomes. */
    public sealed interface Kind permits Form, Stroke, Lettered {
        /** A box around it, mm. */
        Box bounds();
    }

    /**
     * A panel.
     *
     * @param shape    what it is, where it can be told as one of our forms, else free
     * @param pictures from back to front
     * @param rim      a line around it
     */
    public record Form(Shape shape, List<Shown> pictures, Optional<Rim> rim) implements Kind {
        @Override
        public Box bounds() {
            return shape.path().bounds();
        }

        /** With a rim, whose edge tells the form's own. */
        Form rimmed(Rim with, Path edge) {
            return new Form(new Shape(edge, ShapeKind.PATH, Affine.IDENTITY), pictures, Optional.of(with));
        }
    }

    /**
     * A form and where it lies.
     *
     * @param path as it is, mm
     * @param kind whether it is a rectangle or an ellipse under {@code map}, or any path
     * @param map  from the unit square around the origin, for those two
     */
    public record Shape(Path path, ShapeKind kind, Affine map) {}

    /** What a shape was drawn as. */
    public enum ShapeKind { RECTANGLE, ELLIPSE, PATH }

    /** A straight line. */
    public record Stroke(Point from, Point to, Rim line) implements Kind {
        @Override
        public Box bounds() {
            return Box.between(Math.min(from.x(), to.x()), Math.min(from.y(), to.y()), Math.max(from.x(), to.x()),
                    Math.max(from.y(), to.y()));
        }
    }

    /**
     * Words in a typeface that is known here.
     *
     * @param map from em, counted from where the first baseline begins, to mm
     */
    public record Lettered(Letters letters, Affine map) implements Kind {
        @Override
        public Box bounds() {
            return Path.box(letters.inked()).mapped(map).bounds();
        }
    }

    /**
     * A picture in a form.
     *
     * @param image which of the drawing's images
     * @param box   where it lies before {@code map}
     * @param fit   how it lies in the box, as SVG's preserveAspectRatio says
     * @param map   from there to mm
     */
    public record Shown(String image, Box box, String fit, Affine map) {}

    public boolean empty() {
        return things.isEmpty();
    }

    /** What could not be taken, in words: "2 filters, 1 mask"; empty where all was. */
    public String told() {
        return missed.entrySet().stream().map(e -> e.getValue() + " " + e.getKey() + (e.getValue() == 1 ? ""
                : "s")).collect(Collectors.joining(", "));
    }
}
