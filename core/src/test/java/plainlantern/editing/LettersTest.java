package plainlantern.editing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static plainlantern.Sheets.after;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.junit.jupiter.api.Test;
import plainlantern.Painted;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.forms.AddLetters;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.geometry.Polygons;
import plainlantern.lettering.Face;
import plainlantern.lettering.FaceName;
import plainlantern.lettering.FontFile;
import plainlantern.lettering.Typeface;
import plainlantern.outline.Letters;
import plainlantern.outline.Spelling;
import plainlantern.picture.DecodedPictures;
import plainlantern.rendering.RasterPainter;
import plainlantern.scene.Scene;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;

/** Letters as forms. */
class LettersTest {
    private static final byte[] PHOTO = Painted.encoded(Painted.scene(600, 400, BufferedImage.TYPE_INT_RGB), "png");
    private static final Picture TIDE = new Picture("a".repeat(64), "Tide", 600, 400);
    private static final Sheet SHEET = after(Sheet.empty("Poster", Unit.MM, 200, 120, 300).withShelf(List.of(TIDE)),
            "{'kind':'add-letters','spelling':{'text':'HIGH\\nWATER','face':{'family':'Playfair Display','weight':900},'side':'middle',"
                    + "'leading':'100 %','tracking':0}}");

    private static Letters letters(Sheet sheet) {
        return sheet.holder("p1").outline().letters().orElseThrow();
    }

    private static double em(Sheet sheet) {
        Seat seat = sheet.holder("p1").seat();
        return letters(sheet).fromEm(seat.width(), seat.height()).d();
    }

    /** The area of the letters is that of the font's own outlines, as another reader of fonts has them (Apache FontBox). */
    @Test
    void lettersHaveTheFormsOfTheFont() throws IOException {
        Face face = Typeface.ZILLA_SLAB.face(700);
        TrueTypeFont font = new TTFParser().parse(new RandomAccessReadBuffer(face.file()));
        for (String letter : List.of("g", "R", "8", "\u00e9")) {
            Letters ours = Letters.of(Spelling.of(letter, FaceName.of(Typeface.ZILLA_SLAB, 700)), face);
            var box = font.getGlyph().getGlyph(face.glyph(letter.codePointAt(0))).getPath().getBounds2D();
            assertThat(ours.inked().width()).as(letter).isCloseTo(box.getWidth() / font.getUnitsPerEm(), within(2e-5));
            assertThat(ours.inked().y()).as(letter).isCloseTo(-box.getMaxY() / font.getUnitsPerEm(), within(2e-5));
        }
    }

    /** Other words: the letters stay as high, the first line begins where it began; so do stretched and turned ones. */
    @Test
    void theSeatFollowsTheWords() {
        assertThat(SHEET.holder("p1").seat().width() / SHEET.holder("p1").seat().height()).isCloseTo(letters(SHEET).aspect(), within(1e-9));
        Sheet wide = after(SHEET, "{'kind':'seat-panels','panels':['p1'],'turn':30}",
                "{'kind':'set-letters','panels':['p1'],'stretch':'150 %'}");
        for (Sheet was : List.of(SHEET, wide)) {
            Sheet now = after(was, "{'kind':'set-letters','panels':['p1'],'text':'EBB'}");
            assertThat(em(now)).isCloseTo(em(was), within(1e-9));
            assertThat(start(now).distance(start(was))).isLessThan(1e-9);
            Sheet set = after(now, "{'kind':'set-letters','panels':['p1'],'size':'10 mm','tracking':'200'}");
            assertThat(em(set)).isCloseTo(10, within(1e-9));
            assertThat(set.holder("p1").seat().width() / em(set)).isGreaterThan(now.holder("p1").seat().width() / em(now));
        }
        assertThat(wide.holder("p1").seat().width()).isCloseTo(1.5 * SHEET.holder("p1").seat().width(), within(1e-9));
        assertThat(em(after(wide, "{'kind':'resize-panels','panels':['p1'],'width':60,'height':60,'anchorX':0,'anchorY':0}")))
                .isNotCloseTo(em(wide), within(1.0));
    }

    private static Point start(Sheet sheet) {
        Seat seat = sheet.holder("p1").seat();
        return seat.toSheet().apply(letters(sheet).fromEm(seat.width(), seat.height()).apply(Point.ORIGIN));
    }

    /** What is written is short, and read again as it was. */
    @Test
    void lettersAreWrittenAndRead() {
        String written = SheetJson.write(SHEET);
        assertThat(SheetJson.read(written)).isEqualTo(SHEET);
        assertThat(written.length()).isLessThan(12_000);
        assertThatThrownBy(() -> SheetJson.read(written.replaceFirst("\"d\":\"M", "\"d\":\"q"))).hasRootCauseInstanceOf(BadInput.class);
    }

