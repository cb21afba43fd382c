package plainlantern.rendering;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.IdentityHashMap;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import plainlantern.lettering.Face;

/** The fonts of a document, each embedded once with the letters that were used. */
final class PdfFonts {
    private final PDDocument document;
    private final Map<Face, PDType0Font> fonts = new IdentityHashMap<>();

    PdfFonts(PDDocument document) {
        this.document = document;
    }

    PDType0Font font(Face face) throws IOException {
        PDType0Font there = fonts.get(face);
        if (there != null) return there;
        PDType0Font font = PDType0Font.load(document, new ByteArrayInputStream(face.file()), true);
        fonts.put(face, font);
        return font;
    }

    /** Leaves of each font what was used; after the last form. */
    void finish() throws IOException {
        for (PDType0Font font : fonts.values()) font.subset();
    }
}
