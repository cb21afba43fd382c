package plainlantern.fitting;

import java.util.function.UnaryOperator;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.pattern.Piece;
import plainlantern.sheet.Content;
import plainlantern.sheet.Content.Words;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Placement;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/** Puts a panel's pictures right after the panel has changed its size or its form. */
public final class Refit {
    private Refit() {}

    /**
     * {@code after} with its pictures sitting as they sat in {@code before}: a rule is applied anew; a picture placed by
     * hand keeps its zoom and its place relative to the panel, and is covered again where it is held and it needs to be.
     */
    public static Panel resized(Sheet sheet, Panel before, Panel after) {
        double across = after.seat().width() / before.seat().width();
        double down = after.seat().height() / before.seat().height();
        return changingWords(after, w -> w.at(new Point(w.centre().x() * across, w.centre().y() * down), w.turn())).changingPictures(own -> {
            Sitting was = Sitting.of(before, sheet.picture(own.picture()));
            Sitting is = Sitting.of(after, sheet.picture(own.picture()));
            Placement old = own.placement();
            if (own.fit() != Fit.FREE) {
                return own.settled(own.fit(), is.fitted(own.fit(), old.turn(), old.mirrored(), sheet.ppi()));
            }
            Point centre = new Point(old.centre().x() * across, old.centre().y() * down);
            double factor = is.coverScale(old.turn()) / was.coverScale(old.turn());
            return own.settled(Fit.FREE, hold(own, is, old.scaled(factor).at(centre)));
        });
    }

    /** {@code after}, whose form alone differs: placements stay, and are covered again where held and needed. */
    public static Panel reformed(Sheet sheet, Panel after) {
        return after.changingPictures(own -> {
            Sitting is = Sitting.of(after, sheet.picture(own.picture()));
            if (own.fit() == Fit.CONTAIN || own.fit() == Fit.ACTUAL) return own;
            return own.settled(own.fit(), hold(own, is, own.placement()));
        });
    }

    /** The same to the eye with its seat mirrored the other way; only for a form that is its own mirror image, and without words. */
    public static Panel flipped(Panel panel) {
        Seat seat = panel.seat();
        return panel.withSeat(new Seat(seat.centre(), seat.width(), seat.height(), seat.turn(), !seat.mirrored())).changingPictures(own -> {
            Placement p = own.placement();
            return own.settled(own.fit(), new Placement(new Point(-p.centre().x(), p.centre().y()), p.scaleX(), p.scaleY(), -p.turn(), !p.mirrored()));
        });
    }

    /**
     * {@code after} with its pictures where they lie on the sheet in {@code before}, whatever the seats are; covered again where held and
     * needed. Both must be mirrored alike.
     */
    public static Panel inPlace(Sheet sheet, Panel before, Panel after) {
        Affine map = after.seat().toSheet().inverse().after(before.seat().toSheet());
        double turn = (before.seat().turn() - after.seat().turn()) * (before.seat().mirrored() ? -1 : 1);
        return changingWords(Vistas.inPlace(before, after), w -> w.at(map.apply(w.centre()), w.turn() + turn)).changingPictures(own -> {
            Placement old = own.placement();
            Placement moved = new Placement(map.apply(old.centre()), old.scaleX(), old.scaleY(), old.turn() + turn, old.mirrored());
            return own.settled(Fit.FREE, hold(own, Sitting.of(after, sheet.picture(own.picture())), moved));
        });
    }

    private static Panel changingWords(Panel panel, UnaryOperator<Words> change) {
        return panel.withContent(panel.content().stream().map(layer -> layer instanceof Words words ? change.apply(words) : layer).toList());
    }

    /** The panel with a form of any shape, given in its own frame as it is now; its pictures stay in place. */
    public static Panel shaped(Sheet sheet, Panel panel, Path form) {
        return inPlace(sheet, panel, formed(panel, form));
    }

    /** As {@link #shaped}, but the pictures sit as after a change of size. */
    public static Panel reshaped(Sheet sheet, Panel panel, Path form) {
        return resized(sheet, panel, formed(panel, form));
    }

    private static Panel formed(Panel panel, Path form) {
        Box box = form.bounds();
        Seat seat = panel.seat();
        return panel.withOutline(Piece.outline(form)).withSeat(seat.sized(box.width(), box.height()).at(seat.toSheet().apply(box.centre())));
    }

    /** {@code wanted}, or the nearest that covers where the picture is held. */
    public static Placement hold(Content.OwnPicture own, Sitting sitting, Placement wanted) {
        return own.held() ? sitting.covering(wanted) : wanted;
    }
}
