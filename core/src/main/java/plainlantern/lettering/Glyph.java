package plainlantern.lettering;

/**
 * One form of a typeface where it stands: the left end of its baseline.
 *
 * @param id   its number in the font
 * @param x    from the left end of the first baseline, in the unit of what holds it: em, or mm
 * @param y    likewise, downwards
 * @param text what it stands for; several letters for a ligature, none for a further part of what a glyph before it stands for
 */
public record Glyph(int id, double x, double y, String text) {
    Glyph scaled(double size, double dx, double dy) {
        return new Glyph(id, dx + x * size, dy + y * size, text);
    }
}
