package plainlantern.rendering;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Tile;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.sheet.Veiled;
import plainlantern.treating.Patch;
import plainlantern.treating.Veiling;

/** What veils leave, as masks for a screen: a stroke changes only these, whatever lies beneath them. */
public final class Masks {
    private Masks() {}

    /** Over all of a picture that has a veil: grey, white where all of it is left. */
    public static BufferedImage of(PaintedPicture layer, int side, PictureSource pictures) {
        Veiled veil = layer.treated().veil().orElseThrow();
        double scale = (double) side / Math.max(layer.width(), layer.height());
        int width = (int) Math.max(1, Math.round(layer.width() * scale));
        int height = (int) Math.max(1, Math.round(layer.height() * scale));
        Box all = new Box(0, 0, width, height);
        Affine map = Affine.scale((double) width / layer.width(), (double) height / layer.height());
        Tile colours = veil.looks() ? pictures.onto(layer.treated().toneless().unveiled(), layer.width(), layer.height(), map, all)
                : Tile.over(all);
        float[] left = Veiling.left(veil, new Patch(colours.argb(), width, height, Affine.scale(1.0 / width, 1.0 / height)));
        // The JDK's grey is linear: what is meant are plain levels.
        BufferedImage mask = new BufferedImage(width, height, BufferedImage.TYPE_3BYTE_BGR);
        byte[] levels = ((DataBufferByte) mask.getRaster().getDataBuffer()).getData();
        for (int i = 0; i < levels.length; i++) levels[i] = (byte) (left[i / 3] * 255 + 0.5f);
        return mask;
    }
}
