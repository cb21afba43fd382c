package plainlantern.picture;

import java.awt.image.BufferedImage;
import java.util.Optional;
import plainlantern.treating.ColourMap;
import plainlantern.treating.Patch;
import plainlantern.treating.Whole;

/** A picture that is being treated, at whatever size it was decoded. */
record WholePicture(PictureSource source, BufferedImage image, int width, int height) implements Whole {
    @Override
    public int longer() {
        return Math.max(image.getWidth(), image.getHeight());
    }

    @Override
    public Patch small(int longer) {
        double share = (double) longer / longer();
        return share >= 1 ? Patch.of(image) : Resample.patch(image, Math.max(1, (int) Math.round(image.getWidth() * share)),
                Math.max(1, (int) Math.round(image.getHeight() * share)));
    }

    @Override
    public Optional<ColourMap> table(String id) {
        return source.table(id);
    }
}
