package plainlantern.rendering;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.io.IOException;
import java.io.OutputStream;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Tile;
import plainlantern.scene.Scene.Mask;
import plainlantern.scene.Scene;
import plainlantern.sheet.Veiled;
import plainlantern.treating.Veiling;

/** What veils leave of layers, as masks: a stroke changes only these, whatever lies beneath them. */
public final class Masks {
    /** So many pixels are looked at, at once, about. */
    private static final int BAND = 1_000_000;
    /** So many pixels has one of a wash or of words, at most. */
    private static final int MOST = 16_000_000;

    private Masks() {}

    /** Over all of a layer that has a veil: grey, white where all of it is left. */
    public static BufferedImage of(Scene.Layer layer, int side, PictureSource pictures) {
        Mask mask = layer.mask().orElseThrow();
        double scale = side / Math.max(mask.width(), mask.height());
        int width = (int) Math.max(1, Math.round(mask.width() * scale));
        int height = (int) Math.max(1, Math.round(mask.height() * scale));
        byte[] left = levels(layer, map(mask, width, height), new Box(0, 0, width, height), pictures);
        // The JDK's grey is linear: what is meant are plain levels.
        BufferedImage grey = new BufferedImage(width, height, BufferedImage.TYPE_3BYTE_BGR);
        byte[] levels = ((DataBufferByte) grey.getRaster().getDataBuffer()).getData();
        for (int i = 0; i < levels.length; i++) levels[i] = left[i / 3];
        return grey;
    }

    /** Pixels across and down of the mask of a wash or of words, of which one is so many mm. */
    static int[] size(Mask mask, double pixel) {
        double whole = mask.width() * mask.height() / (pixel * pixel);
        double each = pixel * Math.max(1, Math.sqrt(whole / MOST));
        return new int[] {(int) Math.max(1, Math.round(mask.width() / each)), (int) Math.max(1, Math.round(mask.height() / each))};
    }

    /** From the box that a mask is told for to pixels that it is painted with. */
    static Affine map(Mask mask, int width, int height) {
        return Affine.scale(width / mask.width(), height / mask.height());
    }

    /**
     * Writes what a veil leaves of a part of its layer, row by row: a byte a pixel, 255 where all of it is left.
     *
     * @param map  from the box that the mask is told for, such as a picture's pixels, to the output's
     * @param part of the output, in whole pixels
     */
    static void write(Scene.Layer layer, Affine map, Box part, PictureSource pictures, OutputStream to) throws IOException {
        double high = Math.max(1, Math.floor(BAND / part.width()));
        for (double y = part.y(); y < part.bottom(); y += high)
            to.write(levels(layer, map, new Box(part.x(), y, part.width(), Math.min(high, part.bottom() - y)), pictures));
    }

    private static byte[] levels(Scene.Layer layer, Affine map, Box part, PictureSource pictures) {
        Mask mask = layer.mask().orElseThrow();
        Veiled veil = mask.veil();
        Tile tile = layer.picture().filter(picture -> veil.looks()).map(picture -> pictures.onto(picture.treated().toneless().unveiled(),
                picture.width(), picture.height(), map, part)).orElseGet(() -> Tile.over(part));
        Affine toShares = Affine.scale(1 / mask.width(), 1 / mask.height()).after(map.inverse()).after(Affine.move(tile.x(), tile.y()));
        float[] left = Veiling.left(veil, tile.patch(toShares));
        byte[] levels = new byte[left.length];
        for (int i = 0; i < levels.length; i++) levels[i] = (byte) (left[i] * 255 + 0.5f);
        return levels;
    }
}
