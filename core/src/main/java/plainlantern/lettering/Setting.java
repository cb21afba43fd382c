package plainlantern.lettering;

import java.awt.geom.AffineTransform;
import java.awt.geom.GeneralPath;
import java.awt.geom.PathIterator;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.HorizontalHeaderTable;
import org.apache.fontbox.ttf.TrueTypeFont;
import plainlantern.asking.Choice;
import plainlantern.geometry.FillRule;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;

/** Sets words: letters by their advance widths, without kerning. */
public final class Setting {
    private static final int TAB = '\t';

    private Setting() {}

    /** Which edges of the lines stand one below the other. */
    public enum Side implements Choice {
        LEFT, MIDDLE, RIGHT;

        /** The share of the free room that is left of a line. */
        double share() {
            return ordinal() / 2.0;
        }
    }

    /**
     * Words in lines.
     *
     * @param width  mm, of the widest line
     * @param height mm, from the first line's ascender to the last one's descender
     */
    public record Block(List<String> lines, double width, double height) {}

    /** A line of a block: where its baseline begins, mm from the block's middle. */
    public record Line(String text, double x, double y) {}

    /**
     * The lines of a text: one for each line break; with a measure, also broken at spaces so that none is wider, unless by a single word.
     *
     * @param measure mm
     */
    public static Block block(LetterStyle style, String text, OptionalDouble measure) {
        List<String> lines = new ArrayList<>();
        for (String line : text.lines().toList()) {
            if (measure.isEmpty()) lines.add(line);
            else broken(style, line, measure.getAsDouble(), lines);
        }
        double widest = lines.stream().mapToDouble(style::width).max().orElse(0);
        return new Block(lines, widest, rise(style) + fall(style) + Math.max(0, lines.size() - 1) * style.leading() * style.size());
    }

    private static void broken(LetterStyle style, String line, double measure, List<String> lines) {
        String rest = line;
        while (style.width(rest) > measure + 1e-9) {
            int end = -1;
            for (int space = rest.indexOf(' ', 1); space >= 0; space = rest.indexOf(' ', space + 1)) {
                if (end >= 0 && style.width(rest.substring(0, space)) > measure + 1e-9) break;
                end = space;
            }
            if (end < 0) break;
            lines.add(rest.substring(0, end).stripTrailing());
            rest = rest.substring(end).stripLeading();
        }
        lines.add(rest);
    }

    /**
     * The outlines of a block, filled by the non-zero rule; empty where there is nothing to see. Its middle is at the origin: across, of
     * {@code width}; down, half way between the first line's ascender and the last one's descender.
     *
     * @param width mm, in which the lines stand left, in the middle or right
     */
    public static Path of(LetterStyle style, Block block, double width) {
        return outlines(style, lines(style, block, width));
    }

    /** Where the lines of a block stand that {@link #of} draws. */
    public static List<Line> lines(LetterStyle style, Block block, double width) {
        List<Line> lines = new ArrayList<>();
        for (String line : block.lines()) {
            double x = -width / 2 + (width - style.width(line)) * style.side().share();
            lines.add(new Line(line, x, -block.height() / 2 + rise(style) + lines.size() * style.leading() * style.size()));
        }
        return lines;
    }

