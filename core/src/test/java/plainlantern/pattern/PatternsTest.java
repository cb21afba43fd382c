package plainlantern.pattern;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.triangulate.VoronoiDiagramBuilder;
import plainlantern.Chance;
import plainlantern.Sheets;
import plainlantern.Tried;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.geometry.Box;
import plainlantern.geometry.Convex;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.geometry.Polygons;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;

class PatternsTest {
    private static final Box AREA = new Box(20, 15, 380, 260);
    private static final List<Double> ASPECTS = List.of(1.5, 0.66, 1.5, 1.0, 2.9, 0.7, 1.5, 1.33);
    private static final double ROOT3 = Math.sqrt(3);

    private static double area(List<Piece> pieces) {
        return pieces.stream().mapToDouble(p -> Polygons.area(p.path())).sum();
    }

    private static Pattern tidy(Chance chance) {
        int n = chance.whole(1, 7);
        int m = chance.whole(1, 7);
        double gap = chance.between(0, 6);
        int seed = chance.whole(0, 999_999);
        boolean flag = chance.flag();
        return chance.by(
                () -> new EvenGrid(n, m, gap, gap / 2),
                () -> new Polyptych(List.of(1.0, 2.0, 1.5, 1.0), gap, chance.between(-11, 11), flag),
                () -> new RunningBond(n, m, gap, gap, chance.between(0, 1)),
                () -> new Honeycomb(n, m, gap, flag),
                () -> new Rosette(chance.whole(3, 20), gap, flag, chance.flag(), 0.5),
                () -> new Interlock(n, m, chance.between(0.05, 0.25), seed),
                () -> new Shards(chance.whole(2, 24), gap, chance.whole(2, 6), seed),
                () -> new JustifiedRows(chance.whole(1, 8), gap, false),
                () -> new StepAndRepeat(chance.between(20, 90), chance.between(20, 90), gap, gap, flag));
    }

    /**
     * Whatever the numbers: no piece reaches out of the area or over another, the same numbers give the same pieces, documents keep them.
     */
    @Tried(250)
    void piecesStayInTheAreaAndApart(Chance chance) {
        Pattern pattern = tidy(chance);
        List<Piece> pieces = pattern.pieces(AREA, ASPECTS);
        List<Path> paths = pieces.stream().map(Piece::path).toList();
        // Where round edges touch, areas are those of chords: within 1e-4 of the inner circle's.
        double most = pattern instanceof Rosette ? 1e-4 * Math.PI * 65 * 65 : 0.01;
        for (int i = 0; i < paths.size(); i++) {
            Box box = paths.get(i).bounds();
            assertThat(AREA.grown(1e-6).union(box)).isEqualTo(AREA.grown(1e-6));
            for (int j = 0; j < i; j++) {
                if (box.meets(paths.get(j).bounds())) assertThat(Polygons.sharedArea(paths.get(i), paths.get(j))).isLessThan(most);
            }
        }
        Pattern read = SheetJson.MAPPER.readValue(SheetJson.MAPPER.writeValueAsString(pattern), Pattern.class);
        assertThat(read).isEqualTo(pattern);
        assertThat(read.pieces(AREA, ASPECTS)).isEqualTo(pieces);
        assertThat(pattern.says(AREA, pieces)).endsWith(".");
    }

    /** Weights share out what the gaps leave; a merged block is as large as its cells and the gaps between them. */
    @Test
    void aGridOfWeightsWithMergedCells() {
        EvenGrid grid = new EvenGrid(2, 3, 10, 20, List.of(1.0, 2.0, 1.0), List.of(), List.of(new EvenGrid.Block(0, 1, 2, 2)));
        List<Piece> pieces = grid.pieces(AREA, List.of());
        assertThat(pieces).hasSize(3);
        assertThat(pieces.get(0).width()).isCloseTo(90, within(1e-9));
        assertThat(pieces.get(1).width()).isCloseTo(180 + 10 + 90, within(1e-9));
        assertThat(pieces.get(1).height()).isCloseTo(260, within(1e-9));
        assertThat(pieces.get(1).centre().x() + pieces.get(1).width() / 2).isCloseTo(AREA.right(), within(1e-9));
    }

