package plainlantern.rendering;

import java.awt.image.BufferedImage;
import java.awt.image.Raster;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.zip.DeflaterOutputStream;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceGray;
import org.apache.pdfbox.pdmodel.graphics.image.JPEGFactory;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import plainlantern.geometry.Box;
import plainlantern.picture.Tile;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.sheet.Treated;

/** The pictures of a document, each embedded once with as many pixels as it needs where it is seen largest. */
final class PdfImages {
    private final PDDocument document;
    private final Map<Treated, Placed.Needed> needed;
    private final Placed placed;
    private final int quality;
    private final Map<Treated, PDImageXObject> images = new HashMap<>();

    PdfImages(PDDocument document, Map<Treated, Placed.Needed> needed, Placed placed, int quality) {
        this.document = document;
        this.needed = needed;
        this.placed = placed;
        this.quality = quality;
    }

    PDImageXObject image(PaintedPicture layer) throws IOException {
        Treated key = layer.treated();
        PDImageXObject there = images.get(key);
        if (there != null) return there;
        Placed.Needed wanted = needed.get(key);
        Optional<byte[]> untouched = placed.untouched(wanted);
        PDImageXObject image;
        if (untouched.isPresent()) {
            image = JPEGFactory.createFromByteArray(document, untouched.get());
        } else {
            BufferedImage sized = placed.sized(wanted);
            boolean masked = key.veil().isPresent() && wanted.unveiled().layer().pixels().opaque();
            if (masked) image = masked(placed.sized(wanted.unveiled()), sized, wanted);
            else image = sized.getColorModel().hasAlpha() ? LosslessFactory.createFromImage(document, sized)
                    : JPEGFactory.createFromByteArray(document, Placed.jpeg(wanted, sized, quality));
        }
        images.put(key, image);
        return image;
    }

    /** A photo beneath its veil stays a photo, with what is left of it as its soft mask (ISO 32000-1, 11.6.5.3). */
    private PDImageXObject masked(BufferedImage whole, BufferedImage veiled, Placed.Needed wanted) throws IOException {
        PDImageXObject image = JPEGFactory.createFromByteArray(document, Placed.jpeg(wanted, whole, quality));
        Raster left = veiled.getAlphaRaster();
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        // Written as it is: made an image, the JDK's grey would be taken for light.
        try (DeflaterOutputStream out = new DeflaterOutputStream(packed)) {
            int[] row = new int[left.getWidth()];
            byte[] levels = new byte[left.getWidth()];
            for (int y = 0; y < left.getHeight(); y++) {
                left.getSamples(0, y, row.length, 1, 0, row);
                for (int x = 0; x < row.length; x++) levels[x] = (byte) row[x];
                out.write(levels);
            }
        }
        image.getCOSObject().setItem(COSName.SMASK, new PDImageXObject(document, new ByteArrayInputStream(packed.toByteArray()),
                COSName.FLATE_DECODE, left.getWidth(), left.getHeight(), 8, PDDeviceGray.INSTANCE));
        return image;
    }

    /** Where that image lies among the picture's own pixels. */
    Box place(PaintedPicture layer) {
        return placed.place(needed.get(layer.treated()));
    }

    /** Finished pixels, each of them as it is. */
    PDImageXObject image(Tile tile) throws IOException {
        return LosslessFactory.createFromImage(document, tile.straight());
    }
}
