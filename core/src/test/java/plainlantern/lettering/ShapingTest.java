package plainlantern.lettering;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.File;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import plainlantern.Painted;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Letters as HarfBuzz's own command line tool shapes them, and lines as Unicode breaks them. */
class ShapingTest {
    private static final List<String> LATIN = List.of("HIGH WATER", "AVATAR To Ty. V, Wo", "office fiat affluent",
            "\u00c9te\u0301 o\u0302\u0323",
            "1/2 \u2013 \u201cTide\u201d", "a\u2003b\u2009c\u00a0d");

    @TempDir
    private File folder;

    /** hb-shape on the same file: which glyphs, and where, of every face that comes with us, with ligatures and without. */
    @Test
    void glyphsStandWhereHarfBuzzPutsThem() throws Exception {
        for (Typeface typeface : Typeface.values()) for (int weight : typeface.weights()) {
            compared(typeface.face(weight), LATIN, 0);
            compared(typeface.face(weight), List.of("office AVA"), 0.1);
        }
        compared(Typeface.RUBIK.face(900), List.of("\u05d2\u05d0\u05d5\u05ea \u05d5\u05e9\u05e4\u05dc",
                "\u0645\u062f \u0648\u062c\u0632\u0631 \u0644\u0627"), 0);
    }

    private void compared(Face face, List<String> lines, double tracking) throws Exception {
        Files.write(folder.toPath().resolve("face.ttf"), face.file());
        for (String line : lines) {
            String told = Painted.run(folder, "hb-shape", "--output-format=json", "--no-glyph-names", tracking == 0 ? "--features=kern"
                    : "--features=-liga", "face.ttf", line);
            List<Glyph> ours = new ArrayList<>();
            List<Run> runs = Shaping.line(face, Row.of(line), tracking);
            runs.forEach(run -> ours.addAll(run.glyphs()));
            double at = 0;
            int next = 0;
            int cluster = -1;
            int tracked = -1;
            for (JsonNode theirs : JsonMapper.shared().readTree(told)) {
                if (theirs.path("cl").asInt() != cluster) tracked++;
                cluster = theirs.path("cl").asInt();
                Glyph glyph = ours.get(next++);
                assertThat(glyph.id()).as(line).isEqualTo(theirs.path("g").asInt());
                double x = (at + theirs.path("dx").asDouble()) / face.unit() + tracked * tracking;
                assertThat(glyph.x()).as(line + " " + next).isCloseTo(x, within(1.0 / face.unit()));
                assertThat(glyph.y()).as(line).isCloseTo(-theirs.path("dy").asDouble() / face.unit(), within(1.0 / face.unit()));
                at += theirs.path("ax").asDouble();
            }
            assertThat(next).isEqualTo(ours.size());
        }
    }

    /** The letters are all there, each once, in the order in which they are read within a run, whatever was joined. */
    @Test
    void glyphsSayWhatTheyStandFor() {
        List<Run> runs = Shaping.line(Typeface.RUBIK.face(400), new Row("Tide \u05d2\u05d0\u05d5\u05ea 12 \u05d5\u05e9\u05e4\u05dc",
                true), 0);
        assertThat(runs).extracting(Run::rightToLeft).containsExactly(true, false, true, false);
        for (Run run : runs) {
            StringBuilder read = new StringBuilder();
            run.glyphs().forEach(glyph -> read.insert(run.rightToLeft() ? 0 : read.length(), glyph.text()));
            assertThat(read.toString()).isEqualTo(run.text());
        }
        Face garamond = Typeface.EB_GARAMOND.face(400);
        List<Glyph> joined = Shaping.line(garamond, new Row("office", false), 0).get(0).glyphs();
        assertThat(joined).extracting(Glyph::text).containsExactly("o", "ffi", "c", "e");
        assertThat(garamond.stands(joined.get(0).id(), "o")).isTrue();
        assertThat(garamond.stands(joined.get(1).id(), "ffi")).isFalse();
    }

    /** Examples of UAX 14: after hyphens and dashes, between ideographs, not before closing marks, not at spaces that hold together. */
    @Test
    void linesAreBrokenWhereUnicodeAllowsIt() {
        Setting setting = LetterStyle.of(Typeface.HANKEN_GROTESK, 10, Setting.Side.LEFT).setting();
        assertThat(broken(setting, "low-water mark")).containsExactly("low-", "water", "mark");
        assertThat(broken(setting, "(ebb) \u201cflow\u201d!")).containsExactly("(ebb)", "\u201cflow\u201d!");
        assertThat(broken(setting, "12\u00a0mm high")).containsExactly("12\u00a0mm", "high");
        assertThat(broken(setting, "\u6f6e\u6c50\u8868")).containsExactly("\u6f6e", "\u6c50", "\u8868");
    }

    private static List<String> broken(Setting setting, String text) {
        return setting.block(text, OptionalDouble.of(1)).rows().stream().map(Row::text).toList();
    }

    /** A tab goes on to the next stop, so that what follows stands in a column. */
    @Test
    void tabsMakeColumns() {
        Face face = Typeface.HANKEN_GROTESK.face(0);
        double one = Shaping.line(face, new Row("Ebb\t4.50", false), 0).get(1).x();
        double other = Shaping.line(face, new Row("Flow i\t4.50", false), 0).get(1).x();
        assertThat(one).isEqualTo(2);
        assertThat(other).isEqualTo(4);
    }
}