    /** Panels and the parallelograms of the gaps (gap / cos lean wide) are the whole, and neighbours' edges are the gap apart. */
    @Tried(60)
    void aPolyptychAndItsGapsAreTheWhole(Chance chance) {
        double gap = chance.between(0, 15);
        double lean = chance.between(-14, 14);
        boolean mirrored = chance.flag();
        List<Piece> pieces = new Polyptych(List.of(1.0, 2.0, 1.0), gap, lean, mirrored).pieces(AREA, List.of());
        double gaps = 2 * gap / Math.cos(Math.toRadians(lean)) * AREA.height();
        assertThat(area(pieces) + gaps).isCloseTo(AREA.width() * AREA.height(), within(1e-4));
        List<Point> left = corners(pieces.get(0));
        Point along = left.get(2).minus(left.get(1));
        Point to = corners(pieces.get(1)).get(0).minus(left.get(1));
        assertThat(Math.abs(to.x() * along.y() - to.y() * along.x()) / Math.hypot(along.x(), along.y())).isCloseTo(gap, within(1e-9));
    }

    private static List<Point> corners(Piece piece) {
        List<Point> corners = new ArrayList<>();
        piece.path().flattened(1).forEach(corners::addAll);
        return corners;
    }

    /** Hexagons are regular, 3·√3/2·a² large, and neighbours' centres are √3·a + g apart; they are as large as fits. */
    @Tried(60)
    void aHoneycombIsRegular(Chance chance) {
        int rows = chance.whole(2, 6);
        int columns = chance.whole(2, 6);
        double gap = chance.between(0, 9);
        boolean flat = chance.flag();
        List<Piece> pieces = new Honeycomb(rows, columns, gap, flat).pieces(AREA, List.of());
        Piece first = pieces.get(0);
        double side = Math.max(first.width(), first.height()) / 2;
        assertThat(Polygons.area(first.path())).isCloseTo(3 * ROOT3 / 2 * side * side, within(1e-6));
        double nearest = pieces.stream().skip(1).mapToDouble(p -> p.centre().distance(first.centre())).min().orElseThrow();
        assertThat(nearest).isCloseTo(ROOT3 * side + gap, within(1e-9));
        double touching = pieces.stream().map(p -> p.centre().distance(first.centre())).filter(d -> Math.abs(d - nearest) < 1e-6).count();
        assertThat(touching).isBetween(2.0, 3.0);
        Box all = Box.union(pieces.stream().map(p -> p.path().bounds()).toList());
        assertThat(Math.min(AREA.width() - all.width(), AREA.height() - all.height())).isCloseTo(0, within(1e-9));
        assertThat(all.centre().distance(AREA.centre())).isLessThan(1e-9);
    }

    /** 2·R·sin(π/n) = 2·r + gap between circles; the outermost touch the area; wedges and gaps are the ring within gap² or so. */
    @Test
    void aRosetteIsSpacedByItsGap() {
        List<Piece> circles = new Rosette(8, 5, true, false, 0.5).pieces(AREA, List.of());
        double r = circles.get(0).width() / 2;
        assertThat(circles).hasSize(9);
        assertThat(circles.get(0).centre().distance(circles.get(1).centre())).isCloseTo(2 * r + 5, within(1e-9));
        assertThat(circles.get(0).centre().y() - r).isCloseTo(AREA.y(), within(1e-9));
        assertThat(circles.get(8).centre().distance(circles.get(0).centre())).isCloseTo(circles.get(8).width() / 2 + r + 5, within(1e-9));
        List<Piece> wedges = new Rosette(6, 0, false, true, 0.4).pieces(AREA, List.of());
        assertThat(area(wedges)).isCloseTo(Math.PI * 130 * 130 * (1 - 0.16), within(30.0));
    }

    /** Pieces and nothing else: the areas are the whole, no two share any. */
    @Tried(40)
    void anInterlockLeavesNeitherGapNorOverlap(Chance chance) {
        int rows = chance.whole(1, 6);
        int columns = chance.whole(1, 6);
        double tab = chance.between(0.05, 0.25);
        int seed = chance.whole(0, 999_999);
        List<Piece> pieces = new Interlock(rows, columns, tab, seed).pieces(AREA, List.of());
        double whole = AREA.width() * AREA.height();
        assertThat(area(pieces)).isCloseTo(whole, within(whole * 1e-9));
        assertThat(Polygons.unionShare(pieces.stream().map(Piece::path).toList(), Path.polygon(Convex.of(AREA))))
                .isCloseTo(1, within(1e-9));
    }

