package plainlantern.scene;

import plainlantern.fitting.Shown;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Projective;
import plainlantern.sheet.Warp;

/**
 * A mounted picture as it is painted: drawn in perspective into an upright box, which is then a picture of its own.
 *
 * @param warp how it is drawn into the box
 * @param map  from the box's pixels to where it is
 */
record Hanging(Warp warp, Affine map) {
    private static final int WIDEST = 12_000;
    private static final double MOST = 40e6;

    /**
     * @param seen   from the picture's pixels, {@code shown} of them, to the frame of the box
     * @param form   what it is seen through, in that frame
     * @param box    the upright box around that, and whatever else is to be drawn
     * @param covers whether the picture fills the form
     */
    static Hanging in(Shown shown, Projective seen, Path form, Box box, boolean covers) {
        Projective back = seen.inverse();
        double dense = Math.min(densest(back, form), Math.min(WIDEST / Math.max(box.width(), box.height()),
                Math.sqrt(MOST / box.width() / box.height())));
        int width = Math.max(1, (int) Math.ceil(box.width() * dense));
        int height = Math.max(1, (int) Math.ceil(box.height() * dense));
        Affine toFrame = box.fromUnit();
        Projective toPicture = back.after(toFrame).then(Affine.scale(1.0 / shown.picture().width(), 1.0 / shown.picture().height()));
        Warp warp = new Warp(toPicture, !covers, shown.picture().width(), shown.picture().height(), width, height);
        return new Hanging(warp, toFrame.after(Affine.scale(1.0 / width, 1.0 / height)));
    }

    /** The most of the picture's pixels along a millimetre, wherever the form is: farthest from who looks, at an edge. */
    private static double densest(Projective back, Path form) {
        return form.along(2).stream().filter(at -> back.depth(at) > 0).mapToDouble(at -> back.local(at).greatest()).max().orElse(0);
    }
}
