package plainlantern.treating;

import java.awt.image.BufferedImage;
import java.util.Optional;
import plainlantern.geometry.Affine;
import plainlantern.sheet.Toned;
import plainlantern.sheet.Treated;

/** Treatments as they are done, in one place: what a {@link Treated} tells is done here, one part after the other. */
public final class Treating {
    private Treating() {}

    /** Changes the pixels of a patch. A table of colours that is not at hand counts as none, also for what is kept by its name. */
    public static void treat(Treated told, Patch patch, Whole whole) {
        Treated what = told.toning(tone -> tone.tabled(tone.table().filter(table -> whole.table(table.id()).isPresent())));
        Optional<float[]> left = what.veil().map(veil -> Veiling.left(veil, patch));
        what.cleared().ifPresent(cleared -> Backdrop.remove(cleared, patch));
        for (int i = 0; i < what.tones().size(); i++) Toning.tone(what, i, patch, whole);
        patch.settle();
        left.ifPresent(shares -> Veiling.wear(shares, patch));
    }

    /**
     * How many pixels around those that are wanted a treatment draws on.
     *
     * @param toPicture from the output's pixels to the picture's own
     */
    public static int reach(Treated what, Affine toPicture) {
        int reach = 0;
        for (Toned toned : what.tones()) {
            if (toned.lying().isPresent() && toned.tone().texture().isPresent())
                reach += Ending.reach(toned.tone().texture().get(), toned.lying().get().toSheet().after(toPicture));
        }
        return reach;
    }

    /**
     * A treated patch as an image of interleaved bytes.
     *
     * @param clear whether the picture has transparency; a background that is taken out and a veil bring it, too
     */
    public static BufferedImage treated(Treated what, Patch patch, boolean clear, Whole whole) {
        treat(what, patch, whole);
        return Pixels.image(patch, clear || what.cleared().isPresent() || what.veil().isPresent());
    }
}