    /** Second opinion: the JTS Voronoi builder on the same sites, cell by cell. */
    @Tried(25)
    void shardsAreVoronoiCells(Chance chance) {
        int count = chance.whole(2, 60);
        int evenness = chance.whole(0, 3);
        int seed = chance.whole(0, 9999);
        Shards shards = new Shards(count, 0, evenness, seed);
        VoronoiDiagramBuilder builder = new VoronoiDiagramBuilder();
        builder.setSites(shards.sites(AREA).stream().map(p -> new Coordinate(p.x(), p.y())).toList());
        GeometryFactory factory = new GeometryFactory();
        Envelope envelope = new Envelope(AREA.x(), AREA.right(), AREA.y(), AREA.bottom());
        builder.setClipEnvelope(envelope);
        Geometry diagram = builder.getDiagram(factory);
        Geometry clip = factory.toGeometry(envelope);
        List<Double> theirs = new ArrayList<>();
        for (int i = 0; i < diagram.getNumGeometries(); i++) theirs.add(diagram.getGeometryN(i).intersection(clip).getArea());
        List<Double> ours = new ArrayList<>(shards.pieces(AREA, List.of()).stream().map(p -> Polygons.area(p.path())).toList());
        theirs.sort(Comparator.naturalOrder());
        ours.sort(Comparator.naturalOrder());
        for (int i = 0; i < count; i++) assertThat(ours.get(i)).isCloseTo(theirs.get(i), within(1e-3));
    }

    /** java.util.Random's documentation fixes its sequence: seed 1, the linear congruential formula worked by hand. */
    @Test
    void theSameSeedGivesTheSameForEver() {
        long state = (1 ^ 0x5DEECE66DL) & ((1L << 48) - 1);
        double[] drawn = new double[2];
        for (int i = 0; i < 2; i++) {
            state = (state * 0x5DEECE66DL + 0xBL) & ((1L << 48) - 1);
            long high = state >>> 22;
            state = (state * 0x5DEECE66DL + 0xBL) & ((1L << 48) - 1);
            drawn[i] = ((high << 27) + (state >>> 21)) * 0x1.0p-53;
        }
        Point site = new Shards(5, 0, 0, 1).sites(AREA).get(0);
        assertThat(site.x()).isEqualTo(AREA.x() + AREA.width() * drawn[0]);
        assertThat(site.y()).isEqualTo(AREA.y() + AREA.height() * drawn[1]);
        assertThat(new Interlock(3, 4, 0.2, 1).pieces(AREA, List.of())).isNotEqualTo(new Interlock(3, 4, 0.2, 2).pieces(AREA, List.of()));
    }

    /** What is said is covered is covered; kept inside, nothing reaches out; sizes and turns stay in their ranges. */
    @Tried(25)
    void aScatterCoversWhatItSays(Chance chance) {
        int count = chance.whole(2, 40);
        double coverage = chance.between(0.1, 0.95);
        double turn = chance.between(0, 90);
        boolean inside = chance.flag();
        int seed = chance.whole(0, 9999);
        Scatter scatter = new Scatter(count, 0.5, 1.5, turn, coverage, inside, seed);
        List<Piece> pieces = scatter.pieces(AREA, List.of());
        double covered = Polygons.unionShare(pieces.stream().map(Piece::path).toList(), Path.polygon(Convex.of(AREA)));
        boolean lacking = scatter.says(AREA, pieces).contains("cannot be reached");
        if (!lacking) assertThat(covered).isCloseTo(coverage, within(0.025));
        else assertThat(covered).isLessThan(coverage);
        assertThat(scatter.says(AREA, pieces)).contains(String.format("%.1f %%", covered * 100));
        double largest = pieces.stream().mapToDouble(p -> Math.max(p.width(), p.height())).max().orElseThrow();
        for (Piece piece : pieces) {
            assertThat(Math.max(piece.width(), piece.height())).isGreaterThanOrEqualTo(largest * 0.499);
            assertThat(Math.abs(piece.turn())).isLessThanOrEqualTo(turn);
            if (inside) assertThat(AREA.grown(1e-6).union(piece.path().bounds())).isEqualTo(AREA.grown(1e-6));
        }
    }

    /** Each picture keeps its proportions, a row has one height, all rows are equally wide, the gap is the gap. */
    @Tried(40)
    void justifiedRowsAreJust(Chance chance) {
        int rows = chance.whole(1, 8);
        double gap = chance.between(0, 12);
        List<Piece> pieces = new JustifiedRows(rows, gap, true).pieces(AREA, ASPECTS);
        double right = pieces.stream().mapToDouble(p -> p.centre().x() + p.width() / 2).max().orElseThrow();
        int ends = 0;
        for (int i = 0; i < pieces.size(); i++) {
            Piece p = pieces.get(i);
            assertThat(p.picture()).isEqualTo(i);
            assertThat(p.width() / p.height()).isCloseTo(ASPECTS.get(i), within(1e-9));
            boolean last = i == pieces.size() - 1 || pieces.get(i + 1).centre().y() > p.centre().y() + 1e-6;
            if (last) {
                ends++;
                assertThat(p.centre().x() + p.width() / 2).isCloseTo(right, within(1e-6));
            } else {
                Piece next = pieces.get(i + 1);
                assertThat(next.height()).isCloseTo(p.height(), within(1e-9));
                assertThat(next.centre().x() - next.width() / 2 - p.centre().x() - p.width() / 2).isCloseTo(gap, within(1e-9));
            }
        }
        assertThat(ends).isEqualTo(rows);
    }

