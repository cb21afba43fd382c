package plainlantern.lettering;

import com.fasterxml.jackson.annotation.JsonValue;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Locale;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/** A typeface that comes with the application, each under the SIL Open Font License, whose text stands beside its file. */
public enum Typeface {
    HANKEN_GROTESK("Hanken Grotesk"), BRICOLAGE_GROTESQUE("Bricolage Grotesque"), EB_GARAMOND("EB Garamond"),
            PLAYFAIR_DISPLAY("Playfair Display"),
    ZILLA_SLAB("Zilla Slab"), OSWALD("Oswald"), SPACE_MONO("Space Mono"), CAVEAT("Caveat");

    private final String label;
    private TrueTypeFont font;

    Typeface(String label) {
        this.label = label;
    }

    @JsonValue
    public String label() {
        return label;
    }

    /** The file among the resources of this package, without its extension. */
    public String file() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** The font itself, TrueType. */
    public byte[] bytes() {
        try (InputStream in = Typeface.class.getResourceAsStream(file() + ".ttf")) {
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Read once and kept: a font is small, and reading one takes longer than setting a page. */
    synchronized TrueTypeFont font() {
        if (font != null) return font;
        try {
            font = new TTFParser().parse(new RandomAccessReadBuffer(bytes()));
            return font;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
