package plainlantern.arranging;

import java.util.List;
import java.util.Optional;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Algebra;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.geometry.Polygons;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Seat;

/** Dividing panels by a straight line. */
public final class Cutting {
    /** An end that passes an edge by less, mm, is a hand that was not quite steady. */
    private static final double OVERSHOOT = 2;

    private Cutting() {}

    /** Whether the straight way from {@code a} to {@code b} on the sheet passes through the panel. */
    public static boolean crosses(Holder panel, Point a, Point b) {
        return Polygons.within(panel.pathOnSheet(), a, b) > 1e-6;
    }

    /** Whether one end of the way passes the panel's edge by so little that it was not meant. */
    public static boolean overshoots(Holder panel, Point a, Point b) {
        Path form = panel.pathOnSheet();
        double least = Math.min(OVERSHOOT, Math.min(panel.seat().width(), panel.seat().height()) / 4);
        return (Polygons.contains(form, a) || Polygons.contains(form, b)) && Polygons.within(form, a, b) < least;
    }

    /**
     * What is left of a panel on both sides of the line through {@code a} and {@code b} on the sheet, in the panel's own frame; both sides
     * come from that one line, half the gap off it. Empty where the line leaves a side too thin to be a panel.
     *
     * @param gap mm between the sides, square to the line
     */
    public static Optional<List<Path>> halves(Holder panel, Point a, Point b, double gap) {
        Affine own = panel.seat().toSheet().inverse();
        Point from = own.apply(a);
        Point to = own.apply(b);
        Optional<Path> one = Algebra.rightOf(panel.ownPath(), to, from, gap / 2).filter(Cutting::wide);
        Optional<Path> other = Algebra.rightOf(panel.ownPath(), from, to, gap / 2).filter(Cutting::wide);
        return one.isPresent() && other.isPresent() ? Optional.of(List.of(one.get(), other.get())) : Optional.empty();
    }

    private static boolean wide(Path path) {
        return path.bounds().shorter() >= Seat.THINNEST && Polygons.area(path) >= Seat.THINNEST * Seat.THINNEST;
    }
}