    /** Print fact (common practice): 3/4 in at 300 ppi is 225 px; (1748 − 2·59 + 36)/261 = 6.4 and (1240 − 2·59 + 36)/261 = 4.4. */
    @Test
    void badgesAreRepeatedAsOftenAsTheyFit() {
        double px = 25.4 / 300;
        StepAndRepeat badges = new StepAndRepeat(19.05, 19.05, 36 * px, 36 * px, true);
        Box card = new Box(59 * px, 59 * px, 1630 * px, 1122 * px);
        List<Piece> pieces = badges.pieces(card, List.of());
        assertThat(pieces).hasSize(24).allMatch(p -> Math.abs(p.width() / px - 225) < 1e-9);
        assertThat(badges.says(card, pieces)).isEqualTo("24 fit: 6 across, 4 down.");
        assertThat(new StepAndRepeat(10, 10, 0, 0, false).pieces(new Box(0, 0, 30, 20), List.of())).hasSize(6);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "{'kind':'even-grid','rows':'0','columns':3,'gapAcross':0,'gapDown':0} | rows",
                "{'kind':'even-grid','rows':3,'columns':3,'gapAcross':'190','gapDown':0} | gapAcross",
        "{'kind':'even-grid','rows':3,'columns':3,'gapAcross':0,'gapDown':0,'columnWeights':'a:b'} | columnWeights",
        "{'kind':'even-grid','rows':3,'columns':3,'gapAcross':0,'gapDown':0,'columnWeights':'1:2'} | columnWeights",
                "{'kind':'even-grid','rows':100,'columns':51,'gapAcross':0,'gapDown':0} | rows",
        "{'kind':'even-grid','rows':2,'columns':2,'gapAcross':0,'gapDown':0,'merged':[{'row':0,'column':0,'rows':1,'columns':2},"
                + "{'row':0,'column':1,'rows':2,'columns':1}]} | merged",
        "{'kind':'polyptych','weights':'1','gap':2,'lean':0} | weights", "{'kind':'polyptych','weights':'1:-2','gap':2,'lean':0} | weights",
                "{'kind':'polyptych','weights':'1:1:1','gap':2,'lean':'60'} | lean",
        "{'kind':'honeycomb','rows':3,'columns':3,'gap':'300'} | gap", "{'kind':'rosette','count':2,'gap':0,'hole':0.5} | count",
                "{'kind':'rosette','count':30,'gap':40,'hole':0.5} | gap",
        "{'kind':'interlock','rows':2,'columns':2,'tab':'40 %','seed':1} | tab",
                "{'kind':'shards','count':5000,'gap':0,'evenness':0,'seed':1} | count",
                "{'kind':'shards','count':100,'gap':90,'evenness':0,'seed':1} | gap",
        "{'kind':'scatter','count':301,'smallest':0.5,'proportion':1,'turn':0,'coverage':0.5,'seed':1} | count",
                "{'kind':'justified-rows','rows':9,'gap':0} | rows",
        "{'kind':'step-and-repeat','width':900,'height':3,'gapAcross':0,'gapDown':0} | width",
                "{'kind':'step-and-repeat','width':0.2,'height':0.2,'gapAcross':0,'gapDown':0} | width"})
    void whatMakesNoPatternIsRefusedAtItsField(String json, String field) {
        var edit = "{'kind':'lay-out','where':'replace','pattern':" + json + ",'area':{'x':20,'y':15,'width':380,'height':260}}";
        var sheet = Sheet.empty("s", Unit.MM, 420, 297, 300);
        var shelved = new ShelvePictures(List.of(Sheets.DAWN, Sheets.TALL)).apply(sheet);
        assertThatThrownBy(() -> Sheets.after(shelved, edit)).isInstanceOfSatisfying(BadInput.class, e -> {
            assertThat(e.field()).isEqualTo(field);
            assertThat(e.getMessage()).endsWith(".");
        });
    }
}
