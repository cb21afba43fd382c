package plainlantern.scene;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import plainlantern.Chance;
import plainlantern.Sheets;
import plainlantern.Tried;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.fitting.Coverage;
import plainlantern.fitting.PanelState;
import plainlantern.geometry.Point;
import plainlantern.rendering.BoardPainter;
import plainlantern.rendering.SvgPainter;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.sheet.Paper;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import tools.jackson.databind.JsonNode;

/** The scene, and the two ways in which it becomes SVG. */
class SceneTest {
    private static Element parsed(String svg) {
        try {
            Document document = DocumentBuilderFactory.newInstance().newDocumentBuilder()
                    .parse(new ByteArrayInputStream(svg.getBytes(StandardCharsets.UTF_8)));
            return document.getDocumentElement();
        } catch (Exception e) {
            throw new AssertionError(svg, e);
        }
    }

    /** A W by H picture just covering a panel: its middle lies on the panel's centre, its corners beyond the panel's. */
    @Test
    void pixelsAreResolvedToTheSheet() {
        Sheet sheet = Sheets.after(new ShelvePictures(List.of(Sheets.DAWN)).apply(Sheet.empty("s", Unit.MM, 100, 100, 300)),
                "{'kind':'add-panel','outline':{'kind':'ellipse'}}",
                        "{'kind':'seat-panels','panels':['p1'],'left':10,'top':20,'width':30,'height':20}",
                "{'kind':'fill','panels':['p1'],'picture':'" + Sheets.DAWN.id() + "'}");
        PaintedPicture item = (PaintedPicture) Scene.of(sheet).items().get(0).layers().get(0);
        assertThat(item.covers()).isTrue();
        Point middle = item.pixelsToSheet().apply(new Point(3000, 2000));
        assertThat(middle.x()).isCloseTo(25, within(1e-9));
        assertThat(middle.y()).isCloseTo(30, within(1e-9));
        assertThat(item.pixelsToSheet().apply(Point.ORIGIN).x()).isCloseTo(10, within(1e-9));
    }

    /** Every sheet's SVG is well-formed and paints its pictures from back to front, names and all. */
    @Tried(60)
    void svgIsWellFormedAndInOrder(Chance chance) {
        Sheet sheet = Sheets.any(chance);
        Element svg = parsed(SvgPainter.document(Scene.of(sheet.withPaper(new Paper.None())), layer -> "p?a=1&amp;b="
                + layer.treated().picture()));
        List<plainlantern.sheet.Element> shown = sheet.elements().stream().filter(e -> !e.hidden() && e.paints()).toList();
        // A rim wider than the form hides all that is in it.
        List<String> rimmed = Scene.of(sheet).items().stream().filter(item -> item.under().empty()).map(Scene.Item::element).toList();
        List<String> pictures = shown.stream().filter(e -> !rimmed.contains(e.id())).flatMap(e -> e.glaze().isPresent() ? Stream.of(e.id())
                : e.holder().stream().flatMap(h -> h.pictures().stream()).map(sheet::pictureOf)).toList();
        // What was joined stands for as many panels as it has pieces.
        assertThat(elements(svg, "image").flatMap(image -> pieces(panel(image), image.getAttribute("data-picture"))))
                .containsExactlyInAnyOrderElementsOf(pictures);
        assertThat(elements(svg, "clipPath").filter(clip -> clip.getAttribute("id").startsWith("clip-"))
                .flatMap(clip -> pieces(panel(clip), ""))).hasSize(shown.size());
    }

    private static Stream<Element> elements(Element in, String name) {
        return IntStream.range(0, in.getElementsByTagName(name).getLength()).mapToObj(i -> (Element) in.getElementsByTagName(name).item(i));
    }

    private static Element panel(Element within) {
        Element parent = (Element) within.getParentNode();
        return parent.getAttribute("class").equals("panel") ? parent : panel(parent);
    }

    private static Stream<String> pieces(Element panel, String each) {
        String pieces = panel.getAttribute("data-pieces");
        return Stream.generate(() -> each).limit(pieces.split("\\|").length);
    }

    /** The numbers that a gesture gets are those of the core, whatever signs a panel's name holds. */
    @Tried(60)
    void theBoardCarriesTheCoresNumbers(Chance chance) {
        Sheet sheet = Sheets.any(chance);
        for (plainlantern.sheet.Element panel : sheet.elements()) {
            plainlantern.sheet.Element odd = panel.named(panel.name().replaceAll("\\p{Cntrl}", "") + " <\"&'>");
            Sheet with = sheet.with(List.of(odd));
            Element group = parsed(BoardPainter.of(with, odd).board(id -> "x"));
            JsonNode numbers = SheetJson.MAPPER.readTree(group.getAttribute("data-panel"));
            assertThat(numbers.path("name").asString("")).isEqualTo(odd.name());
            assertThat(numbers.path("bounds").path(2).asDouble(0)).isCloseTo(odd.boundsOnSheet().right(), within(1e-9));
            assertThat(group.getAttribute("class")).contains(PanelState.of(with, odd).label());
            odd.holder().flatMap(h -> PanelState.coverage(with, h))
                    .ifPresent(c -> sameSlack(numbers.path("pictures").path(numbers.path("front").asString("")), c));
        }
    }

    /** The board's numbers have twelve digits. */
    private static Offset<Double> slack(double of) {
        return within(Math.max(1e-8, Math.abs(of) * 1e-11));
    }

    private static void sameSlack(JsonNode picture, Coverage coverage) {
        assertThat(picture.path("zoom").asDouble(0)).isCloseTo(coverage.zoom(), withinPercentage(1e-9));
        assertThat(picture.path("ppi").asDouble(0)).isCloseTo(coverage.ppi(), withinPercentage(1e-6));
        JsonNode placement = picture.path("placement");
        Point own = new Point(placement.path("centre").path("x").asDouble(0), placement.path("centre").path("y").asDouble(0))
                .turned(-placement.path("turn").asDouble(0));
        double left = own.x() - picture.path("width").asInt(0) * placement.path("scaleX").asDouble(0) / 2;
        assertThat(picture.path("reach").path(0).asDouble(0) - left).isCloseTo(coverage.left(), slack(coverage.left()));
    }
}
