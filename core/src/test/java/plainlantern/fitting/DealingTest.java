package plainlantern.fitting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.jgrapht.alg.matching.KuhnMunkresMinimalWeightBipartitePerfectMatching;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleWeightedGraph;
import org.junit.jupiter.api.Test;
import plainlantern.Sheets;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.fitting.Dealing.Dealt;
import plainlantern.fitting.Dealing.Use;
import plainlantern.geometry.Point;
import plainlantern.outline.Ellipse;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Focal;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Treatment;

/** The dealing of pictures to panels, against brute force over all assignments. */
class DealingTest {
    private static List<Panel> panels(Random random, int count) {
        return IntStream.range(0, count).mapToObj(i -> Panel.empty("p" + i, "Panel", i % 2 == 0 ? Rectangle.SHARP : new Ellipse(),
                Seat.upright(new Point(50, 50), 20 + random.nextInt(80), 20 + random.nextInt(80)))).toList();
    }

    private static List<Picture> pictures(Random random, int count) {
        return IntStream.range(0, count).mapToObj(i -> new Picture(String.format("%064x", i), "Tide " + i, 300 + random.nextInt(3000),
                300 + random.nextInt(3000),
                random.nextBoolean() ? Optional.of(new Focal(random.nextDouble(), random.nextDouble())) : Optional.empty(),
                        Optional.empty(), Optional.empty(), Treatment.NONE)).toList();
    }

    /** The loss as the real placement has it: what {@code filled} covers, where the focal point really ends. */
    private static double loss(Panel panel, Picture picture, double ppi) {
        Sheet sheet = Sheets.after(new ShelvePictures(List.of(picture))
                .apply(Sheet.empty("s", Unit.MM, 100, 100, ppi).with(List.of(panel), 1)),
                "{'kind':'fill','panels':['" + panel.id() + "'],'picture':'" + picture.id() + "'}");
        var placed = sheet.holder(panel.id()).picture(-1).orElseThrow().flat().pose();
        Sitting sitting = Sitting.of(panel, picture);
        var lie = sitting.lie(placed);
        var seen = panel.ownPath().bounds();
        double cut = 1 - seen.width() * seen.height() / (lie.width() * lie.height());
        double aside = picture.focal().map(f -> {
            Point at = FocalPlace.now(sitting, placed, f);
            return Math.max(Math.abs(at.x()) / (seen.width() / 2), Math.abs(at.y()) / (seen.height() / 2));
        }).orElse(0.0);
        double soft = Math.max(0, Math.log(ppi / Coverage.of(sitting, placed).ppi()) / Math.log(2));
        return cut + 0.6 * aside * aside + 0.25 * soft;
    }

    private static double best(double[][] loss, int panel, boolean[] used, int floor, boolean inOrder, int left) {
        if (panel == loss.length) return left == 0 ? 0 : Double.POSITIVE_INFINITY;
        double least = loss.length - panel > left ? best(loss, panel + 1, used, floor, inOrder, left) : Double.POSITIVE_INFINITY;
        for (int j = inOrder ? floor : 0; j < used.length && left > 0; j++) {
            if (used[j]) continue;
            used[j] = true;
            least = Math.min(least, loss[panel][j] + best(loss, panel + 1, used, j + 1, inOrder, left - 1));
            used[j] = false;
        }
        return least;
    }

    @Test
    void theLossIsTheLeastOfAllAssignments() {
        Random random = new Random(3);
        for (int round = 0; round < 40; round++) {
            List<Panel> panels = panels(random, 1 + random.nextInt(5));
            List<Picture> pictures = pictures(random, 1 + random.nextInt(6));
            double[][] loss = new double[panels.size()][pictures.size()];
            for (int i = 0; i < panels.size(); i++)
                for (int j = 0; j < pictures.size(); j++) loss[i][j] = loss(panels.get(i), pictures.get(j), 200);
            int both = Math.min(panels.size(), pictures.size());
            for (boolean inOrder : new boolean[] {false, true}) {
                List<Dealt> dealt = Dealing.deal(panels, pictures, 200, inOrder, Use.ONCE);
                assertThat(dealt).hasSize(both);
                assertThat(new HashSet<>(dealt.stream().map(Dealt::picture).toList())).hasSize(both);
                assertThat(dealt.stream().mapToDouble(Dealt::loss).sum())
                        .isCloseTo(best(loss, 0, new boolean[pictures.size()], 0, inOrder, both), within(1e-9));
                if (inOrder) assertThat(dealt).extracting(Dealt::picture).isSorted();
            }
            List<Dealt> freely = Dealing.deal(panels, pictures, 200, false, Use.FREELY);
            for (int i = 0; i < panels.size(); i++)
                assertThat(freely.get(i).loss()).isCloseTo(DoubleStream.of(loss[i]).min().orElseThrow(), within(1e-9));
            List<Dealt> evenly = Dealing.deal(panels, pictures, 200, false, Use.EVENLY);
            int most = (panels.size() + pictures.size() - 1) / pictures.size();
            assertThat(evenly).hasSize(panels.size());
            for (Picture picture : pictures)
                assertThat(evenly.stream().filter(d -> d.picture().equals(picture.id())).count()).isLessThanOrEqualTo(most);
        }
    }

