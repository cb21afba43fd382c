package plainlantern.rendering;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import plainlantern.arranging.Shapes;
import plainlantern.asking.Typed;
import plainlantern.asking.Unit;
import plainlantern.fitting.Bends;
import plainlantern.fitting.Coverage;
import plainlantern.fitting.PanelState;
import plainlantern.fitting.Shown;
import plainlantern.fitting.Sitting;
import plainlantern.fitting.Vistas;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Projective;
import plainlantern.outline.Grip;
import plainlantern.outline.Letters;
import plainlantern.outline.PathData;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.scene.Scene;
import plainlantern.sheet.Content;
import plainlantern.sheet.Element;
import plainlantern.sheet.Glaze;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Picture;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Pose;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Vista;
import plainlantern.sheet.Words;

/**
 * The scene as the workbench shows it: of each element a group on the board, holding what the scene paints, the form to grab, and the
 * numbers that gestures need to move it truthfully; and a small drawing for its card, of the same scene.
 */
public final class BoardPainter {
    private final Sheet sheet;
    private final Element panel;
    private final PanelState state;
    private final Path path;
    private final Optional<Scene.Item> item;

    private BoardPainter(Sheet sheet, Element panel) {
        this.sheet = sheet;
        this.panel = panel;
        state = PanelState.of(sheet, panel);
        path = panel.pathOnSheet();
        item = panel.paints() ? Optional.of(Scene.item(sheet, panel, path)) : Optional.empty();
    }

    public static BoardPainter of(Sheet sheet, Element element) {
        return new BoardPainter(sheet, element);
    }

    public Element element() {
        return panel;
    }

    public PanelState state() {
        return state;
    }

    /** Its group. {@code href} gives the address of a picture's preview. */
    public String board(Addresses href) {
        return group(href, " data-panel='" + attribute(numbers()) + "'", painted(href));
    }

    /** Its group with its form alone, as a page of very many begins. */
    public String bare(Addresses href) {
        return group(href, "", "");
    }

    private String group(Addresses href, String numbers, String painted) {
        StringBuilder out = new StringBuilder("<g class=\"panel ").append(state.label()).append(' ').append(panel.kind())
                .append(panel.glaze().filter(Glaze::whole).isPresent() ? " whole" : "")
                .append(panel.hidden() ? " out" : "").append(panel.locked() ? " locked" : "")
                .append("\" data-id=\"").append(panel.id()).append('"').append(numbers).append('>');
        form(Surface.board(href, Optional.of(path)), out);
        return out.append(painted).append("</g>").toString();
    }

    /** The numbers that gestures need, as JSON on one line. */
    public String numbers() {
        return BoardNumbers.json(numbers(sheet, panel, state.label()));
    }

    /** What its group holds besides its form. */
    public String painted(Addresses href) {
        Surface board = Surface.board(href, Optional.of(path));
        StringBuilder out = new StringBuilder(item.map(painted -> SvgPainter.item(painted, board)).orElse(""));
        if (state == PanelState.BARE) panel.holder().flatMap(holder -> PanelState.bare(sheet, holder))
                .ifPresent(bare -> out.append("<path class=\"bare-area\" fill-rule=\"evenodd\" d=\"")
                .append(board.d(bare.mapped(panel.seat().toSheet()))).append("\"/>"));
        return out.toString();
    }

    /** A small drawing of it alone: the form with what it shows. */
    public String card(Addresses href) {
        Box box = panel.boundsOnSheet();
        StringBuilder out = new StringBuilder("<svg viewBox=\"").append(number(box.x())).append(' ').append(number(box.y()))
                .append(' ').append(number(box.width())).append(' ').append(number(box.height())).append("\" aria-hidden=\"true\">");
        Surface card = Surface.card(href, path, box);
        form(card, out);
        item.ifPresent(painted -> out.append(SvgPainter.item(painted.unshaded().plain(), card)));
        return out.append("</svg>").toString();
    }

    private void form(Surface surface, StringBuilder out) {
        String rule = path.rule().label();
        out.append("<path class=\"form\" id=\"").append(surface.form(panel.id())).append("\" fill-rule=\"").append(rule)
                .append("\" clip-rule=\"").append(rule).append("\" d=\"").append(surface.d(path)).append("\"/>");
    }

    /** What lies behind all panels. */
    public static String paper(Sheet sheet, Addresses href) {
        return Scene.paper(sheet).map(paper -> SvgPainter.item(paper, Surface.board(href, Optional.empty()))).orElse("");
    }

    /** Everything a gesture needs: the seat, the upright bounds, and how the picture sits. */
    private static Map<String, Object> numbers(Sheet sheet, Element panel, String state) {
        Box bounds = panel.boundsOnSheet();
        Map<String, Object> numbers = new LinkedHashMap<>();
        numbers.put("name", panel.name());
        numbers.put("state", state);
        numbers.put("size", sheet.unit().show(panel.seat().width(), sheet.ppi()) + " \u00d7 " + sheet.length(panel.seat().height())
                + panel.holder().flatMap(holder -> holder.outline().letters()).map(letters -> stretched(letters, panel.seat())).orElse(""));
        numbers.put("seat", panel.seat());
        numbers.put("form", panel.holder().map(holder -> holder.outline().label()).orElse(panel.kind()));
        if (!panel.group().isEmpty()) numbers.put("group", panel.group());
        if (panel.locked()) numbers.put("locked", true);
        if (panel.panel().isEmpty()) numbers.put("role", panel.kind());
        panel.finish().shadow().ifPresent(shadow -> numbers.put("shadow",
                Map.of("distance", shadow.distance(), "direction", shadow.direction())));
        panel.finish().inner().ifPresent(shadow -> numbers.put("inner",
                Map.of("distance", shadow.distance(), "direction", shadow.direction())));
        if (panel.hidden()) numbers.put("hidden", true);
        numbers.put("bounds", new double[] {bounds.x(), bounds.y(), bounds.right(), bounds.bottom()});
        panel.holder().ifPresent(holder -> numbers.putAll(numbers(sheet, holder)));
        return numbers;
    }