    /** A panel for each letter: the same forms in the same places, with the picture where it was, and as one running through all. */
    @Test
    void lettersArePartedInPlace() {
        Sheet filled = after(SHEET, "{'kind':'fill','panels':['p1'],'picture':'" + TIDE.id() + "'}");
        BufferedImage whole = painted(filled);
        for (boolean through : new boolean[] {false, true}) {
            Sheet parted = after(filled, "{'kind':'part-letters','panel':'p1','through':" + through + "}");
            assertThat(parted.panels()).extracting(Panel::name).containsExactly("H", "I", "G", "H", "W", "A", "T", "E", "R");
            assertThat(parted.panels()).extracting(Panel::group).containsOnly(parted.panels().get(0).group()).doesNotContain("");
            assertThat(parted.vistas()).hasSize(through ? 1 : 0);
            double area = parted.panels().stream().mapToDouble(p -> Polygons.area(p.ownPath())).sum();
            assertThat(area).isCloseTo(Polygons.area(filled.holder("p1").ownPath()), within(area * 5e-4));
            List<Double> feet = parted.panels().stream().map(p -> p.boundsOnSheet().bottom()).toList();
            assertThat(feet.get(1)).isCloseTo(feet.get(0), within(1e-6));
            assertThat(Painted.difference(painted(parted), whole)).isLessThan(0.05);
        }
        assertThat(after(SHEET, "{'kind':'part-letters','panel':'p1'}").panels()).allMatch(p -> p.content().isEmpty());
        assertThatThrownBy(() -> after(SHEET, "{'kind':'part-letters','panel':'p1','through':true}")).isInstanceOf(BadInput.class);
    }

    private static BufferedImage painted(Sheet sheet) {
        return RasterPainter.paint(Scene.of(sheet), 100, false, new DecodedPictures(id -> PHOTO));
    }

    /** A pattern in letters: its pieces together are the letters less the gaps, their curves are curves. */
    @Test
    void aPatternLiesInLetters() {
        Sheet laid = after(SHEET, "{'kind':'lay-out','where':'inside','panels':['p1'],'pattern':{'kind':'even-grid','columns':8,'rows':5,"
                + "'gapAcross':0,'gapDown':0,'columnWeights':'','rowWeights':'','merged':[]}}");
        double area = laid.panels().stream().mapToDouble(p -> Polygons.area(p.ownPath())).sum();
        assertThat(laid.panels().size()).isBetween(30, 40);
        assertThat(area).isCloseTo(Polygons.area(SHEET.holder("p1").ownPath()), within(area * 1e-3));
        assertThat(laid.panels().stream().flatMap(p -> p.ownPath().segments().stream()).filter(Path.Segment.Cubic.class::isInstance)
                .count())
                .isGreaterThan(50);
    }

    /** Without its typeface, letters show and stay; what cannot be set is refused in words, and nothing is lost. */
    @Test
    void lettersOutliveTheirTypeface() {
        FaceName own = new FaceName("Wharf", 0, "ab12");
        Sheet brought = new AddLetters(Spelling.of("Mud", own), "", Optional.of(Typeface.OSWALD.face(700)))
                .apply(Sheet.empty("Mud", Unit.MM, 100, 60, 300));
        Sheet read = SheetJson.read(SheetJson.write(brought));
        assertThat(Polygons.area(read.holder("p1").ownPath())).isGreaterThan(100);
        assertThatThrownBy(() -> after(read, "{'kind':'set-letters','panels':['p1'],'text':'Silt'}")).isInstanceOf(BadInput.class)
                .hasMessageContaining("Wharf").extracting("field").isEqualTo("family");
        assertThat(letters(after(read, "{'kind':'set-letters','panels':['p1'],'size':'9 mm'}")).spelling().text()).isEqualTo("Mud");
        assertThat(letters(after(read, "{'kind':'set-letters','panels':['p1'],'family':'Oswald'}")).spelling().face())
                .isEqualTo(FaceName.of(Typeface.OSWALD, 0));
        assertThatThrownBy(() -> after(SHEET, "{'kind':'set-letters','panels':['p1'],'text':'\u6f6e'}")).isInstanceOf(BadInput.class)
                .hasMessageContaining("has no \u6f6e");
        assertThatThrownBy(() -> after(SHEET, "{'kind':'set-letters','panels':['p1'],'text':'" + "x".repeat(201) + "'}"))
                .isInstanceOf(BadInput.class).hasMessageContaining("201");
    }

    /** Fonts that are no fonts, cut off, filled with anything, or forbid embedding (OpenType 1.9, OS/2 fsType) are refused in words. */
    @Test
    void fontFilesAreDistrusted() {
        byte[] good = Typeface.CAVEAT.face(600).file();
        assertThat(FontFile.read(good)).isEqualTo(new FontFile("Caveat SemiBold", "Regular", 600, FontFile.Embedding.FREE));
        assertThat(FontFile.read(permitted(good, 0x0004)).within()).isEqualTo(FontFile.Embedding.VIEWED);
        assertThat(FontFile.read(permitted(good, 0x000A)).within()).isEqualTo(FontFile.Embedding.EDITABLE);
        refused(permitted(good, 0x0002), "forbids");
        refused(permitted(good, 0x0200), "bitmaps");
        refused(PHOTO, "no TTF or OTF");
        refused(new byte[] {0, 1, 0, 0}, "no TTF or OTF");
        refused("ttcf and so on".getBytes(), "collection");
        refused(Arrays.copyOf(good, good.length / 2), "damaged");
        refused(Arrays.copyOf(good, 400), "damaged");
        byte[] noise = good.clone();
        IntStream.range(300, noise.length).forEach(i -> noise[i] = (byte) (i * 31 % 251));
        refused(noise, "damaged");
    }

    private static void refused(byte[] file, String why) {
        assertThatThrownBy(() -> FontFile.read(file)).isInstanceOf(BadInput.class).hasMessageContaining(why);
    }

    /** The same font with another fsType, the fifth number of the table OS/2. */
    private static byte[] permitted(byte[] font, int type) {
        byte[] out = font.clone();
        ByteBuffer all = ByteBuffer.wrap(out);
        for (int table = 0; table < all.getShort(4); table++) {
            if (all.getInt(12 + 16 * table) == 0x4F532F32) all.putShort(all.getInt(12 + 16 * table + 8) + 8, (short) type);
        }
        return out;
    }
}
