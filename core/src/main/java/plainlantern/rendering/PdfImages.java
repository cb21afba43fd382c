package plainlantern.rendering;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.zip.DeflaterOutputStream;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceGray;
import org.apache.pdfbox.pdmodel.graphics.image.JPEGFactory;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import plainlantern.geometry.Box;
import plainlantern.picture.Rows;
import plainlantern.picture.Tile;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.scene.Scene;
import plainlantern.sheet.Treated;

/** The pictures of a document, each embedded once with as many pixels as it needs where it is seen largest. */
final class PdfImages {
    /** Any of PNG's filters; each row names its own. */
    private static final int PNG_PREDICTORS = 15;

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

    /** Finished rows, each pixel as it is: its colours, and its transparency as a soft mask. They are packed as they come. */
    PDImageXObject image(Rows rows) throws IOException {
        COSStream colours = document.getDocument().createCOSStream();
        COSStream mask = document.getDocument().createCOSStream();
        try (Predicted rgb = new Predicted(colours, 3 * rows.width()); Predicted alpha = new Predicted(mask, rows.width())) {
            for (int done = 0; done < rows.height();) {
                int[] pixels = rows.next();
                for (int at = 0; at < pixels.length; at += rows.width(), done++) {
                    for (int x = 0; x < rows.width(); x++) {
                        int pixel = pixels[at + x];
                        rgb.add(pixel >> 16);
                        rgb.add(pixel >> 8);
                        rgb.add(pixel);
                        alpha.add(pixel >>> 24);
                    }
                    rgb.row();
                    alpha.row();
                }
            }
        }
        describe(mask, rows, 1, COSName.DEVICEGRAY);
        describe(colours, rows, 3, COSName.DEVICERGB);
        colours.setItem(COSName.SMASK, mask);
        return new PDImageXObject(new PDStream(colours), null);
    }

    private static void describe(COSStream stream, Rows rows, int components, COSName space) {
        stream.setItem(COSName.TYPE, COSName.XOBJECT);
        stream.setItem(COSName.SUBTYPE, COSName.IMAGE);
        stream.setInt(COSName.WIDTH, rows.width());
        stream.setInt(COSName.HEIGHT, rows.height());
        stream.setInt(COSName.BITS_PER_COMPONENT, 8);
        stream.setItem(COSName.COLORSPACE, space);
        stream.setItem(COSName.FILTER, COSName.FLATE_DECODE);
        COSDictionary parameters = new COSDictionary();
        parameters.setInt(COSName.PREDICTOR, PNG_PREDICTORS);
        parameters.setInt(COSName.COLORS, components);
        parameters.setInt(COSName.COLUMNS, rows.width());
        stream.setItem(COSName.DECODE_PARMS, parameters);
    }

    /** Rows of bytes, each as its differences from the one above (ISO 32000-1, 7.4.4.4, PNG's filter "up") and deflated. */
    private static final class Predicted implements AutoCloseable {
        private static final int UP = 2;

        private final DeflaterOutputStream out;
        private final byte[] above;
        private final byte[] row;
        private int at;

        Predicted(COSStream stream, int length) throws IOException {
            out = new DeflaterOutputStream(stream.createRawOutputStream());
            above = new byte[length];
            row = new byte[1 + length];
            row[0] = UP;
        }

        void add(int value) {
            row[1 + at] = (byte) (value - above[at]);
            above[at++] = (byte) value;
        }

        void row() throws IOException {
            out.write(row);
            at = 0;
        }

        @Override
        public void close() throws IOException {
            out.close();
        }
    }

    /** Finished pixels, each of them as it is. */
    PDImageXObject image(Tile tile) throws IOException {
        return LosslessFactory.createFromImage(document, tile.straight());
    }
}
