package plainlantern.rendering;

import java.awt.image.BufferedImage;
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
import plainlantern.scene.Scene;
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
        PDImageXObject image = embedded(wanted.apart() ? wanted.unveiled() : wanted);
        // A photo beneath its veil stays a photo, with what is left of it as its soft mask (ISO 32000-1, 11.6.5.3).
        if (wanted.apart()) image.getCOSObject().setItem(COSName.SMASK, grey(placed.grey(wanted)));
        images.put(key, image);
        return image;
    }

    private PDImageXObject embedded(Placed.Needed wanted) throws IOException {
        Optional<byte[]> untouched = placed.untouched(wanted);
        if (untouched.isPresent()) return JPEGFactory.createFromByteArray(document, untouched.get());
        BufferedImage sized = placed.sized(wanted);
        return sized.getColorModel().hasAlpha() ? LosslessFactory.createFromImage(document, sized)
                : JPEGFactory.createFromByteArray(document, Placed.jpeg(wanted, sized, quality));
    }

    /** Written as it is: made an image, the JDK's grey would be taken for light. */
    private PDImageXObject grey(Placed.Grey grey) throws IOException {
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (DeflaterOutputStream out = new DeflaterOutputStream(packed)) {
            placed.write(grey, grey.part(), out);
        }
        return new PDImageXObject(document, new ByteArrayInputStream(packed.toByteArray()), COSName.FLATE_DECODE, grey.width(),
                grey.height(), 8, PDDeviceGray.INSTANCE);
    }

    /** What the veil of a wash or of words leaves of it. */
    PDImageXObject mask(Scene.Layer layer) throws IOException {
        return grey(placed.grey(layer));
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
