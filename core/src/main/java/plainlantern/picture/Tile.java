package plainlantern.picture;

import java.awt.image.BufferedImage;
import java.awt.image.ColorModel;
import java.awt.image.DataBufferInt;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.treating.Alpha;
import plainlantern.treating.Patch;

/**
 * Finished pixels at whole positions of a larger image.
 *
 * @param argb  row by row, 0xAARRGGBB, alpha multiplied in
 * @param finer the lower eight bits of each channel where there are sixteen, as a {@link Patch} has them
 */
public record Tile(int x, int y, int width, int height, int[] argb, Optional<int[]> finer) {
    /** Of eight bits a channel. */
    public Tile(int x, int y, int width, int height, int[] argb) {
        this(x, y, width, height, argb, Optional.empty());
    }

    /** As what is to be treated, in place. */
    public Patch patch(Affine toPicture) {
        return new Patch(argb, finer, width, height, toPicture);
    }

    /** A clear one like it with room for sixteen bits. */
    Tile deep() {
        return new Tile(x, y, width, height, argb, Optional.of(new int[argb.length]));
    }

    /** Where it is. */
    public Box box() {
        return new Box(x, y, width, height);
    }

    /** An image of it, of one of {@link BufferedImage}'s types. */
    public BufferedImage image(int type) {
        BufferedImage pre = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB_PRE);
        pre.getRaster().setDataElements(0, 0, width, height, argb);
        BufferedImage out = new BufferedImage(width, height, type);
        out.createGraphics().drawImage(pre, 0, 0, null);
        return out;
    }

    /**
     * An image of its very pixels, TYPE_INT_ARGB: alpha is taken out of the colours in place, as such an image may be a large part of all
     * memory.
     */
    public BufferedImage straight() {
        for (int i = 0; i < argb.length; i++) argb[i] = Alpha.straight(argb[i]);
        ColorModel plain = ColorModel.getRGBdefault();
        WritableRaster raster = Raster.createWritableRaster(plain.createCompatibleSampleModel(width, height),
                new DataBufferInt(argb, argb.length), null);
        return new BufferedImage(plain, raster, false, null);
    }

    /** The part of it that a box touches, all of which it has. */
    public Tile part(Box box) {
        Tile out = over(box);
        for (int row = 0; row < out.height; row++)
            System.arraycopy(argb, (out.y - y + row) * width + out.x - x, out.argb, row * out.width, out.width);
        return out;
    }

    /** Clear pixels wherever {@code box} touches one, one at least. */
    public static Tile over(Box box) {
        int left = (int) Math.floor(box.x() + 1e-9);
        int top = (int) Math.floor(box.y() + 1e-9);
        int width = Math.max(1, (int) Math.ceil(box.right() - 1e-9) - left);
        int height = Math.max(1, (int) Math.ceil(box.bottom() - 1e-9) - top);
        BadInput.unless((long) width * height < Integer.MAX_VALUE, "ppi",
                "This needs more pixels at once than can be painted. Choose fewer pixels per inch.");
        return new Tile(left, top, width, height, new int[width * height]);
    }
}
