package plainlantern.fitting;

import java.util.Optional;
import java.util.function.UnaryOperator;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.pattern.Piece;
import plainlantern.sheet.Content;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Flat;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Picture;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Plane;
import plainlantern.sheet.Pose;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Words;

/** Puts a panel's pictures right after the panel has changed its size or its form. */
public final class Refit {
    private Refit() {}

    /**
     * {@code after} with its pictures sitting as they sat in {@code before}: a rule is applied anew; a picture placed by
     * hand keeps its zoom and its place relative to the panel, and is covered again where it is held and it needs to be.
     */
    public static Holder resized(Sheet sheet, Holder before, Holder after) {
        double across = after.seat().width() / before.seat().width();
        double down = after.seat().height() / before.seat().height();
        return changingWords(after, w -> w.at(new Point(w.centre().x() * across, w.centre().y() * down), w.turn())).changingOwn(own -> {
            Picture picture = sheet.picture(sheet.pictureOf(own));
            Optional<Plane> plane = own.plane().map(p -> p.mapped(Affine.scale(across, down)));
            Sitting was = Sitting.of(before, picture, own.plane());
            Sitting is = Sitting.of(after, picture, plane);
            Flat flat = own.flat();
            Pose old = flat.pose();
            if (flat.fit() != Fit.FREE) {
                return own.mounted(plane)
                        .lying(flat.settled(flat.fit(), is.fitted(flat.fit(), old.turn(), old.mirrored(), sheet.ppi())));
            }
            double factor = is.coverScale(old.turn()) / was.coverScale(old.turn());
            Point centre = plane.isPresent() ? old.centre().times(Math.sqrt(across * down))
                    : new Point(old.centre().x() * across, old.centre().y() * down);
            return own.mounted(plane).lying(flat.settled(Fit.FREE, hold(flat, is, old.scaled(factor).at(centre))));
        });
    }

    /** {@code after}, whose form alone differs: placements stay, and are covered again where held and needed. */
    public static Holder reformed(Sheet sheet, Holder after) {
        return after.changingOwn(own -> {
            Sitting is = Sitting.of(after, sheet.picture(sheet.pictureOf(own)), own.plane());
            Flat flat = own.flat();
            if (flat.fit() == Fit.CONTAIN || flat.fit() == Fit.ACTUAL) return own;
            return own.lying(flat.settled(flat.fit(), hold(flat, is, flat.pose())));
        });
    }

    /** The same to the eye with its seat mirrored the other way; only for a form that is its own mirror image, and without words. */
    public static Holder flipped(Holder panel) {
        Seat seat = panel.seat();
        return panel.withSeat(new Seat(seat.centre(), seat.width(), seat.height(), seat.turn(), !seat.mirrored())).changingOwn(own -> {
            if (own.plane().isPresent()) return own.mounted(own.plane().map(plane -> plane.mapped(Affine.scale(-1, 1))));
            Pose p = own.flat().pose();
            Point centre = new Point(-p.centre().x(), p.centre().y());
            return own.lying(own.flat().settled(own.flat().fit(), new Pose(centre, p.scaleX(), p.scaleY(), -p.turn(), !p.mirrored())));
        });
    }

    /**
     * {@code after} with its pictures where they lie on the sheet in {@code before}, whatever the seats are; covered again where held and
     * needed. Both must be mirrored alike.
     */
    public static Holder inPlace(Sheet sheet, Holder before, Holder after) {
        Affine map = after.seat().toSheet().inverse().after(before.seat().toSheet());
        double turn = (before.seat().turn() - after.seat().turn()) * (before.seat().mirrored() ? -1 : 1);
        return changingWords(Vistas.inPlace(sheet, before, after), w -> w.at(map.apply(w.centre()), w.turn() + turn)).changingOwn(own -> {
            if (own.plane().isPresent()) {
                PictureLayer there = own.mounted(own.plane().map(plane -> plane.mapped(map)));
                Sitting is = Sitting.of(after, sheet.picture(sheet.pictureOf(own)), there.plane());
                return there.lying(own.flat().settled(Fit.FREE, hold(own.flat(), is, own.flat().pose())));
            }
            Pose old = own.flat().pose();
            Pose moved = new Pose(map.apply(old.centre()), old.scaleX(), old.scaleY(), old.turn() + turn, old.mirrored());
            Sitting is = Sitting.of(after, sheet.picture(sheet.pictureOf(own)));
            return own.lying(own.flat().settled(Fit.FREE, hold(own.flat(), is, moved)));
        });
    }

    private static Holder changingWords(Holder panel, UnaryOperator<Words> change) {
        return panel.withContent(panel.content().stream().map(layer -> layer.words().<Content>map(change).orElse(layer)).toList());
    }

    /** The panel with a form of any shape, given in its own frame as it is now; its pictures stay in place. */
    public static Holder shaped(Sheet sheet, Holder panel, Path form) {
        return inPlace(sheet, panel, formed(panel, form));
    }

    /** As {@link #shaped}, but the pictures sit as after a change of size. */
    public static Holder reshaped(Sheet sheet, Holder panel, Path form) {
        return resized(sheet, panel, formed(panel, form));
    }

    private static Holder formed(Holder panel, Path form) {
        Box box = form.bounds();
        Seat seat = panel.seat();
        return panel.withOutline(Piece.outline(form))
                .withSeat(seat.sized(box.width(), box.height()).at(seat.toSheet().apply(box.centre())));
    }

    /** {@code wanted}, or the nearest that covers where the picture is held. */
    public static Pose hold(Flat flat, Sitting sitting, Pose wanted) {
        return flat.held() ? sitting.covering(wanted) : wanted;
    }
}
