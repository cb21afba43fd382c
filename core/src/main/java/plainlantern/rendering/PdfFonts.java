package plainlantern.rendering;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.EnumMap;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import plainlantern.lettering.Typeface;

/** The fonts of a document, each embedded once with the letters that were used. */
final class PdfFonts {
    private final PDDocument document;
    private final Map<Typeface, PDType0Font> fonts = new EnumMap<>(Typeface.class);

    PdfFonts(PDDocument document) {
        this.document = document;
    }

    PDType0Font font(Typeface typeface) throws IOException {
        PDType0Font there = fonts.get(typeface);
        if (there != null) return there;
        PDType0Font font = PDType0Font.load(document, new ByteArrayInputStream(typeface.bytes()), true);
        fonts.put(typeface, font);
        return font;
    }

    /** Leaves of each font what was used; after the last form. */
    void finish() throws IOException {
        for (PDType0Font font : fonts.values()) font.subset();
    }
}
