package plainlantern.fitting;

import plainlantern.geometry.Point;
import plainlantern.sheet.Content;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Placement;
import plainlantern.sheet.Sheet;

/** Puts a panel's pictures right after the panel has changed its size or its form. */
public final class Refit {
    private Refit() {}

    /**
     * {@code after} with its pictures sitting as they sat in {@code before}: a rule is applied anew; a picture placed by
     * hand keeps its zoom and its place relative to the panel, and is covered again where it is held and it needs to be.
     */
    public static Panel resized(Sheet sheet, Panel before, Panel after) {
        return after.changingPictures(own -> {
            Sitting was = Sitting.of(before, sheet.picture(own.picture()));
            Sitting is = Sitting.of(after, sheet.picture(own.picture()));
            Placement old = own.placement();
            if (own.fit() != Fit.FREE) {
                return own.settled(own.fit(), is.fitted(own.fit(), old.turn(), old.mirrored(), sheet.ppi()));
            }
            Point centre = new Point(old.centre().x() * after.seat().width() / before.seat().width(),
                    old.centre().y() * after.seat().height() / before.seat().height());
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

    /** {@code wanted}, or the nearest that covers where the picture is held. */
    public static Placement hold(Content.OwnPicture own, Sitting sitting, Placement wanted) {
        return own.held() ? sitting.covering(wanted) : wanted;
    }
}
