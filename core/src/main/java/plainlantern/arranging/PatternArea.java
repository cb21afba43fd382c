package plainlantern.arranging;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.Unit;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Algebra;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Polygons;
import plainlantern.outline.Outline;
import plainlantern.outline.Rectangle;
import plainlantern.pattern.Pattern;
import plainlantern.pattern.Piece;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Layout;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/**
 * Where a pattern is laid.
 *
 * @param box    the area, in a frame turned about its own middle
 * @param turn   degrees of that frame, clockwise
 * @param within the form of the box that pieces are trimmed to; absent means the whole box
 */
public record PatternArea(Box box, double turn, Optional<Outline> within) {
    public static PatternArea of(Box box) {
        return new PatternArea(box, 0, Optional.empty());
    }

    /** A panel's own form and place. */
    public static PatternArea of(Holder panel) {
        Seat seat = panel.seat();
        boolean whole = panel.outline().equals(Rectangle.SHARP);
        Outline seen = seat.mirrored() ? Piece.outline(panel.ownPath().mapped(Affine.scale(-1, 1))) : panel.outline();
        return new PatternArea(Box.around(seat.centre(), seat.width(), seat.height()), seat.turn(), whole ? Optional.empty()
                : Optional.of(seen));
    }

    /** The pieces of the pattern here, trimmed, in this area's own frame. */
    public List<Piece> pieces(Pattern pattern, Sheet sheet) {
        List<Piece> pieces = pattern.pieces(box, sheet.shelf().stream().map(PatternArea::aspect).toList());
        if (sheet.unit() == Unit.PX && turn == 0)
            pieces = pieces.stream().map(piece -> onPixels(piece, Unit.PX.inMm(sheet.ppi()))).toList();
        if (within.isEmpty()) return pieces;
        Path form = within.get().path(box.width(), box.height()).mapped(Affine.move(box.centre()));
        List<Piece> trimmed = new ArrayList<>();
        for (Piece piece : pieces) {
            Optional<Path> left = Algebra.intersection(form, piece.path());
            if (left.isEmpty() || !wide(left.get())) continue;
            boolean whole = Polygons.area(left.get()) >= Polygons.area(piece.path()) * (1 - 1e-6);
            trimmed.add(whole ? piece : Piece.of(left.get()));
        }
        return trimmed;
    }

    /** A level rectangle with its edges on whole pixels; what remains of a division is so spread one pixel at a time. */
    private static Piece onPixels(Piece piece, double px) {
        if (!piece.outline().equals(Rectangle.SHARP) || piece.turn() != 0) return piece;
        Box at = Box.around(piece.centre(), piece.width(), piece.height());
        Box snapped = Box.between(onPixel(at.x(), px), onPixel(at.y(), px), onPixel(at.right(), px), onPixel(at.bottom(), px));
        return snapped.shorter() < px / 2 ? piece : new Piece(piece.outline(), snapped.centre(), snapped.width(), snapped.height(),
                0, piece.picture());
    }

    /** Halves go up, whatever the last bit says. */
    private static double onPixel(double mm, double px) {
        return Math.floor(mm / px + 0.5 + 1e-7) * px;
    }

    private static double aspect(Picture picture) {
        return (double) picture.width() / picture.height();
    }

    private static boolean wide(Path path) {
        return path.bounds().shorter() >= Seat.THINNEST;
    }

    public Seat seat(Piece piece) {
        return new Seat(Layout.frame(box, turn).apply(piece.centre()), piece.width(), piece.height(),
                Affine.normalTurn(piece.turn() + turn), false);
    }

    public Path onSheet(Piece piece) {
        return piece.path().mapped(Layout.frame(box, turn));
    }
}
