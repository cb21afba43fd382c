package plainlantern.lettering;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import plainlantern.asking.Choice;
import plainlantern.geometry.Affine;
import plainlantern.geometry.FillRule;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;

/**
 * How words are set in a face: the same for captions, for words in panels and for letters that are a form.
 *
 * @param size     mm, an em
 * @param side     which edges of the lines stand one below the other
 * @param leading  from one baseline to the next, as a share of the size
 * @param tracking room added after each letter but the last, as a share of the size
 */
public record Setting(Face face, double size, Side side, double leading, double tracking) {
    /** Which edges of the lines stand one below the other. */
    public enum Side implements Choice {
        LEFT, MIDDLE, RIGHT;

        /** The share of the free room that is left of a line. */
        public double share() {
            return ordinal() / 2.0;
        }
    }

    /**
     * Words in lines.
     *
     * @param width  mm, of the widest line
     * @param height mm, from the first line's ascender to the last one's descender
     */
    public record Block(List<Row> rows, double width, double height) {}

    /** A line of a block, shaped: mm from the block's middle. */
    public record Line(String text, List<Run> runs) {}

    /**
     * The lines of a text: one for each line break; with a measure, also broken so that none is wider, unless by what cannot be broken.
     *
     * @param measure mm
     */
    public Block block(String text, OptionalDouble measure) {
        List<Row> rows = new ArrayList<>();
        for (String line : text.lines().toList()) {
            Row row = Row.of(line);
            if (measure.isEmpty()) rows.add(row);
            else rows.addAll(row.broken(measure.getAsDouble(), this::width));
        }
        double widest = rows.stream().mapToDouble(this::width).max().orElse(0);
        return new Block(rows, widest, (face.ascent() + face.descent() + Math.max(0, rows.size() - 1) * leading) * size);
    }

    /** How wide a line is, mm: up to the end of its last letter. */
    double width(Row row) {
        List<Run> runs = Shaping.line(face, row, tracking);
        if (runs.isEmpty()) return 0;
        Run last = runs.get(runs.size() - 1);
        return (last.x() + last.width() - tracking) * size;
    }

    /**
     * Where the lines of a block stand. Its middle is at the origin: across, of {@code width}; down, half way between the first line's
     * ascender and the last one's descender.
     *
     * @param width mm, in which the lines stand left, in the middle or right
     */
    public List<Line> lines(Block block, double width) {
        return lines(block, width, Point.ORIGIN);
    }

    /** As {@link #lines(Block, double)}, with its middle elsewhere. */
    public List<Line> lines(Block block, double width, Point middle) {
        List<Line> lines = new ArrayList<>();
        for (Row row : block.rows()) {
            double x = middle.x() - width / 2 + (width - width(row)) * side.share();
            double y = middle.y() - block.height() / 2 + (face.ascent() + lines.size() * leading) * size;
            lines.add(new Line(row.text(), Shaping.line(face, row, tracking).stream().map(run -> run.scaled(size, x, y)).toList()));
        }
        return lines;
    }

    /** The forms of lines, filled by the non-zero rule: contours of one letter, and of neighbours, may overlap. */
    public Path outlines(List<Line> lines) {
        List<Path.Segment> steps = new ArrayList<>();
        for (Line line : lines) for (Run run : line.runs()) for (Glyph glyph : run.glyphs()) steps.addAll(placed(glyph));
        return new Path(steps, FillRule.NON_ZERO);
    }

    private List<Path.Segment> placed(Glyph glyph) {
        Affine map = new Affine(size, 0, 0, size, glyph.x(), glyph.y());
        return face.form(glyph.id()).stream().map(step -> step.mapped(map)).toList();
    }

    /** What is set as one and cannot be parted: a letter with its marks, a ligature. */
    public record Sign(String text, Path outline) {}

    /** Lines letter by letter, from left to right. */
    public List<Sign> signs(List<Line> lines) {
        List<Sign> signs = new ArrayList<>();
        for (Line line : lines) for (Run run : line.runs()) {
            List<Glyph> glyphs = run.glyphs();
            for (int i = 0, next; i < glyphs.size(); i = next) {
                List<Path.Segment> steps = new ArrayList<>(placed(glyphs.get(i)));
                for (next = i + 1; next < glyphs.size() && glyphs.get(next).text().isEmpty(); next++)
                    steps.addAll(placed(glyphs.get(next)));
                signs.add(new Sign(glyphs.get(i).text(), new Path(steps, FillRule.NON_ZERO)));
            }
        }
        return signs;
    }

    /** The forms of a block, in its own width; empty where there is nothing to see. */
    public Path of(Block block) {
        return outlines(lines(block, block.width()));
    }
}
