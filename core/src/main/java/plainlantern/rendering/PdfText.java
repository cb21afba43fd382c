package plainlantern.rendering;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.HexFormat;
import java.util.List;
import java.util.Set;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Point;
import plainlantern.lettering.Face;
import plainlantern.lettering.Glyph;
import plainlantern.lettering.Run;
import plainlantern.lettering.Setting;
import plainlantern.outline.PathData;

/**
 * Words as text in an embedded font, glyph by glyph where the shaping put them, so that no reader sets them anew. A glyph that is not the
 * plain form of one letter says what it stands for (PDF 1.7, 14.9.4): searching and copying give the words back.
 */
final class PdfText {
    private static final int DECIMALS = 6;
    /** Runs that are closer, em, follow each other without a tab. */
    private static final double LEAST_TAB = 1e-6;

    private final PDType0Font font;
    private final Face face;
    private final StringBuilder out = new StringBuilder();

    private PdfText(PDType0Font font, Face face) {
        this.font = font;
        this.face = face;
    }

    /**
     * Writes lines into a form.
     *
     * @param map from where the lines are told to the page, which points down
     */
    static void write(PDFormXObject form, PDType0Font font, Setting setting, List<Setting.Line> lines, Affine map) throws IOException {
        PdfText text = new PdfText(font, setting.face());
        COSName name = form.getResources().add(font);
        text.out.append("BT\n/").append(name.getName()).append(' ').append(PathData.number(setting.size(), DECIMALS)).append(" Tf\n");
        for (Setting.Line line : lines) {
            for (int i = 0; i < line.runs().size(); i++) {
                if (i > 0) text.tab(line.runs().get(i - 1), line.runs().get(i));
                text.run(line.runs().get(i), map);
            }
        }
        try (OutputStream stream = form.getStream().createOutputStream(COSName.FLATE_DECODE)) {
            stream.write(text.out.append("ET\n").toString().getBytes(StandardCharsets.US_ASCII));
        }
    }

    /** A space where a tab parts two runs: without one, readers take the words for one. */
    private void tab(Run before, Run after) throws IOException {
        double end = before.x() + before.width();
        int space = face.glyph(' ');
        if (space == 0 || before.glyphs().isEmpty() || after.x() - end < LEAST_TAB) return;
        Glyph last = before.glyphs().get(before.glyphs().size() - 1);
        glyph(new Glyph(space, end, before.y(), " "), new Point(last.x(), last.y()));
    }

    private void run(Run run, Affine map) throws IOException {
        Affine start = map.after(Affine.move(run.x(), run.y())).after(Affine.scale(1, -1));
        for (double value : new double[] {start.a(), start.b(), start.c(), start.d(), start.e(), start.f()})
            out.append(PathData.number(value, 9)).append(' ');
        out.append("Tm\n");
        Point at = new Point(run.x(), run.y());
        List<Glyph> glyphs = run.glyphs();
        for (int i = 0; i < glyphs.size();) {
            int next = i + 1;
            while (next < glyphs.size() && glyphs.get(next).text().isEmpty()) next++;
            String stands = glyphs.get(i).text();
            boolean plain = next == i + 1 && face.stands(glyphs.get(i).id(), stands);
            if (!plain) out.append("/Span <</ActualText <FEFF").append(hex(stands.getBytes(StandardCharsets.UTF_16BE))).append(">>> BDC\n");
            for (; i < next; i++) at = glyph(glyphs.get(i), at);
            if (!plain) out.append("EMC\n");
        }
    }

    private Point glyph(Glyph glyph, Point from) throws IOException {
        font.addGlyphsToSubset(Set.of(glyph.id()));
        out.append(PathData.number(glyph.x() - from.x(), DECIMALS)).append(' ')
                .append(PathData.number(from.y() - glyph.y(), DECIMALS)).append(" Td <").append(hex(font.encodeGlyphId(glyph.id())))
                .append("> Tj\n");
        return new Point(glyph.x(), glyph.y());
    }

    private static String hex(byte[] bytes) {
        return HexFormat.of().withUpperCase().formatHex(bytes);
    }
}
