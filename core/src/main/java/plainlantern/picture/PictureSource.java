package plainlantern.picture;

import java.awt.image.BufferedImage;
import java.util.Optional;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.sheet.Treated;
import plainlantern.sheet.Veiled;
import plainlantern.sheet.Warp;
import plainlantern.treating.ColourMap;
import plainlantern.treating.Patch;
import plainlantern.treating.Treating;
import plainlantern.treating.Veiling;

/**
 * Where a rendering gets its pixels from: it answers for a treated picture at a wanted size. What is asked for by an id alone is
 * the picture as it was imported; everything that is painted goes through a {@link Treated}.
 */
@FunctionalInterface
public interface PictureSource {
    /**
     * The picture with that id, upright, in interleaved bytes (see {@link PictureReader#decode}), before any treatment.
     *
     * @param share how large a pixel of the picture will be in the output, in output pixels; the image returned may be
     *              a smaller copy as long as it still has that many pixels, any proportional size is understood
     */
    BufferedImage image(String id, double share);

    /**
     * The same for a tone to work on: interleaved samples of sixteen bits, in the same order, where its file has as many and the source
     * can tell them.
     */
    default BufferedImage deep(String id, double share) {
        return image(id, share);
    }

    /**
     * Finished pixels of a treated picture where it is seen.
     *
     * @param width  the picture's own pixels across, upright; of one drawn in perspective those of its box
     * @param height likewise
     * @param map    from those pixels to the output's
     * @param wanted the part of the output that is wanted
     */
    default Tile onto(Treated what, int width, int height, Affine map, Box wanted) {
        if (what.lens().isPresent() || what.warp().isPresent()) {
            Affine toShares = Affine.scale(1.0 / width, 1.0 / height).after(map.inverse());
            if (what.veil().isPresent()) {
                // A veil lies where the picture is seen, neither bent nor drawn in perspective.
                Veiled veil = what.veil().get();
                Tile tile = onto(what.unveiled(), width, height, map, wanted);
                Tile own = veil.looks() && !what.tones().isEmpty() ? onto(what.toneless().unveiled(), width, height, map, wanted) : tile;
                Affine toPicture = toShares.after(Affine.move(tile.x(), tile.y()));
                Veiling.wear(Veiling.left(veil, own.patch(toPicture)), tile.patch(toPicture));
                return tile;
            }
            return what.lens().isPresent() ? Lensing.onto(this, what, width, height, map, wanted)
                    : Perspective.onto(this, what, toShares, wanted);
        }
        double share = Math.max(map.xScale(), map.yScale());
        BufferedImage image = what.tones().isEmpty() ? image(what.picture(), share) : deep(what.picture(), share);
        Affine toPixels = map.after(Affine.scale((double) width / image.getWidth(), (double) height / image.getHeight()));
        if (what.untouched()) return Resample.onto(image, toPixels, wanted);
        int reach = Treating.reach(what, map.inverse());
        Tile tile = Resample.onto(image, toPixels, wanted.grown(reach));
        Affine toPicture = Affine.scale(1.0 / width, 1.0 / height).after(map.inverse()).after(Affine.move(tile.x(), tile.y()));
        Treating.treat(what, tile.patch(toPicture), new WholePicture(this, image, width, height));
        return reach == 0 ? tile : tile.part(wanted);
    }

    /**
     * A treated picture of {@code size} pixels, or with as many as there are where that is less. {@code share} as above, {@code width} and
     * {@code height} the picture's own.
     */
    default BufferedImage sized(Treated what, double share, int width, int height, int[] size) {
        if (what.warp().isPresent() || what.lens().isPresent()) {
            Affine map = Affine.scale((double) size[0] / width, (double) size[1] / height);
            return onto(what, width, height, map, new Box(0, 0, size[0], size[1])).image(clear(what)
                    ? BufferedImage.TYPE_4BYTE_ABGR : BufferedImage.TYPE_3BYTE_BGR);
        }
        BufferedImage image = what.tones().isEmpty() ? image(what.picture(), share) : deep(what.picture(), share);
        boolean smaller = size[0] < image.getWidth();
        if (what.untouched()) return smaller ? Resample.toSize(image, size[0], size[1]) : image;
        return Treating.treated(what, smaller ? Resample.patch(image, size[0], size[1]) : Patch.of(image),
                image.getColorModel().hasAlpha(), new WholePicture(this, image, width, height));
    }

    /** Whether a picture drawn in perspective, or bent, can be seen through. */
    private boolean clear(Treated what) {
        return what.warp().filter(Warp::open).isPresent() || what.cleared().isPresent() || what.veil().isPresent()
                || image(what.picture(), 0.01).getColorModel().hasAlpha();
    }

    /** Told by a rendering that will not ask for that picture again. */
    default void passed(String id) {}

    /** The table of colours from the file with that id, where it is at hand. */
    default Optional<ColourMap> table(String id) {
        return Optional.empty();
    }

    /** The file that the picture was imported as, where it is at hand. */
    default Optional<byte[]> original(String id) {
        return Optional.empty();
    }
}
