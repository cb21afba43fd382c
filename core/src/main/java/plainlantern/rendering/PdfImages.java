package plainlantern.rendering;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.apache.pdfbox.pdmodel.PDDocument;
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
            image = sized.getColorModel().hasAlpha() ? LosslessFactory.createFromImage(document, sized)
                    : JPEGFactory.createFromByteArray(document, Placed.jpeg(wanted, sized, quality));
        }
        images.put(key, image);
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
