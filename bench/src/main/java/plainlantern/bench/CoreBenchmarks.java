package plainlantern.bench;

import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.FillPanels;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.editing.placing.LayOut;
import plainlantern.editing.placing.MovePanels;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.geometry.Projective;
import plainlantern.pattern.EvenGrid;
import plainlantern.picture.Encoder;
import plainlantern.picture.PictureReader;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Previews;
import plainlantern.picture.Resample;
import plainlantern.rendering.BoardPainter;
import plainlantern.sheet.Balance;
import plainlantern.sheet.Colouring;
import plainlantern.sheet.Element;
import plainlantern.sheet.Levels;
import plainlantern.sheet.Margins;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import plainlantern.sheet.Tone;
import plainlantern.sheet.Toned;
import plainlantern.sheet.Treated;
import plainlantern.sheet.Warp;

/** What single steps of the core take, without server and database. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 2, time = 2)
@Measurement(iterations = 3, time = 2)
public class CoreBenchmarks {
    private static final Tone TONE = Tone.NEUTRAL.balanced(new Balance(-20, 0.1, 0.4)).levelled(new Levels(0, 0, 0.3, 0, 0, 0, 0))
            .coloured(new Colouring(0.2, 0, false, List.of()));

    @Param({"200"})
    public int panels;

    private Sheet sheet;
    private List<String> ids;
    private String json;
    private BufferedImage large;
    private byte[] jpeg;

    @Setup
    public void make() {
        Picture picture = new Picture("a".repeat(64), "Dawn", 6000, 4000);
        Sheet empty = new ShelvePictures(List.of(picture)).apply(Sheet.empty("Bench", Unit.MM, 420, 297, 300));
        Sheet grid = LayOut.replacing(new EvenGrid(panels / 10, 10, 1, 1), new Margins(5, 5, 5, 5)).apply(empty);
        ids = new ArrayList<>(grid.elements().stream().map(Element::id).toList());
        sheet = new FillPanels(ids, picture.id()).apply(grid);
        json = SheetJson.write(sheet);
        large = Pixels.photo(6000, 4000, 1);
        jpeg = Encoder.jpeg(large, 0.92f, 300);
    }

    @Benchmark
    public Sheet moveOnePanel() {
        return MovePanels.along(List.of(ids.get(0)), 1, 1).apply(sheet);
    }

    @Benchmark
    public Sheet readDocument() {
        return SheetJson.read(json);
    }

    @Benchmark
    public String writeDocument() {
        return SheetJson.write(sheet);
    }

    @Benchmark
    public int drawBoard() {
        return sheet.elements().stream().mapToInt(p -> BoardPainter.of(sheet, p).board(layer -> layer.treated().picture()).length()).sum();
    }

    @Benchmark
    public BufferedImage scale24MegapixelsToAPanel() {
        return Resample.toSize(large, 1180, 787);
    }

    /** A picture of 24 megapixels that fills most of 8 at an angle. */
    @Benchmark
    public int[] mount24MegapixelsOnto8() {
        Box box = new Box(0, 0, 3464, 2309);
        List<Point> corners = List.of(new Point(0.03, 0.1), new Point(0.98, 0.02), new Point(0.93, 0.97), new Point(0.06, 0.85));
        Warp warp = new Warp(Projective.onto(corners).inverse(), true, large.getWidth(), large.getHeight(), 3464, 2309);
        PictureSource source = (id, share) -> large;
        return source.onto(Treated.plain("d".repeat(64)).warped(Optional.of(warp)), 3464, 2309, Affine.IDENTITY, box).argb();
    }

    @Benchmark
    public int[] copy24Megapixels() {
        return toned(List.of());
    }

    @Benchmark
    public int[] tone24Megapixels() {
        return toned(List.of(new Toned(TONE, Optional.empty())));
    }

    /** The same tone with shadows lifted and fine contrast. */
    @Benchmark
    public int[] localTone24Megapixels() {
        return toned(List.of(new Toned(TONE.levelled(new Levels(0, 0, 0.3, 0.4, 0, 0.4, 0)), Optional.empty())));
    }

    private int[] toned(List<Toned> tones) {
        PictureSource source = (id, share) -> large;
        Treated what = new Treated("d".repeat(64), Optional.empty(), tones, Optional.empty());
        return source.onto(what, 6000, 4000, Affine.IDENTITY, new Box(0, 0, 6000, 4000)).argb();
    }

    @Benchmark
    public BufferedImage decode24MegapixelJpeg() {
        return PictureReader.decode("a.jpg", jpeg, PictureReader.inspect("a.jpg", jpeg));
    }

    @Benchmark
    public int previewsOf24Megapixels() {
        return Previews.of(large).size();
    }
}