    /** The edit deals to empty, selected or all panels, from all or some of the shelf, and says what it lacks. */
    @Test
    void theEditDeals() {
        Sheet two = Sheets.after(new ShelvePictures(List.of(Sheets.DAWN, Sheets.TALL)).apply(Sheet.empty("s", Unit.MM, 300, 200, 300)),
                "{'kind':'add-panel','outline':{'kind':'ellipse'}}", "{'kind':'add-panel','outline':{'kind':'ellipse'}}",
                "{'kind':'seat-panels','panels':['p1'],'width':40,'height':90}",
                        "{'kind':'seat-panels','panels':['p2'],'width':90,'height':40}");
        Sheet dealt = Sheets.after(two, "{'kind':'deal','to':'empty'}");
        assertThat(dealt.holder("p1").picture(-1).orElseThrow().own().orElseThrow().picture()).isEqualTo(Sheets.TALL.id());
        assertThat(dealt.holder("p2").picture(-1).orElseThrow().own().orElseThrow().picture()).isEqualTo(Sheets.DAWN.id());
        List<String> order = new ArrayList<>();
        for (Panel panel : Sheets.after(two, "{'kind':'deal','to':'all','inOrder':true}").panels())
            order.add(panel.picture(-1).orElseThrow().own().orElseThrow().picture());
        assertThat(order).containsExactly(Sheets.DAWN.id(), Sheets.TALL.id());
        Sheet one = Sheets.after(dealt, "{'kind':'deal','to':'selected','panels':['p1'],'pictures':['" + Sheets.DAWN.id() + "']}");
        assertThat(one.holder("p1").picture(-1).orElseThrow().own().orElseThrow().picture()).isEqualTo(Sheets.DAWN.id());
        assertThatThrownBy(() -> Sheets.after(dealt, "{'kind':'deal','to':'empty'}")).isInstanceOf(BadInput.class)
                .hasMessageContaining("No panel is empty");
        assertThatThrownBy(() -> Sheets.after(two.withShelf(List.of()), "{'kind':'deal','to':'all'}")).isInstanceOf(BadInput.class)
                .hasMessageContaining("shelf first");
    }

    /** Evenly, sixteen panels use all of twelve pictures, none three times, and no two of the same stand side by side. */
    @Test
    void evenlyUsesAllAndKeepsTwinsApart() {
        Sheet wall = Sheets.after(new ShelvePictures(pictures(new Random(5), 12)).apply(Sheet.empty("Wall", Unit.MM, 400, 300, 300)),
                "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':4,'columns':4,'gapAcross':4,'gapDown':4}}",
                        "{'kind':'deal','to':'all','use':'evenly'}");
        Map<String, List<Panel>> used = wall.panels().stream()
                .collect(Collectors.groupingBy(p -> p.picture(-1).orElseThrow().own().orElseThrow().picture()));
        assertThat(used).hasSize(12);
        for (List<Panel> same : used.values()) {
            assertThat(same).hasSizeLessThanOrEqualTo(2);
            if (same.size() == 2) assertThat(Neighbours.beside(same.get(0).boundsOnSheet(), same.get(1).boundsOnSheet())).isFalse();
        }
    }

    /** The assignment costs as little as that of another library (JGraphT, Kuhn and Munkres), for middling numbers. */
    @Test
    void theAssignmentIsAsGoodAsAnotherLibrarys() {
        Random random = new Random(11);
        for (int n : new int[] {1, 7, 40}) {
            double[][] cost = new double[n][n];
            var graph = new SimpleWeightedGraph<Integer, DefaultWeightedEdge>(DefaultWeightedEdge.class);
            for (int i = 0; i < 2 * n; i++) graph.addVertex(i);
            for (int i = 0; i < n; i++) for (int j = 0; j < n; j++) graph.setEdgeWeight(graph.addEdge(i, n + j),
                    cost[i][j] = random.nextDouble());
            double theirs = new KuhnMunkresMinimalWeightBipartitePerfectMatching<>(graph, IntStream.range(0, n).boxed()
                    .collect(Collectors.toSet()),
                    IntStream.range(n, 2 * n).boxed().collect(Collectors.toSet())).getMatching().getWeight();
            int[] chosen = Assignment.least(cost);
            assertThat(IntStream.range(0, n).mapToDouble(i -> cost[i][chosen[i]]).sum()).isCloseTo(theirs, within(1e-9));
            assertThat(IntStream.of(chosen).distinct().count()).isEqualTo(n);
        }
    }

    /** Forty panels and two thousand pictures; how long it takes is measured in bench. */
    @Test
    void manyAreDealt() {
        Random random = new Random(9);
        assertThat(Dealing.deal(panels(random, 40), pictures(random, 2000), 300, false, Use.ONCE)).hasSize(40);
    }

    /** The share cut away is measured against the form, not its box: a circle shows π/4 · 5/8 of a picture of 8:5. */
    @Test
    void aRoundFormCutsAwayMore() {
        Panel circle = Panel.empty("p1", "Panel", new Ellipse(), Seat.upright(new Point(50, 50), 40, 40));
        List<Dealing.Dealt> dealt = Dealing.deal(List.of(circle), List.of(new Picture("a".repeat(64), "Tide", 800, 500)), 300, false,
                Dealing.Use.ONCE);
        assertThat(dealt.get(0).cut()).isCloseTo(1 - Math.PI / 4 * 5 / 8, within(1e-3));
    }
}
