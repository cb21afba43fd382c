package plainlantern.lettering;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.util.OptionalDouble;
import java.util.Set;
import org.apache.fontbox.ttf.NamingTable;
import org.apache.fontbox.ttf.OS2WindowsMetricsTable;
import org.apache.fontbox.ttf.OTFParser;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import plainlantern.asking.BadInput;

/**
 * A font that a member brings, as its file tells of itself.
 *
 * @param family what the typeface is called
 * @param style  which of its styles it is, such as "Bold Italic"
 * @param weight by CSS Fonts 4
 * @param within what its maker allows
 */
public record FontFile(String family, String style, int weight, Embedding within) {
    public static final int MOST_BYTES = 20_000_000;
    private static final Set<Integer> TRUE_TYPE = Set.of(0x00010000, 0x74727565);
    private static final int OPEN_TYPE = 0x4F54544F;
    private static final int COLLECTION = 0x74746366;
    private static final String DAMAGED = "This font is damaged: it can't be read.";

    /** What fsType in the table OS/2 says of embedding (OpenType 1.9). */
    public enum Embedding {
        FREE("May be embedded in what is handed over."),
        EDITABLE("May be embedded in documents that are edited on."),
        VIEWED("May be embedded in documents that are viewed and printed.");

        private final String says;

        Embedding(String says) {
            this.says = says;
        }

        public String says() {
            return says;
        }

        /** Of several permissions the most generous holds. */
        private static Embedding of(int type, String family) {
            BadInput.unless((type & 0x0200) == 0, "file", "“" + family + "” allows only its bitmaps to be embedded, not its outlines.");
            if ((type & 0x000E) == 0) return FREE;
            if ((type & 0x0008) != 0) return EDITABLE;
            BadInput.unless((type & 0x0004) != 0, "file", "“" + family + "” forbids to be embedded, so it cannot be used here. "
                    + "Ask its maker for a licence that allows it.");
            return VIEWED;
        }
    }

    /**
     * Reads what a font file says of itself, and sees that its letters can be set.
     *
     * @throws BadInput where it is too large, of another kind, damaged, or forbids embedding
     */
    public static FontFile read(byte[] file) {
        BadInput.unless(file.length <= MOST_BYTES, "file", "A typeface's file has at most 20 MB.");
        int kind = file.length < 12 ? 0 : ByteBuffer.wrap(file).getInt();
        BadInput.unless(kind != COLLECTION, "file", "This is a collection of fonts. Bring one font, as a TTF or OTF file.");
        BadInput.unless(TRUE_TYPE.contains(kind) || kind == OPEN_TYPE, "file", "This is no TTF or OTF file.");
        try (TrueTypeFont font = (kind == OPEN_TYPE ? new OTFParser() : new TTFParser()).parse(new RandomAccessReadBuffer(file))) {
            NamingTable names = font.getNaming();
            String family = plain(names.getFontFamily(), "Typeface");
            OS2WindowsMetricsTable measures = font.getOS2Windows();
            FontFile read = new FontFile(family, plain(names.getFontSubFamily(), "Regular"), measures == null ? 400
                    : Math.max(1, Math.min(1000, measures.getWeightClass())), Embedding.of(measures == null ? 0 : measures.getFsType(),
                            family));
            Face face = Face.read(file);
            Setting.Block block = new Setting(face, 1, Setting.Side.LEFT, 1, 0).block("Tide", OptionalDouble.empty());
            BadInput.unless(Double.isFinite(block.width()) && block.width() > 0 && face.ascent() + face.descent() > 0, "file", DAMAGED);
            return read;
        } catch (IOException | IllegalStateException | IndexOutOfBoundsException | NullPointerException | ClassCastException e) {
            throw new BadInput("file", DAMAGED);
        }
    }

    private static String plain(String name, String otherwise) {
        String bare = name == null ? "" : name.replaceAll("\\p{Cntrl}", " ").strip();
        return bare.isEmpty() ? otherwise : bare.length() > 80 ? bare.substring(0, 80) : bare;
    }
}
