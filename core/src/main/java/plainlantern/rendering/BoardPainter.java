package plainlantern.rendering;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import plainlantern.arranging.Shapes;
import plainlantern.fitting.Coverage;
import plainlantern.fitting.PanelState;
import plainlantern.fitting.Sitting;
import plainlantern.fitting.Vistas;
import plainlantern.geometry.Box;
import plainlantern.geometry.Unit;
import plainlantern.outline.Grip;
import plainlantern.outline.PathData;
import plainlantern.outline.Rectangle;
import plainlantern.scene.Scene;
import plainlantern.scene.Scene.PictureLayer;
import plainlantern.sheet.Content.OwnPicture;
import plainlantern.sheet.Content.VistaSlice;
import plainlantern.sheet.Content.Words;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Placement;
import plainlantern.sheet.Role;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import plainlantern.sheet.Vista;

/**
 * The scene as the workbench shows it: one group a panel, holding what the scene paints, the form to grab, and the numbers
 * that gestures need to move it truthfully.
 */
public final class BoardPainter {
    private BoardPainter() {}

    /** One panel's group. {@code href} gives the address of a picture's preview. */
    public static String panel(Sheet sheet, Panel panel, Function<PictureLayer, String> href) {
        PanelState state = PanelState.of(sheet, panel);
        StringBuilder out = new StringBuilder("<g class=\"panel ").append(state.label()).append(' ').append(panel.role().label()).append(panel.hidden() ? " out" : "").append(panel.locked() ? " locked" : "")
                .append("\" data-id=\"").append(panel.id()).append("\" data-panel=\"")
                .append(attribute(SheetJson.MAPPER.writeValueAsString(numbers(sheet, panel, state.label())))).append("\">");
        String form = PathData.of(panel.pathOnSheet());
        out.append("<path class=\"form\" fill-rule=\"evenodd\" d=\"").append(form).append("\"/>");
        if (Scene.paints(panel)) out.append(SvgPainter.item(Scene.item(sheet, panel), href, "", true));
        if (state == PanelState.BARE) PanelState.bare(sheet, panel).ifPresent(bare -> out.append("<path class=\"bare-area\" fill-rule=\"evenodd\" d=\"")
                .append(PathData.of(bare.mapped(panel.seat().toSheet()))).append("\"/>"));
        return out.append("</g>").toString();
    }

    /** What lies behind all panels. */
    public static String paper(Sheet sheet, Function<PictureLayer, String> href) {
        return Scene.paper(sheet).map(paper -> SvgPainter.item(paper, href, "", false)).orElse("");
    }

    /** Everything a gesture needs: the seat, the upright bounds, and how the picture sits. */
    private static Map<String, Object> numbers(Sheet sheet, Panel panel, String state) {
        Box bounds = panel.boundsOnSheet();
        Map<String, Object> numbers = new LinkedHashMap<>();
        numbers.put("name", panel.name());
        numbers.put("state", state);
        numbers.put("size", sheet.unit().show(panel.seat().width(), sheet.ppi()) + " \u00d7 " + sheet.length(panel.seat().height()));
        numbers.put("seat", panel.seat());
        numbers.put("form", panel.outline().label());
        if (!panel.group().isEmpty()) numbers.put("group", panel.group());
        if (panel.locked()) numbers.put("locked", true);
        if (panel.role() != Role.PANEL) numbers.put("role", panel.role());
        panel.finish().shadow().ifPresent(shadow -> numbers.put("shadow", Map.of("distance", shadow.distance(), "direction", shadow.direction())));
        panel.finish().inner().ifPresent(shadow -> numbers.put("inner", Map.of("distance", shadow.distance(), "direction", shadow.direction())));
        if (panel.hidden()) numbers.put("hidden", true);
        List<Grip> grips = panel.outline().grips(panel.seat().width(), panel.seat().height());
        if (!grips.isEmpty()) numbers.put("grips", grips.stream()
                .map(g -> Map.of("name", g.name(), "at", g.at(), "value", g.share() ? Unit.percent(g.value()) : sheet.length(g.value())))
                .toList());
        if (!(panel.outline() instanceof Rectangle)) Shapes.corners(panel).ifPresent(corners -> numbers.put("corners", corners));
        numbers.put("bounds", new double[] {bounds.x(), bounds.y(), bounds.right(), bounds.bottom()});
        Map<Integer, Object> pictures = new LinkedHashMap<>();
        for (int i = 0; i < panel.content().size(); i++)
            if (panel.content().get(i).pictured() && !panel.content().get(i).look().off()) pictures.put(i, picture(sheet, panel, i));
        Map<Integer, Words> words = new LinkedHashMap<>();
        for (int i = 0; i < panel.content().size(); i++) if (panel.content().get(i) instanceof Words w && !w.look().off()) words.put(i, w);
        if (!words.isEmpty()) numbers.put("words", words);
        if (!pictures.isEmpty()) numbers.put("pictures", pictures);
        if (panel.acting(-1) >= 0) numbers.put("front", panel.acting(-1));
        return numbers;
    }

