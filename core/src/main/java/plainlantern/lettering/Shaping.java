package plainlantern.lettering;

import java.awt.Font;
import java.awt.font.GlyphVector;
import java.awt.geom.Point2D;
import java.text.Bidi;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * Lines shaped: kerning, ligatures and combining marks by the JDK's layout engine (HarfBuzz), the order of right-to-left text by the
 * Unicode Bidirectional Algorithm (UAX 9). All in em.
 */
final class Shaping {
    /** A tab goes on to the next whole multiple, em. */
    private static final double TAB = 2;
    /** No tab is narrower than a word space, em; common practice. */
    private static final double LEAST = 0.25;
    /** Numbers from here on stand for what is not drawn. */
    private static final int INVISIBLE = 0xFFFE;

    private final Face face;
    private final double tracking;
    private final List<Run> runs = new ArrayList<>();
    private double at;

    private Shaping(Face face, double tracking) {
        this.face = face;
        this.tracking = tracking;
    }

    /** The runs of a line from left to right, beginning at the origin; tabs only part them. Ligatures give way to tracking. */
    static List<Run> line(Face face, Row row, double tracking) {
        Shaping shaping = new Shaping(face, tracking);
        List<String> parts = new ArrayList<>(List.of(row.text().split("\t", -1)));
        if (row.rightToLeft()) Collections.reverse(parts);
        for (int i = 0; i < parts.size(); i++) {
            if (i > 0) shaping.at = (Math.floor((shaping.at + LEAST) / TAB + 1e-9) + 1) * TAB;
            if (!parts.get(i).isEmpty()) shaping.part(parts.get(i), row.rightToLeft());
        }
        return shaping.runs;
    }

    private void part(String text, boolean rightToLeft) {
        char[] chars = text.toCharArray();
        if (!rightToLeft && !Bidi.requiresBidi(chars, 0, chars.length)) {
            run(chars, 0, chars.length, false);
            return;
        }
        Bidi bidi = new Bidi(text, rightToLeft ? Bidi.DIRECTION_RIGHT_TO_LEFT : Bidi.DIRECTION_LEFT_TO_RIGHT);
        byte[] levels = new byte[bidi.getRunCount()];
        Integer[] order = new Integer[levels.length];
        for (int i = 0; i < levels.length; i++) {
            levels[i] = (byte) bidi.getRunLevel(i);
            order[i] = i;
        }
        Bidi.reorderVisually(levels, 0, order, 0, order.length);
        for (int i : order) run(chars, bidi.getRunStart(i), bidi.getRunLimit(i), bidi.getRunLevel(i) % 2 == 1);
    }

    private void run(char[] chars, int from, int to, boolean rightToLeft) {
        Font font = face.shaping(tracking == 0);
        GlyphVector shaped = font.layoutGlyphVector(Face.EXACT, chars, from, to,
                rightToLeft ? Font.LAYOUT_RIGHT_TO_LEFT : Font.LAYOUT_LEFT_TO_RIGHT);
        int count = shaped.getNumGlyphs();
        int[] clusters = shaped.getGlyphCharIndices(0, count, null);
        TreeSet<Integer> starts = new TreeSet<>();
        for (int start : clusters) starts.add(start);
        List<Glyph> glyphs = new ArrayList<>();
        Set<Integer> seen = new HashSet<>();
        for (int i = 0; i < count; i++) {
            boolean first = seen.add(clusters[i]);
            if (shaped.getGlyphCode(i) >= INVISIBLE) {
                seen.remove(clusters[i]);
                continue;
            }
            Integer next = starts.higher(clusters[i]);
            String text = first ? new String(chars, from + clusters[i], (next == null ? to - from : next) - clusters[i]) : "";
            Point2D place = shaped.getGlyphPosition(i);
            glyphs.add(new Glyph(shaped.getGlyphCode(i), at + place.getX() / face.unit() + tracking * (seen.size() - 1),
                    place.getY() / face.unit(), text));
        }
        double width = shaped.getGlyphPosition(count).getX() / face.unit() + tracking * seen.size();
        runs.add(new Run(new String(chars, from, to - from), rightToLeft, at, 0, width, glyphs));
        at += width;
    }
}
