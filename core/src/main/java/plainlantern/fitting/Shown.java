package plainlantern.fitting;

import plainlantern.sheet.Flat;
import plainlantern.sheet.Look;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Pose;
import plainlantern.sheet.Treatment;

/** A picture as it lies in a panel: one of the panel's own, or a slice of a vista told as one. */
public record Shown(Picture picture, Flat flat, Treatment treatment, Look look) {
    public Pose pose() {
        return flat.pose();
    }

    public boolean held() {
        return flat.held();
    }
}
