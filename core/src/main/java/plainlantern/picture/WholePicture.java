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
        int[] size = Previews.size(image, longer);
        return longer >= longer() ? Patch.of(image) : Resample.patch(image, size[0], size[1]);
    }

    @Override
    public Optional<ColourMap> table(String id) {
        return source.table(id);
    }
}
