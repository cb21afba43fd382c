package plainlantern.rendering;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.io.IOException;
import java.io.OutputStream;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Tile;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.sheet.Veiled;
import plainlantern.treating.Patch;
import plainlantern.treating.Veiling;

/** What veils leave of pictures, as masks: a stroke changes only these, whatever lies beneath them. */
public final class Masks {
    /** So many pixels are looked at, at once, about. */
    private static final int BAND = 1_000_000;

    private Masks() {}

    /** Over all of a picture that has a veil: grey, white where all of it is left. */
    public static BufferedImage of(PaintedPicture layer, int side, PictureSource pictures) {
        double scale = (double) side / Math.max(layer.width(), layer.height());
        int width = (int) Math.max(1, Math.round(layer.width() * scale));
        int height = (int) Math.max(1, Math.round(layer.height() * scale));
        Affine map = Affine.scale((double) width / layer.width(), (double) height / layer.height());
        byte[] left = levels(layer, map, new Box(0, 0, width, height), pictures);
        // The JDK's grey is linear: what is meant are plain levels.
        BufferedImage mask = new BufferedImage(width, height, BufferedImage.TYPE_3BYTE_BGR);
        byte[] levels = ((DataBufferByte) mask.getRaster().getDataBuffer()).getData();
        for (int i = 0; i < levels.length; i++) levels[i] = left[i / 3];
        return mask;
    }

    /**
     * Writes what a veil leaves of a part of its picture, row by row: a byte a pixel, 255 where all of it is left.
     *
     * @param map  from the picture's pixels to the output's
     * @param part of the output, in whole pixels
     */
    static void write(PaintedPicture layer, Affine map, Box part, PictureSource pictures, OutputStream to) throws IOException {
        double high = Math.max(1, Math.floor(BAND / part.width()));
        for (double y = part.y(); y < part.bottom(); y += high)
            to.write(levels(layer, map, new Box(part.x(), y, part.width(), Math.min(high, part.bottom() - y)), pictures));
    }

    private static byte[] levels(PaintedPicture layer, Affine map, Box part, PictureSource pictures) {
        Veiled veil = layer.treated().veil().orElseThrow();
        Tile tile = veil.looks() ? pictures.onto(layer.treated().toneless().unveiled(), layer.width(), layer.height(), map, part)
                : Tile.over(part);
        Affine toPicture = Affine.scale(1.0 / layer.width(), 1.0 / layer.height()).after(map.inverse())
                .after(Affine.move(tile.x(), tile.y()));
        float[] left = Veiling.left(veil, new Patch(tile.argb(), tile.width(), tile.height(), toPicture));
        byte[] levels = new byte[left.length];
        for (int i = 0; i < levels.length; i++) levels[i] = (byte) (left[i] * 255 + 0.5f);
        return levels;
    }
}