    /** The outlines of lines, filled by the non-zero rule. */
    public static Path outlines(LetterStyle style, List<Line> lines) {
        TrueTypeFont font = style.typeface().font();
        try {
            List<Path.Segment> steps = new ArrayList<>();
            for (Line line : lines) line(font, style, line.text(), line.x(), line.y(), steps);
            return new Path(steps, FillRule.NON_ZERO);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static double rise(LetterStyle style) {
        return header(style.typeface()).getAscender() * unit(style);
    }

    private static double fall(LetterStyle style) {
        return -header(style.typeface()).getDescender() * unit(style);
    }

    private static double unit(LetterStyle style) {
        try {
            return style.size() / style.typeface().font().getUnitsPerEm();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static HorizontalHeaderTable header(Typeface typeface) {
        try {
            return typeface.font().getHorizontalHeader();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** How wide a line is, as a multiple of its size: the sum of its letters' advance widths. */
    public static double width(Typeface typeface, String line) {
        TrueTypeFont font = typeface.font();
        try {
            CmapLookup letters = font.getUnicodeCmapLookup();
            double sum = 0;
            for (int letter : line.codePoints().toArray()) sum += advance(font, letters, letter);
            return sum / font.getUnitsPerEm();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * How far it is to the next letter, in the font's units. A space that the font lacks is as wide as its name says (Unicode 15,
     * chapter 6.2); a tab is four spaces.
     */
    private static double advance(TrueTypeFont font, CmapLookup letters, int letter) throws IOException {
        int glyph = letters.getGlyphId(letter);
        if (letter == TAB) return 4 * font.getAdvanceWidth(letters.getGlyphId(' '));
        if (glyph != 0 || !blank(letter)) return font.getAdvanceWidth(glyph);
        double em = font.getUnitsPerEm();
        return switch (letter) {
            case 0x2000, 0x2002 -> em / 2;
            case 0x2001, 0x2003, 0x3000 -> em;
            case 0x2004 -> em / 3;
            case 0x2005, 0x205F -> em / 4;
            case 0x2006 -> em / 6;
            case 0x2009, 0x202F -> em / 5;
            case 0x200A -> em / 10;
            case 0x200B, 0xFEFF -> 0;
            case 0x2007 -> font.getAdvanceWidth(letters.getGlyphId('0'));
            case 0x2008 -> font.getAdvanceWidth(letters.getGlyphId('.'));
            default -> font.getAdvanceWidth(letters.getGlyphId(' '));
        };
    }

    /** Whether nothing is drawn for it, only room left. */
    private static boolean blank(int letter) {
        return Character.isWhitespace(letter) || Character.isSpaceChar(letter) || letter == 0x200B || letter == 0xFEFF;
    }

    /** The parts of a line that words set as text can say: tabs, and spaces that the typeface lacks, only part them. */
    public static List<Line> runs(LetterStyle style, Line line) {
        List<Line> runs = new ArrayList<>();
        StringBuilder run = new StringBuilder();
        double start = line.x();
        double at = line.x();
        try {
            TrueTypeFont font = style.typeface().font();
            CmapLookup letters = font.getUnicodeCmapLookup();
            for (int letter : line.text().codePoints().toArray()) {
                double step = advance(font, letters, letter) * unit(style) + style.tracking() / 1000 * style.size();
                at += step;
                if (letter != TAB && (letters.getGlyphId(letter) != 0 || !blank(letter))) {
                    run.appendCodePoint(letter);
                    continue;
                }
                if (!run.isEmpty()) runs.add(new Line(run.toString(), start, line.y()));
                run.setLength(0);
                start = at;
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        if (!run.isEmpty()) runs.add(new Line(run.toString(), start, line.y()));
        return runs;
    }

    /** The signs of a text that the typeface does not have, each once; a box is drawn in their place. */
    public static String missing(Typeface typeface, String text) {
        try {
            CmapLookup letters = typeface.font().getUnicodeCmapLookup();
            TreeSet<Integer> without = text.codePoints().filter(c -> !blank(c) && letters.getGlyphId(c) == 0)
                    .boxed().collect(Collectors.toCollection(TreeSet::new));
            return without.stream().map(Character::toString).collect(Collectors.joining(" "));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void line(TrueTypeFont font, LetterStyle style, String line, double x, double y,
            List<Path.Segment> steps) throws IOException {
        double unit = unit(style);
        CmapLookup letters = font.getUnicodeCmapLookup();
        double at = x;
        for (int letter : line.codePoints().toArray()) {
            int glyph = letters.getGlyphId(letter);
            var data = font.getGlyph().getGlyph(glyph);
            if (data != null && !blank(letter)) outline(data.getPath(), new AffineTransform(unit, 0, 0, -unit, at, y), steps);
            at += advance(font, letters, letter) * unit + style.tracking() / 1000 * style.size();
        }
    }

    private static void outline(GeneralPath glyph, AffineTransform map, List<Path.Segment> steps) {
        double[] c = new double[6];
        Point at = Point.ORIGIN;
        for (PathIterator each = glyph.getPathIterator(map); !each.isDone(); each.next()) {
            switch (each.currentSegment(c)) {
                case PathIterator.SEG_MOVETO -> steps.add(new Path.Segment.Move(at = new Point(c[0], c[1])));
                case PathIterator.SEG_LINETO -> steps.add(new Path.Segment.Line(at = new Point(c[0], c[1])));
                case PathIterator.SEG_QUADTO -> steps.add(raised(at, new Point(c[0], c[1]), at = new Point(c[2], c[3])));
                case PathIterator.SEG_CUBICTO -> steps.add(new Path.Segment.Cubic(new Point(c[0], c[1]), new Point(c[2], c[3]),
                        at = new Point(c[4], c[5])));
                default -> steps.add(new Path.Segment.Close());
            }
        }
    }

    /** A quadratic Bézier curve as the cubic that it is. */
    private static Path.Segment.Cubic raised(Point from, Point control, Point to) {
        return new Path.Segment.Cubic(from.plus(control.minus(from).times(2.0 / 3)), to.plus(control.minus(to).times(2.0 / 3)), to);
    }
}
