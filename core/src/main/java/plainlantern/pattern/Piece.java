package plainlantern.pattern;

import java.util.List;
import java.util.Optional;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.outline.FreeForm;
import plainlantern.outline.Outline;
import plainlantern.outline.Rectangle;

/**
 * One panel to be: its form and where it goes, in mm in the frame of the area.
 *
 * @param turn    degrees, clockwise
 * @param picture which of the pictures that the pattern was given belongs into it, from 0; −1 for none
 */
public record Piece(Outline outline, Point centre, double width, double height, double turn, int picture) {
    public static Piece of(Outline outline, Box box) {
        return new Piece(outline, box.centre(), box.width(), box.height(), 0, -1);
    }

    public static Piece of(Box box) {
        return of(Rectangle.SHARP, box);
    }

    /** A piece of exactly that form; an upright rectangle is told as one. */
    public static Piece of(Path form) {
        return of(outline(form), form.bounds());
    }

    /** The outline of a path, whatever its place and size: a plain rectangle where it is one (within 1e-9 mm), else free. */
    public static Outline outline(Path form) {
        return isBox(form) ? Rectangle.SHARP : FreeForm.of(form);
    }

    private static boolean isBox(Path form) {
        Optional<List<Point>> corners = form.corners();
        if (corners.isEmpty() || corners.get().size() != 4) return false;
        Box box = form.bounds();
        return corners.get().stream().allMatch(p -> near(p.x(), box.x(), box.right()) && near(p.y(), box.y(), box.bottom()));
    }

    private static boolean near(double value, double one, double other) {
        return Math.min(Math.abs(value - one), Math.abs(value - other)) < 1e-9;
    }

    public Path path() {
        return outline.path(width, height).mapped(Affine.move(centre).after(Affine.turn(turn)));
    }
}
