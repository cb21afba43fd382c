package plainlantern.arranging;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Polygons;
import plainlantern.outline.Outline;
import plainlantern.outline.Rectangle;
import plainlantern.pattern.Pattern;
import plainlantern.pattern.Piece;
import plainlantern.sheet.Layout;
import plainlantern.sheet.Panel;
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
public record Ground(Box box, double turn, Optional<Outline> within) {
    public static Ground of(Box box) {
        return new Ground(box, 0, Optional.empty());
    }

    /** A panel's own form and place. */
    public static Ground of(Panel panel) {
        Seat seat = panel.seat();
        boolean whole = panel.outline().equals(Rectangle.SHARP);
        return new Ground(Box.around(seat.centre(), seat.width(), seat.height()), seat.turn(), whole ? Optional.empty() : Optional.of(panel.outline()));
    }

    /** The pieces of the pattern here, trimmed, in this ground's own frame. */
    public List<Piece> pieces(Pattern pattern, Sheet sheet) {
        List<Piece> pieces = pattern.pieces(box, sheet.shelf().stream().map(Ground::aspect).toList());
        if (within.isEmpty()) return pieces;
        Path form = within.get().path(box.width(), box.height()).mapped(Affine.move(box.centre()));
        List<Piece> trimmed = new ArrayList<>();
        for (Piece piece : pieces) {
            if (Polygons.holds(form, piece.path())) trimmed.add(piece);
            else Polygons.shared(form, piece.path()).filter(Ground::wide).map(Piece::of).ifPresent(trimmed::add);
        }
        return trimmed;
    }

    private static double aspect(Picture picture) {
        return (double) picture.width() / picture.height();
    }

    private static boolean wide(Path path) {
        return path.bounds().shorter() >= Seat.THINNEST;
    }

    public Seat seat(Piece piece) {
        return new Seat(Layout.frame(box, turn).apply(piece.centre()), piece.width(), piece.height(), Affine.normalTurn(piece.turn() + turn), false);
    }

    public Path onSheet(Piece piece) {
        return piece.path().mapped(Layout.frame(box, turn));
    }
}
