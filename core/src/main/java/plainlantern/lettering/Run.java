package plainlantern.lettering;

import java.util.List;

/**
 * Letters of one direction side by side, shaped together.
 *
 * @param x      its left end on the baseline, mm
 * @param y      its baseline, mm
 * @param width  mm
 * @param glyphs from left to right
 */
public record Run(String text, boolean rightToLeft, double x, double y, double width, List<Glyph> glyphs) {
    public Run {
        glyphs = List.copyOf(glyphs);
    }

    /** The same so many times as large, then moved. */
    Run scaled(double size, double dx, double dy) {
        return new Run(text, rightToLeft, dx + x * size, dy + y * size, width * size,
                glyphs.stream().map(g -> g.scaled(size, dx, dy)).toList());
    }
}
