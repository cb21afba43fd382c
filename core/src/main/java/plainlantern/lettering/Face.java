package plainlantern.lettering;

import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.font.FontRenderContext;
import java.awt.font.TextAttribute;
import java.awt.geom.AffineTransform;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.OTFParser;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import plainlantern.geometry.Algebra;
import plainlantern.geometry.FillRule;
import plainlantern.geometry.Path;

/** A font file that was read, TrueType or OpenType: its measures in em, the forms of its letters, and what it lacks. */
public final class Face {
    /** No hinting, no rounding: forms and widths as the font has them. */
    static final FontRenderContext EXACT = new FontRenderContext(null, true, true);
    private static final int OPEN_TYPE = 0x4F54544F;

    private final byte[] file;
    private final CmapLookup letters;
    private final Font kerned;
    private final Font joined;
    private final double unit;
    private final double ascent;
    private final double descent;
    private final Map<Integer, List<Path.Segment>> forms = new ConcurrentHashMap<>();

    private Face(byte[] file, TrueTypeFont font) throws IOException, FontFormatException {
        this.file = file;
        letters = font.getUnicodeCmapLookup();
        unit = font.getUnitsPerEm();
        ascent = font.getHorizontalHeader().getAscender() / unit;
        descent = -font.getHorizontalHeader().getDescender() / unit;
        // At one unit a unit nothing is rounded.
        Font plain = Font.createFont(Font.TRUETYPE_FONT, new ByteArrayInputStream(file)).deriveFont((float) unit);
        kerned = plain.deriveFont(Map.of(TextAttribute.KERNING, TextAttribute.KERNING_ON));
        joined = kerned.deriveFont(Map.of(TextAttribute.LIGATURES, TextAttribute.LIGATURES_ON));
    }

    /**
     * Reads a font file.
     *
     * @throws IOException where it is none, or damaged
     */
    public static Face read(byte[] file) throws IOException {
        try {
            boolean curves = file.length > 4 && java.nio.ByteBuffer.wrap(file).getInt() == OPEN_TYPE;
            TrueTypeFont font = (curves ? new OTFParser() : new TTFParser()).parse(new RandomAccessReadBuffer(file));
            return new Face(file, font);
        } catch (FontFormatException | RuntimeException e) {
            throw new IOException("This file is no font that can be read.", e);
        }
    }

    /** The file that it was read from; not to be changed. */
    public byte[] file() {
        return file;
    }

    /** From the baseline up to where its letters reach, em. */
    public double ascent() {
        return ascent;
    }

    /** From the baseline down to where its letters reach, em. */
    public double descent() {
        return descent;
    }

    /** The font for shaping, one unit high for each of its units; ligatures are joined on request. */
    Font shaping(boolean ligatures) {
        return ligatures ? joined : kerned;
    }

    /** The font's units in an em. */
    double unit() {
        return unit;
    }

    /** The number of a letter's plain form; 0 where it has none. */
    public int glyph(int letter) {
        return letters.getGlyphId(letter);
    }

    /** Whether a glyph is the plain form of that one letter, and first of all of that one. */
    public boolean stands(int glyph, String text) {
        List<Integer> codes = letters.getCharCodes(glyph);
        return codes != null && !codes.isEmpty() && text.equals(Character.toString(codes.get(0)));
    }

    /**
     * The form of a glyph, its baseline beginning at the origin, em; nothing for what leaves only room. Contours that overlap, as those of
     * fonts made from variable ones do, are told as one: then it is the same by either fill rule.
     */
    List<Path.Segment> form(int glyph) {
        AffineTransform toEm = AffineTransform.getScaleInstance(1 / unit, 1 / unit);
        return forms.computeIfAbsent(glyph, id -> Algebra.evenOdd(new Path(Path.of(kerned.createGlyphVector(EXACT, new int[] {id})
                .getGlyphOutline(0).getPathIterator(toEm)).segments(), FillRule.NON_ZERO)).segments());
    }

    /** The signs of a text that the font does not have, each once; a box is drawn in their place. */
    public String missing(String text) {
        TreeSet<Integer> without = text.codePoints().filter(c -> !blank(c) && letters.getGlyphId(c) == 0)
                .boxed().collect(Collectors.toCollection(TreeSet::new));
        return without.stream().map(Character::toString).collect(Collectors.joining(" "));
    }

    /** Whether nothing is drawn for it: room, or a sign that only says how its neighbours are set. */
    private static boolean blank(int letter) {
        return Character.isWhitespace(letter) || Character.isSpaceChar(letter) || Character.getType(letter) == Character.FORMAT;
    }
}
