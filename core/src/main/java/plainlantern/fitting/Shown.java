package plainlantern.fitting;

import java.util.Optional;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Projective;
import plainlantern.sheet.Flat;
import plainlantern.sheet.Look;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Plane;
import plainlantern.sheet.Pose;
import plainlantern.sheet.Through;
import plainlantern.sheet.Treatment;
import plainlantern.sheet.Veil;

/**
 * A picture as it lies in a panel: one of the panel's own, or a slice of a vista told as one.
 *
 * @param flat  how it lies in the panel, or in its plane
 * @param plane in the panel's frame: what it is mounted in
 */
public record Shown(Picture picture, Flat flat, Optional<Plane> plane, Treatment treatment, Look look,
        Optional<Through> through, Optional<Veil> veil) {
    /** From its pixels to the panel's frame. */
    public Projective toPanel() {
        Affine lies = pose().toPanel(picture.width(), picture.height());
        return plane.map(p -> p.map().after(lies)).orElseGet(() -> Projective.of(lies));
    }

    /** Its edges in the panel's frame, as far as they are before the horizon. */
    public Path edges() {
        Path own = Path.box(new Box(0, 0, picture.width(), picture.height()));
        return plane.isPresent() ? toPanel().mapped(own) : own.mapped(pose().toPanel(picture.width(), picture.height()));
    }

    public Pose pose() {
        return flat.pose();
    }

    public boolean held() {
        return flat.held();
    }
}
