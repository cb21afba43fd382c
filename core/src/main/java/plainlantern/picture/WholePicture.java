package plainlantern.picture;

import java.awt.image.BufferedImage;
import java.util.Optional;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
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
        double share = Math.min(1, (double) longer / longer());
        int across = (int) Math.max(1, Math.round(image.getWidth() * share));
        int down = (int) Math.max(1, Math.round(image.getHeight() * share));
        Tile tile = Resample.onto(image, Affine.scale((double) across / image.getWidth(), (double) down / image.getHeight()),
                new Box(0, 0, across, down));
        return new Patch(tile.argb(), across, down, Affine.scale(1.0 / across, 1.0 / down));
    }

    @Override
    public Optional<ColourMap> table(String id) {
        return source.table(id);
    }
}