    /** Letters that were stretched on purpose say so. */
    private static String stretched(Letters letters, Seat seat) {
        double stretch = letters.stretch(seat.width(), seat.height());
        return Math.abs(stretch - 1) < 0.0005 ? "" : ", stretched to " + Unit.percent(stretch);
    }

    /** What of it concerns its form and its layers. */
    private static Map<String, Object> numbers(Sheet sheet, Holder panel) {
        Map<String, Object> numbers = new LinkedHashMap<>();
        List<Grip> grips = panel.outline().grips(panel.seat().width(), panel.seat().height());
        if (!grips.isEmpty()) numbers.put("grips", grips.stream()
                .map(g -> Map.of("name", g.name(), "at", g.at(), "value", g.share() ? Unit.percent(g.value()) : sheet.length(g.value())))
                .toList());
        // A rectangle's corners are those of its box, which has handles of its own.
        if (panel.outline().ownSides()) Shapes.corners(panel).ifPresent(corners -> numbers.put("corners", corners));
        Map<Integer, Object> pictures = new LinkedHashMap<>();
        Map<Integer, Words> words = new LinkedHashMap<>();
        for (int i = 0; i < panel.content().size(); i++) {
            int at = i;
            Content layer = panel.content().get(i);
            if (layer.look().off()) continue;
            layer.picture().ifPresent(picture -> {
                Map<String, Object> shown = picture(sheet, panel, picture);
                bent(panel, at, shown);
                pictures.put(at, shown);
            });
            layer.words().ifPresent(w -> words.put(at, w));
        }
        if (!words.isEmpty()) numbers.put("words", words);
        if (!pictures.isEmpty()) numbers.put("pictures", pictures);
        if (panel.glaze().isPresent()) bent(panel, Typed.FRONTMOST, numbers);
        if (panel.acting(Typed.FRONTMOST) >= 0) numbers.put("front", panel.acting(Typed.FRONTMOST));
        return numbers;
    }

    /** Where a bend is grabbed, and what is drawn along with that. */
    private static void bent(Holder panel, int layer, Map<String, Object> numbers) {
        Bends.of(panel, layer).filter(bends -> !bends.handles().isEmpty()).ifPresent(bends -> numbers.put("bent",
                Map.of("handles", bends.handles(), "lines", PathData.brief(bends.lines(), 3))));
    }

    private static Map<String, Object> picture(Sheet sheet, Holder panel, PictureLayer layer) {
        Shown shown = Vistas.shown(sheet, panel, layer);
        Map<String, Object> numbers = sitting(Sitting.of(panel, shown), shown.pose(), shown.held());
        shown.plane().ifPresent(plane -> numbers.put("plane", plane));
        shown.picture().focal().ifPresent(focal -> numbers.put("focal", focal));
        layer.veil().ifPresent(veil -> numbers.put("veil", veil.rests()));
        layer.slice().ifPresent(slice -> {
            numbers.put("vista", slice.vista());
            if (shown.plane().isEmpty()) numbers.put("through", Vistas.through(panel, layer));
            if (slice.carried()) numbers.put("carried", true);
        });
        return numbers;
    }

    /** How a vista lies, for gestures that move it whole: as {@link #numbers} tell it of a picture, in the sheet's frame. */
    public static Map<String, Object> vista(Sheet sheet, Vista vista) {
        Picture picture = sheet.picture(vista.picture());
        Map<String, Object> numbers = sitting(Vistas.sitting(sheet, vista), Vistas.pose(vista, picture), vista.held());
        numbers.put("id", vista.id());
        vista.plane().ifPresent(plane -> numbers.put("plane", plane));
        picture.focal().ifPresent(focal -> numbers.put("focal", focal));
        numbers.put("middle", Vistas.sitting(sheet, vista).middle());
        return numbers;
    }

    private static Map<String, Object> sitting(Sitting sitting, Pose placement, boolean held) {
        Coverage coverage = Coverage.of(sitting, placement);
        Map<String, Object> numbers = new LinkedHashMap<>();
        numbers.put("width", sitting.width());
        numbers.put("height", sitting.height());
        numbers.put("placement", placement);
        numbers.put("held", held);
        sitting.seen().ifPresent(seen -> {
            // Row by row: across, down, depth.
            Projective map = seen.map().normal();
            numbers.put("seen", Stream.of(map.across(), map.down(), map.depth()).map(r -> new double[] {r.x(), r.y(), r.one()}).toList());
            numbers.put("pivot", sitting.pivot(false));
        });
        numbers.put("zoom", coverage.zoom());
        numbers.put("ppi", coverage.ppi());
        Box reach = sitting.reach(placement.turn());
        numbers.put("reach", new double[] {reach.x(), reach.y(), reach.right(), reach.bottom()});
        return numbers;
    }

    private static String number(double value) {
        return PathData.number(value, 4);
    }

    /** For between single quotes: JSON is full of double ones. */
    private static String attribute(String text) {
        return text.replace("&", "&amp;").replace("'", "&#39;").replace("<", "&lt;");
    }
}
