package plainlantern.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.FillPanels;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.editing.forms.AddLetters;
import plainlantern.editing.forms.SetLetters;
import plainlantern.editing.placing.MovePanels;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Path;
import plainlantern.geometry.Regions;
import plainlantern.incoming.Brought;
import plainlantern.incoming.Drawing;
import plainlantern.incoming.SvgReader;
import plainlantern.lettering.FaceName;
import plainlantern.lettering.Typeface;
import plainlantern.outline.Ellipse;
import plainlantern.outline.Rectangle;
import plainlantern.outline.Spelling;
import plainlantern.outline.Star;
import plainlantern.rendering.BoardPainter;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;

/** What forms take: 200 letters as one form, regions of 40 overlapping forms, an SVG file of 1000 paths. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 2, time = 2)
@Measurement(iterations = 3, time = 2)
public class FormsBenchmarks {
    private static final String WORDS = "The mill turns with the tide at high water and at low as it has for years";

    private Sheet letters;
    private String json;
    private List<Path> forms;
    private String svg;

    @Setup
    public void make() {
        Picture picture = new Picture("a".repeat(64), "Dawn", 6000, 4000);
        Sheet empty = new ShelvePictures(List.of(picture)).apply(Sheet.empty("Bench", Unit.MM, 420, 297, 300));
        Sheet added = new AddLetters(Spelling.of(twoHundredLetters(), FaceName.of(Typeface.EB_GARAMOND, 400)), "", null).apply(empty);
        letters = new FillPanels(List.of("p1"), picture.id()).apply(added);
        json = SheetJson.write(letters);
        Random random = new Random(5);
        forms = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            var outline = i % 3 == 0 ? new Ellipse() : i % 3 == 1 ? Rectangle.SHARP : new Star(5, 0.5, 2);
            forms.add(outline.path(20 + random.nextDouble() * 40, 20 + random.nextDouble() * 40)
                    .mapped(Affine.move(20 + random.nextDouble() * 220, 20 + random.nextDouble() * 150)));
        }
        StringBuilder paths = new StringBuilder("<svg xmlns='http://www.w3.org/2000/svg' width='420mm' height='297mm' viewBox='0 "
                + "0 420 297'>");
        for (int i = 0; i < 1000; i++) paths.append("<path id='p").append(i).append("' transform='translate(").append(i % 40 * 10)
                .append(' ')
                .append(i / 40 * 11).append(")' d='M1 1c3 0 6 2 7 5s-2 4-4 3-4-5-3-8z'/>");
        svg = paths.append("</svg>").toString();
    }

    /** In lines of 40 signs. */
    static String twoHundredLetters() {
        StringBuilder text = new StringBuilder();
        for (int seen = 0, i = 0; seen < 200; i++) {
            char letter = WORDS.charAt(i % WORDS.length());
            text.append(i % 40 == 39 ? '\n' : letter);
            if (letter != ' ' && i % 40 != 39) seen++;
        }
        return text.toString();
    }

    /** Read, moved, drawn for the board and written: what a request does with it. */
    @Benchmark
    public String moveTwoHundredLetters() {
        Sheet moved = MovePanels.along(List.of("p1"), 1, 1).apply(SheetJson.read(json));
        return BoardPainter.of(moved, moved.element("p1")).board(layer -> "") + SheetJson.write(moved);
    }

    /** The same with other tracking: all letters are set anew. */
    @Benchmark
    public String setTwoHundredLetters() {
        Sheet set = new SetLetters(List.of("p1"), null, Map.of("tracking", 20)).apply(SheetJson.read(json));
        return BoardPainter.of(set, set.element("p1")).board(layer -> "") + SheetJson.write(set);
    }

    @Benchmark
    public int regionsOfForty() {
        Regions regions = new Regions(forms, 0.01);
        int steps = 0;
        for (int i = 0; i < regions.count(); i++) steps += regions.path(i).segments().size();
        return steps;
    }

    @Benchmark
    public Sheet bringThousandPaths() {
        Drawing drawing = SvgReader.read(svg);
        return Brought.onto(letters, drawing, Map.of(), false).apply(letters);
    }
}