    private static Map<String, Object> picture(Sheet sheet, Panel panel, int layer) {
        OwnPicture own = Vistas.shown(sheet, panel, layer).orElseThrow();
        Picture picture = sheet.picture(own.picture());
        Map<String, Object> shown = sitting(Sitting.of(panel, picture), own.placement(), own.held());
        picture.focal().ifPresent(focal -> shown.put("focal", focal));
        if (panel.content().get(layer) instanceof VistaSlice slice) {
            shown.put("vista", slice.vista());
            shown.put("through", Vistas.through(panel, slice));
            if (slice.carried()) shown.put("carried", true);
        }
        return shown;
    }

    /** How a vista lies, for gestures that move it whole: as {@link #numbers} tell it of a picture, in the sheet's frame. */
    public static Map<String, Object> vista(Sheet sheet, Vista vista) {
        Picture picture = sheet.picture(vista.picture());
        Map<String, Object> numbers = sitting(Vistas.sitting(sheet, vista), Vistas.placement(vista, picture), vista.held());
        numbers.put("id", vista.id());
        picture.focal().ifPresent(focal -> numbers.put("focal", focal));
        numbers.put("middle", Vistas.sitting(sheet, vista).middle());
        return numbers;
    }

    private static Map<String, Object> sitting(Sitting sitting, Placement placement, boolean held) {
        Coverage coverage = Coverage.of(sitting, placement);
        Map<String, Object> numbers = new LinkedHashMap<>();
        numbers.put("width", sitting.width());
        numbers.put("height", sitting.height());
        numbers.put("placement", placement);
        numbers.put("held", held);
        numbers.put("zoom", coverage.zoom());
        numbers.put("ppi", coverage.ppi());
        Box reach = sitting.reach(placement.turn());
        numbers.put("reach", new double[] {reach.x(), reach.y(), reach.right(), reach.bottom()});
        return numbers;
    }

    /** A small drawing of one panel alone, for its card: the form with what it shows. */
    public static String card(Sheet sheet, Panel panel, Function<PictureLayer, String> href) {
        Box box = panel.boundsOnSheet();
        StringBuilder out = new StringBuilder("<svg viewBox=\"").append(number(box.x())).append(' ').append(number(box.y()))
                .append(' ').append(number(box.width())).append(' ').append(number(box.height())).append("\" aria-hidden=\"true\">");
        out.append("<path class=\"form\" fill-rule=\"evenodd\" d=\"").append(PathData.of(panel.pathOnSheet())).append("\"/>");
        if (Scene.paints(panel)) out.append(SvgPainter.item(Scene.item(sheet, panel).unshaded(), href, "card-", false));
        return out.append("</svg>").toString();
    }

    private static String number(double value) {
        return PathData.number(value, 4);
    }

    private static String attribute(String text) {
        return text.replace("&", "&amp;").replace("\"", "&quot;").replace("<", "&lt;");
    }
}
